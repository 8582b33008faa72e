package org.umberloom.core.token;

import java.util.Optional;

/** A length of time in milliseconds or seconds. Source: Format Module 2025.10, duration. */
public record DurationValue(double amount, Unit unit) implements TokenValue {
    public enum Unit {
        MS, S;

        public String css() {
            return this == MS ? "ms" : "s";
        }
    }

    /** @throws IllegalArgumentException when the amount is not finite */
    public DurationValue {
        if (!Double.isFinite(amount)) throw new IllegalArgumentException("a duration must be a finite number");
    }

    public static DurationValue ms(double amount) {
        return new DurationValue(amount, Unit.MS);
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.DURATION);
    }
}
