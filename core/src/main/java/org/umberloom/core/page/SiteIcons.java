package org.umberloom.core.page;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.umberloom.core.color.Color;
import org.umberloom.core.json.Json;

/**
 * What browsers show of a site outside its pages, made from one picture: in a tab, on the first screen of a phone, in a list of
 * installed pages; and the color of what is around a page. Sources: HTML Living Standard, link types icon and manifest, and
 * meta theme-color; Web Application Manifest, W3C (icons, purpose maskable: what matters lies within 4/5 of the picture).
 *
 * @param name    of the site
 * @param picture the picture that all are made from, by its name
 * @param vector  whether it is drawn in lines; browsers are given it as it is then too
 * @param light   the ground of pages in the light
 * @param dark    the same in the dark, where pages turn
 */
public record SiteIcons(String name, String picture, boolean vector, Color light, Optional<Color> dark) {
    public static final String FOLDER = "icons/";
    /** Sizes of squares within {@link #TAB}, in px. */
    public static final List<Integer> TAB_SIZES = List.of(16, 32, 48);

    public static final String TAB = "favicon.ico";
    /** Opaque, for the first screen of phones; its corners are cut by the phone. */
    public static final String TOUCH = "icon-180.png";

    public static final int TOUCH_SIZE = 180;
    public static final String MANIFEST = "site.webmanifest";
    /** Squares that a manifest names, in px. */
    public static final List<Integer> SIZES = List.of(192, 512);

    public static final String MASKABLE = "icon-maskable-512.png";
    public static final int MASKABLE_SIZE = 512;
    /** Share of the side that is seen whatever form is cut out: a circle of four fifths. */
    public static final double SAFE = 0.8;

    private static final String PICTURES = "pictures/";
    private static final String CHOICE = "site-icon";
    private static final String HIDDEN = "hidden";

    /** The file of a size that a manifest names. */
    public static String file(int size) {
        return "icon-" + size + ".png";
    }

    /** Adds what the head of a page says of them, where they are chosen to be shown. @param chosen values of choices by their names */
    public void on(Document page, Map<String, String> chosen) {
        if (HIDDEN.equals(chosen.get(CHOICE))) return;
        link(page, "icon", FOLDER + TAB).attr("sizes", "48x48");
        if (vector) link(page, "icon", PICTURES + picture).attr("type", "image/svg+xml");
        link(page, "apple-touch-icon", FOLDER + TOUCH);
        link(page, "manifest", FOLDER + MANIFEST);
        Element color =
                page.head().appendElement("meta").attr("name", "theme-color").attr("content", light.hex());
        dark.ifPresent(other -> {
            color.attr("media", "(prefers-color-scheme: light)");
            page.head()
                    .appendElement("meta")
                    .attr("name", "theme-color")
                    .attr("content", other.hex())
                    .attr("media", "(prefers-color-scheme: dark)");
        });
    }

    private static Element link(Document page, String rel, String href) {
        return page.head().appendElement("link").attr("rel", rel).attr("href", href);
    }

    /** Takes it off again. */
    static void off(Document page) {
        page.head()
                .select("link[rel=icon], link[rel=apple-touch-icon], link[rel=manifest], meta[name=theme-color]")
                .remove();
    }

    /** As JSON. */
    public String manifest() {
        Map<String, Object> said = new LinkedHashMap<>();
        said.put("name", name);
        said.put("start_url", "../index.html");
        said.put("display", "browser");
        said.put("theme_color", light.hex());
        said.put("background_color", light.hex());
        List<Map<String, Object>> icons = new ArrayList<>();
        for (int size : SIZES) icons.add(icon(file(size), size, "any"));
        icons.add(icon(MASKABLE, MASKABLE_SIZE, "maskable"));
        said.put("icons", icons);
        return Json.write(said);
    }

    private static Map<String, Object> icon(String file, int size, String purpose) {
        Map<String, Object> icon = new LinkedHashMap<>();
        icon.put("src", file);
        icon.put("sizes", size + "x" + size);
        icon.put("type", "image/png");
        icon.put("purpose", purpose);
        return icon;
    }
}
