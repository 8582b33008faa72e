package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenPath;

/** Regions and parts on surfaces that a theme chooses: who reads a page, and its style sheet. That Chromium follows is a browser test. */
class StandsOnTest {
    private static final String PAGE = "<!doctype html><html><head></head><body><header data-surface=\"tint\">"
            + "<a href=\"#\">Quay</a></header><main><div data-part=\"card\"><p>Rope</p></div></main></body></html>";
    private static final Map<String, String> DEEP = Map.of("header-surface", "surface.deep");

    private static ThemeDocument theme(String choice, Place place, String value) {
        ThemeDocument theme = Starter.ALL.get(0).theme("Standing");
        return Choices.choose(theme, place, choice, Optional.of(value))
                .applyTo(theme)
                .theme();
    }

    @Test
    void aPageIsReadWithTheSurfacesThatAreChosen() {
        assertThat(StandsOn.in(PAGE, Map.of("header-surface", "own"))).isSameAs(PAGE);
        assertThat(RoleSpots.of(PAGE, Map.of())).containsKey("surface.tint.heading");
        assertThat(RoleSpots.of(PAGE, DEEP))
                .containsKey("surface.deep.heading")
                .doesNotContainKey("surface.tint.heading");
        assertThat(PageColors.of(PAGE, DEEP)).anySatisfy(found -> {
            assertThat(found.words()).isEqualTo("Quay");
            assertThat(found.meeting().foreground()).isEqualTo("surface.deep.heading");
            assertThat(found.meeting().ground()).isEqualTo("surface.deep.ground");
        });
        assertThat(RoleSpots.of(PAGE, Map.of("header-surface", "surface.page"))).containsKey("surface.page.heading");
    }

    @Test
    void whatTakesColorsThereLooksOtherwiseOnAnotherSurface() {
        Map<Integer, ChoiceSpots.Looks> spots = ChoiceSpots.of(PAGE, Map.of()).get("header-surface");
        // The header and the name in it.
        assertThat(spots.keySet()).containsExactlyInAnyOrder(1, 2);
        assertThat(ChoiceSpots.of(PAGE, DEEP).get("header-surface").keySet()).isEqualTo(spots.keySet());
    }

    @Test
    void aStyleSheetSaysTheChosenSurfaceWhereItIsChosen() {
        ThemeDocument theme = theme("header-surface", Place.scope(Scope.kind("article")), "surface.deep");
        PageUse use = PageUse.of(List.of(PAGE.replace("<html>", "<html data-kind=\"article\">")));
        String css = Stylesheet.compile(theme, Usage.of(use), List.of());
        assertThat(css)
                .contains(":where(:root[data-kind=\"article\"]) body>header {")
                .contains("@layer standing")
                .containsPattern(
                        "@layer pages \\{\\n:root\\[data-kind=\"article\"\\] body>header \\{\\n  --surface-ground");
        // A page without a header hears nothing of it.
        PageUse bare = PageUse.of(List.of("<p>Rope</p>"));
        assertThat(Stylesheet.compile(theme, Usage.of(bare), List.of())).doesNotContain("header");
    }

    @Test
    void onlyWhatIsThereCanBeStoodOn() {
        ThemeDocument theme = Starter.ALL.get(0).theme("Standing");
        assertThatThrownBy(
                        () -> Choices.choose(theme, Place.set("roles"), "header-surface", Optional.of("surface.moor")))
                .hasMessageContaining("surface.deep");
        // Cards lie on something else than the page.
        assertThatThrownBy(() -> Choices.choose(theme, Place.set("roles"), "card-surface", Optional.of("surface.page")))
                .hasMessageContaining("has no value");
        Place spot = Place.scope(Scope.spot("quay", "index.3", true));
        assertThatThrownBy(() -> Choices.choose(theme, spot, "card-surface", Optional.of("surface.deep")))
                .hasMessageContaining("whole pages");
    }

    @Test
    void aChosenSurfaceKeepsItsNameAndOneThatIsGoneIsSaid() {
        ThemeDocument theme = theme("footer-surface", Place.context("scheme", "dark"), "surface.deep");
        ThemeDocument moved = new Edit.Move(TokenPath.of("surface.deep"), TokenPath.of("surface.quay"))
                .applyTo(theme)
                .theme();
        assertThat(Choices.of(moved, moved.defaults().with("scheme", "dark")))
                .containsEntry("footer-surface", "surface.quay");
        assertThat(Choices.of(moved, moved.defaults())).containsEntry("footer-surface", "own");
        ThemeDocument gone = theme;
        for (Place place : theme.places())
            if (theme.at(place).find(TokenPath.of("surface.deep")).isPresent())
                gone = new Edit.Remove(place, TokenPath.of("surface.deep"))
                        .applyTo(gone)
                        .theme();
        assertThat(Choices.of(gone, gone.defaults().with("scheme", "dark"))).containsEntry("footer-surface", "own");
        assertThat(Choices.findings(gone))
                .extracting(Finding::message)
                .singleElement()
                .asString()
                .contains("surface.deep");
    }
}
