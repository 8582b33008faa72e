package org.umberloom.core.theme;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Names;

/**
 * A picture that goes with a theme. The document names it and says which content it has, so that the history, every copy
 * and every process mean the same picture; the content itself is kept by its hash.
 *
 * @param name      file name: small letters, digits, dots and dashes
 * @param hash      SHA-256 of the content, 64 hex digits
 * @param mediaType image/jpeg, image/png, image/webp or image/svg+xml
 * @param license   under which it is used
 * @param bytes     size of the content
 */
public record Picture(String name, String hash, String mediaType, String license, long bytes) {
    /** What a picture may be. */
    public static final List<String> MEDIA_TYPES = List.of("image/jpeg", "image/png", "image/webp", "image/svg+xml");

    private static final int LONGEST_LICENSE = 200;
    private static final Pattern FILE = Pattern.compile("[a-z0-9][a-z0-9._-]{0,99}");
    private static final Pattern HASH = Pattern.compile("[0-9a-f]{64}");
    private static final String FIELD = "pictures";

    /** @throws IllegalArgumentException with a sentence for people when a part is out of range */
    public Picture {
        if (!isName(name))
            throw new IllegalArgumentException("“" + Names.shown(name)
                    + "” is not the name of a picture: small letters, digits, dots and dashes, up to 100.");
        if (!HASH.matcher(hash).matches())
            throw new IllegalArgumentException("The picture “" + name + "” has no SHA-256 of its content.");
        if (!MEDIA_TYPES.contains(mediaType))
            throw new IllegalArgumentException("The picture “" + name + "” is none of " + MEDIA_TYPES + ".");
        Names.safe("The license", license);
        if (license.length() > LONGEST_LICENSE)
            throw new IllegalArgumentException("A license is said in up to " + LONGEST_LICENSE
                    + " letters; this one has " + license.length() + ".");
        if (bytes < 0) throw new IllegalArgumentException("The picture “" + name + "” has a negative size.");
    }

    /** Whether a text can be the file name of a picture. */
    public static boolean isName(String name) {
        return FILE.matcher(name).matches();
    }

    /** The pictures that a document names, by name, in order; an entry that cannot be read is left out. */
    public static Map<String, Picture> of(ThemeDocument theme) {
        if (!(Meta.own(theme.extensions(), FIELD).orElse(null) instanceof Map<?, ?> entries)) return Map.of();
        Map<String, Picture> pictures = new LinkedHashMap<>();
        entries.forEach((name, entry) ->
                read(String.valueOf(name), entry).ifPresent(picture -> pictures.put(picture.name, picture)));
        return pictures;
    }

    private static Optional<Picture> read(String name, Object entry) {
        if (!(entry instanceof Map<?, ?> map)) return Optional.empty();
        try {
            return Optional.of(new Picture(
                    name,
                    text(map, "hash"),
                    text(map, "mediaType"),
                    text(map, "license"),
                    map.get("bytes") instanceof Number bytes ? bytes.longValue() : 0));
        } catch (IllegalArgumentException unreadable) {
            return Optional.empty();
        }
    }

    private static String text(Map<?, ?> map, String field) {
        return map.get(field) instanceof String text ? text : "";
    }

    /** The document with these pictures and no others. */
    public static ThemeDocument with(ThemeDocument theme, Map<String, Picture> pictures) {
        Map<String, Object> entries = new LinkedHashMap<>();
        pictures.forEach((name, picture) -> entries.put(name, picture.data()));
        Optional<Object> named =
                entries.isEmpty() ? Optional.empty() : Optional.of(Collections.unmodifiableMap(entries));
        return theme.withExtensions(Meta.withOwn(theme.extensions(), FIELD, named));
    }

    private Map<String, Object> data() {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("hash", hash);
        data.put("mediaType", mediaType);
        data.put("license", license);
        data.put("bytes", (double) bytes);
        return Collections.unmodifiableMap(data);
    }
}
