package org.umberloom.core.color;

/** CIE Lab relative to D50: L from 0 to 100. Source: CSS Color 4, section 18, XYZ_to_Lab. */
final class Lab {
    private static final double KAPPA = 24389.0 / 27;
    private static final double EPSILON = 216.0 / 24389;
    private static final double[] WHITE = {0.3457 / 0.3585, 1, (1 - 0.3457 - 0.3585) / 0.3585};

    private Lab() {}

    static double[] fromXyz(double[] d65) {
        double[] xyz = XyzD50.fromXyz(d65);
        double fx = compress(xyz[0] / WHITE[0]);
        double fy = compress(xyz[1]);
        double fz = compress(xyz[2] / WHITE[2]);
        return new double[] {116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)};
    }

    static double[] toXyz(double[] lab) {
        double fy = (lab[0] + 16) / 116;
        double fx = lab[1] / 500 + fy;
        double fz = fy - lab[2] / 200;
        double y = lab[0] > KAPPA * EPSILON ? fy * fy * fy : lab[0] / KAPPA;
        return XyzD50.toXyz(new double[] {expand(fx) * WHITE[0], y, expand(fz) * WHITE[2]});
    }

    private static double compress(double t) {
        return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116;
    }

    private static double expand(double f) {
        double cubed = f * f * f;
        return cubed > EPSILON ? cubed : (116 * f - 16) / KAPPA;
    }
}
