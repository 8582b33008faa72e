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

    /** However deep the wrappers are: the frame's rules reach what lies in the body itself. */
    @Test
    void regionsDeepInWrappersAreBroughtUp() {
        Document document = Jsoup.parse(
                body("<div id=\"app\"><div class=\"layout\"><div class=\"page-header\"><a href=\"#\">Site</a></div>"
                                + "<div class=\"columns\"><nav class=\"docs\"><ul><li>a</li><li>b</li><li>c</li></ul></nav>"
                                + "<div class=\"inner\"><p>Crumbs</p><div role=\"main\"><article>"
                                + "<header><h1>T</h1></header></article></div></div>"
                                + "<aside><p>Related</p></aside><div class=\"toc\"><p>On this page</p></div></div>"
                                + "<footer><p>Foot</p></footer></div></div>")
                        .html());
        assertThat(document.select("body > header")).hasSize(1);
        assertThat(document.select("body > header").text()).isEqualTo("Site");
        assertThat(document.select("body > main > p").text()).isEqualTo("Crumbs");
        assertThat(document.select("body > main article header h1")).hasSize(1);
        assertThat(document.select("body > footer")).hasSize(1);
        assertThat(document.select("body > [data-part=sidebar]").eachText())
                .containsExactly("a b c", "Related", "On this page");
    }

    @Test
    void theHeaderOfAnArticleIsNotThatOfThePage() {
        Recognition.Recognised page = body("<main><article><header><h1>T</h1></header></article></main>");
        assertThat(page.missing()).contains("header");
    }
}
