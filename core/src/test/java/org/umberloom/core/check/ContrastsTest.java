package org.umberloom.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.umberloom.core.color.Color;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
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
                                Resolution.of(theme, theme.defaults().with("scheme", scheme))))
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
        Finding finding = Contrasts.findings(resolution).get(0);
        assertThat(finding.path()).isEqualTo("surface.page.text");
        assertThat(finding.message()).contains("4.5:1").contains("page surface");
        assertThat(finding.remedy()).isEqualTo("Depth 62 or more passes.");
    }

    @Test
    void surfacesAreNamedInOrder() {
        ThemeDocument theme = Samples.starter();
        assertThat(Surfaces.names(Resolution.of(theme, theme.defaults())))
                .containsExactly("page", "raised", "tint", "accent", "deep");
    }
}
