package org.umberloom.core.shape;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.umberloom.core.color.Color;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.ShadowValue;
import org.umberloom.core.token.TokenValue;

/**
 * One light for all shadows of a theme. What lies higher throws its shadow farther, softer and paler; common practice, after what
 * is seen under a lamp: the half shadow widens with the distance, and the same darkness is spread over more ground.
 *
 * @param angle    where it shines from, in degrees: 0 from above, 90 from the right, -180 to 180
 * @param reach    px that a shadow falls aside for each px of height, 0 to 2
 * @param softness px of blur for each px of height, 0 (a hard edge) to 4
 * @param strength alpha of the shadow of what lies on the ground, 0 to 1
 * @param color    of the shadows; its alpha counts for nothing
 * @param heights  px that things lie above the ground, rising, 1 to 12 of them, each above 0 and at most 96
 */
public record Light(double angle, double reach, double softness, double strength, Color color, List<Double> heights) {
    /** A shadow is drawn in by this share of its blur, so that a soft one stays under what throws it. */
    private static final double DRAWN_IN = 0.25;
    /** px of blur at which a shadow is half as dark as on the ground. */
    private static final double HALVED = 64;

    private static final int MOST_HEIGHTS = 12;
    private static final double HIGHEST = 96;

    /** @throws IllegalArgumentException for a number out of its range */
    public Light {
        heights = List.copyOf(heights);
        within("angle of the light", angle, -180, 180);
        within("reach of shadows", reach, 0, 2);
        within("softness of shadows", softness, 0, 4);
        within("strength of shadows", strength, 0, 1);
        if (heights.isEmpty() || heights.size() > MOST_HEIGHTS)
            throw new IllegalArgumentException("A light falls on 1 to " + MOST_HEIGHTS + " heights.");
        double before = 0;
        for (double height : heights) {
            if (!(height > before && height <= HIGHEST))
                throw new IllegalArgumentException("Heights must rise, from above 0 to " + (int) HIGHEST + " px.");
            before = height;
        }
    }

    private static void within(String what, double number, double least, double most) {
        if (!(number >= least && number <= most))
            throw new IllegalArgumentException(
                    "The " + what + " must be between " + (int) least + " and " + (int) most + ", was " + number + ".");
    }

    /** What a thing at a height of some px throws; lengths to a tenth of a px. */
    public ShadowValue shadow(double height) {
        double away = reach * height;
        double blur = softness * height;
        return new ShadowValue(
                new ColorValue(color.withAlpha(rounded(strength / (1 + blur / HALVED), 1000))),
                px(-away * Math.sin(Math.toRadians(angle))),
                px(away * Math.cos(Math.toRadians(angle))),
                px(blur),
                px(-DRAWN_IN * blur),
                false);
    }

    /** The shadow of every height by its number, from 1. */
    public Map<String, TokenValue> steps() {
        Map<String, TokenValue> steps = new LinkedHashMap<>();
        for (int i = 0; i < heights.size(); i++) steps.put(Integer.toString(i + 1), shadow(heights.get(i)));
        return steps;
    }

    private static DimensionValue px(double length) {
        return DimensionValue.px(rounded(length, 10));
    }

    private static double rounded(double number, int parts) {
        return Math.round(number * parts) / (double) parts + 0.0;
    }
}
