package org.umberloom.core.theme;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.umberloom.core.token.Group;

/**
 * One thing that varies, such as the scheme: its contexts, each a partial set of tokens, and which holds when none is
 * chosen.
 */
public record Modifier(String description, Map<String, Group> contexts, String defaultContext,
                       Map<String, Object> extensions) {
    /** The modifier that compiled stylesheets tie to the reader's light or dark preference. */
    public static final String SCHEME = "scheme";
    /** The modifier whose context {@link #MORE} compiled stylesheets tie to the reader's wish for more contrast. */
    public static final String CONTRAST = "contrast";
    public static final String MORE = "more";
    public static final String LIGHT = "light";
    public static final String DARK = "dark";

    /** @throws IllegalArgumentException when there is no context, or the default is none of them */
    public Modifier {
        Map<String, Group> said = new LinkedHashMap<>();
        contexts.forEach((name, tokens) -> said.put(name, tokens.withTypesSaid()));
        contexts = Collections.unmodifiableMap(said);
        extensions = Collections.unmodifiableMap(new LinkedHashMap<>(extensions));
        if (!contexts.containsKey(defaultContext))
            throw new IllegalArgumentException("The default context “" + defaultContext + "” is not among "
                    + contexts.keySet() + ".");
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

    Modifier withDescription(String text) {
        return new Modifier(text, contexts, defaultContext, extensions);
    }
}
