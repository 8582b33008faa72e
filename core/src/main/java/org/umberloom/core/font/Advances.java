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

    /** Of the characters of running text, in em. */
    public double mean(String text) {
        return text.isEmpty() ? 0 : of(text) / text.codePointCount(0, text.length());
    }
}
