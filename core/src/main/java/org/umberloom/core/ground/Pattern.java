package org.umberloom.core.ground;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/** A drawn pattern: layers of a stylesheet, drawn in one color over the ground and nothing else. */
public enum Pattern {
    TWILL(
            "twill",
            "Twill, slanted threads",
            new Layer("repeating-linear-gradient(45deg, INK 0 1px, transparent 1px 9px)", "auto")),
    GRID(
            "grid",
            "Loose weave",
            new Layer("linear-gradient(INK 1px, transparent 1px)", "24px 24px"),
            new Layer("linear-gradient(90deg, INK 1px, transparent 1px)", "24px 24px")),
    DOTS("dots", "Knots", new Layer("radial-gradient(circle, INK 2px, transparent 2.5px)", "20px 20px")),
    WAVES(
            "waves",
            "Swell",
            new Layer(
                    "radial-gradient(circle at 50% 140%, transparent 17px, INK 18px 19px, transparent 20px)",
                    "28px 14px")),
    RINGS(
            "rings",
            "Rings in water",
            new Layer("repeating-radial-gradient(circle at 30% 120%, INK 0 1px, transparent 1px 22px)", "auto")),
    PENNANTS(
            "pennants",
            "Pennants",
            new Layer("conic-gradient(from 150deg at 50% 0, INK 60deg, transparent 0)", "28px 24px"));

    private static final String INK = "INK";

    /** An image with its size, as CSS. */
    public record Layer(String image, String size) {
        /** The image in a color, written as CSS. */
        public String in(String color) {
            return image.replace(INK, color);
        }
    }

    private final String id;
    private final String words;
    private final List<Layer> layers;

    Pattern(String id, String words, Layer... layers) {
        this.id = id;
        this.words = words;
        this.layers = List.of(layers);
    }

    public String id() {
        return id;
    }

    public String words() {
        return words;
    }

    /** The topmost first. */
    public List<Layer> layers() {
        return layers;
    }

    /** @throws IllegalArgumentException that names what there is */
    public static Pattern byId(String id) {
        return Arrays.stream(values())
                .filter(pattern -> pattern.id.equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("“" + id + "” is not a pattern: it is one of "
                        + Arrays.stream(values()).map(Pattern::id).collect(Collectors.joining(", ")) + "."));
    }
}
