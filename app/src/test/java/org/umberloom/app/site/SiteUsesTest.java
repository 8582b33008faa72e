package org.umberloom.app.site;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SitePage;

/** What is counted of a site’s pages, and its short text. */
class SiteUsesTest {
    private static SitePage page(String slug, String body) {
        return new SitePage(slug, "Page " + slug, "article", "<html><head></head><body>" + body + "</body></html>");
    }

    private static final SiteDocument SITE = SiteDocument.of(
            "quay",
            "Quay",
            List.of(
                    page("index", "<h1>Quay</h1><p>To <a href=\"#\">fares</a> and <a href=\"#\">tides</a></p>"),
                    page("fares", "<table><tr><td style=\"color: #123456\">1</td></tr></table>"),
                    page("empty", "")));

    private static SiteUses uses() {
        return SiteUses.of(SITE, Map.of());
    }

    @Test
    void whatWasCountedIsReadAsItWas() {
        SiteUses counted = uses();
        SiteUses read = SiteUses.read(counted.write());
        assertThat(read.chosen()).isEqualTo(counted.chosen());
        assertThat(read.pages()).hasSize(3);
        for (int i = 0; i < 3; i++) {
            assertThat(read.pages().get(i).page())
                    .isEqualTo(counted.pages().get(i).page());
            assertThat(read.pages().get(i).title())
                    .isEqualTo(counted.pages().get(i).title());
            assertThat(read.pages().get(i).roles())
                    .isEqualTo(counted.pages().get(i).roles());
        }
        assertThat(read.write()).isEqualTo(counted.write());
    }

    @Test
    void eachPageHasItsOwnCountsOfTheRolesThatTheSiteTakes() {
        SiteUses read = SiteUses.read(uses().write());
        assertThat(read.pages().get(0).taking("surface.page.link")).isEqualTo(2);
        assertThat(read.pages().get(1).taking("surface.page.link")).isZero();
        assertThat(read.pages().get(0).taking("surface.nowhere.link")).isZero();
        assertThat(read.pages().get(1).roles().values()).anyMatch(count -> count.hiding() == 1);
    }

    @Test
    void aChoiceMadeOtherwiseIsCountedWhereItShows() {
        SiteUses read = SiteUses.read(uses().write());
        assertThat(read.pages().get(0).looking("links", "always", "never")).isEqualTo(2);
        assertThat(read.pages().get(0).looking("links", "never", "never")).isZero();
        assertThat(read.pages().get(1).looking("links", "always", "never")).isZero();
        assertThat(read.pages().get(0).looking("no-such-choice", "a", "b")).isZero();
    }

    /** So it is counted anew. */
    @Test
    void theTextOfAnEarlierVersionIsUnderNoChoicesThatAThemeCanMake() {
        String earlier =
                "{\"chosen\":\"\",\"pages\":[{\"page\":\"index\",\"title\":\"Quay\",\"roles\":{\"surface.page.link\":[2,0]}}]}";
        assertThat(SiteUses.read(earlier).chosen())
                .isEqualTo(SiteUses.read("").chosen())
                .isNotEmpty();
    }
}
