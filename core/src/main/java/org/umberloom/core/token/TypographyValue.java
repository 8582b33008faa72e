package org.umberloom.core.token;

import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * A text style of five parts, with what it says besides. Source: Format Module 2025.10, typography.
 *
 * @param manner what the format has no part for, as far as the style says it
 */
public record TypographyValue(
        TokenValue fontFamily,
        TokenValue fontSize,
        TokenValue fontWeight,
        TokenValue letterSpacing,
        TokenValue lineHeight,
        Map<Manner, MannerValue> manner)
        implements CompositeValue {

    /** @throws IllegalArgumentException when a part is a literal of the wrong type */
    public TypographyValue {
        CompositeValue.check("typography", "fontFamily", fontFamily, TokenType.FONT_FAMILY);
        CompositeValue.check("typography", "fontSize", fontSize, TokenType.DIMENSION);
        CompositeValue.check("typography", "fontWeight", fontWeight, TokenType.FONT_WEIGHT);
        CompositeValue.check("typography", "letterSpacing", letterSpacing, TokenType.DIMENSION);
        CompositeValue.check("typography", "lineHeight", lineHeight, TokenType.NUMBER);
        manner = manner.isEmpty() ? Map.of() : Collections.unmodifiableMap(new EnumMap<>(manner));
    }

    public TypographyValue(
            TokenValue fontFamily,
            TokenValue fontSize,
            TokenValue fontWeight,
            TokenValue letterSpacing,
            TokenValue lineHeight) {
        this(fontFamily, fontSize, fontWeight, letterSpacing, lineHeight, Map.of());
    }

    /** Of parts by their names, those of {@link Manner} among them. */
    public static TypographyValue of(Map<String, TokenValue> parts) {
        Map<Manner, MannerValue> manner = new EnumMap<>(Manner.class);
        parts.values().forEach(part -> {
            if (part instanceof MannerValue said) manner.put(said.manner(), said);
        });
        return new TypographyValue(
                parts.get("fontFamily"),
                parts.get("fontSize"),
                parts.get("fontWeight"),
                parts.get("letterSpacing"),
                parts.get("lineHeight"),
                manner);
    }

    /** The five of the format, then those of {@link Manner} that it says. */
    @Override
    public Map<String, TokenValue> parts() {
        Map<String, TokenValue> parts = CompositeValue.named(
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
        manner.forEach((one, said) -> parts.put(one.part(), said));
        return parts;
    }

    /** One of the five by its name in the format. @throws IllegalArgumentException for another name */
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

    /** The type a literal part of the five must have. @throws IllegalArgumentException for another name */
    public static TokenType typeOf(String part) {
        return switch (part) {
            case "fontFamily" -> TokenType.FONT_FAMILY;
            case "fontSize", "letterSpacing" -> TokenType.DIMENSION;
            case "fontWeight" -> TokenType.FONT_WEIGHT;
            case "lineHeight" -> TokenType.NUMBER;
            default -> throw noPart(part);
        };
    }

    /** A part as people write it. @throws IllegalArgumentException that says what is wrong */
    public static TokenValue parse(String part, String text) {
        return Manner.ofPart(part)
                .<TokenValue>map(manner -> manner.parse(text))
                .orElseGet(() -> ValueText.parse(typeOf(part), text));
    }

    private static IllegalArgumentException noPart(String name) {
        return new IllegalArgumentException(
                "typography has no part “" + name + "”; besides the format’s it has " + Manner.names());
    }

    /** Also with a manner that was not said so far. */
    @Override
    public CompositeValue withPart(String part, TokenValue value) {
        Map<String, TokenValue> parts = new LinkedHashMap<>(parts());
        if (!(value instanceof MannerValue)) typeOf(part);
        parts.put(part, value);
        return withParts(parts);
    }

    public TypographyValue with(MannerValue said) {
        return of(withPart(said.manner().part(), said).parts());
    }

    /** Saying nothing of a manner any more. */
    public TypographyValue without(Manner one) {
        Map<String, TokenValue> parts = new LinkedHashMap<>(parts());
        parts.remove(one.part());
        return withParts(parts);
    }

    @Override
    public TypographyValue withParts(Map<String, TokenValue> parts) {
        return of(parts);
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.TYPOGRAPHY);
    }
}
