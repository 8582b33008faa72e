package org.umberloom.app.theme;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;

class EditRequestTest {
    private static final ThemeDocument THEME = Starter.ALL.get(0).theme("T");
    private static final Resolution STANDARD = Resolution.of(THEME, THEME.defaults());

    private static EditRequest request(String op, String place, String path, String member, String text) {
        return new EditRequest(0, op, place, path, member, text, null, null, null);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "value|set:base|color.brand.seed||#nope|hex digits",
        "value|set:base|color.none||#fff|no token",
        "value|set:roles|surface.page.text||{size.1}|a color is needed",
        "value|set:roles|surface.page.text||{color.none}|no token",
        "value|nowhere|color.brand.seed||#fff|not a place",
        "member|set:roles|type.h1|fontSize|huge|not a length",
        "member|set:roles|type.h1|fontColor|red|no member",
        "member|set:base|color.brand.seed|fontSize|1px|not a text style",
        "hue|set:base|color.brand||#fff|already a hue",
        "dance|set:base|a||b|not an edit",
        "ramp|set:base|color.brand|||lacks its “ramp”"})
    void whatMakesNoSenseIsRefusedWithAReason(String op, String place, String path, String member, String text, String why) {
        assertThatThrownBy(() -> request(op, place, path, member, text).toEdit(THEME, STANDARD))
                .isInstanceOf(IllegalArgumentException.class).hasMessageContaining(why);
    }

    @Test
    void aNewHueBringsItsRamp() {
        ThemeDocument changed = request("hue", "set:base", "color.moss", null, "seagreen").toEdit(THEME, STANDARD).applyTo(THEME).theme();
        assertThat(ThemeViews.Instruments.of(changed).color().hues()).filteredOn(hue -> hue.name().equals("moss"))
                .singleElement().satisfies(hue -> assertThat(hue.shades()).hasSize(14));
    }

    @Test
    void aProbeHoldsOnlyWhatChanged() {
        ThemeDocument changed = request("value", "set:base", "color.brand.seed", null, "#884400").toEdit(THEME, STANDARD).applyTo(THEME)
                .theme();
        ThemeViews.Probe probe = ThemeViews.Probe.between(ThemeViews.Instruments.of(THEME), ThemeViews.Instruments.of(changed));
        assertThat(probe.hues()).extracting(hue -> hue.name()).containsExactly("brand");
        assertThat(probe.type()).isEmpty();
        assertThat(probe.space()).isEmpty();
        assertThat(probe.live().get("light").get("").keySet()).allMatch(name -> name.startsWith("--color-brand"));
    }

    /** What a probe takes over from before must be what computing it anew would give. */
    @Test
    void whatIsTakenOverEqualsWhatIsComputedAnew() {
        Combos before = Combos.of(THEME);
        ThemeViews.Instruments known = ThemeViews.Instruments.of(THEME);
        for (EditRequest edit : java.util.List.of(
                request("value", "set:base", "color.brand.seed", null, "#884400"),
                request("value", "set:base", "shape.radius", null, "9px"),
                request("value", "set:base", "width.text", null, "20rem"),
                request("member", "set:roles", "type.h1", "lineHeight", "1.3"),
                request("hue", "set:base", "color.moss", null, "seagreen"),
                request("value", "context:scheme/dark", "surface.deep.text", null, "{color.ink.5}"))) {
            ThemeDocument changed = edit.toEdit(THEME, STANDARD).applyTo(THEME).theme();
            assertThat(ThemeViews.Instruments.of(changed, before, known)).isEqualTo(ThemeViews.Instruments.of(changed));
        }
    }

    @Test
    void theFirstEditOfARoleInTheDarkIsWrittenIntoTheDarkContext() {
        ThemeDocument changed = request("value", "context:scheme/dark", "surface.deep.text", null, "{color.ink.5}").toEdit(THEME, STANDARD)
                .applyTo(THEME).theme();
        assertThat(ThemeViews.Instruments.of(changed).color().surfaces()).filteredOn(s -> s.name().equals("deep"))
                .flatExtracting(s -> s.roles()).filteredOn(role -> role.role().equals("text"))
                .flatExtracting(role -> role.cells()).extracting(cell -> cell.written())
                .containsExactly("{color.ink.10}", "{color.ink.5}");
    }
}
