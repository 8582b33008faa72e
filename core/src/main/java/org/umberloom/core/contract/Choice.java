package org.umberloom.core.contract;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * An entry of the contract with a closed list of values; each has rules of its own.
 *
 * @param name     such as {@code button}
 * @param values   what can be chosen, each with what it looks like in a few words
 * @param standard what is chosen where nobody chose
 * @param dark     the same in the dark
 * @param colors   the text styles whose letters it colors, such as {@code type.lead}; its values are a surface's roles then
 * @param moved    where its region stands at values, where moving the region about is what is chosen
 */
public record Choice(
        String name,
        String part,
        String purpose,
        Map<String, String> values,
        String standard,
        String dark,
        List<String> colors,
        Optional<Moved> moved) {
    /**
     * Spots that a region is moved to.
     *
     * @param within what they are measured in, as a selector; empty for the window
     * @param spots  by the values: how far to the right and down, as shares of that
     */
    public record Moved(String within, Map<String, List<Double>> spots) {
        public Moved {
            spots = Collections.unmodifiableMap(new LinkedHashMap<>(spots));
        }
    }

    public Choice {
        colors = List.copyOf(colors);
        values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
        if (moved.isPresent()
                && !values.keySet().containsAll(moved.get().spots().keySet()))
            throw new IllegalArgumentException(
                    "The choice “" + name + "” is moved to a spot that is none of its values.");
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
