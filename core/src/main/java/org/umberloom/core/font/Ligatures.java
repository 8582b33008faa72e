package org.umberloom.core.font;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Glyphs that take the place of several, as browsers use them where no letter spacing is set. Source: OpenType 1.9.1, GSUB, lookup type
 * 4, as the features {@code liga}, {@code clig} and {@code rlig} ask for it; CSS Fonts 4, font-variant-ligatures.
 */
final class Ligatures {
    static final Ligatures NONE = new Ligatures();

    private static final Set<String> USUAL = Set.of("liga", "clig", "rlig");
    private static final int LIGATURES = 4;
    private static final int EXTENSION = 7;
    private static final int MOST_TABLES = 2_000;
    private static final int MOST = 20_000;

    /** One glyph for several. @param rest the glyphs after the first */
    record Ligature(int[] rest, int glyph) {
        /** How many glyphs it stands for. */
        int length() {
            return rest.length + 1;
        }
    }

    /** By the first glyph, those that a font prefers first. */
    private final Map<Integer, List<Ligature>> byFirst = new HashMap<>();

    private int count;

    private Ligatures() {}

    static Ligatures of(FontTables font) {
        return font.table("GSUB").isEmpty() ? NONE : new Ligatures(font.reading("GSUB"));
    }

    private Ligatures(Bytes in) {
        for (List<Lookups.Subtable> subtables : Lookups.of(in, USUAL, EXTENSION, MOST_TABLES))
            for (Lookups.Subtable one : subtables) if (one.type() == LIGATURES) table(in, one.at());
    }

    /** What takes the place of the glyphs from one on; none where nothing does. */
    Optional<Ligature> at(int[] glyphs, int from) {
        for (Ligature one : byFirst.getOrDefault(glyphs[from], List.of())) {
            boolean fits = from + one.rest.length < glyphs.length;
            for (int i = 0; fits && i < one.rest.length; i++) fits = glyphs[from + 1 + i] == one.rest[i];
            if (fits) return Optional.of(one);
        }
        return Optional.empty();
    }

    boolean isEmpty() {
        return byFirst.isEmpty();
    }

    private void table(Bytes in, long at) {
        if (in.seek(at).u16() != 1) return;
        int coverage = in.u16();
        int[] sets = Lookups.offsets(in);
        List<Integer> firsts = Lookups.covered(in, at + coverage);
        for (int i = 0; i < sets.length && i < firsts.size(); i++) {
            long set = at + sets[i];
            in.seek(set);
            for (int offset : Lookups.offsets(in)) {
                in.seek(set + offset);
                int glyph = in.u16();
                int[] rest = new int[Math.max(0, in.u16() - 1)];
                if (rest.length * 2 > in.left() || ++count > MOST) throw in.ended();
                for (int n = 0; n < rest.length; n++) rest[n] = in.u16();
                if (rest.length > 0)
                    byFirst.computeIfAbsent(firsts.get(i), key -> new ArrayList<>())
                            .add(new Ligature(rest, glyph));
            }
        }
    }
}
