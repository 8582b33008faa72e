package org.umberloom.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import com.helger.css.reader.CSSReader;
import com.helger.css.reader.CSSReaderSettings;
import com.helger.css.reader.errorhandler.CollectingCSSParseErrorHandler;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.umberloom.core.check.Contrasts;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.ground.Grounds;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.HostileThemes;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.ThemeDocument;

/** Whatever a document holds, it is refused in a sentence or comes out as it went in, and its stylesheet stays one. */
class HostileThemesTest {
    private static final int MANY = 3_000;

    /** The parser is ph-css, whose grammar is that of CSS 3 with nested at-rules. */
    private static void assertIsCss(String css, String as) {
        CollectingCSSParseErrorHandler errors = new CollectingCSSParseErrorHandler();
        assertThat(CSSReader.readFromStringReader(
                        css,
                        new CSSReaderSettings().setCustomErrorHandler(errors).setBrowserCompliantMode(false)))
                .as(as)
                .isNotNull();
        assertThat(errors.getParseErrorCount()).as(as).isZero();
    }

    @Test
    void eachIsRefusedOrComesBackAndIsShown() {
        int whole = 0;
        for (int seed = 0; seed < MANY; seed++) {
            String text =
                    new tools.jackson.databind.json.JsonMapper().writeValueAsString(new HostileThemes(seed).document());
            ThemeDocument theme;
            try {
                theme = ThemeJson.reading("hostile.json", text, file -> "{}").theme();
            } catch (IllegalArgumentException refused) {
                assertThat(refused.getMessage())
                        .as("seed %d", seed)
                        .isNotBlank()
                        .hasSizeLessThan(700)
                        .doesNotContain("Exception", "java.", "tools.jackson", "null");
                continue;
            }
            whole++;
            String as = "seed " + seed;
            assertThat(ThemeJson.readInline(ThemeJson.writeInline(theme)))
                    .as(as)
                    .isEqualTo(theme);
            assertThat(StoredText.NONE.next(theme).text()).as(as).isEqualTo(ThemeJson.writeInline(theme));
            Map<String, String> files = ThemeJson.writeFiles(theme);
            assertThat(ThemeJson.read(files.get("theme.resolver.json"), files::get))
                    .as(as)
                    .isEqualTo(theme);
            Set<String> folded = new TreeSet<>(String.CASE_INSENSITIVE_ORDER);
            folded.addAll(files.keySet());
            assertThat(folded)
                    .as(as)
                    .hasSameSizeAs(files.keySet())
                    .allMatch(name -> name.length() < 140
                            && name.matches("[\\w./-]+")
                            && !name.contains("/.")
                            && !name.matches("(?i)tokens/(con|prn|aux|nul)\\..*"));
            for (Combination combination : theme.combinations(6)) {
                Resolution resolution = Resolution.of(theme, combination);
                Contrasts.findings(theme, resolution);
                Grounds.findings(theme, resolution, Pictures.NONE);
                assertThat(Combination.parse(combination.key())).as(as).isEqualTo(combination);
                assertThat(combination.key()).as(as).doesNotContain("%", ";", "/", "\\", "|", "#", "?");
            }
            Recipes.findings(theme);
            assertIsCss(Stylesheet.compile(theme, Usage.ALL, java.util.List.of()), as);
        }
        assertThat(whole).as("whole themes among them, or nothing was tried").isGreaterThan(MANY / 20);
    }
}
