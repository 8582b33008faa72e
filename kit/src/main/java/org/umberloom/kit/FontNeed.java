package org.umberloom.kit;

import java.util.BitSet;
import java.util.List;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.umberloom.core.page.PageUse;
import org.umberloom.kit.font.FontCatalog;

/**
 * Which files of a family some pages need.
 *
 * @param everything where there are no pages yet
 * @param text       the characters that are read, by code points
 * @param slanted    whether something is set in italics
 */
record FontNeed(boolean everything, BitSet text, boolean slanted) {
    private static final String SLANTED = "italic";
    /** Elements that browsers set in italics. Source: HTML Standard, 15.3, rendering of phrasing content. */
    private static final Set<String> ITALIC = Set.of("em", "i", "cite", "dfn", "var", "address");

    /** @param own style sheets that people wrote */
    static FontNeed of(List<String> markup, String own) {
        BitSet text = new BitSet();
        boolean slanted = own.contains(SLANTED);
        for (String html : markup) {
            Document page = Jsoup.parse(html);
            page.text().codePoints().forEach(text::set);
            slanted |= html.contains(SLANTED)
                    || PageUse.of(List.of(html)).needs().stream().anyMatch(ITALIC::contains);
        }
        return new FontNeed(markup.isEmpty(), text, slanted);
    }

    boolean of(FontCatalog.FontPart part) {
        return everything || (slanted || !part.italic()) && part.serves(text);
    }
}
