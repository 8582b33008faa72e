package org.umberloom.core.font;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A variable font at one place of its axes, as a font that does not vary: outlines and widths as they are there, without hints. Source:
 * OpenType 1.9.1, glyf, loca, hmtx, gvar.
 */
final class Instance {
    /** What says how a font varies, and hints, which are for the outlines as usual. */
    private static final Set<String> LEFT_OUT = Set.of(
            "fvar", "avar", "gvar", "HVAR", "VVAR", "MVAR", "STAT", "cvar", "cvt ", "fpgm", "prep", "gasp", "DSIG");

    private static final int LONG_OFFSETS_AT = 50;
    private static final int WIDTHS_AT = 34;
    private static final int PHANTOMS = 4;
    private static final int BOX = 10;

    private static final int ON_CURVE = 1;
    private static final int OVERLAPS = 0x40;
    private static final int SHORT_X = 2;
    private static final int SHORT_Y = 4;
    private static final int REPEATED = 8;
    private static final int SAME_X = 0x10;
    private static final int SAME_Y = 0x20;

    private static final int WORDS = 1;
    private static final int PLACED = 2;
    private static final int SCALED = 8;
    private static final int MORE = 0x20;
    private static final int TWO_SCALES = 0x40;
    private static final int FOUR_SCALES = 0x80;
    private static final int INSTRUCTED = 0x100;

    private final FontTables font;
    private final GlyphVariations variations;
    private final double[] where;
    private final int[] widths;
    private final int[] lefts;
    private final ByteArrayOutputStream glyf = new ByteArrayOutputStream();

    private Instance(FontTables font, double[] where, int[] widths) {
        this.font = font;
        this.where = where;
        this.widths = widths.clone();
        variations = GlyphVariations.of(font, where.length);
        lefts = new int[widths.length];
    }

    /**
     * @param where  along each axis, from −1 to 1
     * @param widths of all glyphs as usual, in units of the font
     */
    static FontTables of(FontTables font, double[] where, int[] widths) {
        if (font.table("gvar").isEmpty() || font.table("glyf").isEmpty()) return font;
        return new Instance(font, where, widths).make();
    }

    private FontTables make() {
        byte[] outlines = font.table("glyf").orElseThrow();
        ByteBuffer head = ByteBuffer.wrap(font.table("head").orElseThrow().clone());
        boolean wide = head.getShort(LONG_OFFSETS_AT) != 0;
        Bytes offsets = font.reading("loca");
        ByteBuffer loca = ByteBuffer.allocate(4 * (widths.length + 1));
        long from = wide ? offsets.u32() : 2L * offsets.u16();
        for (int glyph = 0; glyph < widths.length; glyph++) {
            loca.putInt(glyf.size());
            long to = wide ? offsets.u32() : 2L * offsets.u16();
            outline(glyph, new Bytes(outlines, "glyf").seek(from).part(to - from));
            while (glyf.size() % 4 != 0) glyf.write(0);
            from = to;
        }
        loca.putInt(glyf.size());
        head.putShort(LONG_OFFSETS_AT, (short) 1);
        ByteBuffer metrics = ByteBuffer.allocate(4 * widths.length);
        for (int glyph = 0; glyph < widths.length; glyph++)
            metrics.putShort((short) widths[glyph]).putShort((short) lefts[glyph]);
        ByteBuffer horizontal = ByteBuffer.wrap(font.table("hhea").orElseThrow().clone());
        horizontal.putShort(WIDTHS_AT, (short) widths.length);
        SortedMap<String, byte[]> tables = new TreeMap<>(font.tables());
        tables.keySet().removeAll(LEFT_OUT);
        tables.putAll(Map.of(
                "glyf", glyf.toByteArray(),
                "loca", loca.array(),
                "head", head.array(),
                "hhea", horizontal.array(),
                "hmtx", metrics.array()));
        return new FontTables(font.flavor(), tables);
    }

    private void outline(int glyph, Bytes in) {
        if (in.left() == 0) {
            int[] phantoms = {0, widths[glyph], 0, 0};
            widen(glyph, variations.moves(glyph, where, phantoms, new int[PHANTOMS], new int[0]), 0);
            return;
        }
        int contours = in.i16();
        byte[] box = in.bytes(BOX - 2);
        if (contours >= 0) simple(glyph, contours, in);
        else composite(glyph, box, in);
    }

    private void widen(int glyph, double[][] moves, int points) {
        widths[glyph] = (int) Math.max(0, Math.round(widths[glyph] + moves[0][points + 1] - moves[0][points]));
    }

    private void simple(int glyph, int contours, Bytes in) {
        int[] ends = new int[contours];
        for (int i = 0; i < contours; i++) ends[i] = in.u16();
        int points = contours == 0 ? 0 : ends[contours - 1] + 1;
        in.skip(in.u16());
        int[] flags = flags(in, points);
        int[] x = Arrays.copyOf(steps(in, flags, SHORT_X, SAME_X), points + PHANTOMS);
        int[] y = Arrays.copyOf(steps(in, flags, SHORT_Y, SAME_Y), points + PHANTOMS);
        x[points + 1] = widths[glyph];
        double[][] moves = variations.moves(glyph, where, x, y, ends);
        widen(glyph, moves, points);
        for (int i = 0; i < points; i++) {
            x[i] = (int) Math.round(x[i] + moves[0][i]);
            y[i] = (int) Math.round(y[i] + moves[1][i]);
            flags[i] &= ON_CURVE | OVERLAPS;
        }
        x = Arrays.copyOf(x, points);
        y = Arrays.copyOf(y, points);
        lefts[glyph] = Arrays.stream(x).min().orElse(0) - (int) Math.round(moves[0][points]);
        put(contours);
        put(Arrays.stream(x).min().orElse(0));
        put(Arrays.stream(y).min().orElse(0));
        put(Arrays.stream(x).max().orElse(0));
        put(Arrays.stream(y).max().orElse(0));
        for (int end : ends) put(end);
        put(0);
        new GlyphPoints(flags, x, y).write(glyf);
    }

    private static int[] flags(Bytes in, int points) {
        int[] flags = new int[points];
        for (int i = 0; i < points; ) {
            int flag = in.u8();
            for (int n = (flag & REPEATED) != 0 ? in.u8() + 1 : 1; n > 0 && i < points; n--) flags[i++] = flag;
        }
        return flags;
    }

    private static int[] steps(Bytes in, int[] flags, int small, int same) {
        int[] at = new int[flags.length];
        int now = 0;
        for (int i = 0; i < at.length; i++) {
            boolean said = (flags[i] & same) != 0;
            if ((flags[i] & small) != 0) now += said ? in.u8() : -in.u8();
            else if (!said) now += in.i16();
            at[i] = now;
        }
        return at;
    }

    /** A glyph made of others: each is a point that moves, where it is placed by one. */
    private void composite(int glyph, byte[] box, Bytes in) {
        int start = in.at();
        int parts = 0;
        int flag;
        do {
            flag = in.u16();
            in.skip(2 + arguments(flag) + scales(flag));
            parts++;
        } while ((flag & MORE) != 0);
        int[] points = new int[parts + PHANTOMS];
        points[parts + 1] = widths[glyph];
        double[][] moves = variations.moves(glyph, where, points, new int[points.length], new int[0]);
        widen(glyph, moves, parts);
        put(-1);
        glyf.writeBytes(box);
        in.seek(start);
        for (int i = 0; i < parts; i++) {
            flag = in.u16();
            int part = in.u16();
            boolean words = (flag & WORDS) != 0;
            boolean placed = (flag & PLACED) != 0;
            int right = placed ? words ? in.i16() : in.i8() : words ? in.u16() : in.u8();
            int up = placed ? words ? in.i16() : in.i8() : words ? in.u16() : in.u8();
            put((flag | WORDS) & ~INSTRUCTED);
            put(part);
            put((int) Math.round(right + (placed ? moves[0][i] : 0)));
            put((int) Math.round(up + (placed ? moves[1][i] : 0)));
            glyf.writeBytes(in.bytes(scales(flag)));
        }
        lefts[glyph] = (short) ((box[0] & 0xff) << 8 | box[1] & 0xff) - (int) Math.round(moves[0][parts]);
    }

    private static int arguments(int flag) {
        return (flag & WORDS) != 0 ? 4 : 2;
    }

    private static int scales(int flag) {
        return (flag & SCALED) != 0 ? 2 : (flag & TWO_SCALES) != 0 ? 4 : (flag & FOUR_SCALES) != 0 ? 8 : 0;
    }

    private void put(int number) {
        glyf.write(number >> 8);
        glyf.write(number);
    }
}
