package org.umberloom.core.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class DepthAndRampTest {
    private static final long SEED = 7_4_2026;

    @Test
    void whiteIsZeroAndBlackIs120() {
        assertThat(Depth.of(Color.rgb(255, 255, 255)).value()).isZero();
        assertThat(Depth.of(Color.rgb(0, 0, 0)).value()).isCloseTo(120, within(1e-9));
    }

    @Test
    void contrastIsSubtraction() {
        Random random = new Random(SEED);
        for (int i = 0; i < 2_000; i++) {
            Color one = randomColor(random);
            Color other = randomColor(random);
            assertThat(Depth.of(one).contrastTo(Depth.of(other))).as("seed %d, %s and %s", SEED, one, other)
                    .isCloseTo(Contrast.ratio(one, other), within(1e-9));
        }
    }

    @Test
    void spansForTheThresholdsOfWcag() {
        assertThat(Depth.spanFor(4.5)).isCloseTo(59.3, within(0.05));
        assertThat(Depth.spanFor(3)).isCloseTo(43.3, within(0.05));
        assertThat(Depth.spanFor(7)).isCloseTo(76.7, within(0.05));
    }

    @Test
    void depthOutsideItsRangeIsRefused() {
        assertThatThrownBy(() -> new Depth(121)).hasMessageContaining("between 0 and 120");
    }

    @Test
    void shadesHaveTheDepthTheyAreNamedBy() {
        Random random = new Random(SEED);
        for (int i = 0; i < 300; i++) {
            Color seed = randomColor(random);
            for (Ramp.Shade shade : Ramp.grow(seed, Ramp.DEFAULT_STOPS, RampShape.DEFAULT))
                assertThat(Depth.of(shade.color()).value()).as("stop %s of %s", shade.stop(), seed.hex())
                        .isCloseTo(shade.stop(), within(0.6));
        }
    }

    @Test
    void stopsSixtyApartPassForTextAfterRoundingInEveryHue() {
        Random random = new Random(SEED);
        for (int i = 0; i < 1_500; i++) {
            Color seed = randomColor(random);
            List<Ramp.Shade> shades = Ramp.grow(seed, Ramp.DEFAULT_STOPS, RampShape.DEFAULT);
            for (Ramp.Shade light : shades)
                for (Ramp.Shade dark : shades)
                    if (dark.stop() - light.stop() >= 60)
                        assertThat(Contrast.ratio(light.color(), dark.color()))
                                .as("stops %s and %s of %s", light.stop(), dark.stop(), seed.hex())
                                .isGreaterThanOrEqualTo(Contrast.TEXT);
        }
    }

    @Test
    void aGraySeedGrowsGrays() {
        for (Ramp.Shade shade : Ramp.grow(Color.rgb(120, 120, 120), Ramp.DEFAULT_STOPS, RampShape.DEFAULT)) {
            assertThat(shade.color().c1()).isEqualTo(shade.color().c2()).isEqualTo(shade.color().c3());
        }
    }

    @Test
    void hueDriftTurnsTheEndsAndLeavesTheSeed() {
        Color seed = CssColor.parse("oklch(0.5 0.1 40)");
        RampShape drifting = new RampShape(30, -30, 1, 1);
        double seedDepth = Depth.of(seed).value();
        assertThat(drifting.hueAt(0, 40, seedDepth)).isCloseTo(70, within(1e-9));
        assertThat(drifting.hueAt(120, 40, seedDepth)).isCloseTo(10, within(1e-9));
        assertThat(drifting.hueAt(seedDepth, 40, seedDepth)).isCloseTo(40, within(1e-9));
    }

    @Test
    void gamutMappingChangesNothingTheSecondTime() {
        Random random = new Random(SEED);
        for (int i = 0; i < 2_000; i++) {
            Color wild = Color.oklch(random.nextDouble(), random.nextDouble() * 0.4, random.nextDouble() * 360);
            Color once = wild.toSrgb8();
            assertThat(once.toSrgb8()).as("seed %d, %s", SEED, wild).isEqualTo(once);
        }
    }

    private static Color randomColor(Random random) {
        return Color.rgb(random.nextInt(256), random.nextInt(256), random.nextInt(256));
    }
}
