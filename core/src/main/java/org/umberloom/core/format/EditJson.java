package org.umberloom.core.format;

import java.util.Map;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.Asked;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.token.Names;
import org.umberloom.core.wish.Wish;

/**
 * Edits as JSON: the one language in which the front end asks for them and the log of a theme keeps them. Reading what was
 * written gives an equal edit.
 */
public final class EditJson {
    private static final String WHERE = "The edit";
    private static final RecordKinds KINDS = new RecordKinds("an edit", Edit.class, Wish.class);

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
        return (Asked) KINDS.read(Json.read(WHERE, data));
    }

    /** An edit as data, to be asked for as it is. */
    public static Map<String, Object> data(Edit edit) {
        return data((Record) edit);
    }

    static Map<String, Object> data(Record edit) {
        return KINDS.write(edit);
    }

    static Edit edit(Map<String, Object> data) {
        if (KINDS.read(data) instanceof Edit edit) return edit;
        throw new FormatException("“" + Names.shown(String.valueOf(data.get(RecordKinds.OP))) + "” is no exact edit.");
    }

    /** Every kind of edit by its name, with what it is made of, for who describes them. */
    public static Map<String, EditShape.Fields> shapes() {
        return KINDS.shapes();
    }

    static boolean isEdit(Class<?> type) {
        return Edit.class.isAssignableFrom(type);
    }
}
