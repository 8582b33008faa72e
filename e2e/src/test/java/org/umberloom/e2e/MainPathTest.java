package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a design lead does, from a new theme to its kit and back. */
class MainPathTest {
    private final Loom loom = Loom.withDemo();
    private final List<String> complaints = new ArrayList<>();
    private Page page;

    @BeforeEach
    void signIn() {
        page = Browsers.atLibrary(loom, ColorScheme.LIGHT);
        page.onConsoleMessage(message -> {
            // Clicks that the test makes inside a sandboxed page are announced as blocked script; the page has none.
            if (message.type().equals("error") && !message.text().contains("Blocked script execution"))
                complaints.add(message.text());
        });
        page.onPageError(complaints::add);
    }

    @AfterEach
    void close() {
        page.context().close();
        assertThat(complaints).isEmpty();
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private void newTheme(String name) {
        button("New theme").click();
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill(name);
        page.getByText("Herringbone").click();
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Seed color"))
                .fill("#3b5f8a");
        button("Create theme").click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(name))
                .waitFor();
        firstBay().locator("h1").waitFor();
        Browsers.onPages(page);
    }

    private FrameLocator firstBay() {
        return page.locator("iframe").first().contentFrame();
    }

    private String groundOfHero() {
        return Browsers.groundOfHero(page);
    }

    private Locator railState() {
        return page.getByTestId("saved-state");
    }

    @Test
    void aSeedIsDraggedSeenUndoneAndKeptOverARestart() {
        newTheme("Dragged");
        String before = groundOfHero();

        Browsers.pressAndDragHue(page, -60, 10);
        assertThat(railState()).containsText("Trying, not saved");
        page.waitForCondition(() -> !groundOfHero().equals(before));
        page.mouse().up();
        assertThat(railState()).containsText("Saved");
        assertThat(railState()).containsText("Seed of brand: oklch(");
        page.waitForCondition(() -> page.getByLabel("Undo Seed of brand").count() == 1);
        String after = groundOfHero();
        assertThat(after).isNotEqualTo(before);

        page.keyboard().press("Control+z");
        assertThat(railState()).containsText("Undid: Seed of brand");
        assertThat(groundOfHero()).isEqualTo(before);
        page.keyboard().press("Control+Shift+z");
        assertThat(railState()).containsText("Redid: Seed of brand");
        assertThat(groundOfHero()).isEqualTo(after);

        // While it is down, an open bench would say so; whoever comes back tomorrow has none.
        String bench = page.url();
        page.navigate("about:blank");
        loom.restart();
        page.navigate(bench);
        firstBay().locator("h1").waitFor();
        Browsers.onPages(page);
        page.waitForCondition(() -> groundOfHero().equals(after));
        button("Undo Seed of brand").click();
        assertThat(railState()).containsText("Undid: Seed of brand");
        assertThat(groundOfHero()).isEqualTo(before);
    }

    /** The seed's hue lies between two of the slider's steps. */
    @Test
    void aSliderIsMovedByItsKeys() {
        newTheme("Keys");
        Locator hue = page.getByRole(
                AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Hue").setExact(true));
        int before = Integer.parseInt(hue.getAttribute("aria-valuenow"));
        hue.press("ArrowRight");
        assertThat(railState()).containsText("Seed of brand: oklch(");
        assertThat(hue).hasAttribute("aria-valuenow", String.valueOf(before + 1));
        hue.press("ArrowLeft");
        hue.press("ArrowLeft");
        assertThat(hue).hasAttribute("aria-valuenow", String.valueOf(before - 1));
        assertThat(hue).hasAttribute("aria-valuetext", before - 1 + "°");
    }

    @Test
    void typeSpaceAndWidthsChangeThePagesToo() {
        newTheme("Scaled");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Type"))
                .click();
        double sizeBefore = px("h1", "fontSize");
        page.getByLabel("Wide base", new Page.GetByLabelOptions().setExact(true))
                .fill("26");
        page.keyboard().press("Enter");
        page.waitForCondition(() -> px("h1", "fontSize") > sizeBefore + 5);
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Archivo"))
                .click();
        page.waitForCondition(() -> ((String) firstBay().locator("h1").evaluate("e => getComputedStyle(e).fontFamily"))
                .startsWith("Archivo"));

        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Space"))
                .click();
        double gapBefore = px("main", "paddingBottom");
        page.getByRole(AriaRole.RADIOGROUP, new Page.GetByRoleOptions().setName("Length of the gap section"))
                .getByRole(AriaRole.RADIO)
                .last()
                .click();
        page.waitForCondition(() -> px("main", "paddingBottom") > gapBefore);

        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Widths"))
                .click();
        page.getByLabel("text as written").fill("20rem");
        page.keyboard().press("Enter");
        page.waitForCondition(() -> px("[data-part=lead]", "maxWidth") == 320);
        assertThat(railState()).containsText("Text column: 20rem");
    }

    private double px(String selector, String property) {
        return ((Number) firstBay()
                        .locator(selector)
                        .first()
                        .evaluate("(e, p) => parseFloat(getComputedStyle(e)[p])", property))
                .doubleValue();
    }

    @Test
    void pointingAtAnElementNamesItsRoleAndPickingItOpensTheTrace() {
        newTheme("Traced");
        firstBay().locator("h1").hover();
        assertThat(page.getByText("surface.deep.heading", new Page.GetByTextOptions().setExact(true))
                        .first())
                .isVisible();
        firstBay().locator("h1").click();
        Locator trace = page.getByRole(AriaRole.COMPLEMENTARY);
        assertThat(trace).containsText("color.ink.2");
        assertThat(trace).containsText("computed by the recipe of color.ink");
        button("type.h1").click();
        assertThat(trace).containsText("family.heading");
        assertThat(page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Type")))
                .hasAttribute("aria-selected", "true");
    }

    @Test
    void aRoleTakesAnotherShadeInTheDarkOnly() {
        newTheme("Two schemes");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("page").setExact(true))
                .click();
        button("heading in dark").click();
        button("color.brand.20").click();
        assertThat(railState()).containsText("Heading in dark: brand 20");
        String dark = (String)
                page.locator("iframe").nth(1).contentFrame().locator("h1").evaluate("e => getComputedStyle(e).color");
        String light = (String) firstBay().locator("main > h2").first().evaluate("e => getComputedStyle(e).color");
        assertThat(dark).isNotEqualTo(light);
        assertThat(button("heading in light: ink.110")).isVisible();
        assertThat(button("heading in dark: brand.20")).isVisible();
    }

    @Test
    void linksInsideABayLeadToItsOtherPages() {
        newTheme("Linked");
        firstBay()
                .getByRole(
                        AriaRole.LINK,
                        new FrameLocator.GetByRoleOptions().setName("Fares").setExact(true))
                .first()
                .click();
        assertThat(firstBay().locator("h1")).hasText("Fares");
        assertThat(page.getByLabel("Page").first()).hasValue("crossings/fares");
    }

    @Test
    void theKeysOfUndoOnAPageAreTheBenchsSaveInThePagesOwnFields() {
        newTheme("Keyed");
        page.getByRole(
                        AriaRole.SLIDER,
                        new Page.GetByRoleOptions().setName("Hue").setExact(true))
                .press("ArrowRight");
        assertThat(railState()).containsText("Seed of brand: oklch(");
        firstBay()
                .getByRole(
                        AriaRole.LINK,
                        new FrameLocator.GetByRoleOptions().setName("Contact").setExact(true))
                .click();
        Locator message = firstBay().getByLabel("Your question");
        message.waitFor();
        // The bench hears a page's keys from when all of the page is there.
        page.waitForFunction("() => document.querySelector('iframe').contentDocument?.readyState === 'complete'");
        message.click();
        page.keyboard().type("a");
        assertThat(message).hasValue("a");
        page.keyboard().press("Control+z");
        assertThat(message).hasValue("");
        firstBay().locator("h1").click();
        assertThat(railState()).not().containsText("Undid");
        page.keyboard().press("Control+z");
        assertThat(railState()).containsText("Undid: Seed of brand");
    }

    @Test
    void aKitIsExportedAndImportedAgain(@TempDir Path folder) throws Exception {
        newTheme("Portable");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Kit").setExact(true))
                .click();
        assertThat(page.getByLabel("Text of theme.css")).containsText("@layer tokens, base, parts, site, own;");
        button("theme.resolver.json").click();
        assertThat(page.getByLabel("Text of theme.resolver.json")).containsText("\"2025.10\"");
        Download download = page.waitForDownload(
                () -> page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Download"))
                        .click());
        Path kit = folder.resolve("portable.kit.zip");
        download.saveAs(kit);
        assertThat(Files.size(kit)).isGreaterThan(20_000);

        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Library"))
                .click();
        Browsers.importFile(page, kit);
        page.waitForURL("**/bench/*");
        firstBay().locator("h1").waitFor();
        assertThat(railState()).containsText("imported from portable.kit.zip");
    }
}
