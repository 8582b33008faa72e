package org.umberloom.core.change;

import java.util.Map;
import org.umberloom.core.color.Ciede2000;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.CompositeValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.DurationValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.FontWeightValue;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.ValueText;

/**
 * How much two values differ.
 *
 * @param amount signed where one can be more than the other; a ratio for {@link Measure#RATIO}
 * @param part   of a composite value that differs most; empty for a simple one
 */
public record Size(Measure measure, double amount, String part) implements Comparable<Size> {
    /** In what a difference is said. */
    public enum Measure {
        NONE,
        /** CIEDE2000. */
        COLOR,
        PX,
        /** After over before. */
        RATIO,
        /** Of letters, 1 to 1000. */
        WEIGHT,
        MS,
        /** Cannot be measured: another family, another word. */
        OTHER
    }

    static final Size NONE = new Size(Measure.NONE, 0, "");
    static final Size OTHER = new Size(Measure.OTHER, 0, "");

    /** What weighs as much as ΔE00 10, so that unlike sizes can be put in an order. Common practice. */
    private static final double WEIGHT_STEP = 300;

    private static final double RATIO_STEP = Math.log(1.5);
    private static final double MS_STEP = 300;
    private static final double TEN = 10;
    private static final Color WHITE = Color.rgb(255, 255, 255);
    private static final Color BLACK = Color.rgb(0, 0, 0);
    private static final double HAIR = 1e-9;
    private static final double SMALLEST_PX = 1;

    /** Of two values that are free of references. */
    static Size between(TokenValue before, TokenValue after) {
        if (before.equals(after)) return NONE;
        if (before instanceof ColorValue a && after instanceof ColorValue b) return color(a.color(), b.color());
        if (isLength(before) && isLength(after)) return length(before, after);
        if (before instanceof FontWeightValue a && after instanceof FontWeightValue b)
            return new Size(Measure.WEIGHT, b.weight() - a.weight(), "");
        if (before instanceof NumberValue a && after instanceof NumberValue b && a.number() > 0 && b.number() > 0)
            return new Size(Measure.RATIO, b.number() / a.number(), "");
        if (before instanceof DurationValue a && after instanceof DurationValue b)
            return new Size(Measure.MS, ms(b) - ms(a), "");
        if (before instanceof CompositeValue a && after instanceof CompositeValue b && a.getClass() == b.getClass())
            return composite(a.parts(), b.parts());
        return OTHER;
    }

    /** Colors that are not opaque are compared on white and on black, as they differ more. */
    private static Size color(Color before, Color after) {
        double onWhite = Ciede2000.between(Contrast.over(before, WHITE), Contrast.over(after, WHITE));
        double onBlack = Ciede2000.between(Contrast.over(before, BLACK), Contrast.over(after, BLACK));
        return new Size(Measure.COLOR, Math.max(onWhite, onBlack), "");
    }

    private static boolean isLength(TokenValue value) {
        return value instanceof DimensionValue || value instanceof FluidValue;
    }

    /** At the end where it differs most. */
    private static Size length(TokenValue before, TokenValue after) {
        double narrow = FluidValue.narrow(after) - FluidValue.narrow(before);
        double wide = FluidValue.wide(after) - FluidValue.wide(before);
        return new Size(Measure.PX, Math.abs(narrow) > Math.abs(wide) ? narrow : wide, "");
    }

    private static double ms(DurationValue duration) {
        return duration.unit() == DurationValue.Unit.S ? duration.amount() * 1000 : duration.amount();
    }

    private static Size composite(Map<String, TokenValue> before, Map<String, TokenValue> after) {
        Size largest = OTHER;
        for (Map.Entry<String, TokenValue> part : after.entrySet()) {
            TokenValue was = before.get(part.getKey());
            Size size = was == null ? OTHER : between(was, part.getValue());
            if (size.measure == Measure.NONE) continue;
            boolean larger = largest.part.isEmpty() || size.compareTo(largest) > 0;
            if (larger) largest = new Size(size.measure, size.amount, part.getKey());
        }
        return largest;
    }

    /** Comparable between unlike measures, in tenths of what everybody sees; what cannot be measured counts as plainly seen. */
    public double felt() {
        return switch (measure) {
            case NONE -> 0;
            case COLOR -> amount;
            case PX -> TEN * Math.log1p(Math.abs(amount) / SMALLEST_PX / TEN) / Math.log(2);
            case RATIO -> TEN * Math.abs(Math.log(amount)) / RATIO_STEP;
            case WEIGHT -> TEN * Math.abs(amount) / WEIGHT_STEP;
            case MS -> TEN * Math.abs(amount) / MS_STEP;
            case OTHER -> TEN;
        };
    }

    /** For people: {@code ΔE 4.2}, {@code +4 px}, {@code × 1.07}; with the part where there is one. */
    public String words() {
        String said =
                switch (measure) {
                    case NONE -> "";
                    case COLOR -> Math.abs(amount) < HAIR ? "the same to the eye" : "ΔE " + ValueText.number(amount, 1);
                    case PX -> signed(amount) + " px";
                    case RATIO -> "× " + ValueText.number(amount, 3);
                    case WEIGHT -> signed(amount) + " in weight";
                    case MS -> signed(amount) + " ms";
                    case OTHER -> "";
                };
        if (part.isEmpty()) return said;
        return said.isEmpty() ? part : part + " " + said;
    }

    private static String signed(double amount) {
        return (amount > 0 ? "+" : "−") + ValueText.number(Math.abs(amount), 2);
    }

    @Override
    public int compareTo(Size other) {
        return Double.compare(felt(), other.felt());
    }
}
