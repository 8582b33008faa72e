package org.umberloom.core.font;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * The way through a GSUB or GPOS table to the subtables that features ask for. Source: OpenType 1.9.1, OpenType Layout Common Table
 * Formats.
 */
final class Lookups {
    private static final int MOST_GLYPHS = 200_000;

    /** A subtable of a lookup. @param at where it begins, in bytes from the beginning of the table */
    record Subtable(int type, long at) {}

    private Lookups() {}

    /**
     * The lookups in the font's order, each with its subtables; those of the extension type stand as what they extend to.
     *
     * @param in        at the beginning of the table
     * @param features  by their tags
     * @param extension the type of lookup that only says where another stands: 7 in GSUB, 9 in GPOS
     * @param most      subtables; a font with more is refused
     */
    static List<List<Subtable>> of(Bytes in, Set<String> features, int extension, int most) {
        in.skip(6);
        int featureList = in.u16();
        int list = in.u16();
        Set<Integer> asked = asked(in, features, featureList);
        in.seek(list);
        int[] offsets = offsets(in);
        List<List<Subtable>> lookups = new ArrayList<>();
        int tables = 0;
        for (int at = 0; at < offsets.length; at++) {
            if (!asked.contains(at)) continue;
            in.seek(list + offsets[at]);
            int type = in.u16();
            in.skip(2);
            List<Subtable> lookup = new ArrayList<>();
            for (int offset : offsets(in)) {
                if (++tables > most) throw in.ended();
                lookup.add(extended(in, new Subtable(type, (long) list + offsets[at] + offset), extension));
            }
            lookups.add(lookup);
        }
        return lookups;
    }

    private static Set<Integer> asked(Bytes in, Set<String> features, int featureList) {
        in.seek(featureList);
        int count = in.u16();
        List<Integer> wanted = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            boolean named = features.contains(in.tag());
            int offset = in.u16();
            if (named) wanted.add(offset);
        }
        Set<Integer> asked = new HashSet<>();
        for (int offset : wanted) {
            in.seek(featureList + offset + 2L);
            for (int lookup : offsets(in)) asked.add(lookup);
        }
        return asked;
    }

    private static Subtable extended(Bytes in, Subtable table, int extension) {
        if (table.type != extension) return table;
        in.seek(table.at + 2);
        int type = in.u16();
        return new Subtable(type, table.at + in.u32());
    }

    /** A count, and as many numbers of 16 bits. */
    static int[] offsets(Bytes in) {
        int[] offsets = new int[in.u16()];
        for (int i = 0; i < offsets.length; i++) offsets[i] = in.u16();
        return offsets;
    }

    /** The glyphs of a coverage table. */
    static List<Integer> covered(Bytes in, long at) {
        in.seek(at);
        boolean ranges = in.u16() == 2;
        int count = in.u16();
        List<Integer> glyphs = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            int from = in.u16();
            int to = ranges ? in.u16() : from;
            if (ranges) in.skip(2);
            for (int glyph = from; glyph <= to; glyph++) glyphs.add(glyph);
            if (glyphs.size() > MOST_GLYPHS) throw in.ended();
        }
        return glyphs;
    }
}
