package org.umberloom.core.wish;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenPath;

/** The history says what a person did, and where. */
class EditWordsTest {
    private static final ThemeDocument THEME = Starter.ALL.get(0).theme("T");
    private static final Place ROLES = Place.set(Starter.ROLES);
    private static final Place ARTICLES = Place.scope(Scope.kind("article"));

    private static String said(Wish wish) {
        Edit edit = wish.in(new Seen(THEME, Resolution.of(THEME, THEME.defaults())));
        return EditWords.of(edit, THEME);
    }

    private static String value(Place place, String path, String text) {
        return said(new ValueWish.Value(Optional.of(place), TokenPath.of(path), text));
    }

    @Test
    void aValueIsSaidWithWhatItIsOfAndWhere() {
        assertThat(value(ROLES, "width.text", "20rem")).isEqualTo("Text column: 20rem");
        assertThat(value(ARTICLES, "surface.page.ground", "#eaf5e4")).isEqualTo("Background of article pages: #eaf5e4");
        assertThat(value(Place.context("scheme", "dark"), "surface.tint.link", "{color.brand.20}"))
                .isEqualTo("Link on tint in dark: brand 20");
        assertThat(value(Place.set(Starter.BASE), "color.brand.seed", "#204080"))
                .isEqualTo("Seed of brand: #204080");
    }

    @Test
    void aWidthSaidInCharactersIsSaidSo() {
        assertThat(said(new ValueWish.Measured(Optional.empty(), TokenPath.of("width.text"), 68)))
                .isEqualTo("Text column: 68 characters");
    }

    @Test
    void ofATextStyleThePartThatChanged() {
        assertThat(said(new ValueWish.Member(Optional.empty(), TokenPath.of("type.h1"), "lineHeight", "1.4")))
                .isEqualTo("Heading 1, line height: 1.4");
    }

    @Test
    void aChoiceIsSaidInItsWords() {
        Edit edit = Choices.choose(THEME, ARTICLES, "menu-place", Optional.of("below"));
        assertThat(EditWords.of(edit, THEME)).startsWith("Menu place of article pages: ");
    }

    @Test
    void whatIsTakenAwayAtAPlaceIsResetToTheTheme() {
        Edit edit = new Edit.Remove(ARTICLES, TokenPath.of("surface.page.link"));
        assertThat(EditWords.of(edit, THEME)).isEqualTo("Link of article pages: reset to theme");
    }
}
