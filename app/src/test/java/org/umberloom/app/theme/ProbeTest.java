package org.umberloom.app.theme;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.umberloom.app.looking.Combos;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.theme.Asked;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.theme.ThemeGraph;
import org.umberloom.core.wish.PlaceWish;
import org.umberloom.kit.font.FontFiles;

class ProbeTest {
    private static final ThemeDocument THEME = Starter.ALL.get(0).theme("T");

    private static Asked value(String place, String path, String text) {
        return EditJson.asked(Map.of("op", "value", "place", place, "path", path, "text", text));
    }

    private static ThemeDocument applied(ThemeDocument theme, Asked asked) {
        return asked.in(new Seen(theme, Resolution.of(theme, theme.defaults())))
                .applyTo(theme)
                .theme();
    }

    @Test
    void aProbeHoldsOnlyWhatChanged() {
        ThemeDocument changed = applied(THEME, value("set:base", "color.brand.seed", "#884400"));
        ThemeViews.Probe probe = ThemeViews.Probe.between(
                ThemeViews.Instruments.of(THEME, FontFiles.shipped()),
                ThemeViews.Instruments.of(changed, FontFiles.shipped()),
                "");
        assertThat(probe.hues()).extracting(hue -> hue.name()).containsExactly("brand");
        assertThat(probe.type()).isEmpty();
        assertThat(probe.space()).isEmpty();
        assertThat(probe.live().get("scheme=light").get("").keySet())
                .allMatch(name -> name.startsWith("--color-brand"));
    }

    /** What a probe takes over from before must be what computing it anew would give. */
    @Test
    void whatIsTakenOverEqualsWhatIsComputedAnew() {
        Combos before = Combos.of(THEME, FontFiles.shipped());
        ThemeViews.Instruments known = ThemeViews.Instruments.of(THEME, FontFiles.shipped());
        for (Asked edit : List.of(
                value("set:base", "color.brand.seed", "#884400"),
                value("set:base", "shape.radius", "9px"),
                value("set:base", "width.text", "20rem"),
                value("scope:kind=article", "width.text", "20rem"),
                EditJson.asked(Map.of(
                        "op",
                        "member",
                        "place",
                        "set:roles",
                        "path",
                        "type.h1",
                        "member",
                        "lineHeight",
                        "text",
                        "1.3")),
                EditJson.asked(Map.of("op", "hue", "place", "set:base", "path", "color.moss", "text", "seagreen")),
                value("context:scheme/dark", "surface.deep.text", "{color.ink.5}"))) {
            ThemeDocument changed = applied(THEME, edit);
            assertThat(ThemeViews.Instruments.of(Combos.of(changed, FontFiles.shipped()), before, known))
                    .isEqualTo(ThemeViews.Instruments.of(changed, FontFiles.shipped()));
        }
    }

    @Test
    void theFirstEditOfARoleInTheDarkIsWrittenIntoTheDarkContext() {
        ThemeDocument changed = applied(THEME, value("context:scheme/dark", "surface.deep.text", "{color.ink.5}"));
        assertThat(ThemeViews.Instruments.of(changed, FontFiles.shipped())
                        .color()
                        .surfaces())
                .filteredOn(s -> s.name().equals("deep"))
                .flatExtracting(s -> s.roles())
                .filteredOn(role -> role.role().equals("text"))
                .flatExtracting(role -> role.cells())
                .extracting(cell -> cell.written())
                .containsExactly("{color.ink.10}", "{color.ink.5}");
    }

    @Test
    void inALookAChangeIsWrittenWhereTheLookHoldsTheValue() {
        ThemeDocument theme = applied(
                applied(THEME, new PlaceWish.NewModifier("look", List.of("passage", "freight"))),
                value("context:look/freight", "surface.page.link", "{color.brand.90}"));
        Combos combos = Combos.of(
                theme,
                Combination.parse("look=freight"),
                List.of(),
                Pictures.NONE,
                FontFiles.shipped(),
                combination -> ThemeGraph.of(theme, combination),
                Map.of());
        assertThat(combos.editPlace("light", "surface.page.link")).hasToString("context:look/freight");
        assertThat(combos.editPlace("dark", "surface.page.link")).hasToString("context:look/freight");
        assertThat(combos.editPlace("dark", "surface.page.text")).hasToString("context:scheme/dark");
        assertThat(combos.editPlace("light", "surface.page.text")).hasToString("set:roles");
    }
}
