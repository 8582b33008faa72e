package org.umberloom.core.token;

import java.util.Map;
import java.util.Optional;

/** A font weight from 1 to 1000. Source: Format Module 2025.10, fontWeight, with its keywords. */
public record FontWeightValue(double weight) implements TokenValue {
    private static final Map<String, Integer> KEYWORDS = Map.ofEntries(
            Map.entry("thin", 100),
            Map.entry("hairline", 100),
            Map.entry("extra-light", 200),
            Map.entry("ultra-light", 200),
            Map.entry("light", 300),
            Map.entry("normal", 400),
            Map.entry("regular", 400),
            Map.entry("book", 400),
            Map.entry("medium", 500),
            Map.entry("semi-bold", 600),
            Map.entry("demi-bold", 600),
            Map.entry("bold", 700),
            Map.entry("extra-bold", 800),
            Map.entry("ultra-bold", 800),
            Map.entry("black", 900),
            Map.entry("heavy", 900),
            Map.entry("extra-black", 950),
            Map.entry("ultra-black", 950));

    /** @throws IllegalArgumentException outside 1 to 1000 */
    public FontWeightValue {
        if (!(weight >= 1 && weight <= 1000))
            throw new IllegalArgumentException(
                    "a font weight is a number from 1 to 1000, was " + ValueText.number(weight, 4));
    }

    public static Optional<FontWeightValue> ofKeyword(String keyword) {
        return Optional.ofNullable(KEYWORDS.get(keyword)).map(FontWeightValue::new);
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.FONT_WEIGHT);
    }
}
