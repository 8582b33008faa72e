package org.umberloom.app.asset;

import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.umberloom.core.css.FontFace;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.kit.font.Faces;
import org.umberloom.kit.font.FontCatalog;
import org.umberloom.kit.font.FontFiles;

/** The families at hand as font faces that are served here. */
@Component
public class FontFaces {
    private static final String SERVED_AT = "/fonts/";

    private final FontShelf shelf;

    FontFaces(FontShelf shelf) {
        this.shelf = shelf;
    }

    /** Every shipped family, which anybody may load; a browser fetches only those files that a page uses. */
    public List<FontFace> shipped() {
        return faces(FontFiles.shipped(), Set.of());
    }

    /** Every family. */
    public List<FontFace> all() {
        return faces(shelf.atHand(), Set.of());
    }

    /** Those that people brought. */
    List<FontFace> own() {
        FontFiles files = shelf.atHand();
        return files.catalog().families().stream()
                .filter(FontCatalog.Family::own)
                .flatMap(family -> Faces.of(files, family, SERVED_AT, part -> true, false))
                .toList();
    }

    /** The same; what a theme uses has stand-ins while it loads. */
    public List<FontFace> around(ThemeDocument theme) {
        return faces(shelf.atHand(), Set.copyOf(familiesOf(theme)));
    }

    private static List<FontFace> faces(FontFiles files, Set<FontCatalog.Family> standingIn) {
        return files.catalog().families().stream()
                .flatMap(family -> Faces.of(files, family, SERVED_AT, part -> true, standingIn.contains(family)))
                .toList();
    }

    /** The known families that the text styles of a theme use, in any combination. */
    public List<FontCatalog.Family> familiesOf(ThemeDocument theme) {
        return Faces.familiesOf(theme, shelf.atHand().catalog());
    }
}
