package org.umberloom.core.css;

import java.util.List;
import java.util.stream.Collectors;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.color.Gamut;
import org.umberloom.core.color.GamutMapping;
import org.umberloom.core.token.BorderValue;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.CompositeValue;
import org.umberloom.core.token.CubicBezierValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.DurationValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.FontWeightValue;
import org.umberloom.core.token.GradientValue;
import org.umberloom.core.token.MannerValue;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.ShadowListValue;
import org.umberloom.core.token.ShadowValue;
import org.umberloom.core.token.StrokeStyleValue;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TransitionValue;
import org.umberloom.core.token.ValueText;

/** Single values as CSS text. */
final class CssText {
    private static final int LENGTH_PLACES = 4;

    private CssText() {}

    /**
     * A gradient becomes its list of stops, to stand inside a gradient function; dashes of their own become {@code dashed},
     * which is all that CSS knows.
     *
     * A color outside sRGB becomes its nearest in sRGB, with its Display P3 form as {@link TwoGamuts}.
     *
     * @throws IllegalArgumentException for a value that has no single CSS form
     */
    static String of(TokenValue value) {
        if (value instanceof ColorValue color && color.color().inSrgbGamut()
                || !(value instanceof ColorValue) && !(value instanceof CompositeValue)) return of(value, false);
        return TwoGamuts.of(of(value, false), of(value, true));
    }

    /** A shadow as letters throw it: offsets, blur and color of those that do not fall inward, each without its spread. */
    static String ofLetters(TokenValue value) {
        List<ShadowValue> all = value instanceof ShadowListValue list
                ? list.shadows().stream().map(ShadowValue.class::cast).toList()
                : List.of((ShadowValue) value);
        return TwoGamuts.of(ofLetters(all, false), ofLetters(all, true));
    }

    private static String ofLetters(List<ShadowValue> all, boolean wide) {
        String outward = all.stream()
                .filter(shadow -> !shadow.inset())
                .map(shadow -> of(shadow.offsetX(), wide) + " " + of(shadow.offsetY(), wide) + " "
                        + of(shadow.blur(), wide) + " " + of(shadow.color(), wide))
                .collect(Collectors.joining(", "));
        return outward.isEmpty() ? "none" : outward;
    }

    private static String of(TokenValue value, boolean wide) {
        if (value instanceof ColorValue color)
            return wide && !color.color().inSrgbGamut()
                    ? displayP3(color.color())
                    : color.color().hex();
        if (value instanceof DimensionValue length) return length(length);
        if (value instanceof FluidValue fluid) return fluid(fluid);
        if (value instanceof FontFamilyValue families)
            return families.families().stream().map(CssText::family).collect(Collectors.joining(", "));
        if (value instanceof FontWeightValue weight) return ValueText.number(weight.weight(), LENGTH_PLACES);
        if (value instanceof MannerValue said) return said.css();
        if (value instanceof NumberValue number) return ValueText.number(number.number(), LENGTH_PLACES);
        if (value instanceof DurationValue || value instanceof CubicBezierValue) return ValueText.write(value);
        if (value instanceof StrokeStyleValue stroke) return stroke.dash().isEmpty() ? stroke.keyword() : "dashed";
        if (value instanceof BorderValue border)
            return of(border.width(), wide) + " " + of(border.style(), wide) + " " + of(border.color(), wide);
        if (value instanceof TransitionValue change)
            return of(change.duration(), wide) + " " + of(change.timingFunction(), wide) + " "
                    + of(change.delay(), wide);
        if (value instanceof ShadowValue shadow)
            return (shadow.inset() ? "inset " : "") + of(shadow.offsetX(), wide) + " " + of(shadow.offsetY(), wide)
                    + " " + of(shadow.blur(), wide) + " " + of(shadow.spread(), wide) + " " + of(shadow.color(), wide);
        if (value instanceof ShadowListValue list)
            return list.shadows().stream().map(one -> of(one, wide)).collect(Collectors.joining(", "));
        if (value instanceof GradientValue gradient)
            return gradient.stops().stream()
                    .map(stop -> of(stop.color(), wide) + " " + percent(stop.position()))
                    .collect(Collectors.joining(", "));
        throw new IllegalArgumentException("no single CSS value for " + value);
    }

    /** Source: CSS Color 4, section 10.3; what lies outside Display P3 too is mapped into it (section 13). */
    private static String displayP3(Color color) {
        return CssColor.write(GamutMapping.into(Gamut.DISPLAY_P3, color));
    }

    private static String percent(TokenValue position) {
        double share = Math.max(0, Math.min(1, ((NumberValue) position).number()));
        return ValueText.number(share * 100, LENGTH_PLACES) + "%";
    }

    static String family(String name) {
        if (FontFamilyValue.GENERIC.contains(name)) return name;
        return CssEscape.string(name);
    }

    private static String length(DimensionValue length) {
        return length.amount() == 0
                ? "0px"
                : ValueText.number(length.amount(), LENGTH_PLACES)
                        + length.unit().css();
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
