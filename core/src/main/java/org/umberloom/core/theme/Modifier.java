package org.umberloom.core.theme;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.umberloom.core.token.Group;

/**
 * One thing that varies, such as the scheme: its contexts, each a partial set of tokens, and which holds when none is
 * chosen.
 */
public record Modifier(
        String description, Map<String, Group> contexts, String defaultContext, Map<String, Object> extensions) {
    /** @throws IllegalArgumentException when there is no context, or the default is none of them */
    public Modifier {
        Map<String, Group> said = new LinkedHashMap<>();
        contexts.forEach((name, tokens) -> said.put(name, tokens.withTypesSaid()));
        contexts = Collections.unmodifiableMap(said);
        extensions = Collections.unmodifiableMap(new LinkedHashMap<>(extensions));
        if (!contexts.containsKey(defaultContext))
            throw new IllegalArgumentException(
                    "The default context “" + defaultContext + "” is not among " + contexts.keySet() + ".");
    }

    public Modifier(String description, Map<String, Group> contexts, String defaultContext) {
        this(description, contexts, defaultContext, Map.of());
    }

    Modifier with(String context, Group tokens) {
        Map<String, Group> changed = new LinkedHashMap<>(contexts);
        changed.put(context, tokens);
        return withContexts(changed, defaultContext);
    }

    Modifier withContexts(Map<String, Group> changed, String standard) {
        return new Modifier(description, changed, standard, extensions);
    }

    Modifier withExtensions(Map<String, Object> changed) {
        return new Modifier(description, contexts, defaultContext, changed);
    }

    Modifier withDescription(String text) {
        return new Modifier(text, contexts, defaultContext, extensions);
    }
}
