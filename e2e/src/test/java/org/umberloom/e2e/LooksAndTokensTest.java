package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Looks, sets, single tokens, history, and two people on one theme, as a person works with them. */
class LooksAndTokensTest {
    private final Loom loom = Loom.withDemo();
    private final List<String> complaints = new ArrayList<>();
    private Page page;

    /** Every test works on a theme of its own: a copy of the demo theme. */
    @BeforeEach
    void signIn() {
        page = Browsers.signedIn(loom, ColorScheme.LIGHT);
        page.onConsoleMessage(message -> {
            boolean expected = message.text().contains("Blocked script execution")
                    || message.text().contains("status of 4");
            if (message.type().equals("error") && !expected) complaints.add(message.text());
        });
        page.onPageError(complaints::add);
        page.navigate("/bench/" + Prepared.copyOfTheme(page, "Tern Passage"));
        firstBay().locator("h1").waitFor();
        Browsers.onPages(page);
    }

    @AfterEach
    void close() {
        page.context().close();
        assertThat(complaints).isEmpty();
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private void tab(String name) {
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    private FrameLocator firstBay() {
        return page.locator("iframe").first().contentFrame();
    }

    private String style(String selector, String property) {
        try {
            return (String) firstBay().locator(selector).first().evaluate("(e, p) => getComputedStyle(e)[p]", property);
        } catch (PlaywrightException pageIsBeingLoaded) {
            return "";
        }
    }

    private Locator railState() {
        return page.getByTestId("saved-state");
    }

    private void choose(String of, String context) {
        button("Combination of " + of).click();
        page.getByRole(AriaRole.DIALOG)
                .getByText(context, new Locator.GetByTextOptions().setExact(true))
                .click();
        page.keyboard().press("Escape");
    }

    private Locator row(String path) {
        page.getByLabel("Search tokens").fill(path);
        return page.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText(path))
                .first();
    }

    private Locator value(String token) {
        return editor(token)
                .getByRole(
                        AriaRole.TEXTBOX,
                        new Locator.GetByRoleOptions().setName("Value").setExact(true));
    }

    private Locator path(String token) {
        return editor(token).getByLabel("Path; every reference follows");
    }

    private Locator trace() {
        return page.getByRole(AriaRole.COMPLEMENTARY);
    }

    private Locator editor(String path) {
        return page.getByRole(
                AriaRole.REGION,
                new Page.GetByRoleOptions().setName("Token " + path).setExact(true));
    }

    @Test
    void aLookIsChosenForAllBaysAndAnotherForOne() {
        choose("the instruments", "heritage");
        page.waitForCondition(() -> style("h1", "fontFamily").startsWith("Fraunces"));
        choose("bay 1", "freight");
        page.waitForCondition(() -> style("h1", "fontFamily").startsWith("Archivo"));
        assertThat(style("[data-part=button]", "borderRadius")).isEqualTo("0px");
        assertThat((String) page.locator("iframe")
                        .nth(1)
                        .contentFrame()
                        .locator("h1")
                        .evaluate("e => getComputedStyle(e).fontFamily"))
                .startsWith("Fraunces");
        choose("bay 1", "compact");
        page.waitForCondition(() -> style("p", "lineHeight").compareTo("0") > 0
                && button("Combination of bay 1: freight · compact · light").count() == 1);
    }

    @Test
    void anEditInALookIsProbedAndStaysInThatLook() {
        choose("the instruments", "heritage");
        page.waitForCondition(() -> style("h1", "fontFamily").startsWith("Fraunces"));
        String before = style("section", "backgroundColor");
        BoundingBox box = page.getByRole(
                        AriaRole.SLIDER,
                        new Page.GetByRoleOptions().setName("Hue").setExact(true))
                .boundingBox();
        page.mouse().move(box.x + 4, box.y + box.height / 2);
        page.mouse().down();
        for (int i = 1; i <= 8; i++) page.mouse().move(box.x + 4 + i * 8, box.y + box.height / 2);
        assertThat(railState()).containsText("Trying, not saved");
        page.waitForCondition(() -> !style("section", "backgroundColor").equals(before));
        page.mouse().up();
        assertThat(railState()).containsText("Saved");
        String changed = style("section", "backgroundColor");
        choose("the instruments", "passage");
        page.waitForCondition(() -> style("h1", "fontFamily").startsWith("\"Bricolage"));
        assertThat(style("section", "backgroundColor")).isNotEqualTo(changed);
        tab("History");
        button("Undo Seed of sea").click();
        choose("the instruments", "heritage");
        page.waitForCondition(() -> style("section", "backgroundColor").equals(before));
    }

    @Test
    void setsAndContextsAreMadeCopiedReorderedAndUndone() {
        tab("Sets");
        button("What to do with modifier look, context freight").click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Copy"))
                .click();
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("winter");
        button("Do it").click();
        assertThat(railState()).containsText("add the context look/winter");
        choose("the instruments", "winter");
        page.waitForCondition(() -> style("h1", "fontFamily").startsWith("Archivo"));

        page.getByLabel("Place of scheme in the order, 5 of 5").focus();
        page.keyboard().press("ArrowLeft");
        assertThat(railState()).containsText("order base, roles, look, scheme, density");
        BoundingBox grip = page.getByLabel("Place of roles in the order").boundingBox();
        BoundingBox base = page.getByLabel("Place of base in the order").boundingBox();
        page.mouse().move(grip.x + 5, grip.y + 5);
        page.mouse().down();
        page.mouse().move(base.x + 60, base.y + 5);
        page.mouse().move(base.x + 20, base.y + 5);
        page.mouse().up();
        assertThat(railState()).containsText("order roles, base, look, scheme, density");
        for (int i = 0; i < 3; i++) {
            int left = 2 - i;
            button("Undo").first().click();
            page.waitForCondition(
                    () -> button(left == 0 ? "Nothing to undo" : left == 1 ? "Undo add the context" : "Undo order base")
                                    .count()
                            == 1);
        }
        page.waitForCondition(() -> style("h1", "fontFamily").startsWith("\"Bricolage"));
    }

    @Test
    void aTokenIsFoundEditedInPlaceMovedAndTakenBack() {
        tab("Tokens");
        row("width.text").dblclick();
        page.getByLabel("Value of width.text").fill("wide");
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("is not a length");
        page.getByLabel("Value of width.text").fill("20rem");
        page.keyboard().press("Enter");
        assertThat(railState()).containsText("Text column: 20rem");
        page.waitForCondition(() -> style("[data-part=lead]", "maxWidth").equals("320px"));

        row("color.sea.100").click();
        String ground = style("section", "backgroundColor");
        path("color.sea.100").fill("color.sound.deep");
        page.keyboard().press("Enter");
        assertThat(railState()).containsText("color.sea.100 renamed to color.sound.deep");
        assertThat(style("section", "backgroundColor")).isEqualTo(ground);
        assertThat(editor("color.sound.deep")).isVisible();
        assertThat(trace()).containsText("written in base");
        button("Undo color.sea.100 renamed").click();
        assertThat(railState()).containsText("Undid: color.sea.100 renamed to color.sound.deep");
        assertThat(button("Undo Text column: 20rem")).isVisible();
        assertThat(editor("color.sea.100")).isVisible();
    }

    /** A field's own undo takes back what was typed; when nothing in it is unsaved, the keys take back the last edit. */
    @Test
    void theKeysOfUndoWorkInAFieldWhoseTextIsStored() {
        tab("Tokens");
        row("color.sea.100").click();
        Locator path = path("color.sea.100");
        path.click();
        page.keyboard().press("End");
        page.keyboard().type("-deep");
        page.keyboard().press("Control+z");
        assertThat(path).hasValue("color.sea.100");
        assertThat(railState()).containsText("Saved · 0");
        path.fill("color.sea.deep");
        page.keyboard().press("Enter");
        assertThat(railState()).containsText("color.sea.100 renamed to color.sea.deep");
        assertThat(path("color.sea.deep")).isFocused();
        assertThat(path("color.sea.deep")).hasValue("color.sea.deep");
        page.keyboard().press("Control+z");
        assertThat(railState()).containsText("Undid: color.sea.100 renamed to color.sea.deep");
        assertThat(path("color.sea.100")).isFocused();
        assertThat(path("color.sea.100")).hasValue("color.sea.100");
        assertThat(trace()).containsText("color.sea.100");
        page.keyboard().press("Control+Shift+z");
        assertThat(path("color.sea.deep")).isFocused();
        assertThat(row("color.sea.deep")).hasAttribute("aria-selected", "true");
    }

    /** Its chroma lies halfway between two steps of the slider; to show it must not change it. */
    @Test
    void lookingAtATokenTriesNothing() {
        tab("Tokens");
        row("color.sea.100").click();
        assertThat(value("color.sea.100")).hasValue("#00384c");
        String ground = style("section", "backgroundColor");
        row("color.sea.60").click();
        assertThat(value("color.sea.60")).not().hasValue("#00384c");
        editor("color.sea.60")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Pick Value"))
                .click();
        page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Alpha"))
                .waitFor();
        page.keyboard().press("Escape");
        assertThat(railState()).containsText("Saved");
        assertThat(style("section", "backgroundColor")).isEqualTo(ground).isEqualTo("rgb(0, 56, 76)");
    }

    @Test
    void theTreeIsWalkedByKeyboardAlone() {
        tab("Tokens");
        Locator tree = page.getByRole(AriaRole.TREEGRID);
        page.getByRole(AriaRole.ROW).first().waitFor();
        tree.focus();
        page.keyboard().press("Home");
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowDown");
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowDown");
        assertThat(editor("color.sea.seed")).isVisible();
        assertThat(trace()).containsText("depend on it");
        page.keyboard().press("Enter");
        page.getByLabel("Value of color.sea.seed").fill("#205040");
        page.keyboard().press("Enter");
        assertThat(railState()).containsText("Seed of sea: #205040");
        page.keyboard().press("ArrowLeft");
        page.keyboard().press("ArrowLeft");
        assertThat(page.getByRole(AriaRole.ROW)
                        .filter(new Locator.FilterOptions().setHasText("sea"))
                        .first())
                .hasAttribute("aria-expanded", "false");
    }

    @Test
    void aCurveAShadowAndAGradientAreEditedWhereTheyAreDrawn() {
        tab("Tokens");
        row("motion.swell").click();
        page.getByLabel("Control point 1").focus();
        page.keyboard().press("ArrowUp");
        assertThat(railState()).containsText("Swell motion: cubic-bezier(0.6, 0.05, 0.3, 1)");
        row("shadow.low").click();
        page.getByLabel("blur of shadow 1").fill("9");
        page.keyboard().press("Enter");
        assertThat(railState()).containsText("Low shadow: 0px 1px 9px 0px {shade.soft}");
        page.waitForCondition(() -> style("[data-part=card]", "boxShadow").contains("9px"));
        row("gradient.dusk").click();
        page.getByLabel("Stop 2, {color.sea.60}").focus();
        page.keyboard().press("ArrowRight");
        assertThat(railState()).containsText("{color.sea.60} 56%");
    }

    @Test
    void aDerivationStaysLinkedToItsSource() {
        tab("Tokens");
        row("surface.page.link").click();
        editor("surface.page.link")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Derive it from another token"))
                .click();
        Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Derivation"));
        form.getByLabel("Operation").selectOption("darken");
        form.getByRole(
                        AriaRole.TEXTBOX,
                        new Locator.GetByRoleOptions().setName("Of").setExact(true))
                .fill("{color.sea.seed}");
        form.getByLabel("by as a number").fill("12");
        page.keyboard().press("Enter");
        form.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Derive"))
                .click();
        assertThat(railState()).containsText("Link: darken({color.sea.seed}, 12)");
        String before = style("[data-part=card] a", "color");
        row("color.sea.seed").dblclick();
        page.getByLabel("Value of color.sea.seed").fill("#6b2a50");
        page.keyboard().press("Enter");
        page.waitForCondition(() -> !style("[data-part=card] a", "color").equals(before));
    }

    @Test
    void severalTokensChangeInOneStep() {
        tab("Tokens");
        button("Change several").click();
        page.getByLabel("Value as it is written").fill("{color.ink.100}");
        page.getByLabel("Becomes").fill("{color.ink.115}");
        button("Change them").click();
        assertThat(page.getByRole(AriaRole.STATUS)).containsText("{color.ink.100} to {color.ink.115} in");
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("What to do"))
                .selectOption("rename-paths");
        page.getByLabel("Piece of a path").fill("no.such");
        page.getByLabel("Becomes").fill("x");
        button("Change them").click();
        assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("No path holds “no.such”");
    }

    @Test
    void aFindingIsMendedWhereItIsShown() {
        tab("Tokens");
        row("surface.page.text").dblclick();
        page.getByLabel("Value of surface.page.text").fill("{color.ink.30}");
        page.keyboard().press("Enter");
        assertThat(railState()).containsText("Text: ink 30");
        Prepared.findings(page).click();
        Locator fix = page.getByRole(
                AriaRole.BUTTON,
                new Page.GetByRoleOptions().setName("Use color.ink.70").setExact(true));
        fix.first().click();
        assertThat(fix).hasCount(0);
        assertThat(railState()).containsText("Text: ink 70");
    }

    @Test
    void statesAreNamedComparedShownSideBySideAndRestored() {
        tab("Tokens");
        row("shape.radius").first().dblclick();
        page.getByLabel("Value of shape.radius", new Page.GetByLabelOptions().setExact(true))
                .fill("19px");
        page.keyboard().press("Enter");
        page.waitForCondition(() -> style("[data-part=button]", "borderRadius").equals("19px"));
        tab("History");
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("History"))
                .getByText("copied from")
                .click();
        page.getByLabel("Checkpoint’s name; empty for none").fill("Before the rounding");
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("History")))
                .containsText("Before the rounding");
        assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Tokens that differ")))
                .containsText("shape.radius");
        button("Before and after, side by side").click();
        page.waitForCondition(() -> style("[data-part=button]", "borderRadius").equals("6px"));
        page.waitForCondition(() -> "19px"
                .equals(page.locator("iframe")
                        .nth(1)
                        .contentFrame()
                        .locator("[data-part=button]")
                        .first()
                        .evaluate("e => getComputedStyle(e).borderRadius")));
        button("All bays back to the draft").click();
        page.waitForCondition(() -> style("[data-part=button]", "borderRadius").equals("19px"));
        button("Make it the newest").click();
        assertThat(railState()).containsText("restore revision 0 “Before the rounding”");
        page.waitForCondition(() -> style("[data-part=button]", "borderRadius").equals("6px"));
        page.getByLabel("Undo restore").click();
        page.waitForCondition(() -> style("[data-part=button]", "borderRadius").equals("19px"));
    }

    @Test
    void twoPeopleSeeEachOthersEditsAndDecideWhenTheyClash() {
        Page other = Browsers.context(ColorScheme.LIGHT).newPage();
        other.navigate(loom.address() + "/");
        other.getByLabel("E-mail address").fill("ivo@ternpassage.example");
        other.getByLabel("Password").fill(Loom.PASSWORD);
        other.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in"))
                .click();
        other.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Library"))
                .waitFor();
        other.navigate(page.url());
        other.locator("iframe").first().contentFrame().locator("h1").waitFor();

        tab("Tokens");
        row("width.text").dblclick();
        page.getByLabel("Value of width.text").fill("22rem");
        page.keyboard().press("Enter");
        assertThat(other.getByText("Maren Oake: Text column: 22rem").first()).isVisible();
        other.waitForCondition(() -> other.locator("iframe")
                .first()
                .contentFrame()
                .locator("[data-part=lead]")
                .first()
                .evaluate("e => getComputedStyle(e).maxWidth")
                .equals("352px"));

        // The other has not heard yet: their edit is made on the revision before.
        other.routeWebSocket(java.util.regex.Pattern.compile(".*/live$"), route -> route.close());
        other.reload();
        other.locator("iframe").first().contentFrame().locator("h1").waitFor();
        row("width.text").dblclick();
        page.getByLabel("Value of width.text").fill("24rem");
        page.keyboard().press("Enter");
        assertThat(railState()).containsText("Text column: 24rem");
        other.getByRole(
                        AriaRole.TAB,
                        new Page.GetByRoleOptions().setName("Widths").setExact(true))
                .click();
        other.getByLabel("text as written").fill("30rem");
        other.keyboard().press("Enter");
        Locator clash = other.getByRole(AriaRole.DIALOG);
        assertThat(clash).containsText("24rem");
        assertThat(clash).containsText("30rem");
        clash.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Use yours"))
                .click();
        assertThat(other.getByTestId("saved-state")).containsText("Text column: 30rem");
        assertThat(railState()).containsText("Text column: 30rem");

        // Who keeps what is there keeps that: leaving the field sends nothing once more.
        row("width.text").dblclick();
        page.getByLabel("Value of width.text").fill("25rem");
        page.keyboard().press("Enter");
        assertThat(railState()).containsText("Text column: 25rem");
        other.getByLabel("text as written").fill("31rem");
        other.keyboard().press("Enter");
        assertThat(clash).containsText("31rem");
        clash.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Keep what is there"))
                .click();
        assertThat(clash).isHidden();
        assertThat(other.getByLabel("text as written")).hasValue("25rem");
        assertThat(other.getByTestId("saved-state")).containsText("Text column: 25rem");
        page.reload();
        assertThat(railState()).containsText("Text column: 25rem");
        other.context().close();
    }

    @Test
    void aTokenFileOfAnOlderDraftIsImportedWithNotes(@TempDir Path folder) throws Exception {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Back to the library"))
                .click();
        Path file = Files.writeString(
                folder.resolve("brand.json"),
                """
                {"color": {"brand": {"value": "#7a4a2b", "type": "color"}, "link": {"value": "{color.brand.value}", "type": "color"}}}""");
        page.getByLabel("Kit file").setInputFiles(file);
        assertThat(page.getByText("were read as color space and components").first())
                .isVisible();
        button("Import theme").click();
        page.waitForURL("**/dress/*");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Bench"))
                .click();
        page.waitForURL("**/bench/*");
        tab("Tokens");
        assertThat(row("color.link")).containsText("#7a4a2b");
    }
}
