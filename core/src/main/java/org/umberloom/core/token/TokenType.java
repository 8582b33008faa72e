package org.umberloom.core.token;

import java.util.Arrays;
import java.util.Optional;

/** The token types that are understood here, with their identifiers. Source: Format Module 2025.10, types. */
public enum TokenType {
    COLOR("color"),
    DIMENSION("dimension"),
    FONT_FAMILY("fontFamily"),
    FONT_WEIGHT("fontWeight"),
    NUMBER("number"),
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
