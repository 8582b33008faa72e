package org.umberloom.app.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.color.Depth;
import org.umberloom.kit.picture.PictureReader;

class PaletteServiceTest {
    private final PaletteService palettes = new PaletteService(new PictureReader());

    @Test
    void pastedColorsKeepTheirNamesAndTheirForm() {
        PaletteService.Proposal proposal = palettes.ofText("--sea: oklch(0.45 0.07 224); --gap: 2px");
        assertThat(proposal.swatches()).singleElement().satisfies(swatch -> {
            assertThat(swatch.name()).isEqualTo("sea");
            assertThat(swatch.written()).isEqualTo("oklch(0.45 0.07 224)");
            assertThat(swatch.hex()).matches("#[0-9a-f]{6}");
        });
        assertThat(proposal.passedOver()).containsExactly("--gap: 2px");
    }

    @Test
    void harmoniesStandAtTheSeedsDepth() {
        double depth = Depth.of(CssColor.parse("#1c6076")).value();
        assertThat(palettes.harmonies("#1c6076")).hasSize(5).allSatisfy(proposal -> assertThat(proposal.swatches())
                .isNotEmpty()
                .allMatch(swatch -> Math.abs(swatch.depth() - depth) < 1));
        assertThatThrownBy(() -> palettes.harmonies("sea-ish")).hasMessageContaining("is not a color");
    }

    @Test
    void aPictureWithoutAColorIsRefused() {
        assertThatThrownBy(() -> palettes.ofPicture(
                        "empty.svg", "<svg xmlns='http://www.w3.org/2000/svg'/>".getBytes(StandardCharsets.UTF_8)))
                .hasMessageContaining("empty.svg")
                .hasMessageContaining("nothing was changed");
    }

    @Test
    void threeKindsOfConesCanBeMissing() {
        assertThat(palettes.sight().ways())
                .hasSize(3)
                .allMatch(way -> way.matrix().size() == 9 && way.words().startsWith("without"));
    }
}
