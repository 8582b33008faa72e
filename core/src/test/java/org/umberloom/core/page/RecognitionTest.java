package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;

/** Plain pages told apart: what is a region or a part is one from then on, and what is not is said. */
class RecognitionTest {
    private static Recognition.Recognised body(String markup) {
        return Recognition.of("<!doctype html><html><head></head><body>" + markup + "</body></html>");
    }

    @Test
    void regionsAreToldByRoleAndByTheWordsOfClassesAndNames() {
        Recognition.Recognised page = body(
                "<div id=\"wrap\"><div class=\"site-header dark\"><div class=\"navbar\"><a href=\"#\">A</a></div></div>"
                        + "<div role=\"main\"><h1>One</h1></div><div id=\"Footer\"><p>Foot</p></div></div>");
        Document document = Jsoup.parse(page.html());
        assertThat(document.select("body > header.site-header > nav.navbar")).hasSize(1);
        assertThat(document.select("body > main[role=main] > h1")).hasSize(1);
        assertThat(document.select("body > footer#Footer")).hasSize(1);
        assertThat(page.missing()).isEmpty();
        assertThat(page.found()).containsEntry("wrapper taken off", 1).containsEntry("menu", 1);
    }

    @Test
    void withoutAMainPartAllThatIsNoRegionIsTakenAsIt() {
        Recognition.Recognised page = body("<header>H</header>\n<h1>One</h1> and words <p>Two</p><footer>F</footer>");
        Document document = Jsoup.parse(page.html());
        assertThat(document.select("body > *").eachText()).containsExactly("H", "One and words Two", "F");
        assertThat(document.select("main > h1, main > p")).hasSize(2);
        assertThat(page.missing()).containsExactly("main part", "menu");
    }

    @Test
    void partsAreToldByTheirClasses() {
        Recognition.Recognised page =
                body("<main><a class=\"btn btn-large\" href=\"#\">Go</a>" + "<button class=\"btn\">Stay</button>"
                        + "<div class=\"warning\">Care</div><p class=\"lead\">First</p>"
                        + "<ul class=\"cards\"><li class=\"card\">C</li></ul></main>");
        Document document = Jsoup.parse(page.html());
        assertThat(document.select("a[data-part=button]")).hasSize(1);
        assertThat(document.select("button[data-part]"))
                .as("a button is one by its tag")
                .isEmpty();
        assertThat(document.select("[data-part=notice][data-state=warning]").text())
                .isEqualTo("Care");
        assertThat(document.select("[data-part=cards] > [data-part=card], [data-part=lead]"))
                .hasSize(2);
    }

    @Test
    void whatIsRecognisedAlreadyStaysAsItIs() {
        String html = body("<header><nav>N</nav></header><main><p data-part=\"lead\">L</p></main><footer>F</footer>")
                .html();
        assertThat(Recognition.of(html).html()).isEqualTo(html);
    }
}
