package org.umberloom.core.font;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** How a variable font varies: its axes, and how wide its glyphs become along them. Source: OpenType 1.9.1, fvar, avar, HVAR, GDEF. */
final class Variations {
    private static final int MOST_AXES = 16;
    private static final int AXIS = 20;
    private static final int PLACES_SINCE = 3;
    private static final int PLACES_AT = 14;

    private final List<Axis> axes;
    private final List<double[][]> bends;
    private VariationStore widths = VariationStore.NONE;
    private VariationStore places = VariationStore.NONE;
    private int[] outer = {};
    private int[] inner = {};
    private boolean mapped;

    private Variations(FontTables font) {
        axes = axes(font);
        bends = bends(font, axes.size());
        if (font.table("HVAR").isPresent()) widths(font.reading("HVAR"));
        if (!axes.isEmpty() && font.table("GDEF").isPresent()) places(font.reading("GDEF"));
    }

    static Variations of(FontTables font) {
        return new Variations(font);
    }

    List<Axis> axes() {
        return axes;
    }

    private static List<Axis> axes(FontTables font) {
        if (font.table("fvar").isEmpty()) return List.of();
        Bytes in = font.reading("fvar");
        in.skip(4);
        int from = in.u16();
        in.skip(2);
        int count = in.u16();
        int size = in.u16();
        if (count > MOST_AXES || size < AXIS) throw new BadFont("it says that it varies along " + count + " axes");
        List<Axis> axes = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            in.seek(from + (long) i * size);
            String tag = in.tag();
            double least = in.fixed();
            double usual = in.fixed();
            double most = in.fixed();
            if (!(least <= usual && usual <= most)) throw new BadFont("its axis “" + tag + "” has no range");
            axes.add(new Axis(tag, least, usual, most));
        }
        return List.copyOf(axes);
    }

    private static List<double[][]> bends(FontTables font, int count) {
        List<double[][]> bends = new ArrayList<>();
        if (font.table("avar").isEmpty()) return bends;
        Bytes in = font.reading("avar");
        in.skip(6);
        if (in.u16() != count) return bends;
        for (int axis = 0; axis < count; axis++) {
            double[][] pairs = new double[in.u16()][];
            for (int i = 0; i < pairs.length; i++) pairs[i] = new double[] {in.f2dot14(), in.f2dot14()};
            bends.add(pairs);
        }
        return bends;
    }

    private void widths(Bytes in) {
        in.skip(4);
        long store = in.u32();
        long map = in.u32();
        widths = new VariationStore(in, store, axes.size());
        if (map != 0) map(in.seek(map));
    }

    /** What moves glyphs of a text, such as kerning, changes by a store that is kept with what glyphs are (GDEF 1.3). */
    private void places(Bytes in) {
        in.skip(2);
        if (in.u16() < PLACES_SINCE) return;
        long store = in.seek(PLACES_AT).u32();
        if (store != 0) places = new VariationStore(in, store, axes.size());
    }

    private void map(Bytes in) {
        boolean large = in.u8() == 1;
        int format = in.u8();
        long count = large ? in.u32() : in.u16();
        int size = (format >> 4 & 3) + 1;
        int bits = (format & 0xf) + 1;
        if (count * size > in.left()) throw in.ended();
        outer = new int[(int) count];
        inner = new int[(int) count];
        for (int i = 0; i < count; i++) {
            long entry = 0;
            for (int b = 0; b < size; b++) entry = entry << 8 | in.u8();
            outer[i] = (int) (entry >> bits);
            inner[i] = (int) (entry & (1L << bits) - 1);
        }
        mapped = count > 0;
    }

    /** Where axes stand, from −1 to 1; those not named stand as usual. @param at in the axes' own units, by their tags */
    double[] normalized(Map<String, Double> at) {
        double[] where = new double[axes.size()];
        for (int i = 0; i < where.length; i++) {
            Axis axis = axes.get(i);
            double value = axis.within(at.getOrDefault(axis.tag(), axis.usual()));
            double reach = value < axis.usual() ? axis.usual() - axis.least() : axis.most() - axis.usual();
            where[i] = reach == 0 ? 0 : bent(i, (value - axis.usual()) / reach);
        }
        return where;
    }

    private double bent(int axis, double at) {
        double[][] pairs = axis < bends.size() ? bends.get(axis) : new double[0][];
        for (int i = 1; i < pairs.length; i++) {
            if (at > pairs[i][0]) continue;
            double from = pairs[i - 1][0];
            double width = pairs[i][0] - from;
            return width <= 0 ? pairs[i][1] : pairs[i - 1][1] + (at - from) / width * (pairs[i][1] - pairs[i - 1][1]);
        }
        return at;
    }

    /** How much wider a glyph is there than as usual, in units of the font. */
    double wider(int glyph, double[] where) {
        int part = 0;
        int item = glyph;
        if (mapped) {
            int at = Math.min(glyph, outer.length - 1);
            part = outer[at];
            item = inner[at];
        }
        return widths.delta(part, item, where);
    }

    /** By how much a move of glyphs in a text differs there, in units of the font. */
    double moved(int part, int item, double[] where) {
        return places.delta(part, item, where);
    }
}
