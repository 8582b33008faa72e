package org.umberloom.core.font;

import java.text.BreakIterator;
import java.util.Locale;

/**
 * How many characters a line of text holds. 45 to 75 is the aim, 66 the ideal (common practice), 80 the most (WCAG 2.2, success
 * criterion 1.4.8; technique C20 of the W3C).
 */
public final class Measure {
    public static final int FEWEST = 45;
    public static final int IDEAL = 66;
    public static final int AIM = 75;
    public static final int MOST = 80;

    private Measure() {}

    /**
     * Characters per line, spaces between words among them, as lines are filled one after the other; the last counts by how far
     * it goes. Where it is the only one, these are its characters.
     *
     * @param text     a paragraph's
     * @param size     px
     * @param spacing  added to each character, px
     * @param width    of the line, px
     * @param language of the text, which says where lines may break
     */
    public static double of(String text, Advances font, double size, double spacing, double width, Locale language) {
        Filled filled = fill(text, font, size, spacing, width, language);
        return filled.letters == 0
                ? 0
                : filled.full == 0 ? filled.letters : filled.letters / (filled.full + filled.last);
    }

    /** How many lines a paragraph takes, filled one after the other; parameters as of {@link #of}. */
    public static int lines(String text, Advances font, double size, double spacing, double width, Locale language) {
        Filled filled = fill(text, font, size, spacing, width, language);
        return filled.letters == 0 ? 0 : filled.full + 1;
    }

    /** @param full lines that are filled @param last how far the one after them goes, as a share of its width */
    private record Filled(int letters, int full, double last) {}

    private static Filled fill(String text, Advances font, double size, double spacing, double width, Locale language) {
        String words = text.strip().replaceAll("\\s+", " ");
        if (words.isEmpty() || width <= 0) return new Filled(0, 0, 0);
        BreakIterator breaks = BreakIterator.getLineInstance(language);
        breaks.setText(words);
        double[] ends = font.set(words, size, spacing);
        int lines = 0;
        int begin = 0;
        int from = breaks.first();
        for (int to = breaks.next(); to != BreakIterator.DONE; from = to, to = breaks.next()) {
            int inked = to;
            while (inked > from && words.charAt(inked - 1) == ' ') inked--;
            if (ends[inked] - ends[begin] > width && from > begin) {
                lines++;
                begin = from;
            }
        }
        return new Filled(words.length(), lines, (ends[words.length()] - ends[begin]) / width);
    }

    /**
     * The width in px that holds so many characters, as they come on the average.
     *
     * @param mean    advance of a character, in em
     * @param size    px
     * @param spacing added to each character, px
     */
    public static double width(double characters, double mean, double size, double spacing) {
        return characters * (mean * size + spacing);
    }
}
