package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Names;

/**
 * A piece of markup that belongs to a theme, so that every site which wears it shows the piece. Kept in the document under
 * {@code $extensions.org.umberloom.pieces}, by name.
 *
 * @param everywhere whether every page of every site has it
 * @param kinds      of pages that have it
 * @param html       one element; looked through before a site shows it
 */
public record SharedPiece(String title, boolean everywhere, List<String> kinds, String html) {
    private static final String FIELD = "pieces";
    private static final int LONGEST = 100_000;
    private static final int MOST_KINDS = 50;

    /** @throws IllegalArgumentException for names that are none, or too much markup */
    public SharedPiece {
        Names.checked("A piece", title);
        kinds = List.copyOf(kinds);
        if (kinds.size() > MOST_KINDS)
            throw new IllegalArgumentException("A piece stands on at most " + MOST_KINDS + " kinds of pages.");
        kinds.forEach(kind -> Names.checked("A page kind", kind));
        if (html.isBlank() || html.length() > LONGEST)
            throw new IllegalArgumentException(
                    "The piece “" + title + "” holds no markup, or more than " + LONGEST + " letters of it.");
    }

    /** The pieces that a document holds, by name; an entry that cannot be read is left out. */
    public static SortedMap<String, SharedPiece> of(ThemeDocument theme) {
        SortedMap<String, SharedPiece> pieces = new TreeMap<>();
        if (Meta.own(theme.extensions(), FIELD).orElse(null) instanceof Map<?, ?> entries)
            entries.forEach((name, entry) -> read(entry).ifPresent(piece -> pieces.put(String.valueOf(name), piece)));
        return pieces;
    }

    private static Optional<SharedPiece> read(Object entry) {
        if (!(entry instanceof Map<?, ?> map)
                || !(map.get("title") instanceof String title)
                || !(map.get("html") instanceof String html)) return Optional.empty();
        List<String> kinds = new ArrayList<>();
        if (map.get("kinds") instanceof List<?> all) all.forEach(kind -> kinds.add(String.valueOf(kind)));
        try {
            return Optional.of(new SharedPiece(title, Boolean.TRUE.equals(map.get("everywhere")), kinds, html));
        } catch (IllegalArgumentException unreadable) {
            return Optional.empty();
        }
    }

    /** The document with these pieces and no others. */
    static ThemeDocument with(ThemeDocument theme, SortedMap<String, SharedPiece> pieces) {
        Map<String, Object> entries = new LinkedHashMap<>();
        pieces.forEach((name, piece) -> entries.put(name, piece.data()));
        Optional<Object> named =
                entries.isEmpty() ? Optional.empty() : Optional.of(Collections.unmodifiableMap(entries));
        return theme.withExtensions(Meta.withOwn(theme.extensions(), FIELD, named));
    }

    private Map<String, Object> data() {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("title", title);
        data.put("everywhere", everywhere);
        data.put("kinds", kinds);
        data.put("html", html);
        return Collections.unmodifiableMap(data);
    }
}
