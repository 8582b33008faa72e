package org.umberloom.core.page;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * What is known of a site's pictures, on a page that is shown or goes out: their size, so that nothing jumps when they come; smaller
 * files of them for smaller windows; the words for those who do not see them, where the page says none; and the point that stays in
 * sight when they are cropped. What is added is named in {@code data-added}, so that it can be taken off again. Sources: HTML Living
 * Standard, img, srcset and sizes; CSS Images 3, object-position.
 */
public final class PagePictures {
    private static final String FOLDER = "pictures/";
    private static final String ADDED = "data-added";
    private static final double MIDDLE = 0.5;

    /** A smaller file of a picture. @param width in px */
    public record Sized(int width, String name) {}

    /**
     * One picture.
     *
     * @param width  in px; 0 where it has no size of its own, and so for the height
     * @param focalX a share from the left, and so from the top
     * @param sizes  smaller files of it, from small to large
     */
    public record Known(int width, int height, String alt, double focalX, double focalY, List<Sized> sizes) {
        public Known {
            sizes = List.copyOf(sizes);
        }
    }

    private PagePictures() {}

    /** @param known pictures by their names */
    public static void on(Document page, Map<String, Known> known) {
        for (Element image : page.select("img[src^=" + FOLDER + "]")) {
            String name = image.attr("src").substring(FOLDER.length());
            Known picture = known.get(name);
            if (picture == null) continue;
            List<String> added = new ArrayList<>();
            if (!picture.alt.isEmpty()) add(image, "alt", picture.alt, added);
            if (picture.width > 0 && !image.hasAttr("height") && !image.hasAttr("width")) {
                add(image, "width", String.valueOf(picture.width), added);
                add(image, "height", String.valueOf(picture.height), added);
            }
            if (!picture.sizes.isEmpty()) {
                add(image, "srcset", srcset(name, picture), added);
                add(image, "sizes", "100vw", added);
            }
            if (picture.focalX != MIDDLE || picture.focalY != MIDDLE)
                add(
                        image,
                        "style",
                        "object-position: " + percent(picture.focalX) + " " + percent(picture.focalY),
                        added);
            if (!added.isEmpty()) image.attr(ADDED, String.join(" ", added));
        }
    }

    /** The same for the text of a page. */
    public static String on(String html, Map<String, Known> known) {
        Document page = Markup.read(html);
        on(page, known);
        return page.outerHtml();
    }

    private static void add(Element image, String attribute, String value, List<String> added) {
        if (image.hasAttr(attribute)) return;
        image.attr(attribute, value);
        added.add(attribute);
    }

    private static String srcset(String name, Known picture) {
        return picture.sizes.stream()
                        .map(size -> FOLDER + size.name + " " + size.width + "w")
                        .collect(Collectors.joining(", "))
                + ", " + FOLDER + name + " " + picture.width + "w";
    }

    private static String percent(double share) {
        return String.format(Locale.ROOT, "%d%%", Math.round(share * 100));
    }

    /** Takes off what was added. */
    public static void off(Document page) {
        for (Element image : page.select("img[" + ADDED + "]")) {
            for (String attribute : image.attr(ADDED).split(" ")) image.removeAttr(attribute);
            image.removeAttr(ADDED);
        }
    }

    /** Takes pictures out of a page, with a figure that holds nothing else. */
    public static void without(Document page, Set<String> names) {
        for (Element image : page.select("img[src^=" + FOLDER + "]")) {
            if (!names.contains(image.attr("src").substring(FOLDER.length()))) continue;
            Element figure = image.parent();
            image.remove();
            if (figure != null
                    && figure.normalName().equals("figure")
                    && figure.children().isEmpty()
                    && !figure.hasText()) figure.remove();
        }
    }

    /** Whether a page shows a picture. */
    public static boolean shows(String html, String name) {
        return html.contains("\"" + FOLDER + name + "\"");
    }

    /** Where a page shows a picture: places in its body, as {@link Spots} counts. */
    public static List<Integer> where(String html, String name) {
        Document page = Markup.read(html);
        Map<Element, Integer> places = Markup.places(page);
        return page.body().select("img").stream()
                .filter(image -> image.attr("src").equals(FOLDER + name))
                .map(places::get)
                .toList();
    }

    /** A page that shows one picture where it showed another. */
    public static String instead(String html, String old, String name) {
        return html.replace("\"" + FOLDER + old + "\"", "\"" + FOLDER + name + "\"");
    }
}
