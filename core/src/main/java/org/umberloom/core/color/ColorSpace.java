package org.umberloom.core.color;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The color spaces in which a color may be written, each with the identifier that CSS Color 4 and the Design Tokens
 * Color Module share, and its way to and from CIE XYZ relative to D65.
 */
public enum ColorSpace {
    SRGB("srgb", Srgb::toXyz, Srgb::fromXyz),
    LINEAR_SRGB("srgb-linear", LinearSrgb::toXyz, LinearSrgb::fromXyz),
    HSL("hsl", Hsl::toXyz, Hsl::fromXyz),
    HWB("hwb", Hwb::toXyz, Hwb::fromXyz),
    LAB("lab", Lab::toXyz, Lab::fromXyz),
    LCH("lch", Lch::toXyz, Lch::fromXyz),
    DISPLAY_P3("display-p3", DisplayP3::toXyz, DisplayP3::fromXyz),
    A98_RGB("a98-rgb", A98Rgb::toXyz, A98Rgb::fromXyz),
    PROPHOTO_RGB("prophoto-rgb", ProPhotoRgb::toXyz, ProPhotoRgb::fromXyz),
    REC2020("rec2020", Rec2020::toXyz, Rec2020::fromXyz),
    XYZ_D65("xyz-d65", xyz -> xyz, xyz -> xyz),
    XYZ_D50("xyz-d50", XyzD50::toXyz, XyzD50::fromXyz),
    OKLAB("oklab", Oklab::toXyz, Oklab::fromXyz),
    OKLCH("oklch", Oklch::toXyz, Oklch::fromXyz);

    /** Spaces that CSS writes with a function of their own, such as {@code hsl()}, and not with {@code color()}. */
    private static final Set<ColorSpace> OWN_FUNCTION = EnumSet.of(HSL, HWB, LAB, LCH, OKLAB, OKLCH);

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

    /** Whether CSS writes it as a function of its own name. Source: CSS Color 4, section 4.1. */
    public boolean hasOwnFunction() {
        return OWN_FUNCTION.contains(this);
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
