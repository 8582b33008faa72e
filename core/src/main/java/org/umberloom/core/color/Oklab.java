package org.umberloom.core.color;

/**
 * OKLab: L from 0 to 1, a and b roughly −0.4 to 0.4. Sources: B. Ottosson, "A perceptual color space for image
 * processing", 2020; matrices at full precision as in CSS Color 4, section 18, XYZ_to_OKLab.
 */
final class Oklab {
    private static final double[][] XYZ_TO_LMS = {
        {0.8190224379967030, 0.3619062600528904, -0.1288737815209879},
        {0.0329836539323885, 0.9292868615863434, 0.0361446663506424},
        {0.0481771893596242, 0.2642395317527308, 0.6335478284694309}
    };
    private static final double[][] LMS_TO_LAB = {
        {0.2104542683093140, 0.7936177747023054, -0.0040720430116193},
        {1.9779985324311684, -2.4285922420485799, 0.4505937096174110},
        {0.0259040424655478, 0.7827717124575296, -0.8086757549230774}
    };
    private static final double[][] LMS_TO_XYZ = {
        {1.2268798758459243, -0.5578149944602171, 0.2813910456659647},
        {-0.0405757452148008, 1.1122868032803170, -0.0717110580655164},
        {-0.0763729366746601, -0.4214933324022432, 1.5869240198367816}
    };
    private static final double[][] LAB_TO_LMS = {
        {1.0000000000000000, 0.3963377773761749, 0.2158037573099136},
        {1.0000000000000000, -0.1055613458156586, -0.0638541728258133},
        {1.0000000000000000, -0.0894841775298119, -1.2914855480194092}
    };

    private Oklab() {}

    static double[] fromXyz(double[] xyz) {
        double[] lms = Matrix.multiply(XYZ_TO_LMS, xyz);
        return Matrix.multiply(LMS_TO_LAB, new double[] {Math.cbrt(lms[0]), Math.cbrt(lms[1]), Math.cbrt(lms[2])});
    }

    static double[] toXyz(double[] lab) {
        double[] root = Matrix.multiply(LAB_TO_LMS, lab);
        return Matrix.multiply(LMS_TO_XYZ, new double[] {cube(root[0]), cube(root[1]), cube(root[2])});
    }

    /** Distance ΔE OK: Euclidean in OKLab. Source: CSS Color 4, section 13, deltaEOK. */
    static double difference(double[] one, double[] other) {
        double dl = one[0] - other[0];
        double da = one[1] - other[1];
        double db = one[2] - other[2];
        return Math.sqrt(dl * dl + da * da + db * db);
    }

    private static double cube(double x) {
        return x * x * x;
    }
}
