package org.umberloom.core.page;

import org.umberloom.core.contract.Worn;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.FontWeightValue;
import org.umberloom.core.token.TypographyValue;

/** Which text is large. Source: WCAG 2.2, "large scale". */
public final class LargeText {
    private static final double LARGE_PX = 24;
    private static final double LARGE_BOLD_PX = 18.66;
    private static final int BOLD = 700;

    private LargeText() {}

    /** Whether text of a style is large at its smallest, on the narrowest screen. @param style such as {@code h1}; empty for no text */
    public static boolean is(String style, Worn worn) {
        return worn.find("type." + (style.isEmpty() ? "body" : style))
                .filter(standing -> !style.isEmpty())
                .map(Worn.Standing::value)
                .filter(TypographyValue.class::isInstance)
                .filter(value -> large((TypographyValue) value))
                .isPresent();
    }

    private static boolean large(TypographyValue style) {
        double px = style.part("fontSize") instanceof FluidValue fluid
                ? Math.min(fluid.narrow().toPx(), fluid.wide().toPx())
                : style.part("fontSize") instanceof DimensionValue size ? size.toPx() : 0;
        boolean bold = style.part("fontWeight") instanceof FontWeightValue weight && weight.weight() >= BOLD;
        return px >= LARGE_PX || bold && px >= LARGE_BOLD_PX;
    }
}
