package org.umberloom.core.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.color.Color;
import org.umberloom.core.format.SiteJson;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.page.Nameplate;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;

/** A site's document: its edits and their inverses, and its parts as JSON. */
class SiteDocumentTest {
    private static final TokenPath LINK = TokenPath.of("surface.page.link");

    private static SitePage page(String slug, String kind) {
        return new SitePage(slug, "Page " + slug, kind, "<html><head></head><body><p>" + slug + "</p></body></html>");
    }

    private static SiteDocument site() {
        return SiteDocument.of("quay", "The quay", List.of(page("index", "landing"), page("fares", "listing")));
    }

    private static Group link(int red) {
        return Group.EMPTY.with(LINK, new Token(new ColorValue(Color.rgb(red, 20, 40)), Meta.typed(TokenType.COLOR)));
    }

    private static SiteEdit random(Random random, SiteDocument site) {
        List<SitePage> pages = site.pages();
        SitePage any = pages.get(random.nextInt(pages.size()));
        List<Scope> scopes = List.of(
                Scope.site("quay"),
                Scope.kindIn("quay", "listing"),
                Scope.page("quay", any.slug()),
                Scope.spot("quay", any.slug() + ".1", false));
        return switch (random.nextInt(7)) {
            case 0 ->
                SiteEdits.nameplate(
                        site,
                        new Nameplate(
                                "Quay " + random.nextInt(9),
                                random.nextBoolean() ? "" : "Line " + random.nextInt(9),
                                random.nextBoolean() ? "" : "sign.svg",
                                random.nextBoolean() ? "" : "sign-dark.svg",
                                random.nextBoolean() ? "" : "icon.png"));
            case 1 ->
                SiteEdits.look(
                        Map.of("look", "freight"), SchemePolicy.values()[random.nextInt(SchemePolicy.values().length)]);
            case 2 -> SiteEdits.addPage(site, "article", "More " + random.nextInt(4));
            case 3 -> pages.size() > 1 ? SiteEdits.removePage(site, any.slug()) : SiteEdits.copyPage(site, any.slug());
            case 4 ->
                SiteEdits.order(pages.stream()
                        .map(SitePage::slug)
                        .sorted((a, b) -> b.compareTo(a))
                        .toList());
            case 5 -> SiteEdits.follow(site, Place.scope(scopes.get(random.nextInt(scopes.size()))), Optional.of(LINK));
            default ->
                new SiteEdit(
                        "link",
                        List.of(new SitePart.Written(
                                Place.scope(scopes.get(random.nextInt(scopes.size()))), link(random.nextInt(200)))));
        };
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void everyEditIsTakenBackExactlyAndReadsTheSameAgain(long seed) {
        Random random = new Random(seed);
        SiteDocument site = site();
        List<SiteEdit> inverses = new ArrayList<>();
        List<SiteDocument> states = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            SiteEdit edit = SiteJson.readEdit(SiteJson.write(random(random, site)));
            SiteEdit.Applied applied = edit.applyTo(site);
            states.add(site);
            inverses.add(SiteJson.readEdit(SiteJson.write(applied.inverse())));
            site = applied.site();
            assertThat(SiteJson.read("quay", SiteJson.write(site)))
                    .as("seed %d", seed)
                    .isEqualTo(site);
        }
        for (int i = inverses.size() - 1; i >= 0; i--) {
            site = inverses.get(i).applyTo(site).site();
            assertThat(site).as("seed %d, back to %d", seed, i).isEqualTo(states.get(i));
        }
    }

    @Nested
    class Pages {
        @Test
        void aNewOneStandsInTheFrameOfTheFirst() {
            SitePage first = new SitePage(
                    "index",
                    "Quay",
                    "landing",
                    "<html><head><title>Quay</title></head><body><header><a href=\"index.html\" aria-current=\"page\">Quay</a></header>"
                            + "<main><p data-spot=\"index.3\">Old words</p></main><footer>Foot</footer></body></html>");
            SiteDocument site = SiteDocument.of("quay", "Quay", List.of(first));
            SiteDocument grown = SiteEdits.addPage(site, "article", "Ebb & flow")
                    .applyTo(site)
                    .site();
            assertThat(grown.page("ebb-flow").kind()).isEqualTo("article");
            assertThat(grown.page("ebb-flow").html())
                    .contains("<footer>Foot</footer>", "<h1>Ebb &amp; flow</h1>", "<title>Ebb &amp; flow</title>")
                    .doesNotContain("Old words", "aria-current", "data-spot");
        }

        @Test
        void oneThatGoesTakesWhatIsWrittenForItAlong() {
            Place.InScope spot = Place.scope(Scope.spot("quay", "fares.1", false));
            Place.InScope kept = Place.scope(Scope.kindIn("quay", "listing"));
            SiteDocument site = site().withWritten(
                            Map.of(spot, link(1), Place.scope(Scope.page("quay", "fares")), link(2), kept, link(3)));
            SiteEdit.Applied gone = SiteEdits.removePage(site, "fares").applyTo(site);
            assertThat(gone.site().written()).containsOnlyKeys(kept);
            assertThat(gone.inverse().applyTo(gone.site()).site().written()).isEqualTo(site.written());
        }

        @Test
        void theLastOneStays() {
            SiteDocument site = SiteDocument.of("quay", "Quay", List.of(page("index", "landing")));
            assertThatThrownBy(() -> SiteEdits.removePage(site, "index"))
                    .isInstanceOf(IllegalArgumentException.class)
                    .hasMessageContaining("last page");
        }

        @Test
        void addressesAreNeverTakenTwice() {
            SiteDocument site = site();
            SiteDocument grown =
                    SiteEdits.addPage(site, "article", "Fares").applyTo(site).site();
            assertThat(grown.pages().stream().map(SitePage::slug)).containsExactly("index", "fares", "fares-2");
        }
    }

    @Test
    void followingAgainLeavesNoEmptyGroups() {
        Place.InScope place = Place.scope(Scope.site("quay"));
        SiteDocument site = site().withWritten(Map.of(place, link(9)));
        assertThat(SiteEdits.follow(site, place, Optional.of(LINK))
                        .applyTo(site)
                        .site()
                        .written())
                .isEmpty();
    }

    @Test
    void aCopyHasPlacesOfItsOwn() {
        SiteDocument site = site().withWritten(Map.of(Place.scope(Scope.page("quay", "fares")), link(9)));
        SiteDocument copy = site.called("pier", "The pier");
        assertThat(copy.written()).containsOnlyKeys(Place.scope(Scope.page("pier", "fares")));
        assertThatThrownBy(() -> copy.withWritten(site.written()))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("no place of the site");
    }

    @Test
    void editsOfOnePartMeetAndOthersDoNot() {
        SiteEdit one = SiteEdits.nameplate(site(), Nameplate.of("A"));
        SiteEdit other = SiteEdits.nameplate(site(), Nameplate.of("B"));
        assertThat(one.meets(other)).isTrue();
        assertThat(one.meets(SiteEdits.order(List.of()))).isFalse();
    }

    @Test
    void whatIsNoSiteIsRefusedWithASentence() {
        assertThatThrownBy(() -> SiteJson.read("quay", Map.of("nameplate", "{\"name\":\"\"}")))
                .isInstanceOf(FormatException.class);
        assertThatThrownBy(() ->
                        SiteJson.read("quay", Map.of("page/No Such", "{\"title\":\"t\",\"kind\":\"k\",\"html\":\"\"}")))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("cannot be an address");
        assertThatThrownBy(() -> SiteJson.read("quay", Map.of("at/scope:site=pier", "{}")))
                .isInstanceOf(FormatException.class);
    }
}
