package org.umberloom.core.theme;

import java.util.List;

/**
 * One fault or weakness, with its place and a remedy.
 *
 * @param code   stable kind, such as {@code unknown-reference}
 * @param weight how much it matters
 * @param path   the token or pair it is about, dotted
 * @param message what is wrong, in a sentence
 * @param remedy  what to do, in a sentence
 * @param fixes   remedies that can be applied as they are, the best first
 */
public record Finding(String code, Weight weight, String path, String message, String remedy, List<Fix> fixes) {
    /** Must be mended, should be mended, or is merely worth knowing. */
    public enum Weight { MUST, SHOULD, NOTE }

    /** A remedy as an edit, with what it does in a few words. */
    public record Fix(String label, Edit edit) {
    }

    public Finding {
        fixes = List.copyOf(fixes);
    }

    public Finding(String code, Weight weight, String path, String message, String remedy) {
        this(code, weight, path, message, remedy, List.of());
    }
}
