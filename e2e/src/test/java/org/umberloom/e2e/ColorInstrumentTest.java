package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.FormData;
import com.microsoft.playwright.options.RequestOptions;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.umberloom.core.format.KitArchive;

/** The Color tab as an instrument: ramps edited in place, the color field, derivations, surfaces and what they stand on. */
class ColorInstrumentTest {
    private final Loom loom = Loom.withDemo();
    private Page page;

    @BeforeEach
    void newTheme() {
        page = Browsers.signedIn(loom, ColorScheme.LIGHT);
        Browsers.newThemeOnPages(page, "Instrument", "Plain weave");
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    private Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private Locator slider(String name) {
        return page.getByRole(
                AriaRole.SLIDER, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private Locator textbox(String name) {
        return page.getByRole(
                AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private Locator region(String name) {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private FrameLocator bay(int number) {
        return page.locator("iframe").nth(number).contentFrame();
    }

    private String hero(String property) {
        return (String) bay(0).locator("h1")
                .evaluate("(e, p) => getComputedStyle(e.closest('section') ?? document.body)[p]", property);
    }

    private Locator railState() {
        return page.getByTestId("saved-state");
    }

    private void surface(String name, String view) {
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
        button(view).click();
    }

    @Nested
    class Ramps {
        @Test
        void theEndOfACurveIsDraggedAndThePagesFollowBeforeItIsLetGo() {
            String before = hero("backgroundColor");
            BoundingBox handle = slider("Chroma at the dark end of brand").boundingBox();
            page.mouse().move(handle.x + handle.width / 2, handle.y + handle.height / 2);
            page.mouse().down();
            page.mouse().move(handle.x + handle.width / 2, handle.y - 20);
            page.waitForCondition(() -> !hero("backgroundColor").equals(before));
            assertThat(railState()).containsText("Trying, not saved");
            page.mouse().up();
            assertThat(railState()).containsText("Shades of brand");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo"))
                    .click();
            page.waitForCondition(() -> hero("backgroundColor").equals(before));
        }

        @Test
        void theEndOfACurveMovesWithTheArrowKeys() {
            slider("Hue drift at the light end of brand").press("ArrowUp");
            assertThat(slider("Hue drift at the light end of brand")).hasAttribute("aria-valuetext", "+1°");
            assertThat(railState()).containsText("Shades of brand");
        }

        @Test
        void aShadeSetByHandLeavesTheRampAndFollowsItAgain() {
            slider("Shades of ink").press("Enter");
            Locator panel = region("Shade color.ink.2");
            String grown = textbox("Color of ink 2").inputValue();
            textbox("Color of ink 2").fill("#ffeedd");
            page.keyboard().press("Enter");
            assertThat(panel).containsText("Set by hand");
            button("Follow the ramp again").click();
            assertThat(panel).containsText("It follows the ramp");
            assertThat(textbox("Color of ink 2")).hasValue(grown);
        }

        @Test
        void stopsComeAndGoInPlace() {
            slider("Shades of brand").press("Enter");
            slider("Shades of brand").press("ArrowRight");
            slider("Shades of brand").press("ArrowRight");
            slider("Shades of brand").press("Insert");
            assertThat(railState()).containsText("Shades of brand");
            slider("Shades of brand").press("ArrowRight");
            assertThat(slider("Shades of brand"))
                    .hasAttribute("aria-valuetext", Pattern.compile("^15, #[0-9a-f]{6}, depth 1[45](\\.\\d)?$"));
            slider("Shades of brand").press("Delete");
            assertThat(slider("Shades of brand")).hasAttribute("aria-valuetext", Pattern.compile("^20, .*"));
        }

        @Test
        void aNeutralLeansTowardAnotherHue() {
            page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName("ink").setExact(false))
                    .first()
                    .click();
            page.getByLabel("Shades lean").selectOption("color.brand");
            assertThat(railState()).containsText("Shades of ink");
            assertThat(slider("Tint")).isVisible();
            slider("Tint").press("ArrowRight");
            assertThat(railState()).containsText("Shades of ink");
        }
    }

    @Nested
    class TheColorField {
        @Test
        void picksInThePlaneAndShowsTheColorInEveryForm() {
            String before = hero("backgroundColor");
            button("Pick Seed of brand").click();
            Locator dialog = page.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName("Seed of brand"));
            assertThat(dialog.getByText("rgb(59 95 138)")).isVisible();
            assertThat(dialog.getByText("oklch(0.4", new Locator.GetByTextOptions().setExact(false))
                            .first())
                    .isVisible();
            BoundingBox plane = dialog.locator("canvas").boundingBox();
            page.mouse().move(plane.x + 60, plane.y + 60);
            page.mouse().down();
            page.mouse().move(plane.x + 80, plane.y + 90);
            page.waitForCondition(() -> !hero("backgroundColor").equals(before));
            page.mouse().up();
            assertThat(railState()).containsText("Seed of brand: oklch(");
            assertThat(dialog.getByRole(AriaRole.REGION, new Locator.GetByRoleOptions().setName("Chosen lately"))
                            .getByRole(AriaRole.BUTTON))
                    .not()
                    .hasCount(0);
        }

        @Test
        void aWideSeedIsKeptAndItsFallbackStandsBesideIt() {
            textbox("Seed of brand").fill("color(display-p3 0 0.55 0.95)");
            page.keyboard().press("Enter");
            assertThat(railState()).containsText("Seed of brand: color(display-p3 0 0.55 0.95)");
            Locator seed = region("Seed of brand");
            assertThat(seed).containsText("kept, for wide screens");
            assertThat(textbox("Seed of brand")).hasValue("color(display-p3 0 0.55 0.95)");
            button("Pick Seed of brand").click();
            assertThat(page.getByText("Needs a Display P3 screen")).isVisible();
        }

        @Test
        void whatIsNoColorIsRefusedAndStaysInTheField() {
            textbox("Seed of brand").fill("brandy");
            page.keyboard().press("Enter");
            assertThat(region("Seed of brand").getByRole(AriaRole.ALERT)).containsText("brandy");
            assertThat(textbox("Seed of brand")).hasValue("brandy");
            assertThat(railState()).containsText("Saved");
        }
    }

    @Test
    void aRoleIsDerivedWithItsResultInSight() {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("muted in light"))
                .click();
        button("Derive it").click();
        Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Derivation"));
        form.getByLabel("Operation").selectOption("darken");
        form.getByLabel("by as a number").fill("20");
        page.keyboard().press("Enter");
        assertThat(form).containsText(Pattern.compile("darken\\(\\{color\\.ink\\.70}, 20\\) = #[0-9a-f]{6}"));
        form.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Derive").setExact(true))
                .click();
        assertThat(railState()).containsText("Muted: darken({color.ink.70}, 20)");
    }

    @Test
    void aPaletteToBeginWithIsTried() {
        String before = hero("backgroundColor");
        button("Find").click();
        button("Palettes to begin with").click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("madder #a8394a"))
                .hover();
        page.waitForCondition(() -> !hero("backgroundColor").equals(before));
        assertThat(railState()).containsText("Trying, not saved");
    }

    @Nested
    class SurfacesAndGrounds {
        @Test
        void aSurfaceIsAddedWithTheRolesOfAnotherAndTakenAway() {
            page.getByRole(
                            AriaRole.TAB,
                            new Page.GetByRoleOptions().setName("deep").setExact(true))
                    .click();
            button("New surface").click();
            textbox("Name").fill("night");
            button("Add the surface").click();
            assertThat(railState()).containsText("new surface night");
            assertThat(page.getByRole(
                            AriaRole.TAB,
                            new Page.GetByRoleOptions().setName("night").setExact(true)))
                    .hasAttribute("aria-selected", "true");
            assertThat(page.getByRole(AriaRole.ROWHEADER, new Page.GetByRoleOptions().setName("link-visited")))
                    .isVisible();
            button("Propose").click();
            page.getByText("Remove the surface night").click();
            assertThat(railState()).containsText("Surface night: removed");
        }

        @Test
        void aPatternIsTriedByPointingAndTaken() {
            surface("deep", "Ground");
            button("Pattern").click();
            button("Knots").hover();
            page.waitForCondition(() -> hero("backgroundImage").contains("radial-gradient"));
            assertThat(railState()).containsText("Trying, not saved");
            button("Knots").click();
            assertThat(railState()).containsText("Background of deep: dots");
            button("Plain color").click();
            assertThat(railState()).containsText("Background of deep: plain color");
            page.waitForCondition(() -> hero("backgroundImage").equals("none"));
        }

        @Test
        void aPictureGetsAScrimAndWithoutItAFindingThatLaysItAgain(@TempDir Path folder) throws Exception {
            BufferedImage sky = new BufferedImage(320, 160, BufferedImage.TYPE_INT_RGB);
            for (int y = 0; y < 160; y++)
                for (int x = 0; x < 320; x++) sky.setRGB(x, y, 0xd0c0b0 + (x % 16) * 0x010101);
            Path file = folder.resolve("Evening Sky.png");
            ImageIO.write(sky, "png", file.toFile());
            surface("deep", "Ground");
            button("Picture").click();
            page.getByLabel("Add or drop a picture").setInputFiles(file);
            assertThat(railState()).containsText("Background of deep: evening-sky.png");
            page.waitForCondition(() -> hero("backgroundImage").contains("ground/evening-sky.png"));
            assertThat(hero("backgroundImage")).startsWith("linear-gradient(rgba(");
            assertThat(page.getByText(Pattern.compile("^light: scrim of \\d+(\\.\\d)? %")))
                    .isVisible();
            travelsInTheKit("evening-sky.png");
            page.getByLabel("Scrim in the ground’s color").uncheck();
            assertThat(page.getByText(Pattern.compile("^light: readable on 0 % only")))
                    .isVisible();
            page.waitForCondition(() -> hero("backgroundImage").startsWith("url("));
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("finding")))
                    .click();
            button("Lay the scrim").first().click();
            page.waitForCondition(() -> hero("backgroundImage").startsWith("linear-gradient(rgba("));
        }

        /** The picture lies in the kit, and a theme made from the kit stands on it again. */
        private void travelsInTheKit(String picture) throws Exception {
            String theme = page.url().replaceAll("\\D+$", "").replaceAll("^.*/", "");
            byte[] kit = page.request()
                    .get(loom.address() + "/api/themes/" + theme + "/kit.zip?site=crossings")
                    .body();
            Map<String, byte[]> files = KitArchive.read(kit);
            assertThat(files).containsKey("ground/" + picture);
            assertThat(new String(files.get("theme.css"), StandardCharsets.UTF_8))
                    .contains("url(\"ground/" + picture + "\")");
            String token = (String) page.evaluate("() => /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]");
            JsonObject imported = JsonParser.parseString(page.request()
                            .post(
                                    loom.address() + "/api/kits",
                                    RequestOptions.create()
                                            .setHeader("X-XSRF-TOKEN", token)
                                            .setMultipart(FormData.create()
                                                    .set("file", new FilePayload("a.kit.zip", "application/zip", kit))))
                            .text())
                    .getAsJsonObject();
            assertThat(imported.getAsJsonArray("notes")).isEmpty();
            String again = "/api/themes/" + imported.get("id").getAsString();
            assertThat(page.request()
                            .get(loom.address() + again + "/pictures/" + picture)
                            .body())
                    .isEqualTo(files.get("ground/" + picture));
            assertThat(page.request().get(loom.address() + again).text())
                    .contains("\"source\":\"" + picture + "\"")
                    .contains("\"missing\":false");
        }

        @Test
        void aHostilePictureIsRefusedAndNothingChanges(@TempDir Path folder) throws Exception {
            Path file = Files.writeString(
                    folder.resolve("bad.svg"),
                    "<svg xmlns=\"http://www.w3.org/2000/svg\"><image href=\"http://else.where/a.png\"/></svg>");
            surface("deep", "Ground");
            button("Picture").click();
            page.getByLabel("Add or drop a picture").setInputFiles(file);
            assertThat(page.getByText("refers to something outside itself")).isVisible();
            assertThat(railState()).containsText("Saved");
            assertThat(hero("backgroundImage")).isEqualTo("none");
        }

        @Test
        void shadesAreShownByWhatTheyCanCarry() {
            surface("page", "Readable shades");
            assertThat(page.getByRole(
                                    AriaRole.IMG,
                                    new Page.GetByRoleOptions()
                                            .setName(Pattern.compile("ink 50: 3\\.\\d to 1, large text and shapes")))
                            .first())
                    .isVisible();
            assertThat(page.getByRole(
                                    AriaRole.IMG,
                                    new Page.GetByRoleOptions()
                                            .setName(Pattern.compile(
                                                    "ink 100: 1\\d(\\.\\d)? to 1, any text, at the strictest level")))
                            .first())
                    .isVisible();
        }
    }
}
