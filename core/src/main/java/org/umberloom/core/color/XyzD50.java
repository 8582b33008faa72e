package org.umberloom.core.color;

/** CIE XYZ relative to D50, adapted from D65 by Bradford. Source: CSS Color 4, section 18, D65_to_D50. */
final class XyzD50 {
    private static final double[][] FROM_D65 = {
        {1.0479297925449969, 0.022946870601609652, -0.05019226628920524},
        {0.02962780877005599, 0.9904344267538799, -0.017073799063418826},
        {-0.009243040646204504, 0.015055191490298152, 0.7518742814281371}
    };
    private static final double[][] TO_D65 = {
        {0.955473421488075, -0.02309845494876471, 0.06325924320057072},
        {-0.0283697093338637, 1.0099953980813041, 0.021041441191917323},
        {0.012314014864481998, -0.020507649298898964, 1.330365926242124}
    };

    private XyzD50() {}

    static double[] toXyz(double[] d50) {
        return Matrix.multiply(TO_D65, d50);
    }

    static double[] fromXyz(double[] d65) {
        return Matrix.multiply(FROM_D65, d65);
    }
}
