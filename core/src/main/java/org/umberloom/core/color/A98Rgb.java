package org.umberloom.core.color;

/** Gamma-encoded a98-rgb. Source: CSS Color 4, section 18, lin_a98rgb_to_XYZ. */
final class A98Rgb {
    private static final double GAMMA = 563.0 / 256;
    private static final double[][] TO_XYZ = {
        {573536.0 / 994567, 263643.0 / 1420810, 187206.0 / 994567},
        {591459.0 / 1989134, 6239551.0 / 9945670, 374412.0 / 4972835},
        {53769.0 / 1989134, 351524.0 / 4972835, 4929758.0 / 4972835}
    };
    private static final double[][] FROM_XYZ = {
        {1829569.0 / 896150, -506331.0 / 896150, -308931.0 / 896150},
        {-851781.0 / 878810, 1648619.0 / 878810, 36519.0 / 878810},
        {16779.0 / 1248040, -147721.0 / 1248040, 1266979.0 / 1248040}
    };

    private A98Rgb() {}

    static double[] toXyz(double[] encoded) {
        return Matrix.multiply(TO_XYZ, Matrix.each(encoded, x -> Math.signum(x) * Math.pow(Math.abs(x), GAMMA)));
    }

    static double[] fromXyz(double[] xyz) {
        return Matrix.each(Matrix.multiply(FROM_XYZ, xyz), x -> Math.signum(x) * Math.pow(Math.abs(x), 1 / GAMMA));
    }
}
