package org.umberloom.core.contract;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.umberloom.core.check.Contrasts;
import org.umberloom.core.check.Pair;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.format.TokensJson;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.TypographyValue;

class WornTest {
    private static Worn worn(String tokens) {
        ThemeDocument theme = new ThemeDocument(
                "Sparse",
                "",
                new LinkedHashMap<>(Map.of("all", new ThemeDocument.TokenSet("", TokensJson.read("all", tokens)))),
                Map.of(),
                List.of(ThemeDocument.OrderEntry.set("all")),
                Map.of());
        return Worn.of(Resolution.of(theme, theme.defaults()));
    }

    private static String color(String value) {
        return "{\"$type\":\"color\",\"$value\":{\"colorSpace\":\"srgb\",\"components\":" + value + "}}";
    }

    private static String hex(Worn worn, String path) {
        return worn.color(path).orElseThrow().hex();
    }

    @Test
    void anEmptyThemeStandsOnTheContractsOwnValues() {
        Worn worn = worn("{}");
        assertThat(worn.all()).isNotEmpty().allMatch(Worn.Standing::unset);
        assertThat(hex(worn, "surface.page.ground")).isEqualTo("#ffffff");
        assertThat(hex(worn, "surface.page.link"))
                .isEqualTo(hex(worn, "surface.page.text"))
                .isEqualTo("#000000");
        TypographyValue h2 =
                (TypographyValue) worn.find("type.h2").orElseThrow().value();
        assertThat(h2.part("fontSize")).isEqualTo(DimensionValue.rem(1.75));
        assertThat(h2.part("fontFamily"))
                .isEqualTo(
                        ((TypographyValue) worn.find("type.body").orElseThrow().value()).part("fontFamily"));
    }

    @Test
    void aRoleStandsOnTheMoreGeneralOneOfItsSurface() {
        Worn worn = worn("{\"surface\":{\"page\":{\"text\":" + color("[0.2,0.1,0]") + "},\"deep\":{\"ground\":"
                + color("[0,0,0.2]") + "}}}");
        assertThat(hex(worn, "surface.page.heading")).isEqualTo("#331a00");
        assertThat(hex(worn, "surface.deep.text"))
                .as("what can be read on its ground")
                .isEqualTo("#ffffff");
        assertThat(hex(worn, "surface.deep.heading")).isEqualTo("#ffffff");
        assertThat(worn.find("surface.deep.heading").orElseThrow().on()).contains("surface.deep.text");
    }

    @Test
    void aSurfaceThatSaysNothingOfARoleIsAsThePage() {
        Worn worn = worn("{\"surface\":{\"page\":{\"accent\":" + color("[0.5,0,0]") + "},\"deep\":{\"border\":"
                + color("[0,0,0.2]") + "}}}");
        assertThat(worn.find("surface.deep.accent").orElseThrow().on()).contains("surface.page.accent");
        assertThat(hex(worn, "surface.deep.accent")).isEqualTo("#800000");
    }

    @Test
    void aTokenOfAnotherTypeFillsNoRole() {
        Worn worn = worn("{\"gap\":{\"flow\":" + color("[1,0,0]") + "}}");
        assertThat(worn.find("gap.flow").orElseThrow().unset()).isTrue();
        assertThat(worn.find("gap.flow").orElseThrow().value()).isEqualTo(DimensionValue.rem(1));
    }

    /** Whatever ground a surface has: text that falls back can be read on it. Source of the ratio: WCAG 2.2, 1.4.3. */
    @Test
    void whatFallsBackCanBeRead() {
        Random random = new Random(11);
        for (int i = 0; i < 200; i++) {
            String ground = String.format(
                    java.util.Locale.ROOT,
                    "[%.3f,%.3f,%.3f]",
                    random.nextDouble(),
                    random.nextDouble(),
                    random.nextDouble());
            Worn worn = worn("{\"surface\":{\"page\":{\"ground\":" + color(ground) + "}}}");
            for (Pair pair : Contrasts.declared())
                assertThat(Contrast.ratio(
                                worn.color("surface.page." + pair.role()).orElseThrow(),
                                worn.color("surface.page." + pair.ground()).orElseThrow()))
                        .as("%s on %s over %s", pair.role(), pair.ground(), ground)
                        .isGreaterThanOrEqualTo(pair.needed() - 1e-9);
        }
    }

    @Test
    void aPreferredColorIsKeptWhereItCanBeRead() {
        assertThat(hex(worn("{}"), "surface.page.bad"))
                .isEqualTo(CssColor.parse("#b3261e").hex());
        assertThat(hex(
                        worn("{\"surface\":{\"page\":{\"ground\":" + color("[0.4,0.1,0.1]") + "}}}"),
                        "surface.page.bad"))
                .isEqualTo("#ffffff");
    }
}
