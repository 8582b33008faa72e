package org.umberloom.core.color;

import java.util.List;

/** Colors computed from others: by depth, by mixing, by hue and chroma, and the readable partner of a ground. */
public final class Adjust {
    private static final Color WHITE = Color.rgb(255, 255, 255);
    private static final Color BLACK = Color.rgb(0, 0, 0);

    private Adjust() {}

    /**
     * The readable partner of a ground.
     *
     * @param fromHue whether it is one of the shades that were offered
     * @param reaches whether it reaches the ratio that was asked for
     */
    public record Partner(Color color, double ratio, boolean fromHue, boolean reaches) {}

    /** Lighter by so much depth; darker for a negative amount. It stops at white and black. Alpha stays. */
    public static Color lighten(Color color, double by) {
        return toDepth(color, Math.max(0, Math.min(Depth.BLACK, Depth.of(color).value() - by)));
    }

    /** At a depth of 0 to 120, with hue and, as far as the gamut allows, chroma kept. Alpha stays. */
    public static Color toDepth(Color color, double depth) {
        double[] lch = color.inSpace(ColorSpace.OKLCH);
        double hue = Double.isNaN(lch[2]) ? 0 : lch[2];
        return Ramp.atDepth(new Depth(depth), lch[1], hue).withAlpha(color.alpha());
    }

    /** The second color's share is 0 to 1. Source: CSS Color 5, section 3, color-mix(in oklab), premultiplied alpha. */
    public static Color mix(Color color, Color with, double share) {
        return mix(color, with, share, ColorSpace.OKLAB);
    }

    /** The same in gamma-encoded sRGB. Source: CSS Color 5, section 3, color-mix(in srgb). */
    public static Color mixInSrgb(Color color, Color with, double share) {
        return mix(color, with, share, ColorSpace.SRGB);
    }

    private static Color mix(Color color, Color with, double share, ColorSpace space) {
        double[] one = color.inSpace(space);
        double[] other = with.inSpace(space);
        double alpha = color.alpha() * (1 - share) + with.alpha() * share;
        double[] mixed = new double[3];
        for (int i = 0; i < 3; i++) {
            double premultiplied = one[i] * color.alpha() * (1 - share) + other[i] * with.alpha() * share;
            mixed[i] = alpha == 0 ? 0 : premultiplied / alpha;
        }
        return new Color(space, mixed[0], mixed[1], mixed[2], alpha);
    }

    /** Turned by degrees of OKLCH hue; a gray stays as it is. */
    public static Color rotate(Color color, double degrees) {
        double[] lch = color.inSpace(ColorSpace.OKLCH);
        if (Double.isNaN(lch[2])) return color;
        return new Color(ColorSpace.OKLCH, lch[0], lch[1], ((lch[2] + degrees) % 360 + 360) % 360, color.alpha());
    }

    /** With so many times its OKLCH chroma. */
    public static Color chroma(Color color, double times) {
        double[] lch = color.inSpace(ColorSpace.OKLCH);
        return new Color(
                ColorSpace.OKLCH, lch[0], lch[1] * times, Double.isNaN(lch[2]) ? Color.NONE : lch[2], color.alpha());
    }

    /** The shade with the highest contrast when it reaches the ratio, else the better of black and white. */
    public static Partner onColor(Color ground, List<Color> shades, double ratio) {
        Color best = null;
        double most = 0;
        for (Color shade : shades) {
            double reached = Contrast.ratio(shade, ground);
            if (reached > most) {
                best = shade;
                most = reached;
            }
        }
        if (best != null && most >= ratio) return new Partner(best, most, true, true);
        double white = Contrast.ratio(WHITE, ground);
        double black = Contrast.ratio(BLACK, ground);
        double end = Math.max(white, black);
        return new Partner(white >= black ? WHITE : BLACK, end, false, end >= ratio);
    }

    /**
     * The shade that reaches a ratio on a ground and lies nearest, in depth, to the color that was wanted; where none
     * does, the one that comes nearest to the ratio.
     *
     * @throws IllegalArgumentException when there are no shades
     */
    public static Partner reach(Color wanted, List<Color> shades, Color ground, double ratio) {
        if (shades.isEmpty()) throw new IllegalArgumentException("there are no shades to choose from");
        double depth = Depth.of(wanted).value();
        Color nearest = null;
        double least = Double.MAX_VALUE;
        Color best = shades.get(0);
        double most = 0;
        for (Color shade : shades) {
            double reached = Contrast.ratio(shade, ground);
            double distance = Math.abs(Depth.of(shade).value() - depth);
            if (reached >= ratio && distance < least) {
                nearest = shade;
                least = distance;
            }
            if (reached > most) {
                best = shade;
                most = reached;
            }
        }
        return nearest != null
                ? new Partner(nearest, Contrast.ratio(nearest, ground), true, true)
                : new Partner(best, most, true, false);
    }
}
