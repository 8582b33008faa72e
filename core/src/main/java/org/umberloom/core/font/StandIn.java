package org.umberloom.core.font;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * A font that most devices have, made to take the room of another while that one loads, so that nothing jumps when it comes.
 * Source: CSS Fonts 5, size-adjust, ascent-override, descent-override, line-gap-override.
 *
 * @param local   names to look for on the device
 * @param weights it stands in for, as CSS {@code font-weight} in a face
 * @param size    percent of its own size
 * @param ascent  percent of the size then
 * @param descent percent of the size then
 * @param gap     percent of the size then
 */
public record StandIn(List<String> local, String weights, double size, double ascent, double descent, double gap) {
    /**
     * A font of the device.
     *
     * @param mean advance of a character of {@link FontFile#RUNNING} in it, in em
     */
    private record Local(List<String> names, double mean) {}

    /** As they are, and bold. */
    private record Pair(Local regular, Local bold) {}

    /** Measured in Liberation 2.1.5, made to be as wide as what it replaces; {@code StandInTest} measures it again. */
    private static final Map<String, Pair> LOCAL = Map.of(
            "sans-serif",
            new Pair(
                    new Local(List.of("Arial", "Liberation Sans"), 0.4482),
                    new Local(List.of("Arial Bold", "Liberation Sans Bold"), 0.4841)),
            "serif",
            new Pair(
                    new Local(List.of("Times New Roman", "Liberation Serif"), 0.4052),
                    new Local(List.of("Times New Roman Bold", "Liberation Serif Bold"), 0.4331)),
            "monospace",
            new Pair(
                    new Local(List.of("Courier New", "Liberation Mono"), 0.6001),
                    new Local(List.of("Courier New Bold", "Liberation Mono Bold"), 0.6001)));

    private static final int REGULAR = 400;
    private static final int BOLD = 700;
    private static final int BOLD_FROM = 600;

    public StandIn {
        local = List.copyOf(local);
    }

    /**
     * For the weights of a font; none for one that lacks the letters by which their widths are compared.
     *
     * @param generic the kind of font that stands in: {@code sans-serif}, {@code serif} or {@code monospace}; for another, the first
     */
    public static List<StandIn> of(FontFile font, String generic) {
        long lacking = FontFile.RUNNING
                .chars()
                .filter(Character::isLetter)
                .filter(letter -> !font.has(letter))
                .count();
        if (lacking > 0) return List.of();
        Pair pair = LOCAL.getOrDefault(generic, LOCAL.get("sans-serif"));
        List<StandIn> all = new ArrayList<>();
        if (font.lightest() < BOLD_FROM) all.add(of(font, pair.regular, REGULAR, "1 " + (BOLD_FROM - 1)));
        if (font.heaviest() >= BOLD_FROM) all.add(of(font, pair.bold, BOLD, BOLD_FROM + " 1000"));
        return all;
    }

    private static StandIn of(FontFile font, Local local, int weight, String weights) {
        double scale = font.advances(weight).mean(FontFile.RUNNING) / local.mean;
        FontFile.Metrics metrics = font.metrics();
        return new StandIn(
                local.names,
                weights,
                percent(scale),
                percent(metrics.ascent() / scale),
                percent(metrics.descent() / scale),
                percent(metrics.gap() / scale));
    }

    private static double percent(double part) {
        return Math.round(part * 10_000) / 100.0;
    }
}
