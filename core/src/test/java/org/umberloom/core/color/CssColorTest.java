package org.umberloom.core.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CssColorTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "#7a4a2b|#7a4a2b",
                "#ABC|#aabbcc",
                "#12345678|#12345678",
                "#f008|#ff000088",
                "rgb(122 74 43)|#7a4a2b",
                "rgb(122, 74, 43)|#7a4a2b",
                "rgba(255, 0, 0, 0.5)|#ff000080",
                "rgb(100% 0% 0%)|#ff0000",
                "rgb(300 -20 0)|#ff0000",
                "Tomato|#ff6347",
                "oklch(50% 0 none)|#636363",
                "color(srgb 1 0.5 0)|#ff8000",
                "oklch(0.5 0.1 0.25turn)|#796006",
                "oklch(0.5 0.1 90deg)|#796006",
                "oklch(0.5 25% 100grad)|#796006"
            })
    void formsOfTheSameColor(String written, String hex) {
        assertThat(CssColor.parse(written).hex()).isEqualTo(hex);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "#7a4a2b",
                "#0000007f",
                "oklch(0.52 0.09 61.5)",
                "oklch(0.5 0.1 none)",
                "oklab(0.4 0.1 -0.05)",
                "color(display-p3 0.5 0.3 0.2)",
                "oklch(0.7 0.2 140 / 0.4)"
            })
    void whatIsWrittenReadsTheSame(String text) {
        assertThat(CssColor.write(CssColor.parse(text))).isEqualTo(text);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "umber",
                "#12",
                "#ggg",
                "rgb(1 2)",
                "rgb(1 2 3 4)",
                "oklch(0.5, 0.1, 20)",
                "rgb(1 2 3",
                "color(cmyk 0 0 0)",
                "12px",
                "rgb(1px 2 3)"
            })
    void whatIsNoColorIsRefusedWithTheTextAndAWayOut(String text) {
        assertThatThrownBy(() -> CssColor.parse(text))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageMatching("(?s)“.+” is not a .*");
    }

    @Test
    void nothingAtAllIsRefused() {
        assertThatThrownBy(() -> CssColor.parse("  ")).hasMessageContaining("empty");
    }

    /** CSS Color 4, sections 7 and 8: without saturation, or with white and black that fill it, a color is a gray. */
    @Test
    void graysStayGrayToTheLastBit() {
        for (int light = 0; light <= 100; light++)
            for (String text :
                    new String[] {"hsl(123 0% " + light + "%)", "hwb(200 " + light + "% " + (100 - light) + "%)"}) {
                Color rgb = CssColor.parse(text).to(ColorSpace.SRGB);
                assertThat(rgb.c1()).as(text).isEqualTo(rgb.c2()).isEqualTo(rgb.c3());
                assertThat(rgb.to(ColorSpace.HSL).c2()).as(text).isZero();
            }
    }
}
