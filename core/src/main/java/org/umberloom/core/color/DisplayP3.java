package org.umberloom.core.color;

/** Gamma-encoded Display P3; it shares the transfer function of sRGB. Source: CSS Color 4, section 18, lin_P3_to_XYZ. */
final class DisplayP3 {
    private static final double[][] TO_XYZ = {
        {608311.0 / 1250200, 189793.0 / 714400, 198249.0 / 1000160},
        {35783.0 / 156275, 247089.0 / 357200, 198249.0 / 2500400},
        {0, 32229.0 / 714400, 5220557.0 / 5000800}
    };
    private static final double[][] FROM_XYZ = {
        {446124.0 / 178915, -333277.0 / 357830, -72051.0 / 178915},
        {-14852.0 / 17905, 63121.0 / 35810, 423.0 / 17905},
        {11844.0 / 330415, -50337.0 / 660830, 316169.0 / 330415}
    };

    private DisplayP3() {}

    static double[] toXyz(double[] encoded) {
        return linearToXyz(Srgb.decode(encoded));
    }

    static double[] linearToXyz(double[] linear) {
        return Matrix.multiply(TO_XYZ, linear);
    }

    static double[] linearFromXyz(double[] xyz) {
        return Matrix.multiply(FROM_XYZ, xyz);
    }

    static double[] fromXyz(double[] xyz) {
        return Srgb.encode(linearFromXyz(xyz));
    }
}
