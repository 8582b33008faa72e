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

/** Shipped families as font faces. */
@Component
public class FontFaces {
    private static final int MOST_COMBINATIONS = 64;
    private static final String SERVED_AT = "/fonts/";

    private final FontCatalog catalog;

    FontFaces(FontCatalog catalog) {
        this.catalog = catalog;
    }

    /** Every shipped family; a browser fetches only those files that a page uses. */
    public List<FontFace> all() {
        return catalog.families().stream()
                .flatMap(family -> faces(family, SERVED_AT, part -> true, false))
                .toList();
    }

    /** The same; what a theme uses has stand-ins while it loads. */
    public List<FontFace> around(ThemeDocument theme) {
        Set<FontCatalog.Family> used = Set.copyOf(familiesOf(theme));
        return catalog.families().stream()
                .flatMap(family -> faces(family, SERVED_AT, part -> true, used.contains(family)))
                .toList();
    }

    /** The families that the text styles of a theme use, with those of their files that pages need, in that folder. */
    public List<FontFace> usedBy(ThemeDocument theme, String folder, Predicate<FontCatalog.FontPart> needed) {
        return familiesOf(theme).stream()
                .flatMap(family -> faces(family, folder, needed, true))
                .toList();
    }

    /** The shipped families that the text styles of a theme use, in any combination. */
    public List<FontCatalog.Family> familiesOf(ThemeDocument theme) {
        Set<FontCatalog.Family> used = new LinkedHashSet<>();
        for (Combination combination : theme.looks(MOST_COMBINATIONS))
            Resolution.of(theme, combination).tokens().values().forEach(token -> {
                if (token.value() instanceof TypographyValue style
                        && style.fontFamily() instanceof FontFamilyValue families)
                    families.families().forEach(name -> catalog.find(name).ifPresent(used::add));
            });
        return List.copyOf(used);
    }

    private Stream<FontFace> faces(
            FontCatalog.Family family, String folder, Predicate<FontCatalog.FontPart> needed, boolean standIns) {
        return family.files().stream()
                .filter(needed)
                .map(part -> new FontFace(
                        family.name(),
                        part.style(),
                        part.weights(),
                        part.characters(),
                        folder + part.file(),
                        standIns && part.equals(family.basic())
                                ? FontFiles.shipped().standIns(family)
                                : List.of()));
    }
}
