package org.umberloom.core.theme;

import java.util.Map;

/** How much one theme may hold, so that it can always be read, shown and exported on an ordinary machine. */
public final class Limits {
    /** Tokens of all sets, contexts and scopes together. */
    public static final int MOST_TOKENS = 60_000;

    public static final int MOST_SETS = 200;
    public static final int MOST_MODIFIERS = 24;
    public static final int MOST_CONTEXTS = 100;
    public static final int MOST_SCOPED = 200;

    private Limits() {}

    /** The theme itself. @throws IllegalArgumentException with the limit when it holds more than one theme may */
    public static ThemeDocument checked(ThemeDocument theme) {
        long tokens = 0;
        for (ThemeDocument.TokenSet set : theme.sets().values())
            tokens += set.tokens().tokenCount();
        for (Map.Entry<String, Modifier> entry : theme.modifiers().entrySet()) {
            tokens += entry.getValue().contexts().values().stream()
                    .mapToLong(context -> context.tokenCount())
                    .sum();
            most(
                    "contexts in the modifier “" + entry.getKey() + "”",
                    entry.getValue().contexts().size(),
                    MOST_CONTEXTS);
        }
        tokens += theme.scopes().values().stream()
                .mapToLong(written -> written.tokenCount())
                .sum();
        most("places at scopes", theme.scopes().size(), MOST_SCOPED);
        most("sets", theme.sets().size(), MOST_SETS);
        most("modifiers", theme.modifiers().size(), MOST_MODIFIERS);
        checkTokens(tokens);
        return theme;
    }

    /** @throws IllegalArgumentException when that is more tokens than one theme may hold */
    public static void checkTokens(long tokens) {
        most("tokens", tokens, MOST_TOKENS);
    }

    private static void most(String what, long count, int most) {
        if (count > most)
            throw new IllegalArgumentException("A theme may hold " + most + " " + what + "; this one has " + count
                    + ". Split it, or leave out what is not used.");
    }
}
