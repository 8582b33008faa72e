package org.umberloom.core.page;

import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * Tables that may be wider than a narrow window and scroll there in a frame of their own: who uses a keyboard reaches them, in browsers
 * too that do not see to it themselves. Source: WCAG 2.2, 2.1.1.
 */
public final class WideTables {
    private static final String MARK = "data-scrolls";
    /** A table with fewer fits into the narrowest window. */
    private static final int FEWEST_COLUMNS = 3;

    private WideTables() {}

    public static void on(Document page) {
        for (Element table : page.body().select("table"))
            if (!table.hasAttr("tabindex") && columns(table) >= FEWEST_COLUMNS)
                table.attr("tabindex", "0").attr(MARK, true);
    }

    static void off(Document page) {
        for (Element table : page.body().select("table[" + MARK + "]"))
            table.removeAttr("tabindex").removeAttr(MARK);
    }

    private static int columns(Element table) {
        Element row = table.selectFirst("tr");
        return row == null ? 0 : row.childrenSize();
    }
}
