package org.umberloom.app.theme;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.umberloom.app.asset.FontFaces;

/** Which themes wear a family. */
@Service
class WornFamilies {
    private static final int MOST_THEMES = 100;

    /** A theme whose text styles use a family. */
    record WearingTheme(long id, String name) {}

    private final ThemeMapper themes;
    private final DraftService drafts;
    private final FontFaces fonts;

    WornFamilies(ThemeMapper themes, DraftService drafts, FontFaces fonts) {
        this.themes = themes;
        this.drafts = drafts;
        this.fonts = fonts;
    }

    /** Those in the library, the last changed first, of the hundred whose document names it. */
    List<WearingTheme> wearing(String family) {
        List<WearingTheme> wearing = new ArrayList<>();
        String named = "%" + family.replaceAll("[\\\\%_\"]", "_") + "%";
        for (ThemeRow row : themes.holding(named, MOST_THEMES)) {
            try {
                if (fonts.familiesOf(drafts.newest(row.id()).theme()).stream()
                        .anyMatch(one -> one.name().equals(family)))
                    wearing.add(new WearingTheme(row.id(), row.name()));
            } catch (IllegalArgumentException unreadable) {
                // One that cannot be shown wears nothing that could be told.
                continue;
            }
        }
        return wearing;
    }
}
