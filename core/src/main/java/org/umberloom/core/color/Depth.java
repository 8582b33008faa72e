package org.umberloom.core.color;

/**
 * A color's place between white (0) and black (120), spaced so that contrast is subtraction: two colors' WCAG 2.2
 * ratio is 21^(Δdepth/120). 60 apart is enough for text, 45 for shapes, 80 for the strictest level.
 */
public record Depth(double value) implements Comparable<Depth> {
    public static final double BLACK = 120;

    /** @throws IllegalArgumentException outside 0 to 120 */
    public Depth {
        if (!(value >= 0 && value <= BLACK))
            throw new IllegalArgumentException("depth must be between 0 and 120, was " + value);
    }

    /** Depth of a color as a screen shows it, alpha ignored. */
    public static Depth of(Color color) {
        return ofLuminance(Contrast.luminance(color));
    }

    /** Depth of a relative luminance, 0 to 1. */
    public static Depth ofLuminance(double luminance) {
        double depth = BLACK * Math.log(1.05 / (luminance + 0.05)) / Math.log(21);
        return new Depth(Math.max(0, Math.min(BLACK, depth)));
    }

    /** WCAG 2.2 contrast ratio, 1 to 21. */
    public double contrastTo(Depth other) {
        return Math.pow(21, Math.abs(value - other.value) / BLACK);
    }

    /** How far apart two depths must be to reach a ratio of 1 to 21. */
    public static double spanFor(double ratio) {
        return BLACK * Math.log(ratio) / Math.log(21);
    }

    @Override
    public int compareTo(Depth other) {
        return Double.compare(value, other.value);
    }
}
