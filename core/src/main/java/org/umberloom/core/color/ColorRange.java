package org.umberloom.core.color;

import java.util.Optional;

/** The ranges of the components of a color. Source: Color Module 2025.10, color spaces; a hue of 360 is written as 0. */
public final class ColorRange {
    private static final double[] UNIT = {0, 1};
    private static final double[] PERCENT = {0, 100};
    private static final double TURN = 360;
    private static final double[] HUE = {0, TURN};
    private static final double[] ANY = {Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY};
    private static final double[] FROM_ZERO = {0, Double.POSITIVE_INFINITY};
    private static final double BYTE = 255;

    private ColorRange() {}

    /** The first component that lies outside its range; none where all lie within, or are {@code none}. */
    public static Optional<Double> outside(Color color) {
        double[][] ranges = of(color.space());
        double[] components = {color.c1(), color.c2(), color.c3()};
        for (int i = 0; i < components.length; i++)
            if (components[i] < ranges[i][0]
                    || components[i] > ranges[i][1]
                    || ranges[i] == HUE && components[i] == TURN) return Optional.of(components[i]);
        return color.alpha() < 0 || color.alpha() > 1 ? Optional.of(color.alpha()) : Optional.empty();
    }

    /** The same color with every component in its range; components that were written from 0 to 255 are read as such. */
    public static Color within(Color color) {
        if (outside(color).isEmpty()) return color;
        double[][] ranges = of(color.space());
        double part = inBytes(color, ranges) ? BYTE : 1;
        return new Color(
                color.space(),
                held(color.c1() / part, ranges[0]),
                held(color.c2() / part, ranges[1]),
                held(color.c3() / part, ranges[2]),
                held(color.alpha(), UNIT));
    }

    private static boolean inBytes(Color color, double[][] ranges) {
        if (ranges[0] != UNIT || ranges[1] != UNIT || ranges[2] != UNIT) return false;
        for (double component : new double[] {color.c1(), color.c2(), color.c3()})
            if (component < 0 || component > BYTE || component != Math.rint(component)) return false;
        return true;
    }

    private static double held(double component, double[] range) {
        if (Double.isNaN(component)) return component;
        return range == HUE ? (component % TURN + TURN) % TURN : Math.max(range[0], Math.min(range[1], component));
    }

    private static double[][] of(ColorSpace space) {
        return switch (space) {
            case HSL, HWB -> new double[][] {HUE, PERCENT, PERCENT};
            case LAB -> new double[][] {PERCENT, ANY, ANY};
            case LCH -> new double[][] {PERCENT, FROM_ZERO, HUE};
            case OKLAB -> new double[][] {UNIT, ANY, ANY};
            case OKLCH -> new double[][] {UNIT, FROM_ZERO, HUE};
            case XYZ_D50, XYZ_D65 -> new double[][] {ANY, ANY, ANY};
            default -> new double[][] {UNIT, UNIT, UNIT};
        };
    }
}
