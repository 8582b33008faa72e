package org.umberloom.app.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.UUID;
import javax.imageio.ImageIO;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionOperations;
import org.umberloom.app.RealDatabase;
import org.umberloom.app.account.Account;
import org.umberloom.app.picture.ShelvedPicture;
import org.umberloom.app.theme.Commits;
import org.umberloom.app.web.Conflict;
import org.umberloom.core.page.PagePictures;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.theme.PictureFacts;
import org.umberloom.core.theme.Starter;
import org.umberloom.kit.SitePicture;
import org.umberloom.kit.picture.PictureReader;
import org.umberloom.kit.picture.SmallerPictures;

/** The shelf of a site's pictures as MariaDB keeps it. */
class SitePicturesInTheDatabaseTest {
    private final RealDatabase database = RealDatabase.shared();
    private final SiteMapper sites = database.bean(SiteMapper.class);
    private final JdbcTemplate sql = new JdbcTemplate(database.bean(DataSource.class));
    private final SiteDrafts drafts =
            new SiteDrafts(sites, new Commits(database.bean(TransactionOperations.class)), Clock.systemUTC());
    private final SitePictures pictures = new SitePictures(sites, drafts, new PictureReader(), new SmallerPictures());
    private final String slug = "s" + UUID.randomUUID().toString().replace("-", "");

    @BeforeEach
    void aSite() {
        Account lead = database.lead();
        long theme = database.bareTheme();
        SitePage page = new SitePage(
                "index", "Quay", "landing", "<html><head></head><body><img src=\"pictures/ferry.jpg\"></body></html>");
        drafts.create(SiteDocument.of(slug, "Quay", List.of(page)), theme, "made", lead);
    }

    /** Half of it red, half of it blue, so that it can be seen whether it was only made smaller. */
    private static byte[] picture(int width, int height, String format) throws IOException {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D draw = image.createGraphics();
        draw.setColor(Color.RED);
        draw.fillRect(0, 0, width / 2, height);
        draw.setColor(Color.BLUE);
        draw.fillRect(width / 2, 0, width - width / 2, height);
        draw.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    private ShelvedPicture only() {
        assertThat(pictures.shelf(slug)).hasSize(1);
        return pictures.shelf(slug).get(0);
    }

    @Test
    void aLargePictureComesInSizes() throws IOException {
        assertThat(pictures.add(slug, "Ferry.JPG", picture(1300, 650, "jpeg"), "CC0"))
                .isEqualTo("ferry.jpeg");
        ShelvedPicture ferry = only();
        assertThat(ferry.width() + "x" + ferry.height()).isEqualTo("1300x650");
        assertThat(ferry.sizes()).containsExactly(480, 960);
        PagePictures.Known known = pictures.known(drafts.newest(slug).id()).get("ferry.jpeg");
        for (PagePictures.Sized size : known.sizes()) {
            SitePicture small =
                    pictures.shown(slug, size.name(), Starter.ALL.get(0).theme("T"));
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(small.content()));
            assertThat(image.getWidth()).isEqualTo(size.width());
            assertThat(image.getHeight()).isEqualTo(size.width() / 2);
            assertThat(new Color(image.getRGB(20, 20)).getRed()).isGreaterThan(240);
            assertThat(new Color(image.getRGB(size.width() - 20, 20)).getBlue()).isGreaterThan(240);
        }
        // A width that there is none of, of this picture or of any.
        for (String missing :
                List.of("ferry-w481.jpeg", "ferry-w1600.jpeg", "ferry-w99999999999.jpeg", "ferry-w480.svg"))
            assertThatThrownBy(() ->
                            pictures.shown(slug, missing, Starter.ALL.get(0).theme("T")))
                    .isInstanceOf(NoSuchElementException.class);
    }

    @Test
    void whatIsSaidOfAPictureIsKept() throws IOException {
        String name = pictures.add(slug, "a.png", picture(40, 20, "png"), "");
        PictureFacts facts = new PictureFacts("CC BY 4.0", "Mara Lund", "A quay at dawn", 0.2, 0.9, false);
        pictures.describe(slug, name, facts);
        assertThat(sites.picture(slug, name).orElseThrow().facts()).isEqualTo(facts);
        assertThat(only().sizes()).isEmpty();
        assertThatThrownBy(() -> pictures.describe(slug, "b.png", facts)).hasMessageContaining("no picture “b.png”");
    }

    @Test
    void aPictureThatStandsSomewhereStays() throws IOException {
        sql.update(
                "update picture set name = 'ferry.jpg' where name = ?",
                pictures.add(slug, "f.jpg", picture(9, 9, "jpeg"), ""));
        assertThat(only().used()).extracting(ShelvedPicture.UsedView::words).containsExactly("Quay");
        assertThatThrownBy(() -> pictures.remove(slug, "ferry.jpg"))
                .isInstanceOf(Conflict.class)
                .hasMessageContaining("stands on Quay");
        String other = pictures.add(slug, "g.png", picture(9, 9, "png"), "");
        pictures.remove(slug, other);
        assertThat(only().name()).isEqualTo("ferry.jpg");
        assertThat(pictures.instead(drafts.newest(slug).site(), "ferry.jpg", "ferry.jpg")
                        .parts())
                .hasSize(1);
    }

    @Test
    void aPlaceholderIsDrawnInTheColorsOfTheThemeThatIsWorn() {
        String name = pictures.placeholder(slug, 600, 400);
        assertThat(only().placeholder()).isTrue();
        String first = text(pictures.shown(slug, name, Starter.ALL.get(0).theme("T")));
        String second = text(pictures.shown(slug, name, Starter.ALL.get(1).theme("T")));
        assertThat(first).contains("600 × 400").isNotEqualTo(second);
    }

    private static String text(SitePicture picture) {
        return new String(picture.content(), StandardCharsets.UTF_8);
    }
}
