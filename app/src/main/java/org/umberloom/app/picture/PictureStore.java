package org.umberloom.app.picture;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.awt.Dimension;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.umberloom.core.color.Tones;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Fingerprint;
import org.umberloom.core.token.Names;
import org.umberloom.kit.Grounds;
import org.umberloom.kit.picture.PictureReader;

/**
 * Pictures by what is in them. A document says which it has ({@link Picture}); here are their contents, which never change,
 * so whatever is kept of them in a process is right in every process.
 */
@Service
public class PictureStore implements Grounds {
    private static final int MOST_SIZES = 2_000;
    private static final int MOST_BYTES = 8 << 20;
    /** Bytes of tones that are kept at hand. */
    private static final long TONES_AT_HAND = 16 << 20;

    /** A picture that is kept. */
    public record Kept(String hash, String mediaType, long bytes) {}

    private final PictureMapper pictures;
    private final PictureReader reader;
    private final Cache<String, Tones> tones = Caffeine.newBuilder()
            .maximumWeight(TONES_AT_HAND)
            .weigher((String hash, Tones kept) -> kept.toBytes().length)
            .build();

    private final Cache<String, Dimension> sizes =
            Caffeine.newBuilder().maximumSize(MOST_SIZES).build();

    PictureStore(PictureMapper pictures, PictureReader reader) {
        this.pictures = pictures;
        this.reader = reader;
    }

    @Override
    public Pictures of(ThemeDocument theme) {
        Map<String, Picture> named = Picture.of(theme);
        return name -> Optional.ofNullable(named.get(name)).flatMap(picture -> tones(picture.hash()));
    }

    private Optional<Tones> tones(String hash) {
        return Optional.ofNullable(tones.get(hash, key -> pictures.tones(key)
                .map(kept -> Tones.fromBytes(kept.bytes()))
                .orElse(null)));
    }

    /** Width and height of a kept picture, px; both 0 for one that has no size of its own. */
    public Dimension size(String hash) {
        return sizes.get(hash, key -> content(key)
                .map(reader::read)
                .map(seen -> new Dimension(seen.width(), seen.height()))
                .orElse(new Dimension()));
    }

    @Override
    public Optional<byte[]> content(String hash) {
        return pictures.content(hash).map(PictureMapper.Bytes::bytes);
    }

    /**
     * Looks at a picture and keeps it, once for each content.
     *
     * @param fileName for the sentence that refuses it
     * @throws IllegalArgumentException with a sentence for people when it is no picture, too large, damaged or hostile
     */
    public Kept keep(String fileName, byte[] content) {
        String shown = Names.shown(fileName);
        if (content.length > MOST_BYTES)
            throw new IllegalArgumentException(
                    "“" + shown
                            + "” has more than 8 MB. It was not kept; make it smaller, since every reader of the page loads it.");
        PictureReader.Seen seen = reader.read(content);
        if (seen.pixels().length == 0)
            throw new IllegalArgumentException(
                    "“" + shown + "” shows no color, so nothing could be computed for text on it. It was not kept.");
        String hash = Fingerprint.of(seen.content());
        pictures.keep(
                hash,
                seen.mediaType(),
                seen.content(),
                Tones.ofPixels(seen.pixels()).toBytes());
        return new Kept(hash, seen.mediaType(), seen.content().length);
    }

    /** Notes that a theme has these pictures, so that their contents stay as long as it does. */
    public void use(long theme, ThemeDocument document) {
        Picture.of(document).values().forEach(picture -> pictures.use(theme, picture.hash()));
    }

    /** Lets go of a theme's pictures, and of every content that no theme has or had. */
    public void release(long theme) {
        pictures.release(theme);
        pictures.dropUnused();
    }
}
