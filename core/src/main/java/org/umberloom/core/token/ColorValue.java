package org.umberloom.core.token;

import java.util.Optional;
import org.umberloom.core.color.Color;

/** A color. */
public record ColorValue(Color color) implements TokenValue {
    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.COLOR);
    }
}
