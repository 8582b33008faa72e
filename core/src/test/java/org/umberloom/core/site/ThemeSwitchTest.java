package org.umberloom.core.site;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.SharedPiece;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;

/** A site that is given another theme and comes back. */
class ThemeSwitchTest {
    private static final ThemeDocument OLD =
            with(Starter.ALL.get(0).theme("Old"), "tide", "Tide notice", "<p>High at nine</p>");
    private static final ThemeDocument NEXT =
            with(Starter.ALL.get(0).theme("Next"), "sale", "Sale", "<p>Half price</p>");

    private static ThemeDocument with(ThemeDocument theme, String name, String title, String html) {
        SharedPiece piece =
                new SharedPiece(title, true, List.of(), "<section data-piece=\"" + name + "\">" + html + "</section>");
        return new Edit.SetPiece(name, Optional.of(piece)).applyTo(theme).theme();
    }

    private static SiteDocument site() {
        SiteDocument bare = SiteDocument.of(
                "quay",
                "Quay",
                List.of(
                        page("index", "landing", "One"),
                        page("fares", "listing", "Two"),
                        page("pier", "article", "Three")));
        return SitePieces.wearing(bare, SharedPiece.of(OLD));
    }

    private static SitePage page(String slug, String kind, String words) {
        return new SitePage(
                slug, words, kind, "<html><head></head><body><main><p>" + words + "</p></main></body></html>");
    }

    private static ThemeSwitch.Arrival made(SiteDocument site, SiteEdit edit) {
        return new ThemeSwitch.Arrival(edit, edit.applyTo(site).inverse());
    }

    @Test
    void piecesOfTheThemeComeAndAreNamedBefore() {
        SiteDocument site = site();
        SiteEdit edit = ThemeSwitch.of(site, Optional.empty(), OLD, NEXT, true);
        SiteDocument after = edit.applyTo(site).site();
        assertThat(after.pages()).allSatisfy(page -> assertThat(page.html()).contains("Half price"));
        assertThat(ThemeSwitch.pieces(site, after))
                .extracting(one -> one.title() + " " + one.what())
                .containsExactlyInAnyOrder(
                        "Sale is added to 3 pages", "Tide notice stays, as a piece of this site alone");
    }

    @Test
    void aSiteThatReturnsIsAsItWas() {
        SiteDocument site = site();
        SiteEdit there = ThemeSwitch.of(site, Optional.empty(), OLD, NEXT, true);
        SiteDocument away = there.applyTo(site).site();
        SiteDocument back = ThemeSwitch.of(away, Optional.of(made(site, there)), NEXT, OLD, true)
                .applyTo(away)
                .site();
        assertThat(back).isEqualTo(site);
    }

    @Test
    void whatWasChangedMeanwhileStaysAndThePiecesGoAllTheSame() {
        SiteDocument site = site();
        SiteEdit there = ThemeSwitch.of(site, Optional.empty(), OLD, NEXT, true);
        SiteDocument away = there.applyTo(site).site();
        SitePage written = away.page("fares");
        SiteDocument edited = away.withPage(written.withHtml(written.html().replace("Two", "Two hundred")));
        SiteDocument back = ThemeSwitch.of(edited, Optional.of(made(site, there)), NEXT, OLD, true)
                .applyTo(edited)
                .site();
        assertThat(back.page("fares").html())
                .contains("Two hundred", "High at nine")
                .doesNotContain("Half price");
        assertThat(back.page("index")).isEqualTo(site.page("index"));
        assertThat(back.pieces()).isEqualTo(site.pieces());
    }

    @Test
    void aPieceOfTheSitesOwnIsNotReplacedByOneOfTheSameName() {
        SiteDocument bare = SiteDocument.of("quay", "Quay", List.of(page("index", "landing", "One")));
        SiteEdit own = SitePieces.begin(bare, "index", 2, "Sale", false, java.util.Set.of());
        SiteDocument site = own.applyTo(bare).site();
        assertThat(site.pieces()).containsKey("sale");
        SiteDocument after = ThemeSwitch.of(site, Optional.empty(), OLD, NEXT, true)
                .applyTo(site)
                .site();
        assertThat(after.piece("sale")).isEqualTo(site.piece("sale"));
        assertThat(after.page("index").html()).doesNotContain("Half price");
    }
}
