package org.umberloom.core.json;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.umberloom.core.limit.Patience;
import org.umberloom.core.limit.Sizes;
import org.umberloom.core.token.Names;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.StreamWriteConstraints;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.core.util.DefaultIndenter;
import tools.jackson.core.util.DefaultPrettyPrinter;
import tools.jackson.databind.ObjectWriter;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.util.RawValue;

/** JSON text to plain data and back: maps and lists in order, strings, booleans, and numbers as Double. */
public final class Json {
    /** Levels of nesting; a document's groups are held to far fewer. */
    private static final int DEEPEST = 200;

    private static final int LONGEST_NUMBER = 100;
    private static final int LONGEST_KEY = 2_000;
    /** Objects in one document: each token takes two or three. */
    private static final int MOST_OBJECTS = 400_000;

    private static final JsonMapper MAPPER = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(DEEPEST)
                            .maxStringLength(Sizes.TEXT)
                            .maxNumberLength(LONGEST_NUMBER)
                            .maxNameLength(LONGEST_KEY)
                            .build())
                    .streamWriteConstraints(StreamWriteConstraints.builder()
                            .maxNestingDepth(2 * DEEPEST)
                            .build())
                    .build())
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build();
    private static final DefaultPrettyPrinter PRINTER = new DefaultPrettyPrinter()
            .withObjectIndenter(new DefaultIndenter("  ", "\n"))
            .withArrayIndenter(new DefaultIndenter("  ", "\n"));
    private static final ObjectWriter PRETTY = MAPPER.writer().with(PRINTER);
    /** Whole numbers up to here are exact as Double. */
    private static final double EXACT = 9007199254740992.0;

    private Json() {}

    /** @throws FormatException when the text is not one JSON object; the message starts with {@code where} */
    public static Map<String, Object> readObject(String where, String text) {
        if (text.length() > Sizes.DOCUMENT)
            throw new FormatException(where + " has more than " + Sizes.counted(Sizes.DOCUMENT)
                    + " letters, the most that is read in one document.");
        if (text.chars().filter(c -> c == '{').count() > MOST_OBJECTS)
            throw new FormatException(
                    where + " holds more than " + MOST_OBJECTS + " objects, the most that is read in one document.");
        try {
            return object(where, plain(where, MAPPER.readValue(text, Object.class)));
        } catch (StreamConstraintsException e) {
            throw new FormatException(
                    where + " goes beyond what is read here: " + DEEPEST + " levels of nesting, "
                            + Sizes.counted(Sizes.TEXT) + " letters in a text, " + LONGEST_NUMBER
                            + " digits in a number" + line(e) + ".",
                    e);
        } catch (JacksonException e) {
            boolean twice = String.valueOf(e.getOriginalMessage()).startsWith("Duplicate");
            throw new FormatException(
                    where + (twice ? " has the same name twice in one object" : " is not valid JSON") + line(e) + ".",
                    e);
        }
    }

    private static String line(JacksonException e) {
        return e.getLocation() == null || e.getLocation().getLineNr() < 1
                ? ""
                : " (line " + e.getLocation().getLineNr() + ", column "
                        + e.getLocation().getColumnNr() + ")";
    }

    /** Data that another reader read, as this one gives it. @throws FormatException for a text that holds half a character */
    public static Map<String, Object> read(String where, Map<String, Object> data) {
        return object(where, plain(where, data));
    }

    /** Indented, with a newline at the end. */
    public static String write(Object data) {
        return PRETTY.writeValueAsString(printable(data)) + "\n";
    }

    /** Text that was written by {@link #write}, to stand as it is where it is written into other data. */
    public static Object raw(String text, int indent) {
        return new RawValue(text.stripTrailing().replace("\n", "\n" + " ".repeat(indent)));
    }

    /** On one line. */
    public static String writeCompact(Object data) {
        return MAPPER.writeValueAsString(printable(data));
    }

    public static Map<String, Object> object(String where, Object data) {
        if (!(data instanceof Map<?, ?> map)) throw new FormatException(where + " must be an object.");
        Map<String, Object> object = new LinkedHashMap<>();
        map.forEach((key, value) -> object.put((String) key, value));
        return object;
    }

    public static String string(String where, Object data) {
        if (data instanceof String text) return text;
        throw new FormatException(where + " must be text.");
    }

    public static double number(String where, Object data) {
        if (data instanceof Number number) return number.doubleValue();
        throw new FormatException(where + " must be a number.");
    }

    public static List<?> list(String where, Object data) {
        if (data instanceof List<?> list) return list;
        throw new FormatException(where + " must be a list.");
    }

    private static Object plain(String where, Object data) {
        if (data instanceof Map<?, ?> map) {
            Patience.ask();
            Map<String, Object> copy = new LinkedHashMap<>();
            map.forEach((key, value) -> copy.put(whole(where, (String) key), plain(where, value)));
            return copy;
        }
        if (data instanceof List<?> list) {
            List<Object> copy = new ArrayList<>();
            list.forEach(item -> copy.add(plain(where, item)));
            return copy;
        }
        if (data instanceof String text) return whole(where, text);
        if (data instanceof Number number && Math.abs(number.doubleValue()) <= EXACT) return number.doubleValue();
        return data;
    }

    /** What holds half a character would be another text when it is read again. */
    private static String whole(String where, String text) {
        try {
            return Names.safe(where, text);
        } catch (IllegalArgumentException e) {
            throw new FormatException(e.getMessage(), e);
        }
    }

    private static Object printable(Object data) {
        if (data instanceof String text) return whole("The text", text);
        if (data instanceof Map<?, ?> map) {
            Map<Object, Object> copy = new LinkedHashMap<>();
            map.forEach((key, value) ->
                    copy.put(key instanceof String name ? whole("A name", name) : key, printable(value)));
            return copy;
        }
        if (data instanceof List<?> list)
            return list.stream().map(Json::printable).toList();
        boolean minusZero = data instanceof Double zero && zero == 0 && 1 / zero < 0;
        if (data instanceof Double number && number == Math.rint(number) && Math.abs(number) <= EXACT && !minusZero)
            return number.longValue();
        return data;
    }
}
