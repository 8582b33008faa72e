package org.umberloom.core.font;

import java.util.Optional;

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
     * Where each character of a text ends when it is set in one line, with kerning, and with ligatures where no spacing is set. Characters
     * that a ligature stands for share its width.
     *
     * @param size    px
     * @param spacing added to each character, px
     * @return px, one more than there are UTF-16 units: the first is 0
     */
    double[] set(String text, double size, double spacing) {
        double[] ends = new double[text.length() + 1];
        int[] codePoints = text.codePoints().toArray();
        int[] glyphs = new int[codePoints.length];
        for (int i = 0; i < glyphs.length; i++) glyphs[i] = font.glyph(codePoints[i]);
        boolean joined = spacing == 0 && !font.ligatures().isEmpty();
        int before = -1;
        int unit = 0;
        for (int i = 0; i < glyphs.length; ) {
            Optional<Ligatures.Ligature> ligature = joined ? font.ligatures().at(glyphs, i) : Optional.empty();
            int glyph = ligature.map(Ligatures.Ligature::glyph).orElse(glyphs[i]);
            int length = ligature.map(Ligatures.Ligature::length).orElse(1);
            double moved = before < 0 ? 0 : font.kerning(before, glyph, where);
            double wide = ligature.isPresent() ? font.advanceOf(glyph, where) : of(codePoints[i]);
            double begin = ends[unit] + moved * size;
            for (int part = 1; part <= length; part++, i++) {
                int next = unit + Character.charCount(codePoints[i]);
                ends[next] = begin + wide * size * part / length + spacing;
                if (next > unit + 1) ends[unit + 1] = ends[unit];
                unit = next;
            }
            before = glyph;
        }
        return ends;
    }

    /** Of the characters of running text set with kerning, in em. */
    public double mean(String text) {
        return text.isEmpty() ? 0 : set(text, 1, 0)[text.length()] / text.codePointCount(0, text.length());
    }
}
