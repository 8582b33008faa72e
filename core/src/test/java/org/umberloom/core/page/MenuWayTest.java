package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.umberloom.core.contract.Contract;

class MenuWayTest {
    private static final String PAGE =
            "<!doctype html><html lang=\"%s\"><head><title>T</title></head><body><header><a>N</a>"
                    + "%s<nav aria-label=\"Main\"><ul><li><a href=\"a.html\">A</a></li></ul></nav></header><main></main></body></html>";

    @Test
    void theControlStandsBeforeTheMenuThatItOpens() {
        Document page = Jsoup.parse(PAGE.formatted("en", ""));
        MenuWay.on(page);
        Element way = page.selectFirst("header > button");
        assertThat(way.nextElementSibling().tagName()).isEqualTo("nav");
        assertThat(way.attr("popovertarget"))
                .isEqualTo(way.nextElementSibling().id())
                .isNotEmpty();
        assertThat(way.nextElementSibling().hasAttr("popover")).isTrue();
        assertThat(way.text()).isEqualTo("Menu");
    }

    @Test
    void itIsCalledInTheLanguageOfThePageAndHasAnIdOfItsOwn() {
        Document page = Jsoup.parse(PAGE.formatted("ar-EG", "<p id=\"site-menu\">x</p>"));
        MenuWay.on(page);
        assertThat(page.selectFirst("header > button").text()).isEqualTo("القائمة");
        assertThat(page.select("#site-menu")).hasSize(1);
        assertThat(page.selectFirst("nav").id()).isEqualTo("site-menu-2");
    }

    @Test
    void twiceIsAsOnceAndWhatComesInIsAsItWas() {
        String was = Markup.read(PAGE.formatted("en", "")).outerHtml();
        Document page = Markup.read(was);
        MenuWay.on(page);
        String once = page.outerHtml();
        MenuWay.on(page);
        assertThat(page.outerHtml()).isEqualTo(once).isNotEqualTo(was);
        assertThat(PageMarkup.kept(once + "\n", List.of())).isEqualTo(was);
    }

    @Test
    void aPageWithoutAMenuStaysAsItIs() {
        Document page = Jsoup.parse("<header><a>N</a><nav data-part=\"second-menu\"></nav></header><nav></nav>");
        String was = page.outerHtml();
        MenuWay.on(page);
        assertThat(page.outerHtml()).isEqualTo(was);
    }

    @Test
    void whatFoldsIsAValueOfTheChoice() {
        assertThat(Contract.standard().choices().get("menu-phone").values().keySet())
                .anyMatch(value -> MenuWay.folds(Map.of("menu-phone", value)))
                .anyMatch(value -> !MenuWay.folds(Map.of("menu-phone", value)));
        assertThat(MenuWay.folds(Map.of())).isFalse();
    }
}
