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
 * @param gridPx  of lines: they are whole multiples of it, in px, at most 64; 0 for any height
 */
public record TextCurve(double smallPx, double small, double largePx, double large, double gridPx) {
    private static final double MOST_GRID = 64;
    /** Rounding to a grid never sets lines closer than this multiple of the size: letters of two lines would touch. */
    private static final double CLOSEST = 1;

    private static final double LEAST_PX = 4;
    private static final double MOST_PX = 400;

    /** @throws IllegalArgumentException for sizes out of order or range, and for numbers that are none */
    public TextCurve {
        if (!(smallPx >= LEAST_PX && largePx > smallPx && largePx <= MOST_PX))
            throw new IllegalArgumentException("A curve runs from a small size to a larger one, between 4 and 400 px.");
        if (!Double.isFinite(small) || !Double.isFinite(large))
            throw new IllegalArgumentException("A curve needs a number at either end.");
        if (!(gridPx >= 0 && gridPx <= MOST_GRID))
            throw new IllegalArgumentException("A grid of lines is up to 64 px, or 0 for none.");
    }

    /** One without a grid. */
    public TextCurve(double smallPx, double small, double largePx, double large) {
        this(smallPx, small, largePx, large, 0);
    }

    /** The number for text of a size in px. */
    public double at(double px) {
        double share = Math.log(px / smallPx) / Math.log(largePx / smallPx);
        return small + (large - small) * Math.max(0, Math.min(1, share));
    }

    /** The line height of text of a size in px, brought to the grid: to the nearest step, and none that is closer than the size. */
    public double lineAt(double px) {
        if (gridPx == 0) return at(px);
        double lines = Math.max(Math.round(at(px) * px / gridPx), Math.ceil(CLOSEST * px / gridPx));
        return lines * gridPx / px;
    }

    public Map<String, Object> data() {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("smallPx", smallPx);
        data.put("small", small);
        data.put("largePx", largePx);
        data.put("large", large);
        if (gridPx > 0) data.put("gridPx", gridPx);
        return data;
    }

    /** @throws IllegalArgumentException when it is none */
    public static TextCurve read(Object data) {
        if (!(data instanceof Map<?, ?> map)) throw new IllegalArgumentException("A curve must be an object.");
        return new TextCurve(
                number(map, "smallPx"),
                number(map, "small"),
                number(map, "largePx"),
                number(map, "large"),
                map.containsKey("gridPx") ? number(map, "gridPx") : 0);
    }

    private static double number(Map<?, ?> map, String name) {
        if (map.get(name) instanceof Number number) return number.doubleValue();
        throw new IllegalArgumentException("A curve needs a number “" + name + "”.");
    }
}
