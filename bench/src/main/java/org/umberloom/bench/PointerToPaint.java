package org.umberloom.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.umberloom.core.contract.Contract;

/** From a move of the pointer to the frame that shows it in all four bays, with a theme of 1,000 tokens. */
final class PointerToPaint {
    /** Stretches of so many moves. */
    private static final int STRETCHES = 8;

    private static final int MOVES = 30;
    private static final int WARM_UP = 60;
    /** How far the pointer is moved to the left and up at the most, in px. */
    private static final int LEFT = 34;

    /**
     * What is dragged.
     *
     * @param words    for people
     * @param tab      of the tray it stands in
     * @param handle   what the pointer takes hold of
     * @param property of the pages that every move changes
     */
    enum Drag {
        HUE(
                "the hue of a seed",
                "Color",
                page -> page.getByRole(
                        AriaRole.SLIDER,
                        new Page.GetByRoleOptions().setName("Hue").setExact(true)),
                "--color-brand-40"),
        SPACE("base of the spacing", "Space", page -> numbersHandle(page, "Base"), "--space-5"),
        WIDTHS("width of the content", "Widths", page -> numbersHandle(page, "content in px"), "--width-content"),
        TYPE("base of the type scale", "Type", page -> numbersHandle(page, "Wide base"), "--size-0"),
        RATIO("ratio of the type scale", "Type", page -> numbersHandle(page, "Wide ratio"), "--size-3"),
        WEIGHT("weight of running text", "Type", page -> numbersHandle(page, "text weight"), "--weight-text"),
        LINE("line heights by the curve's end", "Type", Drag::lineHeight, "--type-body-line"),
        RADIUS("corner of cards", "Shape", page -> lengthHandle(page, "part.card.radius"), "--part-card-radius"),
        PADDING("padding of cards", "Shape", page -> lengthHandle(page, "part.card.inset"), "--part-card-inset"),
        LIGHT("the light of all shadows", "Shape", Drag::light, "--shadow-card"),
        HEADER("height of the header", "Frame", page -> lengthHandle(page, "part.header.air"), "--part-header-air") {
            /** The air cannot be less than none: it is only made more. */
            @Override
            int aside() {
                return LEFT;
            }
        };

        private final String words;
        private final String tab;
        private final Function<Page, Locator> handle;
        private final String property;

        Drag(String words, String tab, Function<Page, Locator> handle, String property) {
            this.words = words;
            this.tab = tab;
            this.handle = handle;
            this.property = property;
        }

        /** Where a length is pulled, by what its role is for. */
        private static Locator lengthHandle(Page page, String role) {
            String purpose = Contract.standard().roles().get(role).purpose();
            return page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName(purpose))
                    .first();
        }

        /** Styles of a starter stand on no curve yet. */
        private static Locator lineHeight(Page page) {
            page.getByRole(
                            AriaRole.RADIO,
                            new Page.GetByRoleOptions().setName("line heights").setExact(true))
                    .click();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Put styles on this curve"))
                    .click();
            page.getByText(" on it").waitFor();
            return page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("The small end"));
        }

        /** A theme of a starter has none yet. */
        private static Locator light(Page page) {
            page.getByText("Let one light throw them").click();
            return page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("The light; left and right"));
        }

        /** How far from the handle's own place all moves are, in px. */
        int aside() {
            return 0;
        }

        /** What is dragged, for people. */
        String words() {
            return words;
        }
    }

    private PointerToPaint() {}

    static Locator numbersHandle(Page page, String label) {
        return page.locator("label")
                .filter(new Locator.FilterOptions()
                        .setHas(page.getByLabel(label, new Page.GetByLabelOptions().setExact(true))))
                .getByTitle("Drag sideways");
    }

    /** Milliseconds of each move, a list for each round. */
    static List<List<Double>> measure(String address, Drag drag, int rounds) {
        try (Playwright playwright = Playwright.create();
                Browser browser = Browsing.launch(playwright)) {
            Page page = Browsing.signedIn(browser, address);
            List<List<Double>> times = new ArrayList<>();
            for (int round = 0; round < rounds; round++) {
                Browsing.openBench(page, address, Browsing.importTheme(page, address, Themes.ofSize(1_000)));
                page.getByRole(
                                AriaRole.TAB,
                                new Page.GetByRoleOptions().setName(drag.tab).setExact(true))
                        .click();
                times.add(moves(page, drag.handle.apply(page), drag.property, "html", true, drag.aside()));
            }
            return times;
        }
    }

    /**
     * Milliseconds of each move.
     *
     * @param handle   what the pointer takes hold of
     * @param property that every move changes
     * @param selector of the element in a page where that is read
     * @param all      whether every bay has to show it, or the first alone
     * @param aside    how far from the handle's own place all moves are, in px
     */
    @SuppressWarnings("unchecked")
    static List<Double> moves(Page page, Locator handle, String property, String selector, boolean all, int aside) {
        page.evaluate(
                """
                ([property, selector, all, bays]) => {
                  const frames = [...document.querySelectorAll('iframe')].slice(0, all ? bays : 1);
                  const at = (frame) => frame.contentDocument.querySelector(selector);
                  const read = () => frames.map((frame) => getComputedStyle(at(frame)).getPropertyValue(property));
                  window.samples = [];
                  let shown = read();
                  let moved = null;
                  for (const kind of ['pointerrawupdate', 'pointermove'])
                    addEventListener(kind, (e) => {
                      if (!e.isTrusted || !window.armed) return;
                      window.armed = false;
                      moved = e.timeStamp;
                    }, true);
                  const mark = performance.mark.bind(performance);
                  performance.mark = (...words) => {
                    if (moved !== null) requestAnimationFrame(() => {
                      const next = read();
                      if (moved === null || !next.every((value, i) => value !== shown[i])) return;
                      const from = moved;
                      shown = next;
                      moved = null;
                      // A message sent from a frame arrives when that frame has been painted.
                      const channel = new MessageChannel();
                      channel.port1.onmessage = () => window.samples.push(performance.now() - from + 0.0001);
                      channel.port2.postMessage(0);
                    });
                    return mark(...words);
                  };
                }""",
                List.of(property, selector, all, Browsing.BAYS));
        handle.waitFor();
        BoundingBox box = handle.boundingBox();
        double y = box.y + box.height / 2;
        double center = box.x + box.width / 2;
        page.mouse().move(center, y);
        page.mouse().down();
        int[] moved = {0};
        Function<Integer, List<Double>> move = moves -> {
            for (int i = 0; i < moves; i++, moved[0]++) {
                // One move is told of twice, when it happens and with the frame; only the first is timed.
                page.evaluate("() => { window.armed = true; }");
                int by = aside + (moved[0] % 2 == 0 ? -LEFT + moved[0] % 29 : 6 + moved[0] % 23);
                page.mouse().move(center + by, y + by);
                page.waitForFunction(
                        "n => window.samples.length >= n",
                        moved[0] + 1,
                        new Page.WaitForFunctionOptions().setPollingInterval(20));
            }
            return (List<Double>) page.evaluate("n => window.samples.slice(-n)", moves);
        };
        move.apply(WARM_UP);
        List<Double> samples = Undisturbed.samples(STRETCHES, () -> move.apply(MOVES));
        page.mouse().up();
        return samples;
    }
}
