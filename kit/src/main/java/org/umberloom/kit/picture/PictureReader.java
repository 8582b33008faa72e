package org.umberloom.kit.picture;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.Map;

/**
 * Uploaded pictures, without trust: what a file claims to be does not count, its size is read before its pixels are, and a
 * large one is read thinned out. A vector picture is written anew ({@link VectorPicture}), and the colors it names count,
 * each once for each use.
 */
public final class PictureReader {
    /** As many pixels as a large camera makes; more is refused unread. */
    private static final long MOST_PIXELS = 64_000_000;
    /** Bytes of its pixels: 64 megapixels of four. */
    private static final long MOST_UNPACKED = 4 * MOST_PIXELS;
    /** A side that no page shows; a line of pixels of any length would be read whole. */
    private static final int LONGEST_SIDE = 20_000;
    /** What is looked at; enough for shares to a tenth of a percent. */
    private static final long LOOKED_AT = 1_000_000;

    private static final int MOST_VECTOR_BYTES = 4 << 20;
    private static final String KEPT = " It was not kept, and nothing was changed.";
    /** By the names that the readers of the JDK and of the WebP package go by. */
    private static final Map<String, String> RASTER =
            Map.of("jpeg", "image/jpeg", "png", "image/png", "webp", "image/webp");

    /**
     * A picture that was read.
     *
     * @param mediaType what it really is
     * @param content   what may be kept and served: the file itself, or a vector picture written anew
     * @param width     px; 0 for a vector picture, and so for the height
     * @param pixels    as 0xAARRGGBB
     */
    public record Seen(String mediaType, byte[] content, int width, int height, int[] pixels) {}

    /** @throws IllegalArgumentException with a sentence for people when it is no picture, too large, damaged or hostile */
    public Seen read(byte[] content) {
        if (isText(content)) return vector(content);
        try (Raster raster = Raster.open(content).orElseThrow(PictureReader::unknown)) {
            String mediaType = RASTER.get(raster.format());
            if (mediaType == null) throw unknown();
            int[] pixels = pixels(raster);
            return new Seen(mediaType, content, raster.width(), raster.height(), pixels);
        } catch (IOException | RuntimeException | OutOfMemoryError e) {
            if (e instanceof IllegalArgumentException refused
                    && refused.getMessage() != null
                    && refused.getMessage().endsWith(KEPT)) throw refused;
            throw new IllegalArgumentException(
                    "The picture is damaged and cannot be read." + KEPT + " Save it again, or choose another.", e);
        }
    }

    /** Pixels as 0xAARRGGBB. @throws IllegalArgumentException as {@link #read} */
    public int[] pixels(byte[] content) {
        return read(content).pixels();
    }

    /** Whether it begins as XML does, in one byte or in two for each character; no raster picture does. */
    private static boolean isText(byte[] content) {
        for (int i = 0; i < Math.min(content.length, 512); i++) {
            int b = content[i] & 0xff;
            boolean markOrBlank =
                    b == 0 || b == 0xef || b == 0xbb || b == 0xbf || b == 0xfe || b == 0xff && i < 2 || b <= ' ';
            if (!markOrBlank) return b == '<';
        }
        return false;
    }

    private static IllegalArgumentException unknown() {
        return new IllegalArgumentException(
                "This is not a picture that can be read here: it is neither JPEG, PNG, WebP nor SVG." + KEPT);
    }

    private static int[] pixels(Raster raster) throws IOException {
        int width = raster.width();
        int height = raster.height();
        long pixels = (long) width * height;
        if (pixels > MOST_PIXELS)
            throw new IllegalArgumentException(
                    "The picture would unpack to " + pixels / 1_000_000 + " megapixels; up to 64 are read." + KEPT);
        if (Math.max(width, height) > LONGEST_SIDE)
            throw new IllegalArgumentException("The picture measures " + width + " × " + height
                    + " pixels; a side may have up to " + LONGEST_SIDE + "." + KEPT);
        if (raster.bytes() > MOST_UNPACKED)
            throw new IllegalArgumentException("The picture would unpack to " + (raster.bytes() >> 20) + " MB; up to "
                    + (MOST_UNPACKED >> 20) + " are read. Save it with eight bits for each color, or smaller." + KEPT);
        int every = (int) Math.max(1, Math.floor(Math.sqrt(pixels / (double) LOOKED_AT)));
        BufferedImage image = raster.thinned(every);
        return image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
    }

    private static Seen vector(byte[] content) {
        if (content.length > MOST_VECTOR_BYTES)
            throw new IllegalArgumentException("The vector picture has more than 4 MB." + KEPT);
        try {
            VectorPicture picture = VectorPicture.read(content);
            return new Seen("image/svg+xml", picture.content(), 0, 0, picture.paints());
        } catch (VectorPicture.Refused refused) {
            throw new IllegalArgumentException("The vector picture " + refused.getMessage() + "." + KEPT, refused);
        } catch (RuntimeException e) {
            // Readers of the platform meet nonsense with exceptions of their own.
            throw new IllegalArgumentException("The vector picture is damaged and cannot be read." + KEPT, e);
        }
    }
}
