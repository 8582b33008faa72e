package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Type is chosen by looking: families on the pages themselves, sizes in the words of the ladder. */
class TypeTrayTest {
    private final Loom loom = Loom.withDemo();
    private Page page;

    @BeforeEach
    void open() {
        page = Browsers.signedIn(loom, ColorScheme.LIGHT);
        Browsers.newTheme(page, "Set in type", "Plain weave");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Type"))
                .click();
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    private Locator family(String name) {
        return page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(name));
    }

    private Locator list() {
        return page.getByRole(AriaRole.LISTBOX, new Page.GetByRoleOptions().setName("Families for heading"));
    }

    private Locator rung(int step) {
        return page.getByRole(
                AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Step " + step + " at the wide end"));
    }

    private boolean headings(int bay, String family) {
        return ((String) page.locator("iframe")
                        .nth(bay)
                        .contentFrame()
                        .locator("h1")
                        .first()
                        .evaluate("(one) => getComputedStyle(one).fontFamily"))
                .startsWith(family);
    }

    private double size(int step) {
        return Double.parseDouble(rung(step).getAttribute("aria-valuenow"));
    }

    @Test
    void aFamilyIsSeenOnAllPagesBeforeItIsTaken() {
        String stored = page.getByTestId("saved-state").textContent();
        family("Vollkorn").hover();
        page.waitForCondition(() -> headings(0, "Vollkorn") && headings(1, "Vollkorn"));
        page.mouse().move(640, 200);
        page.waitForCondition(() -> !headings(0, "Vollkorn"));
        assertThat(page.getByTestId("saved-state")).hasText(stored);
        // The same by keyboard, among those of one kind, and with the way back.
        page.getByLabel("Kind of family").selectOption("slab");
        Locator list = list();
        assertThat(list.getByRole(AriaRole.OPTION)).hasCount(3);
        list.focus();
        page.keyboard().press("End");
        page.waitForCondition(() -> !headings(0, "Figtree"));
        page.keyboard().press("Enter");
        assertThat(page.getByTestId("saved-state")).containsText("Saved");
        assertThat(list.getByRole(AriaRole.OPTION, new Locator.GetByRoleOptions().setSelected(true)))
                .hasCount(1);
        page.reload();
        page.locator("iframe").first().contentFrame().locator("h1").first().waitFor();
        page.waitForCondition(() -> !headings(0, "Figtree"));
    }

    @Test
    void familiesThatGoWithTheTextAreProposedWithTheReason() {
        page.getByLabel("Kind of family")
                .selectOption(new com.microsoft.playwright.options.SelectOption().setLabel("goes with Figtree"));
        assertThat(page.getByText(" beside geometric, small letters ").first()).isVisible();
        list().getByRole(AriaRole.OPTION).nth(1).click();
        assertThat(page.getByTestId("saved-state")).containsText("Saved");
        page.waitForCondition(() -> !headings(0, "Figtree"));
    }

    @Test
    void familiesStandSideBySideInTheBays() {
        family("Lora").hover();
        family("Lora").getByText("Beside").click();
        family("Outfit").hover();
        family("Outfit").getByText("Beside").click();
        page.waitForCondition(() -> headings(0, "Lora") && headings(1, "Outfit"));
        list().focus();
        page.keyboard().press("Escape");
        page.waitForCondition(() -> !headings(0, "Lora") && !headings(1, "Outfit"));
    }

    private void drag(Locator rung, int up) {
        rung.scrollIntoViewIfNeeded();
        BoundingBox box = rung.boundingBox();
        double x = box.x + 30;
        double y = box.y + box.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x, y - up, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(8));
        page.mouse().up();
    }

    @Test
    void theScaleRunsThroughTheWordsThatAreDraggedAndOneAloneIsAKink() {
        double four = size(4);
        double three = size(3);
        drag(rung(4), 16);
        page.waitForCondition(() -> size(4) == Math.round(2 * (four + 8)) / 2.0 || Math.abs(size(4) - four - 8) < 0.6);
        page.waitForCondition(() -> size(3) > three);
        double scale = size(3);
        double whole = size(4);
        page.keyboard().down("Alt");
        drag(rung(4), -12);
        page.keyboard().up("Alt");
        page.waitForCondition(() -> Math.abs(size(4) - whole + 6) < 0.6 && size(3) == scale);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Put back"))
                .click();
        page.waitForCondition(() -> Math.abs(size(4) - whole) < 0.01);
        rung(0).focus();
        double base = size(0);
        page.keyboard().press("ArrowUp");
        page.waitForCondition(() -> Math.abs(size(0) - base - 0.5) < 0.01);
    }

    @Test
    void theGaugeTellsHowManyCharactersALineHolds() {
        page.getByRole(
                        AriaRole.RADIO,
                        new Page.GetByRoleOptions().setName("body").setExact(true))
                .click();
        Locator gauge = page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("1280 px:"));
        String before = gauge.getAttribute("aria-label");
        page.getByLabel("Letter spacing of body").fill("1px");
        page.keyboard().press("Enter");
        page.waitForCondition(() -> !gauge.getAttribute("aria-label").equals(before));
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Set").setExact(true))
                .click();
        page.waitForCondition(() -> gauge.getAttribute("aria-label").contains("1280 px: 66 characters, good"));
    }

    private void style(String name) {
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    private Locator onPage(String selector) {
        return page.locator("iframe").first().contentFrame().locator(selector).first();
    }

    @Test
    void aStyleIsSetInCapitalsAndItsNameShowsIt() {
        style("small");
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("in capitals"))
                .click();
        assertThat(onPage("small")).hasCSS("text-transform", "uppercase");
        assertThat(onPage("h1")).hasCSS("text-transform", "none");
        page.keyboard().press("Control+z");
        assertThat(onPage("small")).hasCSS("text-transform", "none");
    }

    @Test
    void aStyleThatIsNotSetStartsFromTheOneItStandsOn() {
        style("caption");
        assertThat(page.getByText("Not set: as")).isVisible();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Italic").setExact(true))
                .click();
        assertThat(page.getByText("Not set: as")).hasCount(0);
        page.waitForCondition(() -> onPage("figcaption, caption").count() > 0);
        assertThat(onPage("figcaption, caption")).hasCSS("font-style", "italic");
    }

    @Test
    void lineHeightsFollowACurveThatIsMovedByItsEnd() {
        style("line heights");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Put styles on this curve"))
                .click();
        Locator end = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("The large end"));
        assertThat(page.getByText(" on it")).isVisible();
        double before = lineHeight("h1");
        for (int step = 0; step < 10; step++) {
            String now = end.getAttribute("aria-valuenow");
            end.focus();
            page.keyboard().press("ArrowUp");
            assertThat(end).not().hasAttribute("aria-valuenow", now);
        }
        page.waitForCondition(() -> Math.abs(lineHeight("h1") - before - 0.1) < 0.02);
        style("h1");
        page.getByLabel("Line height of h1").fill("2");
        page.keyboard().press("Enter");
        page.waitForCondition(() -> Math.abs(lineHeight("h1") - 2) < 0.02);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("All follow"))
                .click();
        page.waitForCondition(() -> Math.abs(lineHeight("h1") - before - 0.1) < 0.02);
    }

    private double lineHeight(String selector) {
        return ((Number) onPage(selector)
                        .evaluate("(one) => parseFloat(getComputedStyle(one).lineHeight)"
                                + " / parseFloat(getComputedStyle(one).fontSize)"))
                .doubleValue();
    }
}
