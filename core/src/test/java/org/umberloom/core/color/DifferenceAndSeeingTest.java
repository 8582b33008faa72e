package org.umberloom.core.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class DifferenceAndSeeingTest {
    /** The 34 pairs of Sharma, Wu and Dalal 2005, table 1, from memory; to the four decimals that are published. */
    @ParameterizedTest
    @CsvSource({
        "50,2.6772,-79.7751,50,0,-82.7485,2.0425",
        "50,3.1571,-77.2803,50,0,-82.7485,2.8615",
        "50,2.8361,-74.0200,50,0,-82.7485,3.4412",
        "50,-1.3802,-84.2814,50,0,-82.7485,1.0000",
        "50,-1.1848,-84.8006,50,0,-82.7485,1.0000",
        "50,-0.9009,-85.5211,50,0,-82.7485,1.0000",
        "50,0,0,50,-1,2,2.3669",
        "50,-1,2,50,0,0,2.3669",
        "50,2.4900,-0.0010,50,-2.4900,0.0009,7.1792",
        "50,2.4900,-0.0010,50,-2.4900,0.0010,7.1792",
        "50,2.4900,-0.0010,50,-2.4900,0.0011,7.2195",
        "50,2.4900,-0.0010,50,-2.4900,0.0012,7.2195",
        "50,-0.0010,2.4900,50,0.0009,-2.4900,4.8045",
        "50,-0.0010,2.4900,50,0.0010,-2.4900,4.8045",
        "50,-0.0010,2.4900,50,0.0011,-2.4900,4.7461",
        "50,2.5,0,50,0,-2.5,4.3065",
        "50,2.5,0,73,25,-18,27.1492",
        "50,2.5,0,61,-5,29,22.8977",
        "50,2.5,0,56,-27,-3,31.9030",
        "50,2.5,0,58,24,15,19.4535",
        "50,2.5,0,50,3.1736,0.5854,1.0000",
        "50,2.5,0,50,3.2972,0,1.0000",
        "50,2.5,0,50,1.8634,0.5757,1.0000",
        "50,2.5,0,50,3.2592,0.3350,1.0000",
        "60.2574,-34.0099,36.2677,60.4626,-34.1751,39.4387,1.2644",
        "63.0109,-31.0961,-5.8663,62.8187,-29.7946,-4.0864,1.2630",
        "61.2901,3.7196,-5.3901,61.4292,2.2480,-4.9620,1.8731",
        "35.0831,-44.1164,3.7933,35.0232,-40.0716,1.5901,1.8645",
        "22.7233,20.0904,-46.6940,23.0331,14.9730,-42.5619,2.0373",
        "36.4612,47.8580,18.3852,36.2715,50.5065,21.2231,1.4146",
        "90.8027,-2.0831,1.4410,91.1528,-1.6435,0.0447,1.4441",
        "90.9257,-0.5406,-0.9208,88.6381,-0.8985,-0.7239,1.5381",
        "6.7747,-0.2908,-2.4247,5.8714,-0.0985,-2.2286,0.6377",
        "2.0776,0.0795,-1.1350,0.9033,-0.0636,-0.5514,0.9082"
    })
    void thePublishedPairs(double l1, double a1, double b1, double l2, double a2, double b2, double difference) {
        double[] one = {l1, a1, b1};
        double[] other = {l2, a2, b2};
        assertThat(Ciede2000.between(one, other)).isCloseTo(difference, within(0.00005));
        assertThat(Ciede2000.between(other, one)).isCloseTo(difference, within(0.00005));
    }

    @Nested
    class Seeing {
        @ParameterizedTest
        @EnumSource(Deficiency.class)
        void graysStayGrays(Deficiency deficiency) {
            for (int level = 0; level < 256; level += 15) {
                Color gray = Color.rgb(level, level, level);
                assertThat(Ciede2000.between(deficiency.seen(gray), gray))
                        .as("gray %d", level)
                        .isLessThan(0.5);
            }
        }

        /** Machado and others 2009: rows of each matrix add up to 1, so that white stays white. */
        @ParameterizedTest
        @EnumSource(Deficiency.class)
        void rowsAddUpToOne(Deficiency deficiency) {
            for (int row = 0; row < 3; row++)
                assertThat(deficiency.matrix().subList(row * 3, row * 3 + 3).stream()
                                .mapToDouble(x -> x)
                                .sum())
                        .isCloseTo(1, within(1e-5));
        }

        @Test
        void aRedAndAGreenComeNearWithoutGreenCones() {
            Color red = CssColor.parse("#b23a3a");
            Color green = CssColor.parse("#4f7d2f");
            double before = Ciede2000.between(red, green);
            assertThat(Ciede2000.between(Deficiency.DEUTERANOPIA.seen(red), Deficiency.DEUTERANOPIA.seen(green)))
                    .isLessThan(before / 3);
        }
    }

    @Test
    void partnersKeepTheSeedsDepthAndTurnItsHue() {
        Color seed = CssColor.parse("#1c6076");
        for (Harmony harmony : Harmony.values())
            for (Color partner : harmony.partners(seed))
                assertThat(Depth.of(partner).value())
                        .as(harmony.words())
                        .isCloseTo(Depth.of(seed).value(), within(0.6));
        assertThat(Harmony.TETRAD.partners(seed)).hasSize(3);
    }

    @Nested
    class Pictures {
        private final Color[] planted = {Color.rgb(28, 96, 118), Color.rgb(200, 80, 28), Color.rgb(180, 152, 110)};

        private int[] picture(long seed) {
            Random random = new Random(seed);
            List<Integer> pixels = new ArrayList<>();
            int[] counts = {6_000, 1_500, 2_500};
            for (int c = 0; c < planted.length; c++)
                for (int i = 0; i < counts[c]; i++) {
                    int r = noisy(random, planted[c].c1());
                    int g = noisy(random, planted[c].c2());
                    int b = noisy(random, planted[c].c3());
                    pixels.add(0xff000000 | r << 16 | g << 8 | b);
                }
            for (int i = 0; i < 4_000; i++) pixels.add(0x10ff00ff);
            java.util.Collections.shuffle(pixels, random);
            return pixels.stream().mapToInt(Integer::intValue).toArray();
        }

        private static int noisy(Random random, double component) {
            return (int) Math.max(0, Math.min(255, Math.round(component * 255 + random.nextGaussian() * 4)));
        }

        @Test
        void thePlantedColorsAreFoundWithTheirShares() {
            List<PictureColors.Found> found = PictureColors.of(picture(1), 5);
            double[] shares = {0.6, 0.15, 0.25};
            for (int c = 0; c < planted.length; c++) {
                Color color = planted[c];
                PictureColors.Found nearest = found.stream()
                        .min(java.util.Comparator.comparingDouble(f -> Ciede2000.between(f.color(), color)))
                        .orElseThrow();
                assertThat(Ciede2000.between(nearest.color(), color)).isLessThan(2);
                assertThat(nearest.share()).isCloseTo(shares[c], within(0.02));
            }
            assertThat(found).hasSize(3);
        }

        @Test
        void theOrderOfThePixelsDoesNotMatter() {
            int[] pixels = picture(2);
            int[] sorted = pixels.clone();
            Arrays.sort(sorted);
            assertThat(PictureColors.of(sorted, 5)).isEqualTo(PictureColors.of(pixels, 5));
        }

        @Test
        void aPictureWithoutOpaquePixelsHasNoColors() {
            assertThat(PictureColors.of(new int[] {0, 0x20ffffff}, 5)).isEmpty();
        }

        @Test
        void aPictureOfOneColorHasThatOne() {
            int[] pixels = new int[100];
            Arrays.fill(pixels, 0xff7a4a2b);
            assertThat(PictureColors.of(pixels, 5))
                    .extracting(f -> f.color().hex())
                    .containsExactly("#7a4a2b");
        }
    }
}
