package org.umberloom.core.css;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Manner;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.token.ValueText;
import org.umberloom.core.wish.ThemeWish;
import org.umberloom.core.wish.ValueWish;

/** Slope, width, case, OpenType features and lines of a text style: written, kept, and said on pages only where a style says them. */
class MannerTest {
    private static final ThemeDocument THEME = Samples.starter();
    private static final Usage HEADINGS = Usage.of(Set.of("h1", "h2", "p"), Set.of());

    private static ThemeDocument with(
            ThemeDocument theme, Optional<Place> place, String path, String member, String text) {
        return new ValueWish.Member(place, TokenPath.of(path), member, text)
                .in(new Seen(theme, Resolution.of(theme, theme.defaults())))
                .applyTo(theme)
                .theme();
    }

    private static ThemeDocument with(String path, String member, String text) {
        return with(THEME, Optional.empty(), path, member, text);
    }

    private static String css(ThemeDocument theme) {
        return Stylesheet.compile(theme, HEADINGS, List.of());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "SLOPE      | italic           | italic",
                "STRETCH    | 87.50%           | 87.5%",
                "CASE       | uppercase        | uppercase",
                "FEATURES   | tnum, ss01  -liga| \"tnum\", \"ss01\", \"liga\" 0",
                "FEATURES   | normal           | normal",
                "DECORATION | underline        | underline"
            })
    void isWrittenInWordsAndBecomesCss(Manner manner, String text, String css) {
        assertThat(manner.parse(text).css()).isEqualTo(css);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "SLOPE      | slanted               | normal or italic",
                "STRETCH    | 20%                   | from 50% to 200%",
                "STRETCH    | wide                  | from 50% to 200%",
                "CASE       | UPPER                 | none, uppercase, lowercase or capitalize",
                "FEATURES   | tnum\"; color: red     | OpenType features by their tags",
                "FEATURES   | tabular               | OpenType features by their tags",
                "DECORATION | url(x)                | none, underline, overline or line-through"
            })
    void refusalsSayWhatIsAllowed(Manner manner, String text, String words) {
        assertThatThrownBy(() -> manner.parse(text))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(words);
    }

    @Test
    void whatNoStyleSaysIsNotWritten() {
        assertThat(css(THEME))
                .doesNotContain(
                        "font-style",
                        "font-stretch",
                        "text-transform",
                        "font-feature-settings",
                        "text-decoration-line");
    }

    @Test
    void onlyTheStyleThatSaysItIsWrittenWithIt() {
        String css = css(with("type.h1", "textCase", "uppercase"));
        assertThat(css)
                .contains("--type-h1-case: uppercase;", "text-transform: var(--type-h1-case, unset);")
                .doesNotContain("--type-h2-case", "font-style");
        assertThat(css.split("text-transform")).hasSize(2);
    }

    @Test
    void aStyleThatIsNotSetTakesItFromTheMoreGeneralOne() {
        ThemeDocument without = new Edit.Remove(
                        Resolution.of(THEME, THEME.defaults())
                                .find("type.h2")
                                .orElseThrow()
                                .winner(),
                        TokenPath.of("type.h2"))
                .applyTo(THEME)
                .theme();
        ThemeDocument general = new ValueWish.NewToken(
                        Place.set("roles"),
                        TokenPath.of("type.heading"),
                        Optional.of("typography"),
                        "Figtree / 1rem / 600 / 0px / 1.2 / fontStyle: italic")
                .in(new Seen(without, Resolution.of(without, without.defaults())))
                .applyTo(without)
                .theme();
        assertThat(css(general))
                .contains("--type-heading-slope: italic;", "h2 {")
                .contains("font-style: var(--type-heading-slope, unset);");
    }

    @Test
    void whereOnlyTheDarkSaysItTheLightSaysNothing() {
        Place dark = Place.context("scheme", "dark");
        String css = css(with(THEME, Optional.of(dark), "type.h1", "fontStyle", "italic"));
        assertThat(css).contains("--type-h1-slope: italic;").doesNotContain("--type-h1-slope: initial");
    }

    @Test
    void aContextThatTakesItBackSaysSo() {
        ThemeDocument italic = with("type.h1", "fontStyle", "italic");
        Place dark = Place.context("scheme", "dark");
        String css = css(with(italic, Optional.of(dark), "type.h1", "fontStyle", ""));
        assertThat(css).contains("--type-h1-slope: italic;", "--type-h1-slope: initial;");
    }

    @Test
    void oneHeadingCanLeaveWhatAllHeadingsHaveChosen() {
        ThemeDocument one = with("type.h2", "textCase", "none");
        ThemeDocument capitals = new ThemeWish.Choose(Place.set("roles"), "heading-case", Optional.of("capitals"))
                .in(new Seen(one, Resolution.of(one, one.defaults())))
                .applyTo(one)
                .theme();
        assertThat(css(capitals))
                .contains("text-transform: uppercase;", "text-transform: var(--type-h2-case, uppercase);");
    }

    @Test
    void figuresInTablesAreOfOneWidthUntilAThemeSaysOtherwise() {
        Usage tables = Usage.of(Set.of("table", "td"), Set.of());
        assertThat(Stylesheet.compile(THEME, tables, List.of())).contains("font-feature-settings: \"tnum\";");
    }

    @Test
    void itGoesThroughFilesTextAndBack() {
        ThemeDocument theme =
                with(with("type.h1", "fontFeatures", "smcp onum"), Optional.empty(), "type.h1", "fontStretch", "75%");
        String stored = ThemeJson.writeInline(theme);
        assertThat(stored).contains("\"manner\"", "\"fontFeatures\"");
        ThemeDocument read = ThemeJson.readInline(stored);
        TypographyValue style = Resolution.of(read, read.defaults())
                .value("type.h1", TypographyValue.class)
                .orElseThrow();
        assertThat(style.manner().get(Manner.FEATURES).css()).isEqualTo("\"smcp\", \"onum\"");
        String text = ValueText.write(style);
        assertThat(text).endsWith(" / fontStretch: 75% / fontFeatures: smcp onum");
        assertThat(ValueText.parse(TokenType.TYPOGRAPHY, text)).isEqualTo(style);
        assertThatThrownBy(() -> ValueText.parse(TokenType.TYPOGRAPHY, text + " / glow: 3"))
                .hasMessageContaining("“glow” is nothing that a text style has");
        assertThat(ThemeJson.writeInline(read)).isEqualTo(stored);
        Edit edit = new Edit.SetValue(Place.set("roles"), TokenPath.of("type.h1"), style);
        assertThat(EditJson.read(EditJson.write(edit))).isEqualTo(edit);
    }
}
