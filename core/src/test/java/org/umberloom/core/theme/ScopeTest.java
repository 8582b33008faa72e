package org.umberloom.core.theme;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.umberloom.core.check.Tidiness;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.wish.ValueWish;

class ScopeTest {
    private static final ThemeDocument THEME = Samples.starter();
    private static final Scope ARTICLE = Scope.kind("article");
    private static final Place ALWAYS = Place.scope(ARTICLE);
    private static final Place IN_THE_DARK = Place.scope(ARTICLE, "scheme", "dark");
    private static final TokenPath WIDTH = TokenPath.of("width.text");
    private static final Combination DARK = THEME.defaults().with("scheme", "dark");

    private static ThemeDocument with(ThemeDocument theme, Place place, double rem) {
        return new Edit.SetValue(place, WIDTH, DimensionValue.rem(rem))
                .applyTo(theme)
                .theme();
    }

    private static TokenValue width(ThemeDocument theme, Combination combination) {
        return Resolution.of(theme, combination.completedFor(theme))
                .tokens()
                .get(WIDTH)
                .value();
    }

    @Test
    void holdsAtItsScopeAlone() {
        ThemeDocument theme = with(THEME, ALWAYS, 48);
        assertThat(width(theme, theme.defaults().at(ARTICLE))).isEqualTo(DimensionValue.rem(48));
        assertThat(width(theme, DARK.at(ARTICLE))).isEqualTo(DimensionValue.rem(48));
        assertThat(width(theme, theme.defaults())).isEqualTo(width(THEME, THEME.defaults()));
        assertThat(width(theme, theme.defaults().at(Scope.kind("listing")))).isEqualTo(width(THEME, THEME.defaults()));
    }

    @Test
    void underAContextItWinsOverWhatHoldsAlways() {
        ThemeDocument theme = with(with(THEME, IN_THE_DARK, 40), ALWAYS, 48);
        assertThat(width(theme, theme.defaults().at(ARTICLE))).isEqualTo(DimensionValue.rem(48));
        assertThat(width(theme, DARK.at(ARTICLE))).isEqualTo(DimensionValue.rem(40));
        assertThat(width(theme, DARK)).isEqualTo(width(THEME, DARK));
    }

    @Test
    void theTraceNamesItAsTheLastCandidate() {
        ThemeDocument theme = with(THEME, ALWAYS, 48);
        List<Trace.Candidate> candidates = Trace.of(
                        ThemeGraph.of(theme, theme.defaults().at(ARTICLE)), WIDTH)
                .hops()
                .get(0)
                .candidates();
        assertThat(candidates).hasSizeGreaterThan(1).last().satisfies(last -> {
            assertThat(last.place()).isEqualTo(ALWAYS);
            assertThat(last.wins()).isTrue();
        });
    }

    @Test
    void theGraphIsCarriedAlong() {
        ThemeGraph before =
                ThemeGraph.of(with(THEME, ALWAYS, 48), THEME.defaults().at(ARTICLE));
        ThemeDocument changed = with(with(THEME, ALWAYS, 48), ALWAYS, 50);
        ThemeGraph after = before.after(changed);
        assertThat(after.resolution())
                .isEqualTo(ThemeGraph.of(changed, THEME.defaults().at(ARTICLE)).resolution());
        assertThat(after.recomputed()).isEqualTo(1);
    }

    @Test
    void isTakenBackExactlyAndTheLogReadsIt() {
        Edit edit = new Edit.SetValue(ALWAYS, WIDTH, DimensionValue.rem(48));
        Edit.Applied applied = edit.applyTo(THEME);
        assertThat(EditJson.read(EditJson.write(edit))).isEqualTo(edit);
        assertThat(applied.inverse().applyTo(applied.theme()).theme()).isEqualTo(THEME);
        assertThat(Difference.edit("back", applied.theme(), THEME)
                        .applyTo(applied.theme())
                        .theme())
                .isEqualTo(THEME);
    }

    @Test
    void removingItsLastValueLeavesNothingBehind() {
        Edit.Applied removed = new ValueWish.Delete(ALWAYS, WIDTH)
                .in(new Seen(with(THEME, ALWAYS, 48), Resolution.of(THEME, THEME.defaults())))
                .applyTo(with(THEME, ALWAYS, 48));
        assertThat(removed.theme()).isEqualTo(THEME);
        assertThat(removed.inverse().applyTo(removed.theme()).theme()).isEqualTo(with(THEME, ALWAYS, 48));
    }

    @Test
    void isReadAgainInOneFileAndInSeveral() {
        ThemeDocument theme = with(with(THEME, IN_THE_DARK, 40), ALWAYS, 48);
        assertThat(ThemeJson.readInline(ThemeJson.writeInline(theme))).isEqualTo(theme);
        var files = ThemeJson.writeFiles(theme);
        assertThat(ThemeJson.read(files.get("theme.resolver.json"), files::get)).isEqualTo(theme);
        assertThat(files.keySet()).anyMatch(name -> name.contains("article"));
    }

    @Test
    void followsItsContextToAnotherName() {
        ThemeDocument theme = with(THEME, IN_THE_DARK, 40);
        Edit.Applied context = new Structure.RenamePlace(Place.context("scheme", "dark"), "night").applyTo(theme);
        assertThat(context.theme().scopes()).containsOnlyKeys(Place.scope(ARTICLE, "scheme", "night"));
        assertThat(context.inverse().applyTo(context.theme()).theme()).isEqualTo(theme);
        Edit.Applied modifier = new Structure.RenameModifier("scheme", "mode").applyTo(theme);
        assertThat(modifier.theme().scopes()).containsOnlyKeys(Place.scope(ARTICLE, "mode", "dark"));
        assertThat(modifier.inverse().applyTo(modifier.theme()).theme()).isEqualTo(theme);
    }

    @Test
    void whatHoldsUnderAContextThatIsGoneIsKeptAndSaid() {
        ThemeDocument theme = new Structure.RemoveModifier("scheme")
                .applyTo(with(THEME, IN_THE_DARK, 40))
                .theme();
        assertThat(theme.scopes()).hasSize(1);
        assertThat(Stylesheet.compile(theme, Usage.ALL, List.of())).doesNotContain("data-kind");
        Finding said = Tidiness.findings(theme).stream()
                .filter(finding -> finding.place().equals(Optional.of(IN_THE_DARK)))
                .findFirst()
                .orElseThrow();
        assertThat(said.fixes().get(0).edit().applyTo(theme).theme().scopes()).isEmpty();
    }

    @Test
    void onlyWhatDiffersIsWrittenAndOnlyForPagesOfThatKind() {
        ThemeDocument theme = with(with(THEME, IN_THE_DARK, 40), ALWAYS, 48);
        String css = Stylesheet.compile(theme, Usage.ALL, List.of());
        String site = css.substring(css.indexOf("@layer site {"), css.indexOf("@media (prefers-reduced-motion"));
        assertThat(site)
                .isEqualTo(
                        """
                @layer site {
                :root[data-kind="article"] {
                  --width-text: 48rem;
                }
                @media (prefers-color-scheme: dark) {
                :root[data-kind="article"]:not([data-scheme]) {
                  --width-text: 40rem;
                }
                }
                :root[data-kind="article"][data-scheme="dark"] {
                  --width-text: 40rem;
                }
                }
                """);
        Usage pages = Usage.of(java.util.Set.of("p", "main"), java.util.Set.of());
        assertThat(Stylesheet.compile(theme, pages, List.of())).doesNotContain("data-kind");
        assertThat(with(theme, ALWAYS, 48)).isEqualTo(theme);
    }

    @Test
    void aValueThatIsAsInheritedIsNotWritten() {
        ThemeDocument theme = new Edit.SetValue(ALWAYS, WIDTH, width(THEME, THEME.defaults()))
                .applyTo(THEME)
                .theme();
        assertThat(Stylesheet.compile(theme, Usage.ALL, List.of()))
                .isEqualTo(Stylesheet.compile(THEME, Usage.ALL, List.of()));
    }

    @Test
    void choicesCanBeMadeThere() {
        ThemeDocument theme = Choices.choose(THEME, IN_THE_DARK, "table-rows", Optional.of("banded"))
                .applyTo(THEME)
                .theme();
        assertThat(Choices.of(theme, DARK.at(ARTICLE))).containsEntry("table-rows", "banded");
        assertThat(Choices.of(theme, theme.defaults().at(ARTICLE))).containsEntry("table-rows", "ruled");
        assertThat(Choices.of(theme, DARK)).containsEntry("table-rows", "ruled");
        assertThat(Stylesheet.compile(
                        theme, Usage.of(java.util.Set.of("table", "tr", "td", "tbody"), java.util.Set.of()), List.of()))
                .contains("[data-kind=\"article\"][data-scheme=\"dark\"]");
    }

    @Test
    void placesAndCombinationsOfAnyNameAreReadAgain() {
        Place odd = Place.scope(Scope.kind("a/b=c,d@e~f"), "m/o", "c,t");
        assertThat(Place.parse(odd.toString())).isEqualTo(odd);
        Combination combination = DARK.at(Scope.kind("a/b=c,d@e~f"));
        assertThat(Combination.parse(combination.key())).isEqualTo(combination);
        assertThatThrownBy(() -> Place.parse("scope:kind=article/dark")).hasMessageContaining("is not a place");
        assertThatThrownBy(() -> Place.parse("scope:room=kitchen")).hasMessageContaining("is not a scope");
    }

    @Test
    void aDocumentThatSaysItBadlyIsRefusedWithASentence() {
        String bad =
                ThemeJson.writeInline(with(THEME, ALWAYS, 48)).replaceFirst("\"kind\"( : \"article\")", "\"room\"$1");
        assertThatThrownBy(() -> ThemeJson.readInline(bad)).hasMessageContaining("which page kind");
    }
}
