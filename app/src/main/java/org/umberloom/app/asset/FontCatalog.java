package org.umberloom.app.asset;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.BitSet;
import java.util.IntSummaryStatistics;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.umberloom.core.font.Families;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The font families that ship with the application. */
@Component
public class FontCatalog {
    private static final String FOLDER = "/static/fonts/";
    private static final String NORMAL = "normal";

    /**
     * One shipped family.
     *
     * @param kind    what it is like, for people: {@code humanist}, {@code slab}
     * @param generic the generic family to fall back to
     * @param license name of its license; the text is in {@code licenseFile}
     */
    public record Family(
            String name, String kind, String generic, String license, String licenseFile, List<FontPart> files) {
        public Family {
            files = List.copyOf(files);
        }

        /** The file of upright letters that English is written with. */
        public FontPart basic() {
            return files.get(0);
        }

        /** Those of all its files, where one stands for what it varies along or for a weight of its own. */
        public Families.Weights weights() {
            IntSummaryStatistics all = files.stream()
                    .flatMap(part -> Arrays.stream(part.weights().split(" ")))
                    .mapToInt(Integer::parseInt)
                    .summaryStatistics();
            return new Families.Weights(all.getMin(), all.getMax());
        }

        public boolean italics() {
            return files.stream().anyMatch(FontPart::italic);
        }
    }

    /**
     * A WOFF2 file of a family.
     *
     * @param style      {@code normal} or {@code italic}
     * @param weights    a range such as {@code 300 900}, or one weight
     * @param characters it is for, as CSS {@code unicode-range}
     */
    public record FontPart(String file, String style, String weights, String characters) {
        public boolean italic() {
            return !style.equals(NORMAL);
        }

        /** Whether a text has characters that this file is for. @param text by code points */
        public boolean serves(BitSet text) {
            for (String range : characters.split(",")) {
                String[] ends = range.strip().substring("U+".length()).split("-");
                int from = Integer.parseInt(ends[0], 16);
                int next = text.nextSetBit(from);
                if (next >= 0 && next <= Integer.parseInt(ends[ends.length - 1], 16)) return true;
            }
            return false;
        }
    }

    private static final List<Family> FAMILIES = catalog();

    private static List<Family> catalog() {
        try (InputStream in = FontCatalog.class.getResourceAsStream(FOLDER + "catalog.json")) {
            return in == null ? List.of() : JsonMapper.shared().readValue(in, new TypeReference<List<Family>>() {});
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public List<Family> families() {
        return FAMILIES;
    }

    public Optional<Family> find(String name) {
        return FAMILIES.stream().filter(family -> family.name().equals(name)).findFirst();
    }

    /** The bytes of a family's font or license file. */
    public byte[] read(String file) {
        try (InputStream in = FontCatalog.class.getResourceAsStream(FOLDER + file)) {
            if (in == null) throw new IllegalArgumentException("There is no font file “" + file + "”.");
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
