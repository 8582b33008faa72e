package org.umberloom.core.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PublishedColorValuesTest {
    private static double contrast(String one, String other) {
        return Contrast.ratio(CssColor.parse(one), CssColor.parse(other));
    }

    /** B. Ottosson, "A perceptual color space for image processing", 2020, table of XYZ and OKLab pairs. */
    @ParameterizedTest
    @CsvSource({
        "0.950,1.000,1.089, 1.000,0.000,0.000",
        "1.000,0.000,0.000, 0.450,1.236,-0.019",
        "0.000,1.000,0.000, 0.922,-0.671,0.263",
        "0.000,0.000,1.000, 0.153,-1.415,-0.449"
    })
    void oklabPaperPairs(double x, double y, double z, double l, double a, double b) {
        double[] lab = Oklab.fromXyz(new double[] {x, y, z});
        assertThat(lab[0]).isCloseTo(l, within(0.001));
        assertThat(lab[1]).isCloseTo(a, within(0.001));
        assertThat(lab[2]).isCloseTo(b, within(0.001));
    }

    @Nested
    class Wcag {
        /** WCAG 2.2, 1.4.3: the ratio of black and white is the largest there is. */
        @Test
        void blackOnWhiteIs21() {
            assertThat(contrast("#000", "#fff")).isCloseTo(21, within(1e-9));
        }

        /** WCAG 2.2, 1.4.3; known edge (common practice): #767676 is the lightest gray that passes on white. */
        @Test
        void lightestPassingGray() {
            assertThat(contrast("#767676", "#ffffff")).isGreaterThanOrEqualTo(4.5);
            assertThat(contrast("#777777", "#ffffff")).isLessThan(4.5);
        }

        /** WCAG 2.2, 1.4.11; known edge (common practice): #949494 is the lightest gray at 3:1 on white. */
        @Test
        void lightestGrayForShapes() {
            assertThat(contrast("#949494", "#ffffff")).isGreaterThanOrEqualTo(3);
            assertThat(contrast("#959595", "#ffffff")).isLessThan(3);
        }

        /** WCAG 2.2, "relative luminance": the weights are the luminances of the primaries. */
        @ParameterizedTest
        @CsvSource({"#ff0000,0.2126", "#00ff00,0.7152", "#0000ff,0.0722"})
        void luminanceOfPrimaries(String color, double luminance) {
            assertThat(Contrast.luminance(CssColor.parse(color))).isCloseTo(luminance, within(1e-9));
        }

        /** Half-transparent black on white is composited to #808080 before it is measured. */
        @Test
        void translucentForegroundIsComposited() {
            assertThat(contrast("rgb(0 0 0 / 0.498039)", "#fff")).isCloseTo(contrast("#808080", "#fff"), within(0.01));
        }
    }

    @Nested
    class CssColor4 {
        /**
         * CSS Color 4, section 9 and the web platform tests of oklch() and oklab(), in percent of sRGB; from memory.
         */
        @ParameterizedTest
        @CsvSource({
            "oklch(51.975% 0.17686 142.495),0,50.2,0",
            "oklch(50% 0.2 0),70.492,2.351,37.073",
            "oklch(50% 0.2 270),23.056,31.73,82.628",
            "oklab(51.975% -0.1403 0.10768),0,50.2,0"
        })
        void oklchExamples(String color, double red, double green, double blue) {
            double[] actual = CssColor.parse(color).inSpace(ColorSpace.SRGB);
            assertThat(actual[0] * 100).isCloseTo(red, within(0.05));
            assertThat(actual[1] * 100).isCloseTo(green, within(0.05));
            assertThat(actual[2] * 100).isCloseTo(blue, within(0.05));
        }

        /** CSS Color 4, section 6.1: keywords are ASCII case-insensitive; the table holds 148 and transparent. */
        @Test
        void namedColors() {
            assertThat(NamedColors.all()).hasSize(149);
            assertThat(CssColor.parse("RebeccaPurple").hex()).isEqualTo("#663399");
            assertThat(CssColor.parse("transparent").alpha()).isZero();
        }

        /** CSS Color 4, section 13.2: colors at or beyond the ends of lightness become white or black. */
        @Test
        void lightnessEndsMapToWhiteAndBlack() {
            assertThat(CssColor.parse("oklch(1 0.3 20)").hex()).isEqualTo("#ffffff");
            assertThat(CssColor.parse("oklch(0 0.3 20)").hex()).isEqualTo("#000000");
        }

        /** CSS Color 4, section 4.4: a missing component counts as zero in a conversion. */
        @Test
        void noneCountsAsZero() {
            assertThat(CssColor.parse("oklch(0.5 none none)").hex())
                    .isEqualTo(CssColor.parse("oklch(0.5 0 0)").hex());
        }
    }
}
