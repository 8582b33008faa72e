package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Node;

/**
 * Resolver documents: a theme in one file with its sets inline, or as a file that names its token files. Source:
 * Design Tokens Resolver Module 2025.10.
 */
public final class ThemeJson {
    public static final String VERSION = "2025.10";
    private static final String SETS = "#/sets/";
    private static final String MODIFIERS = "#/modifiers/";

    private ThemeJson() {
    }

    /** The theme in one document; the form in which it is stored. */
    public static String writeInline(ThemeDocument theme) {
        return Json.write(document(theme, (name, tokens) -> TokensJson.data(tokens)));
    }

    /** The theme as files: {@code theme.resolver.json} first, then one file for each set and each context. */
    public static Map<String, String> writeFiles(ThemeDocument theme) {
        Map<String, String> tokenFiles = new LinkedHashMap<>();
        Map<String, Object> document = document(theme, (name, tokens) -> {
            String file = "tokens/" + name + ".tokens.json";
            tokenFiles.put(file, TokensJson.write(tokens));
            return Map.of("$ref", file);
        });
        Map<String, String> files = new LinkedHashMap<>();
        files.put("theme.resolver.json", Json.write(document));
        files.putAll(tokenFiles);
        return files;
    }

    /** @throws FormatException when the text is not a resolver document with inline sources */
    public static ThemeDocument readInline(String text) {
        return read(text, file -> {
            throw new FormatException("The theme refers to the file “" + file + "”, which was not given with it.");
        });
    }

    /**
     * @param files text of a file by the name that the document uses; it may throw for one that is not there
     * @throws FormatException with the place of what is wrong
     */
    public static ThemeDocument read(String text, Function<String, String> files) {
        Map<String, Object> data = Json.readObject("The theme", text);
        if (!VERSION.equals(data.get("version")))
            throw new FormatException("The theme has the version “" + data.get("version") + "”; " + VERSION
                    + " is understood here.");
        Map<String, ThemeDocument.TokenSet> sets = new LinkedHashMap<>();
        object(data, "sets").forEach((name, value) -> {
            Map<String, Object> set = Json.object("The set “" + name + "”", value);
            sets.put(name, new ThemeDocument.TokenSet(text(set, "description"),
                    sources("the set “" + name + "”", set.get("sources"), files)));
        });
        Map<String, Modifier> modifiers = new LinkedHashMap<>();
        object(data, "modifiers").forEach((name, value) ->
                modifiers.put(name, modifier(name, Json.object("The modifier “" + name + "”", value), files)));
        List<ThemeDocument.OrderEntry> order = new ArrayList<>();
        for (Object entry : Json.list("resolutionOrder", data.get("resolutionOrder"))) order.add(orderEntry(entry));
        Map<String, Object> extensions = object(data, "$extensions");
        try {
            return new ThemeDocument(text(data, "name"), text(data, "description"), sets, modifiers, order, extensions);
        } catch (IllegalArgumentException e) {
            throw new FormatException(e.getMessage(), e);
        }
    }

    private interface Source {
        Object of(String name, Group tokens);
    }

    private static Map<String, Object> document(ThemeDocument theme, Source source) {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("name", theme.name());
        data.put("version", VERSION);
        if (!theme.description().isEmpty()) data.put("description", theme.description());
        Map<String, Object> sets = new LinkedHashMap<>();
        theme.sets().forEach((name, set) -> {
            Map<String, Object> entry = new LinkedHashMap<>();
            if (!set.description().isEmpty()) entry.put("description", set.description());
            entry.put("sources", List.of(source.of(name, set.tokens())));
            sets.put(name, entry);
        });
        data.put("sets", sets);
        Map<String, Object> modifiers = new LinkedHashMap<>();
        theme.modifiers().forEach((name, modifier) -> {
            Map<String, Object> entry = new LinkedHashMap<>();
            if (!modifier.description().isEmpty()) entry.put("description", modifier.description());
            Map<String, Object> contexts = new LinkedHashMap<>();
            modifier.contexts().forEach((context, tokens) -> contexts.put(context,
                    tokens.equals(Group.EMPTY) ? List.of() : List.of(source.of(name + "." + context, tokens))));
            entry.put("contexts", contexts);
            entry.put("default", modifier.defaultContext());
            modifiers.put(name, entry);
        });
        data.put("modifiers", modifiers);
        data.put("resolutionOrder", theme.order().stream().map(entry ->
                Map.of("$ref", (entry.modifier() ? MODIFIERS : SETS) + entry.name())).toList());
        if (!theme.extensions().isEmpty()) data.put("$extensions", theme.extensions());
        return data;
    }

    private static Modifier modifier(String name, Map<String, Object> data, Function<String, String> files) {
        Map<String, Group> contexts = new LinkedHashMap<>();
        object(data, "contexts").forEach((context, value) -> contexts.put(context,
                sources("the context “" + name + "/" + context + "”", value, files)));
        if (contexts.isEmpty()) throw new FormatException("The modifier “" + name + "” has no contexts.");
        String standard = data.get("default") instanceof String text ? text : contexts.keySet().iterator().next();
        try {
            return new Modifier(text(data, "description"), contexts, standard);
        } catch (IllegalArgumentException e) {
            throw new FormatException("The modifier “" + name + "”: " + e.getMessage(), e);
        }
    }

    /** All sources of a set or context as one tree; a later source wins. */
    private static Group sources(String where, Object data, Function<String, String> files) {
        Group merged = Group.EMPTY;
        boolean first = true;
        for (Object source : Json.list("The sources of " + where, data)) {
            Map<String, Object> map = Json.object("A source of " + where, source);
            Group read = map.get("$ref") instanceof String file && map.size() == 1
                    ? TokensJson.read(file, files.apply(file))
                    : TokensJson.group(where, "", map, Optional.empty());
            merged = first ? read : merge(merged, read);
            first = false;
        }
        return merged;
    }

    private static Group merge(Group below, Group above) {
        Map<String, Node> children = new LinkedHashMap<>(below.children());
        above.children().forEach((name, node) -> children.merge(name, node, (old, fresh) ->
                old instanceof Group oldGroup && fresh instanceof Group freshGroup
                        ? merge(oldGroup, freshGroup) : fresh));
        return new Group(children, above.meta().equals(Meta.NONE) ? below.meta() : above.meta());
    }

    private static ThemeDocument.OrderEntry orderEntry(Object data) {
        String ref = String.valueOf(Json.object("An entry of resolutionOrder", data).get("$ref"));
        if (ref.startsWith(SETS)) return ThemeDocument.OrderEntry.set(ref.substring(SETS.length()));
        if (ref.startsWith(MODIFIERS)) return ThemeDocument.OrderEntry.modifier(ref.substring(MODIFIERS.length()));
        throw new FormatException("The resolution order holds “" + ref + "”; an entry refers to #/sets/… or #/modifiers/….");
    }

    private static Map<String, Object> object(Map<String, Object> data, String field) {
        return data.containsKey(field) ? Json.object("“" + field + "”", data.get(field)) : Map.of();
    }

    private static String text(Map<String, Object> data, String field) {
        return data.containsKey(field) ? Json.string("“" + field + "”", data.get(field)) : "";
    }
}
