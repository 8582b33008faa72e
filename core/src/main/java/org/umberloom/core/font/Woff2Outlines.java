package org.umberloom.core.font;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;

/** Outlines out of the form that WOFF2 packs them in, as the tables {@code glyf} and {@code loca}. Source: WOFF File Format 2.0, 5.1. */
final class Woff2Outlines {
    private static final int COMPOSITE = -1;
    private static final int WORDS = 1;
    private static final int SCALED = 8;
    private static final int MORE = 0x20;
    private static final int TWO_SCALES = 0x40;
    private static final int FOUR_SCALES = 0x80;
    private static final int INSTRUCTED = 0x100;
    private static final int ON_CURVE = 1;
    private static final int OVERLAPS = 0x40;
    private static final int MOST_POINTS = 65_535;

    /**
     * The tables made.
     *
     * @param lefts the least x of each glyph
     */
    record Made(byte[] glyf, byte[] loca, int[] lefts) {
        /** Widths that leave out what the outlines say already (section 5.4). */
        byte[] metrics(byte[] packed, int proportional) {
            Bytes in = new Bytes(packed, "hmtx");
            int flags = in.u8();
            if (proportional == 0 || proportional > lefts.length) throw in.ended();
            ByteBuffer out = ByteBuffer.allocate(4 * proportional + 2 * (lefts.length - proportional));
            int[] widths = new int[proportional];
            for (int i = 0; i < proportional; i++) widths[i] = in.u16();
            for (int i = 0; i < lefts.length; i++) {
                if (i < proportional) out.putShort((short) widths[i]);
                boolean left = (flags & (i < proportional ? 1 : 2)) != 0;
                out.putShort((short) (left ? lefts[i] : in.i16()));
            }
            return out.array();
        }
    }

    private final int count;
    private final Bytes contours;
    private final Bytes points;
    private final Bytes flags;
    private final Bytes shapes;
    private final Bytes composites;
    private final Bytes boxes;
    private final byte[] boxed;
    private final Bytes instructions;
    private final byte[] overlapping;
    private final ByteArrayOutputStream glyf = new ByteArrayOutputStream();
    private final boolean longOffsets;

    private Woff2Outlines(Bytes in) {
        in.skip(2);
        boolean overlaps = (in.u16() & 1) != 0;
        count = in.u16();
        longOffsets = in.u16() != 0;
        long[] sizes = new long[7];
        for (int i = 0; i < sizes.length; i++) sizes[i] = in.u32();
        contours = in.part(sizes[0]);
        points = in.part(sizes[1]);
        flags = in.part(sizes[2]);
        shapes = in.part(sizes[3]);
        composites = in.part(sizes[4]);
        boxes = in.part(sizes[5]);
        instructions = in.part(sizes[6]);
        boxed = boxes.bytes(4L * ((count + 31) / 32));
        overlapping = overlaps ? in.bytes((count + 7) / 8) : new byte[0];
    }

    static Made of(byte[] packed) {
        return new Woff2Outlines(new Bytes(packed, "glyf")).make();
    }

    private Made make() {
        int[] lefts = new int[count];
        ByteBuffer loca = ByteBuffer.allocate((count + 1) * (longOffsets ? 4 : 2));
        for (int glyph = 0; glyph < count; glyph++) {
            offset(loca);
            int number = contours.i16();
            if (number == COMPOSITE) lefts[glyph] = composite(glyph);
            else if (number > 0) lefts[glyph] = simple(glyph, number);
            else if (number < 0 || bit(boxed, glyph)) throw contours.ended();
            while (glyf.size() % 4 != 0) glyf.write(0);
            if (glyf.size() > FontTables.MOST_BYTES) throw new BadFont("its outlines are larger than any font’s");
        }
        offset(loca);
        return new Made(glyf.toByteArray(), loca.array(), lefts);
    }

    private void offset(ByteBuffer loca) {
        if (longOffsets) loca.putInt(glyf.size());
        else if (glyf.size() > 2 * MOST_POINTS) throw new BadFont("its outlines are larger than it says");
        else loca.putShort((short) (glyf.size() / 2));
    }

    private static boolean bit(byte[] bits, int at) {
        return at / 8 < bits.length && (bits[at / 8] & 0x80 >> at % 8) != 0;
    }

    private int composite(int glyph) {
        ByteArrayOutputStream parts = new ByteArrayOutputStream();
        boolean instructed = false;
        int flag;
        do {
            flag = composites.u16();
            instructed |= (flag & INSTRUCTED) != 0;
            int more = 2 + ((flag & WORDS) != 0 ? 4 : 2);
            if ((flag & SCALED) != 0) more += 2;
            else if ((flag & TWO_SCALES) != 0) more += 4;
            else if ((flag & FOUR_SCALES) != 0) more += 8;
            put16(parts, flag);
            parts.writeBytes(composites.bytes(more));
        } while ((flag & MORE) != 0);
        if (!bit(boxed, glyph)) throw composites.ended();
        byte[] box = boxes.bytes(8);
        put16(glyf, COMPOSITE);
        glyf.writeBytes(box);
        glyf.writeBytes(parts.toByteArray());
        if (instructed) {
            int length = shapes255();
            put16(glyf, length);
            glyf.writeBytes(instructions.bytes(length));
        }
        return (short) ((box[0] & 0xff) << 8 | box[1] & 0xff);
    }

    private int simple(int glyph, int number) {
        int[] ends = new int[number];
        int total = 0;
        for (int i = 0; i < number; i++) {
            total += number255(points);
            if (total > MOST_POINTS || total == 0) throw points.ended();
            ends[i] = total - 1;
        }
        int[] flag = new int[total];
        int[] x = new int[total];
        int[] y = new int[total];
        int atX = 0;
        int atY = 0;
        for (int i = 0; i < total; i++) {
            int said = flags.u8();
            flag[i] = (said & 0x80) == 0 ? ON_CURVE : 0;
            int[] step = step(said & 0x7f);
            x[i] = atX += step[0];
            y[i] = atY += step[1];
        }
        if (bit(overlapping, glyph)) flag[0] |= OVERLAPS;
        int length = shapes255();
        byte[] own = instructions.bytes(length);
        put16(glyf, number);
        byte[] box = bit(boxed, glyph) ? boxes.bytes(8) : box(x, y);
        glyf.writeBytes(box);
        for (int end : ends) put16(glyf, end);
        put16(glyf, length);
        glyf.writeBytes(own);
        new GlyphPoints(flag, x, y).write(glyf);
        return (short) ((box[0] & 0xff) << 8 | box[1] & 0xff);
    }

    private static byte[] box(int[] x, int[] y) {
        ByteBuffer box = ByteBuffer.allocate(8);
        box.putShort((short) java.util.Arrays.stream(x).min().orElse(0))
                .putShort((short) java.util.Arrays.stream(y).min().orElse(0))
                .putShort((short) java.util.Arrays.stream(x).max().orElse(0))
                .putShort((short) java.util.Arrays.stream(y).max().orElse(0));
        return box.array();
    }

    /** How far a point is from the one before, as section 5.2 packs it. */
    private int[] step(int flag) {
        if (flag < 10) return new int[] {0, signed(flag, ((flag & 14) << 7) + shapes.u8())};
        if (flag < 20) return new int[] {signed(flag, ((flag - 10 & 14) << 7) + shapes.u8()), 0};
        if (flag < 84) {
            int base = flag - 20;
            int both = shapes.u8();
            return new int[] {
                signed(flag, 1 + (base & 0x30) + (both >> 4)),
                signed(flag >> 1, 1 + ((base & 0x0c) << 2) + (both & 0x0f))
            };
        }
        if (flag < 120) {
            int base = flag - 84;
            int across = shapes.u8();
            return new int[] {
                signed(flag, 1 + (base / 12 << 8) + across), signed(flag >> 1, 1 + (base % 12 >> 2 << 8) + shapes.u8())
            };
        }
        if (flag < 124) {
            int first = shapes.u8();
            int second = shapes.u8();
            return new int[] {
                signed(flag, (first << 4) + (second >> 4)), signed(flag >> 1, ((second & 0x0f) << 8) + shapes.u8())
            };
        }
        int across = shapes.u16();
        return new int[] {signed(flag, across), signed(flag >> 1, shapes.u16())};
    }

    private static int signed(int flag, int value) {
        return (flag & 1) != 0 ? value : -value;
    }

    private int shapes255() {
        return number255(shapes);
    }

    /** A number of one to three bytes (section 4.2). */
    private static int number255(Bytes in) {
        int first = in.u8();
        return switch (first) {
            case 253 -> in.u16();
            case 254 -> in.u8() + 506;
            case 255 -> in.u8() + 253;
            default -> first;
        };
    }

    private static void put16(ByteArrayOutputStream out, int number) {
        out.write(number >> 8);
        out.write(number);
    }
}
