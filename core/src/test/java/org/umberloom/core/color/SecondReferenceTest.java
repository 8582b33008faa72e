package org.umberloom.core.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Against culori, and CIEDE2000 against colorjs.io too; versions stand in the first line of each data file. */
class SecondReferenceTest {
    private static final List<String[]> COLORS = rows("/color-second-reference.csv");
    private static final List<String[]> PAIRS = rows("/color-difference-reference.csv");
    private static final List<String> SPACES = List.of(
            "xyz-d65",
            "xyz-d50",
            "srgb",
            "srgb-linear",
            "display-p3",
            "a98-rgb",
            "prophoto-rgb",
            "lab",
            "lch",
            "oklab",
            "oklch");
    /** culori's matrices are rounded to seven digits, and its OKLab to ten; Lab and LCH count in hundreds. */
    private static final double TOLERANCE = 2e-6;

    private static final double LAB_TOLERANCE = 2e-4;
    private static final double HUE_TOLERANCE = 0.02;

    private static List<String[]> rows(String name) {
        try (InputStream in = SecondReferenceTest.class.getResourceAsStream(name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("# "))
                    .map(line -> line.split(","))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Color color(String[] row) {
        return Color.of(
                ColorSpace.byId(row[0]).orElseThrow(),
                Double.parseDouble(row[1]),
                Double.parseDouble(row[2]),
                Double.parseDouble(row[3]));
    }

    @Test
    void conversionsToElevenSpacesAgree() {
        assertThat(COLORS).hasSize(2500);
        for (String[] row : COLORS)
            for (int s = 0; s < SPACES.size(); s++) {
                double[] ours =
                        color(row).inSpace(ColorSpace.byId(SPACES.get(s)).orElseThrow());
                boolean polar = SPACES.get(s).endsWith("lch") || SPACES.get(s).equals("lch");
                boolean lab = SPACES.get(s).equals("lab") || SPACES.get(s).equals("lch");
                for (int c = 0; c < 3; c++) {
                    String theirs = row[4 + s * 3 + c];
                    if (theirs.equals("none") || polar && c == 2 && ours[1] < (lab ? 1 : 0.01)) continue;
                    double tolerance = polar && c == 2 ? HUE_TOLERANCE : lab ? LAB_TOLERANCE : TOLERANCE;
                    assertThat(ours[c])
                            .as("%s component %d of %s %s %s %s", SPACES.get(s), c, row[0], row[1], row[2], row[3])
                            .isCloseTo(Double.parseDouble(theirs), within(tolerance));
                }
            }
    }

    /** Both follow CSS Color 4, section 13; where they end their search apart, the colors are one to every eye. */
    @Test
    void gamutMappingAgreesToAThirdOfAJustNoticeableDifference() {
        int at = 4 + SPACES.size() * 3;
        for (String[] row : COLORS) {
            double[] ours = GamutMapping.toSrgb(color(row));
            double[] theirs = {
                Double.parseDouble(row[at]), Double.parseDouble(row[at + 1]), Double.parseDouble(row[at + 2])
            };
            double apart = Oklab.difference(Oklab.fromXyz(Srgb.toXyz(ours)), Oklab.fromXyz(Srgb.toXyz(theirs)));
            assertThat(apart).as("%s %s %s %s", row[0], row[1], row[2], row[3]).isLessThan(0.02 / 3);
        }
    }

    @Test
    void differencesAgreeWithBothLibraries() {
        assertThat(PAIRS).hasSize(3000);
        for (String[] row : PAIRS) {
            double ours = Ciede2000.between(CssColor.parse(row[0]), CssColor.parse(row[1]));
            assertThat(ours)
                    .as("%s and %s by culori", row[0], row[1])
                    .isCloseTo(Double.parseDouble(row[2]), within(2e-4));
            assertThat(ours)
                    .as("%s and %s by colorjs.io", row[0], row[1])
                    .isCloseTo(Double.parseDouble(row[3]), within(1e-6));
        }
    }
}
