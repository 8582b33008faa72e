package org.umberloom.app.theme;

import java.util.List;

/**
 * What the library shows of a theme, computed when the theme is stored and kept with it.
 *
 * @param weave        its cloth
 * @param families     names of its font families
 * @param findings     how many there are with everything at its default
 * @param pairs        how many pairs of colors were measured for that
 * @param combinations how many there are
 */
public record Shown(
        String description, ThemeViews.Weave weave, List<String> families, int findings, int pairs, long combinations) {
    /** Counts up whenever what is kept changes its form or meaning; older ones are computed anew when they are met. */
    public static final int FORM = 2;
}
