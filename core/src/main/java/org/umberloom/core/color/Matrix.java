package org.umberloom.core.color;

/** Multiplication of a 3×3 matrix with a triple. */
final class Matrix {
    private Matrix() {
    }

    static double[] multiply(double[][] m, double[] v) {
        return new double[] {
            m[0][0] * v[0] + m[0][1] * v[1] + m[0][2] * v[2],
            m[1][0] * v[0] + m[1][1] * v[1] + m[1][2] * v[2],
            m[2][0] * v[0] + m[2][1] * v[1] + m[2][2] * v[2]
        };
    }
}
