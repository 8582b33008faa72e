package org.umberloom.core.color;

/** HWB of sRGB: hue in degrees, whiteness and blackness 0 to 100. Source: CSS Color 4, section 8, hwbToRgb, rgbToHwb. */
final class Hwb {
    /** From this sum of whiteness and blackness on a hue says nothing. Source: CSS Color 4, section 8. */
    private static final double GRAY = 99.999;

    private Hwb() {}

    static double[] toXyz(double[] hwb) {
        return Srgb.toXyz(toRgb(hwb));
    }

    static double[] toRgb(double[] hwb) {
        double white = hwb[1] / 100;
        double black = hwb[2] / 100;
        if (white + black >= 1) {
            double gray = white / (white + black);
            return new double[] {gray, gray, gray};
        }
        return Matrix.each(Hsl.toRgb(new double[] {hwb[0], 100, 50}), x -> x * (1 - white - black) + white);
    }

    static double[] fromXyz(double[] xyz) {
        return fromRgb(Srgb.fromXyz(xyz));
    }

    static double[] fromRgb(double[] rgb) {
        double white = Math.min(rgb[0], Math.min(rgb[1], rgb[2])) * 100;
        double black = (1 - Math.max(rgb[0], Math.max(rgb[1], rgb[2]))) * 100;
        return new double[] {white + black >= GRAY ? Color.NONE : Hsl.hue(rgb), white, black};
    }
}
