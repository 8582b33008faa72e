package org.umberloom.core.space;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.TokenValue;

/**
 * Spacing steps: multiples of one base length.
 *
 * @param base    px, 1 to 64
 * @param factors multiple of the base for each step, rising, each above 0
 */
public record SpaceScale(double base, List<Double> factors) {
    /** Steps that grow slowly first and fast later. Common practice. */
    public static final List<Double> DEFAULT_FACTORS = List.of(0.25, 0.5, 0.75, 1.0, 1.5, 2.0, 3.0, 4.0, 6.0);

    public SpaceScale {
        factors = List.copyOf(factors);
        if (!(base >= 1 && base <= 64))
            throw new IllegalArgumentException("The spacing base must be between 1 and 64 px, was " + base + ".");
        if (factors.isEmpty() || factors.size() > 24)
            throw new IllegalArgumentException("A spacing scale has 1 to 24 steps.");
        double before = 0;
        for (double factor : factors) {
            if (!(factor > before && factor <= 100))
                throw new IllegalArgumentException("Spacing steps must rise, and none may be over 100 times the base.");
            before = factor;
        }
    }

    /** Every step's length in rem by its number, from 1. */
    public Map<String, TokenValue> steps() {
        Map<String, TokenValue> steps = new LinkedHashMap<>();
        for (int i = 0; i < factors.size(); i++)
            steps.put(Integer.toString(i + 1), DimensionValue.rem(base * factors.get(i) / DimensionValue.PX_PER_REM));
        return steps;
    }
}
