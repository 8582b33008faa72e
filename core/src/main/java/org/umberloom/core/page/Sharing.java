package org.umberloom.core.page;

import java.util.Map;
import java.util.Optional;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * What others show of a page when somebody passes its address on. Source: The Open Graph protocol (https://ogp.me), basic metadata and
 * structured properties. Where a page says any of it itself, that stays as it is.
 *
 * @param site    its name
 * @param picture file of the picture, from where the page lies
 */
public record Sharing(String site, String picture) {
    /** px. Common practice: about 1.91 to 1. */
    public static final int WIDTH = 1200;

    public static final int HEIGHT = 630;

    /** The picture of a site as a whole. */
    public static final String OF_SITE = "sharing.png";

    private static final String FOLDER = "sharing/";
    private static final String CHOICE = "sharing";
    private static final String WHOLE_SITE = "site";
    private static final String PAGE = "page";
    private static final String SAYING = "meta[property^=og:]";

    /** The file of a page’s picture; none where none is shown. @param chosen values of choices by their names */
    public static Optional<String> file(String page, Map<String, String> chosen) {
        return switch (chosen.getOrDefault(CHOICE, WHOLE_SITE)) {
            case WHOLE_SITE -> Optional.of(OF_SITE);
            case PAGE -> Optional.of(FOLDER + page + ".png");
            default -> Optional.empty();
        };
    }

    /** Adds it to a page’s head. */
    public void on(Document page) {
        if (!page.head().select(SAYING).isEmpty()) return;
        String title = page.title().isEmpty() ? site : page.title();
        say(page, "type", "website");
        say(page, "site_name", site);
        say(page, "title", title);
        say(page, "image", picture);
        say(page, "image:width", String.valueOf(WIDTH));
        say(page, "image:height", String.valueOf(HEIGHT));
        say(page, "image:alt", title.equals(site) ? site : title + ", " + site);
    }

    private static void say(Document page, String property, String content) {
        page.head().appendElement("meta").attr("property", "og:" + property).attr("content", content);
    }

    /** Takes it off again; what a page said itself stays. */
    static void off(Document page) {
        Element picture = page.head().selectFirst("meta[property=og:image]");
        if (picture == null) return;
        String file = picture.attr("content");
        if (file.equals(OF_SITE) || file.startsWith(FOLDER))
            page.head().select(SAYING).remove();
    }
}
