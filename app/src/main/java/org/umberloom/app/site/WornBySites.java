package org.umberloom.app.site;

import java.util.Map;
import org.springframework.stereotype.Component;
import org.umberloom.app.asset.FontShelf;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.wish.MeasuredWidths;

/** A theme with what its sites say laid over it, as pages show it. */
@Component
public class WornBySites {
    private final FontShelf fonts;

    WornBySites(FontShelf fonts) {
        this.fonts = fonts;
    }

    /** Widths that a site says in characters follow the text that the theme has now. */
    public ThemeDocument of(ThemeDocument theme, Map<Place.InScope, Group> written) {
        return MeasuredWidths.worn(theme, written, fonts.atHand());
    }
}
