package org.umberloom.core.token;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** A composite of five members, each a literal or an alias. Source: Format Module 2025.10, typography. */
public record TypographyValue(
        TokenValue fontFamily, TokenValue fontSize, TokenValue fontWeight, TokenValue letterSpacing,
        TokenValue lineHeight) implements TokenValue {

    /** @throws IllegalArgumentException when a member is a literal of the wrong type */
    public TypographyValue {
        check("fontFamily", fontFamily, TokenType.FONT_FAMILY);
        check("fontSize", fontSize, TokenType.DIMENSION);
        check("fontWeight", fontWeight, TokenType.FONT_WEIGHT);
        check("letterSpacing", letterSpacing, TokenType.DIMENSION);
        check("lineHeight", lineHeight, TokenType.NUMBER);
    }

    /** The members by their names in the format, in its order. */
    public Map<String, TokenValue> members() {
        Map<String, TokenValue> members = new LinkedHashMap<>();
        members.put("fontFamily", fontFamily);
        members.put("fontSize", fontSize);
        members.put("fontWeight", fontWeight);
        members.put("letterSpacing", letterSpacing);
        members.put("lineHeight", lineHeight);
        return members;
    }

    /** One member by its name in the format. @throws IllegalArgumentException for another name */
    public TokenValue member(String name) {
        return switch (name) {
            case "fontFamily" -> fontFamily;
            case "fontSize" -> fontSize;
            case "fontWeight" -> fontWeight;
            case "letterSpacing" -> letterSpacing;
            case "lineHeight" -> lineHeight;
            default -> throw new IllegalArgumentException("typography has no member “" + name + "”");
        };
    }

    /** The same value with one member replaced; the name is one of {@link #members()}. */
    public TypographyValue with(String member, TokenValue value) {
        Map<String, TokenValue> members = members();
        if (members.replace(member, value) == null)
            throw new IllegalArgumentException("typography has no member “" + member + "”");
        return ofMembers(members);
    }

    /** From all five members by name. */
    public static TypographyValue ofMembers(Map<String, TokenValue> members) {
        return new TypographyValue(members.get("fontFamily"), members.get("fontSize"), members.get("fontWeight"),
                members.get("letterSpacing"), members.get("lineHeight"));
    }

    /** The type a literal member must have. */
    public static TokenType memberType(String member) {
        return switch (member) {
            case "fontFamily" -> TokenType.FONT_FAMILY;
            case "fontSize", "letterSpacing" -> TokenType.DIMENSION;
            case "fontWeight" -> TokenType.FONT_WEIGHT;
            case "lineHeight" -> TokenType.NUMBER;
            default -> throw new IllegalArgumentException("typography has no member “" + member + "”");
        };
    }

    private static void check(String member, TokenValue value, TokenType type) {
        if (value == null) throw new IllegalArgumentException("typography needs its member " + member);
        if (!(value instanceof Alias) && !value.type().equals(Optional.of(type)))
            throw new IllegalArgumentException("typography's " + member + " must be a " + type.id());
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.TYPOGRAPHY);
    }
}
