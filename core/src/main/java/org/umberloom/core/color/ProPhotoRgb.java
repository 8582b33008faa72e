package org.umberloom.core.color;

/** Gamma-encoded prophoto-rgb, relative to D50. Source: CSS Color 4, section 18, lin_ProPhoto_to_XYZ. */
final class ProPhotoRgb {
    private static final double LINEAR_END = 1.0 / 512;
    private static final double[][] TO_XYZ_D50 = {
        {0.79776664490064230, 0.13518129740053308, 0.03134773412839220},
        {0.28807482881940130, 0.71183523424187300, 0.00008993693872564},
        {0, 0, 0.82510460251046020}
    };
    private static final double[][] FROM_XYZ_D50 = {
        {1.34578688164715830, -0.25557208737979464, -0.05110186497554526},
        {-0.54463070512490190, 1.50824774284514680, 0.02052744743642139},
        {0, 0, 1.21196754563894520}
    };

    private ProPhotoRgb() {}

    static double[] toXyz(double[] encoded) {
        return XyzD50.toXyz(Matrix.multiply(TO_XYZ_D50, Matrix.each(encoded, ProPhotoRgb::decode)));
    }

    static double[] fromXyz(double[] xyz) {
        return Matrix.each(Matrix.multiply(FROM_XYZ_D50, XyzD50.fromXyz(xyz)), ProPhotoRgb::encode);
    }

    private static double decode(double x) {
        return Math.abs(x) <= 16 * LINEAR_END ? x / 16 : Math.signum(x) * Math.pow(Math.abs(x), 1.8);
    }

    private static double encode(double x) {
        return Math.abs(x) >= LINEAR_END ? Math.signum(x) * Math.pow(Math.abs(x), 1 / 1.8) : 16 * x;
    }
}
