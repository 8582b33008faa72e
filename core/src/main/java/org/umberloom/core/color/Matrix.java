package org.umberloom.core.color;

import java.util.function.DoubleUnaryOperator;

/** Arithmetic on triples. */
final class Matrix {
    private Matrix() {}

    static double[] multiply(double[][] m, double[] v) {
        return new double[] {
            m[0][0] * v[0] + m[0][1] * v[1] + m[0][2] * v[2],
            m[1][0] * v[0] + m[1][1] * v[1] + m[1][2] * v[2],
            m[2][0] * v[0] + m[2][1] * v[1] + m[2][2] * v[2]
        };
    }

    /** The same function of each of three components. */
    static double[] each(double[] v, DoubleUnaryOperator function) {
        return new double[] {function.applyAsDouble(v[0]), function.applyAsDouble(v[1]), function.applyAsDouble(v[2])};
    }
}
