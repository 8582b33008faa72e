package org.umberloom.kit.picture;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.apache.batik.anim.dom.SAXSVGDocumentFactory;
import org.apache.batik.transcoder.ErrorHandler;
import org.apache.batik.transcoder.SVGAbstractTranscoder;
import org.apache.batik.transcoder.TranscoderException;
import org.apache.batik.transcoder.TranscoderInput;
import org.apache.batik.transcoder.TranscoderOutput;
import org.apache.batik.transcoder.image.ImageTranscoder;
import org.umberloom.core.color.Color;
import org.w3c.dom.Document;
import org.w3c.dom.Element;

/** A picture as squares of pixels, whole within each. */
public final class DrawnSquares {
    private static final int HEADER = 6;
    private static final int ENTRY = 16;
    private static final short ICON = 1;
    private static final short BITS = 32;

    /** A drawing of which a part is not understood would look otherwise than in browsers. */
    private static final ErrorHandler WHOLE_OR_NOT_AT_ALL = new ErrorHandler() {
        @Override
        public void error(TranscoderException e) throws TranscoderException {
            throw e;
        }

        @Override
        public void fatalError(TranscoderException e) throws TranscoderException {
            throw e;
        }

        @Override
        public void warning(TranscoderException e) {}
    };

    private final byte[] content;
    private final boolean vector;

    /** @param content of a picture that was read before */
    public DrawnSquares(byte[] content, String mediaType) {
        this.content = content.clone();
        vector = mediaType.equals("image/svg+xml");
    }

    /**
     * As PNG.
     *
     * @param size   px of a side
     * @param share  of the side that the picture takes, 0 to 1
     * @param ground behind it; none leaves it clear
     */
    public byte[] png(int size, double share, Optional<Color> ground) {
        int side = (int) Math.round(size * share);
        BufferedImage picture = vector ? drawn(side) : read(side);
        double scale = Math.min((double) side / picture.getWidth(), (double) side / picture.getHeight());
        int width = Math.max(1, (int) Math.round(picture.getWidth() * scale));
        int height = Math.max(1, (int) Math.round(picture.getHeight() * scale));
        BufferedImage square = new BufferedImage(size, size, BufferedImage.TYPE_INT_ARGB);
        Graphics2D draw = square.createGraphics();
        ground.ifPresent(color -> {
            draw.setColor(java.awt.Color.decode(color.hex()));
            draw.fillRect(0, 0, size, size);
        });
        draw.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        draw.drawImage(Shrinking.to(picture, width), (size - width) / 2, (size - height) / 2, width, height, null);
        draw.dispose();
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            ImageIO.write(square, "png", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Squares of several sizes in one file for tabs. Source: the ICO format; each entry holds a PNG. */
    public byte[] ico(List<Integer> sizes) {
        List<byte[]> all = new ArrayList<>();
        for (int size : sizes) all.add(png(size, 1, Optional.empty()));
        int at = HEADER + ENTRY * sizes.size();
        ByteBuffer file = ByteBuffer.allocate(
                        at + all.stream().mapToInt(one -> one.length).sum())
                .order(ByteOrder.LITTLE_ENDIAN);
        file.putShort((short) 0).putShort(ICON).putShort((short) sizes.size());
        for (int i = 0; i < sizes.size(); i++) {
            byte side = sizes.get(i).byteValue();
            file.put(side)
                    .put(side)
                    .put((byte) 0)
                    .put((byte) 0)
                    .putShort((short) 1)
                    .putShort(BITS);
            file.putInt(all.get(i).length).putInt(at);
            at += all.get(i).length;
        }
        all.forEach(file::put);
        return file.array();
    }

    private BufferedImage read(int side) {
        try {
            return Raster.atLeast(content, side);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What it shows is set into a square; without a view box that is everything from its corner to its size. */
    private Document asSquare(int side) throws IOException {
        Document document =
                new SAXSVGDocumentFactory(null).createDocument("picture.svg", new ByteArrayInputStream(content));
        Element root = document.getDocumentElement();
        if (!root.hasAttribute("viewBox") && root.hasAttribute("width") && root.hasAttribute("height"))
            root.setAttribute(
                    "viewBox",
                    "0 0 " + root.getAttribute("width").replace("px", "") + " "
                            + root.getAttribute("height").replace("px", ""));
        root.setAttribute("width", String.valueOf(side));
        root.setAttribute("height", String.valueOf(side));
        return document;
    }

    /** Nothing that a picture names is loaded or run. */
    private BufferedImage drawn(int side) {
        BufferedImage[] drawn = new BufferedImage[1];
        ImageTranscoder transcoder = new ImageTranscoder() {
            @Override
            public BufferedImage createImage(int width, int height) {
                return new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
            }

            @Override
            public void writeImage(BufferedImage image, TranscoderOutput output) {
                drawn[0] = image;
            }
        };

        transcoder.setErrorHandler(WHOLE_OR_NOT_AT_ALL);
        transcoder.addTranscodingHint(SVGAbstractTranscoder.KEY_WIDTH, (float) side);
        transcoder.addTranscodingHint(SVGAbstractTranscoder.KEY_HEIGHT, (float) side);
        transcoder.addTranscodingHint(SVGAbstractTranscoder.KEY_EXECUTE_ONLOAD, false);
        transcoder.addTranscodingHint(SVGAbstractTranscoder.KEY_ALLOW_EXTERNAL_RESOURCES, false);
        try {
            transcoder.transcode(new TranscoderInput(asSquare(side)), null);
        } catch (TranscoderException | IOException | RuntimeException e) {
            throw new IllegalArgumentException("The vector picture cannot be drawn here.", e);
        }
        return drawn[0];
    }
}
