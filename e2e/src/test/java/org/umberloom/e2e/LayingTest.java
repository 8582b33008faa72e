package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A page is laid out: its blocks are handled in a plan, its words where they stand. Each test has a copy of a site of its own. */
class LayingTest {
    private final Loom loom = Loom.withDemo();
    private Page page;
    private String site;

    @BeforeEach
    void open() {
        page = Browsers.signedIn(loom, ColorScheme.LIGHT);
        site = loom.address() + "/sites/" + Prepared.copyOf(page, "crossings");
        page.navigate(site + "/index");
        live().locator("h1").waitFor();
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private Locator exactly(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private Locator radio(String name) {
        return page.getByRole(
                AriaRole.RADIO, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private FrameLocator live() {
        return page.frameLocator("iframe[title='The page as it is']:visible");
    }

    private Locator plan() {
        return page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("What the page is laid out of"))
                .locator("> li > div > button");
    }

    private static String first(Locator main) {
        return (String) main.evaluate("main => main.firstElementChild.localName");
    }

    @Test
    void aBlockIsHandledInThePlan() {
        button("section “Before you travel”").click();
        radio("deep").click();
        assertThat(live().locator("main > section[data-surface=deep]")
                        .filter(new Locator.FilterOptions().setHasText("Before you travel")))
                .hasCount(1);
        radio("Ample room").click();
        assertThat(live().locator("main > [data-air=ample]")).hasCount(1);
        radio("As wide as content").click();
        assertThat(live().locator("main > section[data-air=ample]:not([data-width])"))
                .hasCount(1);
        int blocks = plan().count();
        exactly("Copy").click();
        assertThat(plan()).hasCount(blocks + 1);
        exactly("Remove").click();
        assertThat(plan()).hasCount(blocks);
        page.getByLabel("Undo").click();
        assertThat(plan()).hasCount(blocks + 1);
    }

    @Test
    void blocksAreDraggedAndMovedByKeyboard() {
        Locator list = button("list “Skarholm to Brim”");
        list.focus();
        page.keyboard().press("Alt+ArrowUp");
        assertThat(live().locator("main > h2 + ul, main > h2 + ol, main > h2 + [data-part=cards]"))
                .hasCount(1);
        BoundingBox from = button("figure “MV Kittiwake").boundingBox();
        BoundingBox to = button("section “Five islands").boundingBox();
        page.mouse().move(from.x + 40, from.y + from.height / 2);
        page.mouse().down();
        page.mouse().move(from.x + 40, to.y + to.height / 2 - 4);
        page.mouse().move(from.x + 40, to.y + 2);
        page.mouse().up();
        assertThat(live().locator("main > figure:first-child")).hasCount(1);
        assertThat(first(live().locator("main"))).isEqualTo("figure");
    }

    @Test
    void aHeadingWearsAnotherLookAndItsWordsAreTriedWhereTheyStand() {
        Locator heading = live().locator("main h2").first();
        String size = (String) heading.evaluate("e => getComputedStyle(e).fontSize");
        String four = (String) live().locator("main h3").first().evaluate("e => getComputedStyle(e).fontSize");
        assertThat(four).isNotEqualTo(size);
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Headings"))
                .getByText("Where we sail")
                .click();
        radio("Level 3").click();
        assertThat(page.getByText("looks like 3")).isVisible();
        Locator dressed = live().locator("main h2[data-as=h3]");
        assertThat(dressed.evaluate("e => getComputedStyle(e).fontSize")).isEqualTo(four);
        dressed.dblclick();
        page.keyboard().press("Control+A");
        page.keyboard().type("Where the boats go");
        page.keyboard().press("Enter");
        assertThat(button("heading “Where the boats go”")).isVisible();
        live().locator("main img").first().click();
        radio("lamp.svg").click();
        assertThat(live().locator("main figure img[src='pictures/lamp.svg']")).hasCount(1);
    }

    @Test
    void aPartIsAddedAndTakesTheThemeByItself() {
        button("heading “Where we sail”").click();
        button("Add a part").click();
        button("Add: Quot").click();
        Locator quote = live().locator("main > h2 + blockquote");
        assertThat(quote).hasCount(1);
        assertThat((String) quote.evaluate("e => getComputedStyle(e).borderInlineStartStyle"))
                .as("by the theme’s choice for quotes")
                .isNotBlank();
    }

    @Test
    void aHeaderBecomesAPieceThatAllPagesShareAndOneLeavesOut() {
        button("header “Tern Passage").click();
        button("Make it a piece").click();
        page.getByLabel("Name of the piece").fill("Head");
        exactly("Make it a piece").click();
        assertThat(page.getByText("Piece “Head”, on 6 of 6 pages.")).isVisible();
        // The page is shown anew with its piece; words are changed there.
        live().locator("header[data-piece] > a").dblclick();
        page.keyboard().press("Control+A");
        page.keyboard().type("Tern Passage by night");
        page.keyboard().press("Enter");
        assertThat(button("header “Tern Passage by night")).isVisible();
        page.getByLabel("Page", new Page.GetByLabelOptions().setExact(true)).selectOption("fares");
        assertThat(live().locator("header > a")).hasText("Tern Passage by night");
        assertThat(live().locator("header [aria-current=page]")).hasText("Fares");
        button("header “Tern Passage by night").click();
        exactly("Leave out on this page").click();
        assertThat(live().locator("header")).isHidden();
        page.navigate(site);
        assertThat(page.getByText("on 6 of 6 pages")).isVisible();
        Locator on = page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("Head on “Fares”"));
        page.getByLabel("Head on every page").uncheck();
        on.click();
        assertThat(on).not().isChecked();
        assertThat(page.getByText("on 5 of 6 pages")).isVisible();
        page.getByLabel("Undo").click();
        assertThat(on).isChecked();
    }

    @Test
    void aPieceOfTheThemeIsOneForAllSites() {
        // Every landing page of the demo has it; this copy changes its words, and another site shows them.
        Locator words = live().locator("section[data-piece=co-operative] h2");
        assertThat(words).hasText("One co-operative");
        words.dblclick();
        page.keyboard().press("Control+A");
        page.keyboard().type("One co-operative, five islands");
        page.keyboard().press("Enter");
        assertThat(button("section “One co-operative, five islands”")).isVisible();
        page.navigate(loom.address() + "/sites/trust/index");
        assertThat(live().locator("section[data-piece=co-operative] h2")).hasText("One co-operative, five islands");
        page.navigate(site);
        page.getByLabel("Undo").click();
        assertThat(page.getByLabel("Redo")).isEnabled();
        page.navigate(loom.address() + "/sites/trust/index");
        assertThat(live().locator("section[data-piece=co-operative] h2")).hasText("One co-operative");
    }
}
