package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Names;
import org.umberloom.core.token.References;
import org.umberloom.core.token.TokenPath;

/**
 * Edits of what a theme consists of: sets, modifiers, contexts and the order in which they apply. Every index counts
 * from 0; −1 in the resolution order means that it is not in it, −1 elsewhere means last.
 */
public sealed interface Structure extends Edit {
    /** What of the structure an edit changes; sets and modifiers that come or go also change the order. */
    private static List<Touch> touching(String... parts) {
        return java.util.Arrays.stream(parts)
                .map(part -> new Touch(Touch.STRUCTURE, part))
                .toList();
    }

    /** A place that goes is changed as a whole: what was written into it meanwhile would be lost. */
    private static List<Touch> going(List<Place> places, String... parts) {
        List<Touch> touches = new ArrayList<>(touching(parts));
        places.forEach(place -> touches.add(new Touch(place.toString(), "")));
        return touches;
    }

    /** Adds a set, at an index among the sets and at one in the resolution order. */
    record AddSet(String name, ThemeDocument.TokenSet set, int index, int orderIndex) implements Structure {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            if (theme.sets().containsKey(name))
                throw new IllegalArgumentException("There already is a set “" + name + "”. Choose another name.");
            checkName(name);
            return new Applied(
                    theme.withSets(
                            inserted(theme.sets(), name, set, index),
                            inserted(theme.order(), ThemeDocument.OrderEntry.set(name), orderIndex)),
                    new RemoveSet(name));
        }

        @Override
        public Set<TokenPath> refersTo() {
            return References.of(set.tokens());
        }

        @Override
        public List<Touch> touches() {
            return touching("set." + name, "order.set." + name);
        }

        @Override
        public String label() {
            return "add the set " + name;
        }
    }

    /** Removes a set with all its tokens. */
    record RemoveSet(String name) implements Structure {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            ThemeDocument.TokenSet set = theme.sets().get(name);
            if (set == null) throw new IllegalArgumentException("The theme has no set “" + name + "”.");
            Map<String, ThemeDocument.TokenSet> sets = new LinkedHashMap<>(theme.sets());
            sets.remove(name);
            ThemeDocument.OrderEntry entry = ThemeDocument.OrderEntry.set(name);
            return new Applied(
                    theme.withSets(sets, removed(theme.order(), entry)),
                    new AddSet(
                            name,
                            set,
                            indexOf(theme.sets(), name),
                            theme.order().indexOf(entry)));
        }

        @Override
        public List<TokenPath> takesAway(ThemeDocument theme) {
            return theme.sets().containsKey(name)
                    ? theme.sets().get(name).tokens().paths()
                    : List.of();
        }

        @Override
        public List<Touch> touches() {
            return going(List.of(Place.set(name)), "set." + name, "order.set." + name);
        }

        @Override
        public String label() {
            return "remove the set " + name;
        }
    }

    /** Adds a modifier with its contexts. */
    record AddModifier(String name, Modifier modifier, int index, int orderIndex) implements Structure {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            if (theme.modifiers().containsKey(name))
                throw new IllegalArgumentException("There already is a modifier “" + name + "”. Choose another name.");
            checkName(name);
            return new Applied(
                    theme.withModifiers(
                            inserted(theme.modifiers(), name, modifier, index),
                            inserted(theme.order(), ThemeDocument.OrderEntry.modifier(name), orderIndex)),
                    new RemoveModifier(name));
        }

        @Override
        public Set<TokenPath> refersTo() {
            return modifier.contexts().values().stream()
                    .flatMap(tokens -> References.of(tokens).stream())
                    .collect(Collectors.toSet());
        }

        @Override
        public List<Touch> touches() {
            return touching("modifier." + name, "order.modifier." + name);
        }

        @Override
        public String label() {
            return "add the modifier " + name;
        }
    }

    /** Removes a modifier with all its contexts. */
    record RemoveModifier(String name) implements Structure {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            Modifier modifier = theme.modifier(name);
            Map<String, Modifier> modifiers = new LinkedHashMap<>(theme.modifiers());
            modifiers.remove(name);
            ThemeDocument.OrderEntry entry = ThemeDocument.OrderEntry.modifier(name);
            return new Applied(
                    theme.withModifiers(modifiers, removed(theme.order(), entry)),
                    new AddModifier(
                            name,
                            modifier,
                            indexOf(theme.modifiers(), name),
                            theme.order().indexOf(entry)));
        }

        @Override
        public List<TokenPath> takesAway(ThemeDocument theme) {
            if (!theme.modifiers().containsKey(name)) return List.of();
            return theme.modifiers().get(name).contexts().values().stream()
                    .flatMap(tokens -> tokens.paths().stream())
                    .toList();
        }

        @Override
        public List<Touch> touches() {
            return going(List.of(Place.context(name, "")), "modifier." + name, "order.modifier." + name);
        }

        @Override
        public String label() {
            return "remove the modifier " + name;
        }
    }

    /** Adds a context to a modifier. */
    record AddContext(String modifier, String name, Group tokens, int index) implements Structure {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            Modifier before = theme.modifier(modifier);
            if (before.contexts().containsKey(name))
                throw new IllegalArgumentException(
                        "“" + modifier + "” already has a context “" + name + "”. Choose another name.");
            checkName(name);
            return new Applied(
                    changed(
                            theme,
                            modifier,
                            before.withContexts(
                                    inserted(before.contexts(), name, tokens, index), before.defaultContext())),
                    new RemoveContext(modifier, name));
        }

        @Override
        public Set<TokenPath> refersTo() {
            return References.of(tokens);
        }

        @Override
        public List<Touch> touches() {
            return touching("modifier." + modifier + ".context." + name);
        }

        @Override
        public String label() {
            return "add the context " + modifier + "/" + name;
        }
    }

    /** Removes a context; it may not be the last one, nor the default. */
    record RemoveContext(String modifier, String name) implements Structure {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            Modifier before = theme.modifier(modifier);
            Group tokens = before.contexts().get(name);
            if (tokens == null) throw new IllegalArgumentException("“" + modifier + "” has no context “" + name + "”.");
            if (before.defaultContext().equals(name))
                throw new IllegalArgumentException("“" + name + "” is the default of “" + modifier
                        + "”, so it cannot be removed. Make another context the default first.");
            Map<String, Group> contexts = new LinkedHashMap<>(before.contexts());
            contexts.remove(name);
            return new Applied(
                    changed(theme, modifier, before.withContexts(contexts, before.defaultContext())),
                    new AddContext(modifier, name, tokens, indexOf(before.contexts(), name)));
        }

        @Override
        public List<TokenPath> takesAway(ThemeDocument theme) {
            return theme.modifiers().containsKey(modifier)
                    ? theme.modifiers()
                            .get(modifier)
                            .contexts()
                            .getOrDefault(name, Group.EMPTY)
                            .paths()
                    : List.of();
        }

        @Override
        public List<Touch> touches() {
            return going(List.of(Place.context(modifier, name)), "modifier." + modifier + ".context." + name);
        }

        @Override
        public String label() {
            return "remove the context " + modifier + "/" + name;
        }
    }

    /** Makes a context the one that holds when none is chosen. */
    record SetDefault(String modifier, String context) implements Structure {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            Modifier before = theme.modifier(modifier);
            return new Applied(
                    changed(theme, modifier, before.withContexts(before.contexts(), context)),
                    new SetDefault(modifier, before.defaultContext()));
        }

        @Override
        public List<Touch> touches() {
            return touching("modifier." + modifier + ".default");
        }

        @Override
        public String label() {
            return context + " is the default of " + modifier;
        }
    }

    /** Puts sets and modifiers into another resolution order; what is left out no longer applies. */
    record Reorder(List<ThemeDocument.OrderEntry> order) implements Structure {
        public Reorder {
            order = List.copyOf(order);
        }

        @Override
        public Applied applyTo(ThemeDocument theme) {
            return new Applied(theme.withSets(theme.sets(), order), new Reorder(theme.order()));
        }

        @Override
        public List<Touch> touches() {
            return touching("order");
        }

        @Override
        public String label() {
            return "order "
                    + String.join(
                            ", ",
                            order.stream().map(ThemeDocument.OrderEntry::name).toList());
        }
    }

    /** Lists the sets, the modifiers or a modifier's contexts in another order. Exactly the names that are there. */
    record Arrange(String kind, String modifier, List<String> names) implements Structure {
        static final String SETS = "sets";
        static final String MODIFIERS = "modifiers";
        static final String CONTEXTS = "contexts";

        public Arrange {
            names = List.copyOf(names);
        }

        @Override
        public Applied applyTo(ThemeDocument theme) {
            return switch (kind) {
                case SETS ->
                    new Applied(
                            theme.withSets(arranged(theme.sets()), theme.order()),
                            new Arrange(kind, modifier, List.copyOf(theme.sets().keySet())));
                case MODIFIERS ->
                    new Applied(
                            theme.withModifiers(arranged(theme.modifiers()), theme.order()),
                            new Arrange(
                                    kind,
                                    modifier,
                                    List.copyOf(theme.modifiers().keySet())));
                case CONTEXTS -> {
                    Modifier before = theme.modifier(modifier);
                    yield new Applied(
                            changed(
                                    theme,
                                    modifier,
                                    before.withContexts(arranged(before.contexts()), before.defaultContext())),
                            new Arrange(
                                    kind,
                                    modifier,
                                    List.copyOf(before.contexts().keySet())));
                }
                default -> throw new IllegalArgumentException("“" + kind + "” is not sets, modifiers or contexts.");
            };
        }

        private <V> Map<String, V> arranged(Map<String, V> before) {
            if (names.size() != before.size() || !before.keySet().containsAll(names))
                throw new IllegalArgumentException("The new order must name exactly " + before.keySet() + ".");
            Map<String, V> arranged = new LinkedHashMap<>();
            names.forEach(name -> arranged.put(name, before.get(name)));
            return arranged;
        }

        @Override
        public List<Touch> touches() {
            return touching(kind.equals(CONTEXTS) ? "modifier." + modifier : kind.equals(SETS) ? "set" : "modifier");
        }

        @Override
        public String label() {
            return "arrange " + String.join(", ", names);
        }
    }

    /** Gives a set or a context another name. */
    record RenamePlace(Place place, String name) implements Structure {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            checkName(name);
            theme.at(place);
            if (place instanceof Place.InSet in)
                return new Applied(
                        theme.withSets(
                                renamed(theme.sets(), in.set(), name),
                                renamed(
                                        theme.order(),
                                        ThemeDocument.OrderEntry.set(in.set()),
                                        ThemeDocument.OrderEntry.set(name))),
                        new RenamePlace(Place.set(name), in.set()));
            if (!(place instanceof Place.InContext in))
                throw new IllegalArgumentException("A page kind is named where its pages are, not in the theme.");
            Modifier before = theme.modifier(in.modifier());
            String standard = before.defaultContext().equals(in.context()) ? name : before.defaultContext();
            ThemeDocument renamed = changed(
                    theme,
                    in.modifier(),
                    before.withContexts(renamed(before.contexts(), in.context(), name), standard));
            return new Applied(
                    renamed.withScopes(
                            under(theme, one -> one.equals(in) ? new Place.InContext(in.modifier(), name) : one)),
                    new RenamePlace(Place.context(in.modifier(), name), in.context()));
        }

        @Override
        public List<Touch> touches() {
            if (place instanceof Place.InSet in) return touching("set." + in.set(), "set." + name, "order");
            return place instanceof Place.InContext in ? touching("modifier." + in.modifier()) : List.of();
        }

        @Override
        public String label() {
            String from = place instanceof Place.InSet in
                    ? in.set()
                    : place instanceof Place.InContext in ? in.context() : place.toString();
            return from + " is now " + name;
        }
    }

    /** Gives a modifier another name. */
    record RenameModifier(String modifier, String name) implements Structure {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            checkName(name);
            theme.modifier(modifier);
            return new Applied(
                    new ThemeDocument(
                            theme.name(),
                            theme.description(),
                            theme.sets(),
                            renamed(theme.modifiers(), modifier, name),
                            renamed(
                                    theme.order(),
                                    ThemeDocument.OrderEntry.modifier(modifier),
                                    ThemeDocument.OrderEntry.modifier(name)),
                            under(
                                    theme,
                                    in -> in.modifier().equals(modifier)
                                            ? new Place.InContext(name, in.context())
                                            : in),
                            theme.extensions()),
                    new RenameModifier(name, modifier));
        }

        @Override
        public List<Touch> touches() {
            return touching("modifier." + modifier, "modifier." + name, "order");
        }

        @Override
        public String label() {
            return modifier + " is now " + name;
        }
    }

    /** What is written at scopes, with other names of the contexts that it holds under. */
    private static SortedMap<Place.InScope, Group> under(ThemeDocument theme, UnaryOperator<Place.InContext> named) {
        SortedMap<Place.InScope, Group> scopes = new TreeMap<>();
        theme.scopes()
                .forEach((place, tokens) -> scopes.put(
                        new Place.InScope(place.scope(), place.under().map(named)), tokens));
        return scopes;
    }

    /** Says in a sentence what a set or modifier is for. */
    record Describe(String kind, String name, String text) implements Structure {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            if (kind.equals("modifier")) {
                Modifier before = theme.modifier(name);
                return new Applied(
                        changed(theme, name, before.withDescription(text)),
                        new Describe(kind, name, before.description()));
            }
            ThemeDocument.TokenSet before = theme.sets().get(name);
            if (before == null) throw new IllegalArgumentException("The theme has no set “" + name + "”.");
            Map<String, ThemeDocument.TokenSet> sets = new LinkedHashMap<>(theme.sets());
            sets.put(name, new ThemeDocument.TokenSet(text, before.tokens(), before.extensions()));
            return new Applied(theme.withSets(sets, theme.order()), new Describe(kind, name, before.description()));
        }

        @Override
        public List<Touch> touches() {
            return touching(kind + "." + name + ".description");
        }

        @Override
        public String label() {
            return "describe " + name;
        }
    }

    /** Records what a modifier stands for. */
    record SetMeaning(String modifier, Meaning meaning) implements Structure {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            Modifier before = theme.modifier(modifier);
            Modifier after = meaning.in(before);
            if (meaning.kind() != Meaning.Kind.NONE
                    && Meaning.of(modifier, after).equals(Meaning.NOTHING))
                throw new IllegalArgumentException("“" + modifier + "” cannot stand for "
                        + meaning.kind().id() + " like this: name contexts that it has, each another one.");
            return new Applied(changed(theme, modifier, after), new SetExtensions(modifier, before.extensions()));
        }

        @Override
        public List<Touch> touches() {
            return touching("modifier." + modifier + ".meaning");
        }

        @Override
        public String label() {
            return modifier + " stands for "
                    + (meaning.kind() == Meaning.Kind.NONE
                            ? "nothing in particular"
                            : meaning.kind().id());
        }
    }

    /** Gives a modifier back the extensions that it had. */
    record SetExtensions(String modifier, Map<String, Object> extensions) implements Structure {
        public SetExtensions {
            extensions = Collections.unmodifiableMap(new LinkedHashMap<>(extensions));
        }

        @Override
        public Applied applyTo(ThemeDocument theme) {
            Modifier before = theme.modifier(modifier);
            return new Applied(
                    changed(theme, modifier, before.withExtensions(extensions)),
                    new SetExtensions(modifier, before.extensions()));
        }

        @Override
        public List<Touch> touches() {
            return touching("modifier." + modifier + ".meaning");
        }

        @Override
        public String label() {
            return "meaning of " + modifier;
        }
    }

    private static void checkName(String name) {
        Names.checked("A set, modifier or context", name);
        if (name.contains("/") || name.contains("#") || name.startsWith("$"))
            throw new IllegalArgumentException("“" + name
                    + "” cannot be a name here: names are not empty, do not start with $ and hold neither / nor #.");
    }

    private static ThemeDocument changed(ThemeDocument theme, String name, Modifier modifier) {
        Map<String, Modifier> modifiers = new LinkedHashMap<>(theme.modifiers());
        modifiers.put(name, modifier);
        return theme.withModifiers(modifiers, theme.order());
    }

    private static <V> Map<String, V> inserted(Map<String, V> before, String name, V value, int index) {
        Map<String, V> changed = new LinkedHashMap<>();
        int at = 0;
        for (Map.Entry<String, V> entry : before.entrySet()) {
            if (at++ == index) changed.put(name, value);
            changed.put(entry.getKey(), entry.getValue());
        }
        changed.putIfAbsent(name, value);
        return changed;
    }

    private static <V> List<V> inserted(List<V> before, V value, int index) {
        if (index < 0) return before;
        List<V> changed = new ArrayList<>(before);
        changed.add(Math.min(index, changed.size()), value);
        return changed;
    }

    private static <V> List<V> removed(List<V> before, V value) {
        return before.stream().filter(entry -> !entry.equals(value)).toList();
    }

    private static <V> List<V> renamed(List<V> before, V from, V to) {
        return before.stream().map(entry -> entry.equals(from) ? to : entry).toList();
    }

    private static <V> Map<String, V> renamed(Map<String, V> before, String from, String to) {
        if (!from.equals(to) && before.containsKey(to))
            throw new IllegalArgumentException("“" + to + "” is there already. Choose another name.");
        Map<String, V> changed = new LinkedHashMap<>();
        before.forEach((name, value) -> changed.put(name.equals(from) ? to : name, value));
        return changed;
    }

    private static int indexOf(Map<String, ?> map, String name) {
        return new ArrayList<>(map.keySet()).indexOf(name);
    }
}
