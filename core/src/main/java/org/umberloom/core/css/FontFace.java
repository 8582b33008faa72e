package org.umberloom.core.css;

import java.util.List;
import org.umberloom.core.font.StandIn;

/**
 * A font file that travels with a stylesheet.
 *
 * @param family     family name
 * @param style      {@code normal} or {@code italic}
 * @param weights    the range of a variable font, such as {@code 200 800}, or one weight
 * @param stretch    how wide its letters are, in percent of the usual, or a range; empty for the usual
 * @param characters it is fetched for, as CSS {@code unicode-range}; empty for all
 * @param url        where the stylesheet finds it
 * @param standIns   what is shown of the family while it loads
 */
public record FontFace(
        String family,
        String style,
        String weights,
        String stretch,
        String characters,
        String url,
        List<StandIn> standIns) {
    private static final String STANDS_IN = " stand-in";

    public FontFace {
        standIns = List.copyOf(standIns);
    }

    public FontFace(String family, String style, String weights, String url) {
        this(family, style, weights, "", "", url, List.of());
    }

    /** The family as which a font of the reader's device stands in for that one. */
    public static String standIn(String family) {
        return family + STANDS_IN;
    }
}
