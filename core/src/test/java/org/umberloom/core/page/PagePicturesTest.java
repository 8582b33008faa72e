package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.xml.parsers.DocumentBuilderFactory;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.umberloom.core.color.Color;
import org.xml.sax.InputSource;

/** Attributes of {@code img} as the HTML Living Standard has them (the img element; srcset attributes). */
class PagePicturesTest {
    private static final PagePictures.Known LARGE = new PagePictures.Known(
            2000,
            1000,
            "A ferry",
            0.25,
            0.8,
            List.of(new PagePictures.Sized(480, "ferry-w480.jpg"), new PagePictures.Sized(960, "ferry-w960.jpg")));

    private static Document page(String body) {
        return Markup.read("<!doctype html><html><head><title>t</title></head><body>" + body + "</body></html>");
    }

    private static Element image(String markup, PagePictures.Known known) {
        Document page = page(markup);
        PagePictures.on(page, Map.of("ferry.jpg", known));
        return page.selectFirst("img");
    }

    @Test
    void aPageIsToldWhatIsKnown() {
        Element image = image("<img src=\"pictures/ferry.jpg\">", LARGE);
        assertThat(image.attr("srcset"))
                .isEqualTo("pictures/ferry-w480.jpg 480w, pictures/ferry-w960.jpg 960w, pictures/ferry.jpg 2000w");
        assertThat(image.attr("width") + " " + image.attr("height")).isEqualTo("2000 1000");
        assertThat(image.attr("alt")).isEqualTo("A ferry");
        assertThat(image.attr("style")).isEqualTo("object-position: 25% 80%");
    }

    @Test
    void whatThePageSaysItselfStays() {
        Element image =
                image("<img src=\"pictures/ferry.jpg\" alt=\"\" width=\"300\" style=\"object-position: top\">", LARGE);
        assertThat(image.attr("alt")).isEmpty();
        assertThat(image.attr("width")).isEqualTo("300");
        assertThat(image.hasAttr("height"))
                .as("one side alone is the page's own proportion")
                .isFalse();
        assertThat(image.attr("style")).isEqualTo("object-position: top");
    }

    @Test
    void whatWasAddedIsTakenOffAgain() {
        for (String markup : List.of(
                "<img src=\"pictures/ferry.jpg\">",
                "<p>a</p><img src=\"pictures/ferry.jpg\" alt=\"own\" width=\"3\" height=\"2\"><img src=\"pictures/other.png\">")) {
            Document page = page(markup);
            String before = page.outerHtml();
            PagePictures.on(page, Map.of("ferry.jpg", LARGE));
            assertThat(page.outerHtml()).isNotEqualTo(before);
            PagePictures.off(page);
            assertThat(page.outerHtml()).isEqualTo(before);
        }
    }

    @Test
    void aPictureGoesWithAFigureThatHoldsNothingElse() {
        Document page = page("<figure><img src=\"pictures/a.svg\"></figure><figure><img src=\"pictures/a.svg\">"
                + "<figcaption>Soon</figcaption></figure><img src=\"pictures/b.svg\">");
        PagePictures.without(page, Set.of("a.svg"));
        assertThat(page.select("figure")).hasSize(1);
        assertThat(page.select("img").eachAttr("src")).containsExactly("pictures/b.svg");
    }

    @Test
    void onePictureStandsWhereAnotherStood() {
        String html = "<img src=\"pictures/a.svg\"><img src=\"pictures/a.svg.png\">";
        assertThat(PagePictures.instead(html, "a.svg", "c.jpg"))
                .isEqualTo("<img src=\"pictures/c.jpg\"><img src=\"pictures/a.svg.png\">");
        assertThat(PagePictures.shows(html, "a.sv")).isFalse();
    }

    @Test
    void aPlaceholderIsAVectorPictureOfItsSizeInTheThemesColors() throws Exception {
        String svg = Placeholder.svg(1200, 800, Color.rgb(250, 240, 230), Color.rgb(90, 60, 40));
        org.w3c.dom.Element root = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new InputSource(new java.io.StringReader(svg)))
                .getDocumentElement();
        assertThat(root.getAttribute("width") + "x" + root.getAttribute("height"))
                .isEqualTo("1200x800");
        assertThat(svg).contains("#faf0e6", "#5a3c28", "1200 × 800");
        for (int[] size : new int[][] {{15, 100}, {100, 5000}})
            assertThatThrownBy(() -> Placeholder.svg(size[0], size[1], Color.rgb(0, 0, 0), Color.rgb(0, 0, 0)))
                    .hasMessageContaining("16 to 4,096 px");
    }
}
