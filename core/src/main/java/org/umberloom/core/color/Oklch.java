package org.umberloom.core.color;

/** OKLCH: OKLab in polar form. Lightness 0 to 1, chroma from 0, hue in degrees. Source: CSS Color 4, section 9. */
final class Oklch {
    /** Below this chroma a hue says nothing. Source: CSS Color 4, section 4.4, epsilon for OKLCH. */
    private static final double POWERLESS_CHROMA = 0.000004;

    private Oklch() {}

    static double[] fromXyz(double[] xyz) {
        return fromOklab(Oklab.fromXyz(xyz));
    }

    static double[] toXyz(double[] lch) {
        return Oklab.toXyz(toOklab(lch));
    }

    static double[] fromOklab(double[] lab) {
        return Polar.of(lab, POWERLESS_CHROMA);
    }

    static double[] toOklab(double[] lch) {
        return Polar.cartesian(lch);
    }
}
