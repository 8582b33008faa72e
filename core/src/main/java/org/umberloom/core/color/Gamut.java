package org.umberloom.core.color;

/** What a screen can show: the colors inside an RGB space whose transfer function is that of sRGB. */
public enum Gamut {
    SRGB(ColorSpace.SRGB) {
        @Override
        double[] linear(double[] xyz) {
            return LinearSrgb.fromXyz(xyz);
        }

        @Override
        double[] xyz(double[] linear) {
            return LinearSrgb.toXyz(linear);
        }
    },
    DISPLAY_P3(ColorSpace.DISPLAY_P3) {
        @Override
        double[] linear(double[] xyz) {
            return DisplayP3.linearFromXyz(xyz);
        }

        @Override
        double[] xyz(double[] linear) {
            return DisplayP3.linearToXyz(linear);
        }
    };

    /** Far below one 8-bit level: as far as an encoded component may lie outside and still count as inside. */
    private static final double TOLERANCE = 0.000075;

    private static final double LEAST = Srgb.decode(-TOLERANCE);
    private static final double MOST = Srgb.decode(1 + TOLERANCE);

    private final ColorSpace space;

    Gamut(ColorSpace space) {
        this.space = space;
    }

    /** The RGB space itself. */
    public ColorSpace space() {
        return space;
    }

    /** Whether every component of a color in this space lies in 0 to 1, with a tolerance far below one 8-bit level. */
    public boolean holds(Color color) {
        for (double component : color.inSpace(space))
            if (component < -TOLERANCE || component > 1 + TOLERANCE) return false;
        return true;
    }

    /** XYZ D65 to linear light in this space; nothing is clipped. */
    abstract double[] linear(double[] xyz);

    abstract double[] xyz(double[] linear);

    /** The same tolerance, on linear light. */
    static boolean holdsLinear(double[] linear) {
        for (double component : linear) if (component < LEAST || component > MOST) return false;
        return true;
    }
}
