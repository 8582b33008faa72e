package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
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
 * @param scopes      what is written at scopes, each laid over all sets and modifiers where it holds; never an empty tree
 * @param extensions  {@code $extensions} of the document, kept untouched
 */
public record ThemeDocument(
        String name,
        String description,
        Map<String, TokenSet> sets,
        Map<String, Modifier> modifiers,
        List<OrderEntry> order,
        SortedMap<Place.InScope, Group> scopes,
        Map<String, Object> extensions) {

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
        private static final String SET = "set:";
        private static final String MODIFIER = "modifier:";

        public static OrderEntry set(String name) {
            return new OrderEntry(false, name);
        }

        public static OrderEntry modifier(String name) {
            return new OrderEntry(true, name);
        }

        /** Reads {@code set:base} or {@code modifier:scheme}. @throws IllegalArgumentException for anything else */
        public static OrderEntry parse(String text) {
            if (text.startsWith(SET)) return set(text.substring(SET.length()));
            if (text.startsWith(MODIFIER)) return modifier(text.substring(MODIFIER.length()));
            throw new IllegalArgumentException(
                    "“" + Names.shown(text) + "” is no entry of the order: write set:NAME or modifier:NAME.");
        }

        @Override
        public String toString() {
            return (modifier ? MODIFIER : SET) + name;
        }
    }

    /** A theme that writes at no scope. */
    public ThemeDocument(
            String name,
            String description,
            Map<String, TokenSet> sets,
            Map<String, Modifier> modifiers,
            List<OrderEntry> order,
            Map<String, Object> extensions) {
        this(name, description, sets, modifiers, order, Collections.emptySortedMap(), extensions);
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
        SortedMap<Place.InScope, Group> written = new TreeMap<>();
        scopes.forEach((place, tokens) -> {
            Group said = tokens.withTypesSaid();
            if (!said.equals(Group.EMPTY)) written.put(place, said);
        });
        scopes = Collections.unmodifiableSortedMap(written);
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
        return new ThemeDocument(newName, description, sets, modifiers, order, scopes, extensions);
    }

    public ThemeDocument withDescription(String text) {
        return new ThemeDocument(name, text, sets, modifiers, order, scopes, extensions);
    }

    /** The same without the tokens of the sets and contexts whose very trees are given. */
    public ThemeDocument withoutTokens(Set<Group> trees) {
        Map<String, TokenSet> bare = new LinkedHashMap<>();
        sets.forEach((key, set) -> bare.put(key, trees.contains(set.tokens()) ? set.withTokens(Group.EMPTY) : set));
        Map<String, Modifier> bareModifiers = new LinkedHashMap<>();
        modifiers.forEach((key, modifier) -> {
            Map<String, Group> contexts = new LinkedHashMap<>();
            modifier.contexts()
                    .forEach((context, tokens) -> contexts.put(context, trees.contains(tokens) ? Group.EMPTY : tokens));
            bareModifiers.put(key, modifier.withContexts(contexts, modifier.defaultContext()));
        });
        SortedMap<Place.InScope, Group> bareScopes = new TreeMap<>(scopes);
        bareScopes.values().removeAll(trees);
        return new ThemeDocument(name, description, bare, bareModifiers, order, bareScopes, extensions);
    }

    ThemeDocument withExtensions(Map<String, Object> changed) {
        return new ThemeDocument(name, description, sets, modifiers, order, scopes, changed);
    }

    ThemeDocument withSets(Map<String, TokenSet> changed, List<OrderEntry> changedOrder) {
        return new ThemeDocument(name, description, changed, modifiers, changedOrder, scopes, extensions);
    }

    ThemeDocument withModifiers(Map<String, Modifier> changed, List<OrderEntry> changedOrder) {
        return new ThemeDocument(name, description, sets, changed, changedOrder, scopes, extensions);
    }

    ThemeDocument withScopes(Map<Place.InScope, Group> changed) {
        return new ThemeDocument(name, description, sets, modifiers, order, new TreeMap<>(changed), extensions);
    }

    /**
     * The theme as sites wear it: what they write at their own places is laid over.
     *
     * @param written by place; all of them in sites
     */
    public ThemeDocument worn(Map<Place.InScope, Group> written) {
        if (written.isEmpty()) return this;
        Map<Place.InScope, Group> all = new TreeMap<>(scopes);
        all.putAll(written);
        return withScopes(all);
    }

    /** What is written in sites, laid over by {@link #worn}. */
    public SortedMap<Place.InScope, Group> ofSites() {
        SortedMap<Place.InScope, Group> found = new TreeMap<>(scopes);
        found.keySet().removeIf(place -> place.scope().ofTheme());
        return found;
    }

    /** The theme itself, without what sites write. */
    public ThemeDocument unworn() {
        Map<Place.InScope, Group> own = new TreeMap<>(scopes);
        return own.keySet().removeIf(place -> !place.scope().ofTheme()) ? withScopes(own) : this;
    }

    /** Whether something is written at a scope. */
    public boolean writesAt(Scope scope) {
        return scopes.keySet().stream().anyMatch(place -> place.scope().equals(scope));
    }

    /** The scopes at which something is written, from wide to narrow. */
    public List<Scope> scopesWritten() {
        return scopes.keySet().stream().map(Place.InScope::scope).distinct().toList();
    }

    /** Every place where tokens stand: the sets, then each modifier's contexts, then the scopes at which something is written. */
    public List<Place> places() {
        List<Place> places = new ArrayList<>();
        sets.keySet().forEach(set -> places.add(Place.set(set)));
        modifiers.forEach((modifier, value) ->
                value.contexts().keySet().forEach(context -> places.add(Place.context(modifier, context))));
        places.addAll(scopes.keySet());
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
            places.add(Place.context(
                    entry.name, modifier.contexts().containsKey(context) ? context : modifier.defaultContext()));
        }
        List<Place> below = List.copyOf(places);
        combination.scopes().forEach(scope -> places.addAll(laidOver(scope, below)));
        return places;
    }

    /** What is written at a scope and holds with the places below: what holds always first, then as its contexts apply. */
    private List<Place.InScope> laidOver(Scope scope, List<Place> below) {
        return scopes.keySet().stream()
                .filter(place -> place.scope().equals(scope))
                .filter(place ->
                        place.under().isEmpty() || below.contains(place.under().get()))
                .sorted(Comparator.comparingInt(
                        place -> place.under().map(below::indexOf).orElse(-1)))
                .toList();
    }

    /** The modifier of that name. @throws IllegalArgumentException when there is none */
    public Modifier modifier(String modifier) {
        Modifier found = modifiers.get(modifier);
        if (found == null) throw new IllegalArgumentException("The theme has no modifier “" + modifier + "”.");
        return found;
    }

    /** How many combinations there are. */
    public long combinationCount() {
        return modifiers.values().stream()
                .mapToLong(modifier -> modifier.contexts().size())
                .reduce(1, (a, b) -> Math.min(a * b, Integer.MAX_VALUE));
    }

    /** Every combination, the one of all defaults first, and each of them at every scope that is written at; at most so many. */
    public List<Combination> looks(int most) {
        List<Combination> looks = new ArrayList<>(combinations(most));
        for (Combination combination : List.copyOf(looks))
            for (Scope scope : scopesWritten()) if (looks.size() < most) looks.add(combination.at(scope));
        return looks;
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
        if (place instanceof Place.InSet set && sets.containsKey(set.set()))
            return sets.get(set.set()).tokens();
        if (place instanceof Place.InContext in && modifiers.containsKey(in.modifier())) {
            Group context = modifiers.get(in.modifier()).contexts().get(in.context());
            if (context != null) return context;
        }
        if (place instanceof Place.InScope in) return scopes.getOrDefault(in, Group.EMPTY);
        throw new IllegalArgumentException("The theme has no " + place + ".");
    }

    /** The same theme with other tokens at a place that exists. */
    public ThemeDocument with(Place place, Group tokens) {
        at(place);
        if (place instanceof Place.InSet in) {
            Map<String, TokenSet> changed = new LinkedHashMap<>(sets);
            changed.put(in.set(), sets.get(in.set()).withTokens(tokens));
            return new ThemeDocument(name, description, changed, modifiers, order, scopes, extensions);
        }
        if (place instanceof Place.InScope in) {
            Map<Place.InScope, Group> changed = new TreeMap<>(scopes);
            changed.put(in, tokens);
            return withScopes(changed);
        }
        Place.InContext in = (Place.InContext) place;
        Map<String, Modifier> changed = new LinkedHashMap<>(modifiers);
        changed.computeIfPresent(in.modifier(), (key, modifier) -> modifier.with(in.context(), tokens));
        return new ThemeDocument(name, description, sets, changed, order, scopes, extensions);
    }

    /** Every modifier at its default context. */
    public Combination defaults() {
        Map<String, String> chosen = new LinkedHashMap<>();
        modifiers.forEach((key, modifier) -> chosen.put(key, modifier.defaultContext()));
        return new Combination(chosen);
    }
}
