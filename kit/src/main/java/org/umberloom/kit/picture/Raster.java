package org.umberloom.kit.picture;

import java.awt.image.BufferedImage;
import java.awt.image.SampleModel;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.stream.ImageInputStream;

/**
 * A raster picture whose pixels are unpacked one picture after the other, and thinned out where they are many, so that the heap
 * holds no more than {@link #MOST_HELD} bytes of all pictures that are worked on at one time.
 */
final class Raster implements AutoCloseable {
    /** Bytes that are held of one picture: a quarter of a heap of 512 MB. */
    static final long MOST_HELD = 128 << 20;

    private static final int BITS = 8;
    private static final Semaphore TURN = new Semaphore(1, true);

    private final ImageInputStream in;
    private final ImageReader reader;

    private Raster(ImageInputStream in, ImageReader reader) {
        this.in = in;
        this.reader = reader;
        reader.setInput(in, true, true);
    }

    /** @return none for what no reader knows */
    static Optional<Raster> open(byte[] content) throws IOException {
        ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(content));
        Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
        if (!readers.hasNext()) {
            in.close();
            return Optional.empty();
        }
        return Optional.of(new Raster(in, readers.next()));
    }

    /** A picture that was read before, at least so wide where it is that wide itself. @param width px */
    static BufferedImage atLeast(byte[] content, int width) throws IOException {
        try (Raster raster = open(content).orElseThrow(() -> new IOException("no picture"))) {
            return raster.thinned(Math.max(1, raster.width() / (2 * width)));
        }
    }

    /** By the names that the readers go by, in small letters. */
    String format() throws IOException {
        return reader.getFormatName().toLowerCase(Locale.ROOT);
    }

    int width() throws IOException {
        return reader.getWidth(0);
    }

    int height() throws IOException {
        return reader.getHeight(0);
    }

    /** Bytes that all of its pixels take as they are stored, which is known before any is read. */
    long bytes() throws IOException {
        ImageTypeSpecifier raw = reader.getRawImageType(0);
        SampleModel samples = raw == null ? null : raw.getSampleModel();
        int bits = 0;
        for (int band = 0; samples != null && band < samples.getNumBands(); band++) bits += samples.getSampleSize(band);
        return (long) width() * height() * Math.max(bits == 0 ? 4 * BITS : bits, BITS) / BITS;
    }

    /** One pixel of so many in each direction, and of more where there would be too many of them. */
    BufferedImage thinned(int every) throws IOException {
        int enough = every;
        while (bytes() / enough / enough > MOST_HELD) enough++;
        ImageReadParam param = reader.getDefaultReadParam();
        param.setSourceSubsampling(enough, enough, 0, 0);
        TURN.acquireUninterruptibly();
        try {
            return reader.read(0, param);
        } finally {
            TURN.release();
        }
    }

    @Override
    public void close() throws IOException {
        reader.dispose();
        in.close();
    }
}
