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

/**
 * The places around what is picked: one section of one page is given a value of its own, which the theme no longer reaches,
 * until it follows again. The site is a copy, the theme one of this test alone.
 */
class PlacesOnTheBenchTest {
    private static final String PIECE = "section[data-piece=co-operative]";
    private final Loom loom = Loom.withDemo();
    private Page page;
    private String site;
    private String theme;

    @BeforeEach
    void open() {
        page = Browsers.signedIn(loom, ColorScheme.LIGHT);
        theme = Prepared.theme(page, "Places apart", "Plain weave");
        site = Prepared.copyOf(page, "crossings");
        page.navigate("/bench/" + theme + "?site=" + site + "&page=fares");
        frame(0).locator("section h2").waitFor();
        Browsers.heard(page);
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Widths"))
                .click();
        frame(0).locator("section p").first().click();
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    private FrameLocator frame(int bay) {
        return page.locator("iframe").nth(bay).contentFrame();
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private Locator place(String words) {
        return page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(words));
    }

    private void widen(String text) {
        Locator field = page.getByLabel("text as written");
        field.fill(text);
        field.press("Enter");
    }

    private boolean shows(int bay, String selector, String width) {
        try {
            return width.equals(frame(bay)
                    .locator(selector)
                    .first()
                    .evaluate("(one) => getComputedStyle(one).getPropertyValue('--width-text')"));
        } catch (PlaywrightException loading) {
            return false;
        }
    }

    /** What the section says, what its page does beside it, and what another page does. */
    private void shown(String section, String here, String elsewhere) {
        page.waitForCondition(
                () -> shows(0, "section p", section) && shows(0, "main > ol", here) && shows(1, "main", elsewhere));
    }

    @Test
    void oneSectionDiffersAndEverythingElseFollowsTheTheme() {
        place("this section “The blue card”").check();
        assertThat(page.getByText("Edits go to the section “The blue card” on “Fares” only."))
                .isVisible();
        widen("22rem");
        shown("22rem", "40rem", "40rem");
        assertThat(place("this section “The blue card” 22rem")).isChecked();
        assertThat(page.getByText("Without it: 40rem, from the theme.")).isVisible();
        // The theme changes; the pinned spot does not.
        place("the theme").check();
        assertThat(page.getByLabel("text as written")).hasValue("40rem");
        widen("36rem");
        shown("22rem", "36rem", "36rem");
        // Loaded again, the stored page says the same.
        page.reload();
        frame(0).locator("section h2").waitFor();
        Browsers.heard(page);
        shown("22rem", "36rem", "36rem");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Widths"))
                .click();
        frame(0).locator("section p").first().click();
        place("this section “The blue card”").check();
        button("Follow again").click();
        shown("36rem", "36rem", "36rem");
        // It is the site's own history that takes it back.
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("reset to theme"))
                .click();
        shown("22rem", "36rem", "36rem");
    }

    /** A page of another site in a bay: what that site says of its own is asked for at once. */
    @Test
    void aBayWhosePageIsOfAnotherSiteShowsWhatThatSiteSays() {
        String other = Prepared.copyOf(page, "galley");
        Prepared.wears(page, other, theme);
        page.reload();
        frame(0).locator("section h2").waitFor();
        Browsers.heard(page);
        page.getByLabel("Page").first().selectOption(other + "/index");
        page.waitForCondition(() -> {
            try {
                return "10px"
                        .equals(frame(0).locator("body")
                                .evaluate("(one) => getComputedStyle(one).getPropertyValue('--shape-radius').trim()"));
            } catch (PlaywrightException loading) {
                return false;
            }
        });
    }

    private String step(String selector) {
        return (String) frame(0).locator(selector)
                .first()
                .evaluate("(one) => getComputedStyle(one).getPropertyValue('--space-5')");
    }

    /** What a recipe computes, too: the whole scale is another within that section. */
    @Test
    void oneSectionHasAScaleOfItsOwn() {
        place("this section “The blue card”").check();
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Space"))
                .click();
        String before = step("main > ol");
        org.assertj.core.api.Assertions.assertThat(before).isNotEmpty().isEqualTo(step("section p"));
        Locator base = page.getByLabel("Base", new Page.GetByLabelOptions().setExact(true));
        base.fill("31");
        base.press("Enter");
        page.waitForCondition(
                () -> step("main > ol").equals(before) && !step("section p").equals(before));
        assertThat(base).hasValue("31");
        page.reload();
        frame(0).locator("section h2").waitFor();
        Browsers.heard(page);
        page.waitForCondition(
                () -> step("main > ol").equals(before) && !step("section p").equals(before));
    }

    /** Something is written for a piece wherever it stands, and for what lies in it: seen at once, and by the page itself. */
    @Test
    void aPieceDiffersWhereverItStands() {
        String theme = page.url().replaceFirst(".*/bench/(\\d+).*", "$1");
        page.getByLabel("Page", new Page.GetByLabelOptions().setExact(true))
                .first()
                .selectOption(site + "/index");
        Locator words = frame(0).locator(PIECE + " p").first();
        words.waitFor();
        Browsers.heard(page);
        words.click();
        place("this section “One co-operative”, on every page").check();
        widen("21rem");
        page.waitForCondition(() -> shows(0, PIECE + " p", "21rem") && shows(0, "main", "40rem"));
        words.click();
        place("this element, on every page").check();
        widen("19rem");
        page.waitForCondition(() -> shows(0, PIECE + " p", "19rem") && shows(0, PIECE + " h2", "21rem"));
        place("this section “One co-operative”, on every page").check();
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Parts"))
                .click();
        page.getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions().setName("Parts").setExact(true))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Headings"))
                .click();
        button("all in capitals").click();
        assertThat(frame(0).locator(PIECE + " h2")).hasCSS("text-transform", "uppercase");
        assertThat(frame(0).locator("main > h2, main > section:not([data-piece]) h1")
                        .first())
                .hasCSS("text-transform", "none");
        // It is shown before it is stored.
        assertThat(page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(java.util.regex.Pattern.compile("^Undo .*capitals"))))
                .isVisible();
        page.navigate(loom.address() + "/preview/" + theme + "/draft/site/" + site + "/index.html?still=true");
        assertThat(page.locator(PIECE + " h2")).hasCSS("text-transform", "uppercase");
        assertThat(page.locator("main > section:not([data-piece]) h1, main > h2")
                        .first())
                .hasCSS("text-transform", "none");
    }

    @Test
    void theRulerIsWalkedWithArrowKeysAndWiderPlacesReachFurther() {
        page.getByLabel("Page", new Page.GetByLabelOptions().setExact(true))
                .nth(1)
                .selectOption(site + "/timetable");
        frame(1).locator("h1", new FrameLocator.LocatorOptions().setHasText("Summer timetable"))
                .waitFor();
        place("this page").check();
        page.keyboard().press("ArrowUp");
        assertThat(place("listing pages of Copy of Crossings")).isChecked();
        assertThat(page.getByText("Edits go to listing pages of Copy of Crossings only."))
                .isVisible();
        widen("30rem");
        // The timetable is a listing too.
        shown("30rem", "30rem", "30rem");
        place("this page").check();
        widen("28rem");
        shown("28rem", "28rem", "30rem");
        page.navigate(loom.address() + "/sites/" + site);
        assertThat(page.getByText("width.text: 30rem")).isVisible();
        assertThat(page.getByText("width.text: 28rem")).isVisible();
        button("Follow again").first().click();
        assertThat(page.getByText("width.text: 30rem")).isHidden();
    }

    @Test
    void anElementIsTriedLiveBeforeItHasAName() {
        place("this element").check();
        assertThat(page.getByText("Edits go to the paragraph")).isVisible();
        Locator field = page.getByLabel("text as written");
        field.fill("12rem");
        field.press("Enter");
        page.waitForCondition(() -> shows(0, "section p", "12rem") && shows(0, "section h2", "40rem"));
        assertThat(page.getByText("1 element of this site already has something of its own."))
                .isVisible();
    }

    private String line(String selector) {
        return (String) frame(0).locator(selector).first().evaluate("(one) => getComputedStyle(one).lineHeight");
    }

    /** Text of a paragraph is of the page's style by inheritance alone: what is written for it is taken there all the same. */
    @Test
    void aParagraphHasALineHeightOfItsOwn() {
        place("this element").check();
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Type"))
                .click();
        String around = line("section");
        org.assertj.core.api.Assertions.assertThat(line("section p")).isEqualTo(around);
        Locator field = page.getByLabel("Line height of body");
        field.fill("2.25");
        field.press("Enter");
        page.waitForCondition(() -> !line("section p").equals(around));
        String own = line("section p");
        org.assertj.core.api.Assertions.assertThat(line("section")).isEqualTo(around);
        page.reload();
        frame(0).locator("section h2").waitFor();
        Browsers.heard(page);
        page.waitForCondition(
                () -> line("section p").equals(own) && line("section").equals(around));
    }
}
