package org.umberloom.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.umberloom.core.page.Nameplate;
import org.umberloom.core.page.SiteIcons;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteEdits;
import org.umberloom.core.theme.PictureFacts;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;

/** Icons that can be drawn, and such that come from elsewhere and cannot. */
class SiteSquaresTest {
    private static SitePicture picture(String fill) {
        String svg =
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 9 9\"><rect width=\"9\" height=\"9\" fill=\""
                        + fill + "\"/></svg>";
        return SitePicture.of(
                "mark.svg", "image/svg+xml", PictureFacts.NONE, 9, 9, svg.getBytes(StandardCharsets.UTF_8));
    }

    private static SiteDocument site() {
        SiteDocument bare = SiteDocument.of("quay", "Quay", List.of());
        return SiteEdits.nameplate(bare, new Nameplate("Quay", "", "", "", "mark.svg"))
                .applyTo(bare)
                .site();
    }

    private static Map<String, byte[]> files(SitePicture picture) {
        return new SiteSquares().files(site(), theme(), name -> Optional.of(picture));
    }

    private static ThemeDocument theme() {
        return Starter.ALL.get(0).theme("Quay");
    }

    @Test
    void aDrawingIsMadeInAllSizes() {
        assertThat(files(picture("#d02010"))).containsKeys(SiteIcons.TAB, SiteIcons.TOUCH, SiteIcons.MANIFEST);
        assertThatCode(() -> SiteSquares.mustBeDrawn(picture("#d02010"))).doesNotThrowAnyException();
    }

    /** Browsers know this way of writing a color, the library that draws icons does not. */
    @Test
    void oneThatCannotBeDrawnIsRefusedAndWhereItStandsAlreadyLeftOut() {
        SitePicture undrawn = picture("oklch(0.6 0.1 200)");
        assertThatThrownBy(() -> SiteSquares.mustBeDrawn(undrawn))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("“mark.svg” cannot be the icon")
                .hasMessageContaining("The nameplate stays as it was");
        assertThat(files(undrawn)).isEmpty();
    }
}
