package org.umberloom.core.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The further spaces of CSS Color 4 against colorjs.io; its version stands in the first line of the data file. */
class ColorSpacesTest {
    private static final List<String> IDS =
            List.of("hsl", "hwb", "lab", "lch", "a98-rgb", "prophoto-rgb", "rec2020", "xyz-d50");

    @Test
    void conversionsAgreeWithTheReferenceLibrary() throws IOException {
        int rows = 0;
        try (InputStream in = getClass().getResourceAsStream("/color-spaces-reference.csv")) {
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .skip(1)
                    .toList()) {
                String[] row = line.split(",");
                Color color = Color.of(
                        ColorSpace.SRGB,
                        Double.parseDouble(row[0]),
                        Double.parseDouble(row[1]),
                        Double.parseDouble(row[2]));
                for (int space = 0; space < IDS.size(); space++)
                    check(color, ColorSpace.byId(IDS.get(space)).orElseThrow(), row, 3 + space * 3);
                rows++;
            }
        }
        assertThat(rows).isEqualTo(1_500);
    }

    private static void check(Color color, ColorSpace space, String[] row, int at) {
        double[] actual = color.inSpace(space);
        for (int i = 0; i < 3; i++) {
            if (row[at + i].equals("none") || Double.isNaN(actual[i])) continue;
            double tolerance =
                    space == ColorSpace.HSL || space == ColorSpace.HWB || space == ColorSpace.LCH ? 2e-5 : 1e-6;
            assertThat(actual[i])
                    .as("%s component %d of rgb %s %s %s", space.id(), i, row[0], row[1], row[2])
                    .isCloseTo(Double.parseDouble(row[at + i]), within(tolerance));
        }
    }

    @ParameterizedTest
    @EnumSource(ColorSpace.class)
    void everySpaceGoesThereAndBack(ColorSpace space) {
        for (String css : List.of("#7a4a2b", "#204080", "#fefefe", "#010203", "#ff0000", "#00ff7f")) {
            Color color = CssColor.parse(css);
            assertThat(color.to(space).hex())
                    .as("%s by way of %s", css, space.id())
                    .isEqualTo(css);
        }
    }

    /** From memory: CSS Color 4, examples of sections 7 to 10, equal colors in several forms. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "hsl(120deg 100% 50%) | #00ff00",
                "hsl(120 100% 25%) | #008000",
                "hsla(120, 100%, 50%, 1) | #00ff00",
                "hwb(90 0% 100%) | #000000",
                "hwb(150 20% 10%) | #33e68c",
                "lab(29.2345% 39.3825 20.0664) | #7d2329",
                "lab(52.2345% 40.1645 59.9971) | #c65d06",
                "lch(29.2345% 44.2 27) | #7d2329",
                "lch(52.2345% 72.2 56.2) | #c65d06",
                "color(xyz-d50 0.2005 0.14089 0.4472) | #7654cd",
                "color(xyz 0.21661 0.14602 0.59452) | #7654cd"
            })
    void publishedExamples(String written, String hex) {
        assertThat(CssColor.parse(written.trim()).hex()).isEqualTo(hex.trim());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "hsl(120 50% 25%)",
                "hwb(90 10% 20%)",
                "lab(50 20 -30)",
                "lch(50 30 200)",
                "color(a98-rgb 0.1 0.2 0.3)",
                "color(prophoto-rgb 0.1 0.2 0.3)",
                "color(rec2020 0.1 0.2 0.3 / 0.5)",
                "color(xyz-d50 0.1 0.2 0.3)",
                "hsl(none 0% 50%)"
            })
    void isWrittenInItsOwnForm(String written) {
        assertThat(CssColor.write(CssColor.parse(written))).isEqualTo(written);
    }
}
