package org.umberloom.app.theme;

import java.util.ArrayList;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.asset.FontFaces;

/** Where a family is worn. */
@RestController
class WornFamilyController {
    private static final int MOST_THEMES = 100;

    private final ThemeMapper themes;
    private final DraftService drafts;
    private final FontFaces fonts;

    WornFamilyController(ThemeMapper themes, DraftService drafts, FontFaces fonts) {
        this.themes = themes;
        this.drafts = drafts;
        this.fonts = fonts;
    }

    /** A theme whose text styles use a family. */
    record WearingTheme(long id, String name) {}

    /** The themes in the library that wear a shipped family, the last changed first; up to a hundred. */
    @GetMapping("/api/fonts/worn")
    List<WearingTheme> worn(@RequestParam String family) {
        List<WearingTheme> wearing = new ArrayList<>();
        String named = "%" + family.replaceAll("[\\\\%_\"]", "_") + "%";
        for (ThemeRow row : themes.holding(named, MOST_THEMES)) {
            try {
                if (fonts.familiesOf(drafts.newest(row.id()).theme()).stream()
                        .anyMatch(one -> one.name().equals(family)))
                    wearing.add(new WearingTheme(row.id(), row.name()));
            } catch (IllegalArgumentException unreadable) {
                // One that cannot be shown wears nothing that could be told.
            }
        }
        return wearing;
    }
}
