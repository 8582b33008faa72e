package org.umberloom.core.font;

/** How wide text of one font is, at one place on its axes. */
public final class Advances {
    private static final int FIRST_KNOWN = 0;
    private static final int KNOWN = 0x250;

    private final FontFile font;
    private final double[] where;
    private final double[] known = new double[KNOWN];

    Advances(FontFile font, double[] where) {
        this.font = font;
        this.where = where.clone();
        for (int c = FIRST_KNOWN; c < KNOWN; c++) known[c] = font.advance(c, where);
    }

    /** In em; 0 for a character that the font has not. */
    public double of(int codePoint) {
        return codePoint < KNOWN ? known[codePoint] : font.advance(codePoint, where);
    }

    /** In em, set without kerning. */
    public double of(String text) {
        return text.codePoints().mapToDouble(this::of).sum();
    }

    /**
     * Where each character of a text ends when it is set in one line, with kerning.
     *
     * @param size    px
     * @param spacing added to each character, px
     * @return px, one more than there are UTF-16 units: the first is 0
     */
    double[] set(String text, double size, double spacing) {
        double[] ends = new double[text.length() + 1];
        int before = -1;
        for (int i = 0; i < text.length(); ) {
            int c = text.codePointAt(i);
            double moved = before < 0 ? 0 : font.kerning(before, c, where);
            int next = i + Character.charCount(c);
            ends[next] = ends[i] + (of(c) + moved) * size + spacing;
            if (next > i + 1) ends[i + 1] = ends[i];
            before = c;
            i = next;
        }
        return ends;
    }

    /** Of the characters of running text set with kerning, in em. */
    public double mean(String text) {
        return text.isEmpty() ? 0 : set(text, 1, 0)[text.length()] / text.codePointCount(0, text.length());
    }
}
