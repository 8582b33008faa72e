package org.umberloom.core.color;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Against colorjs.io over 6,000 random colors; its version stands in the first line of the data file. */
class ReferenceLibraryTest {
    private static final List<String[]> ROWS = rows();
    private static final double CONVERSION_TOLERANCE = 1e-7;
    private static final double GAMUT_TOLERANCE = 0.001;

    @Test
    void thereAreEnoughColors() {
        assertThat(ROWS).hasSizeGreaterThanOrEqualTo(5_000);
        assertThat(ROWS.stream().filter(row -> !color(row).inSrgbGamut()).count())
                .isGreaterThan(1_500);
    }

    @Test
    void conversionsAgree() {
        for (String[] row : ROWS) {
            check(row, 4, color(row).inSpace(ColorSpace.XYZ_D65), "XYZ");
            check(row, 7, color(row).inSpace(ColorSpace.LINEAR_SRGB), "linear sRGB");
            check(row, 10, color(row).inSpace(ColorSpace.OKLAB), "OKLab");
            check(row, 13, color(row).inSpace(ColorSpace.OKLCH), "OKLCH");
            check(row, 16, color(row).inSpace(ColorSpace.DISPLAY_P3), "Display P3");
        }
    }

    @Test
    void gamutMappingAgrees() {
        for (String[] row : ROWS) {
            double[] mapped = GamutMapping.toSrgb(color(row));
            for (int i = 0; i < 3; i++)
                assertThat(mapped[i])
                        .as("component %d of %s %s %s %s", i, row[0], row[1], row[2], row[3])
                        .isCloseTo(
                                Double.parseDouble(row[19 + i]),
                                org.assertj.core.api.Assertions.within(GAMUT_TOLERANCE));
        }
    }

    @Test
    void contrastAgrees() {
        Color partner = CssColor.parse("#336699");
        for (String[] row : ROWS) {
            Color mapped = Color.of(
                    ColorSpace.SRGB,
                    Double.parseDouble(row[19]),
                    Double.parseDouble(row[20]),
                    Double.parseDouble(row[21]));
            assertThat(Contrast.ratio(mapped, partner))
                    .as("contrast of %s", mapped)
                    .isCloseTo(Double.parseDouble(row[22]), org.assertj.core.api.Assertions.within(0.0005));
        }
    }

    private static void check(String[] row, int at, double[] actual, String space) {
        boolean hueSaysNothing = space.equals("OKLCH") && actual[1] < 1e-4;
        for (int i = 0; i < 3; i++) {
            if (i == 2 && hueSaysNothing || row[at + i].equals("none")) continue;
            double expected = Double.parseDouble(row[at + i]);
            double tolerance = space.equals("OKLCH") && i == 2 ? 1e-4 : CONVERSION_TOLERANCE;
            assertThat(actual[i])
                    .as("%s component %d of %s %s %s %s", space, i, row[0], row[1], row[2], row[3])
                    .isCloseTo(expected, org.assertj.core.api.Assertions.within(tolerance));
        }
    }

    private static Color color(String[] row) {
        return Color.of(
                ColorSpace.byId(row[0]).orElseThrow(),
                Double.parseDouble(row[1]),
                Double.parseDouble(row[2]),
                Double.parseDouble(row[3]));
    }

    private static List<String[]> rows() {
        try (InputStream in = ReferenceLibraryTest.class.getResourceAsStream("/color-reference.csv")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(line -> line.split(","))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
