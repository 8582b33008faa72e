package org.umberloom.core.theme;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.umberloom.core.token.Group;

/**
 * A theme as the open document it is: token sets, modifiers with their contexts, and the order in which they apply.
 * Source: Design Tokens Resolver Module 2025.10.
 *
 * @param name        what people call the theme
 * @param description may be empty
 * @param sets        by name
 * @param modifiers   by name
 * @param order       the resolution order; later wins
 * @param extensions  {@code $extensions} of the document, kept untouched
 */
public record ThemeDocument(String name, String description, Map<String, TokenSet> sets,
                            Map<String, Modifier> modifiers, List<OrderEntry> order, Map<String, Object> extensions) {

    /** A named set of tokens. */
    public record TokenSet(String description, Group tokens) {
    }

    /** An entry of the resolution order: a set or a modifier, by name. */
    public record OrderEntry(boolean modifier, String name) {
        public static OrderEntry set(String name) {
            return new OrderEntry(false, name);
        }

        public static OrderEntry modifier(String name) {
            return new OrderEntry(true, name);
        }
    }

    /** @throws IllegalArgumentException for an empty name, or an order that names what is not there */
    public ThemeDocument {
        if (name.isBlank()) throw new IllegalArgumentException("A theme needs a name.");
        sets = Collections.unmodifiableMap(new LinkedHashMap<>(sets));
        modifiers = Collections.unmodifiableMap(new LinkedHashMap<>(modifiers));
        order = List.copyOf(order);
        extensions = Collections.unmodifiableMap(new LinkedHashMap<>(extensions));
        for (OrderEntry entry : order) {
            boolean known = entry.modifier ? modifiers.containsKey(entry.name) : sets.containsKey(entry.name);
            if (!known)
                throw new IllegalArgumentException("The resolution order names the "
                        + (entry.modifier ? "modifier" : "set") + " “" + entry.name + "”, which is not there.");
        }
    }

    public ThemeDocument withName(String newName) {
        return new ThemeDocument(newName, description, sets, modifiers, order, extensions);
    }

    /** The tokens at a place. @throws IllegalArgumentException when there is no such place */
    public Group at(Place place) {
        if (place instanceof Place.InSet set && sets.containsKey(set.set())) return sets.get(set.set()).tokens();
        if (place instanceof Place.InContext in && modifiers.containsKey(in.modifier())) {
            Group context = modifiers.get(in.modifier()).contexts().get(in.context());
            if (context != null) return context;
        }
        throw new IllegalArgumentException("The theme has no " + place + ".");
    }

    /** The same theme with other tokens at a place that exists. */
    public ThemeDocument with(Place place, Group tokens) {
        at(place);
        if (place instanceof Place.InSet in) {
            Map<String, TokenSet> changed = new LinkedHashMap<>(sets);
            changed.put(in.set(), new TokenSet(sets.get(in.set()).description(), tokens));
            return new ThemeDocument(name, description, changed, modifiers, order, extensions);
        }
        Place.InContext in = (Place.InContext) place;
        Map<String, Modifier> changed = new LinkedHashMap<>(modifiers);
        changed.computeIfPresent(in.modifier(), (key, modifier) -> modifier.with(in.context(), tokens));
        return new ThemeDocument(name, description, sets, changed, order, extensions);
    }

    /** Every modifier at its default context. */
    public Combination defaults() {
        Map<String, String> chosen = new LinkedHashMap<>();
        modifiers.forEach((key, modifier) -> chosen.put(key, modifier.defaultContext()));
        return new Combination(chosen);
    }
}
