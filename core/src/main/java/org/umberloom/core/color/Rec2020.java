package org.umberloom.core.color;

/** Gamma-encoded rec2020, display-referred. Source: CSS Color 4, section 18, lin_2020_to_XYZ; ITU-R BT.1886, gamma 2.4. */
final class Rec2020 {
    private static final double GAMMA = 2.4;
    private static final double[][] TO_XYZ = {
        {63426534.0 / 99577255, 20160776.0 / 139408157, 47086771.0 / 278816314},
        {26158966.0 / 99577255, 472592308.0 / 697040785, 8267143.0 / 139408157},
        {0, 19567812.0 / 697040785, 295819943.0 / 278816314}
    };
    private static final double[][] FROM_XYZ = {
        {30757411.0 / 17917100, -6372589.0 / 17917100, -4539589.0 / 17917100},
        {-19765991.0 / 29648200, 47925759.0 / 29648200, 467509.0 / 29648200},
        {792561.0 / 44930125, -1921689.0 / 44930125, 42328811.0 / 44930125}
    };

    private Rec2020() {}

    static double[] toXyz(double[] encoded) {
        return Matrix.multiply(TO_XYZ, Matrix.each(encoded, x -> Math.signum(x) * Math.pow(Math.abs(x), GAMMA)));
    }

    static double[] fromXyz(double[] xyz) {
        return Matrix.each(Matrix.multiply(FROM_XYZ, xyz), x -> Math.signum(x) * Math.pow(Math.abs(x), 1 / GAMMA));
    }
}
