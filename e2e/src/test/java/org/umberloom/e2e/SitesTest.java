package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Sites as a lead keeps them: the cloth of all, one with its strays and what it says itself. Each test has a copy of its own. */
class SitesTest {
    private final Loom loom = Loom.withDemo();
    private Page page;

    @BeforeEach
    void open() {
        page = Browsers.atLibrary(loom, ColorScheme.LIGHT);
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private Locator heading(String name) {
        return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(name));
    }

    private Locator strays() {
        return page.getByRole(
                        AriaRole.LIST,
                        new Page.GetByRoleOptions().setName("Strays").setExact(true))
                .getByRole(AriaRole.LISTITEM);
    }

    private void copyOf(String site) {
        page.navigate("/sites/" + Prepared.copyOf(page, site));
        heading("Copy of").waitFor();
    }

    @Test
    void theClothSaysWhatEverySiteDoesWithEveryGroup() {
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Sites").setExact(true))
                .click();
        assertThat(page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions()
                                .setName("Crossings, color: follows the theme")
                                .setExact(true)))
                .isVisible();
        Locator crossing = page.getByRole(
                AriaRole.LINK,
                new Page.GetByRoleOptions()
                        .setName("Galley, shape: 1 value of its own, 1 stray")
                        .setExact(true));
        assertThat(crossing).isVisible();
        page.getByLabel("Search sites by name").fill("gall");
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Crossings, color")))
                .isHidden();
        crossing.click();
        assertThat(page.getByText("Only shape")).isVisible();
        assertThat(strays()).hasCount(1);
        assertThat(page.getByText("Rounder, like bowls")).isVisible();
    }

    @Test
    void straysGoBackToTheThemeAndComeAgainByUndo() {
        copyOf("galley");
        int all = strays().count();
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("font-size: 27px"))
                .first()
                .check();
        // As it is and as it would be, side by side.
        assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Before and after"))
                        .locator("iframe"))
                .hasCount(2);
        button("Return 1 to the theme").click();
        assertThat(strays()).hasCount(all - 1);
        page.getByLabel("All " + (all - 1)).check();
        button("Return " + (all - 1) + " to the theme").click();
        assertThat(page.getByText("Nothing on its pages hides the theme.")).isVisible();
        button("Undo").click();
        assertThat(strays()).hasCount(all - 1);
        button("Undo").click();
        assertThat(strays()).hasCount(all);
    }

    @Test
    void aStrayIsKeptWithItsReasonAndCanFollowAgain() {
        copyOf("winter");
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("color: #ffb36b"))
                .check();
        page.getByLabel("Reason to keep").fill("Seen from the ramp");
        button("Keep 1").click();
        assertThat(page.getByText("Seen from the ramp. Without it")).isVisible();
        assertThat(page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("color: #ffb36b")))
                .isHidden();
        button("Follow: surface.page.text at the paragraph").click();
        assertThat(page.getByText("Seen from the ramp")).isHidden();
    }

    @Test
    void aNewSiteHasPagesThatTakeTheThemeByThemselves() {
        page.navigate(loom.address() + "/sites");
        button("New site").click();
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Slipway yard");
        page.getByLabel("Theme that it wears")
                .selectOption(new com.microsoft.playwright.options.SelectOption().setLabel("Tern Passage"));
        page.getByLabel("article").check();
        page.getByLabel("look").selectOption("freight");
        button("Create the site").click();
        heading("Slipway yard").waitFor();
        page.getByLabel("Title of a new page").fill("Who builds what");
        button("Add the page").click();
        assertThat(page.getByLabel("Open “Who builds what” on the bench")).isVisible();
        assertThat(page.getByLabel("look")).hasValue("freight");
        page.getByLabel("look").selectOption("heritage");
        assertThat(page.frameLocator("iframe[title='Slipway yard']").locator("html[data-look=heritage] h1"))
                .hasText("Slipway yard");
        button("Remove").last().click();
        assertThat(page.getByLabel("Open “Who builds what” on the bench")).isHidden();
        page.getByLabel("Name of the site to delete").fill("Slipway yard");
        button("Delete for good").click();
        heading("Sites").waitFor();
        assertThat(page.getByText("Slipway yard")).isHidden();
    }

    @Test
    void anotherThemeIsPutOnAndTheOneBeforeIsKept() {
        Prepared.theme(page, "For a while", "Plain weave");
        copyOf("trust");
        page.getByLabel("Theme", new Page.GetByLabelOptions().setExact(true))
                .selectOption(new com.microsoft.playwright.options.SelectOption().setLabel("For a while"));
        // Its own pages in both, before anything is done.
        Locator trial =
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("For a while, before it is worn"));
        assertThat(trial.getByText("look: heritage")).isVisible();
        assertThat(page.frameLocator("iframe[title='The Steamers’ Trust in For a while']")
                        .locator("h1"))
                .isVisible();
        assertThat(heading("What it wore")).isHidden();
        button("Wear For a while").click();
        assertThat(heading("What it wore")).isVisible();
        assertThat(page.getByText("Long reading, fewer letters a line")).isVisible();
        button("Put on again").click();
        button("Wear Tern Passage").click();
        assertThat(page.getByLabel("Theme", new Page.GetByLabelOptions().setExact(true))
                        .locator("option:checked"))
                .hasText("Tern Passage");
        button("Forget that it wore For a while").click();
        assertThat(heading("What it wore")).isHidden();
    }

    @Test
    void anOwnStyleSheetIsSeenWhileItIsWrittenAndLoadsNothing() {
        copyOf("crew");
        Locator editor = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Own style sheet"));
        editor.click();
        page.keyboard().type("h1 { text-transform: uppercase; background: url(http://evil.example/x.png) }");
        Locator shown = page.frameLocator("iframe[title='The page while its style sheet is written']")
                .locator("h1");
        assertThat(shown).hasCSS("text-transform", "uppercase");
        assertThat(page.getByText("Nothing here may load anything: 1 things from elsewhere"))
                .isVisible();
        button("Store it").click();
        assertThat(editor).not().containsText("evil");
        assertThat(page.frameLocator("iframe[title='Open places']").locator("h1"))
                .hasCSS("text-transform", "uppercase");
        button("Undo own style sheet").click();
        assertThat(page.frameLocator("iframe[title='Open places']").locator("h1"))
                .hasCSS("text-transform", "none");
    }

    private void bringIn(java.nio.file.Path file) {
        page.navigate(loom.address() + "/sites");
        button("Bring one in").click();
        page.getByLabel("Archive, or pages").setInputFiles(file);
        page.getByLabel("Theme that it wears")
                .selectOption(new com.microsoft.playwright.options.SelectOption().setLabel("Tern Passage"));
        button("Take it in").click();
    }

    @Test
    void aSiteGoesOutAndComesInAgainAsItWas() throws java.io.IOException {
        copyOf("trust");
        int strays = strays().count();
        com.microsoft.playwright.Download download = page.waitForDownload(
                () -> page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Take it out"))
                        .click());
        java.nio.file.Path file =
                java.nio.file.Files.createTempDirectory("site").resolve("trust.zip");
        download.saveAs(file);
        bringIn(file);
        page.waitForURL("**/sites/copy-of-*");
        heading("Copy of Steamers’ Trust").waitFor();
        assertThat(strays()).hasCount(strays);
        assertThat(page.getByText("Long reading, fewer letters a line")).isVisible();
        assertThat(page.getByLabel("look")).hasValue("heritage");
    }

    /** Nothing of it runs, and nothing is asked of anybody but the application. */
    @Test
    void aHostilePageComesInHarmlessAndWhatWentIsTold() throws java.io.IOException {
        java.util.List<String> asked = new java.util.concurrent.CopyOnWriteArrayList<>();
        page.onRequest(request -> asked.add(request.url()));
        java.nio.file.Path file = java.nio.file.Files.writeString(
                java.nio.file.Files.createTempDirectory("site").resolve("spite.html"),
                "<!doctype html><html><head><title>Spite</title><script>top.ran = true</script>"
                        + "<link rel=stylesheet href=\"http://evil.example/x.css\"></head><body onload=\"top.ran = true\">"
                        + "<h1 style=\"background: url(http://evil.example/a.png)\">Spite</h1>"
                        + "<img src=\"http://evil.example/b.png\" onerror=\"top.ran = true\"><iframe src=\"http://evil.example\"></iframe></body></html>");
        bringIn(file);
        assertThat(page.getByText("Taken out, since nothing here may run or load"))
                .containsText("2 event attributes");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Look at the site"))
                .click();
        assertThat(page.frameLocator("iframe[title='Spite']").locator("h1")).hasText("Spite");
        org.assertj.core.api.Assertions.assertThat(page.evaluate("() => 'ran' in window"))
                .isEqualTo(false);
        org.assertj.core.api.Assertions.assertThat(asked).allMatch(url -> url.startsWith(loom.address()));
    }

    @Test
    void aSiteThatIsPutAwayIsOutOfTheClothAndComesBackWhole() {
        copyOf("winter");
        int strays = strays().count();
        button("Put away").click();
        heading("Sites").waitFor();
        assertThat(page.getByLabel("Sites that wear Tern Passage").getByText("Copy of Winter Routes"))
                .isHidden();
        button("Bring back Copy of Winter Routes").click();
        page.getByLabel("Sites that wear Tern Passage")
                .getByText("Copy of Winter Routes")
                .first()
                .click();
        assertThat(strays()).hasCount(strays);
    }
}
