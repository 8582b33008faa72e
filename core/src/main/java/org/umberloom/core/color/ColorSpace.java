package org.umberloom.core.color;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * The color spaces in which a color may be written, each with the identifier that CSS Color 4 and the Design Tokens
 * Color Module share, and its way to and from CIE XYZ relative to D65.
 */
public enum ColorSpace {
    SRGB("srgb", Srgb::toXyz, Srgb::fromXyz),
    LINEAR_SRGB("srgb-linear", LinearSrgb::toXyz, LinearSrgb::fromXyz),
    DISPLAY_P3("display-p3", DisplayP3::toXyz, DisplayP3::fromXyz),
    XYZ_D65("xyz-d65", xyz -> xyz, xyz -> xyz),
    OKLAB("oklab", Oklab::toXyz, Oklab::fromXyz),
    OKLCH("oklch", Oklch::toXyz, Oklch::fromXyz);

    interface Conversion {
        double[] apply(double[] components);
    }

    private final String id;
    private final Conversion toXyz;
    private final Conversion fromXyz;

    ColorSpace(String id, Conversion toXyz, Conversion fromXyz) {
        this.id = id;
        this.toXyz = toXyz;
        this.fromXyz = fromXyz;
    }

    /** The identifier in CSS {@code color()} and in the Color Module, such as {@code display-p3}. */
    public String id() {
        return id;
    }

    /** Three components of this space to XYZ D65, where white has Y = 1. */
    double[] toXyz(double[] components) {
        return toXyz.apply(components);
    }

    /** XYZ D65, where white has Y = 1, to three components of this space; nothing is clipped. */
    double[] fromXyz(double[] xyz) {
        return fromXyz.apply(xyz);
    }

    /** The space with that identifier, if it is one of ours. */
    public static Optional<ColorSpace> byId(String id) {
        return Arrays.stream(values()).filter(space -> space.id.equals(id)).findFirst();
    }

    /** All identifiers, for messages that say what is allowed. */
    public static String ids() {
        return Arrays.stream(values()).map(ColorSpace::id).collect(Collectors.joining(", "));
    }
}
