package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.umberloom.core.color.Color;
import org.umberloom.core.json.Json;

/** The head of a page as the HTML Living Standard has it (link types icon and manifest, meta theme-color). */
class SiteIconsTest {
    private static final String PAGE = "<!doctype html><html><head><title>Quay</title></head><body></body></html>";
    private static final SiteIcons ICONS =
            new SiteIcons("Quay “one”", "icon.svg", true, Color.rgb(255, 250, 240), Optional.of(Color.rgb(10, 20, 30)));

    @Test
    void browsersAreToldOfEverySize() {
        Document page = Jsoup.parse(PAGE);
        ICONS.on(page, Map.of());
        assertThat(page.head().select("link").eachAttr("href"))
                .containsExactly(
                        "icons/favicon.ico", "pictures/icon.svg", "icons/icon-180.png", "icons/site.webmanifest");
        assertThat(page.head().select("meta[name=theme-color]").eachAttr("content"))
                .containsExactly("#fffaf0", "#0a141e");
        assertThat(page.head().select("meta[media*=dark]").attr("content")).isEqualTo("#0a141e");
    }

    @Test
    void aPageThatDoesNotTurnHasOneColor() {
        Document page = Jsoup.parse(PAGE);
        new SiteIcons("Quay", "icon.png", false, Color.rgb(1, 2, 3), Optional.empty()).on(page, Map.of());
        assertThat(page.head().select("meta[name=theme-color]")).hasSize(1);
        assertThat(page.head().select("meta[media], link[type]")).isEmpty();
    }

    @Test
    void theyStandWhereTheyAreChosenToBeShown() {
        for (String chosen : List.of("shown", "hidden")) {
            Document page = Jsoup.parse(PAGE);
            ICONS.on(page, Map.of("site-icon", chosen));
            assertThat(page.head().select("link").isEmpty()).isEqualTo(chosen.equals("hidden"));
        }
    }

    @Test
    void whatWasAddedIsTakenOffAgain() {
        Document page = Jsoup.parse(PAGE);
        String before = page.outerHtml();
        ICONS.on(page, Map.of());
        SiteIcons.off(page);
        assertThat(page.outerHtml()).isEqualTo(before);
    }

    /** Web Application Manifest, W3C: sizes and purpose of icons. */
    @Test
    void theManifestNamesSquaresByTheirSizes() {
        Map<String, Object> manifest = Json.readObject("manifest", ICONS.manifest());
        assertThat(manifest).containsEntry("name", "Quay “one”").containsEntry("theme_color", "#fffaf0");
        List<?> icons = Json.list("icons", manifest.get("icons"));
        assertThat(icons.stream().map(one -> Json.object("icon", one).get("sizes")))
                .containsExactly("192x192", "512x512", "512x512");
        assertThat(icons.stream().map(one -> Json.object("icon", one).get("purpose")))
                .containsExactly("any", "any", "maskable");
    }
}
