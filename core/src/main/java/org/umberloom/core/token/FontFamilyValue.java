package org.umberloom.core.token;

import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Font families in order of preference, the last usually a generic one. */
public record FontFamilyValue(List<String> families) implements TokenValue {
    /** Names that stand for a kind of family and are written without quotes. Source: CSS Fonts 4, generic-family. */
    public static final Set<String> GENERIC = Set.of(
            "serif",
            "sans-serif",
            "monospace",
            "cursive",
            "fantasy",
            "system-ui",
            "ui-serif",
            "ui-sans-serif",
            "ui-monospace",
            "ui-rounded");

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
