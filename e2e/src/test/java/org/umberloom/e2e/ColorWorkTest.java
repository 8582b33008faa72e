package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Colors from a logo, from text and from a harmony; proposals of schemes; pairs that stay readable; other ways of seeing. */
class ColorWorkTest {
    private final Loom loom = Loom.withDemo();
    private Page page;

    @BeforeEach
    void newTheme() {
        page = Browsers.signedIn(loom, ColorScheme.LIGHT);
        Browsers.newThemeOnPages(page, "Dyed", "Herringbone");
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    private Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private FrameLocator bay(int number) {
        return page.locator("iframe").nth(number).contentFrame();
    }

    private String heroGround(int bay) {
        return (String) bay(bay).locator("h1")
                .evaluate("e => getComputedStyle(e.closest('section') ?? document.body).backgroundColor");
    }

    private Locator railState() {
        return page.getByTestId("saved-state");
    }

    @Test
    void aLogosColorsAreTriedAndOneBecomesTheSeed(@TempDir Path folder) throws Exception {
        BufferedImage logo = new BufferedImage(200, 100, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = logo.createGraphics();
        graphics.setColor(new java.awt.Color(0x8a3b5f));
        graphics.fillRect(0, 0, 200, 100);
        graphics.setColor(new java.awt.Color(0xe0b040));
        graphics.fillRect(0, 0, 60, 100);
        Path file = folder.resolve("logo.png");
        ImageIO.write(logo, "png", file.toFile());
        String before = heroGround(0);

        button("Find").click();
        page.getByLabel("From a picture or file").setInputFiles(file);
        Locator swatch = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("#8a3b5f"));
        assertThat(swatch).containsText("70 %");
        swatch.hover();
        page.waitForCondition(() -> !heroGround(0).equals(before));
        assertThat(railState()).containsText("Trying, not saved");
        swatch.click();
        button("Seed of brand").click();
        assertThat(railState()).containsText("Seed of brand: #8a3b5f");
    }

    @Test
    void aHostilePictureIsRefusedInASentence(@TempDir Path folder) throws Exception {
        Path file = Files.writeString(
                folder.resolve("bad.svg"), "<svg xmlns=\"http://www.w3.org/2000/svg\"><script>alert(1)</script></svg>");
        button("Find").click();
        page.getByLabel("From a picture or file").setInputFiles(file);
        assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("holds a script");
        assertThat(railState()).containsText("Saved");
    }

    @Test
    void aHarmonyIsComparedOneInEachBayAndTextBringsANewHue() {
        String before = heroGround(0);
        button("Find").click();
        button("Harmonies of brand").click();
        page.getByText("one in each bay").last().click();
        page.waitForCondition(() -> !heroGround(0).equals(before)
                && !heroGround(2).equals(before)
                && !heroGround(0).equals(heroGround(2)));
        page.getByLabel("Colors in any CSS form").fill("--moss: #4f7d2f; --gap: 3px");
        button("Read").click();
        assertThat(page.getByText("Passed over, since it is no color: --gap: 3px"))
                .isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("moss #4f7d2f"))
                .click();
        button("Add the hue").click();
        assertThat(railState()).containsText("Hue moss: added");
        page.waitForCondition(() -> heroGround(0).equals(before));
    }

    @Test
    void theDarkIsProposedAnewAndMoreContrastIsOffered() {
        button("Propose").click();
        page.getByText("Dark from light, all anew").click();
        assertThat(railState()).containsText("propose dark, all anew");
        Prepared.findings(page).click();
        assertThat(page.getByRole(AriaRole.DIALOG)).not().containsText("; it needs");
        page.keyboard().press("Escape");
        button("Propose").click();
        page.getByText("More contrast, for those who ask for it").click();
        assertThat(railState()).containsText("propose more contrast");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Combination of bay 1"))
                .click();
        String before = (String) bay(0).locator("footer a").first().evaluate("e => getComputedStyle(e).color");
        page.getByRole(AriaRole.DIALOG)
                .getByText("more", new Locator.GetByTextOptions().setExact(true))
                .click();
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Combination of bay 1: light · more"))
                .waitFor();
        assertThat(before).startsWith("rgb");
    }

    @Test
    void aRoleIsKeptReadableAndABayIsSeenWithoutGreenCones() {
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("page").setExact(true))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("link in light"))
                .click();
        button("Keep it readable on ground").click();
        assertThat(railState()).containsText("Link: reach(");
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("How bay 1 is seen"))
                .click();
        page.getByRole(AriaRole.MENUITEMRADIO, new Page.GetByRoleOptions().setName("without green cones"))
                .click();
        page.waitForCondition(
                () -> ((String) page.locator("iframe").first().evaluate("e => getComputedStyle(e).filter"))
                        .contains("#seen-1"));
    }
}
