package org.umberloom.core.token;

import java.util.Optional;

/**
 * A value of a type that is not understood here, kept exactly as it was read.
 *
 * @param typeId its {@code $type}, or empty
 * @param data   plain data: maps, lists, strings, numbers, booleans
 */
public record ForeignValue(String typeId, Object data) implements TokenValue {
    @Override
    public Optional<TokenType> type() {
        return Optional.empty();
    }
}
