package org.umberloom.core.propose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.umberloom.core.check.Contrasts;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.color.Depth;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.TokenPath;

class ProposalsTest {
    private static final Place DARK = Place.context("scheme", "dark");
    private static final TokenPath LINK = TokenPath.of("surface.page.link");

    private static Resolution in(ThemeDocument theme, String combination) {
        return Resolution.of(theme, Combination.parse(combination).completedFor(theme));
    }

    private static double depth(Resolution resolution, String path) {
        return Depth.of(resolution.value(path, ColorValue.class).orElseThrow().color())
                .value();
    }

    @Test
    void noProposedPairFailsWhateverTheSeed() {
        Random random = new Random(12);
        for (int i = 0; i < 60; i++) {
            Color seed = Color.rgb(random.nextInt(256), random.nextInt(256), random.nextInt(256));
            ThemeDocument theme =
                    Starter.ALL.get(i % Starter.ALL.size()).withSeed(seed).theme("T");
            ThemeDocument dark =
                    SchemeProposal.of(theme, "dark", true).applyTo(theme).theme();
            assertThat(Contrasts.findings(dark, in(dark, "scheme=dark")))
                    .as("dark of %s", seed.hex())
                    .isEmpty();
            ThemeDocument light =
                    SchemeProposal.of(dark, "light", true).applyTo(dark).theme();
            assertThat(Contrasts.findings(light, in(light, "scheme=light")))
                    .as("light of %s", seed.hex())
                    .isEmpty();
            ThemeDocument more = ContrastProposal.of(dark).applyTo(dark).theme();
            for (String scheme : List.of("light", "dark"))
                for (String role : List.of("text", "heading", "link"))
                    assertThat(Contrast.ratio(
                                    in(more, "contrast=more,scheme=" + scheme)
                                            .value("surface.page." + role, ColorValue.class)
                                            .orElseThrow()
                                            .color(),
                                    in(more, "contrast=more,scheme=" + scheme)
                                            .value("surface.page.ground", ColorValue.class)
                                            .orElseThrow()
                                            .color()))
                            .as("%s in %s of %s", role, scheme, seed.hex())
                            .isGreaterThanOrEqualTo(7);
        }
    }

    @Test
    void aDarkPageIsDarkAndWhatStandsOutFromItIsLighter() {
        ThemeDocument theme = SchemeProposal.of(Samples.starter(), "dark", true)
                .applyTo(Samples.starter())
                .theme();
        Resolution dark = in(theme, "scheme=dark");
        assertThat(depth(dark, "surface.page.ground")).isGreaterThan(105);
        assertThat(depth(dark, "surface.tint.ground")).isLessThan(depth(dark, "surface.page.ground"));
        assertThat(depth(dark, "surface.page.text")).isLessThan(30);
        assertThat(depth(dark, "surface.deep.ground")).isGreaterThan(90);
    }

    @Test
    void whatWasSetByHandStaysAndTheRestIsProposedAgain() {
        ThemeDocument proposed = SchemeProposal.of(Samples.starter(), "dark", true)
                .applyTo(Samples.starter())
                .theme();
        ThemeDocument adjusted = new Edit.SetValue(DARK, LINK, Alias.to("color.brand.10"))
                .applyTo(proposed)
                .theme();
        ThemeDocument reseeded = new Edit.SetValue(
                        Place.set(Starter.ROLES), TokenPath.of("surface.page.muted"), Alias.to("color.ink.110"))
                .applyTo(adjusted)
                .theme();
        ThemeDocument again =
                SchemeProposal.of(reseeded, "dark", false).applyTo(reseeded).theme();
        assertThat(again.at(DARK).token(LINK).orElseThrow().value()).isEqualTo(Alias.to("color.brand.10"));
        assertThat(again.at(DARK).token(TokenPath.of("surface.page.muted")))
                .isNotEqualTo(proposed.at(DARK).token(TokenPath.of("surface.page.muted")));
        assertThat(SchemeProposal.of(again, "dark", true)
                        .applyTo(again)
                        .theme()
                        .at(DARK)
                        .token(LINK)
                        .orElseThrow()
                        .proposed())
                .isTrue();
    }

    @Test
    void aSchemeThatWasAllSetByHandIsLeftAlone() {
        ThemeDocument[] theme = {
            SchemeProposal.of(Samples.starter(), "dark", true)
                    .applyTo(Samples.starter())
                    .theme()
        };
        theme[0].at(DARK)
                .forEachToken((path, token, type) -> theme[0] = new Edit.SetValue(DARK, path, token.value())
                        .applyTo(theme[0])
                        .theme());
        assertThatThrownBy(() -> SchemeProposal.of(theme[0], "dark", false)).hasMessageContaining("all anew");
        assertThatThrownBy(() -> SchemeProposal.of(Samples.starter(), "dusk", true))
                .hasMessageContaining("light and dark");
    }

    @Test
    void aProposalIsAnEditThatIsTakenBackExactly() {
        ThemeDocument theme = Samples.starter();
        for (Edit edit : List.of(SchemeProposal.of(theme, "dark", true), ContrastProposal.of(theme))) {
            Edit.Applied applied = edit.applyTo(theme);
            assertThat(ThemeJson.writeInline(
                            applied.inverse().applyTo(applied.theme()).theme()))
                    .isEqualTo(ThemeJson.writeInline(theme));
        }
    }

    @Test
    void moreContrastFollowsTheReadersSystem() {
        ThemeDocument theme = ContrastProposal.of(Samples.starter())
                .applyTo(Samples.starter())
                .theme();
        String css = Stylesheet.compile(theme, Usage.ALL, List.of());
        assertThat(css)
                .contains(
                        ":root[data-contrast=\"more\"] {",
                        "@media (prefers-contrast: more) {\n:root:not([data-contrast]) {");
    }
}
