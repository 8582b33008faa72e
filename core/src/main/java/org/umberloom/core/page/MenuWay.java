package org.umberloom.core.page;

import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.ThemeDocument;

/**
 * The control of a menu that is folded away on phones, without script. It is added where a page is shown, and where one goes out
 * whose theme folds the menu. Source: HTML Living Standard, the popover attribute and popovertarget.
 */
public final class MenuWay {
    /** The choice that folds menus away, and its value. */
    private static final String CHOICE = "menu-phone";

    private static final String FOLDED = "folded";
    /** As many are looked through. */
    private static final int MOST_COMBINATIONS = 64;

    private static final String MENU = "body > header > nav:not([data-part])";
    private static final String WAY = "body > header > button[data-part=menu-way]";
    private static final String ID = "site-menu";
    private static final String TARGET = "popovertarget";
    /** What the control is called, by the language of the page; from memory. */
    private static final Map<String, String> WORDS = Map.ofEntries(
            Map.entry("ar", "القائمة"),
            Map.entry("cs", "Nabídka"),
            Map.entry("es", "Menú"),
            Map.entry("de", "Menü"),
            Map.entry("el", "Μενού"),
            Map.entry("fa", "فهرست"),
            Map.entry("fi", "Valikko"),
            Map.entry("he", "תפריט"),
            Map.entry("hu", "Menü"),
            Map.entry("ja", "メニュー"),
            Map.entry("ko", "메뉴"),
            Map.entry("nb", "Meny"),
            Map.entry("no", "Meny"),
            Map.entry("ru", "Меню"),
            Map.entry("sv", "Meny"),
            Map.entry("tr", "Menü"),
            Map.entry("uk", "Меню"),
            Map.entry("zh", "菜单"));

    private MenuWay() {}

    /** Whether a theme folds menus away in any combination. @param scopes that reach the page */
    public static boolean folds(ThemeDocument theme, List<Scope> scopes) {
        // Most themes leave the choice alone, and its standard folds nothing.
        return !Choices.writing(theme, Contract.standard().choices().get(CHOICE))
                        .isEmpty()
                && theme.combinations(MOST_COMBINATIONS).stream()
                        .anyMatch(look -> folds(Choices.of(theme, look.at(scopes))));
    }

    /** @param chosen values of choices by their names */
    static boolean folds(Map<String, String> chosen) {
        return FOLDED.equals(chosen.get(CHOICE));
    }

    /** Adds the control before the first menu of a page’s header; a page that has one, or no menu there, stays as it is. */
    public static void on(Document page) {
        Element menu = page.selectFirst(MENU);
        if (menu == null || menu.hasAttr("popover") || page.selectFirst(WAY) != null) return;
        if (menu.id().isEmpty()) menu.id(free(page));
        menu.attr("popover", true);
        String language = page.selectFirst("html").attr("lang").split("-", 2)[0];
        menu.before(new Element("button")
                .attr("type", "button")
                .attr("data-part", "menu-way")
                .attr("data-rank", "quiet")
                .attr("data-size", "small")
                .attr(TARGET, menu.id())
                .text(WORDS.getOrDefault(language, "Menu")));
    }

    /** Takes it off again. */
    static void off(Document page) {
        for (Element way : page.select(WAY)) {
            Element menu = page.getElementById(way.attr(TARGET));
            if (menu != null) {
                menu.removeAttr("popover");
                if (menu.id().startsWith(ID)) menu.removeAttr("id");
            }
            way.remove();
        }
    }

    private static String free(Document page) {
        String id = ID;
        for (int i = 2; page.getElementById(id) != null; i++) id = ID + "-" + i;
        return id;
    }
}
