package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.limit.Patience;

/**
 * Colors from text that people paste: any CSS colors with commas, blanks or line ends between them, CSS custom
 * properties, or an open palette file (GPL: a header, then lines of red, green, blue and a name).
 */
public final class PaletteText {
    private static final int MOST = 256;
    static final String GPL_HEADER = "gimp palette";
    private static final Pattern GPL_LINE = Pattern.compile("\\s*(\\d{1,3})\\s+(\\d{1,3})\\s+(\\d{1,3})(?:\\s+(.*))?");
    /** UTF-16 units of a text; far more than any list of colors that people paste. */
    private static final int LONGEST = 400_000;

    private static final int LONGEST_ENTRY = 120;
    private static final int MOST_PASSED_OVER = 50;
    private static final String REFERENCE = "var(--";
    private static final int MOST_HOPS = 12;

    /** A color with the name that the text gives it, or an empty one. */
    public record Named(String name, Color color) {}

    /** @param passedOver what looked like an entry but is no color, as it was written */
    public record Palette(List<Named> colors, List<String> passedOver) {
        public Palette {
            colors = List.copyOf(colors);
            passedOver = List.copyOf(passedOver);
        }
    }

    private final Map<String, Named> colors = new LinkedHashMap<>();
    private final List<String> passedOver = new ArrayList<>();
    /** Colors beyond the limit, and entries that were passed over and are not listed. */
    private int beyond;

    private int unsaid;

    private PaletteText() {}

    /**
     * Every character is looked at once or twice, so that a long text takes no longer for being odd.
     *
     * @throws FormatException when there is no color in it, or the text is too long
     */
    public static Palette read(String text) {
        if (text.length() > LONGEST)
            throw new FormatException("The text has " + text.length() + " letters; up to " + LONGEST
                    + " are read. Paste the part with the colors.");
        PaletteText reader = new PaletteText();
        String start = text.stripLeading().toLowerCase(Locale.ROOT);
        if (start.startsWith(GPL_HEADER)) reader.paletteFile(text);
        else if (!reader.properties(text)) reader.list(text);
        if (reader.colors.isEmpty())
            throw new FormatException(
                    "There is no color in this text. Paste colors such as #7a4a2b or oklch(0.5 0.09 60), CSS custom "
                            + "properties, or a GPL palette file.");
        if (reader.unsaid > 0) reader.passedOver.add("and " + reader.unsaid + " more that are no colors");
        if (reader.beyond > 0)
            reader.passedOver.add("and " + reader.beyond + " more colors: up to " + MOST + " are taken");
        return new Palette(List.copyOf(reader.colors.values()), reader.passedOver);
    }

    private void paletteFile(String text) {
        for (String line : text.lines().skip(1).toList()) {
            Patience.ask();
            String trimmed = line.trim();
            if (trimmed.isEmpty() || trimmed.startsWith("#") || trimmed.matches("(?i)(name|columns)\\s*:.*")) continue;
            Matcher entry = GPL_LINE.matcher(line);
            int[] rgb = entry.matches()
                    ? new int[] {
                        Integer.parseInt(entry.group(1)),
                        Integer.parseInt(entry.group(2)),
                        Integer.parseInt(entry.group(3))
                    }
                    : new int[] {256, 0, 0};
            if (rgb[0] > 255 || rgb[1] > 255 || rgb[2] > 255) passedOver.add(trimmed);
            else
                add(
                        entry.group(4) == null || entry.group(4).equals("Untitled")
                                ? ""
                                : entry.group(4).trim(),
                        Color.rgb(rgb[0], rgb[1], rgb[2]));
        }
    }

    /** Custom properties, {@code --name: value}; false when there are none. Source: CSS Variables 1, section 2. */
    private boolean properties(String text) {
        Map<String, String> values = new LinkedHashMap<>();
        for (int at = text.indexOf("--"); at >= 0; at = text.indexOf("--", at)) {
            Patience.ask();
            int end = wordEnd(text, at);
            int colon = end;
            while (colon < text.length() && Character.isWhitespace(text.charAt(colon))) colon++;
            if (end == at + 2 || colon == text.length() || text.charAt(colon) != ':') {
                at = end;
                continue;
            }
            int stop = colon + 1;
            while (stop < text.length() && ";{}".indexOf(text.charAt(stop)) < 0) stop++;
            String value = text.substring(colon + 1, stop).trim();
            if (!value.isEmpty()) {
                String name = text.substring(at + 2, Math.min(end, at + 2 + LONGEST_ENTRY));
                values.putIfAbsent(name, value.substring(0, Math.min(value.length(), LONGEST_ENTRY)));
                Optional<Color> color = value.length() > LONGEST_ENTRY ? Optional.empty() : CssColor.find(value);
                if (color.isPresent()) add(name, color.get());
                else if (!value.startsWith(REFERENCE))
                    passOver(text.substring(at, Math.min(stop, at + LONGEST_ENTRY))
                            .trim());
            }
            at = stop;
        }
        values.forEach((name, value) -> {
            if (!value.startsWith(REFERENCE)) return;
            referred(value, values)
                    .flatMap(CssColor::find)
                    .ifPresentOrElse(color -> add(name, color), () -> passOver("--" + name + ": " + value));
        });
        return !values.isEmpty();
    }

    /** What a reference to another property comes to, if that is among them. */
    private static Optional<String> referred(String value, Map<String, String> values) {
        String at = value;
        for (int hop = 0; hop < MOST_HOPS && at != null && at.startsWith(REFERENCE) && at.endsWith(")"); hop++) {
            String inside = at.substring(REFERENCE.length(), at.length() - 1);
            int comma = inside.indexOf(',');
            String next = values.get((comma < 0 ? inside : inside.substring(0, comma)).trim());
            at = next != null
                    ? next
                    : comma < 0 ? null : inside.substring(comma + 1).trim();
        }
        return Optional.ofNullable(at);
    }

    /** Lone colors with anything between them: hex forms, functions, names. */
    private void list(String text) {
        for (int at = 0; at < text.length(); ) {
            char c = text.charAt(at);
            if (c != '#' && !isWord(c)) {
                at++;
                continue;
            }
            Patience.ask();
            int end = c == '#' ? at + 1 : at;
            while (end < text.length() && isWord(text.charAt(end))) end++;
            boolean function = c != '#' && end < text.length() && text.charAt(end) == '(';
            if (function) {
                int close = end + 1;
                while (close < text.length() && "()".indexOf(text.charAt(close)) < 0) close++;
                function = close < text.length() && text.charAt(close) == ')';
                if (function) end = close + 1;
            }
            String entry = text.substring(at, Math.min(end, at + LONGEST_ENTRY));
            Optional<Color> color = CssColor.find(entry);
            if (color.isPresent()) add("", color.get());
            else if (function || c == '#' && entry.length() > 3) passOver(entry);
            at = end;
        }
    }

    private static int wordEnd(String text, int at) {
        int end = at;
        while (end < text.length() && (isWord(text.charAt(end)) || text.charAt(end) == '_')) end++;
        return end;
    }

    private static boolean isWord(char c) {
        return c == '-' || c >= 'a' && c <= 'z' || c >= 'A' && c <= 'Z' || c >= '0' && c <= '9';
    }

    private void passOver(String entry) {
        if (passedOver.size() < MOST_PASSED_OVER) passedOver.add(entry);
        else unsaid++;
    }

    private void add(String name, Color color) {
        String key = name + " " + CssColor.write(color);
        if (colors.size() < MOST || colors.containsKey(key)) colors.putIfAbsent(key, new Named(name, color));
        else beyond++;
    }
}
