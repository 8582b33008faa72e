package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.WaitUntilState;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.check.TypeChecks;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.css.FontFace;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.font.Cut;
import org.umberloom.core.font.FontFile;
import org.umberloom.core.font.FontTables;
import org.umberloom.core.font.Measure;
import org.umberloom.core.font.StandIn;
import org.umberloom.core.font.Woff2;
import org.umberloom.core.json.Json;
import org.umberloom.core.page.PageUse;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;

/** What is computed of fonts against what Chromium does with them. */
class FontsOfTheBrowserTest {
    private static final Path FONTS = Loom.HOME.resolve("ui/static/fonts");
    private static final String SITE = "http://pages.test/";
    /** The Universal Declaration of Human Rights, United Nations, 10 December 1948: the beginning of its preamble. */
    private static final String TEXT =
            "Whereas recognition of the inherent dignity and of the equal and inalienable rights of all members of the human"
                    + " family is the foundation of freedom, justice and peace in the world, Whereas disregard and contempt for human"
                    + " rights have resulted in barbarous acts which have outraged the conscience of mankind, and the advent of a world"
                    + " in which human beings shall enjoy freedom of speech and belief and freedom from fear and want has been"
                    + " proclaimed as the highest aspiration of the common people, Whereas it is essential, if man is not to be"
                    + " compelled to have recourse, as a last resort, to rebellion against tyranny and oppression, that human rights"
                    + " should be protected by the rule of law, Whereas it is essential to promote the development of friendly"
                    + " relations between nations";

    /** Where each line begins, told by the words that stand lower than those before them; the last counts by how far it goes. */
    private static final String LINES =
            """
            (p) => {
              const node = p.firstChild, range = document.createRange();
              let lines = 0, top = null, begin = 0;
              for (const word of node.data.matchAll(/\\S+/g)) {
                range.setStart(node, word.index);
                range.setEnd(node, word.index + 1);
                const at = range.getBoundingClientRect().top;
                if (top !== null && at > top + 2) { lines++; begin = word.index; }
                top = at;
              }
              range.setStart(node, begin);
              range.setEnd(node, node.data.length);
              return node.data.length / (lines + range.getBoundingClientRect().width / p.clientWidth);
            }""";

    private static final String SHIFTS =
            """
            () => { window.shifted = 0; window.moved = []; new PerformanceObserver((list) => {
              for (const entry of list.getEntries()) {
                window.shifted += entry.value;
                for (const { node, previousRect: from, currentRect: to } of entry.sources)
                  window.moved.push(`${node?.nodeName} ${node?.textContent?.trim().slice(0, 30)}: `
                    + `${from.y} ${from.height} to ${to.y} ${to.height}`);
              }
            }).observe({ type: 'layout-shift' }); }""";

    /** Archivo of @fontsource-variable/archivo 5.3.0, a variable font with an axis of widths; its license stands beside it. */
    static final Path WIDTHS = Loom.HOME.resolve("e2e/src/test/resources/fonts/archivo-latin-widths.woff2");

    private static Page page;

    @BeforeAll
    static void open() {
        page = Browsers.context(ColorScheme.LIGHT).newPage();
    }

    @AfterAll
    static void close() {
        page.context().close();
    }

    private record Shipped(String name, String generic, List<Part> files) {}

    private record Part(String file, String style, String weights, String characters) {}

    private static List<Shipped> families() {
        return Json.list(
                        "families",
                        Json.readObject("catalog", "{\"families\":" + Demo.read(FONTS.resolve("catalog.json")) + "}")
                                .get("families"))
                .stream()
                .map(one -> Json.object("family", one))
                .map(family -> new Shipped(
                        (String) family.get("name"),
                        (String) family.get("generic"),
                        Json.list("files", family.get("files")).stream()
                                .map(one -> Json.object("file", one))
                                .map(part -> new Part(
                                        (String) part.get("file"),
                                        (String) part.get("style"),
                                        (String) part.get("weights"),
                                        (String) part.get("characters")))
                                .toList()))
                .toList();
    }

    private static byte[] bytes(String file) {
        try {
            return Files.readAllBytes(FONTS.resolve(file));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String face(String name, byte[] file) {
        return "@font-face { font-family: " + name + "; font-weight: 1 1000; src: url(data:font/woff2;base64,"
                + Base64.getEncoder().encodeToString(file) + "); }";
    }

    /**
     * Five paragraphs of each shipped family: sizes, weights, spacings and widths that people use; to one character on paragraphs of
     * three lines and more. Letters stand where they belong, as on fine screens, and not at the nearest whole pixel.
     */
    @Test
    void aLineHoldsAsManyCharactersAsChromiumSetsInIt() {
        int checked = 0;
        List<String> off = new ArrayList<>();
        for (Shipped family : families()) {
            byte[] file = bytes(family.files().get(0).file());
            FontFile font = FontFile.read(file);
            StringBuilder html = new StringBuilder(
                    "<!doctype html><style>" + face("f", file)
                            + " p { margin: 0; font-family: f; font-synthesis: none; text-rendering: geometricPrecision; }</style>");
            List<Double> expected = new ArrayList<>();
            for (int i = 0; i < 5; i++) {
                int size = 14 + 2 * i;
                int weight = Math.min(font.heaviest(), Math.max(font.lightest(), i % 2 == 0 ? 400 : 700));
                double spacing = i == 3 ? 0.5 : 0;
                int width = 320 + 90 * i;
                html.append("<p style='font-size:" + size + "px;font-weight:" + weight + ";letter-spacing:" + spacing
                        + "px;width:" + width + "px'>" + TEXT + "</p>");
                expected.add(Measure.of(TEXT, font.advances(weight), size, spacing, width, Locale.ENGLISH));
            }
            page.setContent(html.toString());
            page.evaluate("() => document.fonts.ready");
            for (int i = 0; i < 5; i++) {
                double set = ((Number) page.locator("p").nth(i).evaluate(LINES)).doubleValue();
                checked++;
                assertThat(TEXT.length() / set).as("lines").isGreaterThanOrEqualTo(3);
                if (Math.abs(set - expected.get(i)) > 1)
                    off.add(family.name() + " " + i + ": " + expected.get(i) + " computed, " + set + " set");
            }
        }
        assertThat(checked).isGreaterThanOrEqualTo(200);
        assertThat(off).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"62, 400", "75, 700", "87.5, 400", "100, 400", "112.5, 600", "125, 900"})
    void lettersOfAnyWidthAreMeasuredAsTheyAreSet(double stretch, int weight) {
        byte[] file = bytes(WIDTHS.toString());
        FontFile font = FontFile.read(file);
        assertThat(font.width()).hasValueSatisfying(axis -> {
            assertThat(axis.least()).isEqualTo(62);
            assertThat(axis.most()).isEqualTo(125);
        });
        page.setContent("<!doctype html><style>" + face("f", file).replace(" }", " font-stretch: 62% 125%; }")
                + " p { margin: 0; font: " + weight + " 18px f; font-stretch: " + stretch
                + "%; width: 520px; text-rendering: geometricPrecision; }</style><p>" + TEXT + "</p>");
        page.evaluate("() => document.fonts.ready");
        double set = ((Number) page.locator("p").evaluate(LINES)).doubleValue();
        Cut cut = new Cut(List.of("f"), weight, stretch);
        assertThat(Measure.of(TEXT, font.advances(cut.axes()), 18, 0, 520, Locale.ENGLISH))
                .isCloseTo(set, withinPercentage(2));
    }

    @ParameterizedTest
    @ValueSource(strings = {"figtree-latin.woff2", "playfair-latin-italic.woff2", "zilla-slab-latin-400.woff2"})
    void aFileThatWasPackedAnewLooksTheSame(String file) {
        byte[] packed = bytes(file);
        byte[] anew = Woff2.write(FontTables.read(packed));
        assertThat(anew).isNotEqualTo(packed);
        List<byte[]> shots = new ArrayList<>();
        for (byte[] one : List.of(packed, anew)) {
            page.setContent(
                    "<!doctype html><style>" + face("f", one) + "p { font: 30px f, monospace }</style><p>" + TEXT);
            page.evaluate("() => document.fonts.ready");
            assertThat(page.evaluate("() => document.fonts.check('30px f')")).isEqualTo(true);
            shots.add(page.screenshot());
        }
        assertThat(shots.get(1)).isEqualTo(shots.get(0));
    }

    static Stream<Path> demoPages() {
        return Demo.pages(Demo.SITES).stream();
    }

    /**
     * Cumulative layout shift when the fonts come late; less than 0.01 is seen by nobody. Source: Layout Instability API, W3C.
     */
    @Test
    void hardlyAnythingJumpsWhenFontsComeLate() {
        List<String> jumping = new ArrayList<>();
        double with = 0;
        double without = 0;
        List<Path> pages = demoPages().toList();
        List<FontFace> faces = faces();
        for (int i = 0; i < pages.size(); i++) {
            String html = Demo.read(pages.get(i));
            String css = css(html, faces);
            Shift shift = shift(pages.get(i), html, css);
            if (shift.sum >= 0.01) jumping.add(pages.get(i) + ": " + shift);
            if (i % 5 == 0) {
                with += shift.growth;
                without += shift(pages.get(i), html, css.replaceAll("(?m)^  (size-adjust|[a-z-]+-override): .*\\R", ""))
                        .growth;
            }
        }
        assertThat(pages).hasSizeGreaterThan(20);
        assertThat(jumping).isEmpty();
        assertThat(without).as("pages grow without the overrides, by shares").isGreaterThan(3 * with);
    }

    /** Zooming as browsers do it: a window of fewer CSS pixels, each of them larger. */
    @ParameterizedTest
    @CsvSource({"16, 18, true", "20, 40, true", "20, 50, true", "20, 60, false", "30, 96, false"})
    void textIsEnlargedByZoomingWhereTheCoreSaysSo(double narrow, double wide, boolean enlarges) {
        FluidValue size = new FluidValue(DimensionValue.px(narrow), DimensionValue.px(wide), 360, 1280);
        assertThat(TypeChecks.enlarges(size)).isEqualTo(enlarges);
        page.setContent("<!doctype html><p style='font-size:" + CustomProperties.text(size) + "'>Text</p>");
        boolean everywhere = true;
        for (int window : new int[] {360, 800, 1280, 1600, 2400}) {
            double usual = sizeAt(window);
            boolean twice = false;
            for (double zoom : new double[] {1.5, 2, 2.5, 3, 4, 5})
                twice |= zoom * sizeAt(window / zoom) >= 2 * usual - 0.1;
            everywhere &= twice;
        }
        page.setViewportSize(1280, 800);
        assertThat(everywhere).isEqualTo(enlarges);
    }

    private static double sizeAt(double viewport) {
        page.setViewportSize((int) Math.round(viewport), 800);
        return ((Number) page.locator("p").evaluate("(p) => parseFloat(getComputedStyle(p).fontSize)")).doubleValue();
    }

    private static String css(String html, List<FontFace> faces) {
        PageUse use = PageUse.of(List.of(html));
        return Stylesheet.compile(Demo.theme(), Usage.of(use), faces);
    }

    /** Of all families that the demo wears, with what stands in for them. */
    private static List<FontFace> faces() {
        PageUse use = PageUse.of(demoPages().map(Demo::read).toList());
        String bare = Stylesheet.compile(Demo.theme(), Usage.of(use), List.of());
        return families().stream()
                .flatMap(family -> family.files().stream()
                        .map(part -> new FontFace(
                                family.name(),
                                part.style(),
                                part.weights(),
                                "",
                                part.characters(),
                                SITE + "fonts/" + part.file(),
                                part.equals(family.files().get(0)) && bare.contains("\"" + family.name() + "\"")
                                        ? StandIn.of(FontFile.read(bytes(part.file())), family.generic())
                                        : List.of())))
                .toList();
    }

    /**
     * @param sum    how much moved by itself
     * @param moved  what that was
     * @param growth of the page's height, as a share of it
     */
    private record Shift(double sum, Object moved, double growth) {}

    private static double height(Page late) {
        return ((Number) late.evaluate("() => document.documentElement.getBoundingClientRect().height")).doubleValue();
    }

    private static Shift shift(Path file, String html, String css) {
        List<Route> fonts = new ArrayList<>();
        Page late = Browsers.context(ColorScheme.LIGHT).newPage();
        try {
            late.setViewportSize(1280, 800);
            late.route("**/*", route -> {
                String url = route.request().url();
                if (url.contains("/fonts/")) fonts.add(route);
                else if (url.endsWith("theme.css"))
                    route.fulfill(new Route.FulfillOptions()
                            .setContentType("text/css")
                            .setBody(css));
                else if (url.endsWith(".html"))
                    route.fulfill(new Route.FulfillOptions()
                            .setContentType("text/html; charset=utf-8")
                            .setBody(html));
                else route.abort();
            });
            late.navigate(
                    SITE + file.getFileName(),
                    new Page.NavigateOptions().setWaitUntil(WaitUntilState.DOMCONTENTLOADED));
            late.waitForCondition(() -> !fonts.isEmpty());
            // Pictures that are not there move things too.
            late.waitForFunction("() => [...document.images].every((one) => one.complete)");
            late.waitForTimeout(150);
            late.evaluate(SHIFTS);
            double before = height(late);
            Map<String, String> shared = Map.of("Access-Control-Allow-Origin", "*");
            for (Route font : List.copyOf(fonts))
                font.fulfill(new Route.FulfillOptions()
                        .setHeaders(shared)
                        .setContentType("font/woff2")
                        .setBodyBytes(bytes(font.request().url().replaceFirst(".*/fonts/", ""))));
            late.evaluate("() => document.fonts.ready");
            late.evaluate(
                    "() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done, 50))))");
            return new Shift(
                    ((Number) late.evaluate("() => window.shifted")).doubleValue(),
                    late.evaluate("() => window.moved"),
                    Math.abs(height(late) - before) / before);
        } finally {
            late.context().close();
        }
    }
}
