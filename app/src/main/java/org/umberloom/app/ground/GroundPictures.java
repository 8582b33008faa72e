package org.umberloom.app.ground;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.stereotype.Service;
import org.umberloom.app.color.PictureReader;
import org.umberloom.core.color.Tones;
import org.umberloom.core.ground.Pictures;

/** The pictures that surfaces of a theme can stand on. They are looked at once, when they come. */
@Service
public class GroundPictures {
    private static final int MOST_BYTES = 8 << 20;
    private static final int MOST_NAME = 80;
    private static final int MOST_KNOWN = 64;

    private record Key(long theme, String name) {
    }

    private final GroundPictureMapper pictures;
    private final PictureReader reader;
    /** Tones are asked for with every probe. */
    private final Map<Key, Optional<Tones>> known = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Optional<Tones>> eldest) {
            return size() > MOST_KNOWN;
        }
    });

    private final AtomicInteger changes = new AtomicInteger();

    GroundPictures(GroundPictureMapper pictures, PictureReader reader) {
        this.pictures = pictures;
        this.reader = reader;
    }

    /** What the core needs of a theme's pictures. */
    public Pictures of(long theme) {
        return name -> known.computeIfAbsent(new Key(theme, name), key ->
                Optional.ofNullable(pictures.tones(theme, name)).map(kept -> Tones.fromBytes(kept.tones())));
    }

    /** A number that changes whenever a picture came, changed or went. */
    public int version() {
        return changes.get();
    }

    List<GroundPictureMapper.Row> all(long theme) {
        return pictures.all(theme);
    }

    /** @throws NoSuchElementException when the theme has no such picture */
    public GroundPicture get(long theme, String name) {
        return find(theme, name).orElseThrow(() -> new NoSuchElementException("This theme has no picture “" + name + "”."));
    }

    public Optional<GroundPicture> find(long theme, String name) {
        return pictures.find(theme, name);
    }

    /**
     * Keeps a picture; one of the same name is replaced.
     *
     * @return the name it has from now on: small letters, digits, dots and dashes
     * @throws IllegalArgumentException with a sentence for people when it is no picture, too large, damaged or hostile
     */
    public String add(long theme, String fileName, String license, byte[] content) {
        if (content.length > MOST_BYTES)
            throw new IllegalArgumentException("“" + fileName + "” has more than 8 MB. It was not kept; make it smaller, since every reader of the page loads it.");
        String mediaType = reader.mediaType(content);
        int[] pixels = reader.pixels(content);
        if (pixels.length == 0)
            throw new IllegalArgumentException("“" + fileName + "” shows no color, so nothing could be computed for text on it. It was not kept.");
        String name = name(fileName, mediaType);
        pictures.put(theme, name, mediaType, license, content, Tones.ofPixels(pixels).toBytes());
        known.remove(new Key(theme, name));
        changes.incrementAndGet();
        return name;
    }

    void remove(long theme, String name) {
        if (pictures.remove(theme, name) == 0) throw new NoSuchElementException("This theme has no picture “" + name + "”.");
        known.remove(new Key(theme, name));
        changes.incrementAndGet();
    }

    private static String name(String fileName, String mediaType) {
        String base = fileName.replaceAll("^.*[/\\\\]", "").replaceAll("\\.[^.]*$", "").toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-").replaceAll("^-+|-+$", "");
        String ending = switch (mediaType) {
            case "image/jpeg" -> ".jpg";
            case "image/svg+xml" -> ".svg";
            default -> "." + mediaType.substring(mediaType.indexOf('/') + 1);
        };
        return (base.isEmpty() ? "picture" : base.substring(0, Math.min(MOST_NAME, base.length()))) + ending;
    }
}
