package org.umberloom.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntConsumer;

/** From somebody's pointing at a value of a choice, or taking it by the keyboard, to the frame that shows it in all four bays. */
final class ChoiceTime {
    private static final int WARM_UP = 6;
    private static final int STRETCHES = 4;
    private static final int TIMES = 5;
    private static final String CHOICE = "header-width";
    /** Two of its values, and where they stand; the first is its standard. */
    private static final List<String> VALUES = List.of("content", "full");

    /** Milliseconds each. @param taken stored by the keyboard, without having been tried */
    record Result(List<Double> pointed, List<Double> taken) {}

    private ChoiceTime() {}

    static Result measure(String address) {
        try (Playwright playwright = Playwright.create();
                Browser browser = Browsing.launch(playwright)) {
            Page page = Browsing.signedIn(browser, address);
            Browsing.openBench(page, address, Browsing.importTheme(page, address, Themes.ofSize(1_000)));
            page.getByRole(
                            AriaRole.TAB,
                            new Page.GetByRoleOptions().setName("Frame").setExact(true))
                    .click();
            page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Header"))
                    .click();
            page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName("How far the header reaches to both sides"))
                    .click();
            Locator values = page.locator("fieldset button[aria-pressed]");
            values.nth(2).waitFor();
            page.waitForTimeout(1_500);
            heard(page);
            // The first is what is chosen: pointing at it shows nothing new.
            List<Double> pointed = samples(page, time -> values.nth(1 + time).hover());
            page.mouse().move(1, 1);
            page.waitForTimeout(500);
            List<Double> taken = samples(page, time -> values.nth(1 + time).press("Enter"));
            return new Result(pointed, taken);
        }
    }

    /** Notes when somebody does something, and when all four pages that were changed by it have been painted. */
    private static void heard(Page page) {
        page.evaluate(
                """
                ([attribute, bays]) => {
                  const frames = [...document.querySelectorAll('iframe')]
                    .filter((frame) => frame.contentDocument.querySelector('h1')).slice(0, bays);
                  const read = () => frames.map((frame) => frame.contentDocument.documentElement.getAttribute(attribute));
                  window.samples = [];
                  window.armed = false;
                  const wait = (from) => {
                    if (!read().every((value) => value === window.wanted)) return requestAnimationFrame(() => wait(from));
                    const channel = new MessageChannel();
                    channel.port1.onmessage = () => window.samples.push(performance.now() - from + 0.0001);
                    channel.port2.postMessage(0);
                  };
                  for (const kind of ['pointerover', 'keydown'])
                    addEventListener(kind, (e) => {
                      if (!e.isTrusted || !window.armed || !e.target.closest('fieldset button')) return;
                      window.armed = false;
                      wait(e.timeStamp);
                    }, true);
                }""",
                List.of("data-choice-" + CHOICE, Browsing.BAYS));
    }

    @SuppressWarnings("unchecked")
    private static List<Double> samples(Page page, IntConsumer act) {
        int[] done = {0};
        int before = ((Number) page.evaluate("() => window.samples.length")).intValue();
        java.util.function.Function<Integer, List<Double>> stretch = times -> {
            List<Double> all = new ArrayList<>();
            for (int i = 0; i < times; i++) {
                int value = done[0]++ % VALUES.size();
                page.evaluate("wanted => { window.wanted = wanted; window.armed = true; }", VALUES.get(value));
                act.accept(value);
                page.waitForFunction("n => window.samples.length >= n", before + done[0]);
                all.add(((Number) page.evaluate("() => window.samples.at(-1)")).doubleValue());
                page.waitForTimeout(120);
            }
            return all;
        };
        stretch.apply(WARM_UP);
        return Undisturbed.samples(STRETCHES, () -> stretch.apply(TIMES));
    }
}
