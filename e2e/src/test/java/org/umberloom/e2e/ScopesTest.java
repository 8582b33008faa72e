package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Values for the pages of one kind: aimed at, tried live, stored, traced and taken back, while all other pages stay as they are. */
class ScopesTest {
    private Page page;

    @BeforeEach
    void open() {
        page = Browsers.signedIn(Loom.withDemo(), ColorScheme.LIGHT);
        Browsers.newThemeOnPages(page, "Articles apart", "Plain weave");
        page.getByLabel("Page", new Page.GetByLabelOptions().setExact(true))
                .first()
                .selectOption("crossings/last-boat");
        frame(0).locator("h1", new FrameLocator.LocatorOptions().setHasText("Why the last boat waits"))
                .waitFor();
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Widths"))
                .click();
        frame(0).locator("main p").nth(1).click();
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    private FrameLocator frame(int bay) {
        return page.locator("iframe").nth(bay).contentFrame();
    }

    private boolean widths(String article, String listing, String landing) {
        return width(0).equals(article) && width(1).equals(listing) && width(2).equals(landing);
    }

    private String width(int bay) {
        try {
            return String.valueOf(frame(bay)
                    .locator("html")
                    .evaluate("(root) => getComputedStyle(root).getPropertyValue('--width-text')"));
        } catch (PlaywrightException elsewhere) {
            // The page was just changed for another.
            return "";
        }
    }

    private Locator place(String words) {
        return page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(words));
    }

    private void widen(String text) {
        Locator field = page.getByLabel("text as written");
        field.fill(text);
        field.press("Enter");
    }

    @Test
    void articlesGetWiderTextAndNothingElseDoes() {
        place("article pages, all sites").check();
        assertThat(page.getByText("Edits go to article pages only.")).isVisible();
        widen("51rem");
        assertThat(page.getByTestId("saved-state")).containsText("Text column");
        page.waitForCondition(() -> widths("51rem", "40rem", "40rem"));
        // Loaded again, the compiled stylesheet says the same.
        page.reload();
        Browsers.onPages(page);
        page.getByLabel("Page", new Page.GetByLabelOptions().setExact(true))
                .first()
                .selectOption("crossings/last-boat");
        page.waitForCondition(() -> widths("51rem", "40rem", "40rem"));
    }

    @Test
    void theTraceSaysItAndItCanBeTakenBack() {
        place("article pages, all sites").check();
        widen("51rem");
        assertThat(place("article pages, all sites 51rem")).isChecked();
        assertThat(place("the theme 40rem")).isVisible();
        assertThat(page.getByLabel("Chain", new Page.GetByLabelOptions().setExact(true)))
                .containsText("written in article pages");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Follow again"))
                .click();
        assertThat(place("article pages, all sites follows")).isVisible();
        page.waitForCondition(() -> widths("40rem", "40rem", "40rem"));
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("reset to theme"))
                .click();
        page.waitForCondition(() -> widths("51rem", "40rem", "40rem"));
    }

    @Test
    void whatTheThemeIsWovenFromEndsWithIt() {
        place("article pages, all sites").check();
        widen("51rem");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Back to the whole theme"))
                .click();
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Sets").setExact(true))
                .click();
        Locator kind = page.getByRole(AriaRole.LISTITEM, new Page.GetByRoleOptions().setName("kinds of pages"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("article pages 1"));
        kind.click();
        assertThat(page.getByText("Edits go to article pages only.")).isVisible();
        kind.click();
        assertThat(page.getByText("Edits go to article pages only.")).isHidden();
    }

    @Test
    void backInTheThemeAnEditReachesEveryOtherKind() {
        place("article pages, all sites").check();
        widen("51rem");
        page.waitForCondition(() -> widths("51rem", "40rem", "40rem"));
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Back to the whole theme"))
                .click();
        assertThat(page.getByText("Edits go to article pages only.")).isHidden();
        widen("38rem");
        page.waitForCondition(() -> widths("51rem", "38rem", "38rem"));
    }

    @Test
    void aValueCanHoldOnArticlesInTheDarkAlone() {
        page.getByLabel("Write into").selectOption("scope:kind=article/scheme/dark");
        assertThat(page.getByText("Edits go to article pages in dark only.")).isVisible();
        widen("36rem");
        assertThat(page.getByTestId("saved-state")).containsText("Text column");
        page.waitForCondition(() -> widths("40rem", "40rem", "40rem"));
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Show in dark"))
                .first()
                .click();
        page.waitForCondition(() -> widths("36rem", "40rem", "40rem"));
    }
}
