package org.umberloom.core.token;

import java.util.Optional;

/** A length of time in milliseconds or seconds. Source: Format Module 2025.10, duration. */
public record DurationValue(double amount, Unit unit) implements TokenValue {
    public enum Unit {
        MS,
        S;

        public String css() {
            return this == MS ? "ms" : "s";
        }
    }

    private static final double LARGEST = 1e9;

    /** @throws IllegalArgumentException when the amount is not finite, or beyond a thousand million */
    public DurationValue {
        if (!(Math.abs(amount) <= LARGEST))
            throw new IllegalArgumentException("a duration must be a number up to a thousand million, was " + amount);
    }

    public static DurationValue ms(double amount) {
        return new DurationValue(amount, Unit.MS);
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.DURATION);
    }
}
