package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.page.Markup;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteEdits;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.site.Strays;
import org.umberloom.core.theme.ThemeDocument;

/** Strays planted in all kinds of places on the demo's pages are seen, and returned they leave the very pixels of before. */
class ReturnedStraysTest {
    private static final List<String> VALUES = List.of(
            "color: #0a5c7e", "font-size: 29px", "letter-spacing: 3px", "font-family: monospace", "font-weight: 300");
    private static final String SHEET =
            "main h2 { color: #7a2b12; font-size: 33px; }\nmain > p { line-height: 2.1; }\n";

    private static SiteDocument site(String folder) {
        return SiteDocument.of(
                folder,
                folder,
                Demo.pages(Demo.SITES.resolve(folder)).stream()
                        .map(file -> {
                            String name = file.getFileName().toString().replace(".html", "");
                            return new SitePage(name, name, "article", Demo.read(file));
                        })
                        .toList());
    }

    private static SitePage planted(SitePage page, Random random, List<String> planted) {
        Document document = Markup.read(page.html());
        for (Element element : document.body().select("main h2, main p, main li, main td")) {
            if (element.hasAttr("style") || random.nextInt(4) != 0) continue;
            element.attr("style", VALUES.get(random.nextInt(VALUES.size())));
            planted.add(page.slug());
        }
        return page.withHtml(document.outerHtml());
    }

    private static byte[] shot(Page page, SitePage shown, String css, String own) {
        page.setContent(shown.html().replace("</head>", "<style>" + css + own + "</style></head>"));
        return page.screenshot(new Page.ScreenshotOptions().setFullPage(true));
    }

    @Test
    void returnedTheyLeaveThePixelsOfBefore() {
        ThemeDocument theme = Demo.theme();
        String css = Stylesheet.compile(theme, Usage.ALL, List.of());
        int seen = 0;
        try (Page page = Browsers.context(ColorScheme.LIGHT).newPage()) {
            for (String folder : List.of("crossings", "galley", "freight")) {
                SiteDocument found = site(folder);
                SiteDocument clean =
                        Strays.returned(found, Strays.in(found)).applyTo(found).site();
                assertThat(Strays.in(clean)).isEmpty();
                Random random = new Random(folder.hashCode());
                List<String> planted = new ArrayList<>();
                SiteDocument strayed = SiteDocument.of(
                        folder,
                        folder,
                        clean.pages().stream()
                                .map(one -> planted(one, random, planted))
                                .toList());
                strayed = SiteEdits.css(SHEET).applyTo(strayed).site();
                List<Strays.Stray> strays = Strays.in(strayed);
                // Those of the sheet: a color and a size of headings, a line height of paragraphs.
                assertThat(strays.size()).isBetween(planted.size() + 2, planted.size() + 3);
                SiteDocument back =
                        Strays.returned(strayed, strays).applyTo(strayed).site();
                assertThat(Strays.in(back)).isEmpty();
                for (Map.Entry<String, SitePage> one : Map.of(
                                "front",
                                clean.pages().get(0),
                                "last",
                                clean.pages().get(clean.pages().size() - 1))
                        .entrySet()) {
                    SitePage before = one.getValue();
                    byte[] pixels = shot(page, before, css, clean.css());
                    assertThat(shot(page, strayed.page(before.slug()), css, strayed.css()))
                            .as(folder + ", " + one.getKey() + ": the strays are seen")
                            .isNotEqualTo(pixels);
                    assertThat(shot(page, back.page(before.slug()), css, back.css()))
                            .as(folder + ", " + one.getKey() + ": and gone")
                            .isEqualTo(pixels);
                    seen++;
                }
            }
        }
        assertThat(seen).isEqualTo(6);
    }
}
