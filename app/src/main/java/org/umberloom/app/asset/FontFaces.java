package org.umberloom.app.asset;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
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

    /** Every shipped family; a browser fetches only those that a page uses. */
    public List<FontFace> all() {
        return catalog.families().stream()
                .map(family -> face(family, SERVED_AT))
                .toList();
    }

    /** The families that the text styles of a theme use, with their files in that folder. */
    public List<FontFace> usedBy(ThemeDocument theme, String folder) {
        return familiesOf(theme).stream().map(family -> face(family, folder)).toList();
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

    private static FontFace face(FontCatalog.Family family, String folder) {
        return new FontFace(family.name(), "normal", family.weights(), folder + family.file());
    }
}
