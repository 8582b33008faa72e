package org.umberloom.core.site;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.ValueText;

/** A site before it is given another theme: what would not fit, and what would. */
class WearingTest {
    private static final ThemeDocument OLD = renamed(Starter.ALL.get(0).theme("Old"));
    private static final ThemeDocument NEXT = Starter.ALL.get(0).theme("Next");
    private static final TokenPath LINK = TokenPath.of("surface.page.link");
    private static final TokenPath TEXT = TokenPath.of("surface.page.text");

    /** With a ramp and a surface that nobody else has. */
    private static ThemeDocument renamed(ThemeDocument theme) {
        ThemeDocument moved = new Edit.Move(TokenPath.of("color.brand"), TokenPath.of("color.gale"))
                .applyTo(theme)
                .theme();
        return new Edit.Move(TokenPath.of("surface.deep"), TokenPath.of("surface.night"))
                .applyTo(moved)
                .theme();
    }

    private static SiteDocument site() {
        Group own = Group.EMPTY.with(LINK, alias("color.gale.60")).with(TEXT, alias("color.gale.100"));
        return new SiteEdit(
                        "",
                        List.of(
                                new SitePart.Look(Map.of("look", "freight"), SchemePolicy.READER),
                                new SitePart.Written(Place.scope(Scope.page("quay", "index")), own)))
                .applyTo(SiteDocument.of(
                        "quay",
                        "Quay",
                        List.of(new SitePage(
                                "index",
                                "Front",
                                "landing",
                                "<html><head></head><body><main><section data-surface=\"night\"><p>One</p></section>"
                                        + "<section data-surface=\"tint\"><p>Two</p></section></main></body></html>"))))
                .site();
    }

    private static Token alias(String path) {
        return new Token(new Alias(TokenPath.of(path)), Meta.typed(TokenType.COLOR));
    }

    @Test
    void whatTheOtherThemeLacksIsNamedWithWhatIsNearest() {
        List<Wearing.Unfit> unfit = Wearing.of(site(), OLD, NEXT);
        assertThat(unfit)
                .extracting(Wearing.Unfit::what)
                .containsExactly(
                        "look: freight",
                        "the surface “night”, 1 time",
                        "surface.page.link at the page index of quay",
                        "surface.page.text at the page index of quay");
        assertThat(unfit)
                .extracting(Wearing.Unfit::remedy)
                .containsExactly("", "stand on “deep”", "say {color.brand.60}", "say {color.brand.100}");
    }

    @Test
    void fittedItLooksAsItDidAndTheEditIsTakenBackExactly() {
        SiteDocument site = site();
        SiteEdit.Applied fitted =
                Wearing.remedied(site, Wearing.of(site, OLD, NEXT)).applyTo(site);
        assertThat(fitted.site().page("index").html()).contains("data-surface=\"deep\"", "data-surface=\"tint\"");
        Group own = fitted.site().written().get(Place.scope(Scope.page("quay", "index")));
        assertThat(List.of(LINK, TEXT))
                .extracting(
                        path -> ValueText.write(own.token(path).orElseThrow().value()))
                .containsExactly("{color.brand.60}", "{color.brand.100}");
        assertThat(fitted.inverse().applyTo(fitted.site()).site()).isEqualTo(site);
        assertThat(Wearing.of(fitted.site(), OLD, NEXT)).hasSize(1);
    }

    @Test
    void inItsOwnThemeEverythingFits() {
        SiteDocument plain = new SiteEdit("", List.of(new SitePart.Look(Map.of(), SchemePolicy.READER)))
                .applyTo(site())
                .site();
        assertThat(Wearing.of(plain, OLD, OLD)).isEmpty();
    }
}
