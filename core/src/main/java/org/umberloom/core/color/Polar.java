package org.umberloom.core.color;

/** A lightness with two opponent axes, and the same with chroma and hue in degrees. */
final class Polar {
    private Polar() {}

    /** The hue is {@link Color#NONE} up to the given chroma. */
    static double[] of(double[] lab, double powerless) {
        double chroma = Math.hypot(lab[1], lab[2]);
        double hue = chroma <= powerless ? Color.NONE : Math.toDegrees(Math.atan2(lab[2], lab[1]));
        return new double[] {lab[0], chroma, hue < 0 ? hue + 360 : hue};
    }

    static double[] cartesian(double[] lch) {
        double hue = Double.isNaN(lch[2]) ? 0 : Math.toRadians(lch[2]);
        return new double[] {lch[0], lch[1] * Math.cos(hue), lch[1] * Math.sin(hue)};
    }
}
