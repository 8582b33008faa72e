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
            assertThat(Depth.of(one).contrastTo(Depth.of(other)))
                    .as("seed %d, %s and %s", SEED, one, other)
                    .isCloseTo(Contrast.ratio(one, other), within(1e-9));
        }
    }

    @Test
    void spansForTheThresholdsOfWcag() {
        assertThat(Depth.spanFor(4.5)).isCloseTo(59.3, within(0.05));
        assertThat(Depth.spanFor(3)).isCloseTo(43.3, within(0.05));
        assertThat(Depth.spanFor(7)).isCloseTo(76.7, within(0.05));
    }

    /** Source: WCAG 2.2, 1.4.3, 1.4.6 and 1.4.11. */
    @Test
    void whatAColorCanBeOnAnotherRisesWithTheRatio() {
        assertThat(Legibility.values()).extracting(Legibility::ratio).containsExactly(1.0, 3.0, 4.5, 7.0);
        assertThat(Legibility.values())
                .extracting(Legibility::apart)
                .isSorted()
                .first()
                .isEqualTo(0.0);
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
                assertThat(Depth.of(shade.color()).value())
                        .as("stop %s of %s", shade.stop(), seed.hex())
                        .isCloseTo(shade.stop(), within(0.6));
        }
    }

    @Test
    void stopsSixtyApartPassForTextAfterRoundingInEveryHue() {
        Random random = new Random(SEED);
        for (int i = 0; i < 10_000; i++) {
            Color seed = randomColor(random);
            RampShape shape = i % 2 == 0
                    ? RampShape.DEFAULT
                    : new RampShape(
                            random.nextInt(361) - 180,
                            random.nextInt(361) - 180,
                            random.nextDouble() * 2,
                            random.nextDouble() * 2);
            List<Ramp.Shade> shades = Ramp.grow(seed, Ramp.DEFAULT_STOPS, shape);
            double[] luminance = shades.stream()
                    .mapToDouble(shade -> Contrast.luminance(shade.color()))
                    .toArray();
            for (int light = 0; light < luminance.length; light++)
                for (int dark = light + 1; dark < luminance.length; dark++)
                    if (shades.get(dark).stop() - shades.get(light).stop() >= 60
                            && (luminance[light] + 0.05) / (luminance[dark] + 0.05) < Contrast.TEXT)
                        throw new AssertionError("stops " + shades.get(light) + " and " + shades.get(dark) + " of "
                                + seed.hex() + " in " + shape);
        }
    }

    @Test
    void luminanceAndDepthRunAlongARampWithoutTurning() {
        Random random = new Random(SEED);
        for (int i = 0; i < 500; i++) {
            Color seed = randomColor(random);
            List<Ramp.Shade> shades = Ramp.grow(seed, Ramp.DEFAULT_STOPS, RampShape.DEFAULT);
            for (int at = 1; at < shades.size(); at++)
                assertThat(Contrast.luminance(shades.get(at).color()))
                        .as("stop %s of %s", shades.get(at).stop(), seed.hex())
                        .isLessThan(Contrast.luminance(shades.get(at - 1).color()));
        }
    }

    @Test
    void curvesPassThroughTheSeedAndNoShadeLeavesTheEdgeOfTheGamut() {
        Random random = new Random(SEED);
        for (int i = 0; i < 200; i++) {
            Color seed = randomColor(random);
            Color oklch = seed.to(ColorSpace.OKLCH);
            List<Ramp.Point> curves = Ramp.curves(seed, RampShape.DEFAULT);
            assertThat(curves).hasSize(25);
            double depth = Depth.of(seed).value();
            double most = curves.stream().mapToDouble(Ramp.Point::chroma).max().orElseThrow();
            assertThat(most).as("%s", seed.hex()).isLessThanOrEqualTo(oklch.c2() + 1e-9);
            Ramp.Point near = curves.stream()
                    .min(java.util.Comparator.comparingDouble(p -> Math.abs(p.depth() - depth)))
                    .orElseThrow();
            assertThat(near.chroma()).as("%s", seed.hex()).isCloseTo(oklch.c2(), within(0.2 * oklch.c2() + 1e-9));
            for (Ramp.Point point : curves) {
                Color shade = Ramp.atDepth(new Depth(point.depth()), point.chroma(), point.hue());
                // Mapping clips up to one just noticeable difference (0.02) beyond, and one 8-bit level moves a dark
                // color.
                assertThat(shade.to(ColorSpace.OKLCH).c2())
                        .as("depth %s of %s", point.depth(), seed.hex())
                        .isLessThan(point.edge() + 0.03);
            }
        }
    }

    /** CSS Color 4: the primary red of sRGB is oklch(62.796% 0.25768 29.234), at the very edge; P3 reaches further. */
    @Test
    void theEdgeOfAGamutIsWhereItsPrimariesAre() {
        assertThat(GamutMapping.mostChroma(Gamut.SRGB, 0.62796, 29.234)).isCloseTo(0.25768, within(0.0005));
        Color p3Red = Color.of(ColorSpace.DISPLAY_P3, 1, 0, 0).to(ColorSpace.OKLCH);
        assertThat(GamutMapping.mostChroma(Gamut.DISPLAY_P3, p3Red.c1(), p3Red.c3()))
                .isCloseTo(p3Red.c2(), within(0.0005));
        assertThat(Gamut.DISPLAY_P3.holds(p3Red)).isTrue();
        assertThat(p3Red.inSrgbGamut()).isFalse();
    }

    @Test
    void aGraySeedGrowsGrays() {
        for (Ramp.Shade shade : Ramp.grow(Color.rgb(120, 120, 120), Ramp.DEFAULT_STOPS, RampShape.DEFAULT)) {
            assertThat(shade.color().c1())
                    .isEqualTo(shade.color().c2())
                    .isEqualTo(shade.color().c3());
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
