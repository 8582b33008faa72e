package org.umberloom.core.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class ScrimTest {
    private static final Color BLACK = Color.rgb(0, 0, 0);
    private static final Color WHITE = Color.rgb(255, 255, 255);

    private static Scrim under(Tones tones, Color veil, Color text) {
        return new Scrim(tones, Blend.NORMAL, veil, List.of(new Scrim.Text(text, Contrast.TEXT)));
    }

    @Nested
    class Blending {
        /** Compositing and Blending Level 1, section 9.1, formulas worked by hand; the backdrop first. */
        @ParameterizedTest
        @CsvSource({
            "normal,0.2,0.6,0.6",
            "multiply,0.5,0.5,0.25",
            "screen,0.5,0.5,0.75",
            "screen,0.2,0.6,0.68",
            "overlay,0.25,0.6,0.3",
            "overlay,0.75,0.6,0.8",
            "soft-light,0.4,0.5,0.4",
            "soft-light,0.4,0,0.16",
            "soft-light,0.64,1,0.8",
            "soft-light,0.2,1,0.448"
        })
        void formulas(String keyword, double below, double above, double expected) {
            assertThat(Blend.byCss(keyword).channel(below, above)).isCloseTo(expected, within(1e-12));
        }

        @ParameterizedTest
        @EnumSource(Blend.class)
        void staysWithinAScreensRange(Blend blend) {
            for (double below = 0; below <= 1; below += 0.05)
                for (double above = 0; above <= 1; above += 0.05)
                    assertThat(blend.channel(below, above)).isBetween(-1e-12, 1 + 1e-12);
        }

        @Test
        void anUnknownKeywordIsRefusedWithTheKnownOnes() {
            assertThatThrownBy(() -> Blend.byCss("burn"))
                    .hasMessageContaining("burn")
                    .hasMessageContaining("soft-light");
        }
    }

    @Nested
    class TheSmallestVeil {
        /**
         * WCAG 2.2, 1.4.3: #767676 is the lightest gray that passes with white; white under black stays at or below it
         * from 1 − 118/255.
         */
        @Test
        void ofBlackOverWhiteForWhiteText() {
            assertThat(under(Tones.of(WHITE), BLACK, WHITE).alpha()).isBetween(0.537, 0.5385);
        }

        @Test
        void isNoneWhereTheGroundIsReadableAlready() {
            assertThat(under(Tones.of(Color.rgb(40, 40, 40), Color.rgb(10, 20, 30)), BLACK, WHITE)
                            .alpha())
                    .isZero();
        }

        @Test
        void overlooksOneHundredthOfTheArea() {
            int[] pixels = IntStream.range(0, 1000)
                    .map(i -> i < 10 ? 0xffffffff : 0xff000000)
                    .toArray();
            assertThat(under(Tones.ofPixels(pixels), BLACK, WHITE).alpha()).isZero();
            pixels[10] = 0xffffffff;
            assertThat(under(Tones.ofPixels(pixels), BLACK, WHITE).alpha()).isGreaterThan(0.5);
        }

        @Test
        void servesTheTextThatNeedsMost() {
            Tones tones = Tones.of(WHITE);
            double white = under(tones, BLACK, WHITE).alpha();
            double gray = under(tones, BLACK, Color.rgb(170, 170, 170)).alpha();
            Scrim both = new Scrim(
                    tones,
                    Blend.NORMAL,
                    BLACK,
                    List.of(new Scrim.Text(WHITE, 4.5), new Scrim.Text(Color.rgb(170, 170, 170), 4.5)));
            assertThat(gray).isGreaterThan(white);
            assertThat(both.alpha()).isEqualTo(gray);
        }

        @Test
        void countsAPictureThatShinesThroughAsWhatIsSeen() {
            assertThat(under(Tones.of(WHITE.withAlpha(0.25)), BLACK, WHITE).alpha())
                    .isZero();
            assertThat(under(Tones.of(WHITE.withAlpha(0.9)), BLACK, WHITE).alpha())
                    .isPositive();
        }

        @Test
        void isSmallerWhereBlendingDarkens() {
            Scrim multiplied = new Scrim(
                    Tones.of(WHITE), Blend.MULTIPLY, Color.rgb(0, 40, 60), List.of(new Scrim.Text(WHITE, 4.5)));
            assertThat(multiplied.alpha()).isZero();
        }

        @Test
        void moreVeilNeverMakesLessReadable() {
            for (long seed = 1; seed <= 200; seed++) {
                Random random = new Random(seed);
                int[] pixels = random.ints(300).map(rgb -> rgb | 0xff000000).toArray();
                Color text = random.nextBoolean() ? WHITE : BLACK;
                Color veil = text == WHITE
                        ? Color.rgb(random.nextInt(60), random.nextInt(60), random.nextInt(90))
                        : Color.rgb(200 + random.nextInt(55), 200 + random.nextInt(55), 200 + random.nextInt(55));
                Scrim scrim = under(Tones.ofPixels(pixels), veil, text);
                double before = 0;
                for (double alpha = 0; alpha <= 1; alpha += 0.01) {
                    double readable = scrim.readable(alpha);
                    // Rounding to 8 bits can take one level back.
                    assertThat(readable).as("seed %d, alpha %.2f", seed, alpha).isGreaterThanOrEqualTo(before - 0.011);
                    before = Math.max(before, readable);
                }
                assertThat(scrim.readable(scrim.alpha())).as("seed %d", seed).isGreaterThanOrEqualTo(Scrim.ENOUGH);
                if (scrim.alpha() > 0.02)
                    assertThat(scrim.readable(scrim.alpha() - 0.02))
                            .as("seed %d", seed)
                            .isLessThan(Scrim.ENOUGH);
            }
        }
    }

    @Nested
    class TonesOfAPicture {
        @Test
        void comeBackFromTheirBytes() {
            Tones tones = Tones.ofPixels(new Random(5).ints(5000).toArray());
            Tones again = Tones.fromBytes(tones.toBytes());
            assertThat(again.toBytes()).isEqualTo(tones.toBytes());
            assertThat(IntStream.range(0, again.size())
                            .mapToDouble(again::share)
                            .sum())
                    .isCloseTo(1, within(1e-4));
        }

        @Test
        void areRefusedWhenTheyAreSomethingElse() {
            assertThatThrownBy(() -> Tones.fromBytes(new byte[7])).isInstanceOf(IllegalArgumentException.class);
            assertThatThrownBy(() -> Tones.ofPixels(new int[0])).isInstanceOf(IllegalArgumentException.class);
        }
    }
}
