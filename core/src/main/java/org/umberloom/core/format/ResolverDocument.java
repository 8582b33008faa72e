package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.Limits;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.Pointers;

/**
 * Reads one resolver document: its sets and modifiers with sources that stand inline, in files or in another set, and
 * the order in which they apply. Source: Design Tokens Resolver Module 2025.10, sections 4 to 6.
 */
final class ResolverDocument {
    private static final String REF = "$ref";
    private static final int MOST_FILES = 2_000;

    private final String where;
    private final Map<String, Object> data;
    private final Function<String, String> files;
    private final List<String> notes;
    private final Map<String, ThemeDocument.TokenSet> sets = new LinkedHashMap<>();
    private final Map<String, Modifier> modifiers = new LinkedHashMap<>();
    /** Files and sets that are being read, outermost first: to meet one again is a circle. */
    private final Set<String> open = new LinkedHashSet<>();

    private int filesRead;
    private long tokensRead;

    ResolverDocument(String where, Map<String, Object> data, Function<String, String> files, List<String> notes) {
        this.where = where;
        this.data = data;
        this.files = files;
        this.notes = notes;
    }

    ThemeDocument theme() {
        if (!ThemeJson.VERSION.equals(data.get("version")))
            throw new FormatException(where + " has the version “" + data.get("version") + "”; " + ThemeJson.VERSION
                    + " is understood here.");
        object(data, "sets").forEach((name, value) -> sets.put(name, set(name, value)));
        object(data, "modifiers").forEach((name, value) -> modifiers.put(name, modifier(name, value)));
        if (!data.containsKey("resolutionOrder"))
            throw new FormatException(where + " has no resolutionOrder; without it nothing applies.");
        List<ThemeDocument.OrderEntry> order = new ArrayList<>();
        for (Object entry : Json.list("resolutionOrder", data.get("resolutionOrder"))) order.add(orderEntry(entry));
        String name = data.containsKey("name") ? text(data, "name") : "Unnamed theme";
        if (!data.containsKey("name")) notes.add(where + ": it has no name, so it is called “" + name + "”.");
        try {
            Map<String, Object> extensions = object(data, "$extensions");
            return new ThemeDocument(
                    name,
                    text(data, "description"),
                    sets,
                    modifiers,
                    order,
                    ScopesData.read(extensions, (of, tokens) -> sources(of, List.of(tokens))),
                    ScopesData.without(extensions));
        } catch (IllegalArgumentException e) {
            throw new FormatException(e.getMessage(), e);
        }
    }

    private ThemeDocument.TokenSet set(String name, Object value) {
        Map<String, Object> set = Json.object("The set “" + name + "”", value);
        if (!set.containsKey("sources")) throw new FormatException("The set “" + name + "” has no sources.");
        open.add(ThemeJson.SETS + name);
        Group tokens = sources("the set “" + name + "”", set.get("sources"));
        open.remove(ThemeJson.SETS + name);
        return new ThemeDocument.TokenSet(text(set, "description"), tokens, object(set, "$extensions"));
    }

    private Modifier modifier(String name, Object value) {
        Map<String, Object> modifier = Json.object("The modifier “" + name + "”", value);
        Map<String, Group> contexts = new LinkedHashMap<>();
        object(modifier, "contexts")
                .forEach((context, sources) ->
                        contexts.put(context, sources("the context “" + name + "/" + context + "”", sources)));
        if (contexts.isEmpty()) throw new FormatException("The modifier “" + name + "” has no contexts.");
        String standard = modifier.get("default") instanceof String chosen
                ? chosen
                : contexts.keySet().iterator().next();
        if (!modifier.containsKey("default"))
            notes.add("The modifier “" + name + "” has no default, so it is “" + standard + "”.");
        try {
            return new Modifier(text(modifier, "description"), contexts, standard, object(modifier, "$extensions"));
        } catch (IllegalArgumentException e) {
            throw new FormatException("The modifier “" + name + "”: " + e.getMessage(), e);
        }
    }

    /** All sources of a set or context as one tree; a later source wins. */
    private Group sources(String of, Object data) {
        Group merged = Group.EMPTY;
        boolean first = true;
        for (Object source : Json.list("The sources of " + of, data)) {
            Map<String, Object> map = Json.object("A source of " + of, source);
            Group read =
                    map.get(REF) instanceof String ref ? referred(of, ref, map) : TokensJson.modern(of, map, notes);
            merged = first ? read : merged.under(read);
            first = false;
        }
        return merged;
    }

    private Group referred(String of, String ref, Map<String, Object> map) {
        Map<String, Object> beside = new LinkedHashMap<>(map);
        beside.remove(REF);
        Group read = ref.startsWith("#") ? otherSet(of, ref) : file(of, ref);
        // Properties beside a reference replace those of what it refers to. Source: Resolver Module 2025.10, section
        // 4.2.
        return beside.isEmpty() ? read : replace(read, TokensJson.modern(of, beside, notes));
    }

    private static Group replace(Group below, Group above) {
        Map<String, Node> children = new LinkedHashMap<>(below.children());
        children.putAll(above.children());
        return new Group(children, above.meta().equals(Meta.NONE) ? below.meta() : above.meta());
    }

    private Group otherSet(String of, String ref) {
        if (ref.startsWith(ThemeJson.MODIFIERS) || ref.startsWith("#/resolutionOrder"))
            throw new FormatException("A source of " + of + " refers to “" + ref
                    + "”; a source may refer to a set, to a file, or stand inline.");
        if (!ref.startsWith(ThemeJson.SETS))
            throw new FormatException(
                    "A source of " + of + " refers to “" + ref + "”, which is no set of this document.");
        String name = name(ref, ThemeJson.SETS);
        if (open.contains(ref)) throw circle(ref);
        if (sets.containsKey(name)) return sets.get(name).tokens();
        Object value = object(data, "sets").get(name);
        if (value == null)
            throw new FormatException("A source of " + of + " refers to “" + ref + "”, which is not there.");
        return set(name, value).tokens();
    }

    private Group file(String of, String ref) {
        int hash = ref.indexOf('#');
        String file = hash < 0 ? ref : ref.substring(0, hash);
        if (++filesRead > MOST_FILES)
            throw new FormatException(where + " refers to more than " + MOST_FILES + " files.");
        if (!open.add(file)) throw circle(file);
        Map<String, Object> content = Json.readObject(file, files.apply(file));
        Object part = hash < 0 || hash == ref.length() - 1 ? content : at(file, content, ref.substring(hash + 1));
        Map<String, Object> tokens = Json.object(ref, part);
        Group read = tokens.get(REF) instanceof String next && tokens.size() == 1
                ? file(of, next)
                : TokensJson.modern(file, tokens, notes);
        open.remove(file);
        tokensRead += read.tokenCount();
        try {
            Limits.checkTokens(tokensRead);
        } catch (IllegalArgumentException e) {
            throw new FormatException(e.getMessage(), e);
        }
        return read;
    }

    private static Object at(String file, Object data, String pointer) {
        Object at = data;
        for (String step : pointer.substring(1).split("/")) {
            String key = Pointers.unescaped(step);
            if (!(at instanceof Map<?, ?> map) || !map.containsKey(key))
                throw new FormatException("The file “" + file + "” has nothing at #" + pointer + ".");
            at = map.get(key);
        }
        return at;
    }

    private FormatException circle(String again) {
        return new FormatException(where + " refers in a circle: " + String.join(" → ", open) + " → " + again + ".");
    }

    private ThemeDocument.OrderEntry orderEntry(Object entry) {
        Map<String, Object> map = Json.object("An entry of resolutionOrder", entry);
        if (map.get(REF) instanceof String ref) {
            if (ref.startsWith(ThemeJson.SETS)) return ThemeDocument.OrderEntry.set(name(ref, ThemeJson.SETS));
            if (ref.startsWith(ThemeJson.MODIFIERS))
                return ThemeDocument.OrderEntry.modifier(name(ref, ThemeJson.MODIFIERS));
            throw new FormatException("The resolution order holds “" + ref
                    + "”; an entry refers to #/sets/… or #/modifiers/…, or stands inline.");
        }
        String type = map.get("type") instanceof String said ? said : "";
        if (!(map.get("name") instanceof String name))
            throw new FormatException("An inline entry of resolutionOrder needs a name.");
        if (sets.containsKey(name) || modifiers.containsKey(name))
            throw new FormatException("The resolution order holds an inline “" + name + "”, but that name is taken.");
        switch (type) {
            case "set":
                sets.put(name, set(name, map));
                return ThemeDocument.OrderEntry.set(name);
            case "modifier":
                modifiers.put(name, modifier(name, map));
                return ThemeDocument.OrderEntry.modifier(name);
            default:
                throw new FormatException("The resolution order’s entry “" + name + "” has the type “" + type
                        + "”; it is set or modifier.");
        }
    }

    private static String name(String ref, String start) {
        return Pointers.unescaped(ref.substring(start.length()));
    }

    private static Map<String, Object> object(Map<String, Object> data, String field) {
        return data.containsKey(field) ? Json.object("“" + field + "”", data.get(field)) : Map.of();
    }

    private static String text(Map<String, Object> data, String field) {
        return data.containsKey(field) ? Json.string("“" + field + "”", data.get(field)) : "";
    }
}
