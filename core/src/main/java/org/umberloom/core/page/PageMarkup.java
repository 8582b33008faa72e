package org.umberloom.core.page;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/** New pages made from others: the frame around stays, and what is between header and footer is new. */
public final class PageMarkup {
    private static final String FOLDER = "pages/";
    /** What a page of a kind begins with, between header and footer. */
    private static final Map<String, String> BEGINNINGS = Stream.of("landing", "article", "listing", "form", "notice")
            .collect(Collectors.toUnmodifiableMap(kind -> kind, PageMarkup::beginning));

    private static final String PLAIN = "<h1></h1><p>The first paragraph.</p>";

    private PageMarkup() {}

    private static String beginning(String kind) {
        String file = FOLDER + kind + ".html";
        try (InputStream in = PageMarkup.class.getClassLoader().getResourceAsStream(file)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("the file " + file + " cannot be read", e);
        }
    }

    /** The kinds that have a beginning of their own. */
    public static List<String> kinds() {
        return BEGINNINGS.keySet().stream().sorted().toList();
    }

    /** A page of a kind in the frame of another. */
    public static String like(String frame, String kind, String title) {
        Document document = Markup.read(frame);
        document.title(title);
        document.select("[aria-current]").removeAttr("aria-current");
        Element main = document.selectFirst("main");
        if (main == null) main = document.body().appendElement("main");
        main.html(BEGINNINGS.getOrDefault(kind, PLAIN));
        Element heading = main.selectFirst("h1");
        if (heading != null) heading.text(title);
        unnamed(document);
        return document.outerHtml();
    }

    /** A page on its own, for a site that has none. */
    public static String first(String site, String kind, String title) {
        Document document = Jsoup.parse("<!doctype html>\n<html lang=\"en\">\n<head>\n<meta charset=\"utf-8\">\n"
                + "<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">\n<title></title>\n"
                + "<link rel=\"stylesheet\" href=\"theme.css\">\n</head>\n<body>\n<header><a href=\"index.html\"></a></header>\n"
                + "<main></main>\n<footer data-surface=\"deep\"><p></p></footer>\n</body>\n</html>\n");
        document.selectFirst("header a").text(site);
        document.selectFirst("footer p").text(site);
        return like(document.outerHtml(), kind, title);
    }

    /** A page of a kit as it was before it went out. @param outside attributes of the root that it has only there */
    public static String kept(String html, List<String> outside) {
        // The line that every page of a kit ends with.
        Document document = Markup.read(html.endsWith("\n") ? html.substring(0, html.length() - 1) : html);
        outside.forEach(document.selectFirst("html")::removeAttr);
        PageCleaning.hints(document);
        PagePolicy.off(document);
        WideTables.off(document);
        document.select("link[rel=stylesheet][href=../../theme.css]").attr("href", "theme.css");
        SiteIcons.off(document);
        Sharing.off(document);
        MenuWay.off(document);
        PagePictures.off(document);
        return document.outerHtml();
    }

    /** The same with every name of a spot as another page's: what was written there is not of the copy. */
    public static String copied(String html) {
        Document document = Markup.read(html);
        unnamed(document);
        return document.outerHtml();
    }

    private static void unnamed(Document document) {
        document.body().select("[" + Spots.NAME + "]").removeAttr(Spots.NAME);
    }
}
