package org.umberloom.core.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.umberloom.core.format.SiteArchive;
import org.umberloom.core.format.SiteJson;
import org.umberloom.core.page.PageChange;
import org.umberloom.core.page.Spots;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SharedPiece;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;

/** Markup that pages share: one change changes all, a placement keeps what is its own. */
class SitePiecesTest {
    private static final TokenPath RADIUS = TokenPath.of("shape.radius");

    private static SitePage page(String slug, String kind) {
        return new SitePage(
                slug,
                "Page " + slug,
                kind,
                "<!doctype html>\n<html><head><title>t</title></head><body>\n<header><a href=\"index.html\">Quay</a><nav><ul>"
                        + "<li><a href=\"index.html\">Home</a></li><li><a href=\"fares.html\">Fares</a></li></ul></nav></header>\n"
                        + "<main><h1>" + slug
                        + "</h1><section data-surface=\"tint\"><h2>Mind the tide</h2><p>Twice a day.</p>"
                        + "</section></main>\n<footer><p>Foot</p></footer>\n</body></html>\n");
    }

    private static SiteDocument site() {
        return SiteDocument.of(
                "quay",
                "The quay",
                List.of(page("index", "landing"), page("fares", "listing"), page("boats", "listing")));
    }

    private static Document read(SiteDocument site, String page) {
        return Jsoup.parse(site.page(page).html());
    }

    private static int at(SiteDocument site, String page, String selector) {
        Document document = read(site, page);
        return document.body().getAllElements().indexOf(document.selectFirst(selector));
    }

    private static SiteDocument does(SiteDocument site, SiteEdit edit) {
        SiteEdit stored = SiteJson.readEdit(SiteJson.write(SiteEdits.settled(site, edit)));
        SiteEdit.Applied applied = stored.applyTo(site);
        assertThat(applied.inverse().applyTo(applied.site()).site())
                .as("taken back exactly: " + edit.label())
                .isEqualTo(site);
        assertThat(SiteJson.read(site.slug(), SiteJson.write(applied.site())))
                .as("stored and read again")
                .isEqualTo(applied.site());
        return applied.site();
    }

    private static SiteDocument withHeader() {
        SiteDocument site = site();
        return does(site, SitePieces.begin(site, "index", at(site, "index", "header"), "Ship’s head", true, Set.of()));
    }

    @Test
    void aRegionMadeAPieceTakesThePlaceOfItsLikeOnEveryPage() {
        SiteDocument site = withHeader();
        assertThat(site.holding("ship-s-head")).extracting(SitePage::slug).containsExactly("index", "fares", "boats");
        for (SitePage page : site.pages())
            assertThat(Jsoup.parse(page.html()).select("header")).hasSize(1);
        assertThat(read(site, "fares").select("[aria-current=page]").text())
                .as("each page marks the link to itself")
                .isEqualTo("Fares");
    }

    @Test
    void whatChangesInOnePlacementChangesInAll() {
        SiteDocument site = withHeader();
        site = does(
                site,
                SiteEdits.change(site, "fares", new PageChange.Words(at(site, "fares", "header > a"), "The old quay")));
        for (SitePage page : site.pages())
            assertThat(Jsoup.parse(page.html()).select("header > a").text()).isEqualTo("The old quay");
        assertThat(read(site, "boats").select("main").text()).startsWith("boats");
        site = does(site, SiteEdits.change(site, "boats", new PageChange.Ground(at(site, "boats", "header"), "deep")));
        assertThat(read(site, "index").select("header").attr("data-surface")).isEqualTo("deep");
    }

    @Test
    void aPlacementKeepsWhatIsItsOwnWhileTheRestFollows() {
        SiteDocument site = withHeader();
        String name = Spots.nameAt(site.page("fares").html(), "fares", at(site, "fares", "header"));
        Place.InScope place = Place.scope(Scope.spot("quay", name, true));
        Group own = Group.EMPTY.with(RADIUS, Token.of(DimensionValue.px(3)));
        site = does(
                site,
                new SiteEdit(
                        "own",
                        List.of(
                                SitePart.Page.of(site.page("fares")
                                        .withHtml(Spots.named(site.page("fares").html(), name))),
                                new SitePart.Written(place, own))));
        assertThat(read(site, "index").select("header[data-spot]"))
                .as("the name is that placement’s alone")
                .isEmpty();
        site = does(
                site, SiteEdits.change(site, "index", new PageChange.Words(at(site, "index", "header > a"), "Pier")));
        assertThat(read(site, "fares")
                        .select("header[data-spot=" + name + "] > a")
                        .text())
                .isEqualTo("Pier");
        assertThat(site.written()).containsEntry(place, own);
        // A region left out on one page is left out on that page.
        site = does(site, SiteEdits.change(site, "index", new PageChange.Shown(at(site, "index", "header"), false)));
        assertThat(read(site, "index").select("header[hidden]")).hasSize(1);
        assertThat(read(site, "boats").select("header[hidden]")).isEmpty();
    }

    @Test
    void aSpotInAPieceIsOneOnEveryPage() {
        SiteDocument site = site();
        String before = Spots.nameAt(site.page("index").html(), "index", at(site, "index", "h2"));
        Place.InScope place = Place.scope(Scope.spot("quay", before, false));
        Group own = Group.EMPTY.with(RADIUS, Token.of(DimensionValue.px(5)));
        site = does(
                site,
                new SiteEdit(
                        "own",
                        List.of(
                                SitePart.Page.of(site.page("index")
                                        .withHtml(Spots.named(site.page("index").html(), before))),
                                new SitePart.Written(place, own))));
        site = does(
                site, SitePieces.begin(site, "index", at(site, "index", "section"), "Tide", false, Set.of("landing")));
        Scope inside = Scope.spot("quay", "~tide.1", false);
        assertThat(site.written()).containsOnlyKeys(Place.scope(inside));
        site = does(site, SitePieces.place(site, "tide", "fares", true));
        SiteDocument both = site;
        assertThat(List.of("index", "fares")).allSatisfy(page -> assertThat(
                        read(both, page).select("[data-spot=~tide.1]").text())
                .isEqualTo("Mind the tide"));
        assertThat(site.findPageOf(inside)).map(SitePage::slug).contains("index");
        assertThat(read(site, "fares").select("section"))
                .as("beside a section of the page’s own")
                .hasSize(2);
        site = does(site, SitePieces.dissolve(site, "tide"));
        assertThat(site.written())
                .as("what was written for a spot that is gone goes with it")
                .isEmpty();
        assertThat(read(site, "fares").select("section")).hasSize(2);
    }

    @Test
    void aRuleSaysWhichPagesHaveIt() {
        SiteDocument site = withHeader();
        site = does(site, SiteEdits.addPage(site, "article", "New"));
        assertThat(read(site, "new").select("header[data-piece=ship-s-head]")).hasSize(1);
        site = does(
                site, SitePieces.begin(site, "boats", at(site, "boats", "section"), "Tide", false, Set.of("listing")));
        assertThat(site.holding("tide")).extracting(SitePage::slug).containsExactly("fares", "boats");
        site = does(site, SiteEdits.describePage(site, "new", "New", "listing"));
        assertThat(site.holding("tide")).extracting(SitePage::slug).containsExactly("fares", "boats", "new");
        site = does(site, SitePieces.spread(site, "tide", false, Set.of("landing")));
        assertThat(site.holding("tide")).extracting(SitePage::slug).containsExactly("index");
        SiteDocument last = site;
        assertThatThrownBy(() -> SitePieces.place(last, "tide", "index", false))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("is the last page with “Tide”");
        assertThatThrownBy(() -> SitePieces.spread(last, "tide", false, Set.of("form")))
                .hasMessageContaining("would stand on no page");
        assertThatThrownBy(
                        () -> SitePieces.begin(last, "index", at(last, "index", "header a"), "Twice", false, Set.of()))
                .hasMessageContaining("lies in one");
    }

    @Test
    void aStrayInAPieceIsOne() {
        SiteDocument site = withHeader();
        String html = site.page("fares")
                .html()
                .replace("<a href=\"index.html\">Quay</a>", "<a href=\"index.html\" style=\"color: #123456\">Quay</a>");
        site = does(
                site,
                new SiteEdit(
                        "by hand", List.of(SitePart.Page.of(site.page("fares").withHtml(html)))));
        assertThat(Strays.in(site)).hasSize(1);
        site = does(site, Strays.returned(site, Strays.in(site)));
        assertThat(Strays.in(site)).isEmpty();
        assertThat(read(site, "boats").select("[style]")).isEmpty();
    }

    @Test
    void piecesGoOutInThePagesAndComeInAgain() {
        SiteDocument site = withHeader();
        Map<String, byte[]> files = SiteArchive.write(site, Map.of());
        SiteArchive.Reading again = SiteArchive.read("x", files);
        assertThat(again.site()).isEqualTo(site);
        assertThat(again.notes()).isEmpty();
        // Somebody changed one page with another tool: its placements are one piece again.
        String front = new String(files.get("index.html"), java.nio.charset.StandardCharsets.UTF_8);
        files.put("index.html", front.replace(">Quay<", ">Pier<").getBytes(java.nio.charset.StandardCharsets.UTF_8));
        SiteDocument changed = SiteArchive.read("x", files).site();
        for (SitePage page : changed.pages())
            assertThat(Jsoup.parse(page.html()).select("header > a").text()).isEqualTo("Pier");
    }

    @Test
    void piecesOfTheThemeStandWhereSuchThingsStand() {
        SiteDocument site = SitePieces.wearing(
                site(),
                Map.of(
                        "one",
                                new SharedPiece(
                                        "One",
                                        false,
                                        List.of("landing"),
                                        "<section data-piece=\"one\"><p>1</p></section>"),
                        "two", new SharedPiece("Two", true, List.of(), "<footer data-piece=\"two\"><p>2</p></footer>"),
                        "bad", new SharedPiece("Bad", true, List.of(), "<p>no placement</p>"),
                        "run",
                                new SharedPiece(
                                        "Run", true, List.of(), "<p data-piece=\"run\">3<script>4</script></p>")));
        assertThat(site.pieces()).containsOnlyKeys("one", "two", "run");
        assertThat(read(site, "index").select("main > section[data-piece=one]:last-of-type"))
                .hasSize(1);
        assertThat(read(site, "fares").select("[data-piece=one]")).isEmpty();
        assertThat(read(site, "fares").select("body > footer").eachText()).containsExactly("2");
        assertThat(site.page("boats").html()).contains(">3<").doesNotContain("script");
        SiteDocument without = does(site, SitePieces.following(site, Map.of()));
        assertThat(without.pieces().values()).noneMatch(SitePiece::ofTheme);
        assertThat(without.pages()).as("what the theme gave up the site keeps").isEqualTo(site.pages());
    }
}
