package org.umberloom.core.font;

/** An axis along which a font varies, such as {@code wght}, in its own units. */
public record Axis(String tag, double least, double usual, double most) {
    double within(double value) {
        return Math.max(least, Math.min(most, value));
    }
}
