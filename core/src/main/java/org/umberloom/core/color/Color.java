package org.umberloom.core.color;

import java.util.EnumSet;
import java.util.Set;

/**
 * A color as it was written: three components in a color space, and alpha from 0 to 1.
 *
 * <p>A component may be {@link #NONE}, CSS's missing component, which counts as 0 in conversions (CSS Color 4,
 * section 4.4). Components may lie outside the space's gamut; only {@link GamutMapping} brings them in.
 */
public record Color(ColorSpace space, double c1, double c2, double c3, double alpha) {
    /** The missing component, written {@code none}. */
    public static final double NONE = Double.NaN;
    /** The forms of sRGB. */
    private static final Set<ColorSpace> OF_SRGB = EnumSet.of(ColorSpace.SRGB, ColorSpace.HSL, ColorSpace.HWB);

    /** @throws IllegalArgumentException for an infinite component, negative chroma, or alpha outside 0 to 1 */
    public Color {
        if (Double.isInfinite(c1) || Double.isInfinite(c2) || Double.isInfinite(c3))
            throw new IllegalArgumentException("a color's components must be finite numbers or none");
        if (!(alpha >= 0 && alpha <= 1))
            throw new IllegalArgumentException("alpha must be between 0 and 1, was " + alpha);
        if ((space == ColorSpace.OKLCH || space == ColorSpace.LCH) && c2 < 0)
            throw new IllegalArgumentException("chroma must not be negative, was " + c2);
    }

    /** An opaque color. */
    public static Color of(ColorSpace space, double c1, double c2, double c3) {
        return new Color(space, c1, c2, c3, 1);
    }

    /** OKLCH with lightness 0 to 1, chroma from 0 and hue in degrees. */
    public static Color oklch(double lightness, double chroma, double hue) {
        return of(ColorSpace.OKLCH, lightness, chroma, hue);
    }

    /** sRGB from whole numbers 0 to 255. */
    public static Color rgb(int red, int green, int blue) {
        return of(ColorSpace.SRGB, red / 255.0, green / 255.0, blue / 255.0);
    }

    /** The same color in another space; a hue without chroma becomes {@link #NONE}. Nothing is clipped. */
    public Color to(ColorSpace target) {
        if (target == space) return this;
        double[] to = inSpace(target);
        return new Color(target, to[0], to[1], to[2], alpha);
    }

    /** The components in another space, with none counted as 0. */
    double[] inSpace(ColorSpace target) {
        double[] own = {number(c1), number(c2), number(c3)};
        if (target == space) return own;
        return OF_SRGB.contains(space) && OF_SRGB.contains(target)
                ? withinSrgb(own, target)
                : target.fromXyz(space.toXyz(own));
    }

    /** Between forms of sRGB nothing is rounded on a way through XYZ: a gray stays gray to the last bit. */
    private double[] withinSrgb(double[] own, ColorSpace target) {
        double[] rgb = space == ColorSpace.HSL ? Hsl.toRgb(own) : space == ColorSpace.HWB ? Hwb.toRgb(own) : own;
        return target == ColorSpace.HSL ? Hsl.fromRgb(rgb) : target == ColorSpace.HWB ? Hwb.fromRgb(rgb) : rgb;
    }

    /** The same components with another alpha, 0 to 1. */
    public Color withAlpha(double newAlpha) {
        return new Color(space, c1, c2, c3, newAlpha);
    }

    /** Whether every sRGB component lies in 0 to 1, with a tolerance far below one 8-bit level. */
    public boolean inSrgbGamut() {
        return Gamut.SRGB.holds(this);
    }

    /** Brought into sRGB by {@link GamutMapping} and rounded to the 256 levels a stylesheet's hex form can hold. */
    public Color toSrgb8() {
        double[] rgb = GamutMapping.toSrgb(this);
        return new Color(ColorSpace.SRGB, level(rgb[0]), level(rgb[1]), level(rgb[2]), alpha);
    }

    /** {@code #rrggbb}, or {@code #rrggbbaa} when it is translucent; mapped into sRGB first. */
    public String hex() {
        Color rgb = toSrgb8();
        StringBuilder hex = new StringBuilder("#");
        appendByte(hex, byteOf(rgb.c1));
        appendByte(hex, byteOf(rgb.c2));
        appendByte(hex, byteOf(rgb.c3));
        if (alpha != 1) appendByte(hex, byteOf(alpha));
        return hex.toString();
    }

    /** {@code 0xAARRGGBB}; mapped into sRGB first. */
    public int argb() {
        Color rgb = toSrgb8();
        return byteOf(alpha) << 24 | byteOf(rgb.c1) << 16 | byteOf(rgb.c2) << 8 | byteOf(rgb.c3);
    }

    private static void appendByte(StringBuilder hex, int value) {
        hex.append(Character.forDigit(value >> 4, 16)).append(Character.forDigit(value & 15, 16));
    }

    private static double number(double component) {
        return Double.isNaN(component) ? 0 : component;
    }

    private static double level(double component) {
        return byteOf(component) / 255.0;
    }

    private static int byteOf(double component) {
        return (int) Math.round(Math.max(0, Math.min(1, component)) * 255);
    }
}
