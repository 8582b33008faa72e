package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Choices are tried by pointing, taken by a click, and written where edits go to. */
class PartsTest {
    private Page page;

    @BeforeEach
    void open() {
        page = Browsers.signedIn(Loom.withDemo(), ColorScheme.LIGHT);
        Browsers.newTheme(page, "Choosing", "Plain weave");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Parts"))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Buttons"))
                .click();
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    private Locator value(String words) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(words));
    }

    /** Whether buttons have a ground of their own; asked again while a page is loading. */
    private boolean shows(boolean filled) {
        try {
            return filled() == filled;
        } catch (PlaywrightException loading) {
            return false;
        }
    }

    private boolean filled() {
        return !page.locator("iframe")
                .first()
                .contentFrame()
                .locator("main button")
                .first()
                .evaluate("(button) => getComputedStyle(button).backgroundColor")
                .equals("rgba(0, 0, 0, 0)");
    }

    @Test
    void pointingTriesAndAClickTakes() {
        value("a line around the words").hover();
        page.waitForCondition(() -> shows(false));
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Parts"))
                .hover();
        page.waitForCondition(() -> shows(true));
        value("a line around the words").click();
        assertThat(page.getByTestId("saved-state")).containsText("buttons a line around the words");
        assertThat(page.getByText("written in roles")).isVisible();
        page.waitForCondition(() -> shows(false));
        value("Undo buttons").click();
        page.waitForCondition(() -> shows(true));
    }

    @Test
    void aChoiceCanBeMadeInTheDarkAlone() {
        page.getByLabel("Write into").selectOption("context:scheme/dark");
        value("the words alone").click();
        assertThat(page.getByTestId("saved-state")).containsText("buttons the words alone");
        page.waitForCondition(() -> shows(true));
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Show in dark"))
                .first()
                .click();
        page.waitForCondition(() -> shows(false));
    }
}
