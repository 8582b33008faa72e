package org.umberloom.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;

/** The token explorer with a theme of 10,000 tokens, all of them listed, scrolled a little in every frame. */
final class ExplorerScroll {
    private static final int FRAMES = 300;
    private static final int WARM_UP = 60;
    /** px a frame: about what a fast wheel does. */
    private static final int STEP = 120;

    private static final double DISPLAY_INTERVAL = 1000.0 / 60;

    /** Milliseconds between one frame and the next. */
    record Result(List<Double> frames) {
        double lateShare() {
            return frames.stream()
                            .filter(frame -> frame > 1.5 * DISPLAY_INTERVAL)
                            .count()
                    / (double) frames.size();
        }
    }

    private ExplorerScroll() {}

    static Result measure(String address) {
        try (Playwright playwright = Playwright.create();
                Browser browser = Browsing.launch(playwright)) {
            Page page = Browsing.signedIn(browser, address);
            page.navigate(address + "/bench/" + Browsing.importTheme(page, address, Themes.ofSize(10_000)));
            page.getByRole(
                            AriaRole.TAB,
                            new Page.GetByRoleOptions().setName("Tokens").setExact(true))
                    .click();
            page.getByRole(AriaRole.ROW).first().waitFor();
            page.getByLabel("Search tokens").fill(".");
            page.waitForFunction(
                    "() => Number(document.querySelector('[role=treegrid]').getAttribute('aria-rowcount')) > 9000");
            List<Double> frames = Browsing.frames(page, "[role=treegrid]", FRAMES, STEP, WARM_UP);
            return new Result(frames);
        }
    }
}
