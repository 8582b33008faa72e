package org.umberloom.core.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;

class SpaceTest {
    private final PageWidths widths =
            new PageWidths(640, 800, 1152, new FluidValue(DimensionValue.px(16), DimensionValue.px(48), 400, 1200));

    @Test
    void stepsAreMultiplesOfTheBase() {
        assertThat(new SpaceScale(16, List.of(0.5, 1.0, 3.0)).steps().values())
                .containsExactly(DimensionValue.rem(0.5), DimensionValue.rem(1), DimensionValue.rem(3));
    }

    @Test
    void stepsThatDoNotRiseAreRefused() {
        assertThatThrownBy(() -> new SpaceScale(16, List.of(1.0, 1.0))).hasMessageContaining("rise");
    }

    @Test
    void contentIsWhatTheGuttersLeaveUpToItsWidth() {
        assertThat(widths.at(400).content()).isEqualTo(400 - 2 * 16);
        assertThat(widths.at(800).gutter()).isCloseTo(32, within(1e-9));
        assertThat(widths.at(800).content()).isCloseTo(800 - 64, within(1e-9));
        assertThat(widths.at(1600).content()).isEqualTo(800);
        assertThat(widths.at(1200).wide()).isCloseTo(1200 - 96, within(1e-9));
    }

    @Test
    void aViewportNarrowerThanItsGuttersLeavesNothing() {
        assertThat(widths.at(20).content()).isZero();
    }
}
