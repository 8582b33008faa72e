package org.umberloom.core.token;

import java.util.Optional;

/** A number without a unit, such as a line height or a ratio. */
public record NumberValue(double number) implements TokenValue {
    /** Whole numbers are exact up to about here. */
    private static final double LARGEST = 1e15;

    /** @throws IllegalArgumentException when it is not finite, or beyond 1e15 */
    public NumberValue {
        if (!(Math.abs(number) <= LARGEST))
            throw new IllegalArgumentException("a number must be finite and at most 1e15, was " + number);
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.NUMBER);
    }
}
