package org.umberloom.core.contract;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * An entry of the contract with a closed list of values; each has rules of its own.
 *
 * @param name     such as {@code button}
 * @param values   what can be chosen, each with what it looks like in a few words
 * @param standard what is chosen where nobody chose
 */
public record Choice(String name, String part, String purpose, Map<String, String> values, String standard) {
    public Choice {
        values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
        if (!values.containsKey(standard))
            throw new IllegalArgumentException(
                    "The choice “" + name + "” stands at “" + standard + "”, which is none of its values.");
    }
}
