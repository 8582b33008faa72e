package org.umberloom.core.contract;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;

/**
 * An entry of the contract with a closed list of values; each has rules of its own.
 *
 * @param name     such as {@code button}
 * @param values   what can be chosen, each with what it looks like in a few words
 * @param standard what is chosen where nobody chose
 * @param dark     the same in the dark
 * @param colors   the text styles whose letters it colors, such as {@code type.lead}; its values are a surface's roles then
 * @param moved    where its region stands at values, where moving the region about is what is chosen
 * @param stands   the elements whose surface is chosen, as a selector, where that is what is chosen; such a choice also has every
 *                 surface of a theme for a value, see {@link #surface}
 */
public record Choice(
        String name,
        String part,
        String purpose,
        Map<String, String> values,
        String standard,
        String dark,
        List<String> colors,
        Optional<Moved> moved,
        Optional<String> stands) {
    /** What stands in the page itself, rather than in something on it, can be put on the surface of the page. */
    private static final String OF_THE_FRAME = "body > ";

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

    /** The value that chooses a surface: the path of its group. */
    public static String standingOn(String surface) {
        return Surfaces.GROUP + "." + surface;
    }

    /** The surface that a value chooses; none for one that leaves it to the page’s markup. */
    public Optional<String> surface(String value) {
        String group = Surfaces.GROUP + ".";
        return stands.isEmpty() || values.containsKey(value) || !value.startsWith(group)
                ? Optional.empty()
                : Optional.of(value.substring(group.length()));
    }

    /** Whether it can be made so in a theme. */
    public boolean takes(String value, ThemeDocument theme) {
        return values.containsKey(value)
                || surface(value).filter(surfaces(theme)::contains).isPresent();
    }

    /** The surfaces of a theme that can be chosen. */
    public List<String> surfaces(ThemeDocument theme) {
        return stands.isEmpty()
                ? List.of()
                : Surfaces.names(theme).stream()
                        .filter(one -> !one.equals(Surfaces.PAGE) || ofTheFrame())
                        .toList();
    }

    private boolean ofTheFrame() {
        return stands.filter(one -> one.startsWith(OF_THE_FRAME)).isPresent();
    }

    /** A value in a few words. */
    public String words(String value) {
        return surface(value).map(one -> "on " + one).orElseGet(() -> values.getOrDefault(value, value));
    }

    /** Whether it stands otherwise in the dark, where nobody chose. */
    public boolean turnsInTheDark() {
        return !dark.equals(standard);
    }
}
