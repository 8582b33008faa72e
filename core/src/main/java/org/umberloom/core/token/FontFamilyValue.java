package org.umberloom.core.token;

import java.util.List;
import java.util.Optional;

/** Font families in order of preference, the last usually a generic one. */
public record FontFamilyValue(List<String> families) implements TokenValue {
    /** @throws IllegalArgumentException for an empty list or an empty name */
    public FontFamilyValue {
        families = List.copyOf(families);
        if (families.isEmpty() || families.stream().anyMatch(String::isBlank))
            throw new IllegalArgumentException("a font family needs at least one name, and no name may be empty");
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.FONT_FAMILY);
    }
}
