package org.umberloom.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Fonts as people handle them: one brought in until its specimen is there, all specimens scrolled, and the lines of the demo's pages. */
final class FontTimes {
    private static final String SPECIMEN = "[role=listbox] [role=option]";
    private static final int TIMES = 9;
    private static final int FRAMES = 240;
    private static final int WARM_UP = 30;
    /** px a frame. */
    private static final int STEP = 24;
    /** Debian's largest of a common package; 742 kB. */
    private static final Path LARGE = Path.of("/usr/share/fonts/truetype/dejavu/DejaVuSans.ttf");

    private static final List<String> SITES = List.of("crossings", "freight", "galley", "trust", "winter", "crew");

    /** In milliseconds. @param brought empty where the machine has not the file */
    record Result(List<Double> brought, List<Double> frames, List<Double> reading) {}

    private FontTimes() {}

    static Result measure(String address) throws IOException {
        try (Playwright playwright = Playwright.create();
                Browser browser = Browsing.launch(playwright)) {
            Page page = Browsing.signedIn(browser, address);
            page.navigate(address + "/fonts");
            page.locator(SPECIMEN).first().waitFor();
            List<Double> frames = Browsing.frames(page, "[role=listbox]", FRAMES, STEP, WARM_UP);
            return new Result(Files.exists(LARGE) ? bring(page) : List.of(), frames, reading(page, address));
        }
    }

    private static List<Double> bring(Page page) {
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < TIMES; i++) {
            long start = System.nanoTime();
            page.getByLabel("Font files").setInputFiles(LARGE);
            page.waitForFunction(
                    "() => [...document.fonts].some((one) => one.family.includes('DejaVu') && one.status === 'loaded')");
            page.evaluate("() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))");
            times.add((System.nanoTime() - start) / 1e6);
            page.getByText("Remove the family").click();
            page.locator(SPECIMEN)
                    .filter(new Locator.FilterOptions().setHasText("DejaVu"))
                    .waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.DETACHED));
            page.reload();
            page.locator(SPECIMEN).first().waitFor();
        }
        return times;
    }

    /** All pages of the demo, 29 of them, at four widths each. */
    private static List<Double> reading(Page page, String address) {
        for (int i = 0; i < 2; i++) read(page, address);
        return Undisturbed.samples(TIMES, () -> List.of(read(page, address)));
    }

    private static double read(Page page, String address) {
        long start = System.nanoTime();
        for (String site : SITES)
            if (!page.request().get(address + "/api/sites/" + site + "/reading").ok())
                throw new IllegalStateException("the reading of " + site + " was refused");
        return (System.nanoTime() - start) / 1e6;
    }
}
