package org.umberloom.core.theme;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;

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

    /** {@code scheme=dark,look=freight}; empty for no modifiers. Of the names' own {@code % , = |} the codes are written. */
    public String key() {
        return contexts.entrySet().stream().map(entry -> written(entry.getKey()) + "=" + written(entry.getValue()))
                .collect(Collectors.joining(","));
    }

    /** Reads what {@link #key} writes. @throws IllegalArgumentException for anything else */
    public static Combination parse(String key) {
        Map<String, String> contexts = new LinkedHashMap<>();
        for (String part : key.split(",")) {
            if (part.isBlank()) continue;
            int equals = part.indexOf('=');
            if (equals <= 0) throw new IllegalArgumentException("“" + key + "” is not a combination: write scheme=dark,look=freight.");
            contexts.put(read(part.substring(0, equals)), read(part.substring(equals + 1)));
        }
        return new Combination(contexts);
    }

    private static String written(String name) {
        return name.replace("%", "%25").replace(",", "%2C").replace("=", "%3D").replace("|", "%7C");
    }

    private static String read(String name) {
        return name.trim().replace("%7C", "|").replace("%3D", "=").replace("%2C", ",").replace("%25", "%");
    }
}
