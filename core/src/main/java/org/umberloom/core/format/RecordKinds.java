package org.umberloom.core.format;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.token.Names;

/** What sealed types permit, as JSON: the kind of a record is its name under {@code op}, its fields are its components. */
final class RecordKinds {
    /** The field that says which kind it is. */
    static final String OP = "op";

    private final String what;
    private final Map<String, Class<?>> kinds = new LinkedHashMap<>();

    /**
     * @param what   one of them for people, such as {@code an edit}
     * @param sealed types, each down to its records
     */
    RecordKinds(String what, Class<?>... sealed) {
        this.what = what;
        for (Class<?> type : sealed) collect(type);
    }

    private void collect(Class<?> type) {
        if (!type.isRecord()) for (Class<?> permitted : type.getPermittedSubclasses()) collect(permitted);
        else if (kinds.put(name(type), type) != null)
            throw new IllegalStateException("two kinds of " + what + " are called " + name(type));
    }

    Map<String, Object> write(Record one) {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put(OP, name(one.getClass()));
        data.putAll(RecordData.write(one));
        return data;
    }

    /** @throws FormatException when the data is none of them, with the field that is wrong */
    Object read(Map<String, Object> data) {
        Class<?> type = kinds.get(String.valueOf(data.get(OP)));
        if (type == null)
            throw new FormatException(
                    "“" + Names.shown(String.valueOf(data.get(OP))) + "” is not " + what + " that is known here.");
        Map<String, Object> fields = new LinkedHashMap<>(data);
        fields.remove(OP);
        return RecordData.read(type, fields);
    }

    /** Every kind by its name, with what it is made of. */
    Map<String, EditShape.Fields> shapes() {
        Map<String, EditShape.Fields> shapes = new LinkedHashMap<>();
        kinds.forEach((name, type) -> shapes.put(name, RecordData.shape(type)));
        return Collections.unmodifiableMap(shapes);
    }

    private static String name(Class<?> type) {
        String name = type.getSimpleName();
        return Character.toLowerCase(name.charAt(0)) + name.substring(1);
    }
}
