package org.umberloom.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.check.Tidiness;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.FontWeightValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.ValueText;

/** Rules of the Format and Color Modules 2025.10 that files from elsewhere rely on. */
class RulesOfTheFormatTest {
    private static ThemeJson.Reading reading(String json) {
        return ThemeFiles.reading(Map.of("file.tokens.json", json));
    }

    private static Resolved resolved(String json, String path) {
        ThemeDocument theme = reading(json).theme();
        Resolution resolution = Resolution.of(theme, theme.defaults());
        assertThat(resolution.findings()).isEmpty();
        return resolution.find(path).orElseThrow();
    }

    /** Format Module 2025.10, groups: a group takes over the type of the one it extends. */
    @Test
    void extendingHandsDownTheType() {
        assertThat(resolved(
                                """
                {"base": {"$type": "dimension", "a": {"$value": {"value": 4, "unit": "px"}}},
                 "more": {"$extends": "{base}", "b": {"$value": {"value": 8, "unit": "px"}}}}""",
                                "more.b")
                        .type())
                .isEqualTo(TokenType.DIMENSION);
        assertThat(resolved(
                                """
                {"$type": "color", "one": {"$type": "number", "x": {"$value": 1}}, "two": {"$extends": "{one}"},
                 "three": {"$extends": "{two}", "y": {"$value": 2}}}""",
                                "three.y")
                        .type())
                .isEqualTo(TokenType.NUMBER);
    }

    /** Format Module 2025.10, $type: the type of a referenced token comes before that of the groups around the reference. */
    @Test
    void aReferenceHasItsTargetsType() {
        assertThat(resolved(
                                """
                {"size": {"$type": "dimension", "a": {"$value": {"value": 4, "unit": "px"}}},
                 "all": {"$type": "color", "b": {"$value": "{size.a}"}}}""",
                                "all.b")
                        .type())
                .isEqualTo(TokenType.DIMENSION);
    }

    /** Format Module 2025.10, fontWeight: a number from 1 to 1000. */
    @Test
    void weightsMayHaveFractions() {
        assertThat(resolved("{\"w\": {\"$type\": \"fontWeight\", \"$value\": 350.5}}", "w")
                        .value())
                .isEqualTo(new FontWeightValue(350.5));
        assertThatThrownBy(() -> reading("{\"w\": {\"$type\": \"fontWeight\", \"$value\": 0.5}}"))
                .hasMessageContaining("1 to 1000");
    }

    /** Color Module 2025.10: names of color spaces are in small letters; another case is read, and said. */
    @Test
    void aColorSpaceInCapitalsIsReadAndSaid() {
        ThemeJson.Reading reading = reading(
                "{\"c\": {\"$type\": \"color\", \"$value\": {\"colorSpace\": \"sRGB\", \"components\": [1, 0, 0]}}}");
        assertThat(reading.notes()).anyMatch(note -> note.contains("small letters"));
        assertThat(TokensJson.write(reading.theme().sets().get("tokens").tokens()))
                .contains("\"srgb\"");
    }

    /** Color Module 2025.10: components have ranges. */
    @Test
    void whatLiesOutsideItsRangeIsAFinding() {
        ThemeDocument theme = reading(
                        "{\"c\": {\"$type\": \"color\", \"$value\": {\"colorSpace\": \"hsl\", \"components\": [400, 50, 120]}}}")
                .theme();
        List<Finding> found = Tidiness.findings(theme).stream()
                .filter(one -> one.code().equals("range"))
                .toList();
        assertThat(found).singleElement().satisfies(one -> {
            assertThat(one.message()).contains("400");
            ThemeDocument mended = one.fixes().get(0).edit().applyTo(theme).theme();
            assertThat(TokensJson.write(mended.sets().get("tokens").tokens())).contains("40", "100");
            assertThat(Tidiness.findings(mended)).noneMatch(left -> left.code().equals("range"));
        });
    }

    /** Format Module 2025.10, section 7.3: a JSON pointer leads to an element of an array as to a property. */
    @Test
    void aGradientTakesAStopOrAPartOfOneFromAnother() {
        String warm = "\"warm\": {\"$type\": \"gradient\", \"$value\": [{\"color\": {\"colorSpace\": \"srgb\", "
                + "\"components\": [1, 0, 0]}, \"position\": 0.25},"
                + " {\"color\": {\"colorSpace\": \"srgb\", \"components\": [0, 0, 1]}, \"position\": 1}]}";
        for (String stop : List.of(
                "{\"$ref\": \"#/warm/$value/0\"}",
                "{\"color\": {\"$ref\": \"#/warm/$value/0/color\"}, \"position\": {\"$ref\": \"#/warm/$value/0/position\"}}")) {
            String json = "{" + warm + ", \"cool\": {\"$type\": \"gradient\", \"$value\": [" + stop
                    + ", {\"color\": {\"colorSpace\": \"srgb\", \"components\": [0, 1, 0]}, \"position\": 1}]}}";
            assertThat(ValueText.write(resolved(json, "cool").value())).as(stop).isEqualTo("#ff0000 25%, #00ff00 100%");
            Group tokens = reading(json).theme().sets().get("tokens").tokens();
            assertThat(TokensJson.write(tokens)).as(stop).contains("#/warm/$value/0");
            TokenValue cool = tokens.token(TokenPath.of("cool")).orElseThrow().value();
            assertThat(ValueText.write(cool)).startsWith("#/warm/$value/0");
            assertThat(ValueText.write(ValueText.parse(TokenType.GRADIENT, ValueText.write(cool))))
                    .as("typed again")
                    .isEqualTo(ValueText.write(cool));
        }
    }

    /** The same for one shadow of several, and for a dash. */
    @Test
    void aShadowOfAListAndADashOfALineCanBeTakenToo() {
        String px = "{\"value\": %s, \"unit\": \"px\"}";
        String layer = "{\"color\": {\"colorSpace\": \"srgb\", \"components\": [0, 0, 0]}, \"offsetX\": "
                + px.formatted(1) + ", \"offsetY\": " + px.formatted(2) + ", \"blur\": " + px.formatted(3)
                + ", \"spread\": " + px.formatted(0) + "}";
        assertThat(ValueText.write(resolved(
                                "{\"low\": {\"$type\": \"shadow\", \"$value\": [" + layer + "]},"
                                        + " \"high\": {\"$type\": \"shadow\", \"$value\": [{\"$ref\": \"#/low/$value/0\"}, "
                                        + layer + "]}}",
                                "high")
                        .value()))
                .isEqualTo("1px 2px 3px 0px #000000, 1px 2px 3px 0px #000000");
        String dashes =
                "{\"dash\": {\"$type\": \"strokeStyle\", \"$value\": {\"lineCap\": \"round\", \"dashArray\": [%s, "
                        + "%s]}}, \"other\": {\"$type\": \"strokeStyle\","
                        + " \"$value\": {\"lineCap\": \"butt\", \"dashArray\": [{\"$ref\": \"#/dash/$value/dashArray/1\"}]}}}";
        assertThat(ValueText.write(resolved(dashes.formatted(px.formatted(4), px.formatted(9)), "other")
                        .value()))
                .contains("9px");
    }

    /**
     * Format Module 2025.10 gives the members of each composite type; what a file holds beside them is its own. Kept as a
     * reader that is lenient would, and said.
     */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"$type\": \"shadow\", \"$value\": {\"color\": \"{c}\", \"offsetX\": PX, \"offsetY\": PX, \"blur\": "
                        + "PX, \"spread\": PX, \"glow\": [1, {\"deep\": true}]}}",
                "{\"$type\": \"shadow\", \"$value\": [{\"color\": \"{c}\", \"offsetX\": PX, \"offsetY\": PX, "
                        + "\"blur\": PX, \"spread\": PX, \"glow\": 3, \"inset\": true}]}",
                "{\"$type\": \"border\", \"$value\": {\"color\": \"{c}\", \"width\": PX, \"style\": \"solid\", \"glow\": null}}",
                "{\"$type\": \"transition\", \"$value\": {\"duration\": MS, \"delay\": MS, \"timingFunction\": [0, 0, "
                        + "1, 1], \"glow\": \"none\"}}",
                "{\"$type\": \"dimension\", \"$value\": {\"value\": 4, \"unit\": \"px\", \"glow\": 1}}",
                "{\"$type\": \"duration\", \"$value\": {\"value\": 4, \"unit\": \"ms\", \"glow\": 1}}",
                "{\"$type\": \"color\", \"$value\": {\"colorSpace\": \"srgb\", \"components\": [0, 0, 0], \"alpha\": "
                        + "0.5, \"glow\": {\"of\": \"sun\"}}}",
                "{\"$type\": \"strokeStyle\", \"$value\": {\"dashArray\": [{\"value\": 4, \"unit\": \"px\", \"glow\": "
                        + "1}], \"lineCap\": \"round\"}}",
                "{\"$type\": \"gradient\", \"$value\": [{\"color\": \"{c}\", \"position\": 0, \"glow/~\": 1}, "
                        + "{\"color\": \"{c}\", \"position\": 1}]}",
                "{\"$type\": \"typography\", \"$value\": {\"fontFamily\": \"Serif\", \"fontSize\": PX, "
                        + "\"fontWeight\": 400, \"letterSpacing\": PX, \"lineHeight\": 1.5, \"glow\": \"underline\"}}",
            })
    void membersThatTheFormatDoesNotKnowAreKeptAndSaid(String token) {
        String json =
                "{\"c\": {\"$type\": \"color\", \"$value\": {\"colorSpace\": \"srgb\", \"components\": [0, 0, 0]}}, \"t\": "
                        + token.replace("PX", "{\"value\": 2, \"unit\": \"px\"}")
                                .replace("MS", "{\"value\": 2, \"unit\": \"ms\"}")
                        + "}";
        ThemeJson.Reading reading = reading(json);
        assertThat(reading.notes()).anyMatch(note -> note.contains("kept and go out as they came (t: glow"));
        Group group = reading.theme().sets().get("tokens").tokens();
        Map<String, Object> given = Json.readObject("given", json);
        Map<String, Object> written = Json.readObject("written", TokensJson.write(group));
        assertThat(withoutHex(((Map<?, ?>) written.get("t")).get("$value")))
                .isEqualTo(((Map<?, ?>) given.get("t")).get("$value"));
        resolved(json, "t");
    }

    private static Object withoutHex(Object data) {
        if (data instanceof Map<?, ?> map) {
            Map<Object, Object> rest = new LinkedHashMap<>(map);
            rest.remove("hex");
            rest.replaceAll((name, item) -> withoutHex(item));
            return rest;
        }
        return data instanceof List<?> list
                ? list.stream().map(RulesOfTheFormatTest::withoutHex).toList()
                : data;
    }

    @Test
    void suchMembersStayThroughEditsThatLeaveWhereTheyStood() {
        ThemeDocument theme = reading(
                        """
                {"s": {"$type": "shadow", "$value": {"glow": 3, "color": {"colorSpace": "srgb", "components": [0, 0, 0]},
                 "offsetX": {"value": 1, "unit": "px"},
                 "offsetY": {"value": 1, "unit": "px"}, "blur": {"value": 1, "unit": "px", "by": "eye"}, "spread": {"value": 1,
                  "unit": "px"}}},
                 "other": {"$type": "shadow", "$value": "{s}"}}""")
                .theme();
        TokenPath path = TokenPath.of("s");
        ThemeDocument moved = applied(
                theme,
                new Edit.SetValue(
                        Place.set("tokens"), path, ValueText.parse(TokenType.SHADOW, "5px 6px 7px 8px #ffffff")));
        assertThat(json(moved)).contains("\"glow\"", "\"by\"", "\"eye\"");
        ThemeDocument described = applied(
                moved,
                new Edit.SetMeta(
                        Place.set("tokens"),
                        path,
                        Meta.NONE.withType(Optional.of(TokenType.SHADOW)).described("low")));
        assertThat(json(applied(described, new Edit.Move(path, TokenPath.of("depth.s")))))
                .contains("\"glow\"", "\"low\"");
        Edit.Applied aliased = new Edit.SetValue(Place.set("tokens"), path, Alias.parse("{depth}")).applyTo(theme);
        assertThat(json(aliased.theme())).doesNotContain("glow");
        assertThat(json(applied(aliased.theme(), aliased.inverse()))).contains("\"glow\"", "\"by\"");
    }

    private static ThemeDocument applied(ThemeDocument theme, Edit edit) {
        return edit.applyTo(theme).theme();
    }

    private static String json(ThemeDocument theme) {
        return TokensJson.write(theme.sets().get("tokens").tokens());
    }

    @Nested
    class Files {
        /** Unicode 15, 23.8: a mark that says nothing of the text. */
        @Test
        void aByteOrderMarkIsReadPast() {
            assertThat(ThemeFiles.reading(Map.of("a.json", "\uFEFF{\"a\": {\"$type\": \"number\", \"$value\": 1}}"))
                            .theme()
                            .sets())
                    .isNotEmpty();
        }

        @Test
        void plainNamesAndValuesBecomeTokens() {
            ThemeDocument theme = reading(
                            """
                    {"colors": {"blue": ["#eef", "#00f"], "ink": "rebeccapurple"}, "fonts": {"body": ["Georgia", "serif"]},
                     "fontWeights": {"bold": 700},
                     "space": [0, "4px", "1.5rem"], "shadows": {"card": "0 1px 3px rgb(0 0 0 / 0.2)"},
                     "ease": "cubic-bezier(0.2, 0, 0, 1)", "slow": "200ms", "odd": "a b c"}""")
                    .theme();
            Resolution resolution = Resolution.of(theme, theme.defaults());
            assertThat(resolution.tokens().values().stream()
                            .map(token -> token.path() + " " + token.type().id()))
                    .contains(
                            "colors.blue.0 color",
                            "colors.blue.1 color",
                            "colors.ink color",
                            "fonts.body fontFamily",
                            "fontWeights.bold fontWeight",
                            "space.1 dimension",
                            "shadows.card shadow",
                            "ease cubicBezier",
                            "slow duration");
            assertThat(resolution
                            .value("fonts.body", FontFamilyValue.class)
                            .orElseThrow()
                            .families())
                    .containsExactly("Georgia", "serif");
        }

        @Test
        void customPropertiesBecomeTokensAndWhatChangesThemBecomesContexts() {
            ThemeJson.Reading reading = ThemeFiles.reading(
                    Map.of(
                            "site.css",
                            """
                    :root { --bg: #fff; --fg: #111; --accent: var(--fg); --accent-hover: #333; --gap: calc(1px + 2px); }
                    @media (prefers-color-scheme: dark) { :root { --bg: #111; --fg: #eee; } }
                    .card { --pad: 4px; }
                    @media (min-width: 600px) { :root { --gap: 8px; } }"""));
            ThemeDocument theme = reading.theme();
            assertThat(theme.modifiers().get("scheme").contexts().keySet()).containsExactly("light", "dark");
            Resolution dark = Resolution.of(theme, theme.defaults().with("scheme", "dark"));
            assertThat(dark.find("accent.$root").orElseThrow().value())
                    .isEqualTo(dark.find("fg").orElseThrow().value());
            assertThat(reading.notes())
                    .anyMatch(note -> note.contains("--gap"))
                    .anyMatch(note -> note.contains("parts of a page"))
                    .anyMatch(note -> note.contains("window"));
        }

        @Test
        void themeBlocksAndPalettesComeInToo() {
            assertThat(ThemeFiles.reading(Map.of(
                                    "t.css", "@theme { --color-sea-50: oklch(0.97 0.01 230); --radius-md: 6px; }"))
                            .theme()
                            .sets()
                            .get("tokens")
                            .tokens()
                            .tokenCount())
                    .isEqualTo(2);
            assertThat(ThemeFiles.reading(Map.of("p.gpl", "GIMP Palette\nName: P\n255 0 0 Red\n0 0 255 Blue\n"))
                            .theme()
                            .sets()
                            .get("tokens")
                            .tokens()
                            .tokenCount())
                    .isEqualTo(2);
        }

        @Test
        void whatIsNothingGetsASentence() {
            for (String text : List.of(
                    "hello", "<html></html>", "", "[1, 2]", "{\"a\": true}", "{\"a\": ", ":root { color: red }"))
                assertThatThrownBy(() -> ThemeFiles.reading(Map.of("x.txt", text)))
                        .as(text)
                        .isInstanceOf(IllegalArgumentException.class)
                        .satisfies(refused -> assertThat(refused.getMessage())
                                .doesNotContain("Exception", "Unexpected", "token at")
                                .hasSizeGreaterThan(20));
            assertThatThrownBy(() -> ThemeFiles.reading(
                            new java.util.TreeMap<>(Map.of("a.css", ":root{--a:1px}", "b.json", "{}"))))
                    .isInstanceOf(FormatException.class)
                    .hasMessageContaining("None of the 2 files holds tokens");
        }
    }
}
