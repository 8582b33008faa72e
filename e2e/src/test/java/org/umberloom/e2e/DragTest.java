package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** While a value is dragged, what is seen of the pages shows it in every frame, and what is not seen rests. */
class DragTest {
    private Page page;

    @BeforeEach
    void openTheBench() {
        page = Browsers.signedIn(Loom.withDemo(), ColorScheme.LIGHT);
        Browsers.newThemeOnPages(page, "Held", "Plain weave");
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    private FrameLocator firstBay() {
        return page.locator("iframe").first().contentFrame();
    }

    /** Notes in each frame that shows a trial how many boxes of the first page rest, and how many of them are in sight. */
    private void watchWhatRests() {
        page.evaluate(
                """
                () => {
                  window.frames_ = [];
                  const mark = performance.mark.bind(performance);
                  performance.mark = (...words) => {
                    requestAnimationFrame(() => {
                      const doc = document.querySelector('iframe').contentDocument;
                      const resting = [...doc.body.querySelectorAll('*')].filter((e) => e.style.contentVisibility === 'hidden');
                      const fold = doc.documentElement.clientHeight;
                      window.frames_.push({ resting: resting.length, height: doc.documentElement.scrollHeight,
                        inSight: resting.filter((e) => e.getBoundingClientRect().top < fold).length });
                    });
                    return mark(...words);
                  };
                }""");
    }

    @SuppressWarnings("unchecked")
    private List<Map<String, Integer>> frames() {
        return (List<Map<String, Integer>>) page.evaluate("() => window.frames_");
    }

    private int resting() {
        return (Integer) firstBay()
                .locator("body")
                .evaluate(
                        "b => [...b.querySelectorAll('*')].filter(e => e.style.contentVisibility === 'hidden').length");
    }

    /** The ground of the page's last section, far below what the bay shows. */
    private String groundOfTheLast() {
        return (String) firstBay()
                .locator("[data-surface=accent], [data-surface=tint], [data-surface=deep]")
                .last()
                .evaluate("e => getComputedStyle(e).backgroundColor");
    }

    /** What a number is dragged by. */
    private Locator handleOf(String number) {
        return page.locator("label")
                .filter(new Locator.FilterOptions()
                        .setHas(page.getByLabel(number, new Page.GetByLabelOptions().setExact(true))))
                .getByTitle("Drag sideways");
    }

    @Test
    void whatLiesBelowTheFoldRestsUntilThePointerDoes() {
        String before = groundOfTheLast();
        int height = (Integer) firstBay().locator("html").evaluate("e => e.scrollHeight");
        watchWhatRests();
        Browsers.pressAndDragHue(page, -50, 8);
        page.waitForCondition(() -> frames().stream().anyMatch(frame -> frame.get("resting") > 2));
        assertThat(frames()).allSatisfy(frame -> {
            assertThat(frame.get("inSight")).isZero();
            assertThat(frame.get("height")).isBetween(height - 3, height + 3);
        });
        // The button is still down; the pointer merely rests.
        page.waitForCondition(() -> resting() == 0 && !groundOfTheLast().equals(before));
        assertThat(page.getByTestId("saved-state")).containsText("Trying, not saved");
        String tried = groundOfTheLast();
        page.mouse().up();
        assertThat(page.getByTestId("saved-state")).containsText("Saved");
        assertThat(groundOfTheLast()).isEqualTo(tried);
        assertThat(firstBay().locator("body [style*=contain], body [style*=visibility]"))
                .hasCount(0);
    }

    @Test
    void whatIsScrolledToDoesNotRest() {
        firstBay().locator("html").evaluate("e => e.ownerDocument.defaultView.scrollTo(0, e.scrollHeight)");
        String before = groundOfTheLast();
        watchWhatRests();
        Browsers.pressAndDragHue(page, -50, 4);
        page.waitForCondition(() -> !groundOfTheLast().equals(before));
        assertThat(frames()).isNotEmpty().allSatisfy(frame -> assertThat(frame.get("resting"))
                .isZero());
        page.mouse().up();
    }

    @Test
    void scrollingWakesThePageAtOnce() {
        page.evaluate(
                """
                () => {
                  const doc = document.querySelector('iframe').contentDocument;
                  const resting = () => [...doc.body.querySelectorAll('*')].filter((e) => e.style.contentVisibility === 'hidden').length;
                  const mark = performance.mark.bind(performance);
                  performance.mark = (...words) => {
                    if (resting() > 0 && !window.before) {
                      window.before = resting();
                      doc.addEventListener('scroll', () => (window.after = resting()), { once: true });
                      doc.defaultView.scrollTo(0, 40);
                    }
                    return mark(...words);
                  };
                }""");
        Browsers.pressAndDragHue(page, -50, 1);
        page.waitForFunction("() => window.after !== undefined");
        assertThat((Integer) page.evaluate("() => window.before")).isPositive();
        assertThat((Integer) page.evaluate("() => window.after")).isZero();
        page.mouse().up();
    }

    /** Smaller text draws up what lay below: it wakes in the frame in which it comes into sight. */
    @Test
    void whatComesIntoSightIsThere() {
        // Room for so much of the page that boxes come into sight when it shrinks.
        for (int step = 0; step < 6; step++)
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Height of the tray"))
                    .press("ArrowDown");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Type"))
                .click();
        watchWhatRests();
        Browsers.pressAndDrag(page, handleOf("Wide base"), -120, 12);
        assertThat(page.getByLabel("Wide base", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("10.5");
        page.waitForCondition(() -> {
            List<Integer> resting =
                    frames().stream().map(frame -> frame.get("resting")).toList();
            return !resting.isEmpty() && resting.get(resting.size() - 1) < resting.get(0);
        });
        assertThat(frames())
                .allSatisfy(frame -> assertThat(frame.get("inSight")).isZero());
        page.mouse().up();
        assertThat(page.getByTestId("saved-state")).containsText("Saved");
    }

    /** A trial that changes less than the one before it lets the rest go back; and what was let go where it was is no edit. */
    @Test
    void draggedBackToItsPlaceAValueLeavesThePageAsItWas() {
        String stored = page.getByTestId("saved-state").textContent();
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Space"))
                .click();
        String before = gapBelowMain();
        Browsers.pressAndDrag(page, handleOf("Base"), 40, 5);
        page.waitForCondition(() -> !gapBelowMain().equals(before));
        assertThat(page.getByTestId("saved-state")).containsText("Trying, not saved");
        BoundingBox handle = handleOf("Base").boundingBox();
        page.mouse().move(handle.x + handle.width / 2, handle.y + handle.height / 2);
        page.waitForCondition(() -> gapBelowMain().equals(before));
        page.mouse().up();
        assertThat(page.getByTestId("saved-state")).hasText(stored);
    }

    /** What a field shows in so many frames from now on. */
    @SuppressWarnings("unchecked")
    private static List<String> inFrames(Locator field, int frames) {
        return (List<String>) field.evaluate(
                """
                (field, frames) => new Promise((done) => {
                  const shown = [];
                  const frame = () => (shown.push(field.value) < frames ? requestAnimationFrame(frame) : done(shown));
                  requestAnimationFrame(frame);
                })""",
                frames);
    }

    private String gapBelowMain() {
        return (String) firstBay().locator("main").evaluate("e => getComputedStyle(e).paddingBottom");
    }

    /** What is stored takes its time; until it is known, the number is the one that was let go. */
    @Test
    void aNumberStaysWhereItWasLetGo() {
        CompletableFuture<Runnable> stored = new CompletableFuture<>();
        page.route("**/edits", route -> stored.complete(route::resume));
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Space"))
                .click();
        Locator base = page.getByLabel("Base", new Page.GetByLabelOptions().setExact(true));
        double before = Double.parseDouble(base.inputValue());
        Browsers.pressAndDrag(page, handleOf("Base"), 40, 5);
        String wanted = String.valueOf(before + 5).replaceAll("\\.0$", "");
        assertThat(base).hasValue(wanted);
        page.mouse().up();
        page.waitForCondition(stored::isDone);
        assertThat(inFrames(base, 30)).containsOnly(wanted);
        assertThat(page.getByTestId("saved-state")).containsText("Saving");
        stored.join().run();
        assertThat(page.getByTestId("saved-state")).containsText("Saved");
        assertThat(base).hasValue(wanted);
    }
}
