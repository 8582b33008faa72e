package org.umberloom.core.color;

/**
 * Brings a color into sRGB by lowering OKLCH chroma until clipping makes no visible difference. Source: CSS Color 4,
 * section 13.2, binary search with local MINDE.
 */
public final class GamutMapping {
    /** One just-noticeable difference in ΔE OK. */
    private static final double JND = 0.02;
    private static final double EPSILON = 0.0001;
    private static final double TOLERANCE = 0.000075;

    private GamutMapping() {
    }

    /** Three sRGB components, each 0 to 1. */
    static double[] toSrgb(Color color) {
        double[] plain = color.inSpace(ColorSpace.SRGB);
        if (inSrgb(plain)) return clip(plain);
        return ofOklch(color.inSpace(ColorSpace.OKLCH));
    }

    /** The same for OKLCH components that are already at hand. */
    static double[] ofOklch(double[] lch) {
        if (lch[0] >= 1) return new double[] {1, 1, 1};
        if (lch[0] <= 0) return new double[] {0, 0, 0};
        double[] current = lch.clone();
        double[] rgb = srgbOf(current);
        if (inSrgb(rgb)) return clip(rgb);
        double[] clipped = clip(rgb);
        if (difference(clipped, current) < JND) return clipped;

        double low = 0;
        double high = lch[1];
        boolean lowInGamut = true;
        while (high - low > EPSILON) {
            double chroma = (low + high) / 2;
            current[1] = chroma;
            rgb = srgbOf(current);
            if (lowInGamut && inSrgb(rgb)) {
                low = chroma;
                continue;
            }
            clipped = clip(rgb);
            double difference = difference(clipped, current);
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

    static boolean inSrgb(double[] rgb) {
        for (double component : rgb) if (component < -TOLERANCE || component > 1 + TOLERANCE) return false;
        return true;
    }

    private static double[] srgbOf(double[] lch) {
        return Srgb.fromXyz(Oklch.toXyz(lch));
    }

    private static double difference(double[] rgb, double[] lch) {
        return Oklab.difference(Oklab.fromXyz(Srgb.toXyz(rgb)), Oklch.toOklab(lch));
    }

    private static double[] clip(double[] rgb) {
        return new double[] {clip(rgb[0]), clip(rgb[1]), clip(rgb[2])};
    }

    private static double clip(double component) {
        return Math.max(0, Math.min(1, component));
    }
}
