package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** One light for all shadows, and a card that is pulled into shape. */
class ShapeTest {
    private Page page;

    @BeforeEach
    void open() {
        page = Browsers.signedIn(Loom.withDemo(), ColorScheme.LIGHT);
        Browsers.newTheme(page, "Shaped", "Plain weave");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Shape"))
                .click();
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    private Locator slider(String name) {
        return page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName(name));
    }

    private Locator state() {
        return page.getByTestId("saved-state");
    }

    private String cardsShadow() {
        return (String) page.locator("iframe")
                .first()
                .contentFrame()
                .locator("[data-part=card]")
                .first()
                .evaluate("(card) => getComputedStyle(card).boxShadow");
    }

    @Test
    void allShadowsFollowTheLight() {
        page.getByText("Let one light throw them").click();
        Locator cards = page.getByRole(
                AriaRole.RADIOGROUP,
                new Page.GetByRoleOptions().setName("Shadow of: What lifts a card from its ground"));
        cards.getByRole(
                        AriaRole.RADIO,
                        new Locator.GetByRoleOptions().setName("6 px").setExact(true))
                .click();
        assertThat(state()).containsText("Card shadow");
        // Height 6, from above: 3 px down, 12 px of blur, drawn in by 3.
        page.waitForCondition(() -> cardsShadow().endsWith("0px 3px 12px -3px"));
        slider("The light; left and right turn it").press("ArrowRight");
        page.waitForCondition(() -> cardsShadow().contains("-0.3px 3px 12px -3px"));
        slider("Height 2").press("ArrowUp");
        assertThat(slider("Height 2")).hasAttribute("aria-valuenow", "6.5");
        page.waitForCondition(() -> cardsShadow().contains("13px"));
    }

    @Test
    void theLightIsMovedByThePointerAndTriedOnTheWay() {
        page.getByText("Let one light throw them").click();
        Locator light = slider("The light; left and right turn it");
        BoundingBox at = light.boundingBox();
        page.mouse().move(at.x + at.width / 2, at.y + at.height / 2);
        page.mouse().down();
        page.mouse().move(at.x - 60, at.y + 35, new Mouse.MoveOptions().setSteps(5));
        assertThat(state()).containsText("not saved");
        page.mouse().up();
        assertThat(state()).containsText("Saved");
        page.waitForCondition(() -> Double.parseDouble(light.getAttribute("aria-valuenow")) < -60);
    }

    @Test
    void aCardsCornerIsPulledAndCanFitItsButton() {
        Locator corner = slider("How round the corners of cards are");
        double before = Double.parseDouble(corner.getAttribute("aria-valuenow"));
        corner.press("Shift+ArrowRight");
        assertThat(state()).containsText("Card radius");
        page.waitForCondition(() -> Double.parseDouble(corner.getAttribute("aria-valuenow")) == before + 8);
        page.getByText("Let it fit").click();
        assertThat(page.getByText("Let it fit")).isHidden();
        double inset = Double.parseDouble(slider("Between the edge of a card").getAttribute("aria-valuenow"));
        double button = Double.parseDouble(
                slider("How round the corners of buttons are").getAttribute("aria-valuenow"));
        assertThat(Double.parseDouble(corner.getAttribute("aria-valuenow"))).isEqualTo(inset + button);
    }
}
