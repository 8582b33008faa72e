package org.umberloom.core.page;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/** What a page is laid out of: the regions of its frame and the blocks of its main part, in reading order. */
public final class PageBlocks {
    /**
     * One region or block.
     *
     * @param at      where it stands in the body, as {@link Spots} counts
     * @param tag     of the element
     * @param words   what it is and how it begins, for people
     * @param region  whether it is a part of the frame
     * @param surface that it names; empty for that around it
     * @param reach   how far it goes to both sides
     * @param room    around it
     * @param shown   whether it is seen
     * @param piece   that it is a placement of; empty for none
     * @param spot    its name as a spot; empty where nothing was written for it yet
     */
    public record Block(
            int at,
            String tag,
            String words,
            boolean region,
            String surface,
            PageChange.Reach reach,
            PageChange.Room room,
            boolean shown,
            String piece,
            String spot) {}

    private static final Set<String> PASSED_OVER = Set.of("script", "style", "link", "template", "br");

    private PageBlocks() {}

    public static List<Block> of(String html) {
        Document document = Jsoup.parse(html);
        Map<Element, Integer> places = Markup.places(document);
        List<Block> blocks = new ArrayList<>();
        for (Element child : document.body().children())
            if (child.normalName().equals("main")) {
                for (Element block : child.children()) add(block, places, false, blocks);
            } else add(child, places, true, blocks);
        return blocks;
    }

    private static void add(Element element, Map<Element, Integer> places, boolean region, List<Block> blocks) {
        if (PASSED_OVER.contains(element.normalName())) return;
        blocks.add(new Block(
                places.get(element),
                element.normalName(),
                Spots.said(element),
                region,
                element.attr(Markup.SURFACE),
                constant(PageChange.Reach.values(), element.attr(PageChanges.WIDTH)),
                constant(PageChange.Room.values(), element.attr(PageChanges.AIR)),
                !element.hasAttr(PageChanges.HIDDEN) && !element.hasAttr(PageChanges.TITLE),
                element.attr(Pieces.PLACED),
                element.attr(Spots.NAME)));
    }

    /** The constant of that word, else the first. */
    private static <E extends Enum<E>> E constant(E[] all, String word) {
        for (E one : all) if (one.name().toLowerCase(Locale.ROOT).equals(word)) return one;
        return all[0];
    }
}
