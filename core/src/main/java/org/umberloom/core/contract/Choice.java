package org.umberloom.core.contract;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * An entry of the contract with a closed list of values; each has rules of its own.
 *
 * @param name     such as {@code button}
 * @param values   what can be chosen, each with what it looks like in a few words
 * @param standard what is chosen where nobody chose
 * @param dark     the same in the dark
 */
public record Choice(
        String name, String part, String purpose, Map<String, String> values, String standard, String dark) {
    public Choice {
        values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
        for (String one : List.of(standard, dark))
            if (!values.containsKey(one))
                throw new IllegalArgumentException(
                        "The choice “" + name + "” stands at “" + one + "”, which is none of its values.");
    }

    /** Whether it stands otherwise in the dark, where nobody chose. */
    public boolean turnsInTheDark() {
        return !dark.equals(standard);
    }
}
