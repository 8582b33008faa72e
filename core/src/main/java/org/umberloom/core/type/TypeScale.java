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
        public End {
            if (!(base >= 4 && base <= 100))
                throw new IllegalArgumentException("The base size must be between 4 and 100 px, was " + base + ".");
            if (!(ratio >= 1 && ratio <= 4))
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

    /** Every step's size in rem by its name, from small to large; fluid where the two ends differ. */
    public Map<String, TokenValue> steps() {
        Map<String, TokenValue> steps = new LinkedHashMap<>();
        for (int step = smallest; step <= largest; step++) {
            DimensionValue small = rem(narrow.size(step));
            DimensionValue large = rem(wide.size(step));
            steps.put(
                    stepName(step),
                    small.equals(large) ? large : new FluidValue(small, large, narrowViewport, wideViewport));
        }
        return steps;
    }

    private static DimensionValue rem(double px) {
        return DimensionValue.rem(Math.round(px / DimensionValue.PX_PER_REM * MOST_DECIMALS) / MOST_DECIMALS);
    }
}
