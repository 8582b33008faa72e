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
    void stepsGrowByTheSameOrByTheSameRatio() {
        assertThat(SpaceScale.Growth.LINEAR.factors(0.5, 0.5, 4)).containsExactly(0.5, 1.0, 1.5, 2.0);
        assertThat(SpaceScale.Growth.GEOMETRIC.factors(0.5, 2, 4)).containsExactly(0.5, 1.0, 2.0, 4.0);
        assertThatThrownBy(() -> SpaceScale.Growth.LINEAR.factors(1, 1, 0)).hasMessageContaining("1 to 24");
    }

    @Test
    void onAGridEveryStepIsAWholeMultipleAndNoneIsNothing() {
        assertThat(new SpaceScale(10, List.of(0.1, 0.7, 1.3), 4, 1).steps().values())
                .containsExactly(DimensionValue.rem(0.25), DimensionValue.rem(0.5), DimensionValue.rem(0.75));
    }

    @Test
    void inANarrowWindowStepsCanHaveLess() {
        FluidValue step =
                (FluidValue) new SpaceScale(16, List.of(2.0), 0, 0.5).steps().get("1");
        assertThat(step.pxAt(360)).isCloseTo(16, within(1e-9));
        assertThat(step.pxAt(1280)).isCloseTo(32, within(1e-9));
        assertThat(step.pxAt(820)).isCloseTo(24, within(1e-9));
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

    /** Whoever draws straight lines between what is given comes to what every viewport is given by itself. */
    @Test
    void overARangeOnlyTheKinksAreTold() {
        List<PageWidths.Bands> told = widths.between(320, 1920, 10);
        assertThat(told).hasSizeLessThan(16);
        assertThat(told.get(0)).isEqualTo(widths.at(320));
        assertThat(told.get(told.size() - 1)).isEqualTo(widths.at(1920));
        for (int viewport = 320; viewport <= 1920; viewport += 10) {
            int at = viewport;
            PageWidths.Bands high = told.stream()
                    .filter(one -> one.viewport() >= at)
                    .findFirst()
                    .orElseThrow();
            PageWidths.Bands low = told.stream()
                    .filter(one -> one.viewport() <= at)
                    .reduce((one, next) -> next)
                    .orElseThrow();
            double share = high.equals(low) ? 0 : (at - low.viewport()) / (high.viewport() - low.viewport());
            assertThat(low.content() + (high.content() - low.content()) * share)
                    .as("at %d", at)
                    .isCloseTo(widths.at(at).content(), within(1e-6));
            assertThat(low.gutter() + (high.gutter() - low.gutter()) * share)
                    .as("at %d", at)
                    .isCloseTo(widths.at(at).gutter(), within(1e-6));
        }
    }

    @Test
    void aViewportNarrowerThanItsGuttersLeavesNothing() {
        assertThat(widths.at(20).content()).isZero();
    }
}
