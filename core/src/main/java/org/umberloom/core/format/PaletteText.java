package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.CssColor;

/**
 * Colors from text that people paste: any CSS colors with commas, blanks or line ends between them, CSS custom
 * properties, or an open palette file (GPL: a header, then lines of red, green, blue and a name).
 */
public final class PaletteText {
    private static final int MOST = 256;
    private static final String GPL_HEADER = "gimp palette";
    private static final Pattern GPL_LINE = Pattern.compile("\\s*(\\d{1,3})\\s+(\\d{1,3})\\s+(\\d{1,3})(?:\\s+(.*))?");
    private static final Pattern PROPERTY = Pattern.compile("--([\\w-]+)\\s*:\\s*([^;{}]+)");
    private static final Pattern LONE = Pattern.compile("#[0-9a-fA-F]{3,8}\\b|[a-zA-Z-]+\\([^()]*\\)|[a-zA-Z]+");

    /** A color with the name that the text gives it, or an empty one. */
    public record Named(String name, Color color) {
    }

    /** @param passedOver what looked like an entry but is no color, as it was written */
    public record Palette(List<Named> colors, List<String> passedOver) {
        public Palette {
            colors = List.copyOf(colors);
            passedOver = List.copyOf(passedOver);
        }
    }

    private final Map<String, Named> colors = new LinkedHashMap<>();
    private final List<String> passedOver = new ArrayList<>();

    private PaletteText() {
    }

    /** @throws FormatException when there is no color in it, or more than 256 */
    public static Palette read(String text) {
        PaletteText reader = new PaletteText();
        String start = text.stripLeading().toLowerCase(Locale.ROOT);
        if (start.startsWith(GPL_HEADER)) reader.paletteFile(text);
        else if (PROPERTY.matcher(text).find()) reader.properties(text);
        else reader.list(text);
        if (reader.colors.isEmpty())
            throw new FormatException("There is no color in this text. Paste colors such as #7a4a2b or oklch(0.5 0.09 60), CSS custom "
                    + "properties, or a GPL palette file.");
        return new Palette(List.copyOf(reader.colors.values()), reader.passedOver);
    }

    private void paletteFile(String text) {
        for (String line : text.lines().skip(1).toList()) {
            String trimmed = line.trim();
            if (trimmed.isEmpty() || trimmed.startsWith("#") || trimmed.matches("(?i)(name|columns)\\s*:.*")) continue;
            Matcher entry = GPL_LINE.matcher(line);
            int[] rgb = entry.matches() ? new int[] {Integer.parseInt(entry.group(1)), Integer.parseInt(entry.group(2)),
                Integer.parseInt(entry.group(3))} : new int[] {256, 0, 0};
            if (rgb[0] > 255 || rgb[1] > 255 || rgb[2] > 255) passedOver.add(trimmed);
            else add(entry.group(4) == null || entry.group(4).equals("Untitled") ? "" : entry.group(4).trim(), Color.rgb(rgb[0], rgb[1], rgb[2]));
        }
    }

    private void properties(String text) {
        Matcher property = PROPERTY.matcher(text);
        while (property.find()) {
            try {
                add(property.group(1), CssColor.parse(property.group(2)));
            } catch (IllegalArgumentException e) {
                passedOver.add(property.group().trim());
            }
        }
    }

    private void list(String text) {
        Matcher lone = LONE.matcher(text);
        while (lone.find()) {
            try {
                add("", CssColor.parse(lone.group()));
            } catch (IllegalArgumentException e) {
                if (lone.group().startsWith("#") || lone.group().endsWith(")")) passedOver.add(lone.group());
            }
        }
    }

    private void add(String name, Color color) {
        if (colors.size() == MOST) throw new FormatException("The text holds more than " + MOST + " colors; paste a part of it.");
        colors.putIfAbsent(name + " " + CssColor.write(color), new Named(name, color));
    }
}
