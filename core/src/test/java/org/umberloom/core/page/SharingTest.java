package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;

/** Source of the properties: The Open Graph protocol (https://ogp.me), the four of “Basic Metadata” but the address, which a kit cannot know. */
class SharingTest {
    private static final String PAGE =
            "<!doctype html><html><head><title>Fares</title></head><body><main><h1>Fares</h1></main></body></html>";

    @Test
    void aPageSaysWhatOthersShowOfItAndComesBackAsItWas() {
        Document page = Markup.read(PAGE);
        new Sharing("Crossings", "sharing/fares.png").on(page);
        assertThat(page.select("meta[property=og:title]").attr("content")).isEqualTo("Fares");
        assertThat(page.select("meta[property=og:type]").attr("content")).isEqualTo("website");
        assertThat(page.select("meta[property=og:image]").attr("content")).isEqualTo("sharing/fares.png");
        assertThat(page.select("meta[property=og:image:alt]").attr("content")).isEqualTo("Fares, Crossings");
        assertThat(PageMarkup.kept(page.outerHtml() + "\n", List.of()))
                .isEqualTo(Markup.read(PAGE).outerHtml());
    }

    @Test
    void whatAPageSaysItselfStays() {
        String own =
                PAGE.replace("<title>", "<meta property=\"og:image\" content=\"https://quay.example/a.png\"><title>");
        Document page = Markup.read(own);
        new Sharing("Crossings", Sharing.OF_SITE).on(page);
        assertThat(page.outerHtml()).isEqualTo(Markup.read(own).outerHtml());
        assertThat(PageMarkup.kept(own + "\n", List.of())).contains("quay.example");
    }

    @Test
    void onePictureIsForTheSiteUnlessThePageHasItsOwn() {
        assertThat(Sharing.file("fares", Map.of())).contains("sharing.png");
        assertThat(Sharing.file("fares", Map.of("sharing", "page"))).contains("sharing/fares.png");
        assertThat(Sharing.file("fares", Map.of("sharing", "none"))).isEmpty();
    }
}
