package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.google.gson.JsonArray;
import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * The pairs that the application finds on the demo's pages, against the color-contrast rule of axe-core on the same pages
 * in Chromium, in every look and both schemes: for every text that axe can judge, the two colors, their ratio and the
 * verdict are the same.
 */
class PagesContrastTest {
    private static final List<String> PAGES = List.of("index", "timetable", "last-boat", "fares", "contact");
    private static final String RUN =
            """
            async () => {
              const result = await axe.run(document, { iframes: false, runOnly: ['color-contrast'] });
              const nodes = (list, verdict) => list.flatMap((rule) => rule.nodes.map((node) => {
                const data = node.any[0]?.data ?? {};
                const element = document.querySelector(node.target[0]);
                return { verdict, text: (element?.textContent ?? '').trim().slice(0, 40), why: data.messageKey ?? '',
                 front: data.fgColor ?? '', ground: data.bgColor ?? '',
                  ratio: data.contrastRatio ?? 0, surface: element?.closest('[data-surface]')?.dataset.surface ?? 'page' };
              }));
              return JSON.stringify([...nodes(result.passes, 'passes'), ...nodes(result.violations, 'fails'),
               ...nodes(result.incomplete, 'unsure')]);
            }""";

    private final Loom loom = Loom.withDemo();

    /** A pair of the application on one page in one combination: its ratio and level by its two colors. */
    private record Known(double ratio, String level) {}

    private static Map<String, Known> known(JsonObject pairs, int combo, String page) {
        Map<String, Known> known = new HashMap<>();
        for (JsonElement element : pairs.getAsJsonArray("pairs")) {
            JsonObject pair = element.getAsJsonObject();
            boolean here = pair.getAsJsonArray("pages").asList().stream()
                    .anyMatch(name -> name.getAsString().equals("crossings/" + page));
            if (!here
                    || !pair.get("kind").getAsString().equals("text")
                    || !pair.get("state").getAsString().isEmpty()) continue;
            JsonObject cell = pair.getAsJsonArray("cells").get(combo).getAsJsonObject();
            known.put(
                    cell.get("front").getAsString() + " " + cell.get("ground").getAsString(),
                    new Known(cell.get("ratio").getAsDouble(), cell.get("level").getAsString()));
        }
        return known;
    }

    @Test
    void axeFindsTheSamePairs() throws IOException {
        String axe = Files.readString(Loom.HOME.resolve("ui/node_modules/axe-core/axe.min.js"));
        int judged = 0;
        TreeSet<String> surfaces = new TreeSet<>();
        List<String> unsure = new ArrayList<>();
        try (Page page = Browsers.signedIn(loom, ColorScheme.LIGHT)) {
            long theme = JsonParser.parseString(page.request()
                            .get(loom.address() + "/api/sites?theme=1")
                            .text())
                    .getAsJsonArray()
                    .get(0)
                    .getAsJsonObject()
                    .get("themeId")
                    .getAsLong();
            JsonObject pairs = JsonParser.parseString(page.request()
                            .get(loom.address() + "/api/themes/" + theme + "/pairs")
                            .text())
                    .getAsJsonObject();
            JsonArray looks = pairs.getAsJsonArray("looks");
            for (int combo = 0; combo < looks.size(); combo++) {
                String key = looks.get(combo).getAsJsonObject().getAsJsonObject("contexts").entrySet().stream()
                        .map(one -> one.getKey() + "=" + one.getValue().getAsString())
                        .collect(Collectors.joining(","));
                if (!key.contains("density=roomy")) continue;
                for (String name : PAGES) {
                    Map<String, Known> known = known(pairs, combo, name);
                    page.navigate(loom.address() + "/preview/" + theme + "/draft/"
                            + URLEncoder.encode(key, StandardCharsets.UTF_8) + "/crossings/" + name + ".html");
                    page.evaluate(axe);
                    for (JsonElement element :
                            JsonParser.parseString((String) page.evaluate(RUN)).getAsJsonArray()) {
                        JsonObject node = element.getAsJsonObject();
                        String where = name + " in " + key + ": " + node;
                        if (node.get("verdict").getAsString().equals("unsure")) {
                            unsure.add(where);
                            continue;
                        }
                        Known ours = known.get(node.get("front").getAsString() + " "
                                + node.get("ground").getAsString());
                        assertThat(ours).as(where).isNotNull();
                        // axe gives two decimals.
                        assertThat(ours.ratio)
                                .as(where)
                                .isCloseTo(node.get("ratio").getAsDouble(), within(0.011));
                        assertThat(ours.level.equals("fails") ? "fails" : "passes")
                                .as(where)
                                .isEqualTo(node.get("verdict").getAsString());
                        surfaces.add(node.get("surface").getAsString());
                        judged++;
                    }
                }
            }
        }
        assertThat(judged).isGreaterThan(1_000);
        assertThat(surfaces).contains("page", "raised", "tint", "accent");
        // What axe cannot judge: text on the surface that stands on a pattern, and the drawn arrow of a select.
        assertThat(unsure)
                .allMatch(where -> where.contains("\"why\":\"bgImage\"") || where.contains("\"why\":\"bgGradient\""));
        assertThat(unsure).allMatch(where -> where.contains("\"surface\":\"deep\""));
    }
}
