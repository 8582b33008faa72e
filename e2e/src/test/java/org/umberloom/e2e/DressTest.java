package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A theme from elsewhere comes in, is dressed, and from then on is a theme like any other. */
class DressTest {
    private static final String SHEET =
            """
            :root { --bg: #ffffff; --fg: #1b1b1f; --accent: #0a5c8c; --muted: #5c5c66; --signal: #8c0a4b; --space-1: 4px;
             --space-2: 8px; --space-3: 16px; --space-4: 32px; }
            [data-mode="night"] { --bg: #14141a; --fg: #f2f2f5; --accent: #7cc4f0; --muted: #a5a5b0; --signal: #f08cbb; }
            .card { --pad: 3px; }""";

    private Page page;

    @BeforeEach
    void lookAtWhatComesIn(@TempDir Path folder) throws IOException {
        page = Browsers.atLibrary(Loom.withDemo(), ColorScheme.LIGHT);
        page.getByLabel("Kit file").setInputFiles(Files.writeString(folder.resolve("elsewhere.css"), SHEET));
        page.getByRole(AriaRole.DIALOG).waitFor();
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private FrameLocator shown() {
        return page.locator("iframe").first().contentFrame();
    }

    /** Empty while a page is loading. */
    private String style(String selector, String property) {
        try {
            return (String) shown().locator(selector)
                    .first()
                    .evaluate("(element, property) => getComputedStyle(element)[property]", property);
        } catch (PlaywrightException loading) {
            return "";
        }
    }

    @Test
    void nothingIsStoredUntilItIsTakenIn() {
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("9 tokens would come in from elsewhere.css");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("“mode” is taken as the scheme");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("they stand on parts of a page");
        button("Discard").click();
        Locator cards = page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName("elsewhere").setExact(true));
        int before = cards.count();
        page.reload();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(2))
                .first()
                .waitFor();
        assertThat(cards).hasCount(before);
    }

    @Test
    void proposalsAreShownAtOnceChangedByHandAndTakenAsOneStep() {
        button("Import theme").click();
        page.waitForURL("**/dress/*");
        shown().locator("h1").waitFor();
        page.waitForCondition(() -> style("body", "color").equals("rgb(27, 27, 31)"));
        page.waitForCondition(() -> style("main button", "backgroundColor").equals("rgb(10, 92, 140)"));

        page.locator("[data-role='surface.page.accent'] button").first().click();
        page.locator("[data-token=signal]").hover();
        page.waitForCondition(() -> style("main button", "backgroundColor").equals("rgb(140, 10, 75)"));
        page.locator("[data-token=signal]").click();
        button("Take these roles").click();
        page.waitForURL("**/bench/*");
        assertThat(page.getByTestId("saved-state")).containsText("dress");
        shown().locator("h1").waitFor();
        assertThat(style("main button", "backgroundColor")).isEqualTo("rgb(140, 10, 75)");

        button("Show in night").first().click();
        page.waitForCondition(() -> style("body", "backgroundColor").equals("rgb(20, 20, 26)"));
        button("Undo dress").click();
        assertThat(page.getByTestId("saved-state")).containsText("Undid: dress");
    }

    @Test
    void aThemeThatNobodyDressedSaysSo() {
        button("Import theme").click();
        page.waitForURL("**/dress/*");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Bench"))
                .click();
        Prepared.findings(page).click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("that pages read from a theme are unset");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Map roles"))
                .click();
        page.waitForURL("**/dress/*");
    }
}
