package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.limit.Sizes;
import org.umberloom.core.sheet.SheetReader;

/** Pages from elsewhere: what may stand in them, and where the addresses in them lead as browsers read them. */
class PageCleaningTest {
    private static String cleaned(String within) {
        return PageCleaning.of("<html><head></head><body>" + within + "</body></html>", Optional::of)
                .html();
    }

    /** Source: URL Living Standard, 4.4: what is passed over, and that a backslash counts as a slash. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "pictures/a.png | '' | false | true",
                "../a.png | '' | false | false",
                "%2e%2E/a.png | '' | false | false",
                "/a.png | '' | false | false",
                "//host/a.png | '' | true | false",
                "'/\\host/a.png' | '' | true | false",
                "'\\\\host\\a.png' | '' | true | false",
                "'\\/host' | '' | true | false",
                "HTTPS://host/ | https | false | false",
                "https:host | https | false | false",
                "data:image/png,x | data | false | false",
                "a:b.html | a | false | false",
                "a/b:c.html | '' | false | true",
                "1a:b | '' | false | true"
            })
    void addressesAreReadAsBrowsersDo(String written, String scheme, boolean toHost, boolean beside) {
        PageAddress address = PageAddress.of(written);
        assertThat(address.scheme()).isEqualTo(scheme);
        assertThat(address.toHost()).isEqualTo(toHost);
        assertThat(address.isBeside()).isEqualTo(beside);
    }

    @Test
    void whatBrowsersPassOverHidesNothing() {
        assertThat(PageAddress.of(" \u0001java\tscr\nipt:x").scheme()).isEqualTo("javascript");
        assertThat(PageAddress.of("/\t/host").toHost()).isTrue();
        assertThat(PageAddress.of("ht\rtp://host").scheme()).isEqualTo("http");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<svg><rect mask='url(http://evil.example/x)'/></svg>",
                "<svg><rect FILL='URL( \"//evil.example/x#a\" )'/></svg>",
                "<svg><g cursor='url(http://evil.example/c.cur)'/></svg>",
                "<svg><rect clip-path='u\\72l(http://evil.example/x)'/></svg>",
                "<svg><path marker-end=\"url(#a) url('http://evil.example/x')\"/></svg>",
                "<svg><rect fill='image-set(\"http://evil.example/x\" 1x)'/></svg>",
                "<svg><image href='http://evil.example/x'/><image xlink:href='/\\evil.example/x'/></svg>",
                "<svg><feImage href='http://evil.example/x'/></svg>",
                "<svg><use href='data:image/svg+xml,evil.example'/></svg>",
                "<img src='/\\evil.example/x'><img src='ht\ttp://evil.example/x'><img src=' //evil.example/x'>",
                "<img src='data:image/svg+xml,%3Csvg xmlns=evil.example'>",
                "<link rel='preload' as='font' href='http://evil.example/x'><link rel='preload' as='image' href='//evil.example/x'>",
                "<link rel='prefetch' href='http://evil.example/x'><link rel='dns-prefetch' href='//evil.example'>",
                "<video poster='http://evil.example/x'></video><input type=image src='//evil.example/x'>",
                "<table background='http://evil.example/x'><tr><td background='/\\evil.example/x'></table>",
                "<a ping='http://evil.example/x' href='#a'>x</a><button formaction='http://evil.example/'>x</button>",
                "<p style='background: url(http://evil.example/x)'>x</p>",
                "<p nonsense='http://evil.example/x' onclick='evil.example'>x</p>",
                "<math><mtext href='http://evil.example/x'>x</mtext></math>",
                "<img srcset='http://evil.example/x 2x'><source srcset='//evil.example/x'>",
                "<iframe src='http://evil.example/'></iframe><object data='http://evil.example/'></object>",
                "<meta http-equiv='refresh' content='0;url=http://evil.example/'><base href='http://evil.example/'>"
            })
    void nothingInItLoadsFromElsewhere(String attack) {
        assertThat(cleaned(attack)).doesNotContain("evil.example");
    }

    @Test
    void whatIsKnownStays() {
        String page = "<main class=\"a\" data-part=\"x\" aria-label=\"image of url(x)\"><h1 id=\"t\">A</h1>"
                + "<img src=\"pictures/a.png\" alt=\"b\" width=\"3\"><a href=\"https://elsewhere.example/\">c</a>"
                + "<my-card data-x=\"1\"><p>d</p></my-card>"
                + "<svg viewbox=\"0 0 9 9\" class=\"image\"><defs><lineargradient id=\"g\"></lineargradient></defs>"
                + "<rect fill=\"url(#g)\" width=\"9\"></rect></svg>"
                + "<math><mfrac><mi>a</mi><mn>2</mn></mfrac></math><table><tbody><tr><td colspan=\"2\">e</td></tr></tbody></table>"
                + "</main>";
        PageCleaning.Cleaned cleaned =
                PageCleaning.of("<html><head></head><body>" + page + "</body></html>", Optional::of);
        assertThat(cleaned.removed()).isEmpty();
        assertThat(cleaned.html()).containsIgnoringCase(page);
    }

    @Test
    void anUnknownElementLeavesWhatIsInIt() {
        assertThat(cleaned("<p>a <fancy>b <b>c</b></fancy></p>")).contains("<p>a b <b>c</b></p>");
    }

    @Test
    void whatIsTooMuchIsRefusedBeforeItIsParsed() {
        assertThatThrownBy(() -> PageCleaning.of("a".repeat(2 * Sizes.TEXT + 1), Optional::of))
                .hasMessageContaining("is not taken in: at most 4,194,304");
        assertThatThrownBy(() -> PageCleaning.of("<i>".repeat(250_000), Optional::of))
                .hasMessageContaining("with 50000 elements");
        assertThat(PageCleaning.of("<i></i>".repeat(49_000), Optional::of).removed())
                .isEmpty();
    }

    @Test
    void aDrawingThatGrowsByPowersIsTakenOut() {
        StringBuilder svg = new StringBuilder("<svg><g id='l0'><rect/></g>");
        for (int level = 1; level < 12; level++)
            svg.append("<g id='l")
                    .append(level)
                    .append("'>")
                    .append(("<use href='#l" + (level - 1) + "'/>").repeat(10))
                    .append("</g>");
        PageCleaning.Cleaned cleaned = PageCleaning.of("<p>before</p>" + svg + "</svg><p>after</p>", Optional::of);
        assertThat(cleaned.html()).contains("before", "after").doesNotContain("<use");
        assertThat(cleaned.removed()).containsKey("drawings that repeat themselves too often");
    }

    @Test
    void aStyleSheetThatLiesTooDeepIsRefusedWithItsLine() {
        assertThatThrownBy(() ->
                        SheetReader.read("p { color: red }\n" + ":is(".repeat(3_000) + "p" + ")".repeat(3_000) + " {}"))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("Line 2, column");
        assertThatThrownBy(() -> SheetReader.read("p { width: " + "calc(".repeat(5_000)))
                .hasMessageContaining("Line 1, column");
        assertThatThrownBy(() -> SheetReader.read("@media print {".repeat(4_000)))
                .hasMessageContaining("64 brackets");
    }
}
