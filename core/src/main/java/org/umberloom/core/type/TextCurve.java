package org.umberloom.core.type;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * A number that depends on the size of text: one at a small size, another at a large one, and evenly between them by ratio of
 * sizes; smaller and larger text has the ends' own. What it is for: line height as a multiple of the size, letter spacing in em.
 *
 * @param smallPx size in px, at least 4
 * @param small   the number there and below
 * @param largePx size in px, larger than the small one, at most 400
 * @param large   the number there and above
 */
public record TextCurve(double smallPx, double small, double largePx, double large) {
    private static final double LEAST_PX = 4;
    private static final double MOST_PX = 400;

    /** @throws IllegalArgumentException for sizes out of order or range, and for numbers that are none */
    public TextCurve {
        if (!(smallPx >= LEAST_PX && largePx > smallPx && largePx <= MOST_PX))
            throw new IllegalArgumentException("A curve runs from a small size to a larger one, between 4 and 400 px.");
        if (!Double.isFinite(small) || !Double.isFinite(large))
            throw new IllegalArgumentException("A curve needs a number at either end.");
    }

    /** The number for text of a size in px. */
    public double at(double px) {
        double share = Math.log(px / smallPx) / Math.log(largePx / smallPx);
        return small + (large - small) * Math.max(0, Math.min(1, share));
    }

    public Map<String, Object> data() {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("smallPx", smallPx);
        data.put("small", small);
        data.put("largePx", largePx);
        data.put("large", large);
        return data;
    }

    /** @throws IllegalArgumentException when it is none */
    public static TextCurve read(Object data) {
        if (!(data instanceof Map<?, ?> map)) throw new IllegalArgumentException("A curve must be an object.");
        return new TextCurve(
                number(map, "smallPx"), number(map, "small"), number(map, "largePx"), number(map, "large"));
    }

    private static double number(Map<?, ?> map, String name) {
        if (map.get(name) instanceof Number number) return number.doubleValue();
        throw new IllegalArgumentException("A curve needs a number “" + name + "”.");
    }
}
