package org.umberloom.core.color;

/**
 * The color difference ΔE00. Source: G. Sharma, W. Wu, E. Dalal, "The CIEDE2000 color-difference formula: implementation
 * notes, supplementary test data, and mathematical observations", 2005.
 */
public final class Ciede2000 {
    private static final double POW_25_7 = Math.pow(25, 7);

    private Ciede2000() {}

    /** 0 for equal colors; about 1 is just noticeable, under 2 is hard to tell apart. Alpha is ignored. */
    public static double between(Color one, Color other) {
        return between(one.inSpace(ColorSpace.LAB), other.inSpace(ColorSpace.LAB));
    }

    /** The same for two triples of CIE L*, a*, b*. */
    static double between(double[] one, double[] other) {
        double meanChroma = (Math.hypot(one[1], one[2]) + Math.hypot(other[1], other[2])) / 2;
        double g = 0.5 * (1 - Math.sqrt(Math.pow(meanChroma, 7) / (Math.pow(meanChroma, 7) + POW_25_7)));
        double a1 = one[1] * (1 + g);
        double a2 = other[1] * (1 + g);
        double c1 = Math.hypot(a1, one[2]);
        double c2 = Math.hypot(a2, other[2]);
        double h1 = hue(one[2], a1);
        double h2 = hue(other[2], a2);

        double dl = other[0] - one[0];
        double dc = c2 - c1;
        double dh = c1 * c2 == 0 ? 0 : h2 - h1 > 180 ? h2 - h1 - 360 : h2 - h1 < -180 ? h2 - h1 + 360 : h2 - h1;
        double dH = 2 * Math.sqrt(c1 * c2) * Math.sin(Math.toRadians(dh / 2));

        double meanL = (one[0] + other[0]) / 2;
        double meanC = (c1 + c2) / 2;
        double meanH = c1 * c2 == 0
                ? h1 + h2
                : Math.abs(h1 - h2) <= 180 ? (h1 + h2) / 2 : h1 + h2 < 360 ? (h1 + h2 + 360) / 2 : (h1 + h2 - 360) / 2;
        double t = 1
                - 0.17 * cos(meanH - 30)
                + 0.24 * cos(2 * meanH)
                + 0.32 * cos(3 * meanH + 6)
                - 0.20 * cos(4 * meanH - 63);
        double turn = 30 * Math.exp(-Math.pow((meanH - 275) / 25, 2));
        double rc = 2 * Math.sqrt(Math.pow(meanC, 7) / (Math.pow(meanC, 7) + POW_25_7));
        double sl = 1 + 0.015 * Math.pow(meanL - 50, 2) / Math.sqrt(20 + Math.pow(meanL - 50, 2));
        double sc = 1 + 0.045 * meanC;
        double sh = 1 + 0.015 * meanC * t;
        double rt = -Math.sin(Math.toRadians(2 * turn)) * rc;
        double l = dl / sl;
        double c = dc / sc;
        double h = dH / sh;
        return Math.sqrt(Math.max(0, l * l + c * c + h * h + rt * c * h));
    }

    private static double hue(double b, double a) {
        if (a == 0 && b == 0) return 0;
        double degrees = Math.toDegrees(Math.atan2(b, a));
        return degrees < 0 ? degrees + 360 : degrees;
    }

    private static double cos(double degrees) {
        return Math.cos(Math.toRadians(degrees));
    }
}
