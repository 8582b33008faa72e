package org.umberloom.core.color;

import java.util.OptionalDouble;

/** Relative luminance and contrast ratio of WCAG 2.2, on colors as a screen shows them: mapped into sRGB, composited. */
public final class Contrast {
    /** Text below 24 px, or below 18.66 px bold. Source: WCAG 2.2, 1.4.3; technique G18 of the W3C. */
    public static final double TEXT = 4.5;
    /** Large text, and everything that is not text. Source: WCAG 2.2, 1.4.3 and 1.4.11; technique G145. */
    public static final double SHAPE = 3;
    /** Text at level AAA. Source: WCAG 2.2, 1.4.6; technique G17. */
    public static final double STRICT = 7;

    private static final Color BLACK = Color.rgb(0, 0, 0);
    private static final Color WHITE = Color.rgb(255, 255, 255);

    private Contrast() {}

    /** Relative luminance Y, 0 to 1, of the opaque color. Source: WCAG 2.2, "relative luminance". */
    public static double luminance(Color color) {
        return luminanceOfLinear(Srgb.decode(GamutMapping.toSrgb(color)));
    }

    static double luminanceOfLinear(double[] linear) {
        return 0.2126 * linear[0] + 0.7152 * linear[1] + 0.0722 * linear[2];
    }

    /** Ratio 1 to 21 of a foreground on a ground; a translucent foreground is composited first. */
    public static double ratio(Color foreground, Color ground) {
        double front = luminance(over(foreground, ground));
        double back = luminance(ground);
        return (Math.max(front, back) + 0.05) / (Math.min(front, back) + 0.05);
    }

    /**
     * The least ratio on a translucent ground under which a picture of any colors lies: what is seen of the ground goes from that
     * over black to that over white, and a foreground between the two is lost somewhere. Source of the compositing: CSS
     * Compositing 1, simple alpha compositing.
     */
    public static double ratioOnPictures(Color foreground, Color ground) {
        if (ground.alpha() == 1) return ratio(foreground, ground);
        Color darkest = over(ground, BLACK);
        Color lightest = over(ground, WHITE);
        double front = luminance(over(foreground, darkest));
        if (front >= luminance(darkest) && front <= luminance(lightest)) return 1;
        return Math.min(ratio(foreground, darkest), ratio(foreground, lightest));
    }

    /** How opaque a ground that lies on pictures has to be for a ratio, 0 to 1 in hundredths; empty where even an opaque one fails. */
    public static OptionalDouble opacityFor(double ratio, Color foreground, Color ground) {
        for (int percent = 0; percent <= 100; percent++)
            if (ratioOnPictures(foreground, ground.withAlpha(percent / 100.0)) >= ratio)
                return OptionalDouble.of(percent / 100.0);
        return OptionalDouble.empty();
    }

    /** A color over an opaque ground, as browsers composite: in gamma-encoded sRGB. */
    public static Color over(Color foreground, Color ground) {
        if (foreground.alpha() == 1) return foreground;
        double[] front = GamutMapping.toSrgb(foreground);
        double[] back = GamutMapping.toSrgb(ground);
        double alpha = foreground.alpha();
        return Color.of(
                ColorSpace.SRGB,
                front[0] * alpha + back[0] * (1 - alpha),
                front[1] * alpha + back[1] * (1 - alpha),
                front[2] * alpha + back[2] * (1 - alpha));
    }
}
