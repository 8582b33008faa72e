package org.umberloom.core.color;

import java.util.List;

/**
 * The veil between a picture and the text on it: how much of a color must lie over a ground so that text is readable on
 * nearly all of it. Without enough of it a page fails by F83 of the W3C (WCAG 2.2, 1.4.3).
 *
 * <p>A pixel counts as readable only on the veil's own side of the text, lighter or darker, so that more veil never makes
 * less of the ground readable, and the smallest veil is found by bisection. Composited as a browser does: gamma-encoded
 * sRGB, in 8 bits. Browsers dither a veil, so a pixel may come out up to one level off; the worse one counts.
 */
public final class Scrim {
    /** Share of the ground's area on which text must be readable. */
    public static final double ENOUGH = 0.99;

    private static final int STEPS = 1000;
    private static final double[] LUMINANCE = luminances();

    private final int[][] ground;
    private final double[] shares;
    private final int[] veil;
    private final double darkest;
    private final double lightest;

    /** Text of a color and the ratio it must reach. */
    public record Text(Color color, double needed) {}

    /**
     * @param tones of the picture, which is blended with the veil's color below it
     * @param veil  an opaque color, on which every text reaches its ratio; others do not count
     */
    public Scrim(Tones tones, Blend blend, Color veil, List<Text> texts) {
        Color rgb = veil.withAlpha(1).toSrgb8();
        int levels = rgb.argb();
        this.veil = new int[] {levels >> 16 & 0xff, levels >> 8 & 0xff, levels & 0xff};
        ground = new int[tones.size()][3];
        shares = new double[tones.size()];
        for (int i = 0; i < shares.length; i++) {
            shares[i] = tones.share(i);
            for (int c = 0; c < 3; c++) ground[i][c] = tones.over(i, c, this.veil[c], blend);
        }
        double least = 0;
        double most = 1;
        double own = Contrast.luminance(rgb);
        for (Text text : texts) {
            if (Contrast.ratio(text.color, rgb) < text.needed) continue;
            double y = Contrast.luminance(Contrast.over(text.color, rgb));
            if (y > own) most = Math.min(most, (y + 0.05) / text.needed - 0.05);
            else least = Math.max(least, (y + 0.05) * text.needed - 0.05);
        }
        darkest = least;
        lightest = most;
    }

    /** Share of the area, 0 to 1, on which every text reaches its ratio under so much veil (0 to 1). */
    public double readable(double alpha) {
        double share = 0;
        for (int i = 0; i < shares.length; i++)
            if ((lightest >= 1 || luminance(i, alpha, 1) <= lightest)
                    && (darkest <= 0 || luminance(i, alpha, -1) >= darkest)) share += shares[i];
        return share;
    }

    /** Of a tone under the veil, each channel as far to the given side as dithering can take it. */
    private double luminance(int tone, double alpha, int side) {
        double y = 0;
        for (int c = 0; c < 3; c++) {
            double exact = ground[tone][c] * (1 - alpha) + veil[c] * alpha;
            int level = side > 0 ? (int) exact + 1 : (int) Math.ceil(exact) - 1;
            y += LUMINANCE[c * 256 + Math.max(0, Math.min(255, level))];
        }
        return y;
    }

    /** The smallest alpha, to a thousandth, under which the text is readable on {@link #ENOUGH} of the area. */
    public double alpha() {
        if (readable(0) >= ENOUGH) return 0;
        int low = 0;
        int high = STEPS;
        while (high - low > 1) {
            int middle = (low + high) / 2;
            if (readable((double) middle / STEPS) >= ENOUGH) high = middle;
            else low = middle;
        }
        return (double) high / STEPS;
    }

    /** What each level of each channel adds to the luminance. */
    private static double[] luminances() {
        double[] table = new double[3 * 256];
        for (int c = 0; c < 3; c++)
            for (int level = 0; level < 256; level++) {
                double[] linear = new double[3];
                linear[c] = Srgb.decode(level / 255.0);
                table[c * 256 + level] = Contrast.luminanceOfLinear(linear);
            }
        return table;
    }
}
