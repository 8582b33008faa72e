package org.umberloom.core.token;

import java.util.Map;
import java.util.Optional;

/** One shadow; {@code inset} throws it inward. Source: Format Module 2025.10, shadow. */
public record ShadowValue(
        TokenValue color, TokenValue offsetX, TokenValue offsetY, TokenValue blur, TokenValue spread, boolean inset)
        implements CompositeValue {
    /** @throws IllegalArgumentException when a part is a literal of the wrong type */
    public ShadowValue {
        CompositeValue.check("a shadow", "color", color, TokenType.COLOR);
        CompositeValue.check("a shadow", "offsetX", offsetX, TokenType.DIMENSION);
        CompositeValue.check("a shadow", "offsetY", offsetY, TokenType.DIMENSION);
        CompositeValue.check("a shadow", "blur", blur, TokenType.DIMENSION);
        CompositeValue.check("a shadow", "spread", spread, TokenType.DIMENSION);
    }

    @Override
    public Map<String, TokenValue> parts() {
        return CompositeValue.named(
                "color", color, "offsetX", offsetX, "offsetY", offsetY, "blur", blur, "spread", spread);
    }

    @Override
    public TokenType partType(String part) {
        return switch (part) {
            case "color" -> TokenType.COLOR;
            case "offsetX", "offsetY", "blur", "spread" -> TokenType.DIMENSION;
            default -> throw new IllegalArgumentException("a shadow has no part “" + part + "”");
        };
    }

    @Override
    public ShadowValue withParts(Map<String, TokenValue> parts) {
        return new ShadowValue(
                parts.get("color"),
                parts.get("offsetX"),
                parts.get("offsetY"),
                parts.get("blur"),
                parts.get("spread"),
                inset);
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.SHADOW);
    }
}
