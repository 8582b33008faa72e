package org.umberloom.core.color;

import java.util.List;

/**
 * How colors look to people who lack one kind of cone. Source: G. Machado, M. Oliveira, L. Fernandes, "A physiologically-
 * based model for simulation of color vision deficiency", 2009, severity 1.0; on linear sRGB.
 */
public enum Deficiency {
    PROTANOPIA("protanopia", "without red cones", new double[][] {
        {0.152286, 1.052583, -0.204868}, {0.114503, 0.786281, 0.099216}, {-0.003882, -0.048116, 1.051998}
    }),
    DEUTERANOPIA("deuteranopia", "without green cones", new double[][] {
        {0.367322, 0.860646, -0.227968}, {0.280085, 0.672501, 0.047413}, {-0.011820, 0.042940, 0.968881}
    }),
    TRITANOPIA("tritanopia", "without blue cones", new double[][] {
        {1.255528, -0.076749, -0.178779}, {-0.078411, 0.930809, 0.147602}, {0.004733, 0.691367, 0.303900}
    });

    private final String id;
    private final String words;
    private final double[][] matrix;

    Deficiency(String id, String words, double[][] matrix) {
        this.id = id;
        this.words = words;
        this.matrix = matrix;
    }

    public String id() {
        return id;
    }

    /** In words that need no medical dictionary. */
    public String words() {
        return words;
    }

    /** The nine numbers of the matrix on linear sRGB, row by row. */
    public List<Double> matrix() {
        return List.of(
                matrix[0][0],
                matrix[0][1],
                matrix[0][2],
                matrix[1][0],
                matrix[1][1],
                matrix[1][2],
                matrix[2][0],
                matrix[2][1],
                matrix[2][2]);
    }

    /** The color as it is seen, brought into sRGB as a screen does: each component clipped. Alpha stays. */
    public Color seen(Color color) {
        double[] linear = Srgb.decode(GamutMapping.toSrgb(color));
        double[] seen = Srgb.encode(Matrix.each(Matrix.multiply(matrix, linear), x -> Math.max(0, Math.min(1, x))));
        return new Color(ColorSpace.SRGB, seen[0], seen[1], seen[2], color.alpha());
    }
}
