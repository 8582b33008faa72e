package org.umberloom.core.color;

import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * The colors of a ground with the share of its area that each covers: of a picture its pixels, gathered into 32 steps of
 * each channel and 4 of alpha, each kind at the mean of its pixels. However large the picture, there are at most 131,072.
 */
public final class Tones {
    private static final int STEPS = 5;
    private static final int ALPHA_STEPS = 2;
    private static final int BYTES = 8;

    /** Red, green, blue and alpha, 0 to 255 each, one after the other. */
    private final int[] rgba;

    private final double[] shares;

    private Tones(int[] rgba, double[] shares) {
        this.rgba = rgba;
        this.shares = shares;
    }

    /** @param argb pixels as 0xAARRGGBB, at least one */
    public static Tones ofPixels(int[] argb) {
        if (argb.length == 0) throw new IllegalArgumentException("A picture without pixels has no tones.");
        int kinds = 1 << (3 * STEPS + ALPHA_STEPS);
        long[][] sums = new long[4][kinds];
        int[] count = new int[kinds];
        int shift = 8 - STEPS;
        for (int pixel : argb) {
            int a = pixel >>> 24;
            int r = pixel >> 16 & 0xff;
            int g = pixel >> 8 & 0xff;
            int b = pixel & 0xff;
            int kind = ((a >> (8 - ALPHA_STEPS)) << (3 * STEPS))
                    | (r >> shift) << (2 * STEPS)
                    | (g >> shift) << STEPS
                    | b >> shift;
            sums[0][kind] += r;
            sums[1][kind] += g;
            sums[2][kind] += b;
            sums[3][kind] += a;
            count[kind]++;
        }
        int found = (int) Arrays.stream(count).filter(c -> c > 0).count();
        int[] rgba = new int[found * 4];
        double[] shares = new double[found];
        for (int kind = 0, at = 0; kind < kinds; kind++) {
            if (count[kind] == 0) continue;
            for (int c = 0; c < 4; c++) rgba[at * 4 + c] = (int) Math.round((double) sums[c][kind] / count[kind]);
            shares[at++] = (double) count[kind] / argb.length;
        }
        return new Tones(rgba, shares);
    }

    /** Colors that cover equal shares, each a tone of its own. */
    public static Tones of(Color... colors) {
        Map<Integer, Integer> counts = new LinkedHashMap<>();
        for (Color color : colors) counts.merge(color.argb(), 1, Integer::sum);
        int[] rgba = new int[counts.size() * 4];
        double[] shares = new double[counts.size()];
        int at = 0;
        for (Map.Entry<Integer, Integer> tone : counts.entrySet()) {
            int argb = tone.getKey();
            rgba[at * 4] = argb >> 16 & 0xff;
            rgba[at * 4 + 1] = argb >> 8 & 0xff;
            rgba[at * 4 + 2] = argb & 0xff;
            rgba[at * 4 + 3] = argb >>> 24;
            shares[at++] = (double) tone.getValue() / colors.length;
        }
        return new Tones(rgba, shares);
    }

    int size() {
        return shares.length;
    }

    double share(int tone) {
        return shares[tone];
    }

    /** What a screen shows of a tone that is blended with an opaque color below it: 8-bit levels of one channel. */
    int over(int tone, int channel, int below, Blend blend) {
        double alpha = rgba[tone * 4 + 3] / 255.0;
        double under = below / 255.0;
        double mixed = blend.channel(under, rgba[tone * 4 + channel] / 255.0);
        return (int) Math.round((under * (1 - alpha) + mixed * alpha) * 255);
    }

    /** A compact form to be kept. */
    public byte[] toBytes() {
        ByteBuffer bytes = ByteBuffer.allocate(shares.length * BYTES);
        for (int i = 0; i < shares.length; i++) {
            for (int c = 0; c < 4; c++) bytes.put((byte) rgba[i * 4 + c]);
            bytes.putFloat((float) shares[i]);
        }
        return bytes.array();
    }

    /** @throws IllegalArgumentException when the bytes are not what {@link #toBytes} gave */
    public static Tones fromBytes(byte[] kept) {
        if (kept.length == 0 || kept.length % BYTES != 0)
            throw new IllegalArgumentException("these bytes hold no tones");
        ByteBuffer bytes = ByteBuffer.wrap(kept);
        int[] rgba = new int[kept.length / BYTES * 4];
        double[] shares = new double[kept.length / BYTES];
        for (int i = 0; i < shares.length; i++) {
            for (int c = 0; c < 4; c++) rgba[i * 4 + c] = bytes.get() & 0xff;
            shares[i] = bytes.getFloat();
        }
        return new Tones(rgba, shares);
    }
}
