package org.umberloom.core.color;

/** Linear-light sRGB, each component 0 to 1 inside the gamut. Source: CSS Color 4, section 18, lin_sRGB_to_XYZ. */
final class LinearSrgb {
    private static final double[][] TO_XYZ = {
        {506752.0 / 1228815, 87881.0 / 245763, 12673.0 / 70218},
        {87098.0 / 409605, 175762.0 / 245763, 12673.0 / 175545},
        {7918.0 / 409605, 87881.0 / 737289, 1001167.0 / 1053270}
    };
    private static final double[][] FROM_XYZ = {
        {12831.0 / 3959, -329.0 / 214, -1974.0 / 3959},
        {-851781.0 / 878810, 1648619.0 / 878810, 36519.0 / 878810},
        {705.0 / 12673, -2585.0 / 12673, 705.0 / 667}
    };

    private LinearSrgb() {}

    static double[] toXyz(double[] linear) {
        return Matrix.multiply(TO_XYZ, linear);
    }

    static double[] fromXyz(double[] xyz) {
        return Matrix.multiply(FROM_XYZ, xyz);
    }
}
