package org.umberloom.core.color;

/** HSL of sRGB: hue in degrees, saturation and lightness 0 to 100. Source: CSS Color 4, section 7, hslToRgb, rgbToHsl. */
final class Hsl {
    /** Below this saturation a hue says nothing. Source: CSS Color 4, section 4.4, epsilon for HSL. */
    private static final double POWERLESS = 0.001;

    private Hsl() {}

    static double[] toXyz(double[] hsl) {
        return Srgb.toXyz(toRgb(hsl));
    }

    static double[] fromXyz(double[] xyz) {
        return fromRgb(Srgb.fromXyz(xyz));
    }

    static double[] fromRgb(double[] rgb) {
        double max = Math.max(rgb[0], Math.max(rgb[1], rgb[2]));
        double min = Math.min(rgb[0], Math.min(rgb[1], rgb[2]));
        double light = (min + max) / 2;
        double span = max - min;
        double saturation = span == 0 || light == 0 || light == 1 ? 0 : (max - light) / Math.min(light, 1 - light);
        double hue = hue(rgb);
        if (saturation < 0) {
            hue = (hue + 180) % 360;
            saturation = -saturation;
        }
        return new double[] {saturation * 100 < POWERLESS ? Color.NONE : hue, saturation * 100, light * 100};
    }

    static double[] toRgb(double[] hsl) {
        double hue = ((hsl[0] % 360) + 360) % 360;
        double saturation = hsl[1] / 100;
        double light = hsl[2] / 100;
        double reach = saturation * Math.min(light, 1 - light);
        double[] rgb = new double[3];
        int[] offsets = {0, 8, 4};
        for (int i = 0; i < 3; i++) {
            double k = (offsets[i] + hue / 30) % 12;
            rgb[i] = light - reach * Math.max(-1, Math.min(Math.min(k - 3, 9 - k), 1));
        }
        return rgb;
    }

    /** The hue of three sRGB components in degrees; 0 for a gray. */
    static double hue(double[] rgb) {
        double max = Math.max(rgb[0], Math.max(rgb[1], rgb[2]));
        double span = max - Math.min(rgb[0], Math.min(rgb[1], rgb[2]));
        if (span == 0) return 0;
        double sixth = max == rgb[0]
                ? (rgb[1] - rgb[2]) / span + (rgb[1] < rgb[2] ? 6 : 0)
                : max == rgb[1] ? (rgb[2] - rgb[0]) / span + 2 : (rgb[0] - rgb[1]) / span + 4;
        return sixth * 60 % 360;
    }
}
