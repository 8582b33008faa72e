package org.umberloom.core.token;

import java.util.Optional;

/** A reference to another token's whole value, written {@code {color.umber.60}}. */
public record Alias(TokenPath target) implements Reference {
    public static Alias to(String dotted) {
        return new Alias(TokenPath.of(dotted));
    }

    /** Whether the text has the form of an alias: one path between braces. */
    public static boolean isAlias(String text) {
        return text.startsWith("{") && text.endsWith("}");
    }

    /** @throws IllegalArgumentException when what stands between the braces is no path */
    public static Alias parse(String text) {
        return new Alias(new TokenPath(text.substring(1, text.length() - 1).trim()));
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.empty();
    }

    @Override
    public String toString() {
        return "{" + target + "}";
    }
}
