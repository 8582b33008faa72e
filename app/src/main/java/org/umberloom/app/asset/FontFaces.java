package org.umberloom.app.asset;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.umberloom.core.css.FontFace;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.TypographyValue;

/** Families as font faces. */
@Component
public class FontFaces {
    private static final int MOST_COMBINATIONS = 64;
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
                .flatMap(family -> faces(files, family, SERVED_AT, part -> true, false))
                .toList();
    }

    /** The same; what a theme uses has stand-ins while it loads. */
    public List<FontFace> around(ThemeDocument theme) {
        return faces(shelf.atHand(), Set.copyOf(familiesOf(theme)));
    }

    private static List<FontFace> faces(FontFiles files, Set<FontCatalog.Family> standingIn) {
        return files.catalog().families().stream()
                .flatMap(family -> faces(files, family, SERVED_AT, part -> true, standingIn.contains(family)))
                .toList();
    }

    /**
     * The families that the text styles of a theme use and that may travel, with those of their files that pages need, in
     * that folder.
     */
    public List<FontFace> usedBy(ThemeDocument theme, String folder, Predicate<FontCatalog.FontPart> needed) {
        FontFiles files = shelf.atHand();
        return familiesOf(theme).stream()
                .filter(FontCatalog.Family::travels)
                .flatMap(family -> faces(files, family, folder, needed, true))
                .toList();
    }

    /** The known families that the text styles of a theme use, in any combination. */
    public List<FontCatalog.Family> familiesOf(ThemeDocument theme) {
        FontCatalog catalog = shelf.atHand().catalog();
        Set<FontCatalog.Family> used = new LinkedHashSet<>();
        for (Combination combination : theme.looks(MOST_COMBINATIONS))
            Resolution.of(theme, combination).tokens().values().forEach(token -> {
                if (token.value() instanceof TypographyValue style
                        && style.fontFamily() instanceof FontFamilyValue families)
                    families.families().forEach(name -> catalog.find(name).ifPresent(used::add));
            });
        return List.copyOf(used);
    }

    private static Stream<FontFace> faces(
            FontFiles files,
            FontCatalog.Family family,
            String folder,
            Predicate<FontCatalog.FontPart> needed,
            boolean standIns) {
        return family.files().stream()
                .filter(needed)
                .map(part -> new FontFace(
                        family.name(),
                        part.style(),
                        part.weights(),
                        part.stretch(),
                        part.characters(),
                        folder + part.file(),
                        standIns && part.equals(family.basic()) ? files.standIns(family) : List.of()));
    }
}
