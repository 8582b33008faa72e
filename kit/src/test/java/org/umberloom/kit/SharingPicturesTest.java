package org.umberloom.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.page.Sharing;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.kit.font.FontCatalog;
import org.umberloom.kit.font.FontFiles;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** What stands for pages where they are shared. That the letters are those of browsers is a browser test. */
class SharingPicturesTest {
    private static final ThemeDocument THEME = Starter.ALL.get(0).theme("Quay");
    private static final SharingPictures PICTURES = new SharingPictures();
    private static final Path FONTS = Path.of("../ui/static/fonts");
    private static final FontFiles FILES = fonts();

    private static FontFiles fonts() {
        try {
            return FontFiles.of(
                    JsonMapper.shared()
                            .readValue(
                                    Files.readString(FONTS.resolve("catalog.json")),
                                    new TypeReference<List<FontCatalog.Family>>() {}),
                    SharingPicturesTest::font);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static byte[] font(String file) {
        try {
            return Files.readAllBytes(FONTS.resolve(file));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static SitePage page(String title, String opening) {
        return new SitePage(
                "fares",
                title,
                "article",
                "<!doctype html><html><head><title>t</title></head><body><main>" + opening + "</main></body></html>");
    }

    private static Optional<byte[]> png(SitePage page, boolean whole) {
        SiteDocument site = SiteDocument.of("quay", "Quay", List.of(page));
        return PICTURES.png(FILES, site, THEME, page, whole, name -> Optional.empty());
    }

    private static BufferedImage drawn(SitePage page, boolean whole) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(png(page, whole).orElseThrow()));
    }

    private static int rgb(String role) {
        return Integer.parseInt(
                Worn.of(Resolution.of(THEME, THEME.defaults()))
                        .color("surface." + role)
                        .orElseThrow()
                        .hex()
                        .substring(1),
                16);
    }

    private static int at(BufferedImage picture, int x, int y) {
        return picture.getRGB(x, y) & 0xffffff;
    }

    /** Rows in which letters of a color stand. */
    private static Set<Integer> rows(BufferedImage picture, int color) {
        Set<Integer> rows = new TreeSet<>();
        for (int y = 0; y < picture.getHeight(); y++)
            for (int x = 40; x < picture.getWidth() - 40; x++) if (at(picture, x, y) == color) rows.add(y);
        return rows;
    }

    @Test
    void aTitleStandsInTheColorsOfTheSurfaceThatThePageOpensWith() throws IOException {
        BufferedImage onPage = drawn(page("Fares", "<h1>Fares</h1>"), false);
        assertThat(onPage.getWidth()).isEqualTo(Sharing.WIDTH);
        assertThat(onPage.getHeight()).isEqualTo(Sharing.HEIGHT);
        assertThat(at(onPage, 4, 300)).isEqualTo(rgb("page.accent"));
        assertThat(at(onPage, 1100, 20)).isEqualTo(rgb("page.ground"));
        BufferedImage onDeep = drawn(page("Fares", "<section data-surface=\"deep\"><h1>Fares</h1></section>"), false);
        assertThat(at(onDeep, 1100, 20)).isEqualTo(rgb("deep.ground"));
        // The name of the site above, the title below.
        Set<Integer> rows = rows(onDeep, rgb("deep.heading"));
        assertThat(rows).anyMatch(y -> y < 160).anyMatch(y -> y > 400).noneMatch(y -> y > 200 && y < 380);
        assertThat(rows(drawn(page("Fares", ""), true), rgb("page.heading"))).noneMatch(y -> y < 380);
    }

    @Test
    void aLongTitleTakesMoreLinesAndStaysWithinThePicture() throws IOException {
        String title = "What the harbor pilot’s daughter knew of tides, moorings and the last boat of the season";
        BufferedImage picture = drawn(page(title, ""), false);
        int heading = rgb("page.heading");
        for (int y = 0; y < Sharing.HEIGHT; y++)
            for (int x = Sharing.WIDTH - 60; x < Sharing.WIDTH; x++)
                assertThat(at(picture, x, y)).isNotEqualTo(heading);
        Set<Integer> rows = rows(picture, heading);
        assertThat(rows).noneMatch(y -> y > 560).anyMatch(y -> y > 200 && y < 380);
    }

    @Test
    void whatIsReadFromTheRightBeginsThere() throws IOException {
        SitePage page = new SitePage(
                "fares", "Fares", "article", "<html dir=\"rtl\"><head></head><body><main></main></body></html>");
        BufferedImage picture = drawn(page, false);
        assertThat(at(picture, Sharing.WIDTH - 4, 300)).isEqualTo(rgb("page.accent"));
        assertThat(at(picture, 4, 300)).isEqualTo(rgb("page.ground"));
    }

    @Test
    void lettersThatNoFontHasAreNotDrawnAsBoxes() {
        assertThat(png(page("价格", ""), false)).isEmpty();
    }
}
