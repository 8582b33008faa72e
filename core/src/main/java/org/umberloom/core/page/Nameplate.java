package org.umberloom.core.page;

import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.TextNode;
import org.umberloom.core.token.Names;

/**
 * What a site shows of itself on its pages. There it stands in elements that say in {@code data-plate} what of it they hold, so that
 * any other reader sees it too; the icon is added where a page is shown or goes out.
 *
 * @param tagline  a line under its name; may be empty
 * @param logo     the picture of the site, by its name, that is shown on light grounds; empty for none
 * @param logoDark that for dark grounds; where it is empty the other is shown there too
 * @param icon     the picture that browsers show beside the title; empty for none
 */
public record Nameplate(String name, String tagline, String logo, String logoDark, String icon) {
    private static final String PLATE = "data-plate";
    private static final String PICTURES = "pictures/";
    private static final String SIGN = "sign";
    private static final String NAME = "name";
    private static final String TAGLINE = "tagline";
    private static final String LOGO = "logo";
    private static final String LOGO_DARK = "logo-dark";
    private static final Pattern PICTURE = Pattern.compile("[A-Za-z0-9][A-Za-z0-9._-]{0,119}");

    /** @throws IllegalArgumentException for names that are none */
    public Nameplate {
        Names.checked("A site", name);
        Names.safe("A site’s tagline", tagline);
        Stream.of(logo, logoDark, icon)
                .filter(picture ->
                        !picture.isEmpty() && !PICTURE.matcher(picture).matches())
                .forEach(picture -> {
                    throw new IllegalArgumentException("“" + Names.shown(picture) + "” names no picture of a site.");
                });
    }

    /** A name and nothing else. */
    public static Nameplate of(String name) {
        return new Nameplate(name, "", "", "", "");
    }

    public Nameplate called(String other) {
        return new Nameplate(other, tagline, logo, logoDark, icon);
    }

    /**
     * A page that shows it: in the elements that hold something of it already, else in the link that the header begins with, which is
     * the wordmark of a site (part {@code header}), where that holds nothing but words.
     *
     * @param fixed pieces that are not the site's own, and stay as they are
     */
    public String on(String html, Set<String> fixed) {
        Document document = Markup.read(html);
        String was = document.outerHtml();
        Optional.ofNullable(document.selectFirst(at(SIGN)))
                .or(() -> Optional.ofNullable(document.body().selectFirst("> header > a:first-child")))
                .filter(sign -> !isFixed(sign, fixed))
                .ifPresent(this::dress);
        for (Element one : document.body().select(at(NAME)))
            if (!isFixed(one, fixed) && !one.text().equals(name)) one.text(name);
        return document.outerHtml().equals(was) ? html : document.outerHtml();
    }

    private static boolean isFixed(Element element, Set<String> fixed) {
        Element piece = element.closest("[" + Pieces.PLACED + "]");
        return piece != null && fixed.contains(piece.attr(Pieces.PLACED));
    }

    private void dress(Element sign) {
        Element letters = sign.selectFirst(at(NAME));
        if (letters == null) {
            if (sign.childrenSize() > 0) return;
            sign.empty();
            letters = sign.attr(PLATE, SIGN)
                    .appendElement("span")
                    .attr(PLATE, NAME)
                    .text(name);
        }
        picture(sign, LOGO, logo);
        picture(sign, LOGO_DARK, logoDark);
        Element line = sign.selectFirst(at(TAGLINE));
        if (tagline.isEmpty()) {
            if (line != null) {
                if (line.previousSibling() instanceof TextNode space && space.isBlank()) space.remove();
                line.remove();
            }
            return;
        }
        if (line == null) {
            line = new Element("span").attr(PLATE, TAGLINE);
            letters.after(line);
            // Who hears it, hears two things.
            line.before(new TextNode(" "));
        }
        if (!line.text().equals(tagline)) line.text(tagline);
    }

    /** The one for dark grounds stands before the other: by that the rules know whether there is one. */
    private static void picture(Element sign, String what, String picture) {
        Element there = sign.selectFirst(at(what));
        if (picture.isEmpty()) {
            if (there != null) there.remove();
            return;
        }
        if (there == null) {
            there = new Element("img").attr(PLATE, what).attr("alt", "");
            Element other = sign.selectFirst(at(LOGO_DARK));
            if (what.equals(LOGO) && other != null) other.after(there);
            else sign.prependChild(there);
        }
        there.attr("src", PICTURES + picture);
    }

    private static String at(String what) {
        return "[" + PLATE + "=" + what + "]";
    }
}
