package org.umberloom.core.css;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.RandomThemes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.theme.ThemeGraph;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;

/** What is carried along from edit to edit must be what would be written from nothing. */
class LivePropertiesTest {
    private static final int EDITS = 150;
    private static final ThemeDocument THEME = Samples.starter();
    private static final LiveProperties BEFORE = LiveProperties.of(Resolution.of(THEME, THEME.defaults()));

    private static Map<String, Map<String, String>> blocks(LiveProperties properties) {
        return properties.on(Map.of()).blocks();
    }

    private static LiveProperties after(String set, String path, TokenValue value) {
        ThemeDocument edited = new Edit.SetValue(Place.set(set), TokenPath.of(path), value)
                .applyTo(THEME)
                .theme();
        Resolution resolution = Resolution.of(edited, edited.defaults());
        LiveProperties carried = BEFORE.after(resolution);
        assertThat(blocks(carried)).as(path).isEqualTo(blocks(LiveProperties.of(resolution)));
        return carried;
    }

    @ParameterizedTest
    @ValueSource(longs = {41, 42, 43, 44})
    void whatIsCarriedAlongEqualsWhatIsWrittenAnew(long seed) {
        RandomThemes themes = new RandomThemes(seed);
        ThemeDocument theme = themes.theme();
        Combination combination = themes.combination(theme);
        ThemeGraph graph = ThemeGraph.of(theme, combination);
        LiveProperties carried = LiveProperties.of(graph.resolution());
        int differing = 0;
        for (int i = 0; i < EDITS; i++) {
            try {
                Edit edit = i % 3 == 0
                        ? new Edit.SetValue(
                                Place.set(Starter.BASE),
                                TokenPath.of("color.brand.seed"),
                                new ColorValue(Color.oklch(0.5, 0.1, i).toSrgb8()))
                        : themes.edit(theme);
                theme = edit.applyTo(theme).theme();
            } catch (IllegalArgumentException refused) {
                continue;
            }
            graph = graph.after(theme);
            Map<String, Map<String, String>> before = blocks(carried);
            carried = carried.after(graph.resolution());
            assertThat(blocks(carried))
                    .as("seed %d, edit %d", seed, i)
                    .isEqualTo(blocks(LiveProperties.of(graph.resolution())));
            if (!blocks(carried).equals(before)) differing++;
        }
        assertThat(differing).isGreaterThan(EDITS / 10);
    }

    @Test
    void aSeedReachesItsShadesAndNothingElse() {
        LiveProperties after = after(Starter.BASE, "color.brand.seed", new ColorValue(CssColor.parse("#204080")));
        Map<String, Map<String, String>> changed = after.on(Map.of()).changedFrom(BEFORE.on(Map.of()));
        assertThat(changed).containsOnlyKeys(CustomProperties.ROOT);
        assertThat(changed.get(CustomProperties.ROOT)).isNotEmpty();
        assertThat(changed.get(CustomProperties.ROOT).keySet()).allMatch(name -> name.startsWith("--color-brand-"));
    }

    @Test
    void aRoleThatIsGivenAColorOfItsOwnLosesItsReference() {
        LiveProperties after = after(Starter.ROLES, "surface.deep.text", new ColorValue(CssColor.parse("#fedcba")));
        assertThat(blocks(after).get("deep")).containsEntry("--surface-text", "#fedcba");
    }

    @Test
    void aRoleThatRefersElsewhereIsWrittenAnew() {
        LiveProperties after = after(Starter.ROLES, "surface.page.link", Alias.to("color.bad.90"));
        assertThat(blocks(after).get(CustomProperties.ROOT)).containsEntry("--surface-link", "var(--color-bad-90)");
    }

    /** A reference from one surface to another has no property to name, so the other's value stands in both. */
    @Test
    void aValueThatStandsInTwoPlacesIsWrittenInBoth() {
        ThemeDocument own = new Edit.SetValue(
                        Place.set(Starter.ROLES),
                        TokenPath.of("surface.page.heading"),
                        new ColorValue(CssColor.parse("#112233")))
                .applyTo(THEME)
                .theme();
        ThemeDocument shared = new Edit.SetValue(
                        Place.set(Starter.ROLES), TokenPath.of("surface.deep.text"), Alias.to("surface.page.heading"))
                .applyTo(own)
                .theme();
        ThemeDocument edited = new Edit.SetValue(
                        Place.set(Starter.ROLES),
                        TokenPath.of("surface.page.heading"),
                        new ColorValue(CssColor.parse("#445566")))
                .applyTo(shared)
                .theme();
        Map<String, Map<String, String>> after = blocks(LiveProperties.of(Resolution.of(shared, shared.defaults()))
                .after(Resolution.of(edited, edited.defaults())));
        assertThat(after.get(CustomProperties.ROOT)).containsEntry("--surface-heading", "#445566");
        assertThat(after.get("deep")).containsEntry("--surface-text", "#445566");
    }
}
