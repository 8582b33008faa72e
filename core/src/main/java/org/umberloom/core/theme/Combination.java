package org.umberloom.core.theme;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.umberloom.core.token.Names;

/** One context chosen for each modifier; a modifier that is not named stands at its default. */
public record Combination(Map<String, String> contexts) {
    public Combination {
        contexts = Collections.unmodifiableMap(new LinkedHashMap<>(contexts));
    }

    /** The same with one modifier at another context. */
    public Combination with(String modifier, String context) {
        Map<String, String> changed = new LinkedHashMap<>(contexts);
        changed.put(modifier, context);
        return new Combination(changed);
    }

    /** The same for a theme: every modifier it has, in its order, and no other; unknown contexts stay as they are. */
    public Combination completedFor(ThemeDocument theme) {
        Map<String, String> complete = new LinkedHashMap<>();
        theme.modifiers().forEach((name, modifier) ->
                complete.put(name, contexts.getOrDefault(name, modifier.defaultContext())));
        return new Combination(complete);
    }

    /** {@code scheme=dark,look=freight}, with names by their {@link #code}; empty for no modifiers. */
    public String key() {
        return contexts.entrySet().stream().map(entry -> code(entry.getKey()) + "=" + code(entry.getValue()))
                .collect(Collectors.joining(","));
    }

    /**
     * A name as it stands in a key: letters, digits, dots, dashes and underscores as they are, all else as its code between
     * tildes, so that a key can be a part of any address (RFC 3986, 2.3) and every name can be told from every other.
     */
    public static String code(String name) {
        StringBuilder code = new StringBuilder();
        name.codePoints().forEach(c -> {
            if (Character.isLetterOrDigit(c) || c == '.' || c == '-' || c == '_') code.appendCodePoint(c);
            else code.append('~').append(Integer.toHexString(c)).append('~');
        });
        return code.toString();
    }

    /** Reads what {@link #key} writes. @throws IllegalArgumentException for anything else */
    public static Combination parse(String key) {
        Map<String, String> contexts = new LinkedHashMap<>();
        for (String part : key.split(",")) {
            if (part.isBlank()) continue;
            int equals = part.indexOf('=');
            if (equals <= 0) throw new IllegalArgumentException("“" + Names.shown(key) + "” is not a combination: write scheme=dark,look=freight.");
            contexts.put(read(part.substring(0, equals)), read(part.substring(equals + 1)));
        }
        return new Combination(contexts);
    }

    private static String read(String code) {
        StringBuilder name = new StringBuilder();
        for (int at = 0; at < code.length(); ) {
            int end = code.charAt(at) == '~' ? code.indexOf('~', at + 1) : -1;
            if (end < 0) {
                name.append(code.charAt(at++));
                continue;
            }
            try {
                name.appendCodePoint(Integer.parseInt(code.substring(at + 1, end), 16));
            } catch (IllegalArgumentException e) {
                throw new IllegalArgumentException("“" + Names.shown(code) + "” is not a name in a combination.", e);
            }
            at = end + 1;
        }
        return name.toString();
    }
}
