package org.umberloom.core.theme;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One fault or weakness, with its place and a remedy.
 *
 * @param code   stable kind, such as {@code unknown-reference}
 * @param weight how much it matters
 * @param path   the token or pair it is about, dotted
 * @param message what is wrong, in a sentence
 * @param remedy  what to do, in a sentence
 * @param fixes   remedies that can be applied as they are, the best first
 * @param combination in which it holds; without contexts where it holds in all
 * @param place   where what it is about is written; none where that is no one place
 */
public record Finding(
        String code,
        Weight weight,
        String path,
        String message,
        String remedy,
        List<Fix> fixes,
        Combination combination,
        Optional<Place> place) {
    private static final Combination EVERYWHERE = new Combination(Map.of());

    /** Must be mended, should be mended, or is merely worth knowing. */
    public enum Weight {
        MUST,
        SHOULD,
        NOTE
    }

    /** A remedy as an edit, with what it does in a few words. */
    public record Fix(String label, Edit edit) {}

    public Finding {
        fixes = List.copyOf(fixes);
    }

    public Finding(String code, Weight weight, String path, String message, String remedy) {
        this(code, weight, path, message, remedy, List.of());
    }

    public Finding(String code, Weight weight, String path, String message, String remedy, List<Fix> fixes) {
        this(code, weight, path, message, remedy, fixes, EVERYWHERE, Optional.empty());
    }

    /** The same, holding in one combination. */
    public Finding in(Combination one) {
        return new Finding(code, weight, path, message, remedy, fixes, one, place);
    }

    /** The same about what is written at a place. */
    public Finding at(Place one) {
        return new Finding(code, weight, path, message, remedy, fixes, combination, Optional.of(one));
    }
}
