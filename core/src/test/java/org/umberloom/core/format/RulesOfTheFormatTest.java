package org.umberloom.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.umberloom.core.check.Tidiness;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.FontWeightValue;
import org.umberloom.core.token.TokenType;

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
        assertThat(resolved("""
                {"base": {"$type": "dimension", "a": {"$value": {"value": 4, "unit": "px"}}},
                 "more": {"$extends": "{base}", "b": {"$value": {"value": 8, "unit": "px"}}}}""", "more.b").type()).isEqualTo(TokenType.DIMENSION);
        assertThat(resolved("""
                {"$type": "color", "one": {"$type": "number", "x": {"$value": 1}}, "two": {"$extends": "{one}"}, "three": {"$extends": "{two}", "y": {"$value": 2}}}""",
                "three.y").type()).isEqualTo(TokenType.NUMBER);
    }

    /** Format Module 2025.10, $type: the type of a referenced token comes before that of the groups around the reference. */
    @Test
    void aReferenceHasItsTargetsType() {
        assertThat(resolved("""
                {"size": {"$type": "dimension", "a": {"$value": {"value": 4, "unit": "px"}}}, "all": {"$type": "color", "b": {"$value": "{size.a}"}}}""", "all.b").type())
                .isEqualTo(TokenType.DIMENSION);
    }

    /** Format Module 2025.10, fontWeight: a number from 1 to 1000. */
    @Test
    void weightsMayHaveFractions() {
        assertThat(resolved("{\"w\": {\"$type\": \"fontWeight\", \"$value\": 350.5}}", "w").value()).isEqualTo(new FontWeightValue(350.5));
        assertThatThrownBy(() -> reading("{\"w\": {\"$type\": \"fontWeight\", \"$value\": 0.5}}")).hasMessageContaining("1 to 1000");
    }

    /** Color Module 2025.10: names of color spaces are in small letters; another case is read, and said. */
    @Test
    void aColorSpaceInCapitalsIsReadAndSaid() {
        ThemeJson.Reading reading = reading("{\"c\": {\"$type\": \"color\", \"$value\": {\"colorSpace\": \"sRGB\", \"components\": [1, 0, 0]}}}");
        assertThat(reading.notes()).anyMatch(note -> note.contains("small letters"));
        assertThat(TokensJson.write(reading.theme().sets().get("tokens").tokens())).contains("\"srgb\"");
    }

    /** Color Module 2025.10: components have ranges. */
    @Test
    void whatLiesOutsideItsRangeIsAFinding() {
        ThemeDocument theme = reading("{\"c\": {\"$type\": \"color\", \"$value\": {\"colorSpace\": \"hsl\", \"components\": [400, 50, 120]}}}").theme();
        List<Finding> found = Tidiness.findings(theme).stream().filter(one -> one.code().equals("range")).toList();
        assertThat(found).singleElement().satisfies(one -> {
            assertThat(one.message()).contains("400");
            ThemeDocument mended = one.fixes().get(0).edit().applyTo(theme).theme();
            assertThat(TokensJson.write(mended.sets().get("tokens").tokens())).contains("40", "100");
            assertThat(Tidiness.findings(mended)).noneMatch(left -> left.code().equals("range"));
        });
    }

    @Nested
    class Files {
        /** Unicode 15, 23.8: a mark that says nothing of the text. */
        @Test
        void aByteOrderMarkIsReadPast() {
            assertThat(ThemeFiles.reading(Map.of("a.json", "\uFEFF{\"a\": {\"$type\": \"number\", \"$value\": 1}}")).theme().sets()).isNotEmpty();
        }

        @Test
        void plainNamesAndValuesBecomeTokens() {
            ThemeDocument theme = reading("""
                    {"colors": {"blue": ["#eef", "#00f"], "ink": "rebeccapurple"}, "fonts": {"body": ["Georgia", "serif"]}, "fontWeights": {"bold": 700},
                     "space": [0, "4px", "1.5rem"], "shadows": {"card": "0 1px 3px rgb(0 0 0 / 0.2)"}, "ease": "cubic-bezier(0.2, 0, 0, 1)", "slow": "200ms", "odd": "a b c"}""").theme();
            Resolution resolution = Resolution.of(theme, theme.defaults());
            assertThat(resolution.tokens().values().stream().map(token -> token.path() + " " + token.type().id())).contains("colors.blue.0 color", "colors.blue.1 color",
                    "colors.ink color", "fonts.body fontFamily", "fontWeights.bold fontWeight", "space.1 dimension", "shadows.card shadow", "ease cubicBezier", "slow duration");
            assertThat(resolution.value("fonts.body", FontFamilyValue.class).orElseThrow().families()).containsExactly("Georgia", "serif");
        }

        @Test
        void customPropertiesBecomeTokensAndWhatChangesThemBecomesContexts() {
            ThemeJson.Reading reading = ThemeFiles.reading(Map.of("site.css", """
                    :root { --bg: #fff; --fg: #111; --accent: var(--fg); --accent-hover: #333; --gap: calc(1px + 2px); }
                    @media (prefers-color-scheme: dark) { :root { --bg: #111; --fg: #eee; } }
                    .card { --pad: 4px; }
                    @media (min-width: 600px) { :root { --gap: 8px; } }"""));
            ThemeDocument theme = reading.theme();
            assertThat(theme.modifiers().get("scheme").contexts().keySet()).containsExactly("light", "dark");
            Resolution dark = Resolution.of(theme, theme.defaults().with("scheme", "dark"));
            assertThat(dark.find("accent.$root").orElseThrow().value()).isEqualTo(dark.find("fg").orElseThrow().value());
            assertThat(reading.notes()).anyMatch(note -> note.contains("--gap")).anyMatch(note -> note.contains("parts of a page")).anyMatch(note -> note.contains("window"));
        }

        @Test
        void themeBlocksAndPalettesComeInToo() {
            assertThat(ThemeFiles.reading(Map.of("t.css", "@theme { --color-sea-50: oklch(0.97 0.01 230); --radius-md: 6px; }")).theme().sets().get("tokens").tokens().tokenCount()).isEqualTo(2);
            assertThat(ThemeFiles.reading(Map.of("p.gpl", "GIMP Palette\nName: P\n255 0 0 Red\n0 0 255 Blue\n")).theme().sets().get("tokens").tokens().tokenCount()).isEqualTo(2);
        }

        @Test
        void whatIsNothingGetsASentence() {
            for (String text : List.of("hello", "<html></html>", "", "[1, 2]", "{\"a\": true}", "{\"a\": ", ":root { color: red }"))
                assertThatThrownBy(() -> ThemeFiles.reading(Map.of("x.txt", text))).as(text).isInstanceOf(IllegalArgumentException.class)
                        .satisfies(refused -> assertThat(refused.getMessage()).doesNotContain("Exception", "Unexpected", "token at").hasSizeGreaterThan(20));
            assertThatThrownBy(() -> ThemeFiles.reading(new java.util.TreeMap<>(Map.of("a.css", ":root{--a:1px}", "b.json", "{}")))).isInstanceOf(FormatException.class).hasMessageContaining("ZIP");
        }
    }
}
