package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import java.util.regex.Pattern;
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
        assertThat(page.getByTestId("saved-state")).containsText("Buttons: a line around the words");
        assertThat(page.getByText("written in roles")).isVisible();
        page.waitForCondition(() -> shows(false));
        value("Undo buttons").click();
        page.waitForCondition(() -> shows(true));
    }

    private Locator card() {
        return page.locator("iframe[title='Cards on page, large']")
                .contentFrame()
                .locator("[data-part=card]")
                .first();
    }

    private static final String AT_ITS_EDGE =
            "(one) => one.getBoundingClientRect().left + parseFloat(getComputedStyle(one).paddingLeft)";
    private static final String STANDS_AT = "(one) => parseFloat(one.style.left)";

    private static double number(Locator of, String script) {
        return ((Number) of.evaluate(script)).doubleValue();
    }

    @Test
    void aLengthIsPulledOnThePartItself() {
        value("Cards").first().click();
        Locator handle = page.getByRole(
                AriaRole.SLIDER,
                new Page.GetByRoleOptions()
                        .setName("Between the edge of a card and what is in it, on the part itself"));
        // The picture is laid out when the handle stands at the edge that it is of.
        assertThat(card()).not().hasCSS("padding-left", "0px");
        page.waitForCondition(() -> handle.isVisible() && number(card(), AT_ITS_EDGE) == number(handle, STANDS_AT));
        String before = (String) card().evaluate("(one) => getComputedStyle(one).paddingLeft");
        BoundingBox box = handle.boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.mouse().move(box.x + box.width / 2 + 16, box.y + box.height / 2, new Mouse.MoveOptions().setSteps(4));
        double wanted = Double.parseDouble(before.replace("px", "")) + 16;
        assertThat(card()).hasCSS("padding-left", Pattern.compile("^" + Math.round(wanted) + "(\\.5)?px$"));
        page.mouse().up();
        assertThat(page.getByTestId("saved-state")).containsText("Card inset");
        assertThat(handle).hasAttribute("aria-valuenow", Pattern.compile("^" + Math.round(wanted) + "(\\.5)?$"));
        // The handle stays at the edge that it is of.
        page.waitForCondition(() -> Math.abs(handle.boundingBox().x - box.x - 16) < 2);
        handle.press("ArrowLeft");
        assertThat(handle).hasAttribute("aria-valuenow", Pattern.compile("^" + Math.round(wanted - 1) + "(\\.5)?$"));
    }

    @Test
    void itIsToldWhereRolesComeFromAndWhereThePartStands() {
        value("Cards").first().click();
        Locator role = page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("part\\.card\\.inset")));
        assertThat(role).containsText("as gap.flow");
        assertThat(page.getByText("Stands on no page yet")).isVisible();
        String theme = page.url().replaceAll(".*/bench/(\\d+).*", "$1");
        String site = Prepared.copyOf(page, "crossings");
        Prepared.wears(page, site, theme);
        page.reload();
        page.locator("iframe").first().contentFrame().locator("main").waitFor();
        Browsers.heard(page);
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Parts"))
                .click();
        value("Cards").first().click();
        assertThat(page.getByText(Pattern.compile("^Stands on [1-9]\\d* pages")))
                .isVisible();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Ask the harbour office .* · \\d+$")))
                .click();
        assertThat(page.locator("iframe").first()).hasAttribute("src", Pattern.compile(".*/contact\\.html$"));
    }

    @Test
    void aChoiceCanBeMadeInTheDarkAlone() {
        page.getByLabel("Write into").selectOption("context:scheme/dark");
        value("the words alone").click();
        assertThat(page.getByTestId("saved-state")).containsText("Buttons in dark: the words alone");
        page.waitForCondition(() -> shows(true));
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Show in dark"))
                .first()
                .click();
        page.waitForCondition(() -> shows(false));
    }
}
