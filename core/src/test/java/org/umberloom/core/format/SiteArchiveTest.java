package org.umberloom.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.site.SitePart;
import org.umberloom.core.site.SitePiece;
import org.umberloom.core.theme.PictureFacts;

/** Sites as archives: out and in again they are equal; pages from elsewhere come in with nothing that runs, loads or reaches anything. */
class SiteArchiveTest {
    private static Map<String, byte[]> files(String... pairs) {
        Map<String, byte[]> files = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) files.put(pairs[i], pairs[i + 1].getBytes(StandardCharsets.UTF_8));
        return files;
    }

    private static SiteArchive.Reading read(String... pairs) {
        return SiteArchive.read("Quay", files(pairs));
    }

    private static String page(String body) {
        return "<!doctype html><html><head><title>T</title></head><body>" + body + "</body></html>";
    }

    private static String cleaned(String body) {
        return Jsoup.parse(read("index.html", page(body)).site().page("index").html())
                .body()
                .html();
    }

    private static void assertSame(SiteArchive.Reading one, SiteArchive.Reading other) {
        assertThat(other.site()).isEqualTo(one.site());
        assertThat(other.pictures().keySet()).isEqualTo(one.pictures().keySet());
        other.pictures().forEach((name, picture) -> {
            assertThat(picture.content()).isEqualTo(one.pictures().get(name).content());
            assertThat(picture.facts()).isEqualTo(one.pictures().get(name).facts());
        });
    }

    private static SiteArchive.Reading again(SiteArchive.Reading reading) {
        return SiteArchive.read(
                "other", KitArchive.read(KitArchive.write(SiteArchive.write(reading.site(), reading.pictures()))));
    }

    @Nested
    class Demo {
        /** The demo's own sites, read as plain pages, and as they are written here. */
        @ParameterizedTest
        @ValueSource(strings = {"crossings", "freight", "galley", "trust", "winter", "crew"})
        void outAndInAgainIsEqual(String site) throws IOException {
            Path folder = Path.of("../demo/sites", site);
            Map<String, byte[]> files = new TreeMap<>();
            try (Stream<Path> all = Files.walk(folder)) {
                for (Path file : all.filter(Files::isRegularFile).toList())
                    files.put(folder.relativize(file).toString(), Files.readAllBytes(file));
            }
            SiteArchive.Reading first = SiteArchive.read(site, files);
            assertThat(first.site().pages()).hasSizeGreaterThan(3);
            SiteArchive.Reading second = again(first);
            assertSame(first, second);
            assertThat(second.notes()).isEmpty();
        }
    }

    @Nested
    class PiecesOfNoPage {
        private final SiteDocument site =
                read("index.html", page("<main><p>T</p></main>")).site();

        private SiteArchive.Reading again(String markup) {
            SiteDocument with = SitePart.Piece.of(new SitePiece("quay-note", "A note", false, Set.of(), false, markup))
                    .in(site);
            return SiteArchiveTest.again(new SiteArchive.Reading(with, Map.of(), List.of()));
        }

        @Test
        void stayInTheSite() {
            SiteArchive.Reading again = again("<aside data-piece=\"quay-note\"><p>Words</p></aside>");
            assertThat(again.notes()).isEmpty();
            assertThat(again.site().pieces().get("quay-note").html()).contains("Words");
        }

        @Test
        void areLookedThroughAsPagesAre() {
            SiteArchive.Reading again =
                    again("<aside data-piece=\"quay-note\"><p>Words</p><script>go()</script></aside>");
            assertThat(again.site().pieces().get("quay-note").html())
                    .contains("Words")
                    .doesNotContain("script");
            assertThat(again.notes()).anyMatch(note -> note.contains("script"));
        }
    }

    @Nested
    class Pictures {
        private final SiteDocument site =
                read("index.html", page("<img src=\"pictures/a.png\">")).site();
        private final PictureFacts facts = new PictureFacts("CC0", "own", "A boat", 0.25, 1, false);

        @Test
        void whatIsKnownOfThemGoesOutAndComesIn() {
            Map<String, SiteArchive.Picture> pictures = Map.of(
                    "a.png", new SiteArchive.Picture(new byte[] {1}, facts),
                    "b.png", new SiteArchive.Picture(new byte[] {2}, PictureFacts.NONE));
            SiteArchive.Reading reading = new SiteArchive.Reading(site, pictures, List.of());
            assertSame(reading, again(reading));
        }

        @Test
        void smallerFilesOfThemDoNotBecomePictures() {
            Map<String, byte[]> files = new TreeMap<>(
                    SiteArchive.write(site, Map.of("a.png", new SiteArchive.Picture(new byte[] {1}, facts))));
            files.put("pictures/a-w480.png", new byte[] {3});
            assertThat(SiteArchive.read("x", files).pictures()).containsOnlyKeys("a.png");
        }

        @Test
        void licensesAsTheyWereSaidBeforeAreRead() {
            Map<String, byte[]> files = new TreeMap<>(
                    SiteArchive.write(site, Map.of("a.png", new SiteArchive.Picture(new byte[] {1}, facts))));
            String said = new String(files.get(SiteArchive.FILE), StandardCharsets.UTF_8);
            Map<String, Object> map = new java.util.LinkedHashMap<>(Json.readObject("site", said));
            map.remove("pictures");
            map.put("licenses", Map.of("a.png", "MIT"));
            files.put(SiteArchive.FILE, Json.write(map).getBytes(StandardCharsets.UTF_8));
            assertThat(SiteArchive.read("x", files).pictures().get("a.png").facts())
                    .isEqualTo(PictureFacts.licensed("MIT"));
        }

        @Test
        void aPointOutsideThePictureIsRefused() {
            assertThatThrownBy(() -> new PictureFacts("", "", "", 1.2, 0, false))
                    .hasMessageContaining("from 0 to 1");
            assertThatThrownBy(() -> PictureFacts.of("a.png", Map.of("focal", List.of(0.5))))
                    .hasMessageContaining("no pair");
        }
    }

    @Nested
    class PlainPages {
        private final SiteArchive.Reading reading = read(
                "site/docs/guide.htm",
                page(
                        "<a href=\"../index.html#top\">Home</a> <a href=\"deep/x.html?a=1\">X</a> <img src=\"../img/a b.png\">"),
                "site/docs/deep/x.html",
                page(
                        "<img src=\"../../img/a%20b.png\"><img src=\"missing.png\" alt=\"gone\"><a href=\"https://e.example/\">out</a>"),
                "site/index.html",
                "<html><head><title>Front</title><link rel=\"stylesheet\" href=\"css/a.css\"><style>h1 { color: red }</style></head><body>"
                        + "<header>h</header><main>m</main></body></html>",
                "site/css/a.css",
                "@import \"b.css\"; p { margin: 3px; background: url(x.png) } @media (min-width: 3em) { p { color: blue } }",
                "site/img/a b.png",
                "png",
                "site/notes.txt",
                "n");

        @Test
        void theFrontPageIsFoundAndComesFirst() {
            assertThat(reading.site().pages().stream().map(SitePage::slug))
                    .containsExactly("index", "docs-deep-x", "docs-guide");
            assertThat(reading.site().page("index").title()).isEqualTo("Front");
        }

        @Test
        void relativeLinksLeadWhereTheyLed() {
            assertThat(reading.site().page("docs-guide").html())
                    .contains("href=\"index.html#top\"", "href=\"docs-deep-x.html\"", "src=\"pictures/img-a-b.png\"");
            assertThat(reading.site().page("docs-deep-x").html())
                    .contains("src=\"pictures/img-a-b.png\"", "href=\"https://e.example/\"", "alt=\"gone\"")
                    .doesNotContain("missing.png");
        }

        @Test
        void styleSheetsBecomeTheSitesOwn() {
            assertThat(reading.site().css())
                    .contains("margin: 3px", "@media (min-width:3em)", "color: blue", "color: red")
                    .doesNotContain("import", "url");
        }

        @Test
        void whatWasTakenOutOrPassedOverIsSaid() {
            assertThat(String.join(" ", reading.notes()))
                    .contains(
                            "1 files that did not come along",
                            "imports of other style sheets",
                            "things from elsewhere",
                            "notes.txt");
        }

        @Test
        void outAndInAgainIsEqual() {
            SiteArchive.Reading second = again(reading);
            assertSame(reading, second);
            assertThat(second.notes()).isEmpty();
        }
    }

    @Nested
    class Harmless {
        @ParameterizedTest
        @ValueSource(
                strings = {
                    "<script>alert(1)</script>",
                    "<p onclick=\"x()\" onmouseover=x()>a</p>",
                    "<a href=\"java\tscript:alert(1)\">a</a>",
                    "<a href=\" JaVaScRiPt:alert(1)\">a</a>",
                    "<a href=\"vbscript:x\">a</a>",
                    "<a href=\"data:text/html,<script>x</script>\">a</a>",
                    "<iframe src=\"https://evil.example/\"></iframe>",
                    "<object data=\"https://evil.example/x.swf\"></object>",
                    "<embed src=\"//evil.example/x\">",
                    "<img src=\"https://evil.example/x.png\" srcset=\"https://evil.example/y.png 2x\">",
                    "<img src=x onerror=alert(1)>",
                    "<form action=\"https://evil.example/\"><button formaction=\"https://evil.example/\">x</button></form>",
                    "<p style=\"background: url(https://evil.example/x.png)\">a</p>",
                    "<p style=\"background: u\\72l(https://evil.example/x.png)\">a</p>",
                    "<svg><script>alert(1)</script><use href=\"https://evil.example/x.svg#a\"/></svg>",
                    "<svg><a xlink:href=\"javascript:alert(1)\"><text>a</text></a></svg>",
                    "<svg><foreignObject><iframe src=\"https://evil.example\"></iframe></foreignObject></svg>",
                    "<math><mtext><img src=x onerror=alert(1)></mtext></math>",
                    "<base href=\"https://evil.example/\"><a href=\"x\">a</a>",
                    "<meta http-equiv=\"refresh\" content=\"0;url=https://evil.example\">",
                    "<video src=\"https://evil.example/v.mp4\" autoplay></video>",
                    "<body background=\"https://evil.example/x.png\">",
                    "<noscript><img src=\"https://evil.example/x.png\"></noscript>",
                    "<!--[if IE]><script>alert(1)</script><![endif]-->",
                    "<a ping=\"https://evil.example/\" href=\"#\">a</a>",
                    "<style>@import url(https://evil.example/x.css); p{background:url(//evil.example/x)}</style>",
                    "<iframe srcdoc=\"<script>alert(1)</script>\"></iframe>",
                    "<template><script>alert(1)</script></template>"
                })
        void nothingRunsLoadsOrReachesAnything(String hostile) {
            SiteArchive.Reading reading = read("index.html", page("<p>before</p>" + hostile + "<p>after</p>"));
            String all = reading.site().page("index").html().toLowerCase(java.util.Locale.ROOT)
                    + reading.site().css();
            assertThat(all)
                    .contains("before", "after")
                    .doesNotContain(
                            "evil.example",
                            "script:",
                            "alert(",
                            "onerror",
                            "onclick",
                            "srcdoc",
                            "<script",
                            "data:text");
            assertThat(reading.notes()).as("said").isNotEmpty();
        }

        /** What leaves the layer in which it is put: each as a browser would close it. */
        @ParameterizedTest
        @ValueSource(
                strings = {
                    "} } body { color: red }",
                    "p { color: red } } } @layer tokens { p { color: blue } }",
                    "p { color: red",
                    "@charset \"x\"; p { color: red } @namespace url(x);",
                    "@font-face { font-family: x; src: url(https://evil.example/f) } p { color: red }",
                    "/* */ p::after { content: \"} } body { color: red }\" }",
                    "@media screen { p { color: red } } }"
                })
        void ownStyleSheetsStayInTheirLayer(String css) {
            SiteDocument site = new SitePart.OwnCss(css)
                    .in(SiteDocument.of(
                            "quay", "Quay", List.of(new SitePage("index", "Q", "landing", page("<p>a</p>")))));
            int depth = 0;
            boolean quoted = false;
            for (char c : site.css().toCharArray()) {
                if (c == '"') quoted = !quoted;
                if (quoted) continue;
                if (c == '{') depth++;
                if (c == '}') depth--;
                assertThat(depth).isNotNegative();
            }
            assertThat(depth).isZero();
            assertThat(site.css()).doesNotContain("evil", "@font-face", "@charset", "@namespace");
            assertThat(new SitePart.OwnCss(site.css()).in(site)).isEqualTo(site);
        }

        @Test
        void tooDeepAndTooManyAreRefused() {
            assertThatThrownBy(() -> cleaned("<div>".repeat(400)))
                    .isInstanceOf(IllegalArgumentException.class)
                    .hasMessageContaining("deep");
            assertThatThrownBy(() -> cleaned("<b></b>".repeat(60_000)))
                    .isInstanceOf(IllegalArgumentException.class)
                    .hasMessageContaining("50000 elements");
        }

        @Test
        void anArchiveWithoutAPageGetsASentence() {
            assertThatThrownBy(() -> read("a.txt", "x"))
                    .isInstanceOf(FormatException.class)
                    .hasMessageContaining("There is no page in this");
            assertThatThrownBy(() -> read(
                            "site.json",
                            "{\"slug\":\"q\",\"parts\":{\"page/index\":{\"title\":\"t\",\"kind\":\"k\"}}}"))
                    .isInstanceOf(FormatException.class)
                    .hasMessageContaining("whose file is missing");
        }
    }
}
