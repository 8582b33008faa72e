package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.util.DefaultIndenter;
import tools.jackson.core.util.DefaultPrettyPrinter;
import tools.jackson.databind.ObjectWriter;
import tools.jackson.databind.json.JsonMapper;

/** JSON text to plain data and back: maps and lists in order, strings, booleans, and numbers as Double. */
final class Json {
    private static final JsonMapper MAPPER =
            JsonMapper.builder().enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION).build();
    private static final DefaultPrettyPrinter PRINTER = new DefaultPrettyPrinter()
            .withObjectIndenter(new DefaultIndenter("  ", "\n")).withArrayIndenter(new DefaultIndenter("  ", "\n"));
    private static final ObjectWriter PRETTY = MAPPER.writer().with(PRINTER);
    /** Whole numbers up to here are exact as Double. */
    private static final double EXACT = 9007199254740992.0;

    private Json() {
    }

    /** @throws FormatException when the text is not one JSON object; the message starts with {@code where} */
    static Map<String, Object> readObject(String where, String text) {
        Object data;
        try {
            data = plain(MAPPER.readValue(text, Object.class));
        } catch (JacksonException e) {
            throw new FormatException(where + " is not valid JSON: " + e.getOriginalMessage()
                    + (e.getLocation() == null ? "" : " (line " + e.getLocation().getLineNr() + ")"), e);
        }
        return object(where, data);
    }

    /** Indented, with a newline at the end. */
    static String write(Object data) {
        return PRETTY.writeValueAsString(printable(data)) + "\n";
    }

    /** On one line. */
    static String writeCompact(Object data) {
        return MAPPER.writeValueAsString(printable(data));
    }

    static Map<String, Object> object(String where, Object data) {
        if (!(data instanceof Map<?, ?> map)) throw new FormatException(where + " must be an object.");
        Map<String, Object> object = new LinkedHashMap<>();
        map.forEach((key, value) -> object.put((String) key, value));
        return object;
    }

    static String string(String where, Object data) {
        if (data instanceof String text) return text;
        throw new FormatException(where + " must be text.");
    }

    static double number(String where, Object data) {
        if (data instanceof Number number) return number.doubleValue();
        throw new FormatException(where + " must be a number.");
    }

    static List<?> list(String where, Object data) {
        if (data instanceof List<?> list) return list;
        throw new FormatException(where + " must be a list.");
    }

    private static Object plain(Object data) {
        if (data instanceof Map<?, ?> map) {
            Map<String, Object> copy = new LinkedHashMap<>();
            map.forEach((key, value) -> copy.put((String) key, plain(value)));
            return copy;
        }
        if (data instanceof List<?> list) {
            List<Object> copy = new ArrayList<>();
            list.forEach(item -> copy.add(plain(item)));
            return copy;
        }
        if (data instanceof Number number && Math.abs(number.doubleValue()) <= EXACT) return number.doubleValue();
        return data;
    }

    private static Object printable(Object data) {
        if (data instanceof Map<?, ?> map) {
            Map<Object, Object> copy = new LinkedHashMap<>();
            map.forEach((key, value) -> copy.put(key, printable(value)));
            return copy;
        }
        if (data instanceof List<?> list) return list.stream().map(Json::printable).toList();
        if (data instanceof Double number && number == Math.rint(number) && Math.abs(number) <= EXACT)
            return number.longValue();
        return data;
    }
}
