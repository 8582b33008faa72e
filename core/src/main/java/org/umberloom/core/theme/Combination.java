package org.umberloom.core.theme;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

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
}
