package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.ForcedColors;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.umberloom.core.contract.Choice;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Part;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.page.MenuWay;
import org.umberloom.core.page.Specimen;

/**
 * Whatever is chosen, at every width and in both directions of writing: nothing stands out of the window (WCAG 2.2, 1.4.10; failure
 * F102 of the W3C), no text lies on other text, and none is cut off (1.4.4; F69).
 */
class ArrangementTest {
    private static final String FAULTS =
            """
            (text) => {
              const root = document.documentElement;
              const faults = [];
              if (root.scrollWidth > root.clientWidth) {
                const over = [...document.body.querySelectorAll('*')]
                  .filter((e) => e.getBoundingClientRect().right > root.clientWidth + 0.5 && !e.closest('[data-part=skip]'));
                faults.push('wider than the window by ' + (root.scrollWidth - root.clientWidth) + ': '
                  + over.slice(-3).map((e) => e.localName + ' ' + (e.dataset.part ?? '') + ' in '
                  + (e.closest('[data-sample]')?.dataset.sample ?? e.parentElement.localName)).join('; '));
              }
              if (!text) return faults;
              const known = new Map();
              const seen = (e) => {
                if (!e) return true;
                if (known.has(e)) return known.get(e);
                const style = getComputedStyle(e);
                // What is scrolled within itself is cut nowhere.
                // What is folded away keeps boxes that nobody sees.
                const is = e.checkVisibility() && e.localName !== 'table' && e.localName !== 'pre' && style.display !== 'none'
                    && style.visibility !== 'hidden' && style.clipPath === 'none'
                    && style.position !== 'fixed' && style.position !== 'sticky' && seen(e.parentElement);
                known.set(e, is);
                return is;
              };
              const texts = [];
              const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
              for (let node = walker.nextNode(); node; node = walker.nextNode()) {
                if (!node.data.trim() || !seen(node.parentElement)) continue;
                const range = document.createRange();
                range.selectNodeContents(node);
                for (const box of range.getClientRects())
                  if (box.width > 1) texts.push({ box, words: node.data.trim().slice(0, 24), of: node.parentElement });
              }
              texts.sort((a, b) => a.box.top - b.box.top);
              for (let i = 0; i < texts.length; i++)
                for (let k = i + 1; k < texts.length && texts[k].box.top < texts[i].box.bottom - 3; k++) {
                  const [a, b] = [texts[i], texts[k]];
                  if (a.of === b.of || a.of.contains(b.of) || b.of.contains(a.of)) continue;
                  const across = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
                  const down = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
                  // Lines that are set close share some of the room of their letters’ ends.
                  if (across > 2 && down > 0.4 * Math.min(a.box.height, b.box.height))
                    faults.push('“' + a.words + '” lies on “' + b.words + '”');
                }
              for (const e of document.body.querySelectorAll('*')) {
                const style = getComputedStyle(e);
                if (style.overflowX === 'hidden' && e.scrollWidth > e.clientWidth + 1 && seen(e) && e.textContent.trim())
                  faults.push('cut: ' + e.localName + ' ' + e.textContent.trim().slice(0, 24));
              }
              return faults.slice(0, 4);
            }""";

    /** What cannot be told apart, or not be seen to have the focus, in the colors that the page is shown in. */
    private static final String EDGES =
            """
            () => {
              const faults = [];
              const edge = (e) => {
                const s = getComputedStyle(e);
                return parseFloat(s.borderBlockStartWidth) >= 1 && s.borderBlockStartStyle !== 'none'
                  && s.borderBlockStartColor !== getComputedStyle(document.body).backgroundColor
                  && s.borderBlockStartColor !== 'rgba(0, 0, 0, 0)';
              };
              const name = (e) => [e.localName, e.dataset.part ?? e.type, e.textContent.trim().slice(0, 16)].join(' ');
              const shown = (e) => e.checkVisibility() && !e.closest('[data-part=skip]');
              const controls = 'button, [data-part=button], input:not([type=checkbox], [type=radio]), select, textarea';
              for (const e of document.querySelectorAll(controls)) if (shown(e) && !edge(e)) faults.push('no edge: ' + name(e));
              for (const e of document.querySelectorAll('a[href], button:not(:disabled), input:not(:disabled), summary')) {
                if (!shown(e)) continue;
                e.focus({ focusVisible: true, preventScroll: true });
                const s = getComputedStyle(e);
                if (document.activeElement !== e) continue;
                if (s.outlineStyle === 'none' || parseFloat(s.outlineWidth) < 2) faults.push('no focus: ' + name(e));
              }
              for (const e of document.body.querySelectorAll('*')) {
                const text = [...e.childNodes].some((n) => n.nodeType === 3 && n.data.trim());
                if (!text || !e.checkVisibility()) continue;
                let at = e;
                while (at && getComputedStyle(at).backgroundColor === 'rgba(0, 0, 0, 0)') at = at.parentElement;
                const ground = at && getComputedStyle(at).backgroundColor;
                if (ground === getComputedStyle(e).color) faults.push('not seen: ' + name(e));
              }
              return [...new Set(faults)].slice(0, 60);
            }""";

    /** A page with every region of the frame. */
    private static final String SHORT =
            """
            <!doctype html><html lang="en"><head><title>t</title></head><body>
            <aside data-part="bar"><p>What everybody is told before they go on.</p></aside>
            <aside data-part="band">A line above everything.</aside>
            <header><a data-plate="sign" href="#top"><span data-plate="name">A name</span>
            <span data-plate="tagline">And what it stands for</span></a>
            <nav><ul><li><a href="#one">The first</a></li><li><a href="#two" aria-current="page">The second</a></li>
            <li><a href="#three">The third of them</a></li></ul></nav>
            <nav data-part="second-menu"><ul><li><a href="#four">Another</a></li></ul></nav></header>
            <main><h1>A page</h1><p>With a few words on it, which take more than a line where there is little room.</p></main>
            <aside data-part="sidebar"><h2>Beside it</h2><p>What stands beside the page.</p></aside>
            <nav data-part="top"><a href="#top">Back to the top</a></nav>
            <footer><div data-part="footer-columns"><div><h2>One</h2></div><div><h2>Two</h2></div><div><h2>Three</h2></div></div>
            <p>What stands at the foot.</p></footer></body></html>""";

    private static Page page;

    @BeforeAll
    static void open() {
        page = Browsers.context(ColorScheme.LIGHT).newPage();
    }

    @AfterAll
    static void close() {
        page.context().close();
    }

    private static void show(String html, String direction) {
        String css = Stylesheet.compile(Demo.theme(), Usage.LIVE, List.of());
        Document dressed = Jsoup.parse(html);
        MenuWay.on(dressed);
        page.setContent(dressed.outerHtml()
                .replace("<html lang", "<html dir=" + direction + " lang")
                .replace("</head>", "<style>" + css + Specimen.FRAME_RULES + "</style></head>"));
    }

    private static void choose(Map<String, String> chosen) {
        Map<String, String> attributes = new LinkedHashMap<>();
        Contract.standard()
                .completed(chosen)
                .forEach((choice, value) -> attributes.put(Stylesheet.choiceAttribute(choice), value));
        page.evaluate(
                "(all) => Object.entries(all).forEach(([name, value]) => document.documentElement.setAttribute(name, value))",
                attributes);
    }

    @SuppressWarnings("unchecked")
    private static List<String> faults(boolean text) {
        return (List<String>) page.evaluate(FAULTS, text);
    }

    @SuppressWarnings("unchecked")
    private static List<String> edges() {
        return (List<String>) page.evaluate(EDGES);
    }

    private static void atEveryWidth(String what, List<String> found) {
        for (int width = 320; width <= 2560; width += 40) {
            page.setViewportSize(width, 900);
            List<String> faults = faults(width % 200 == 0 || width == 320);
            if (!faults.isEmpty()) found.add(what + " at " + width + ": " + faults);
        }
    }

    @Test
    void whatIsWrongWouldBeSeen() {
        page.setViewportSize(600, 900);
        page.setContent(
                "<!doctype html><body><p style='position:absolute;top:0'>Some words lie here</p>"
                        + "<p style='position:absolute;top:4px'>And others on them</p>"
                        + "<div style='width:900px'>wide</div><p style='overflow:hidden;width:3em;white-space:nowrap'>cut off words</p>");
        assertThat(String.join(" ", faults(true)))
                .contains("wider than the window by 308")
                .contains("“Some words lie here” lies on “And others on them”")
                .contains("cut: p cut off words");
    }

    @Test
    void nothingStandsOutAtAnyWidthInEitherDirection() {
        List<String> found = new ArrayList<>();
        for (String direction : List.of("ltr", "rtl")) {
            show(Specimen.page("page", Map.of()), direction);
            choose(Map.of());
            atEveryWidth("specimen " + direction, found);
        }
        assertThat(found).isEmpty();
    }

    @Test
    void neitherDoesAnyPageOfTheDemo() {
        List<String> found = new ArrayList<>();
        for (Path file : Demo.pages(Demo.SITES)) {
            show(Demo.read(file), Demo.read(file).contains("dir=\"rtl\"") ? "rtl" : "ltr");
            choose(Map.of());
            for (int width : new int[] {320, 390, 600, 720, 960, 1280, 2560}) {
                page.setViewportSize(width, 900);
                List<String> faults = faults(true);
                if (!faults.isEmpty()) found.add(Loom.HOME.relativize(file) + " at " + width + ": " + faults);
            }
        }
        assertThat(found).isEmpty();
    }

    /** WCAG 2.2, 1.4.12, with the figures of technique C36 and failure F104: what readers set instead may cut nothing off. */
    @Test
    void readersMaySpaceTheTextTheirWay() {
        String spaced =
                "* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important; }"
                        + " p { margin-block-end: 2em !important; }";
        List<String> found = new ArrayList<>();
        List<String> pages = new ArrayList<>(List.of(Specimen.page("page", Map.of())));
        for (Path file : Demo.pages(Demo.SITES)) pages.add(Demo.read(file));
        for (String html : pages) {
            show(
                    html.replace("</head>", "<style>" + spaced + "</style></head>"),
                    html.contains("dir=\"rtl\"") ? "rtl" : "ltr");
            choose(Map.of());
            for (int width : new int[] {320, 1280}) {
                page.setViewportSize(width, 900);
                List<String> faults = faults(true);
                if (!faults.isEmpty())
                    found.add(html.replaceAll("(?s).*<title>|</title>.*", "") + " at " + width + ": " + faults);
            }
        }
        assertThat(found).isEmpty();
    }

    /** A window of 1280 by 1024 px, enlarged four times (WCAG 2.2, 1.4.10): what stays in sight leaves room to read. */
    @Test
    void enlargedFourTimesMostOfTheWindowIsForReading() {
        List<String> found = new ArrayList<>();
        page.setViewportSize(320, 256);
        show(SHORT, "ltr");
        for (Part part : Contract.standard().parts()) {
            if (part.region().isEmpty()) continue;
            for (Choice choice : part.choices())
                for (String value : choice.values().keySet()) {
                    choose(Map.of(choice.name(), value));
                    List<String> faults = new ArrayList<>(faults(true));
                    Number taken = (Number)
                            page.evaluate(
                                    """
                            () => [...document.querySelectorAll('body > *')]
                              .filter((e) => ['fixed', 'sticky'].includes(getComputedStyle(e).position))
                              .reduce((sum, e) => sum + e.getBoundingClientRect().height, 0)""");
                    if (taken.doubleValue() > 128) faults.add("takes " + taken + " px");
                    if (!faults.isEmpty()) found.add(choice.name() + " " + value + ": " + faults);
                }
        }
        assertThat(found).isEmpty();
    }

    /** CSS Color Adjust 1, forced colors: what is told apart by its ground alone elsewhere has an edge, and the focus is seen. */
    @Test
    void withTheReadersOwnColorsControlsHaveEdgesAndTheFocusIsSeen() {
        page.emulateMedia(new Page.EmulateMediaOptions().setForcedColors(ForcedColors.ACTIVE));
        page.setViewportSize(1280, 900);
        List<String> found = new ArrayList<>();
        for (String surface : List.of("page", "deep")) {
            show(Specimen.page(surface, Map.of()), "ltr");
            for (String buttons :
                    Contract.standard().choices().get("buttons").values().keySet()) {
                choose(Map.of("buttons", buttons));
                List<String> faults = edges();
                if (!faults.isEmpty()) found.add(surface + ", buttons " + buttons + ": " + faults);
            }
        }
        // What is wrong would be seen.
        page.addStyleTag(new Page.AddStyleTagOptions()
                .setContent("button { border: 0 !important; } a { outline: none !important; }"));
        assertThat(String.join(" ", edges())).contains("no edge: button").contains("no focus: a");
        page.emulateMedia(new Page.EmulateMediaOptions().setForcedColors(ForcedColors.NONE));
        assertThat(found).isEmpty();
    }

    @Test
    void aMenuThatIsFoldedAwayOpensByItsButtonAlone() {
        Locator menu = page.getByText("The first");
        Locator way = page.getByText("Menu", new Page.GetByTextOptions().setExact(true));
        for (String direction : List.of("ltr", "rtl")) {
            show(SHORT, direction);
            page.setViewportSize(390, 700);
            choose(Map.of("menu-phone", "wrapped"));
            assertThat(menu.isVisible()).isTrue();
            assertThat(way.isVisible()).isFalse();
            choose(Map.of("menu-phone", "folded"));
            assertThat(menu.isVisible()).isFalse();
            way.focus();
            page.keyboard().press("Enter");
            assertThat(menu.isVisible()).isTrue();
            assertThat(faults(true)).isEmpty();
            // What is opened comes next, and is closed from the keyboard, too.
            page.keyboard().press("Tab");
            assertThat(page.evaluate("() => document.activeElement.textContent"))
                    .isEqualTo("The first");
            page.keyboard().press("Escape");
            assertThat(menu.isVisible()).isFalse();
            page.setViewportSize(1280, 700);
            assertThat(menu.isVisible()).isTrue();
            assertThat(way.isVisible()).isFalse();
        }
    }

    /** Every value of a choice beside every value of every other choice of its part. */
    @Test
    void valuesOfOnePartGoTogether() {
        List<String> found = new ArrayList<>();
        int tried = 0;
        for (Part part : Contract.standard().parts()) {
            if (part.choices().isEmpty()) continue;
            show(
                    part.sample().isEmpty() || !part.region().isEmpty() ? SHORT : Specimen.part(part.name(), "page"),
                    "ltr");
            for (int width : new int[] {320, 1280}) {
                page.setViewportSize(width, 900);
                for (Map<String, String> chosen : pairs(part.choices())) {
                    choose(chosen);
                    List<String> faults = faults(true);
                    if (!faults.isEmpty()) found.add(chosen + " at " + width + ": " + faults);
                    tried++;
                }
            }
        }
        assertThat(found).isEmpty();
        assertThat(tried).isGreaterThan(300);
    }

    private static List<Map<String, String>> pairs(List<Choice> choices) {
        List<Map<String, String>> pairs = new ArrayList<>();
        for (int i = 0; i < choices.size(); i++) {
            Choice one = choices.get(i);
            if (choices.size() == 1) one.values().keySet().forEach(value -> pairs.add(Map.of(one.name(), value)));
            for (int k = i + 1; k < choices.size(); k++)
                for (String value : one.values().keySet())
                    for (String other : choices.get(k).values().keySet()) {
                        Map<String, String> pair = new LinkedHashMap<>();
                        pair.put(one.name(), value);
                        pair.put(choices.get(k).name(), other);
                        pairs.add(pair);
                    }
        }
        return pairs;
    }
}
