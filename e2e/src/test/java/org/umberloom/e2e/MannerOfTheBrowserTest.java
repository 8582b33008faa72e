package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.umberloom.core.css.FontFace;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.wish.ThemeWish;
import org.umberloom.core.wish.ValueWish;

/** What text styles say besides the format's parts, as Chromium computes and draws it. */
class MannerOfTheBrowserTest {
    private static final String SITE = "http://manner.test/";
    private static Page page;

    @BeforeAll
    static void open() {
        page = Browsers.context(ColorScheme.LIGHT).newPage();
        page.route(SITE + "fonts/*", route -> {
            String file = route.request().url().replaceAll(".*/", "");
            Path widths = FontsOfTheBrowserTest.WIDTHS;
            route.fulfill(new Route.FulfillOptions()
                    .setPath(
                            widths.endsWith(file)
                                    ? widths
                                    : Loom.HOME.resolve("ui/static/fonts").resolve(file)));
        });
        page.route(
                SITE,
                route -> route.fulfill(
                        new Route.FulfillOptions().setContentType("text/html").setBody("")));
    }

    @AfterAll
    static void close() {
        page.context().close();
    }

    private static ThemeDocument with(
            ThemeDocument theme, Optional<Place> place, String path, String member, String text) {
        return new ValueWish.Member(place, TokenPath.of(path), member, text)
                .in(new Seen(theme, Resolution.of(theme, theme.defaults())))
                .applyTo(theme)
                .theme();
    }

    private static ThemeDocument with(ThemeDocument theme, String path, String member, String text) {
        return with(theme, Optional.empty(), path, member, text);
    }

    private static void show(ThemeDocument theme, String body, FontFace... faces) {
        page.navigate(SITE);
        page.setContent("<!doctype html><html lang=en><head><title>t</title><style>"
                + Stylesheet.compile(theme, Usage.ALL, List.of(faces)) + "</style></head><body>" + body
                + "</body></html>");
    }

    private static String computed(String selector, String property) {
        return (String)
                page.locator(selector).first().evaluate("(one, property) => getComputedStyle(one)[property]", property);
    }

    @Test
    void everyMannerIsComputedWhereAStyleSaysItAndNowhereElse() {
        ThemeDocument theme = with(Demo.theme(), "type.h2", "textCase", "uppercase");
        theme = with(theme, "type.h2", "fontStyle", "italic");
        theme = with(theme, "type.h2", "fontStretch", "75%");
        theme = with(theme, "type.h2", "fontFeatures", "ss01 -liga");
        theme = with(theme, "type.h2", "textDecoration", "underline");
        show(theme, "<main><h1>One</h1><h2>Two</h2><p>Text</p></main>");
        assertThat(computed("h2", "textTransform")).isEqualTo("uppercase");
        assertThat(computed("h2", "fontStyle")).isEqualTo("italic");
        assertThat(computed("h2", "fontStretch")).isEqualTo("75%");
        assertThat(computed("h2", "fontFeatureSettings")).isEqualTo("\"liga\" 0, \"ss01\"");
        assertThat(computed("h2", "textDecorationLine")).isEqualTo("underline");
        for (String other : List.of("h1", "p")) {
            assertThat(computed(other, "textTransform")).isEqualTo("none");
            assertThat(computed(other, "fontStyle")).isEqualTo("normal");
            assertThat(computed(other, "fontFeatureSettings")).isEqualTo("normal");
            assertThat(computed(other, "textDecorationLine")).isEqualTo("none");
        }
    }

    @Test
    void aStyleThatSaysNothingIsSetAsWhatIsAroundIt() {
        ThemeDocument theme = with(Demo.theme(), "type.quote", "fontStyle", "italic");
        show(theme, "<main><blockquote>Said <small>quietly</small> <cite>by somebody</cite></blockquote></main>");
        assertThat(computed("small", "fontStyle")).isEqualTo("italic");
        assertThat(computed("cite", "fontStyle")).isEqualTo("normal");
    }

    @Test
    void oneContextCanSayItAndAnotherCanTakeItBack() {
        Place dark = Place.context("scheme", "dark");
        ThemeDocument both = with(Demo.theme(), "type.h1", "fontStyle", "italic");
        ThemeDocument back = with(both, Optional.of(dark), "type.h1", "fontStyle", "");
        show(back, "<main><h1>One</h1></main>");
        assertThat(computed("h1", "fontStyle")).isEqualTo("italic");
        page.evaluate("document.documentElement.setAttribute('data-scheme', 'dark')");
        assertThat(computed("h1", "fontStyle")).isEqualTo("normal");
        ThemeDocument only = with(Demo.theme(), Optional.of(dark), "type.h1", "textCase", "uppercase");
        show(only, "<main><h1>One</h1></main>");
        assertThat(computed("h1", "textTransform")).isEqualTo("none");
        page.evaluate("document.documentElement.setAttribute('data-scheme', 'dark')");
        assertThat(computed("h1", "textTransform")).isEqualTo("uppercase");
    }

    @Test
    void oneHeadingLeavesTheCapitalsOfAll() {
        ThemeDocument one = with(Demo.theme(), "type.h2", "textCase", "none");
        ThemeDocument capitals = new ThemeWish.Choose(Place.set("roles"), "heading-case", Optional.of("capitals"))
                .in(new Seen(one, Resolution.of(one, one.defaults())))
                .applyTo(one)
                .theme();
        show(capitals, "<main><h1>One</h1><h2>Two</h2><h2 data-as=h3>Three</h2></main>");
        assertThat(computed("h1", "textTransform")).isEqualTo("uppercase");
        assertThat(computed("h2", "textTransform")).isEqualTo("none");
        assertThat(computed("[data-as]", "textTransform")).isEqualTo("uppercase");
    }

    /** Features by their tags in OpenType 1.9.1: one that is on changes what is drawn, where the font has it. */
    @ParameterizedTest
    @CsvSource({
        "tnum, 1110 1117, figtree-latin.woff2, Figtree",
        "lnum, 0123456789, vollkorn-latin.woff2, Vollkorn",
        "pnum, 1110 1117, bitter-latin.woff2, Bitter",
        "frac, 1/2 3/4, schibsted-grotesk-latin.woff2, Schibsted Grotesk",
        "-kern, AVATAR Tokyo, source-serif-4-latin.woff2, Source Serif 4"
    })
    void aFeatureThatIsOnChangesWhatIsDrawn(String feature, String text, String file, String family) {
        ThemeDocument plain = with(Demo.theme(), "type.h1", "fontFamily", family);
        FontFace face = new FontFace(family, "normal", "300 900", SITE + "fonts/" + file);
        byte[] without = drawn(plain, text, face);
        assertThat(drawn(with(plain, "type.h1", "fontFeatures", feature), text, face))
                .isNotEqualTo(without);
        assertThat(drawn(with(plain, "type.h1", "fontFeatures", "ss19"), text, face))
                .as("a set that the font has not")
                .isEqualTo(without);
    }

    /** CSS Fonts 4, 2.3 and 11.1.1: the style says how wide, the face from where to where its letters can be set. */
    @Test
    void lettersAreSetAsWideAsAStyleSays() {
        FontFace face = new FontFace(
                "Archivo",
                "normal",
                "100 900",
                "62% 125%",
                "",
                SITE + "fonts/" + FontsOfTheBrowserTest.WIDTHS.getFileName(),
                List.of());
        ThemeDocument archivo = with(Demo.theme(), "type.h1", "fontFamily", "Archivo");
        Map<String, Double> widths = new LinkedHashMap<>();
        for (String stretch : List.of("62%", "100%", "125%")) {
            show(with(archivo, "type.h1", "fontStretch", stretch), "<h1><span>A wide heading</span></h1>", face);
            page.evaluate("() => document.fonts.load('20px Archivo').then(() => document.fonts.ready)");
            assertThat(computed("h1", "fontStretch")).isEqualTo(stretch);
            widths.put(stretch, page.locator("h1 span").boundingBox().width);
        }
        assertThat(widths.get("62%")).isLessThan(0.8 * widths.get("100%"));
        assertThat(widths.get("125%")).isGreaterThan(1.1 * widths.get("100%"));
    }

    /** CSS Text Decoration 3, 4: a shadow of letters has neither spread nor inset; the same token throws a whole one elsewhere. */
    @Test
    void lettersThrowShadowsWithoutSpread() {
        ThemeDocument theme = new ValueWish.Role(
                        Optional.of(Place.set("roles")), TokenPath.of("shadow.heading"), "1px 2px 3px 4px #ff0000")
                .in(new Seen(
                        Demo.theme(), Resolution.of(Demo.theme(), Demo.theme().defaults())))
                .applyTo(Demo.theme())
                .theme();
        show(theme, "<main><h1>One</h1><p>Text</p></main>");
        assertThat(computed("h1", "textShadow")).isEqualTo("rgb(255, 0, 0) 1px 2px 3px");
        assertThat(computed("p", "textShadow")).isEqualTo("none");
        show(Demo.theme(), "<main><h1>One</h1></main>");
        assertThat(computed("h1", "textShadow")).as("no shadow is nothing seen").contains("rgba(0, 0, 0, 0)");
    }

    private static ThemeDocument choosing(String choice, String value) {
        return new ThemeWish.Choose(Place.set("roles"), choice, Optional.of(value))
                .in(new Seen(
                        Demo.theme(), Resolution.of(Demo.theme(), Demo.theme().defaults())))
                .applyTo(Demo.theme())
                .theme();
    }

    @Test
    void aDropCapIsAsHighAsItsLines() {
        String text = "<main><h1>One</h1><p>" + "Lights are lit at six. ".repeat(20) + "</p></main>";
        show(Demo.theme(), text);
        double before = firstLetter();
        for (String lines : List.of("two", "three", "four")) {
            show(choosing("drop-cap", lines + "-lines"), text);
            assertThat(firstLetter())
                    .as("width of the letter, %s lines high", lines)
                    .isGreaterThan(before * 1.25);
            before = firstLetter();
        }
    }

    private static double firstLetter() {
        return ((Number)
                        page.evaluate(
                                """
                        () => {
                          const range = document.createRange();
                          range.setStart(document.querySelector('main > p').firstChild, 0);
                          range.setEnd(document.querySelector('main > p').firstChild, 1);
                          return range.getBoundingClientRect().width;
                        }"""))
                .doubleValue();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "link-gap     | far       | ''    | textUnderlineOffset",
                "link-line    | wavy      | ''    | textDecorationStyle",
                "links        | never     | ''    | textDecorationLine",
                "link-pointed | thicker   | hover | textDecorationThickness",
                "link-pointed | ground    | hover | backgroundColor",
                "link-focus   | thicker   | focus | textDecorationThickness",
                "link-focus   | ground    | focus | backgroundColor",
                "menu-rest    | ground    | menu  | backgroundColor",
                "menu-rest    | line      | menu  | textDecorationLine"
            })
    void whatIsChosenForLinksIsSeenOnThem(String choice, String value, String state, String property) {
        String standard = link(Demo.theme(), state, property);
        assertThat(link(choosing(choice, value), state, property)).isNotEqualTo(standard);
        if (!state.isEmpty() && !state.equals("menu"))
            assertThat(link(choosing(choice, value), "", property))
                    .as("at rest nothing changes")
                    .isEqualTo(link(Demo.theme(), "", property));
    }

    private static String link(ThemeDocument theme, String state, String property) {
        show(
                theme,
                "<header><nav><ul><li><a href='#n'>Menu</a></li></ul></nav></header><main><p>A <a href='#m'>link</a></p></main>");
        page.mouse().move(0, 700);
        String selector = state.equals("menu") ? "nav a" : "main a";
        if (state.equals("hover")) page.hover(selector);
        if (state.equals("focus")) {
            page.keyboard().press("Tab");
            page.keyboard().press("Tab");
        }
        return computed(selector, property);
    }

    private static byte[] drawn(ThemeDocument theme, String text, FontFace face) {
        show(theme, "<main><h1>" + text + "</h1></main>", face);
        page.evaluate("() => document.fonts.ready.then(() => true)");
        page.waitForCondition(
                () -> (Boolean) page.evaluate("() => [...document.fonts].some(one => one.status === 'loaded')"));
        return page.locator("h1").screenshot();
    }
}
