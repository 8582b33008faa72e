package org.umberloom.core.css;

import java.util.Set;
import java.util.stream.Collectors;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.FontWeightValue;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.ValueText;

/** Single values as CSS text. */
final class CssText {
    private static final Set<String> GENERIC_FAMILIES = Set.of("serif", "sans-serif", "monospace", "cursive", "fantasy",
            "system-ui", "ui-serif", "ui-sans-serif", "ui-monospace", "ui-rounded");
    private static final int LENGTH_PLACES = 4;

    private CssText() {
    }

    /** @throws IllegalArgumentException for a value that has no single CSS form */
    static String of(TokenValue value) {
        if (value instanceof ColorValue color) return color.color().hex();
        if (value instanceof DimensionValue length) return length(length);
        if (value instanceof FluidValue fluid) return fluid(fluid);
        if (value instanceof FontFamilyValue families)
            return families.families().stream().map(CssText::family).collect(Collectors.joining(", "));
        if (value instanceof FontWeightValue weight) return Integer.toString(weight.weight());
        if (value instanceof NumberValue number) return ValueText.number(number.number(), LENGTH_PLACES);
        throw new IllegalArgumentException("no single CSS value for " + value);
    }

    static String family(String name) {
        if (GENERIC_FAMILIES.contains(name)) return name;
        return '"' + name.replace("\\", "\\\\").replace("\"", "\\\"").replaceAll("[\\r\\n\\f]", " ") + '"';
    }

    private static String length(DimensionValue length) {
        return length.amount() == 0 ? "0px"
                : ValueText.number(length.amount(), LENGTH_PLACES) + length.unit().css();
    }

    /**
     * Source: CSS Values 4, section 10.4; the preferred value is the straight line through both ends. The calc() is
     * redundant there, and lets parsers read it that know no arithmetic outside calc().
     */
    private static String fluid(FluidValue fluid) {
        boolean rising = fluid.wide().toPx() >= fluid.narrow().toPx();
        DimensionValue least = rising ? fluid.narrow() : fluid.wide();
        DimensionValue most = rising ? fluid.wide() : fluid.narrow();
        if (fluid.slope() == 0) return length(least);
        String intercept = ValueText.number(fluid.intercept() / DimensionValue.PX_PER_REM, 5);
        String slope = ValueText.number(Math.abs(fluid.slope()) * 100, 5);
        return "clamp(" + length(least) + ", calc(" + intercept + "rem " + (rising ? "+ " : "- ") + slope + "vw), "
                + length(most) + ")";
    }
}
