package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;

class NameplateTest {
    private static final Nameplate WHOLE =
            new Nameplate("The quay", "By the water", "sign.svg", "night.svg", "icon.png");
    private static final String PAGE =
            "<!doctype html>\n<html lang=\"en\">\n<head><title>t</title></head>\n<body>\n<header>\n  <a href=\"index.html\">Quay</a>\n"
                    + "</header>\n<main><p>Quay</p></main>\n</body>\n</html>";

    private static Document on(Nameplate plate, String html) {
        return Jsoup.parse(plate.on(html, Set.of()));
    }

    @Test
    void theLinkThatTheHeaderBeginsWithBecomesTheSign() {
        Document page = on(WHOLE, PAGE);
        assertThat(page.selectFirst("header > a").text()).isEqualTo("The quay By the water");
        // The one for the dark comes first: the rules ask for that.
        assertThat(page.select("header a > *").eachAttr("data-plate"))
                .containsExactly("logo-dark", "logo", "name", "tagline");
        assertThat(page.select("header img").eachAttr("src"))
                .containsExactly("pictures/night.svg", "pictures/sign.svg");
        assertThat(page.selectFirst("main").text())
                .as("what is no nameplate stays")
                .isEqualTo("Quay");
    }

    @Test
    void whatIsGivenUpGoesAndTheSameTwiceChangesNothing() {
        String whole = WHOLE.on(PAGE, Set.of());
        assertThat(WHOLE.on(whole, Set.of())).isSameAs(whole);
        Document bare = on(Nameplate.of("Pier"), whole);
        assertThat(bare.select("header a > *").eachAttr("data-plate")).containsExactly("name");
        assertThat(bare.selectFirst("header a").text()).isEqualTo("Pier");
        Nameplate night = new Nameplate("Pier", "", "", "night.svg", "");
        Nameplate both = new Nameplate("Pier", "", "day.svg", "night.svg", "");
        assertThat(on(both, night.on(whole, Set.of())).select("header img").eachAttr("data-plate"))
                .containsExactly("logo-dark", "logo");
    }

    @Test
    void aHeaderWithPicturesOfItsOwnAndPiecesOfOthersStay() {
        String other = PAGE.replace(">Quay</a>", "><img alt=\"Quay\" src=\"pictures/own.svg\"></a>");
        assertThat(WHOLE.on(other, Set.of())).isSameAs(other);
        String shared = PAGE.replace("<header>", "<header data-piece=\"top\">");
        assertThat(WHOLE.on(shared, Set.of("top"))).isSameAs(shared);
        assertThat(WHOLE.on(shared, Set.of())).contains("By the water");
    }

    @Test
    void aPictureIsNamedAndNotReached() {
        for (String name : Set.of("../x.svg", "https://example.com/x.svg", "a b.svg", ".htaccess"))
            assertThatThrownBy(() -> new Nameplate("Quay", "", name, "", ""))
                    .as(name)
                    .isInstanceOf(IllegalArgumentException.class)
                    .hasMessageContaining("names no picture");
    }
}
