package org.umberloom.core.type;

import java.util.LinkedHashMap;
import java.util.Map;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.TokenValue;

/**
 * A modular scale with two ends: {@code size(n) = base · ratio^n} at a narrow and at a wide viewport, and a straight
 * line between. Source: the modular scale of typographic practice; fluid form as CSS {@code clamp()}, CSS Values 4.
 *
 * @param narrow         base and ratio at the narrow viewport
 * @param wide           base and ratio at the wide viewport
 * @param narrowViewport width in px
 * @param wideViewport   width in px
 * @param smallest       lowest step, at most 0
 * @param largest        highest step, at least 0
 */
public record TypeScale(End narrow, End wide, double narrowViewport, double wideViewport, int smallest, int largest) {
    private static final double MOST_DECIMALS = 10_000;

    /**
     * One end of the scale.
     *
     * @param base  size of step 0 in px, 4 to 100
     * @param ratio size of a step divided by the one below, 1 to 4
     */
    public record End(double base, double ratio) {
        private static final double LEAST_BASE = 4;
        private static final double MOST_BASE = 100;
        private static final double LEAST_RATIO = 1;
        private static final double MOST_RATIO = 4;

        public End {
            if (!(base >= LEAST_BASE && base <= MOST_BASE))
                throw new IllegalArgumentException("The base size must be between 4 and 100 px, was " + base + ".");
            if (!(ratio >= LEAST_RATIO && ratio <= MOST_RATIO))
                throw new IllegalArgumentException("The ratio must be between 1 and 4, was " + ratio + ".");
        }

        /** px of a step. */
        public double size(int step) {
            return base * Math.pow(ratio, step);
        }
    }

    public TypeScale {
        if (!(narrowViewport >= 200 && wideViewport > narrowViewport && wideViewport <= 10_000))
            throw new IllegalArgumentException("The narrow viewport must be at least 200 px and below the wide one.");
        if (smallest > 0 || smallest < -6 || largest < 0 || largest > 12)
            throw new IllegalArgumentException("Steps go from at most -6 to at most 12 and include 0.");
    }

    /** The name of a step's token: {@code 3}, or {@code minus-1} below the base. */
    public static String stepName(int step) {
        return step < 0 ? "minus-" + -step : Integer.toString(step);
    }

    /** The step of a token's name. @throws IllegalArgumentException where it is not one of this scale’s */
    public int step(String name) {
        for (int step = smallest; step <= largest; step++) if (stepName(step).equals(name)) return step;
        throw new IllegalArgumentException("This scale has no step “" + name + "”.");
    }

    /**
     * The scale that runs through a size at one of its ends: the base moves where it is the base’s own size, and otherwise the
     * ratio. What no end can be stays at the nearest that it can.
     *
     * @param px of the step, at that end
     */
    public TypeScale through(int step, boolean atWide, double px) {
        End end = atWide ? wide : narrow;
        End moved = step == 0
                ? new End(Math.max(End.LEAST_BASE, Math.min(End.MOST_BASE, px)), end.ratio)
                : new End(
                        end.base,
                        Math.max(
                                End.LEAST_RATIO,
                                Math.min(End.MOST_RATIO, Math.pow(Math.max(px, 1) / end.base, 1.0 / step))));
        return new TypeScale(
                atWide ? narrow : moved, atWide ? moved : wide, narrowViewport, wideViewport, smallest, largest);
    }

    /** Every step's size in rem by its name, from small to large; fluid where the two ends differ. */
    public Map<String, TokenValue> steps() {
        Map<String, TokenValue> steps = new LinkedHashMap<>();
        for (int step = smallest; step <= largest; step++)
            steps.put(stepName(step), between(narrow.size(step), wide.size(step)));
        return steps;
    }

    /** A size with those px at its two ends. */
    public TokenValue between(double narrowPx, double widePx) {
        DimensionValue small = rem(narrowPx);
        DimensionValue large = rem(widePx);
        return small.equals(large) ? large : new FluidValue(small, large, narrowViewport, wideViewport);
    }

    private static DimensionValue rem(double px) {
        return DimensionValue.rem(Math.round(px / DimensionValue.PX_PER_REM * MOST_DECIMALS) / MOST_DECIMALS);
    }
}
