package org.umberloom.core.color;

/**
 * How a ramp leaves its seed toward both ends.
 *
 * @param hueLight  degrees the hue has turned when depth 0 is reached, −180 to 180
 * @param hueDark   degrees the hue has turned when depth 120 is reached, −180 to 180
 * @param chromaLight share of the seed's chroma that is left at depth 0, 0 to 2
 * @param chromaDark  share of the seed's chroma that is left at depth 120, 0 to 2
 */
public record RampShape(double hueLight, double hueDark, double chromaLight, double chromaDark) {
    /** Common practice: tints lose most of their chroma, deep shades about half, and the hue stays. */
    public static final RampShape DEFAULT = new RampShape(0, 0, 0.25, 0.5);

    /** @throws IllegalArgumentException outside the ranges */
    public RampShape {
        if (!(Math.abs(hueLight) <= 180 && Math.abs(hueDark) <= 180))
            throw new IllegalArgumentException("hue drift must be between -180 and 180 degrees");
        if (!(chromaLight >= 0 && chromaLight <= 2 && chromaDark >= 0 && chromaDark <= 2))
            throw new IllegalArgumentException("the share of chroma at an end must be between 0 and 2");
    }

    /** Hue in degrees at a depth, for a seed of that hue and depth; eases in from the seed. */
    double hueAt(double depth, double seedHue, double seedDepth) {
        double drift = depth < seedDepth ? hueLight : hueDark;
        return seedHue + drift * distance(depth, seedDepth);
    }

    /** Chroma at a depth; it passes through the seed's own chroma and is flat there. */
    double chromaAt(double depth, double seedChroma, double seedDepth) {
        double end = depth < seedDepth ? chromaLight : chromaDark;
        double distance = distance(depth, seedDepth);
        return seedChroma * (1 + (end - 1) * (1 - Math.cos(distance * Math.PI / 2)));
    }

    /** 0 at the seed, 1 at the end on that side. */
    private static double distance(double depth, double seedDepth) {
        double whole = depth < seedDepth ? seedDepth : Depth.BLACK - seedDepth;
        return whole <= 0 ? 0 : Math.abs(depth - seedDepth) / whole;
    }
}
