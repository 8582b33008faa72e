package org.umberloom.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TypographyValue;

class FormatTest {
    @Test
    void everyStarterComesBackEqualFromOneDocument() {
        for (Starter starter : Starter.ALL) {
            ThemeDocument theme = starter.theme(starter.name());
            assertThat(ThemeJson.readInline(ThemeJson.writeInline(theme))).isEqualTo(theme);
        }
    }

    @Test
    void aThemeComesBackEqualFromItsFiles() {
        ThemeDocument theme = Samples.starter();
        Map<String, String> files = ThemeJson.writeFiles(theme);
        assertThat(files)
                .containsOnlyKeys(
                        "theme.resolver.json",
                        "tokens/base.tokens.json",
                        "tokens/roles.tokens.json",
                        "tokens/scheme.dark.tokens.json");
        assertThat(ThemeJson.read(files.get("theme.resolver.json"), files::get)).isEqualTo(theme);
    }

    @Test
    void equalThemesGiveEqualBytes() {
        assertThat(ThemeJson.writeInline(Samples.starter())).isEqualTo(ThemeJson.writeInline(Samples.starter()));
    }

    /** from memory: Format Module 2025.10, color, dimension and typography; Color Module 2025.10, components. */
    @Test
    void tokensInTheFormsOfTheFormatModule() {
        Group tokens = TokensJson.read(
                "sample",
                """
                {
                  "color": {
                    "$type": "color", "$description": "inks",
                    "deep": { "$value": { "colorSpace": "oklch", "components": [0.4, 0.1, "none"], "alpha": 0.5 } },
                    "web": { "$value": { "colorSpace": "srgb", "components": [1, 0, 0], "hex": "#ff0000" } }
                  },
                  "gap": { "$type": "dimension", "$value": { "value": 1.5, "unit": "rem" }, "$deprecated": "use space" },
                  "body": { "$type": "typography", "$value": {
                    "fontFamily": ["Figtree", "sans-serif"], "fontSize": "{gap}", "fontWeight": "bold",
                    "letterSpacing": { "value": 0, "unit": "px" }, "lineHeight": 1.5 } }
                }""");
        Resolution resolution =
                Resolution.of(Samples.of(tokens), Samples.of(tokens).defaults());
        assertThat(resolution.findings()).isEmpty();
        assertThat(resolution
                        .value("color.deep", ColorValue.class)
                        .orElseThrow()
                        .color()
                        .alpha())
                .isEqualTo(0.5);
        assertThat(resolution
                        .value("color.web", ColorValue.class)
                        .orElseThrow()
                        .color()
                        .hex())
                .isEqualTo("#ff0000");
        assertThat(resolution.value("body", TypographyValue.class).orElseThrow().fontSize())
                .isEqualTo(DimensionValue.rem(1.5));
        assertThat(TokensJson.read("again", TokensJson.write(tokens))).isEqualTo(tokens);
    }

    @Test
    void whatOthersWroteIsKeptUntouched() {
        String text =
                """
                {
                  "ease": {
                    "$type": "cubicBezier",
                    "$value": [0.2, 0, 0, 1],
                    "$extensions": {
                      "com.example.other": {
                        "deep": [1, {"x": null}]
                      }
                    }
                  }
                }""";
        Group tokens = TokensJson.read("sample", text);
        assertThat(Json.readObject("x", TokensJson.write(tokens))).isEqualTo(Json.readObject("x", text));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"a\":{\"$type\":\"color\",\"$value\":{\"colorSpace\":\"srgb\",\"components\":[1,0]}}}|sample, a: a "
                        + "color must have three",
                "{\"a\":{\"$type\":\"color\",\"$value\":{\"colorSpace\":\"cmyk\",\"components\":[1,0,0]}}}|known are srgb",
                "{\"a\":{\"$type\":\"dimension\",\"$value\":{\"value\":1,\"unit\":\"em\"}}}|px or rem",
                "{\"a\":{\"$type\":\"fontWeight\",\"$value\":1001}}|1 to 1000",
                "{\"a\":{\"$type\":\"fontWeight\",\"$value\":\"fattish\"}}|no keyword",
                "{\"a{b\":{\"$type\":\"number\",\"$value\":1}}|cannot be a name",
                "{\"a\":{\"$type\":\"number\",\"$value\":\"{b..c}\"}}|cannot be a name",
                "{\"a\":1}|must be an object",
                "{\"a\":|not valid JSON",
                "{\"a\":{},\"a\":{}}|the same name twice"
            })
    void badTokensAreRefusedWithTheirPlace(String json, String message) {
        assertThatThrownBy(() -> TokensJson.read("sample", json))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("sample")
                .hasMessageContaining(message);
    }

    /** What others keep with a token, a group, a set and the document stays through an edit, export and import. */
    @Test
    void extensionsOfOthersAreKeptUntouched() {
        ThemeDocument theme = ThemeJson.readInline(
                """
                {"name":"x","version":"2025.10","$extensions":{"com.example.d":{"deep":[1,{"x":null}]}},
                 "sets":{"a":{"$extensions":{"com.example.s":true},"sources":[{"g":{"$extensions":{"com.example.g":"y"},
                  "n":{"$type":"number","$value":1,"$extensions":{"com.example.t":[1.5,"z"],"org.umberloom":{"detached":true}}}}}]}},
                 "resolutionOrder":[{"$ref":"#/sets/a"}]}""");
        ThemeDocument edited = new org.umberloom.core.theme.Edit.SetValue(
                        org.umberloom.core.theme.Place.set("a"),
                        TokenPath.of("g.n"),
                        new org.umberloom.core.token.NumberValue(2))
                .applyTo(theme)
                .theme();
        Map<String, String> files = ThemeJson.writeFiles(edited);
        ThemeDocument again = ThemeJson.read(files.get("theme.resolver.json"), files::get);
        assertThat(again).isEqualTo(edited);
        String text = ThemeJson.writeInline(again).replaceAll("\\s", "");
        assertThat(text)
                .contains(
                        "\"com.example.d\":{\"deep\":[1,{\"x\":null}]}",
                        "\"com.example.s\":true",
                        "\"com.example.g\":\"y\"",
                        "\"com.example.t\":[1.5,\"z\"]",
                        "\"detached\":true");
    }

    @Nested
    class ResolverDocuments {
        @Test
        void aMissingFileIsNamed() {
            assertThatThrownBy(
                            () -> ThemeJson.readInline(
                                    """
                    {"name":"x","version":"2025.10","sets":{"a":{"sources":[{"$ref":"a.json"}]}},"resolutionOrder":[]}"""))
                    .hasMessageContaining("a.json");
        }

        @Test
        void anotherVersionIsRefused() {
            assertThatThrownBy(() -> ThemeJson.readInline("{\"name\":\"x\",\"version\":\"1999.1\"}"))
                    .hasMessageContaining("2025.10");
        }

        @Test
        void anOrderThatNamesNothingIsRefused() {
            assertThatThrownBy(
                            () -> ThemeJson.readInline(
                                    """
                    {"name":"x","version":"2025.10","sets":{},"resolutionOrder":[{"$ref":"#/sets/gone"}]}"""))
                    .hasMessageContaining("gone");
        }

        @Test
        void laterSourcesOfASetWin() {
            ThemeDocument theme = ThemeJson.readInline(
                    """
                    {"name":"x","version":"2025.10","sets":{"a":{"sources":[
                      {"n":{"$type":"number","one":{"$value":1},"two":{"$value":2}}},
                      {"n":{"$type":"number","two":{"$value":3}}}]}},
                     "resolutionOrder":[{"$ref":"#/sets/a"}]}""");
            Group tokens = theme.sets().get("a").tokens();
            assertThat(tokens.token(TokenPath.of("n.two")).orElseThrow().value())
                    .isEqualTo(new org.umberloom.core.token.NumberValue(3));
            assertThat(tokens.token(TokenPath.of("n.one"))).isPresent();
        }
    }

    @Test
    void aManifestOfAnotherKindIsRefused() {
        Map<String, byte[]> files = Map.of("kit.json", "{\"format\":\"else\"}".getBytes(StandardCharsets.UTF_8));
        assertThatThrownBy(() -> KitManifest.theme(files)).hasMessageContaining("else");
    }
}
