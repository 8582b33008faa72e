package org.umberloom.core.color;

/** Gamma-encoded sRGB, each component 0 to 1 inside the gamut. Source: CSS Color 4, section 18, lin_sRGB and gam_sRGB. */
final class Srgb {
    private Srgb() {}

    static double[] toXyz(double[] encoded) {
        return LinearSrgb.toXyz(decode(encoded));
    }

    static double[] fromXyz(double[] xyz) {
        return encode(LinearSrgb.fromXyz(xyz));
    }

    static double[] decode(double[] encoded) {
        return new double[] {decode(encoded[0]), decode(encoded[1]), decode(encoded[2])};
    }

    static double[] encode(double[] linear) {
        return new double[] {encode(linear[0]), encode(linear[1]), encode(linear[2])};
    }

    /** The transfer function, mirrored for negative values so that colors outside the gamut survive. */
    static double decode(double encoded) {
        double size = Math.abs(encoded);
        return size <= 0.04045 ? encoded / 12.92 : Math.signum(encoded) * Math.pow((size + 0.055) / 1.055, 2.4);
    }

    static double encode(double linear) {
        double size = Math.abs(linear);
        return size > 0.0031308 ? Math.signum(linear) * (1.055 * Math.pow(size, 1 / 2.4) - 0.055) : 12.92 * linear;
    }
}
