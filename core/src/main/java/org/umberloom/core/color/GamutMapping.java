package org.umberloom.core.color;

/**
 * Brings a color into a gamut by lowering OKLCH chroma until clipping makes no visible difference. Source: CSS Color 4,
 * section 13.2, binary search with local MINDE. It is done on linear light, where clipping is the same and nothing has to
 * be encoded on the way.
 */
public final class GamutMapping {
    /** One just-noticeable difference in ΔE OK. */
    private static final double JND = 0.02;

    private static final double EPSILON = 0.0001;
    /** Beyond the most saturated colors of every display. */
    private static final double MOST_CHROMA = 0.5;

    private GamutMapping() {}

    /** A color of the gamut's own space, every component 0 to 1, its alpha kept. */
    public static Color into(Gamut gamut, Color color) {
        double[] plain = color.inSpace(gamut.space());
        double[] rgb = gamut.holds(color) ? clip(plain) : Srgb.encode(ofOklch(color.inSpace(ColorSpace.OKLCH), gamut));
        return new Color(gamut.space(), rgb[0], rgb[1], rgb[2], color.alpha());
    }

    /** The most OKLCH chroma that a gamut holds at a lightness (0 to 1) and hue (degrees), to 0.0001. */
    public static double mostChroma(Gamut gamut, double lightness, double hue) {
        double low = 0;
        double high = MOST_CHROMA;
        while (high - low > EPSILON / 2) {
            double chroma = (low + high) / 2;
            if (Gamut.holdsLinear(gamut.linear(Oklch.toXyz(new double[] {lightness, chroma, hue})))) low = chroma;
            else high = chroma;
        }
        return low;
    }

    /** Three sRGB components, each 0 to 1. */
    static double[] toSrgb(Color color) {
        return color.inSrgbGamut()
                ? clip(color.inSpace(ColorSpace.SRGB))
                : Srgb.encode(ofOklch(color.inSpace(ColorSpace.OKLCH), Gamut.SRGB));
    }

    /** Linear components, each 0 to 1, of OKLCH components. */
    static double[] ofOklch(double[] lch, Gamut gamut) {
        if (lch[0] >= 1) return new double[] {1, 1, 1};
        if (lch[0] <= 0) return new double[] {0, 0, 0};
        double cos = Math.cos(Math.toRadians(lch[2]));
        double sin = Math.sin(Math.toRadians(lch[2]));
        double[] lab = {lch[0], lch[1] * cos, lch[1] * sin};
        double[] linear = gamut.linear(Oklab.toXyz(lab));
        if (Gamut.holdsLinear(linear)) return clip(linear);
        double[] clipped = clip(linear);
        if (difference(clipped, lab, gamut) < JND) return clipped;

        double low = 0;
        double high = lch[1];
        boolean lowInGamut = true;
        while (high - low > EPSILON) {
            double chroma = (low + high) / 2;
            lab[1] = chroma * cos;
            lab[2] = chroma * sin;
            linear = gamut.linear(Oklab.toXyz(lab));
            if (lowInGamut && Gamut.holdsLinear(linear)) {
                low = chroma;
                continue;
            }
            clipped = clip(linear);
            double difference = difference(clipped, lab, gamut);
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

    private static double difference(double[] linear, double[] lab, Gamut gamut) {
        return Oklab.difference(Oklab.fromXyz(gamut.xyz(linear)), lab);
    }

    private static double[] clip(double[] rgb) {
        return new double[] {clip(rgb[0]), clip(rgb[1]), clip(rgb[2])};
    }

    private static double clip(double component) {
        return Math.max(0, Math.min(1, component));
    }
}
