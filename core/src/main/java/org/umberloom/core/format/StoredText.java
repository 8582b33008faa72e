package org.umberloom.core.format;

import java.nio.charset.StandardCharsets;
import java.util.IdentityHashMap;
import java.util.Map;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;

/**
 * A theme's stored text that was read again and found equal. For the next state only what changed is written and read: the
 * trees of both share what stayed, so the very same tokens have the very same text.
 */
public final class StoredText {
    /** Nothing is known yet. */
    public static final StoredText NONE = new StoredText("", Map.of());

    private final String text;
    /** The text of the tokens of each set and context that depends on them alone, by the very tree. */
    private final Map<Group, String> parts;

    private StoredText(String text, Map<Group, String> parts) {
        this.text = text;
        this.parts = parts;
    }

    /** As {@link ThemeJson#writeInline} gives it, byte for byte. */
    public String text() {
        return text;
    }

    /**
     * The text of another state of the theme.
     *
     * @throws FormatException when it could not be read again, or would not be the same
     */
    public StoredText next(ThemeDocument theme) {
        Map<Group, String> next = new IdentityHashMap<>();
        String written = ThemeJson.writeInline(theme, tokens -> {
            String known = parts.get(tokens);
            String part = known != null ? known : proven(tokens, TokensJson.write(tokens));
            next.put(tokens, part);
            return part;
        });
        ThemeDocument rest = theme.withoutTokens(next.keySet());
        if (!ThemeJson.readInline(stored(ThemeJson.writeInline(rest))).equals(rest)) throw notTheSame();
        return new StoredText(written, next);
    }

    private static String proven(Group tokens, String part) {
        if (!TokensJson.read("The theme", stored(part)).withTypesSaid().equals(tokens)) throw notTheSame();
        return part;
    }

    /** What comes back from where text is kept as UTF-8. */
    private static String stored(String text) {
        return new String(text.getBytes(StandardCharsets.UTF_8), StandardCharsets.UTF_8);
    }

    private static FormatException notTheSame() {
        return new FormatException("The theme would not be the same when it is read again.");
    }
}
