package org.umberloom.core.token;

import java.util.Arrays;
import java.util.Optional;

/** The thirteen token types with their identifiers. Source: Format Module 2025.10, sections 8 and 9. */
public enum TokenType {
    COLOR("color"),
    DIMENSION("dimension"),
    FONT_FAMILY("fontFamily"),
    FONT_WEIGHT("fontWeight"),
    DURATION("duration"),
    CUBIC_BEZIER("cubicBezier"),
    NUMBER("number"),
    STROKE_STYLE("strokeStyle"),
    BORDER("border"),
    TRANSITION("transition"),
    SHADOW("shadow"),
    GRADIENT("gradient"),
    TYPOGRAPHY("typography");

    private final String id;

    TokenType(String id) {
        this.id = id;
    }

    public String id() {
        return id;
    }

    public static Optional<TokenType> byId(String id) {
        return Arrays.stream(values()).filter(type -> type.id.equals(id)).findFirst();
    }
}
