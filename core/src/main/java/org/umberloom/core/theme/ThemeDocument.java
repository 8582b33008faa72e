package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Names;

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

    /** A named set of tokens; its {@code $extensions} are kept untouched. */
    public record TokenSet(String description, Group tokens, Map<String, Object> extensions) {
        public TokenSet {
            tokens = tokens.withTypesSaid();
            extensions = Collections.unmodifiableMap(new LinkedHashMap<>(extensions));
        }

        public TokenSet(String description, Group tokens) {
            this(description, tokens, Map.of());
        }

        public TokenSet withTokens(Group changed) {
            return new TokenSet(description, changed, extensions);
        }
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
        Names.checked("A theme", name);
        Names.safe("The theme’s description", description);
        sets.keySet().forEach(set -> Names.checked("A set", set));
        modifiers.forEach((modifier, value) -> {
            Names.checked("A modifier", modifier);
            value.contexts().keySet().forEach(context -> Names.checked("A context of “" + modifier + "”", context));
        });
        sets = Collections.unmodifiableMap(new LinkedHashMap<>(sets));
        modifiers = Collections.unmodifiableMap(new LinkedHashMap<>(modifiers));
        order = List.copyOf(order);
        extensions = Collections.unmodifiableMap(new LinkedHashMap<>(extensions));
        Set<OrderEntry> seen = new HashSet<>();
        for (OrderEntry entry : order) {
            if (!seen.add(entry))
                throw new IllegalArgumentException("The resolution order names “" + entry.name + "” twice.");
            boolean known = entry.modifier ? modifiers.containsKey(entry.name) : sets.containsKey(entry.name);
            if (!known)
                throw new IllegalArgumentException("The resolution order names the "
                        + (entry.modifier ? "modifier" : "set") + " “" + entry.name + "”, which is not there.");
        }
    }

    public ThemeDocument withName(String newName) {
        return new ThemeDocument(newName, description, sets, modifiers, order, extensions);
    }

    public ThemeDocument withDescription(String text) {
        return new ThemeDocument(name, text, sets, modifiers, order, extensions);
    }

    /** The same without the tokens of the sets and contexts whose very trees are given. */
    public ThemeDocument withoutTokens(Set<Group> trees) {
        Map<String, TokenSet> bare = new LinkedHashMap<>();
        sets.forEach((key, set) -> bare.put(key, trees.contains(set.tokens()) ? set.withTokens(Group.EMPTY) : set));
        Map<String, Modifier> bareModifiers = new LinkedHashMap<>();
        modifiers.forEach((key, modifier) -> {
            Map<String, Group> contexts = new LinkedHashMap<>();
            modifier.contexts().forEach((context, tokens) -> contexts.put(context, trees.contains(tokens) ? Group.EMPTY : tokens));
            bareModifiers.put(key, modifier.withContexts(contexts, modifier.defaultContext()));
        });
        return new ThemeDocument(name, description, bare, bareModifiers, order, extensions);
    }

    ThemeDocument withExtensions(Map<String, Object> changed) {
        return new ThemeDocument(name, description, sets, modifiers, order, changed);
    }

    ThemeDocument withSets(Map<String, TokenSet> changed, List<OrderEntry> changedOrder) {
        return new ThemeDocument(name, description, changed, modifiers, changedOrder, extensions);
    }

    ThemeDocument withModifiers(Map<String, Modifier> changed, List<OrderEntry> changedOrder) {
        return new ThemeDocument(name, description, sets, changed, changedOrder, extensions);
    }

    /** Every place where tokens stand: the sets, then each modifier's contexts. */
    public List<Place> places() {
        List<Place> places = new ArrayList<>();
        sets.keySet().forEach(set -> places.add(Place.set(set)));
        modifiers.forEach((modifier, value) ->
                value.contexts().keySet().forEach(context -> places.add(Place.context(modifier, context))));
        return places;
    }

    /** The places that have a say in a combination, in resolution order; a context that is not there stands at the default. */
    public List<Place> applying(Combination combination) {
        List<Place> places = new ArrayList<>();
        for (OrderEntry entry : order) {
            if (!entry.modifier) {
                places.add(Place.set(entry.name));
                continue;
            }
            Modifier modifier = modifiers.get(entry.name);
            String context = combination.contexts().get(entry.name);
            places.add(Place.context(entry.name, modifier.contexts().containsKey(context) ? context : modifier.defaultContext()));
        }
        return places;
    }

    /** The modifier of that name. @throws IllegalArgumentException when there is none */
    public Modifier modifier(String modifier) {
        Modifier found = modifiers.get(modifier);
        if (found == null) throw new IllegalArgumentException("The theme has no modifier “" + modifier + "”.");
        return found;
    }

    /** How many combinations there are. */
    public long combinationCount() {
        return modifiers.values().stream().mapToLong(modifier -> modifier.contexts().size()).reduce(1, (a, b) ->
                Math.min(a * b, Integer.MAX_VALUE));
    }

    /** Every combination, the one of all defaults first, at most so many. */
    public List<Combination> combinations(int most) {
        List<Combination> all = List.of(defaults());
        for (Map.Entry<String, Modifier> entry : modifiers.entrySet()) {
            List<Combination> next = new ArrayList<>();
            List<String> contexts = new ArrayList<>(entry.getValue().contexts().keySet());
            contexts.remove(entry.getValue().defaultContext());
            contexts.add(0, entry.getValue().defaultContext());
            for (String context : contexts)
                for (Combination combination : all)
                    if (next.size() < most) next.add(combination.with(entry.getKey(), context));
            all = next;
        }
        return all;
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
            changed.put(in.set(), sets.get(in.set()).withTokens(tokens));
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
