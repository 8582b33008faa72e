package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;

/** The WCAG 2.2 A and AA rules and best practices of axe-core (version as in ui/package-lock.json) on a screen, in both schemes. */
final class Axe {
    private static final String ALL = "['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']";
    private static final String COLORS = "{ type: 'rule', values: ['color-contrast'] }";

    private static final String SCREEN = "['html']";
    /** The instrument that is open on the bench, and what lies over it. */
    private static final String INSTRUMENT =
            "['[role=tabpanel][data-state=active]', '[role=dialog]', '[role=menu]', '[role=listbox]']";

    private Axe() {}

    /** By all rules in the light; in the dark only the colors are others. */
    static void screen(Page page, String named) throws IOException {
        check(page, named, SCREEN);
    }

    /** As {@link #screen}, of what changed there since the bench was looked at as a whole. */
    static void instrument(Page page, String named) throws IOException {
        check(page, named, INSTRUMENT);
    }

    private static void check(Page page, String named, String within) throws IOException {
        if (!(Boolean) page.evaluate("() => 'axe' in window"))
            page.evaluate(Files.readString(Loom.HOME.resolve("ui/node_modules/axe-core/axe.min.js")));
        // What is only about to be seen has no color yet.
        page.waitForFunction(
                "() => [...document.querySelectorAll('[data-sonner-toast]')].every((one) => getComputedStyle(one).opacity === '1')");
        assertThat(violations(page, within, ALL)).as(named).isEmpty();
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
        page.waitForFunction("() => document.getAnimations().every((one) => one.playState !== 'running')");
        assertThat(violations(page, within, COLORS)).as("%s in the dark", named).isEmpty();
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
    }

    @SuppressWarnings("unchecked")
    private static List<String> violations(Page page, String within, String rules) {
        return (List<String>) page.evaluate(
                """
                async () => {
                  const include = %s.filter((one) => document.querySelector(one));
                  const result = await axe.run({ include }, { iframes: false, runOnly: %s, resultTypes: ['violations'] });
                  if (result.passes.length === 0) throw new Error('no rule was applied');
                  // WCAG 2.2, 2.5.8, exception “Equivalent”: what is drawn small can be done by a larger control beside it.
                  const equal = (v, n) => v.id === 'target-size' && document.querySelector(n.target[0])?.closest('[data-equivalent]');
                  return result.violations.flatMap((v) => v.nodes.filter((n) => !equal(v, n))
                      .map((n) => v.id + ': ' + n.html.slice(0, 200) + ' ' + n.failureSummary));
                }"""
                        .formatted(within, rules));
    }
}
