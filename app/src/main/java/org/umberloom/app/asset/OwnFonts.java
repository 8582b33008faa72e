package org.umberloom.app.asset;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.umberloom.core.font.BadFont;
import org.umberloom.core.font.FontFile;
import org.umberloom.core.font.Woff2;
import org.umberloom.core.token.Fingerprint;
import org.umberloom.core.token.Names;
import org.umberloom.core.token.ValueText;
import org.umberloom.kit.font.FontCatalog;

/** Font files that people brought, sorted into families by what the files say of themselves. */
@Service
public class OwnFonts {
    /** In front of the names of all their files. */
    static final String FOLDER = "own/";

    private static final String LICENSE = "-license.txt";
    private static final int MOST_FILES = 400;
    private static final int LONGEST_NAME = 100;
    private static final int LONGEST_LICENSE = 20_000;
    private static final int LONGEST_SLUG = 60;
    private static final int HASH = 12;
    private static final String UNCHANGED = " It was not kept.";

    /**
     * What became of one file.
     *
     * @param name    as it was called
     * @param kept    whether it is among the families now
     * @param family  that it belongs to; empty where it was refused
     * @param what    for people: “Bold, 700”, or why it was refused
     */
    public record Brought(String name, boolean kept, String family, String what) {}

    private final OwnFontMapper fonts;

    OwnFonts(OwnFontMapper fonts) {
        this.fonts = fonts;
    }

    String stamp() {
        return fonts.stamp();
    }

    /** Each with its files, the one nearest to regular upright letters first. */
    List<FontCatalog.Family> families() {
        Map<String, List<OwnFontMapper.Row>> byName = new LinkedHashMap<>();
        for (OwnFontMapper.Row row : fonts.all())
            byName.computeIfAbsent(row.family(), key -> new ArrayList<>()).add(row);
        return byName.values().stream().map(OwnFonts::family).toList();
    }

    private static FontCatalog.Family family(List<OwnFontMapper.Row> rows) {
        OwnFontMapper.Row first = rows.get(0);
        // What the strictest of its files says goes for the family.
        OwnFontMapper.Row strict =
                rows.stream().filter(row -> !row.travels()).findFirst().orElse(first);
        return new FontCatalog.Family(
                first.family(),
                FontCatalog.OWN,
                first.generic(),
                "what its files say",
                FOLDER + slug(first.family()) + LICENSE,
                strict.rights(),
                strict.travels(),
                rows.stream()
                        .map(row -> new FontCatalog.FontPart(row.file(), row.style(), row.weights(), row.stretch(), ""))
                        .toList());
    }

    /** A file, or what the files of a family say of its license. @throws IllegalArgumentException where there is none */
    byte[] read(String file) {
        if (!file.endsWith(LICENSE))
            return fonts.content(file)
                    .map(OwnFontMapper.Bytes::bytes)
                    .orElseThrow(
                            () -> new IllegalArgumentException("There is no font file “" + Names.shown(file) + "”."));
        return fonts.all().stream()
                .filter(row -> file.equals(FOLDER + slug(row.family()) + LICENSE))
                .map(row -> row.family() + ", " + row.weights() + " " + row.style() + ": " + row.rights()
                        + (row.license().isEmpty() ? "" : "\n" + row.license()))
                .distinct()
                .collect(Collectors.joining("\n\n", "", "\n"))
                .getBytes(StandardCharsets.UTF_8);
    }

    /** Reads one file and keeps it as WOFF2. What is wrong with it is said, and nothing of it is kept then. */
    Brought bring(String fileName, byte[] content, String by) {
        String shown = Names.shown(fileName);
        try {
            FontFile font = FontFile.read(content);
            String family = font.commonFamily();
            refuse(family, taken -> FontCatalog.shipped().find(family).isPresent());
            OwnFontMapper.Row row = row(font, family);
            List<OwnFontMapper.Row> before = fonts.all();
            if (before.stream().anyMatch(one -> one.file().equals(row.file())))
                return new Brought(shown, true, family, words(font, row) + ", which was here already");
            if (before.size() >= MOST_FILES)
                throw new BadFont("there are " + MOST_FILES + " files here already; remove a family first");
            Optional<OwnFontMapper.Row> replaced =
                    before.stream().filter(one -> sameLetters(one, row)).findFirst();
            fonts.keep(row, Woff2.write(font.tables()), by);
            replaced.ifPresent(one -> fonts.remove(one.file()));
            return new Brought(
                    shown,
                    true,
                    family,
                    words(font, row) + (replaced.isPresent() ? ", in the place of an earlier file" : ""));
        } catch (BadFont e) {
            return new Brought(shown, false, "", "“" + shown + "”: " + e.getMessage() + "." + UNCHANGED);
        }
    }

    private static void refuse(String family, Predicate<String> ships) {
        if (family.length() > LONGEST_NAME)
            throw new BadFont("its family’s name has more than " + LONGEST_NAME + " characters");
        if (family.chars().anyMatch(c -> Character.isISOControl(c) || c == '"' || c == '\\' || c == ','))
            throw new BadFont("its family’s name holds characters that no style sheet could name it by");
        if (ships.test(family)) throw new BadFont("its family, " + family + ", is here already: it ships");
    }

    private static OwnFontMapper.Row row(FontFile font, String family) {
        String weights = range(font.lightest(), font.heaviest());
        String style = font.italic() ? "italic" : "normal";
        String hash = Fingerprint.of(font.tables().file()).substring(0, HASH);
        String license = (font.license().orElse("") + "\n" + font.licenseAt().orElse("")).strip();
        return new OwnFontMapper.Row(
                FOLDER + slug(family) + "-" + weights.replace(' ', '-') + (font.italic() ? "-italic-" : "-") + hash
                        + ".woff2",
                family,
                font.generic(),
                style,
                weights,
                stretch(font),
                font.embedding().travels(),
                font.embedding().words(),
                license.length() > LONGEST_LICENSE ? license.substring(0, LONGEST_LICENSE) : license);
    }

    private static boolean sameLetters(OwnFontMapper.Row one, OwnFontMapper.Row other) {
        return one.family().equals(other.family())
                && one.style().equals(other.style())
                && one.weights().equals(other.weights())
                && one.stretch().equals(other.stretch());
    }

    private static String range(int from, int to) {
        return from == to ? String.valueOf(from) : from + " " + to;
    }

    private static String stretch(FontFile font) {
        String from = ValueText.number(font.narrowest(), 1) + "%";
        String to = ValueText.number(font.widest(), 1) + "%";
        if (!from.equals(to)) return from + " " + to;
        return from.equals("100%") ? "" : from;
    }

    private static String words(FontFile font, OwnFontMapper.Row row) {
        return font.subfamily() + ", " + row.weights().replace(" ", " to ");
    }

    /** A family's name for files: small letters, figures and hyphens; families that share one get on by their hashes. */
    private static String slug(String family) {
        String slug =
                family.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        if (slug.isEmpty()) slug = "family-" + Integer.toHexString(family.hashCode());
        return slug.length() > LONGEST_SLUG ? slug.substring(0, LONGEST_SLUG) : slug;
    }

    /** Takes a family away; its files stay, and {@link #putBack} brings it again. @return its files */
    List<String> remove(String family) {
        List<String> files = fonts.all().stream()
                .filter(row -> row.family().equals(family))
                .map(OwnFontMapper.Row::file)
                .toList();
        if (files.isEmpty())
            throw new IllegalArgumentException(
                    "There is no family “" + Names.shown(family) + "” of your own. Nothing was removed.");
        files.forEach(fonts::remove);
        return files;
    }

    void putBack(List<String> files) {
        for (String file : files)
            if (fonts.putBack(file) == 0)
                throw new IllegalArgumentException(
                        "There is no font file “" + Names.shown(file) + "”. Nothing was put back.");
    }
}
