package org.umberloom.core.dress;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.umberloom.core.format.ThemeFiles;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ValueText;

/** A name that says what a color is for wins over one that says where it stands in a palette, and over how it looks. */
class MeaningBeforeLooksTest {
    private static Map<String, Assignment> proposed(String json) {
        ThemeDocument theme = ThemeFiles.reading(Map.of("t.json", json)).theme();
        return Dressing.propose(theme).stream().collect(Collectors.toMap(Assignment::role, one -> one));
    }

    private static String target(Map<String, Assignment> all, String role) {
        Assignment found = all.get("surface.page." + role);
        return found == null ? "nothing" : ValueText.write(found.value());
    }

    private static final String COLORS =
            """
            {"palette": {"blue": {"500": "#1a4fd0", "700": "#0f3390"}, "gray": {"50": "#fbfbfb", "900": "#141414"}},
             "decorative": {"pink": "#ff00aa"}, "status": {"success": "#00c040", "error": "#ff0000"},
             "code": {"keyword": "#aa00ff"},
             "brand": {"primary": "#8a3b12"}, "surface": {"default": "#fffdf8"}, "text": {"default": "#221a14"},
             "border": {"default": "#d8cfc0"}}""";

    @Test
    void namesWithAMeaningAreTaken() {
        Map<String, Assignment> all = proposed(COLORS);
        assertThat(target(all, "accent")).isEqualTo("{brand.primary}");
        assertThat(target(all, "ground")).isEqualTo("{surface.default}");
        assertThat(target(all, "text")).isEqualTo("{text.default}");
        assertThat(target(all, "border")).isEqualTo("{border.default}");
    }

    @Test
    void whatDecoratesTellsAStateOrColorsCodeIsNoGroundAndNoAccent() {
        Map<String, Assignment> all = proposed(
                "{\"decorative\": {\"pink\": \"#ff00aa\"}, \"status\": {\"error\": \"#ff0000\"}, \"code\": {\"keyword\": \"#aa00ff\"},"
                        + "\"gray\": {\"50\": \"#fbfbfb\", \"900\": \"#141414\"}, \"sea\": {\"600\": \"#1a4fd0\"}}");
        assertThat(target(all, "accent")).isEqualTo("{sea.600}");
        assertThat(target(all, "link")).isEqualTo("{sea.600}");
    }

    @Test
    void eachProposalSaysWhy() {
        Map<String, Assignment> all = proposed(COLORS);
        assertThat(all.values()).allSatisfy(one -> assertThat(one.reason()).isNotBlank());
        assertThat(all.get("surface.page.accent").reason()).isEqualTo("its name says “brand”, “primary”");
    }
}
