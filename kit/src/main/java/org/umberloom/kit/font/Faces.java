package org.umberloom.kit.font;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.umberloom.core.css.FontFace;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.TypographyValue;

/** Families as font faces, and those that a theme uses. */
public final class Faces {
    private static final int MOST_COMBINATIONS = 64;

    private Faces() {}

    /** Names of all families in the text styles of a theme, in any combination. */
    public static Set<String> named(ThemeDocument theme) {
        Set<String> named = new LinkedHashSet<>();
        for (Combination combination : theme.looks(MOST_COMBINATIONS))
            Resolution.of(theme, combination).tokens().values().forEach(token -> {
                if (token.value() instanceof TypographyValue style
                        && style.fontFamily() instanceof FontFamilyValue families) named.addAll(families.families());
            });
        return named;
    }

    /** Those of them that a catalog has. */
    public static List<FontCatalog.Family> familiesOf(ThemeDocument theme, FontCatalog catalog) {
        return known(named(theme), catalog);
    }

    /** The families of these names that a catalog has. */
    public static List<FontCatalog.Family> known(Set<String> names, FontCatalog catalog) {
        return names.stream().flatMap(name -> catalog.find(name).stream()).toList();
    }

    /** The files of a family. @param standIns whether fonts of the reader's device stand in while it loads */
    public static Stream<FontFace> of(
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
