package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

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
        assertThat(state()).containsText("Menu place: below it");
        assertThat(header()).hasCSS("align-items", "flex-start");
    }

    @Test
    void whatStaysInSightIsToldAsItIsLaidOutOnAPhone() {
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Header"))
                .click();
        assertThat(page.getByText("Stays in sight")).hasCount(0);
        button(Pattern.compile("^What the header does when")).click();
        page.getByRole(
                        AriaRole.GROUP,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^What the header does when")))
                .getByText("stays in sight", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(state()).containsText("Header stays: stays in sight");
        Locator phone = page.locator("iframe[title='The page at 390 px']")
                .contentFrame()
                .locator("body > header");
        long height =
                Math.round(((Number) phone.evaluate("(one) => one.getBoundingClientRect().height")).doubleValue());
        Locator told = page.getByText(Pattern.compile("^Stays in sight: " + height + " of a phone’s 667 px"));
        assertThat(told).isVisible();
        assertThat(told).not().containsText("leave less air");
    }

    private Locator button(Pattern name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void theHeaderStandsOnAnotherSurfaceAndThenAloneOnAPictureThatIsDragged(@TempDir Path folder) throws Exception {
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Header"))
                .click();
        button(Pattern.compile("^What the header stands on")).click();
        Locator value = page.getByRole(
                AriaRole.GROUP, new Page.GetByRoleOptions().setName(Pattern.compile("^What the header stands on")));
        String light = (String) header().evaluate("(one) => getComputedStyle(one).backgroundColor");
        value.getByText("deep", new Locator.GetByTextOptions().setExact(true)).click();
        assertThat(state()).containsText("Header surface: on deep");
        assertThat(header()).not().hasCSS("background-color", light);
        String deep = (String) header().evaluate("(one) => getComputedStyle(one).backgroundColor");

        button(Pattern.compile("^A surface of its own")).click();
        assertThat(state()).containsText("header on a surface of its own");
        assertThat(header()).hasAttribute("data-surface", "header");
        assertThat(header()).hasCSS("background-color", deep);
        button(Pattern.compile("^Picture$")).click();
        page.getByLabel("Add or drop a picture")
                .setInputFiles(Files.writeString(
                        folder.resolve("waves.svg"),
                        "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"400\" height=\"800\">"
                                + "<rect width=\"400\" height=\"400\" fill=\"#333\"/></svg>"));
        Locator place = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Where the picture lies"));
        assertThat(place).hasAttribute("aria-valuetext", "50 % from the left, 50 % from the top");
        place.scrollIntoViewIfNeeded();
        BoundingBox box = place.boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2 + 60, new Mouse.MoveOptions().setSteps(4));
        assertThat(state()).containsText("not saved");
        page.mouse().up();
        assertThat(state()).containsText("Saved");
        String[] shares = place.getAttribute("aria-valuetext").split("\\D+");
        assertThat(Integer.parseInt(shares[0])).isEqualTo(50);
        assertThat(Integer.parseInt(shares[1])).isBetween(20, 49);
        assertThat(header()).hasCSS("background-position", Pattern.compile(".*" + shares[0] + "% " + shares[1] + "%$"));
        place.press("ArrowUp");
        assertThat(place)
                .hasAttribute(
                        "aria-valuetext",
                        "50 % from the left, " + (Integer.parseInt(shares[1]) - 5) + " % from the top");
    }

    @Test
    void arrowKeysMoveItAndUndoBringsItBack() {
        menu().focus();
        menu().press("ArrowDown");
        assertThat(state()).containsText("Menu place: below it, both in the middle");
        assertThat(header()).hasCSS("align-items", "center");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo Menu place"))
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
        assertThat(state()).containsText("Header air");
        page.waitForCondition(() -> Double.parseDouble(edge.getAttribute("aria-valuenow")) > before + 4);
        assertThat(header().boundingBox().height).isGreaterThan(high);
        edge.press("ArrowUp");
        assertThat(state()).containsText("Header air");
    }

    @Test
    void whatThePageHasNotIsSaid() {
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Sidebar"))
                .click();
        assertThat(page.getByText("This page has no such region")).isVisible();
    }
}
