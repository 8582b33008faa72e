package org.umberloom.core.format;

import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorSpace;
import org.umberloom.core.json.FormatException;

/**
 * Colors from a swatch exchange file ({@code .ase}): blocks of groups and of colors in RGB, gray, CIELAB or CMYK, all numbers big-endian.
 * Source: the published description of the file's blocks; from memory.
 */
final class AsePalette {
    private static final byte[] START = {'A', 'S', 'E', 'F'};
    private static final int GROUP_BEGINS = 0xC001;
    private static final int GROUP_ENDS = 0xC002;
    private static final int COLOR = 0x0001;
    private static final int MOST = 20_000;

    private AsePalette() {}

    static boolean is(byte[] content) {
        return content.length >= START.length && Arrays.equals(Arrays.copyOf(content, START.length), START);
    }

    /** A color with the groups that it stands in and its own name. */
    record Swatch(List<String> groups, String name, Color color) {}

    /** @throws FormatException when the file is cut off or holds no color that is understood */
    static List<Swatch> read(String file, byte[] content, List<String> notes) {
        List<Swatch> swatches = new ArrayList<>();
        List<String> passedOver = new ArrayList<>();
        int converted = 0;
        try {
            ByteBuffer in = ByteBuffer.wrap(content);
            in.position(START.length + Integer.BYTES);
            int blocks = in.getInt();
            if (blocks < 0 || blocks > MOST)
                throw new FormatException("“" + file + "” names " + blocks + " blocks; up to " + MOST + " are read.");
            Deque<String> groups = new ArrayDeque<>();
            for (int i = 0; i < blocks; i++) {
                int kind = Short.toUnsignedInt(in.getShort());
                int length = in.getInt();
                if (length < 0 || length > in.remaining()) throw new BufferUnderflowException();
                ByteBuffer block = in.slice(in.position(), length);
                in.position(in.position() + length);
                if (kind == GROUP_BEGINS) groups.addLast(text(block));
                else if (kind == GROUP_ENDS) groups.pollLast();
                else if (kind == COLOR) {
                    String name = text(block);
                    String model = model(block);
                    Optional<Color> color = color(model, block);
                    if (color.isEmpty()) passedOver.add(name + " (" + model + ")");
                    else swatches.add(new Swatch(List.copyOf(groups), name, color.get()));
                    if (model.equals("CMYK")) converted++;
                }
            }
        } catch (BufferUnderflowException cut) {
            throw new FormatException("“" + file + "” ends in the middle of a color. Save it again.", cut);
        }
        if (swatches.isEmpty()) throw new FormatException("“" + file + "” holds no color that is understood.");
        notes.add("Read as a palette of " + swatches.size() + " colors.");
        if (converted > 0)
            notes.add(converted
                    + " colors given as CMYK were converted without a color profile; compare them with the originals.");
        if (!passedOver.isEmpty())
            notes.add("Passed over, because their color model is not known: " + String.join(", ", passedOver) + ".");
        return swatches;
    }

    /** UTF-16 with its length in units before it and a zero at its end. */
    private static String text(ByteBuffer block) {
        int units = Short.toUnsignedInt(block.getShort());
        byte[] bytes = new byte[units * 2];
        block.get(bytes);
        String text = new String(bytes, StandardCharsets.UTF_16BE);
        int end = text.indexOf('\0');
        return (end < 0 ? text : text.substring(0, end)).strip();
    }

    private static String model(ByteBuffer block) {
        byte[] bytes = new byte[4];
        block.get(bytes);
        return new String(bytes, StandardCharsets.US_ASCII).strip();
    }

    private static Optional<Color> color(String model, ByteBuffer block) {
        return switch (model) {
            case "RGB" -> Optional.of(rgb(block.getFloat(), block.getFloat(), block.getFloat()));
            case "Gray" -> {
                float gray = block.getFloat();
                yield Optional.of(rgb(gray, gray, gray));
            }
            case "LAB" ->
                Optional.of(new Color(
                        ColorSpace.LAB, bounded(block.getFloat(), 0, 1) * 100, block.getFloat(), block.getFloat(), 1));
            case "CMYK" -> {
                double cyan = block.getFloat();
                double magenta = block.getFloat();
                double yellow = block.getFloat();
                double light = 1 - block.getFloat();
                yield Optional.of(rgb((1 - cyan) * light, (1 - magenta) * light, (1 - yellow) * light));
            }
            default -> Optional.empty();
        };
    }

    /** To the 256 steps in which people see and write them. */
    private static Color rgb(double red, double green, double blue) {
        return Color.rgb(step(red), step(green), step(blue));
    }

    private static int step(double component) {
        return (int) Math.round(bounded(component, 0, 1) * 255);
    }

    private static double bounded(double value, double least, double most) {
        return Double.isNaN(value) ? least : Math.min(most, Math.max(least, value));
    }
}
