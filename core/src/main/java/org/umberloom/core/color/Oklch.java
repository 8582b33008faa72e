package org.umberloom.core.color;

/** OKLCH: OKLab in polar form. Lightness 0 to 1, chroma from 0, hue in degrees. Source: CSS Color 4, section 9. */
final class Oklch {
    /** Below this chroma a hue says nothing. Source: CSS Color 4, section 4.4, epsilon for OKLCH. */
    private static final double POWERLESS_CHROMA = 0.000004;

    private Oklch() {
    }

    static double[] fromXyz(double[] xyz) {
        return fromOklab(Oklab.fromXyz(xyz));
    }

    static double[] toXyz(double[] lch) {
        return Oklab.toXyz(toOklab(lch));
    }

    static double[] fromOklab(double[] lab) {
        double chroma = Math.hypot(lab[1], lab[2]);
        double hue = chroma <= POWERLESS_CHROMA ? Color.NONE : Math.toDegrees(Math.atan2(lab[2], lab[1]));
        return new double[] {lab[0], chroma, hue < 0 ? hue + 360 : hue};
    }

    static double[] toOklab(double[] lch) {
        double hue = Double.isNaN(lch[2]) ? 0 : Math.toRadians(lch[2]);
        return new double[] {lch[0], lch[1] * Math.cos(hue), lch[1] * Math.sin(hue)};
    }
}
