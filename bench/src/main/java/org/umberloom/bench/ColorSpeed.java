package org.umberloom.bench;

import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.BiFunction;
import org.umberloom.core.color.Ciede2000;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorSpace;

/** Color computations per second: the core, and two libraries in Node, one after the other on the same colors. */
final class ColorSpeed {
    private static final int COLORS = 2_000;
    private static final int SECONDS = 2;

    /** What keeps results from being optimized away. */
    private static volatile Object sink;

    private ColorSpeed() {}

    /** The rows of a table, each with a heading: the core and both libraries, in computations per second. */
    static String table(Path home) throws IOException, InterruptedException {
        Color[] colors = colors();
        Map<String, Double> core = new LinkedHashMap<>();
        core.put("oklch", perSecond(colors, (one, other) -> one.to(ColorSpace.OKLCH)));
        core.put("gamut", perSecond(colors, (one, other) -> Color.oklch(one.c1(), one.c2() * 0.4, one.c3() * 360)
                .toSrgb8()));
        core.put("difference", perSecond(colors, (one, other) -> Ciede2000.between(one, other)));
        JsonObject node = node(home);
        StringBuilder table = new StringBuilder();
        Map<String, String> words = Map.of(
                "oklch",
                "sRGB to OKLCH",
                "gamut",
                "OKLCH into sRGB by CSS gamut mapping",
                "difference",
                "CIEDE2000 of two sRGB colors");
        core.forEach((what, perSecond) -> table.append(String.format(
                Locale.ROOT,
                "| %s | %,.0f | %,.0f | %,.0f |%n",
                words.get(what),
                perSecond,
                node.getAsJsonObject("culori").get(what).getAsDouble(),
                node.getAsJsonObject("colorjs").get(what).getAsDouble())));
        return "| computations per second | core | culori "
                + node.getAsJsonObject("culori").get("version").getAsString() + " | colorjs.io "
                + node.getAsJsonObject("colorjs").get("version").getAsString() + " |\n| --- | --- | --- | --- |\n"
                + table;
    }

    /** Linear congruential, 48 bits, the 24 high bits a color; the script has the same. */
    private static Color[] colors() {
        Color[] colors = new Color[COLORS];
        long state = 42;
        for (int i = 0; i < COLORS; i++) {
            state = (state * 25214903917L + 11) & ((1L << 48) - 1);
            int rgb = (int) (state >>> 24);
            colors[i] = Color.rgb(rgb >> 16 & 0xff, rgb >> 8 & 0xff, rgb & 0xff);
        }
        return colors;
    }

    private static double perSecond(Color[] colors, BiFunction<Color, Color, Object> run) {
        rounds(colors, run);
        return rounds(colors, run);
    }

    private static double rounds(Color[] colors, BiFunction<Color, Color, Object> run) {
        long start = System.nanoTime();
        long until = start + SECONDS * 1_000_000_000L;
        long count = 0;
        while (System.nanoTime() < until) {
            for (int i = 0; i < colors.length; i++) sink = run.apply(colors[i], colors[(i + 1) % colors.length]);
            count += colors.length;
        }
        return count * 1e9 / (System.nanoTime() - start);
    }

    private static JsonObject node(Path home) throws IOException, InterruptedException {
        Process node = new ProcessBuilder(
                        "node",
                        "../bench/src/main/scripts/color-speed.mjs",
                        Integer.toString(COLORS),
                        Integer.toString(SECONDS))
                .directory(home.resolve("ui").toFile())
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        String answer = new String(node.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (node.waitFor() != 0) throw new IOException("the libraries could not be measured");
        return JsonParser.parseString(answer).getAsJsonObject();
    }
}
