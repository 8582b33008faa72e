package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The bench in the narrowest window that it promises to be usable in, with a trace beside the instruments. */
class NarrowWindowTest {
    /** Controls in sight that something else lies over, so that a pointer cannot reach them. */
    private static final String COVERED =
            """
            () => [...document.querySelectorAll('[role=tabpanel]:not([hidden]) :is(button, input, select)')].filter((control) => {
              const box = control.getBoundingClientRect();
              const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
              if (box.width < 2 || getComputedStyle(control).visibility === 'hidden') return false;
              for (let outer = control.parentElement; outer; outer = outer.parentElement) {
                const clip = outer.getBoundingClientRect();
                if (getComputedStyle(outer).overflow !== 'visible' &&
                  (x < clip.left || x > clip.right || y < clip.top || y > clip.bottom)) return false;
              }
              const found = document.elementFromPoint(x, y);
              return !found || !(control.contains(found) || found.contains(control) || control.labels?.[0]?.contains(found));
            }).map((control) => control.getAttribute('aria-label') ?? control.textContent.trim())""";

    private static final int LEAST_STRIP = 300;

    private Page page;

    @BeforeEach
    void openTheBenchWithATrace() {
        page = Browsers.signedIn(Loom.withDemo(), ColorScheme.LIGHT);
        page.setViewportSize(1024, 700);
        Browsers.openBench(page, "Tern Passage");
        page.locator("iframe").first().contentFrame().locator("h1").click();
        page.getByRole(AriaRole.COMPLEMENTARY).getByTitle("{color.ink.2}").waitFor();
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    private void open(String tab) {
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(tab).setExact(true))
                .click();
    }

    @Test
    void noControlLiesUnderAnother() {
        for (String tab : List.of("Color", "Type", "Space", "Widths", "Tokens")) {
            open(tab);
            page.getByRole(AriaRole.TABPANEL)
                    .locator("button, input, select")
                    .first()
                    .waitFor();
            if (tab.equals("Tokens"))
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Token surface.deep.heading"))
                        .waitFor();
            assertThat((List<?>) page.evaluate(COVERED)).as(tab).isEmpty();
        }
    }

    @Test
    void rampsKeepTheRoomThatTheirNumbersNeedAndTheRestIsScrolledTo() {
        open("Color");
        assertThat(page.getByRole(
                                AriaRole.SLIDER,
                                new Page.GetByRoleOptions()
                                        .setName("Shades of sea")
                                        .setExact(true))
                        .boundingBox()
                        .width)
                .isGreaterThan(LEAST_STRIP);
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Propose").setExact(true))
                .click();
        assertThat(page.getByRole(AriaRole.DIALOG)
                        .or(page.getByRole(AriaRole.MENU))
                        .first()
                        .isVisible())
                .isTrue();
    }
}
