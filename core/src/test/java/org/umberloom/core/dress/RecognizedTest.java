package org.umberloom.core.dress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.umberloom.core.color.Ciede2000;
import org.umberloom.core.format.ThemeFiles;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.TokenPath;

class RecognizedTest {
    private static Resolution resolution(ThemeDocument theme) {
        return Resolution.of(theme, theme.defaults());
    }

    private static List<Recognized.Scale> scales(String json) {
        return Recognized.scales(
                resolution(ThemeFiles.reading(Map.of("plain.json", json)).theme()));
    }

    /** The scales of an open package of colors: five hues of twelve shades each. */
    @Test
    void hueAfterHueIsARamp() {
        ThemeDocument theme =
                ElsewhereTest.reading("elsewhere/radix-colors.json").theme();
        assertThat(Recognized.ramps(resolution(theme)))
                .extracting(Recognized.Ramp::name)
                .contains("slate", "blue", "red", "green");
        assertThat(Recognized.ramps(resolution(theme))).allSatisfy(ramp -> {
            assertThat(ramp.shades()).hasSizeGreaterThan(3);
            for (int i = 1; i < ramp.shades().size(); i++)
                assertThat(ramp.shades().get(i).depth())
                        .isGreaterThanOrEqualTo(ramp.shades().get(i - 1).depth());
        });
    }

    @Test
    void colorsOfManyHuesAreNone() {
        ThemeDocument theme = ThemeFiles.reading(
                        Map.of(
                                "brand.json",
                                "{\"brand\":{\"a\":\"#ff0000\",\"b\":\"#00aa00\",\"c\":\"#0000ff\",\"d\":\"#222222\",\"e\":\"#ffff00\"}}"))
                .theme();
        assertThat(Recognized.ramps(resolution(theme))).isEmpty();
    }

    @Test
    void scalesAreToldFromTheirGrowth() {
        Recognized.Scale linear =
                scales("{\"space\":[\"4px\",\"8px\",\"12px\",\"16px\"]}").get(0);
        assertThat(linear.growth()).isEqualTo(Recognized.Growth.LINEAR);
        assertThat(linear.by()).isEqualTo(4);
        Recognized.Scale geometric = scales(
                        "{\"fontSize\":{\"sm\":\"12.8px\",\"md\":\"16px\",\"lg\":\"20px\",\"xl\":\"25px\"}}")
                .get(0);
        assertThat(geometric.growth()).isEqualTo(Recognized.Growth.GEOMETRIC);
        assertThat(geometric.by()).isCloseTo(1.25, within(1e-9));
        assertThat(geometric.residual()).isLessThan(1e-9);
        assertThat(scales("{\"space\":[\"3px\",\"4px\",\"90px\",\"91px\"]}")
                        .get(0)
                        .growth())
                .isEqualTo(Recognized.Growth.BY_HAND);
    }

    /** Source of the measure: CIEDE2000, below about 2 hardly anybody sees a difference (common practice). */
    @Test
    void aRampThatIsTakenOverStaysWhatItWas() {
        ThemeDocument theme =
                ElsewhereTest.reading("elsewhere/tailwind3-default.json").theme();
        Takeover takeover = Takeover.of(theme, TokenPath.of("colors.blue"), "blue");
        assertThat(takeover.rows().stream()
                        .mapToDouble(Takeover.Row::difference)
                        .average()
                        .orElseThrow())
                .isLessThan(2.5);
        ThemeDocument grown = takeover.edit().applyTo(theme).theme();
        Resolution after = resolution(grown);
        assertThat(takeover.rows()).allSatisfy(row -> {
            assertThat(((ColorValue) after.tokens().get(row.path()).value()).color())
                    .isEqualTo(row.after());
            assertThat(row.difference()).isEqualTo(Ciede2000.between(row.before(), row.after()));
        });
        assertThat(after.findings()).isEmpty();
        assertThat(takeover.edit().applyTo(theme).inverse().applyTo(grown).theme())
                .isEqualTo(theme);
    }
}
