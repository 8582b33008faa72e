package org.umberloom.core.font;

import java.awt.geom.GeneralPath;
import java.awt.geom.Rectangle2D;
import java.util.Optional;

/**
 * Which generic family of CSS a font is most like: as its file says, and where that says nothing, as its letters are drawn. Source:
 * OpenType 1.9.1, OS/2, panose and sFamilyClass; PANOSE 1 of Hewlett-Packard; IBM Font Class.
 */
final class Generic {
    private static final String SERIF = "serif";
    private static final String SANS = "sans-serif";
    private static final int LATIN_TEXT = 2;
    private static final int LATIN_HAND = 3;
    private static final int LATIN_DECORATIVE = 4;
    private static final int FIRST_WITH_SERIFS = 2;
    private static final int LAST_WITH_SERIFS = 10;
    private static final int MONOSPACED = 9;
    private static final int LAST_CLASS_WITH_SERIFS = 7;
    private static final int CLASS_SANS = 8;
    private static final int CLASS_SCRIPT = 10;
    /** Feet are so much wider than the stems that stand on them, at least. */
    private static final double FEET = 1.5;

    private static final double AT_FEET = 0.015;
    private static final double AT_STEMS = 0.25;
    private static final int SAMPLES = 400;

    private Generic() {}

    /**
     * @param panose      its ten numbers: the family's kind, the style of serifs, the weight, the proportion …
     * @param familyClass the class of the family, 0 where it is not said
     * @param even        whether the file says that all characters are of one width
     * @param letter      the outline of an H, whose stems stand on feet where a font has serifs
     */
    static String of(byte[] panose, int familyClass, boolean even, Optional<GeneralPath> letter) {
        if (even) return "monospace";
        int kind = panose == null || panose.length < 4 ? 0 : panose[0];
        if (kind == LATIN_HAND) return "cursive";
        if (kind == LATIN_DECORATIVE) return "fantasy";
        if (kind == LATIN_TEXT && panose[3] == MONOSPACED) return "monospace";
        if (kind == LATIN_TEXT && panose[1] >= FIRST_WITH_SERIFS) return panose[1] <= LAST_WITH_SERIFS ? SERIF : SANS;
        if (familyClass >= 1 && familyClass <= LAST_CLASS_WITH_SERIFS) return SERIF;
        if (familyClass == CLASS_SANS) return SANS;
        if (familyClass == CLASS_SCRIPT) return "cursive";
        return letter.filter(Generic::hasFeet).isPresent() ? SERIF : SANS;
    }

    private static boolean hasFeet(GeneralPath letter) {
        Rectangle2D box = letter.getBounds2D();
        double stems = ink(letter, box, AT_STEMS);
        return stems > 0 && ink(letter, box, AT_FEET) >= FEET * stems;
    }

    /** How much of a line across a letter is ink. @param at how high, of the letter's own height */
    private static double ink(GeneralPath letter, Rectangle2D box, double at) {
        double y = box.getMinY() + at * box.getHeight();
        int inside = 0;
        for (int i = 0; i < SAMPLES; i++)
            if (letter.contains(box.getMinX() + (i + 0.5) * box.getWidth() / SAMPLES, y)) inside++;
        return inside / (double) SAMPLES;
    }
}
