package org.umberloom.core.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.color.Color;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.page.Specimen;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.ValueText;

/** Values written by hand: planted ones are all found and none is invented; taken back they leave the page as it was. */
class StraysTest {
    private static final ThemeDocument THEME = Starter.ALL.get(0).theme("T");
    private static final Worn WORN = Worn.of(Resolution.of(THEME, THEME.defaults()));

    private static SiteDocument site(String html) {
        return SiteDocument.of("quay", "The quay", List.of(new SitePage("index", "Quay", "landing", html)));
    }

    private static SiteDocument body(String markup) {
        return site("<!doctype html><html><head></head><body>" + markup + "</body></html>");
    }

    private static List<String> found(String markup) {
        return Strays.in(body(markup)).stream()
                .map(stray -> stray.hand().property() + " " + stray.role())
                .toList();
    }

    private static String normal(String html) {
        Document document = Jsoup.parse(html);
        document.outputSettings().prettyPrint(false);
        return document.outerHtml();
    }

    /** All parts of the contract are on the page, so that every kind of element is planted on. */
    @ParameterizedTest
    @ValueSource(longs = {7, 11, 13, 17, 19})
    void plantedOnesAreAllFoundAndReturningThemLeavesNothing(long seed) {
        Random random = new Random(seed);
        String clean = normal(Specimen.page("page", Map.of()));
        assertThat(Strays.in(site(clean))).isEmpty();
        Document document = Jsoup.parse(clean);
        document.outputSettings().prettyPrint(false);
        List<Element> texts = document.body().select("p, h1, h2, h3, li, td, a, button, label");
        List<String> planted = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            Element element = texts.get(random.nextInt(texts.size()));
            if (element.hasAttr("style")) continue;
            String value =
                    switch (random.nextInt(4)) {
                        case 0 ->
                            "color: "
                                    + Color.rgb(random.nextInt(256), random.nextInt(256), 9)
                                            .hex();
                        case 1 -> "font-size: " + (9 + random.nextInt(40)) + "px";
                        case 2 -> "font-family: Georgia,serif";
                        default -> "letter-spacing: " + (1 + random.nextInt(4)) + "px";
                    };
            element.attr("style", value);
            planted.add(document.body().getAllElements().indexOf(element) + " " + value);
        }
        SiteDocument site = site(document.outerHtml());
        List<Strays.Stray> strays = Strays.in(site);
        assertThat(strays.stream()
                        .map(stray -> stray.hand().at() + " " + stray.hand().property() + ": "
                                + stray.hand().value()))
                .as("seed %d", seed)
                .containsExactlyInAnyOrderElementsOf(planted);
        SiteDocument returned = Strays.returned(site, strays).applyTo(site).site();
        assertThat(returned.page("index").html()).as("seed %d", seed).isEqualTo(clean);
    }

    @Nested
    class Governed {
        @Test
        void colorsOnTheSurfaceThatTheElementStandsOn() {
            assertThat(found("<section data-surface=\"deep\"><h2 style=\"color: red\">x</h2></section>"))
                    .containsExactly("color surface.deep.heading");
        }

        @Test
        void whatIsInheritedHasTheRoleOfWhatIsAround() {
            assertThat(found("<p>a <b style=\"color: red; font-size: 13px\">b</b></p>"))
                    .containsExactly("color surface.page.text", "font-size type.body");
        }

        @Test
        void presentationalAttributesCount() {
            assertThat(found("<p><font color=\"#ff0000\" face=\"Arial\">x</font></p>"))
                    .containsExactlyInAnyOrder("color surface.page.text", "font-family type.body");
        }

        /** A form's parts, a card's corner, a button's ground: rules of parts, not of text. */
        @ParameterizedTest
        @CsvSource({
            "<button style='background: #123'>x</button>, background surface.page.accent",
            "<button style='border-radius: 9px'>x</button>, border-radius shape.radius",
            "<div data-part='card' style='padding: 3px'>x</div>, padding gap.inset"
        })
        void partsHaveTheirRoles(String markup, String expected) {
            assertThat(found(markup)).hasSize(1).first().satisfies(one -> assertThat(one)
                    .startsWith(expected.substring(0, expected.indexOf(' '))));
        }

        @Test
        void whatNoRoleGovernsIsNoStray() {
            assertThat(found("<p style=\"text-align: right; display: inline-block; opacity: 0.5\">x</p>"))
                    .isEmpty();
            assertThat(found("<p style=\"color: inherit; font-size: var(--type-small-size)\">x</p>"))
                    .isEmpty();
        }

        @Test
        void brokenStylesAreReadAsFarAsABrowserWould() {
            assertThat(found("<p style=\"color: red; }; font-size: ; letter-spacing: 2px\">x</p>"))
                    .contains("color surface.page.text");
        }
    }

    @Nested
    class Matched {
        private Strays.Match match(String markup) {
            return Strays.nearest(Strays.in(body(markup)).get(0), WORN);
        }

        @Test
        void aRolesOwnColorIsAtNoDistance() {
            String link = WORN.color("surface.page.link").orElseThrow().hex();
            Strays.Match match = match("<p><a href=\"x\" style=\"color: " + link + "\">x</a></p>");
            assertThat(match.distance()).isEqualTo(0);
            assertThat(match.role()).isEqualTo("surface.page.link");
        }

        @Test
        void sizesAreMatchedByTheirRatio() {
            Strays.Match match = match("<p style=\"font-size: 16px\">x</p>");
            assertThat(match.role()).startsWith("type.").endsWith(".size");
            assertThat(match.distance()).isLessThan(0.1);
        }

        @Test
        void aFamilyIsMatchedByItsName() {
            assertThat(match("<p style=\"font-family: 'No Such Face'\">x</p>")).isEqualTo(Strays.Match.NONE);
        }
    }

    @Test
    void keptOnesBecomeTheRolesValueAtTheirElement() {
        SiteDocument site = body("<main><p>a</p><p style=\"color: #aa3300\">b</p></main>");
        SiteDocument kept = Strays.kept(site, Strays.in(site), "The cook wants it red", Optional.empty(), WORN)
                .applyTo(site)
                .site();
        assertThat(Strays.in(kept)).isEmpty();
        Place.InScope place = Place.scope(Scope.spot("quay", "index.3", false));
        assertThat(kept.written()).containsOnlyKeys(place);
        assertThat(kept.written()
                        .get(place)
                        .token(TokenPath.of("surface.page.text"))
                        .orElseThrow())
                .satisfies(token -> {
                    assertThat(ValueText.write(token.value())).isEqualTo("#aa3300");
                    assertThat(token.meta().description()).contains("The cook wants it red");
                });
        assertThat(kept.places().pages().get(0).spots()).hasSize(1);
    }

    @Test
    void aKeptSizeChangesNothingElseOfItsTextStyle() {
        SiteDocument site = body("<main><p style=\"font-size: 15px\">b</p></main>");
        SiteDocument kept = Strays.kept(site, Strays.in(site), "", Optional.empty(), WORN)
                .applyTo(site)
                .site();
        assertThat(ValueText.write(kept.written()
                        .values()
                        .iterator()
                        .next()
                        .token(TokenPath.of("type.body"))
                        .orElseThrow()
                        .value()))
                .contains("15px");
    }

    /** The fourth kind of place: a site's own style sheet. */
    @Nested
    class InTheOwnStyleSheet {
        private static final String CSS =
                "main h2, .note { color: #0a5c7e; padding: var(--gap-inset); }\n@media (min-width: 40rem) { p { font-size: 13px; } }\n"
                        + "h2:hover { color: red; }\n.elsewhere { color: red; }\n";

        private static SiteDocument styled() {
            SiteDocument site = body(
                    "<main><h2>One</h2><p>Two</p><h2>Three</h2></main><footer data-surface=\"deep\"><p>Four</p></footer>");
            return SiteEdits.css(CSS).applyTo(site).site();
        }

        @Test
        void aDeclarationThatReachesRoledElementsIsOneStray() {
            assertThat(Strays.in(styled()))
                    .extracting(stray -> stray.hand().property() + " "
                            + stray.hand().value() + " " + stray.hand().words() + " " + stray.role())
                    .containsExactly(
                            "color #0a5c7e One, and 1 more surface.page.heading",
                            "font-size 13px Two, and 1 more type.body.size".replace(".size", ""));
        }

        @Test
        void returnedItsDeclarationGoesAndTheRestStays() {
            SiteDocument site = styled();
            SiteDocument back = Strays.returned(site, List.of(Strays.in(site).get(0)))
                    .applyTo(site)
                    .site();
            assertThat(back.css())
                    .doesNotContain("#0a5c7e")
                    .contains("padding: var(--gap-inset)", "font-size: 13px", "h2:hover");
            assertThat(back.pages()).isEqualTo(site.pages());
        }

        @Test
        void keptEveryElementThatItReachesHasTheValueAsItsOwn() {
            SiteDocument site = styled();
            SiteDocument kept = Strays.kept(
                            site, List.of(Strays.in(site).get(0)), "As on the sign", Optional.empty(), WORN)
                    .applyTo(site)
                    .site();
            assertThat(kept.css()).doesNotContain("#0a5c7e");
            assertThat(kept.written()).hasSize(2);
            kept.written().values().forEach(tokens -> assertThat(
                            ValueText.write(tokens.token(TokenPath.of("surface.page.heading"))
                                    .orElseThrow()
                                    .value()))
                    .isEqualTo("#0a5c7e"));
        }
    }

    @Test
    void liftedTheyAllTakeOneTokenOfTheTheme() {
        SiteDocument site =
                body("<p style=\"color: #0a5c7e; font-size: 13px\">One</p><h2 style=\"color: #0a5c7e\">Two</h2>");
        List<Strays.Stray> colors = Strays.in(site).stream()
                .filter(stray -> stray.hand().property().equals("color"))
                .toList();
        TokenPath path = TokenPath.of("color.ferry");
        assertThat(ValueText.write(Strays.lifted(colors).value())).isEqualTo("#0a5c7e");
        SiteDocument lifted = Strays.kept(site, colors, "", Optional.of(path), WORN)
                .applyTo(site)
                .site();
        assertThat(lifted.written().values())
                .extracting(tokens -> ValueText.write(
                        tokens.token(tokens.paths().get(0)).orElseThrow().value()))
                .containsExactly("{color.ferry}", "{color.ferry}");
        assertThat(Strays.in(lifted)).hasSize(1);
        List<Strays.Stray> mixed = Strays.in(site);
        assertThatThrownBy(() -> Strays.lifted(mixed))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("of several kinds");
    }
}
