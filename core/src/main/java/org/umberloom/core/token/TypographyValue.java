package org.umberloom.core.token;

import java.util.Map;
import java.util.Optional;

/** A text style of five parts. Source: Format Module 2025.10, typography. */
public record TypographyValue(
        TokenValue fontFamily,
        TokenValue fontSize,
        TokenValue fontWeight,
        TokenValue letterSpacing,
        TokenValue lineHeight)
        implements CompositeValue {

    /** @throws IllegalArgumentException when a part is a literal of the wrong type */
    public TypographyValue {
        CompositeValue.check("typography", "fontFamily", fontFamily, TokenType.FONT_FAMILY);
        CompositeValue.check("typography", "fontSize", fontSize, TokenType.DIMENSION);
        CompositeValue.check("typography", "fontWeight", fontWeight, TokenType.FONT_WEIGHT);
        CompositeValue.check("typography", "letterSpacing", letterSpacing, TokenType.DIMENSION);
        CompositeValue.check("typography", "lineHeight", lineHeight, TokenType.NUMBER);
    }

    @Override
    public Map<String, TokenValue> parts() {
        return CompositeValue.named(
                "fontFamily",
                fontFamily,
                "fontSize",
                fontSize,
                "fontWeight",
                fontWeight,
                "letterSpacing",
                letterSpacing,
                "lineHeight",
                lineHeight);
    }

    /** One part by its name in the format. @throws IllegalArgumentException for another name */
    public TokenValue part(String name) {
        return switch (name) {
            case "fontFamily" -> fontFamily;
            case "fontSize" -> fontSize;
            case "fontWeight" -> fontWeight;
            case "letterSpacing" -> letterSpacing;
            case "lineHeight" -> lineHeight;
            default -> throw noPart(name);
        };
    }

    @Override
    public TokenType partType(String part) {
        return typeOf(part);
    }

    /** The type a literal part must have. */
    public static TokenType typeOf(String part) {
        return switch (part) {
            case "fontFamily" -> TokenType.FONT_FAMILY;
            case "fontSize", "letterSpacing" -> TokenType.DIMENSION;
            case "fontWeight" -> TokenType.FONT_WEIGHT;
            case "lineHeight" -> TokenType.NUMBER;
            default -> throw noPart(part);
        };
    }

    private static IllegalArgumentException noPart(String name) {
        return new IllegalArgumentException("typography has no part “" + name + "”");
    }

    @Override
    public TypographyValue withParts(Map<String, TokenValue> parts) {
        return new TypographyValue(
                parts.get("fontFamily"),
                parts.get("fontSize"),
                parts.get("fontWeight"),
                parts.get("letterSpacing"),
                parts.get("lineHeight"));
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.TYPOGRAPHY);
    }
}
