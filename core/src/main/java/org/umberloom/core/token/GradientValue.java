package org.umberloom.core.token;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Colors along an axis. A position beyond 0 to 1 counts as that end. Source: Format Module 2025.10, gradient. */
public record GradientValue(List<Stop> stops) implements CompositeValue {
    private static final String COLOR = ".color";
    private static final String POSITION = ".position";

    /** A color and its place on the axis, a number 0 to 1. */
    public record Stop(TokenValue color, TokenValue position) {
        /** @throws IllegalArgumentException when a part is a literal of the wrong type */
        public Stop {
            CompositeValue.check("a gradient stop", "color", color, TokenType.COLOR);
            CompositeValue.check("a gradient stop", "position", position, TokenType.NUMBER);
        }
    }

    /** @throws IllegalArgumentException for no stops */
    public GradientValue {
        if (stops.isEmpty()) throw new IllegalArgumentException("a gradient needs at least one stop");
        stops = List.copyOf(stops);
    }

    @Override
    public Map<String, TokenValue> parts() {
        Map<String, TokenValue> parts = new LinkedHashMap<>();
        for (int i = 0; i < stops.size(); i++) {
            parts.put(i + COLOR, stops.get(i).color);
            parts.put(i + POSITION, stops.get(i).position);
        }
        return parts;
    }

    @Override
    public TokenType partType(String part) {
        if (part.endsWith(COLOR)) return TokenType.COLOR;
        if (part.endsWith(POSITION)) return TokenType.NUMBER;
        throw new IllegalArgumentException("a gradient has no part “" + part + "”");
    }

    @Override
    public GradientValue withParts(Map<String, TokenValue> parts) {
        List<Stop> changed = new ArrayList<>();
        for (int i = 0; i < stops.size(); i++) changed.add(new Stop(parts.get(i + COLOR), parts.get(i + POSITION)));
        return new GradientValue(changed);
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.GRADIENT);
    }
}
