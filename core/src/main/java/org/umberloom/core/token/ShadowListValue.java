package org.umberloom.core.token;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Several shadows, the first on top; each is a shadow or refers to one. A shadow that refers to a list takes its place
 * in this one. Source: Format Module 2025.10, shadow.
 */
public record ShadowListValue(List<TokenValue> shadows) implements CompositeValue {
    /** @throws IllegalArgumentException for an empty list, or an item that is no shadow */
    public ShadowListValue {
        if (shadows.isEmpty()) throw new IllegalArgumentException("a list of shadows needs at least one");
        List<TokenValue> flat = new ArrayList<>();
        for (TokenValue shadow : shadows) {
            CompositeValue.check("a list of shadows", "item", shadow, TokenType.SHADOW);
            if (shadow instanceof ShadowListValue list) flat.addAll(list.shadows);
            else flat.add(shadow);
        }
        shadows = List.copyOf(flat);
    }

    @Override
    public Map<String, TokenValue> parts() {
        Map<String, TokenValue> parts = new LinkedHashMap<>();
        for (int i = 0; i < shadows.size(); i++) parts.put(Integer.toString(i), shadows.get(i));
        return parts;
    }

    @Override
    public TokenType partType(String part) {
        return TokenType.SHADOW;
    }

    @Override
    public ShadowListValue withParts(Map<String, TokenValue> parts) {
        return new ShadowListValue(List.copyOf(parts.values()));
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.SHADOW);
    }
}
