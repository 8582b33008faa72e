package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Regions of the page are moved and pulled where they are drawn, and all pages follow. */
class FrameTest {
    private Page page;

    @BeforeEach
    void open() {
        page = Browsers.signedIn(Loom.withDemo(), ColorScheme.LIGHT);
        Browsers.newTheme(page, "Framed", "Plain weave");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Frame"))
                .click();
        assertThat(menu()).isVisible();
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    private Locator menu() {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Menu: ")))
                .first();
    }

    private Locator state() {
        return page.getByTestId("saved-state");
    }

    private Locator header() {
        return page.locator("iframe").first().contentFrame().locator("body > header");
    }

    @Test
    void theMenuIsDraggedBelowTheNameAndTriedOnTheWay() {
        BoundingBox from = menu().boundingBox();
        BoundingBox whole = page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Header").setExact(true))
                .first()
                .boundingBox();
        page.mouse().move(from.x + from.width / 2, from.y + from.height / 2);
        page.mouse().down();
        page.mouse().move(whole.x + 10, whole.y + whole.height - 2, new Mouse.MoveOptions().setSteps(5));
        assertThat(header()).hasCSS("flex-direction", "column");
        assertThat(state()).containsText("not saved");
        page.mouse().up();
        assertThat(state()).containsText("menu-place below it");
        assertThat(header()).hasCSS("align-items", "flex-start");
    }

    @Test
    void arrowKeysMoveItAndUndoBringsItBack() {
        menu().focus();
        menu().press("ArrowDown");
        assertThat(state()).containsText("menu-place below it, both in the middle");
        assertThat(header()).hasCSS("align-items", "center");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo menu-place"))
                .click();
        assertThat(header()).hasCSS("flex-direction", "row");
    }

    @Test
    void theHeaderIsPulledHigherAtItsEdge() {
        Locator edge = page.getByRole(
                        AriaRole.SLIDER,
                        new Page.GetByRoleOptions().setName("Above and below what stands in the header, at 1280 px"))
                .first();
        double before = Double.parseDouble(edge.getAttribute("aria-valuenow"));
        double high = header().boundingBox().height;
        BoundingBox at = edge.boundingBox();
        page.mouse().move(at.x + at.width / 2, at.y + at.height / 2);
        page.mouse().down();
        page.mouse().move(at.x + at.width / 2, at.y + at.height / 2 + 8, new Mouse.MoveOptions().setSteps(4));
        page.mouse().up();
        assertThat(state()).containsText("part.header.air");
        page.waitForCondition(() -> Double.parseDouble(edge.getAttribute("aria-valuenow")) > before + 4);
        assertThat(header().boundingBox().height).isGreaterThan(high);
        edge.press("ArrowUp");
        assertThat(state()).containsText("part.header.air");
    }

    @Test
    void whatThePageHasNotIsSaid() {
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Sidebar"))
                .click();
        assertThat(page.getByText("This page has no such region")).isVisible();
    }
}
