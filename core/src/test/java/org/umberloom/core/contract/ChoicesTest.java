package org.umberloom.core.contract;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.umberloom.core.check.Contrasts;
import org.umberloom.core.check.Pair;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;

class ChoicesTest {
    private static final ThemeDocument PLAIN = Starter.ALL.get(0).theme("Plain");
    private static final Place ROLES = Place.set(Starter.ROLES);
    private static final Place DARK = Place.context(Starter.SCHEME, "dark");

    private static ThemeDocument choosing(ThemeDocument theme, Place place, String choice, String value) {
        return Choices.choose(theme, place, choice, Optional.of(value))
                .applyTo(theme)
                .theme();
    }

    private static String buttons(ThemeDocument theme, String scheme) {
        return Choices.of(theme, theme.defaults().with(Starter.SCHEME, scheme)).get("buttons");
    }

    @Test
    void theLastPlaceThatChoosesWins() {
        assertThat(buttons(PLAIN, "light")).isEqualTo("filled");
        ThemeDocument chosen = choosing(choosing(PLAIN, ROLES, "buttons", "outlined"), DARK, "buttons", "quiet");
        assertThat(buttons(chosen, "light")).isEqualTo("outlined");
        assertThat(buttons(chosen, "dark")).isEqualTo("quiet");
        assertThat(Choices.all(chosen, chosen.defaults()).stream()
                        .filter(one -> one.choice().name().equals("buttons"))
                        .findFirst()
                        .orElseThrow()
                        .place())
                .contains(ROLES);
    }

    @Test
    void aChoiceIsAnEditLikeAnyOther() {
        Edit edit = Choices.choose(PLAIN, ROLES, "links", Optional.of("hover"));
        Edit.Applied applied = edit.applyTo(PLAIN);
        assertThat(applied.inverse().applyTo(applied.theme()).theme()).isEqualTo(PLAIN);
        assertThat(EditJson.read(EditJson.write(edit))).isEqualTo(edit);
        assertThat(ThemeJson.readInline(ThemeJson.writeInline(applied.theme()))).isEqualTo(applied.theme());
        assertThat(Choices.choose(applied.theme(), ROLES, "links", Optional.empty())
                        .applyTo(applied.theme())
                        .theme())
                .isEqualTo(PLAIN);
        assertThatThrownBy(() -> Choices.choose(PLAIN, ROLES, "links", Optional.of("sometimes")))
                .hasMessageContaining("always, hover, never");
        assertThatThrownBy(() -> Choices.choose(PLAIN, ROLES, "shoes", Optional.of("brown")))
                .hasMessageContaining("no choice");
    }

    @Test
    void whatIsNotKnownIsKeptAndSaid() {
        Group foreign = new Group(Map.of(), Meta.NONE.withOwn("choice", Optional.of("sometimes")));
        ThemeDocument theme = new Edit.Put(ROLES, Choices.path("links"), foreign, -1)
                .applyTo(PLAIN)
                .theme();
        assertThat(Choices.of(theme, theme.defaults())).containsEntry("links", "always");
        Finding finding = Choices.findings(theme).get(0);
        assertThat(finding.message()).contains("sometimes");
        assertThat(finding.fixes().get(0).edit().applyTo(theme).theme())
                .satisfies(mended -> assertThat(Choices.findings(mended)).isEmpty());
    }

    @Test
    void aStylesheetCarriesOnlyTheRulesOfWhatIsChosen() {
        Usage pages = Usage.of(Set.of("a", "button"), Set.of());
        assertThat(Stylesheet.compile(PLAIN, pages, List.of()))
                .contains("background: var(--surface-accent)")
                .doesNotContain("border-color: var(--surface-accent)", "data-choice");
        String outlined = Stylesheet.compile(choosing(PLAIN, ROLES, "buttons", "outlined"), pages, List.of());
        assertThat(outlined)
                .contains("border-color: var(--surface-accent)", "background: transparent")
                .doesNotContain("data-choice", ":where(:root");
        String dark = Stylesheet.compile(choosing(PLAIN, DARK, "buttons", "outlined"), pages, List.of());
        assertThat(dark)
                .contains(
                        "@media (prefers-color-scheme: dark)",
                        ":where(:root[data-scheme=\"dark\"]) button",
                        ":where(:root:not([data-scheme])) button");
    }

    /** Words on a filled button stand on the accent; those of an outlined one on the page. */
    @Test
    void pairsFollowWhatIsChosen() {
        assertThat(Contrasts.declared())
                .contains(new Pair("", "on-accent", "accent", 4.5), new Pair("", "accent", "ground", 3));
        assertThat(Contrasts.declared(Map.of("buttons", "outlined"))).contains(new Pair("", "accent", "ground", 4.5));
        assertThat(Contrasts.declared(Map.of("table-rows", "banded"))).contains(new Pair("", "text", "stripe", 4.5));
    }
}
