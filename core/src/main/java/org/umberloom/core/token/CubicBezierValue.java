package org.umberloom.core.token;

import java.util.Optional;

/**
 * An easing curve by its two control points. Source: Format Module 2025.10, cubicBezier.
 *
 * @param x1 0 to 1
 * @param x2 0 to 1
 */
public record CubicBezierValue(double x1, double y1, double x2, double y2) implements TokenValue {
    private static final double LARGEST = 1e6;

    /** @throws IllegalArgumentException when an x lies outside 0 to 1, or a number is not finite */
    public CubicBezierValue {
        if (!(x1 >= 0 && x1 <= 1 && x2 >= 0 && x2 <= 1))
            throw new IllegalArgumentException("the x of an easing curve’s points must be between 0 and 1");
        if (!(Math.abs(y1) <= LARGEST && Math.abs(y2) <= LARGEST))
            throw new IllegalArgumentException("the y of an easing curve’s points must be numbers up to a million");
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.CUBIC_BEZIER);
    }
}
