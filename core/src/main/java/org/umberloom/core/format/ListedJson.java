package org.umberloom.core.format;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;

/** A list of tokens, each with its name, its value and perhaps its type, as objects that lie in each other like in a token file. */
final class ListedJson {
    private static final String HOLDER = "list";
    private static final List<String> NAMES = List.of("name", "path", "key", "token");

    private ListedJson() {}

    static boolean is(String text) {
        return text.stripLeading().startsWith("[");
    }

    /** @throws FormatException when an entry has no name or no value */
    static Map<String, Object> read(String where, String text) {
        List<?> entries = Json.list(
                where,
                Json.readObject(where, "{\"" + HOLDER + "\":" + text + "}").get(HOLDER));
        Map<String, Object> data = new LinkedHashMap<>();
        int at = 0;
        for (Object entry : entries) {
            at++;
            if (!(entry instanceof Map<?, ?> map)) throw lacking(where, at, "is no object");
            Object name = NAMES.stream()
                    .map(map::get)
                    .filter(one -> one != null)
                    .findFirst()
                    .orElse(null);
            Optional<Object> value = first(map, "$value", "value");
            if (name == null) throw lacking(where, at, "has no name");
            if (value.isEmpty()) throw lacking(where, at, "has no value");
            List<String> path = name instanceof List<?> parts
                    ? parts.stream().map(String::valueOf).toList()
                    : PlainJson.path(String.valueOf(name));
            Map<String, Object> token = new LinkedHashMap<>();
            token.put("value", value.get());
            first(map, "$type", "type").ifPresent(type -> token.put("type", type));
            first(map, "$description", "description", "comment").ifPresent(said -> token.put("description", said));
            put(where, data, path, token);
        }
        if (data.isEmpty()) throw new FormatException(where + " is an empty list.");
        return data;
    }

    private static Optional<Object> first(Map<?, ?> map, String... names) {
        return Stream.of(names).filter(map::containsKey).<Object>map(map::get).findFirst();
    }

    private static FormatException lacking(String where, int at, String what) {
        return new FormatException(
                "Entry " + at + " of " + where + " " + what
                        + ". Each token of a list has a name and a value, such as {\"name\": \"color.brand\", \"value\": \"#7a4a2b\"}.");
    }

    @SuppressWarnings("unchecked")
    private static void put(String where, Map<String, Object> data, List<String> path, Map<String, Object> token) {
        Map<String, Object> around = data;
        for (String name : path.subList(0, path.size() - 1)) {
            Object inner = around.computeIfAbsent(name, key -> new LinkedHashMap<String, Object>());
            if (((Map<String, Object>) inner).containsKey("value"))
                throw new FormatException("In " + where + " “" + String.join(".", path) + "” lies below “" + name
                        + "”, which is a token itself.");
            around = (Map<String, Object>) inner;
        }
        around.put(path.get(path.size() - 1), token);
    }
}
