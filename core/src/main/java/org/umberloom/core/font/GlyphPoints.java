package org.umberloom.core.font;

import java.io.ByteArrayOutputStream;

/**
 * The points of an outline as the table {@code glyf} packs them. Source: OpenType 1.9.1, “glyf”, Simple Glyph Description.
 *
 * @param flags which points lie on the curve, and of the first whether contours overlap
 */
record GlyphPoints(int[] flags, int[] x, int[] y) {
    private static final int SHORT_X = 2;
    private static final int SHORT_Y = 4;
    private static final int REPEATED = 8;
    private static final int SAME_X = 0x10;
    private static final int SAME_Y = 0x20;
    private static final int MOST = 255;

    void write(ByteArrayOutputStream out) {
        int[] packed = new int[flags.length];
        ByteArrayOutputStream across = new ByteArrayOutputStream();
        ByteArrayOutputStream up = new ByteArrayOutputStream();
        for (int i = 0; i < flags.length; i++)
            packed[i] = flags[i]
                    | step(across, x[i] - (i > 0 ? x[i - 1] : 0), SHORT_X, SAME_X)
                    | step(up, y[i] - (i > 0 ? y[i - 1] : 0), SHORT_Y, SAME_Y);
        for (int i = 0; i < packed.length; ) {
            int same = 1;
            while (i + same < packed.length && packed[i + same] == packed[i] && same <= MOST) same++;
            out.write(packed[i] | (same > 1 ? REPEATED : 0));
            if (same > 1) out.write(same - 1);
            i += same;
        }
        out.writeBytes(across.toByteArray());
        out.writeBytes(up.toByteArray());
    }

    private static int step(ByteArrayOutputStream out, int step, int small, int same) {
        if (step == 0) return same;
        if (Math.abs(step) <= MOST) {
            out.write(Math.abs(step));
            return small | (step > 0 ? same : 0);
        }
        out.write(step >> 8);
        out.write(step);
        return 0;
    }
}
