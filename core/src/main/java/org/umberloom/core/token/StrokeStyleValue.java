package org.umberloom.core.token;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How a line is drawn: by keyword, or as dashes. Source: Format Module 2025.10, strokeStyle.
 *
 * @param keyword one of {@link #KEYWORDS}; empty for dashes of its own
 * @param dash    lengths of dashes and gaps in turn; empty for a keyword
 * @param lineCap one of {@link #LINE_CAPS}; empty for a keyword
 */
public record StrokeStyleValue(String keyword, List<TokenValue> dash, String lineCap) implements CompositeValue {
    public static final List<String> KEYWORDS =
            List.of("solid", "dashed", "dotted", "double", "groove", "ridge", "outset", "inset");
    public static final List<String> LINE_CAPS = List.of("round", "butt", "square");

    /** @throws IllegalArgumentException unless it is one known keyword, or dashes with a known line cap */
    public StrokeStyleValue {
        dash = List.copyOf(dash);
        if (!keyword.isEmpty() && !(KEYWORDS.contains(keyword) && dash.isEmpty() && lineCap.isEmpty()))
            throw new IllegalArgumentException("“" + keyword + "” is not a stroke style: it is one of "
                    + String.join(", ", KEYWORDS) + ", or dashes with a line cap");
        if (keyword.isEmpty() && dash.isEmpty())
            throw new IllegalArgumentException("a dashed stroke needs at least one length");
        if (keyword.isEmpty() && !LINE_CAPS.contains(lineCap))
            throw new IllegalArgumentException("“" + lineCap + "” is not a line cap: it is round, butt or square");
        for (TokenValue length : dash) CompositeValue.check("a stroke", "dash", length, TokenType.DIMENSION);
    }

    public static StrokeStyleValue of(String keyword) {
        return new StrokeStyleValue(keyword, List.of(), "");
    }

    @Override
    public Map<String, TokenValue> parts() {
        Map<String, TokenValue> parts = new LinkedHashMap<>();
        for (int i = 0; i < dash.size(); i++) parts.put(Integer.toString(i), dash.get(i));
        return parts;
    }

    @Override
    public TokenType partType(String part) {
        return TokenType.DIMENSION;
    }

    @Override
    public StrokeStyleValue withParts(Map<String, TokenValue> parts) {
        return new StrokeStyleValue(keyword, List.copyOf(parts.values()), lineCap);
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.STROKE_STYLE);
    }
}
