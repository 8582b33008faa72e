package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.format.PageChangeJson;
import org.umberloom.core.json.FormatException;

/** What is done to a page so that its looks can be tried, and what is refused. */
class PageChangesTest {
    private static final String PAGE =
            """
            <!doctype html>
            <html lang="en"><head><title>Fares</title></head><body>
            <header><a href="index.html">Quay</a></header>
            <main>
            <h1>Fares</h1>
            <section id="cars" data-spot="fares.5"><h2>Cars</h2><p>By <b>length</b>.</p></section>
            <figure><img src="pictures/boat.svg" alt="A boat" width="20"></figure>
            </main>
            <footer><p>The quay</p></footer>
            </body></html>
            """;

    private static int at(String html, String selector) {
        Document document = Jsoup.parse(html);
        return document.body().getAllElements().indexOf(document.selectFirst(selector));
    }

    private static int at(String selector) {
        return at(PAGE, selector);
    }

    private static Document made(PageChange change) {
        PageChange read = PageChangeJson.read(PageChangeJson.data(change));
        assertThat(read).as("read as it was written").isEqualTo(change);
        assertThat(PageChanges.words(PAGE, change)).isNotBlank();
        return Jsoup.parse(PageChanges.made(PAGE, change));
    }

    @Test
    void aBlockStandsOnAnotherSurfaceReachesFurtherAndHasOtherRoom() {
        Element section = made(new PageChange.Ground(at("section"), "deep")).selectFirst("section");
        assertThat(section.attr("data-surface")).isEqualTo("deep");
        assertThat(made(new PageChange.Extent(at("section"), PageChange.Reach.FULL))
                        .selectFirst("section")
                        .attr("data-width"))
                .isEqualTo("full");
        assertThat(made(new PageChange.Air(at("section"), PageChange.Room.AMPLE))
                        .selectFirst("section")
                        .attr("data-air"))
                .isEqualTo("ample");
        String wide = PageChanges.made(PAGE, new PageChange.Extent(at("section"), PageChange.Reach.WIDE));
        assertThat(PageChanges.made(wide, new PageChange.Extent(at("section"), PageChange.Reach.CONTENT)))
                .as("what is usual is not written")
                .isEqualTo(PageChanges.made(PAGE, new PageChange.Shown(at("header"), true)));
    }

    @Test
    void blocksChangePlacesAndStopAtTheEnds() {
        assertThat(made(new PageChange.Shift(at("section"), 1))
                        .select("main > *")
                        .eachAttr("src"))
                .isEmpty();
        assertThat(made(new PageChange.Shift(at("section"), 1))
                        .selectFirst("main")
                        .children())
                .extracting(Element::normalName)
                .containsExactly("h1", "figure", "section");
        assertThat(made(new PageChange.Shift(at("figure"), -9))
                        .selectFirst("main")
                        .children())
                .extracting(Element::normalName)
                .containsExactly("figure", "h1", "section");
    }

    @Test
    void aCopyHasNoNameOfTheOtherAndNothingThatIsThereOnce() {
        Document copied = made(new PageChange.Double(at("section")));
        assertThat(copied.select("section")).hasSize(2);
        assertThat(copied.select("#cars")).hasSize(1);
        assertThat(copied.select("[data-spot]")).hasSize(1);
        assertThat(copied.select("section").get(1).text()).isEqualTo("Cars By length.");
    }

    @Test
    void partsAreAddedAfterABlockOrAtTheEnd() {
        assertThat(made(new PageChange.Insert(at("h1"), "quote"))
                        .selectFirst("main")
                        .child(1)
                        .normalName())
                .isEqualTo("blockquote");
        assertThat(made(new PageChange.Insert(0, "table"))
                        .selectFirst("main")
                        .lastElementChild()
                        .normalName())
                .isEqualTo("table");
        assertThat(made(new PageChange.Drop(at("section"))).select("section")).isEmpty();
    }

    @Test
    void aHeadingWearsAnotherLooksAndKeepsItsTag() {
        Element heading = made(new PageChange.Look(at("h2"), Optional.of("h3"))).selectFirst("h2");
        assertThat(heading.attr("data-as")).isEqualTo("h3");
        String worn = PageChanges.made(PAGE, new PageChange.Look(at("h2"), Optional.of("h3")));
        assertThat(Jsoup.parse(PageChanges.made(worn, new PageChange.Look(at(worn, "h2"), Optional.of("h2"))))
                        .selectFirst("h2")
                        .hasAttr("data-as"))
                .isFalse();
    }

    @Test
    void wordsAndPicturesAreTried() {
        assertThat(made(new PageChange.Words(at("h1"), "  What it \n costs <b>"))
                        .selectFirst("h1")
                        .text())
                .isEqualTo("What it costs <b>");
        Element picture = made(new PageChange.Picture(at("img"), "pictures/lamp.svg", "A lamp"))
                .selectFirst("img");
        assertThat(picture.attributes().asList().stream().map(Object::toString))
                .containsExactlyInAnyOrder("src=\"pictures/lamp.svg\"", "alt=\"A lamp\"");
    }

    @Test
    void aTitleIsHeardAndNotSeenAndARegionIsLeftOut() {
        assertThat(made(new PageChange.Shown(at("h1"), false)).selectFirst("h1").attr("data-title"))
                .isEqualTo("hidden");
        assertThat(made(new PageChange.Shown(at("header"), false))
                        .selectFirst("header")
                        .hasAttr("hidden"))
                .isTrue();
    }

    @Test
    void whatCannotBeDoneIsSaid() {
        assertThatThrownBy(() -> made(new PageChange.Words(at("section > p"), "Other")))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("more than words");
        assertThatThrownBy(() -> made(new PageChange.Extent(at("h2"), PageChange.Reach.FULL)))
                .hasMessageContaining("lies within something else");
        assertThatThrownBy(() -> made(new PageChange.Shown(at("section"), false)))
                .hasMessageContaining("Only a title and the regions");
        assertThatThrownBy(() -> made(new PageChange.Look(at("section"), Optional.of("h3"))))
                .hasMessageContaining("Only a heading");
        assertThatThrownBy(() -> made(new PageChange.Insert(0, "carousel"))).hasMessageContaining("no part “carousel”");
        assertThatThrownBy(() -> made(new PageChange.Drop(at("main")))).hasMessageContaining("needs its main part");
        assertThatThrownBy(() -> made(new PageChange.Drop(999))).hasMessageContaining("no element 999");
        assertThatThrownBy(() -> PageChangeJson.read(Map.of("op", "explode", "at", 1.0)))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("“explode” is not a change of a page");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "https://elsewhere.example/x.png",
                "//elsewhere.example/x.png",
                "javascript:alert(1)",
                "/etc/x",
                "../x",
                ""
            })
    void aPictureIsOneOfTheSites(String source) {
        assertThatThrownBy(() -> made(new PageChange.Picture(at("img"), source, "")))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("no picture of the site");
    }

    @Test
    void thePlanNamesRegionsAndBlocksInReadingOrder() {
        assertThat(PageBlocks.of(PAGE))
                .extracting(PageBlocks.Block::tag)
                .containsExactly("header", "h1", "section", "figure", "footer");
        assertThat(PageBlocks.of(PAGE))
                .extracting(PageBlocks.Block::region)
                .containsExactly(true, false, false, false, true);
        assertThat(PageBlocks.of(PAGE).get(2).spot()).isEqualTo("fares.5");
    }

    @Test
    void headingsAreReadWithTheirFaults() {
        Headings.Order order =
                Headings.of("<body><h1>A</h1><h3>B</h3><h1>C</h1><h2> </h2><h2 data-as='h4'>D</h2></body>");
        assertThat(order.missing()).isEmpty();
        assertThat(order.headings())
                .extracting(heading -> heading.fault().orElse(null))
                .containsExactly(null, Headings.Fault.SKIPPED, Headings.Fault.SECOND_TITLE, Headings.Fault.EMPTY, null);
        assertThat(order.headings().get(4).look()).isEqualTo(4);
        assertThat(Headings.of("<body><h2>A</h2></body>").missing()).contains(Headings.Fault.NO_TITLE);
    }
}
