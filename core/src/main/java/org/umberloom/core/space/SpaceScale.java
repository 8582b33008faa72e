package org.umberloom.core.space;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.TokenValue;

/**
 * Spacing steps: multiples of one base length.
 *
 * @param base    px, 1 to 64
 * @param factors multiple of the base for each step, rising, each above 0
 * @param grid    px that every step is a whole multiple of, at least one; 0 for any length
 * @param narrow  share of its length that a step has in a narrow window, above 0 to 1
 */
public record SpaceScale(double base, List<Double> factors, double grid, double narrow) {
    /** Steps that grow slowly first and fast later. Common practice. */
    public static final List<Double> DEFAULT_FACTORS = List.of(0.25, 0.5, 0.75, 1.0, 1.5, 2.0, 3.0, 4.0, 6.0);

    /** Windows between which fluid steps grow, px: a phone and a desk. Common practice. */
    public static final double NARROW_WINDOW = 360;

    public static final double WIDE_WINDOW = 1280;

    private static final double WIDEST_GRID = 16;
    private static final int MOST_STEPS = 24;

    public SpaceScale {
        factors = List.copyOf(factors);
        if (!(base >= 1 && base <= 64))
            throw new IllegalArgumentException("The spacing base must be between 1 and 64 px, was " + base + ".");
        if (!(grid >= 0 && grid <= WIDEST_GRID))
            throw new IllegalArgumentException("A grid for spaces is up to 16 px, or 0 for none, was " + grid + ".");
        if (!(narrow > 0 && narrow <= 1))
            throw new IllegalArgumentException(
                    "The share of a space in a narrow window must be above 0 and at most 1, was " + narrow + ".");
        if (factors.isEmpty() || factors.size() > MOST_STEPS)
            throw new IllegalArgumentException("A spacing scale has 1 to 24 steps.");
        double before = 0;
        for (double factor : factors) {
            if (!(factor > before && factor <= 100))
                throw new IllegalArgumentException("Spacing steps must rise, and none may be over 100 times the base.");
            before = factor;
        }
    }

    /** One of any length that is the same in every window. */
    public SpaceScale(double base, List<Double> factors) {
        this(base, factors, 0, 1);
    }

    /** How steps follow one another. */
    public enum Growth {
        /** The same is added at each step. */
        LINEAR {
            @Override
            double factor(double first, double by, int step) {
                return first + by * step;
            }
        },
        /** Each step is the one before it by the same ratio. */
        GEOMETRIC {
            @Override
            double factor(double first, double by, int step) {
                return first * Math.pow(by, step);
            }
        };

        abstract double factor(double first, double by, int step);

        /**
         * Factors that grow.
         *
         * @param first of them
         * @param by    what is added, above 0; or a ratio, above 1
         * @throws IllegalArgumentException for steps that would not rise
         */
        public List<Double> factors(double first, double by, int count) {
            if (count < 1 || count > MOST_STEPS)
                throw new IllegalArgumentException("A spacing scale has 1 to 24 steps.");
            List<Double> factors = new ArrayList<>();
            for (int step = 0; step < count; step++) factors.add(Math.round(factor(first, by, step) * 1000) / 1000.0);
            return factors;
        }
    }

    /** Every step's length in rem by its number, from 1; fluid where a narrow window has less of it. */
    public Map<String, TokenValue> steps() {
        Map<String, TokenValue> steps = new LinkedHashMap<>();
        for (int i = 0; i < factors.size(); i++) {
            double wide = onGrid(base * factors.get(i));
            double small = onGrid(base * factors.get(i) * narrow);
            steps.put(
                    Integer.toString(i + 1),
                    small == wide ? rem(wide) : new FluidValue(rem(small), rem(wide), NARROW_WINDOW, WIDE_WINDOW));
        }
        return steps;
    }

    private double onGrid(double px) {
        return grid == 0 ? px : Math.max(1, Math.round(px / grid)) * grid;
    }

    private static DimensionValue rem(double px) {
        return DimensionValue.rem(px / DimensionValue.PX_PER_REM);
    }
}
