package org.umberloom.core.font;

import java.util.ArrayList;
import java.util.List;

/** How numbers of a font change along its axes. Source: OpenType 1.9.1, Font Variations Common Table Formats, item variation stores. */
final class VariationStore {
    static final VariationStore NONE = new VariationStore();

    /** The parts of a normalized axis over which a set of differences fades in and out. */
    private record Span(double start, double peak, double end) {
        double weight(double at) {
            if (peak == 0 || start > peak || peak > end || start < 0 && end > 0 || at == peak) return 1;
            if (at <= start || at >= end) return 0;
            return at < peak ? (at - start) / (peak - start) : (end - at) / (end - peak);
        }
    }

    /** Differences of items in the regions that they are for. */
    private record Rows(int[] regions, int[][] deltas) {}

    private static final int LONG_WORDS = 0x8000;
    private static final int MOST_REGIONS = 4_096;

    private final List<List<Span>> regions = new ArrayList<>();
    private final List<Rows> rows = new ArrayList<>();

    private VariationStore() {}

    /** @param store where it begins */
    VariationStore(Bytes in, long store, int axes) {
        in.seek(store).skip(2);
        long list = in.u32();
        long[] parts = new long[in.u16()];
        for (int i = 0; i < parts.length; i++) parts[i] = in.u32();
        in.seek(store + list);
        int count = in.u16();
        int most = in.u16();
        if (most > MOST_REGIONS || count != axes) throw in.ended();
        for (int region = 0; region < most; region++) {
            List<Span> spans = new ArrayList<>();
            for (int axis = 0; axis < count; axis++) spans.add(new Span(in.f2dot14(), in.f2dot14(), in.f2dot14()));
            regions.add(spans);
        }
        for (long part : parts) rows.add(rows(in.seek(store + part)));
    }

    private static Rows rows(Bytes in) {
        int items = in.u16();
        int words = in.u16();
        int[] regions = new int[in.u16()];
        for (int i = 0; i < regions.length; i++) regions[i] = in.u16();
        boolean wide = (words & LONG_WORDS) != 0;
        int large = words & ~LONG_WORDS;
        // So many are there at least, or the file ends too soon.
        if ((long) items * regions.length > in.left()) throw in.ended();
        int[][] deltas = new int[items][regions.length];
        for (int[] row : deltas)
            for (int i = 0; i < row.length; i++)
                row[i] = i < large ? wide ? in.i32() : in.i16() : wide ? in.i16() : in.i8();
        return new Rows(regions, deltas);
    }

    /** By how much an item differs there from what it usually is. @param where of each axis, from −1 to 1 */
    double delta(int part, int item, double[] where) {
        if (part >= rows.size() || item >= rows.get(part).deltas.length) return 0;
        Rows there = rows.get(part);
        double sum = 0;
        for (int i = 0; i < there.regions.length; i++) {
            if (there.deltas[item][i] == 0 || there.regions[i] >= regions.size()) continue;
            double weight = 1;
            List<Span> spans = regions.get(there.regions[i]);
            for (int axis = 0; axis < spans.size(); axis++)
                weight *= spans.get(axis).weight(where[axis]);
            sum += weight * there.deltas[item][i];
        }
        return sum;
    }
}
