package org.umberloom.app.theme;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.umberloom.app.looking.Combos;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;

class EditRequestTest {
    private static final ThemeDocument THEME = Starter.ALL.get(0).theme("T");
    private static final Resolution STANDARD = Resolution.of(THEME, THEME.defaults());

    private static EditRequest request(String op, String place, String path, String member, String text) {
        return new EditRequest(0, null, null, op, place, path, member, text, null, null, null, null, null, null, null, null, null, null, null);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "value|set:base|color.brand.seed||#nope|hex digits",
        "value|set:base|color.none||#fff|no token",
        "value|set:roles|surface.page.text||{size.1}|a color is needed",
        "value|set:roles|surface.page.text||{color.none}|no token",
        "value|nowhere|color.brand.seed||#fff|not a place",
        "member|set:roles|type.h1|fontSize|huge|not a length",
        "member|set:roles|type.h1|fontColor|red|no part",
        "member|set:base|color.brand.seed|fontSize|1px|not a text style",
        "hue|set:base|color.brand||#fff|already is a hue",
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
        ThemeViews.Probe probe = ThemeViews.Probe.between(ThemeViews.Instruments.of(THEME), ThemeViews.Instruments.of(changed), "");
        assertThat(probe.hues()).extracting(hue -> hue.name()).containsExactly("brand");
        assertThat(probe.type()).isEmpty();
        assertThat(probe.space()).isEmpty();
        assertThat(probe.live().get("scheme=light").get("").keySet()).allMatch(name -> name.startsWith("--color-brand"));
    }

    /** What a probe takes over from before must be what computing it anew would give. */
    @Test
    void whatIsTakenOverEqualsWhatIsComputedAnew() {
        Combos before = Combos.of(THEME);
        ThemeViews.Instruments known = ThemeViews.Instruments.of(THEME);
        for (EditRequest edit : List.of(
                request("value", "set:base", "color.brand.seed", null, "#884400"),
                request("value", "set:base", "shape.radius", null, "9px"),
                request("value", "set:base", "width.text", null, "20rem"),
                request("member", "set:roles", "type.h1", "lineHeight", "1.3"),
                request("hue", "set:base", "color.moss", null, "seagreen"),
                request("value", "context:scheme/dark", "surface.deep.text", null, "{color.ink.5}"))) {
            ThemeDocument changed = edit.toEdit(THEME, STANDARD).applyTo(THEME).theme();
            assertThat(ThemeViews.Instruments.of(Combos.of(changed), before, known)).isEqualTo(ThemeViews.Instruments.of(changed));
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

    private static EditRequest structural(String op, String place, String text, String to, List<String> order) {
        return new EditRequest(0, null, null, op, place, null, null, text, to, null, null, order, null, null, null, null, null, null, null);
    }

    @Test
    void setsModifiersAndContextsAreMadeCopiedRenamedAndOrdered() {
        ThemeDocument theme = THEME;
        for (EditRequest request : List.of(
                structural("add-modifier", null, "density", null, List.of("roomy", "compact")),
                structural("add-context", null, "dense", "density", null),
                structural("copy-place", "context:scheme/dark", "dusk", null, null),
                structural("copy-place", "set:base", "base two", null, null),
                structural("rename-place", "set:base two", "spare", null, null),
                structural("rename-modifier", null, "air", "density", null),
                structural("default-context", null, "compact", "air", null),
                structural("reorder", null, null, null, List.of("set:base", "set:roles", "modifier:air", "modifier:scheme"))))
            theme = request.toEdit(theme, Resolution.of(theme, theme.defaults())).applyTo(theme).theme();
        assertThat(theme.sets()).containsOnlyKeys("base", "spare", "roles");
        assertThat(theme.modifiers().get("air").contexts()).containsOnlyKeys("roomy", "compact", "dense");
        assertThat(theme.modifiers().get("air").defaultContext()).isEqualTo("compact");
        assertThat(theme.modifiers().get("scheme").contexts().get("dusk")).isEqualTo(theme.modifiers().get("scheme").contexts().get("dark"));
        assertThat(theme.order()).hasSize(4);
    }

    @Test
    void inALookAChangeIsWrittenWhereTheLookHoldsTheValue() {
        ThemeDocument theme = structural("add-modifier", null, "look", null, List.of("passage", "freight"))
                .toEdit(THEME, STANDARD).applyTo(THEME).theme();
        theme = request("value", "context:look/freight", "surface.page.link", null, "{color.brand.90}").toEdit(theme, STANDARD).applyTo(theme).theme();
        ThemeDocument looked = theme;
        Combos combos = Combos.of(looked, org.umberloom.core.theme.Combination.parse("look=freight"), List.of(),
                org.umberloom.core.ground.Pictures.NONE, combination -> org.umberloom.core.theme.ThemeGraph.of(looked, combination));
        assertThat(combos.editPlace("light", "surface.page.link")).hasToString("context:look/freight");
        assertThat(combos.editPlace("dark", "surface.page.link")).hasToString("context:look/freight");
        assertThat(combos.editPlace("dark", "surface.page.text")).hasToString("context:scheme/dark");
        assertThat(combos.editPlace("light", "surface.page.text")).hasToString("set:roles");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "new|set:base|width.huge|dimension|90rem|", "new|set:base|shadow.low|shadow|0px 1px 2px 0px {color.ink.100}|",
        "new|set:base|color.ink|color|#fff|already is a “color.ink”", "new|set:base|x.y|knitting|1|not a type of token",
        "new|set:base|x.y|color|lighten({color.none}, 5)|no token “color.none”", "new|set:base|x..y|number|1|cannot be a name"})
    void aNewTokenNeedsAFreePathATypeAndAValue(String op, String place, String path, String type, String text, String refusal) {
        EditRequest request = new EditRequest(0, null, null, op, place, path, null, text, null, type, null, null, null, null, null, null, null, null, null);
        if (refusal != null) {
            assertThatThrownBy(() -> request.toEdit(THEME, STANDARD)).hasMessageContaining(refusal);
            return;
        }
        ThemeDocument changed = request.toEdit(THEME, STANDARD).applyTo(THEME).theme();
        assertThat(Resolution.of(changed, changed.defaults()).find(path).orElseThrow().type().id()).isEqualTo(type);
    }
}
