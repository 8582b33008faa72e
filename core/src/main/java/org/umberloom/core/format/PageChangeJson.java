package org.umberloom.core.format;

import java.util.Map;
import org.umberloom.core.json.Json;
import org.umberloom.core.page.PageChange;

/** Changes of a page as JSON, as they are asked for. */
public final class PageChangeJson {
    private static final RecordKinds KINDS = new RecordKinds("a change of a page", PageChange.class);

    private PageChangeJson() {}

    /** @throws IllegalArgumentException when the data is no change that is known here */
    public static PageChange read(Map<String, Object> data) {
        return (PageChange) KINDS.read(Json.read("The change", data));
    }

    public static Map<String, Object> data(PageChange change) {
        return KINDS.write((Record) change);
    }

    /** Every kind of change by its name, with what it is made of, for who describes them. */
    public static Map<String, EditShape.Fields> shapes() {
        return KINDS.shapes();
    }
}
