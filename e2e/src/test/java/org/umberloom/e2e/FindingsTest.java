package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** All findings of a theme and its sites: mended in one step, or lived with for a reason until they say something else. */
class FindingsTest {
    private Page page;

    @BeforeEach
    void open() {
        page = Browsers.signedIn(Loom.withDemo(), ColorScheme.LIGHT);
        String theme = Browsers.newTheme(page, "Found", "Plain weave");
        ring(page, "1px", "Focus ring: 1px");
        page.navigate(Loom.withDemo().address() + "/findings/" + theme);
        assertThat(ring()).isVisible();
    }

    /** The outline of focus, made too thin where it is pulled. */
    private static void ring(Page page, String px, String said) {
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Shape"))
                .click();
        Locator field = page.getByLabel("How thick the outline of what the keyboard is on is");
        field.fill(px.replace("px", ""));
        field.press("Enter");
        assertThat(page.getByTestId("saved-state")).containsText(said);
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    private Locator ring() {
        return page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("2.4.13 advises 2 px"));
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void oneIsLivedWithForAReasonAndOpenedAgain() {
        ring().getByText("Accept…").click();
        page.getByLabel("Reason").fill("Our outline is doubled by a ground");
        ring().getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Accept").setExact(true))
                .click();
        assertThat(ring()).isHidden();
        page.reload();
        assertThat(button("Accepted 1")).isVisible();
        assertThat(ring()).isHidden();
        button("Accepted 1").click();
        assertThat(ring()).containsText("Our outline is doubled by a ground");
        ring().getByText("Reopen").click();
        assertThat(page.getByText("No finding matches")).isVisible();
        button("Should fix").click();
        assertThat(ring()).isVisible();
    }

    @Test
    void whatSaysSomethingElseIsOpenAgain() {
        ring().getByText("Accept…").click();
        page.getByLabel("Reason").fill("For now");
        ring().getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Accept").setExact(true))
                .click();
        assertThat(ring()).isHidden();
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Bench").setExact(true))
                .click();
        ring(page, "0.5px", "Focus ring: 0.5px");
        page.goBack();
        assertThat(ring()).containsText("0.5 px thick");
    }

    @Test
    void theListIsNarrowedByWeightKindAndPlace() {
        button("focus ring 1").click();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Findings"))
                        .getByRole(AriaRole.LISTITEM))
                .hasCount(1);
        button("the theme itself").click();
        assertThat(ring()).isVisible();
    }

    @Test
    void theDemosSitesAreInTheListOfTheirTheme() {
        page.navigate(Loom.withDemo().address() + "/findings/1");
        assertThat(page.getByText(Pattern.compile("\\d+ sites that use it"))).isVisible();
        button("strays").click();
        Locator strays = page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("written by hand where the theme has a role"));
        strays.first().waitFor();
        assertThat(strays.count()).isGreaterThan(3);
    }

    /** The picture is cut out around the very element: a value by hand on a page of the demo. */
    @Test
    void aFindingOfAPageShowsItsSpot() {
        page.navigate(Loom.withDemo().address() + "/findings/1");
        Locator strays = page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("written by hand where the theme has a role"))
                .first();
        strays.scrollIntoViewIfNeeded();
        Locator picture = strays.locator("iframe");
        assertThat(picture).hasAttribute("title", Pattern.compile("^The spot: "));
        assertThat(picture).hasCSS("visibility", "visible");
        Locator frame = strays.locator("iframe + span");
        assertThat(frame).isVisible();
        BoundingBox cut = picture.locator("..").boundingBox();
        BoundingBox spot = frame.boundingBox();
        assertThat(spot.x + spot.width / 2).isBetween(cut.x, cut.x + cut.width);
        assertThat(spot.y + spot.height / 2).isBetween(cut.y, cut.y + cut.height);
        assertThat(spot.width).isGreaterThan(10);
    }
}
