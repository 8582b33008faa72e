package org.umberloom.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.NumberValue;

/**
 * Deep, huge, circular and malicious documents: a clear refusal or a whole result, and never a stack that overflows. The
 * time limit is no measurement: it only ends a test that would never end.
 */
class HostileDocumentsTest {
    private static final Duration FOR_EVER = Duration.ofSeconds(60);
    private static final int MANY = 50_000;

    private static ThemeDocument theme(String json) {
        return Samples.of(TokensJson.read("sample", json));
    }

    private static String chain(int length, String end) {
        StringBuilder json = new StringBuilder("{\"$type\":\"number\"");
        for (int i = 0; i < length; i++)
            json.append(",\"t")
                    .append(i)
                    .append("\":{\"$value\":\"{t")
                    .append(i + 1)
                    .append("}\"}");
        return json.append(",\"t")
                .append(length)
                .append("\":{\"$value\":")
                .append(end)
                .append("}}")
                .toString();
    }

    @Test
    void aChainOfFiftyThousandReferencesResolves() {
        assertTimeoutPreemptively(FOR_EVER, () -> {
            ThemeDocument theme = theme(chain(MANY, "7"));
            Resolution resolution = Resolution.of(theme, theme.defaults());
            assertThat(resolution.tokens()).hasSize(MANY + 1);
            assertThat(resolution.value("t0", NumberValue.class)).contains(new NumberValue(7));
        });
    }

    @Test
    void aCircleOfFiftyThousandIsOneFinding() {
        assertTimeoutPreemptively(FOR_EVER, () -> {
            ThemeDocument theme = theme(chain(MANY, "\"{t0}\""));
            List<Finding> findings = Resolution.of(theme, theme.defaults()).findings();
            assertThat(findings).hasSize(1);
            assertThat(findings.get(0).message()).contains("50001 tokens").hasSizeLessThan(300);
        });
    }

    @Test
    void thousandsOfReferencesToOneMissingTokenAreReportedWithItsNearestNames() {
        assertTimeoutPreemptively(FOR_EVER, () -> {
            StringBuilder json = new StringBuilder("{\"$type\":\"number\",\"color\":{\"$value\":1}");
            for (int i = 0; i < 20_000; i++) json.append(",\"u").append(i).append("\":{\"$value\":\"{colour}\"}");
            ThemeDocument theme = theme(json.append("}").toString());
            List<Finding> findings = Resolution.of(theme, theme.defaults()).findings();
            assertThat(findings).hasSize(20_000);
            assertThat(findings.get(0).remedy()).contains("{color}");
        });
    }

    @Test
    void groupsDeeperThanAnyoneNeedsAreRefused() {
        String json = "{\"a\":".repeat(3_000) + "{}" + "}".repeat(3_000);
        assertThatThrownBy(() -> TokensJson.read("sample", json))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("sample")
                .hasMessageContaining("levels of nesting");
    }

    @Test
    void groupsOfSixtyLevelsAreReadAndOfSeventyRefusedWithTheLimit() {
        String json = "{\"a\":".repeat(60) + "{\"$type\":\"number\",\"$value\":1}" + "}".repeat(60);
        assertThatThrownBy(() -> theme("{\"a\":".repeat(70) + "{\"$type\":\"number\",\"$value\":1}" + "}".repeat(70)))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("64 are kept");
        ThemeDocument theme = theme(json);
        assertThat(Resolution.of(theme, theme.defaults()).tokens()).hasSize(1);
        assertThat(ThemeJson.readInline(ThemeJson.writeInline(theme))).isEqualTo(theme);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"a\":{\"$type\":\"number\",\"$value\":1e999}}",
                "{\"a\":{\"$type\":\"dimension\",\"$value\":{\"value\":1e999,\"unit\":\"px\"}}}",
                "{\"a\":{\"$type\":\"number\",\"$value\":NaN}}",
                "{\"a\":{\"$type\":\"fontWeight\",\"$value\":1e30}}",
                "{\"a\":{\"$type\":\"color\",\"$value\":{\"colorSpace\":\"srgb\",\"components\":[1e400,0,0]}}}",
                "{\"\":{\"$type\":\"number\",\"$value\":1}}",
                "[]",
                "null",
                "7",
                "\"text\"",
                "",
                "{",
                "{\"a\":{\"$value\":}}",
                "\u0000"
            })
    void nonsenseIsRefusedInASentence(String json) {
        assertThatThrownBy(() -> TokensJson.read("sample", json))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("sample");
    }

    @Test
    void aNameThatLooksLikeAPathOutOfTheArchiveMakesNoSuchFile() {
        ThemeDocument theme = ThemeJson.readInline(
                """
                {"name":"x","version":"2025.10","sets":{"../../etc/passwd":{"sources":[{"n":{"$type":"number","$value":1}}]}},
                 "resolutionOrder":[]}""");
        assertThat(ThemeJson.writeFiles(theme).keySet()).noneMatch(name -> name.contains("/.."));
    }

    @Test
    void scriptInAFontFamilyStaysAName() {
        ThemeDocument theme =
                theme("{\"family\":{\"text\":{\"$type\":\"fontFamily\",\"$value\":\"x\\\"}</style><script>\"}}}");
        assertThat(org.umberloom.core.css.CustomProperties.text(Resolution.of(theme, theme.defaults())
                        .find("family.text")
                        .orElseThrow()
                        .value()))
                .isEqualTo("\"x\\\"}\\3c /style>\\3c script>\"");
    }
}
