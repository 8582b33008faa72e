package org.umberloom.core.token;

import java.util.Optional;

/** One manner of a text style. @param text as people write it: {@code italic}, {@code tnum -liga} */
public record MannerValue(Manner manner, String text) implements TokenValue {
    /** As a value of the property that it is for. */
    public String css() {
        return manner.css(text).orElseThrow();
    }

    /** It is a part of a text style and no token's value by itself. */
    @Override
    public Optional<TokenType> type() {
        return Optional.empty();
    }
}
