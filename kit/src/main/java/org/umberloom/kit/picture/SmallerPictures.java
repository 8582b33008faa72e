package org.umberloom.kit.picture;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.umberloom.core.page.PagePictures;
import org.umberloom.core.token.Fingerprint;
import org.umberloom.kit.SitePicture;

/** Smaller files of large pictures, for windows that do not need all of their pixels. They are made when they are asked for. */
public final class SmallerPictures {
    /** In px: a phone, a tablet, a desk. */
    private static final List<Integer> WIDTHS = List.of(480, 960, 1600);
    /** One that is hardly smaller is not worth a file. */
    private static final double MUCH_SMALLER = 0.8;

    private static final List<String> WRITTEN = List.of("image/jpeg", "image/png");
    private static final Pattern NAME = Pattern.compile("(.+)-w([0-9]+)(\\.[a-z]+)");
    private static final long MOST_BYTES = 32 << 20;

    private final Cache<String, byte[]> made = Caffeine.newBuilder()
            .maximumWeight(MOST_BYTES)
            .weigher((String key, byte[] file) -> file.length)
            .build();

    /** Which there are of a picture, from small to large. @param width of the picture in px */
    public List<PagePictures.Sized> of(String name, String mediaType, int width) {
        if (!WRITTEN.contains(mediaType)) return List.of();
        int dot = name.lastIndexOf('.');
        return WIDTHS.stream()
                .filter(one -> one < MUCH_SMALLER * width)
                .map(one -> new PagePictures.Sized(one, name.substring(0, dot) + "-w" + one + name.substring(dot)))
                .toList();
    }

    /** The same with everything else that pages are told of a picture. */
    public PagePictures.Known known(SitePicture picture) {
        return new PagePictures.Known(
                picture.width(),
                picture.height(),
                picture.alt(),
                picture.focalX(),
                picture.focalY(),
                of(picture.name(), picture.mediaType(), picture.width()));
    }

    /** The smaller files of a picture by their names. */
    public Map<String, byte[]> files(SitePicture picture) {
        Map<String, byte[]> files = new LinkedHashMap<>();
        of(picture.name(), picture.mediaType(), picture.width())
                .forEach(size -> files.put(size.name(), made(picture.content(), picture.mediaType(), size.width())));
        return files;
    }

    /** The picture that a smaller file is of, and how wide that is. */
    public record Named(String of, int width) {}

    public Optional<Named> named(String name) {
        Matcher parts = NAME.matcher(name);
        if (!parts.matches()) return Optional.empty();
        return WIDTHS.stream()
                .filter(width -> String.valueOf(width).equals(parts.group(2)))
                .map(width -> new Named(parts.group(1) + parts.group(3), width))
                .findFirst();
    }

    /** @param content of a picture that was read before */
    public byte[] made(byte[] content, String mediaType, int width) {
        return made.get(Fingerprint.of(content) + width, key -> make(content, mediaType, width));
    }

    private static byte[] make(byte[] content, String mediaType, int width) {
        try {
            BufferedImage image = Shrinking.to(Raster.atLeast(content, width), width);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(image, mediaType.endsWith("png") ? "png" : "jpeg", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
