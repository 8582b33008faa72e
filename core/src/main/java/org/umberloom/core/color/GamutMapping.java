package org.umberloom.core.color;

/**
 * Brings a color into the gamut of an RGB space, sRGB above all, by lowering OKLCH chroma until clipping makes no visible difference. Source: CSS Color 4,
 * section 13.2, binary search with local MINDE.
 */
public final class GamutMapping {
    /** One just-noticeable difference in ΔE OK. */
    private static final double JND = 0.02;
    private static final double EPSILON = 0.0001;
    /** Beyond the most saturated colors of every display. */
    private static final double MOST_CHROMA = 0.5;
    private static final double TOLERANCE = 0.000075;

    private GamutMapping() {
    }

    /** A color of that RGB space, every component 0 to 1, its alpha kept. */
    public static Color into(ColorSpace gamut, Color color) {
        double[] plain = color.inSpace(gamut);
        double[] rgb = isInside(plain) ? clip(plain) : ofOklch(color.inSpace(ColorSpace.OKLCH), gamut);
        return new Color(gamut, rgb[0], rgb[1], rgb[2], color.alpha());
    }

    /** Whether every component in an RGB space lies in 0 to 1, with a tolerance far below one 8-bit level. */
    public static boolean holds(ColorSpace gamut, Color color) {
        return isInside(color.inSpace(gamut));
    }

    /** The most OKLCH chroma that a gamut holds at a lightness (0 to 1) and hue (degrees), to 0.0001. */
    public static double mostChroma(ColorSpace gamut, double lightness, double hue) {
        double low = 0;
        double high = MOST_CHROMA;
        while (high - low > EPSILON / 2) {
            double chroma = (low + high) / 2;
            if (isInside(rgbOf(new double[] {lightness, chroma, hue}, gamut))) low = chroma;
            else high = chroma;
        }
        return low;
    }

    /** Three sRGB components, each 0 to 1. */
    static double[] toSrgb(Color color) {
        double[] plain = color.inSpace(ColorSpace.SRGB);
        if (isInside(plain)) return clip(plain);
        return ofOklch(color.inSpace(ColorSpace.OKLCH));
    }

    /** The same for OKLCH components that are already at hand. */
    static double[] ofOklch(double[] lch) {
        return ofOklch(lch, ColorSpace.SRGB);
    }

    private static double[] ofOklch(double[] lch, ColorSpace gamut) {
        if (lch[0] >= 1) return new double[] {1, 1, 1};
        if (lch[0] <= 0) return new double[] {0, 0, 0};
        double[] current = lch.clone();
        double[] rgb = rgbOf(current, gamut);
        if (isInside(rgb)) return clip(rgb);
        double[] clipped = clip(rgb);
        if (difference(clipped, current, gamut) < JND) return clipped;

        double low = 0;
        double high = lch[1];
        boolean lowInGamut = true;
        while (high - low > EPSILON) {
            double chroma = (low + high) / 2;
            current[1] = chroma;
            rgb = rgbOf(current, gamut);
            if (lowInGamut && isInside(rgb)) {
                low = chroma;
                continue;
            }
            clipped = clip(rgb);
            double difference = difference(clipped, current, gamut);
            if (difference < JND) {
                if (JND - difference < EPSILON) return clipped;
                lowInGamut = false;
                low = chroma;
            } else {
                high = chroma;
            }
        }
        return clipped;
    }

    static boolean isInside(double[] rgb) {
        for (double component : rgb) if (component < -TOLERANCE || component > 1 + TOLERANCE) return false;
        return true;
    }

    private static double[] rgbOf(double[] lch, ColorSpace gamut) {
        return gamut.fromXyz(Oklch.toXyz(lch));
    }

    private static double difference(double[] rgb, double[] lch, ColorSpace gamut) {
        return Oklab.difference(Oklab.fromXyz(gamut.toXyz(rgb)), Oklch.toOklab(lch));
    }

    private static double[] clip(double[] rgb) {
        return new double[] {clip(rgb[0]), clip(rgb[1]), clip(rgb[2])};
    }

    private static double clip(double component) {
        return Math.max(0, Math.min(1, component));
    }
}
