package org.umberloom.kit.font;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.umberloom.core.font.Cut;
import org.umberloom.core.font.Families;
import org.umberloom.core.font.Matching;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The font families that can be chosen at a moment: those that ship with the application, and those that people brought. */
public final class FontCatalog {
    private static final String FOLDER = "/static/fonts/";
    private static final String NORMAL = "normal";

    /**
     * One family.
     *
     * @param kind    what it is like, for people: {@code humanist}, {@code slab}; {@link #OWN} for one that was brought in
     * @param generic the generic family to fall back to
     * @param license name of its license, or what its files say of it; the text is in {@code licenseFile}
     * @param rights  what its maker lets others do with the files, in words; empty for one that ships
     * @param travels whether its files may be part of a kit
     */
    public record Family(
            String name,
            String kind,
            String generic,
            String license,
            String licenseFile,
            String rights,
            Boolean travels,
            List<FontPart> files) {
        public Family {
            rights = rights == null ? "" : rights;
            travels = travels == null || travels;
            files = List.copyOf(files);
        }

        /** The file of upright letters that English is written with. */
        public FontPart basic() {
            return files.get(0);
        }

        /** The file of upright letters for the same characters that is nearest to a weight and a width. */
        public FontPart upright(Cut cut) {
            return Matching.of(
                            cut,
                            files.stream()
                                    .filter(part ->
                                            !part.italic() && part.characters().equals(basic().characters()))
                                    .map(part -> Matching.Range.of(part, part.stretch(), part.weights()))
                                    .toList())
                    .orElse(basic());
        }

        /** Those of all its files. */
        public Families.Weights weights() {
            return new Families.Weights(
                    files.stream().map(FontPart::weights).map(Families.Span::of).toList());
        }

        public boolean italics() {
            return files.stream().anyMatch(FontPart::italic);
        }

        public boolean own() {
            return kind.equals(OWN);
        }

        private Stream<String> fileNames() {
            return Stream.concat(files.stream().map(FontPart::file), Stream.of(licenseFile));
        }
    }

    /** The kind of all families that were brought in. */
    public static final String OWN = "own";

    /**
     * A WOFF2 file of a family.
     *
     * @param style      {@code normal} or {@code italic}
     * @param weights    a range such as {@code 300 900}, or one weight
     * @param stretch    how wide its letters are, as CSS {@code font-stretch}; empty for the usual
     * @param characters it is for, as CSS {@code unicode-range}; empty for all that it has
     */
    public record FontPart(String file, String style, String weights, String stretch, String characters) {
        public FontPart {
            stretch = stretch == null ? "" : stretch;
        }

        public boolean italic() {
            return !style.equals(NORMAL);
        }

        /** Whether a text has characters that this file is for. @param text by code points */
        public boolean serves(BitSet text) {
            if (characters.isEmpty()) return true;
            for (String range : characters.split(",")) {
                String[] ends = range.strip().substring("U+".length()).split("-");
                int from = Integer.parseInt(ends[0], 16);
                int next = text.nextSetBit(from);
                if (next >= 0 && next <= Integer.parseInt(ends[ends.length - 1], 16)) return true;
            }
            return false;
        }
    }

    /** None at all. */
    static final FontCatalog EMPTY = new FontCatalog(List.of(), FontCatalog::resource);

    private static final FontCatalog SHIPPED = new FontCatalog(catalog(), FontCatalog::resource);

    private final List<Family> families;
    private final Function<String, byte[]> reading;

    private FontCatalog(List<Family> families, Function<String, byte[]> reading) {
        this.families = families;
        this.reading = reading;
    }

    /** Those that ship. */
    public static FontCatalog shipped() {
        return SHIPPED;
    }

    /** These and others, which lead. @param content of their files, by name */
    FontCatalog with(List<Family> others, Function<String, byte[]> content) {
        Set<String> theirs = others.stream().flatMap(Family::fileNames).collect(Collectors.toUnmodifiableSet());
        return new FontCatalog(
                Stream.concat(others.stream(), families.stream()).toList(),
                file -> theirs.contains(file) ? content.apply(file) : reading.apply(file));
    }

    private static List<Family> catalog() {
        try (InputStream in = FontCatalog.class.getResourceAsStream(FOLDER + "catalog.json")) {
            return in == null ? List.of() : JsonMapper.shared().readValue(in, new TypeReference<List<Family>>() {});
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static byte[] resource(String file) {
        try (InputStream in = FontCatalog.class.getResourceAsStream(FOLDER + file)) {
            if (in == null) throw new IllegalArgumentException("There is no font file “" + file + "”.");
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public List<Family> families() {
        return families;
    }

    public Optional<Family> find(String name) {
        return families.stream().filter(family -> family.name().equals(name)).findFirst();
    }

    /** The bytes of a family's font or license file. @throws IllegalArgumentException where there is none */
    public byte[] read(String file) {
        return reading.apply(file);
    }
}
