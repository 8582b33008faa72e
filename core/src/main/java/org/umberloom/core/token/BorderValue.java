package org.umberloom.core.token;

import java.util.Map;
import java.util.Optional;

/** A line around something. Source: Format Module 2025.10, border. */
public record BorderValue(TokenValue color, TokenValue width, TokenValue style) implements CompositeValue {
    /** @throws IllegalArgumentException when a part is a literal of the wrong type */
    public BorderValue {
        CompositeValue.check("a border", "color", color, TokenType.COLOR);
        CompositeValue.check("a border", "width", width, TokenType.DIMENSION);
        CompositeValue.check("a border", "style", style, TokenType.STROKE_STYLE);
    }

    @Override
    public Map<String, TokenValue> parts() {
        return CompositeValue.named("color", color, "width", width, "style", style);
    }

    @Override
    public TokenType partType(String part) {
        return switch (part) {
            case "color" -> TokenType.COLOR;
            case "width" -> TokenType.DIMENSION;
            case "style" -> TokenType.STROKE_STYLE;
            default -> throw new IllegalArgumentException("a border has no part “" + part + "”");
        };
    }

    @Override
    public BorderValue withParts(Map<String, TokenValue> parts) {
        return new BorderValue(parts.get("color"), parts.get("width"), parts.get("style"));
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.BORDER);
    }
}
