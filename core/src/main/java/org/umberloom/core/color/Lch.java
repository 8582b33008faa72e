package org.umberloom.core.color;

/** CIE LCH: Lab in polar form. Lightness 0 to 100, chroma from 0, hue in degrees. Source: CSS Color 4, section 9. */
final class Lch {
    /** Below this chroma a hue says nothing. Source: CSS Color 4, section 4.4, epsilon for LCH. */
    private static final double POWERLESS_CHROMA = 0.0015;

    private Lch() {}

    static double[] fromXyz(double[] xyz) {
        return Polar.of(Lab.fromXyz(xyz), POWERLESS_CHROMA);
    }

    static double[] toXyz(double[] lch) {
        return Lab.toXyz(Polar.cartesian(lch));
    }
}
