package org.umberloom.core.page;

import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/** New pages made from others: the frame around stays, and what is between header and footer is new. */
public final class PageMarkup {
    /** What a page of a kind begins with, below its heading. */
    private static final Map<String, String> BEGINNINGS = Map.of(
            "landing",
            "<section data-width=\"full\" data-surface=\"deep\"><h1></h1><p data-part=\"lead\">What this site is for, in one sentence.</p>"
                    + "<p><a data-part=\"button\" href=\"#more\">Where to begin</a></p></section>"
                    + "<h2 id=\"more\">What to know first</h2><p>A paragraph that says it.</p>",
            "article",
            "<h1></h1><p data-part=\"lead\">What this is about, in one sentence.</p>"
                    + "<p>The first paragraph.</p><blockquote><p>What somebody said.</p></blockquote><h2>What follows from it</h2><p>The next paragraph.</p>",
            "listing",
            "<h1></h1><table data-width=\"wide\"><thead><tr><th scope=\"col\">What</th><th scope=\"col\">When</th>"
                    + "<th scope=\"col\">Where</th></tr></thead><tbody><tr><td>The first</td><td>today</td><td>here</td></tr>"
                    + "<tr><td>The second</td><td>tomorrow</td><td>there</td></tr></tbody></table>",
            "form",
            "<h1></h1><p>What happens with what is sent.</p><form><p><label for=\"name\">Your name</label> <input id=\"name\"></p>"
                    + "<p><label for=\"words\">Your words</label> <textarea id=\"words\"></textarea></p><p><button>Send</button></p></form>");

    private static final String PLAIN = "<h1></h1><p>The first paragraph.</p>";

    private PageMarkup() {}

    /** The kinds that have a beginning of their own. */
    public static List<String> kinds() {
        return BEGINNINGS.keySet().stream().sorted().toList();
    }

    /** A page of a kind in the frame of another. */
    public static String like(String frame, String kind, String title) {
        Document document = Jsoup.parse(frame);
        document.outputSettings().prettyPrint(false);
        document.title(title);
        document.select("[aria-current]").removeAttr("aria-current");
        Element main = document.selectFirst("main");
        if (main == null) main = document.body().appendElement("main");
        main.html(BEGINNINGS.getOrDefault(kind, PLAIN));
        Element heading = main.selectFirst("h1");
        if (heading != null) heading.text(title);
        document.body().select("[" + Spots.NAME + "]").removeAttr(Spots.NAME);
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

    /** The same with every name of a spot as another page's: what was written there is not of the copy. */
    public static String copied(String html) {
        Document document = Jsoup.parse(html);
        document.outputSettings().prettyPrint(false);
        document.body().select("[" + Spots.NAME + "]").removeAttr(Spots.NAME);
        return document.outerHtml();
    }
}
