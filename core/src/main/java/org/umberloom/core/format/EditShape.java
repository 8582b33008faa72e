package org.umberloom.core.format;

import java.util.List;
import java.util.Map;

/** What a part of an edit holds, as far as somebody has to know who writes it. */
public sealed interface EditShape {
    EditShape TEXT = new Plain("string");
    EditShape NUMBER = new Plain("number");
    EditShape FLAG = new Plain("boolean");
    EditShape DATA = new Plain("object");

    /** @param type of JSON */
    record Plain(String type) implements EditShape {}

    record Many(EditShape of) implements EditShape {}

    record Named(EditShape of) implements EditShape {}

    record OneOf(List<String> words) implements EditShape {}

    record Fields(Map<String, Field> fields) implements EditShape {}

    /** An edit inside another. */
    record Inner() implements EditShape {}

    /** @param needed whether it cannot be left out */
    record Field(EditShape shape, boolean needed) {}
}
