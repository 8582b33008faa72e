package org.umberloom.core.page;

import org.umberloom.core.color.Contrast;

/**
 * Two colors that meet on a page, each a role on the surface where it was set: text that inherits its color may stand on
 * another surface's ground.
 *
 * @param foreground dotted path of the role in front, such as {@code surface.deep.text}
 * @param ground     dotted path of the role behind it
 * @param kind       what is seen
 * @param type       type role of text; empty for a shape
 * @param state      in which state they meet, in a word; empty for always
 */
public record Meeting(String foreground, String ground, Kind kind, String type, String state) {
    /** Text, or something that is not text but must be seen. */
    public enum Kind {
        TEXT,
        SHAPE
    }

    /** Levels of WCAG 2.2 for contrast; a shape has no stricter one. */
    public enum Level {
        FAILS,
        AA,
        AAA
    }

    /**
     * The level that a ratio reaches.
     *
     * @param large whether it is text of at least 24 px, or 18.66 px bold
     */
    public Level level(double ratio, boolean large) {
        if (ratio < needed(large)) return Level.FAILS;
        double strict = kind == Kind.SHAPE ? Contrast.SHAPE : large ? Contrast.TEXT : Contrast.STRICT;
        return ratio >= strict ? Level.AAA : Level.AA;
    }

    /** The ratio of level AA. Source: WCAG 2.2, 1.4.3 and 1.4.11. */
    public double needed(boolean large) {
        return kind == Kind.TEXT && !large ? Contrast.TEXT : Contrast.SHAPE;
    }
}
