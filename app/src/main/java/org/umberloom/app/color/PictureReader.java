package org.umberloom.app.color;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.springframework.stereotype.Component;
import org.umberloom.core.color.CssColor;

/**
 * Pixels of an uploaded picture, without trust: its size is read before its pixels are, and a large one is read thinned
 * out. Of a vector picture the colors it names count, each once for each use.
 */
@Component
public class PictureReader {
    /** As many pixels as a large camera makes; more is refused unread. */
    private static final long MOST_PIXELS = 64_000_000;
    /** What is looked at; enough for shares to a tenth of a percent. */
    private static final long LOOKED_AT = 1_000_000;
    private static final int MOST_VECTOR_BYTES = 4 << 20;
    private static final String KEPT = " It was not kept, and nothing was changed.";
    private static final Pattern HOSTILE = Pattern.compile(
            "<script|<!doctype|<!entity|<foreignobject|\\son\\w+\\s*=|javascript:|(?:href|src)\\s*=\\s*[\"'](?!#|data:image/)|@import|url\\(\\s*[\"']?(?!#)",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern PAINT = Pattern.compile(
            "(?:fill|stroke|stop-color|flood-color|color)\\s*[=:]\\s*[\"']?\\s*(#[0-9a-fA-F]{3,8}|[a-zA-Z-]+\\([^()]*\\)|[a-zA-Z]+)");

    /**
     * Pixels as 0xAARRGGBB.
     *
     * @throws IllegalArgumentException with a sentence for people when it is no picture, too large, damaged or hostile
     */
    public int[] pixels(byte[] content) {
        if (isVector(content)) return vector(content);
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(content))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext())
                throw new IllegalArgumentException("This is not a picture that can be read here: it is neither JPEG, PNG, WebP nor SVG." + KEPT);
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                return raster(reader);
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException | OutOfMemoryError e) {
            if (e instanceof IllegalArgumentException refused && refused.getMessage() != null && refused.getMessage().endsWith(KEPT)) throw refused;
            throw new IllegalArgumentException("The picture is damaged and cannot be read." + KEPT + " Save it again, or choose another.", e);
        }
    }

    /** Which of the kinds that can be read it is, by its first bytes; {@link #pixels} says whether it really can be. */
    public String mediaType(byte[] content) {
        if (isVector(content)) return "image/svg+xml";
        if (starts(content, 0, 0xff, 0xd8)) return "image/jpeg";
        if (starts(content, 0, 'R', 'I', 'F', 'F') && starts(content, 8, 'W', 'E', 'B', 'P')) return "image/webp";
        return "image/png";
    }

    private static boolean starts(byte[] content, int at, int... bytes) {
        if (content.length < at + bytes.length) return false;
        for (int i = 0; i < bytes.length; i++) if ((content[at + i] & 0xff) != bytes[i]) return false;
        return true;
    }

    private static boolean isVector(byte[] content) {
        String start = new String(content, 0, Math.min(content.length, 512), StandardCharsets.UTF_8).toLowerCase(Locale.ROOT);
        return start.contains("<svg") || start.stripLeading().startsWith("<?xml") || start.stripLeading().startsWith("<!doctype svg");
    }

    private static int[] raster(ImageReader reader) throws IOException {
        long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
        if (pixels > MOST_PIXELS)
            throw new IllegalArgumentException("The picture would unpack to " + pixels / 1_000_000 + " megapixels; up to 64 are read." + KEPT);
        int every = (int) Math.max(1, Math.floor(Math.sqrt(pixels / (double) LOOKED_AT)));
        ImageReadParam param = reader.getDefaultReadParam();
        param.setSourceSubsampling(every, every, 0, 0);
        BufferedImage image = reader.read(0, param);
        return image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
    }

    private static int[] vector(byte[] content) {
        if (content.length > MOST_VECTOR_BYTES)
            throw new IllegalArgumentException("The vector picture has more than 4 MB." + KEPT);
        String text = new String(content, StandardCharsets.UTF_8);
        String checked = text.replaceAll("xmlns(:\\w+)?\\s*=\\s*(\"[^\"]*\"|'[^']*')", "");
        Matcher hostile = HOSTILE.matcher(checked);
        if (hostile.find())
            throw new IllegalArgumentException("The vector picture holds a script or refers to something outside itself (“"
                    + hostile.group().trim() + "”), so it was refused." + KEPT);
        List<Integer> pixels = new ArrayList<>();
        Matcher paint = PAINT.matcher(text);
        while (paint.find()) {
            String written = paint.group(1);
            if (written.equalsIgnoreCase("none") || written.equalsIgnoreCase("currentColor")) continue;
            try {
                pixels.add(CssColor.parse(written).argb());
            } catch (IllegalArgumentException noColor) {
                // A paint that is no color, such as a gradient's name.
            }
        }
        return pixels.stream().mapToInt(Integer::intValue).toArray();
    }
}
