package org.umberloom.core.format;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.Asked;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.token.Names;
import org.umberloom.core.wish.Wish;

/**
 * Edits as JSON: the one language in which the front end asks for them and the log of a theme keeps them. The kind of a record
 * is its name, its fields are its components. Reading what was written gives an equal edit.
 */
public final class EditJson {
    private static final String WHERE = "The edit";
    private static final String OP = "op";
    private static final Map<String, Class<?>> KINDS = kinds();

    private EditJson() {}

    public static String write(Edit edit) {
        return Json.writeCompact(data(edit));
    }

    /** An edit of a log. @throws FormatException when the text is not an exact edit */
    public static Edit read(String text) {
        return edit(OlderLog.modern(Json.readObject(WHERE, text)));
    }

    /** What somebody asks for. @throws IllegalArgumentException when the data is no edit that is known here */
    public static Asked asked(Map<String, Object> data) {
        return record(Json.read(WHERE, data));
    }

    /** An edit as data, to be asked for as it is. */
    public static Map<String, Object> data(Edit edit) {
        return data((Record) edit);
    }

    static Map<String, Object> data(Record edit) {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put(OP, name(edit.getClass()));
        data.putAll(RecordData.write(edit));
        return data;
    }

    static Edit edit(Map<String, Object> data) {
        if (record(data) instanceof Edit edit) return edit;
        throw new FormatException("“" + Names.shown(String.valueOf(data.get(OP))) + "” is no exact edit.");
    }

    /** Every kind of edit by its name, with what it is made of, for who describes them. */
    public static Map<String, EditShape.Fields> shapes() {
        Map<String, EditShape.Fields> shapes = new LinkedHashMap<>();
        KINDS.forEach((name, type) -> shapes.put(name, RecordData.shape(type)));
        return shapes;
    }

    static boolean isEdit(Class<?> type) {
        return Edit.class.isAssignableFrom(type);
    }

    private static Asked record(Map<String, Object> data) {
        Class<?> type = KINDS.get(String.valueOf(data.get(OP)));
        if (type == null)
            throw new FormatException(
                    "“" + Names.shown(String.valueOf(data.get(OP))) + "” is not an edit that is known here.");
        Map<String, Object> fields = new LinkedHashMap<>(data);
        fields.remove(OP);
        return (Asked) RecordData.read(type, fields);
    }

    private static Map<String, Class<?>> kinds() {
        Map<String, Class<?>> kinds = new LinkedHashMap<>();
        collect(Edit.class, kinds);
        collect(Wish.class, kinds);
        return Collections.unmodifiableMap(kinds);
    }

    /** What a sealed type permits, down to its records. */
    private static void collect(Class<?> type, Map<String, Class<?>> kinds) {
        if (!type.isRecord()) for (Class<?> permitted : type.getPermittedSubclasses()) collect(permitted, kinds);
        else if (kinds.put(name(type), type) != null)
            throw new IllegalStateException("two kinds of edit are called " + name(type));
    }

    private static String name(Class<?> type) {
        String name = type.getSimpleName();
        return Character.toLowerCase(name.charAt(0)) + name.substring(1);
    }
}
