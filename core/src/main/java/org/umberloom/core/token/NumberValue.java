package org.umberloom.core.token;

import java.util.Optional;

/** A number without a unit, such as a line height or a ratio. */
public record NumberValue(double number) implements TokenValue {
    /** @throws IllegalArgumentException when it is not finite */
    public NumberValue {
        if (!Double.isFinite(number)) throw new IllegalArgumentException("a number must be finite");
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.NUMBER);
    }
}
