package org.umberloom.core.font;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * How far the points of outlines move along the axes of a variable font. Source: OpenType 1.9.1, “gvar” and “Font variations
 * common table formats”.
 */
final class GlyphVariations {
    private static final int LONG_OFFSETS = 1;
    private static final int SHARED_POINTS = 0x8000;
    private static final int COUNT = 0x0fff;
    private static final int OWN_PEAK = 0x8000;
    private static final int BETWEEN = 0x4000;
    private static final int OWN_POINTS = 0x2000;
    private static final int WORDS = 0x80;
    private static final int RUN = 0x7f;
    private static final int NO_MOVES = 0x80;
    private static final int WIDE_MOVES = 0x40;
    private static final int MOVES = 0x3f;
    private static final int MOST_POINTS = 65_535;

    /**
     * A part of what a glyph's points move by.
     *
     * @param points that it says; none for all of them
     */
    private record Part(double share, int[] points, int[] x, int[] y) {}

    private final byte[] table;
    private final int axes;
    private final double[][] shared;
    private final long[] offsets;

    private GlyphVariations(FontTables font, int axes) {
        this.axes = axes;
        table = font.table("gvar").orElseThrow();
        Bytes in = new Bytes(table, "gvar");
        in.skip(4);
        if (in.u16() != axes) throw in.ended();
        shared = new double[in.u16()][axes];
        long peaks = in.u32();
        offsets = new long[in.u16() + 1];
        boolean wide = (in.u16() & LONG_OFFSETS) != 0;
        long data = in.u32();
        for (int i = 0; i < offsets.length; i++) offsets[i] = data + (wide ? in.u32() : 2L * in.u16());
        in.seek(peaks);
        for (double[] peak : shared) place(in, peak);
    }

    /** @param axes how many the font has; a font without the table has no variations of outlines */
    static GlyphVariations of(FontTables font, int axes) {
        return new GlyphVariations(font, axes);
    }

    private static void place(Bytes in, double[] at) {
        for (int i = 0; i < at.length; i++) at[i] = in.f2dot14();
    }

    /**
     * How far points move at a place.
     *
     * @param where from −1 to 1, along each axis
     * @param x     of the points as usual, the four phantom ones at the end
     * @param ends  the last point of each contour; empty for a glyph that is made of others, whose points are told one by one
     * @return right and up of each point, in units of the font
     */
    double[][] moves(int glyph, double[] where, int[] x, int[] y, int[] ends) {
        double[][] moves = new double[2][x.length];
        if (glyph + 1 >= offsets.length || offsets[glyph] == offsets[glyph + 1]) return moves;
        for (Part part : parts(glyph, where, x.length)) {
            double[][] said = new double[2][x.length];
            boolean[] touched = new boolean[x.length];
            for (int i = 0; i < part.x.length; i++) {
                int point = part.points.length == 0 ? i : part.points[i];
                if (point >= x.length) continue;
                touched[point] = true;
                said[0][point] = part.x[i];
                said[1][point] = part.y[i];
            }
            if (part.points.length > 0) {
                between(x, said[0], touched, ends);
                between(y, said[1], touched, ends);
            }
            for (int point = 0; point < x.length; point++) {
                moves[0][point] += part.share * said[0][point];
                moves[1][point] += part.share * said[1][point];
            }
        }
        return moves;
    }

    private List<Part> parts(int glyph, double[] where, int points) {
        Bytes in = new Bytes(table, "gvar").seek(offsets[glyph]);
        int count = in.u16();
        long data = offsets[glyph] + in.u16();
        Bytes moves = new Bytes(table, "gvar").seek(data);
        int[] common = (count & SHARED_POINTS) != 0 ? points(moves) : new int[0];
        List<Part> parts = new ArrayList<>();
        for (int i = 0; i < (count & COUNT); i++) {
            int size = in.u16();
            int said = in.u16();
            double[] peak = new double[axes];
            if ((said & OWN_PEAK) != 0) place(in, peak);
            else if ((said & COUNT) < shared.length) peak = shared[said & COUNT];
            else throw in.ended();
            double[] from = null;
            double[] to = null;
            if ((said & BETWEEN) != 0) {
                place(in, from = new double[axes]);
                place(in, to = new double[axes]);
            }
            int at = moves.at();
            double share = share(where, peak, from, to);
            if (share != 0) {
                int[] own = (said & OWN_POINTS) != 0 ? points(moves) : common;
                int told = own.length == 0 ? points : own.length;
                parts.add(new Part(share, own, moves(moves, told), moves(moves, told)));
            }
            moves.seek((long) at + size);
        }
        return parts;
    }

    /** Source: OpenType 1.9.1, “Algorithm for interpolation of instance values”. */
    private static double share(double[] where, double[] peak, double[] from, double[] to) {
        double share = 1;
        for (int i = 0; i < peak.length; i++) {
            double at = where[i];
            double best = peak[i];
            if (best == 0 || at == best) continue;
            double start = from == null ? Math.min(0, best) : from[i];
            double end = to == null ? Math.max(0, best) : to[i];
            if (start > best || best > end || start < 0 && end > 0 && from != null) continue;
            if (at <= start || at >= end) return 0;
            share *= at < best ? (at - start) / (best - start) : (end - at) / (end - best);
        }
        return share;
    }

    /** Which points are told, in ascending order; none for all. */
    private static int[] points(Bytes in) {
        int count = in.u8();
        if ((count & WORDS) != 0) count = (count & RUN) << 8 | in.u8();
        int[] points = new int[count];
        int point = 0;
        for (int i = 0; i < count; ) {
            int run = in.u8();
            for (int n = (run & RUN) + 1; n > 0 && i < count; n--) {
                point += (run & WORDS) != 0 ? in.u16() : in.u8();
                points[i++] = Math.min(point, MOST_POINTS);
            }
        }
        return points;
    }

    private static int[] moves(Bytes in, int count) {
        int[] moves = new int[count];
        for (int i = 0; i < count; ) {
            int run = in.u8();
            for (int n = (run & MOVES) + 1; n > 0 && i < count; n--)
                moves[i++] = (run & NO_MOVES) != 0 ? 0 : (run & WIDE_MOVES) != 0 ? in.i16() : in.i8();
        }
        return moves;
    }

    /**
     * What is not told moves with its neighbors on the contour. Source: OpenType 1.9.1, gvar, “Inferred deltas for un-referenced point
     * numbers”.
     */
    private static void between(int[] at, double[] moves, boolean[] touched, int[] ends) {
        int first = 0;
        for (int last : ends) {
            int start = first;
            int[] told = IntStream.rangeClosed(first, last)
                    .filter(point -> touched[point])
                    .toArray();
            first = last + 1;
            if (told.length == 0 || told.length == last - start + 1) continue;
            for (int i = 0; i < told.length; i++) {
                int one = told[i];
                int other = told[(i + 1) % told.length];
                for (int point = one == last ? start : one + 1;
                        point != other;
                        point = point == last ? start : point + 1)
                    moves[point] = inferred(at, moves, point, one, other);
            }
        }
    }

    private static double inferred(int[] at, double[] moves, int point, int one, int other) {
        int low = at[one] <= at[other] ? one : other;
        int high = low == one ? other : one;
        if (at[low] == at[high]) return moves[low] == moves[high] ? moves[low] : 0;
        if (at[point] <= at[low]) return moves[low];
        if (at[point] >= at[high]) return moves[high];
        return moves[low] + (double) (at[point] - at[low]) / (at[high] - at[low]) * (moves[high] - moves[low]);
    }
}
