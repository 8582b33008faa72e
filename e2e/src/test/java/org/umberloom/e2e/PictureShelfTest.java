package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.format.SiteArchive;

/** A site's pictures on their shelf, on its pages in Chromium, and in the kit that leaves the house. */
class PictureShelfTest {
    private static final String PICTURE = "sunset.png";
    private static final String PLACEHOLDER = "placeholder-1200x800.svg";
    private final Loom loom = Loom.withDemo();
    private Page page;
    private String slug;

    @BeforeEach
    void copyASite() {
        page = Browsers.signedIn(loom, ColorScheme.LIGHT);
        slug = Prepared.copyOf(page, "crossings");
        page.navigate("/sites/" + slug);
        assertThat(page.getByText("3 pictures")).isVisible();
    }

    @AfterEach
    void deleteIt() {
        page.navigate(loom.address() + "/sites/" + slug);
        Locator name = page.getByLabel("Name of the site to delete");
        name.fill(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1))
                .textContent());
        button("Delete for good").click();
        page.waitForURL("**/sites");
        page.context().close();
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private static byte[] sunset() throws IOException {
        BufferedImage image = new BufferedImage(2400, 1200, BufferedImage.TYPE_INT_RGB);
        Graphics2D draw = image.createGraphics();
        draw.setColor(new Color(240, 120, 60));
        draw.fillOval(600, 200, 800, 800);
        draw.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    @Test
    void aPictureIsDescribedStandsOnAPageAndGoesOutInSizes() throws IOException {
        page.getByLabel("Picture files").setInputFiles(new FilePayload(PICTURE, "image/png", sunset()));
        assertThat(page.getByText("nobody said how one may be used")).isVisible();
        assertThat(page.getByText("also 480, 960, 1600 px wide")).isVisible();
        page.getByLabel("License").fill("CC0 1.0");
        page.getByLabel("License").press("Enter");
        page.getByText("Put it back").click();
        assertThat(page.getByLabel("License")).hasValue("");
        page.getByLabel("License").fill("CC0 1.0");
        page.getByLabel("License").press("Enter");
        assertThat(page.getByText("nobody said")).hasCount(0);
        Locator point =
                page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("The point that stays in sight"));
        for (String left : new String[] {"55", "60"}) {
            point.press("ArrowRight");
            assertThat(point).hasAttribute("aria-valuenow", left);
        }
        button("Keep room for").click();
        assertThat(page.getByText("It keeps the room of a picture")).isVisible();
        button("passage.svg").last().click();
        instead(PLACEHOLDER);
        String findings =
                page.request().get(loom.address() + "/api/themes/1/findings").text();
        assertThat(findings).contains("Room is kept for pictures that are still to come: " + PLACEHOLDER);
        Map<String, byte[]> without = kit();
        assertThat(new String(without.get("pages/" + slug + "/index.html"), StandardCharsets.UTF_8))
                .doesNotContain("<img");
        instead(PICTURE);

        isShownOnAPhone();
        leavesInAKit();
    }

    /** By somebody who has not loaded the large file already: Chromium takes that then. */
    private void isShownOnAPhone() {
        Page phone = Browsers.signedIn(loom, ColorScheme.LIGHT);
        phone.setViewportSize(390, 800);
        phone.navigate(loom.address() + "/preview/1/draft/default/" + slug + "/index.html?still=true");
        Locator image = phone.locator("img[src='pictures/" + PICTURE + "']");
        assertThat(image).hasCSS("object-position", "60% 50%");
        phone.waitForFunction("(one) => one.complete && one.naturalWidth > 0", image.elementHandle());
        assertThat((String) image.evaluate("(one) => one.currentSrc")).endsWith("/pictures/sunset-w480.png");
        phone.context().close();
    }

    private void instead(String other) {
        page.getByLabel("Another picture in its place").selectOption(other);
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(other)))
                .isVisible();
        assertThat(page.getByText("Stands on Crossings")).isVisible();
    }

    private Map<String, byte[]> kit() {
        return KitArchive.read(page.request()
                .get(loom.address() + "/api/themes/1/kit.zip?site=" + slug)
                .body());
    }

    private void leavesInAKit() {
        Map<String, byte[]> files = kit();
        String folder = "pages/" + slug + "/pictures/";
        assertThat(files).containsKeys(folder + PICTURE, folder + "sunset-w480.png", folder + "sunset-w1600.png");
        assertThat(files.keySet()).noneMatch(name -> name.contains("placeholder"));
        assertThat(new String(files.get("LICENSES.txt"), StandardCharsets.UTF_8))
                .contains("sunset.png: CC0 1.0", "Not in this kit: " + PLACEHOLDER);
        SiteArchive.Reading again = SiteArchive.readAll("kit", files).get(0);
        assertThat(again.pictures()).containsOnlyKeys(PICTURE, "lamp.svg", "passage.svg", "route.svg");
        assertThat(again.pictures().get(PICTURE).facts().focalX()).isEqualTo(0.6);
        assertThat(again.site().page("index").html()).contains(PICTURE).doesNotContain("srcset", "data-added");
    }
}
