package org.umberloom.core.theme;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.umberloom.core.json.Json;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Names;

/**
 * A picture that goes with a theme. The document names it and says which content it has, so that the history, every copy
 * and every process mean the same picture; the content itself is kept by its hash.
 *
 * @param name      file name: small letters, digits, dots and dashes
 * @param hash      SHA-256 of the content, 64 hex digits
 * @param mediaType image/jpeg, image/png, image/webp or image/svg+xml
 * @param license   under which it is used; empty where nobody said
 * @param bytes     size of the content
 * @param source    where it is from, where somebody said so
 * @param alt       what it shows in words, where somebody said so
 * @param focalX    the point that stays in sight, as a share from the left, where it is another than the middle
 * @param focalY    the same from the top
 */
public record Picture(
        String name,
        String hash,
        String mediaType,
        String license,
        long bytes,
        Optional<String> source,
        Optional<String> alt,
        Optional<Double> focalX,
        Optional<Double> focalY) {
    /** What a picture may be. */
    public static final List<String> MEDIA_TYPES = List.of("image/jpeg", "image/png", "image/webp", "image/svg+xml");

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
        facts(license, source, alt, focalX, focalY);
        if (bytes < 0) throw new IllegalArgumentException("The picture “" + name + "” has a negative size.");
    }

    /** One of which only the license is known. */
    public Picture(String name, String hash, String mediaType, String license, long bytes) {
        this(
                name,
                hash,
                mediaType,
                license,
                bytes,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** The same picture, of which something else is said. */
    public Picture said(PictureFacts facts) {
        return new Picture(
                name,
                hash,
                mediaType,
                facts.license(),
                bytes,
                Optional.of(facts.source()).filter(text -> !text.isEmpty()),
                Optional.of(facts.alt()).filter(text -> !text.isEmpty()),
                Optional.of(facts.focalX()).filter(at -> at != PictureFacts.NONE.focalX()),
                Optional.of(facts.focalY()).filter(at -> at != PictureFacts.NONE.focalY()));
    }

    /** What is said of it. */
    public PictureFacts facts() {
        return facts(license, source, alt, focalX, focalY);
    }

    private static PictureFacts facts(
            String license,
            Optional<String> source,
            Optional<String> alt,
            Optional<Double> focalX,
            Optional<Double> focalY) {
        return new PictureFacts(
                license,
                source.orElse(""),
                alt.orElse(""),
                focalX.orElse(PictureFacts.NONE.focalX()),
                focalY.orElse(PictureFacts.NONE.focalY()),
                false);
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
            PictureFacts facts = PictureFacts.of(name, Json.object(name, map));
            return Optional.of(new Picture(
                            name,
                            text(map, "hash"),
                            text(map, "mediaType"),
                            facts.license(),
                            map.get("bytes") instanceof Number bytes ? bytes.longValue() : 0)
                    .said(facts));
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
        data.putAll(facts().toMap());
        data.put("bytes", (double) bytes);
        return Collections.unmodifiableMap(data);
    }
}
