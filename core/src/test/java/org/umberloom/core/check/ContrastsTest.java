package org.umberloom.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;

class ContrastsTest {
    @Test
    void everyStarterIsReadableInBothSchemesFromAnySeed() {
        Random random = new Random(5);
        for (int i = 0; i < 60; i++) {
            Color seed = Color.rgb(random.nextInt(256), random.nextInt(256), random.nextInt(256));
            ThemeDocument theme =
                    Starter.ALL.get(i % Starter.ALL.size()).withSeed(seed).theme("T");
            for (String scheme : new String[] {"light", "dark"})
                assertThat(Contrasts.findings(
                                theme, Resolution.of(theme, theme.defaults().with("scheme", scheme))))
                        .as("seed %s in %s", seed.hex(), scheme)
                        .isEmpty();
        }
    }

    @Test
    void aPairThatFailsSaysHowFarAndWhatWouldPass() {
        ThemeDocument theme = new Edit.SetValue(
                        Place.set(Starter.ROLES), TokenPath.of("surface.page.text"), Alias.to("color.ink.40"))
                .applyTo(Samples.starter())
                .theme();
        Resolution resolution = Resolution.of(theme, theme.defaults());
        Finding finding = Contrasts.findings(theme, resolution).get(0);
        assertThat(finding.path()).isEqualTo("surface.page.text");
        assertThat(finding.message()).contains("4.5:1").contains("page surface");
        assertThat(finding.remedy()).isEqualTo("Depth 62 or more passes.");
    }

    /**
     * Worked by hand: black words on white at 60 % over a black picture are on 153 of 255, of which WCAG 2.2 makes a luminance of
     * 0.3185, so 7.37:1; white words there would be on white somewhere.
     */
    @Test
    void whatLiesOnPicturesIsMeasuredOnTheWorstOfThem() {
        Color black = Color.rgb(0, 0, 0);
        Color veil = Color.rgb(255, 255, 255).withAlpha(0.6);
        assertThat(Contrast.ratioOnPictures(black, veil)).isCloseTo(7.37, within(0.01));
        assertThat(Contrast.ratioOnPictures(Color.rgb(255, 255, 255), veil)).isEqualTo(1);
        assertThat(Contrast.opacityFor(4.5, black, veil)).hasValue(0.46);
        assertThat(Contrast.opacityFor(22, black, veil)).isEmpty();
    }

    @Test
    void aVeilThatIsTooThinSaysHowOpaqueItHasToBe() {
        TokenPath path = TokenPath.of("surface.page.veil");
        ThemeDocument theme = new Edit.Put(
                        Place.set(Starter.ROLES),
                        path,
                        Token.untyped(new ColorValue(Color.rgb(255, 255, 255).withAlpha(0.1))),
                        -1)
                .applyTo(Samples.starter())
                .theme();
        Resolution resolution = Resolution.of(theme, theme.defaults());
        Map<String, String> over = Map.of("gallery-captions", "over");
        assertThat(Contrasts.findings(theme, resolution)).isEmpty();
        Finding finding = Contrasts.findings(theme, resolution, Contrasts.measure(resolution, over)).stream()
                .filter(one -> one.path().equals(path.toString()))
                .findFirst()
                .orElseThrow();
        assertThat(finding.message()).contains("On a picture veil under");
        ThemeDocument mended = finding.fixes().get(0).edit().applyTo(theme).theme();
        Resolution after = Resolution.of(mended, mended.defaults());
        assertThat(Contrasts.findings(theme, after, Contrasts.measure(after, over)))
                .noneMatch(one -> one.path().equals(path.toString()));
    }

    @Test
    void surfacesAreNamedInOrder() {
        ThemeDocument theme = Samples.starter();
        assertThat(Surfaces.names(Resolution.of(theme, theme.defaults())))
                .containsExactly("page", "raised", "tint", "accent", "deep");
    }
}
