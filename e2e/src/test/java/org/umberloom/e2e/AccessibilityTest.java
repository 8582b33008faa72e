package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Every screen against the WCAG 2.2 A and AA rules of axe-core (version as in ui/package-lock.json). */
class AccessibilityTest {
    private final Loom loom = Loom.withDemo();
    private static final String ALL = "['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']";
    private static final String COLORS = "{ type: 'rule', values: ['color-contrast'] }";

    @Test
    void noScreenViolatesARule() throws IOException {
        Page page = Browsers.atLibrary(loom, ColorScheme.LIGHT);
        check(page, "library");
        button(page, "New theme").click();
        page.getByText("Herringbone").waitFor();
        check(page, "new theme");
        page.keyboard().press("Escape");
        page.getByLabel("Search themes by name").fill("Tern Passage");
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Tern Passage").setExact(true))
                .first()
                .click();
        page.locator("iframe").first().contentFrame().locator("h1").waitFor();
        for (String tab :
                List.of("Color", "Type", "Space", "Widths", "Parts", "Own CSS", "Sets", "Tokens", "History")) {
            page.getByRole(
                            AriaRole.TAB,
                            new Page.GetByRoleOptions().setName(tab).setExact(true))
                    .click();
            check(page, "bench, " + tab);
        }
        page.getByRole(
                        AriaRole.TAB,
                        new Page.GetByRoleOptions().setName("Color").setExact(true))
                .click();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Find").setExact(true))
                .click();
        button(page, "Harmonies of").click();
        page.getByText("one in each bay").first().waitFor();
        check(page, "find colors");
        page.keyboard().press("Escape");
        button(page, "Pick Seed of").click();
        page.getByText("Copy it as").waitFor();
        check(page, "the color field");
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Shades of lantern"))
                .press("Enter");
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Shade color.lantern.2"))
                .waitFor();
        check(page, "a shade");
        button(page, "Back to the seed").click();
        for (String view : List.of("Readable shades", "Ground", "On the pages")) {
            page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName(view).setExact(true))
                    .click();
            if (view.equals("On the pages")) page.getByText("all at least AA").waitFor();
            if (view.equals("Ground")) button(page, "Pattern").click();
            check(page, "surface, " + view);
        }
        checkDerivation(page);
        checkTrace(page);
        checkShapes(page);
        page.getByRole(
                        AriaRole.TAB,
                        new Page.GetByRoleOptions().setName("Tokens").setExact(true))
                .click();
        for (String token : List.of("color.sea.seed", "motion.swell", "shadow.mid", "gradient.fog", "type.h1")) {
            page.getByLabel("Search tokens").fill(token);
            page.getByRole(AriaRole.ROW).first().click();
            page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Token " + token))
                    .waitFor();
            check(page, "editor of " + token);
        }
        button(page, "New token").click();
        check(page, "new token");
        button(page, "Change several").click();
        check(page, "change several");
        button(page, "Combination of the instruments").click();
        check(page, "switches");
        page.keyboard().press("Escape");
        button(page, "History").click();
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("History"))
                .waitFor();
        check(page, "bench with its history");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Sets").setExact(true))
                .click();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Modifier").setExact(true))
                .click();
        check(page, "new modifier");
        button(page, "What to do with set base").click();
        page.getByRole(AriaRole.MENU).waitFor();
        check(page, "what to do with a set");
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Kit").setExact(true))
                .click();
        page.getByLabel("Text of theme.css").waitFor();
        check(page, "kit");
        checkFindings(page);
        checkReleases(page);
        page.navigate(loom.address() + "/library");
        page.getByLabel("Kit file")
                .setInputFiles(Files.writeString(
                        Files.createTempFile("kelp", ".json"),
                        "{\"colors\": {\"ink\": \"#221100\", \"paper\": \"#fffaf0\", \"action\": \"#0044aa\"}}"));
        button(page, "Take it in").waitFor();
        check(page, "what would come in");
        button(page, "Take it in").click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Dress kelp"))
                .waitFor();
        check(page, "dress");
        checkSites(page);
        page.navigate(loom.address() + "/bench/4711");
        page.getByText("This bench is empty").waitFor();
        check(page, "missing theme");
        page.context().clearCookies();
        page.navigate(loom.address() + "/sign-in");
        page.getByLabel("Password").waitFor();
        check(page, "sign-in");
        page.context().close();
    }

    /** The theme of the walk as it is before its first release, and with one that its draft is ahead of. */
    private void checkReleases(Page page) throws IOException {
        String address = Loom.withDemo().address();
        page.navigate(address + "/releases/1");
        button(page, "Release 1.0.0").waitFor();
        check(page, "releases, none yet");
        if (page.getByLabel("Why it is released all the same").isVisible())
            page.getByLabel("Why it is released all the same").fill("it is a test");
        button(page, "Release 1.0.0").click();
        page.getByLabel("Release 1.0.0").waitFor();
        check(page, "a release on its way to sites");
        page.navigate(address + "/hosts");
        button(page, "New host").click();
        page.getByText("Look at its key and confirm it first.").waitFor();
        check(page, "hosts");
        page.navigate(address + "/people");
        page.getByLabel("What it is for").fill("Harbour build");
        button(page, "Make a key").click();
        page.getByLabel("The new key").waitFor();
        check(page, "people with a new key");
    }

    private void checkFindings(Page page) throws IOException {
        page.navigate(Loom.withDemo().address() + "/findings/1");
        page.getByText("Live with it…").first().click();
        check(page, "findings");
    }

    private void checkShapes(Page page) throws IOException {
        for (String tray : List.of("Shape", "Frame")) {
            page.getByRole(
                            AriaRole.TAB,
                            new Page.GetByRoleOptions().setName(tray).setExact(true))
                    .click();
            if (tray.equals("Shape")) {
                page.getByText("Softness")
                        .or(button(page, "Let one light throw them"))
                        .first()
                        .waitFor();
                if (button(page, "Let one light throw them").isVisible())
                    button(page, "Let one light throw them").click();
            }
            if (tray.equals("Frame"))
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Footer"))
                        .first()
                        .waitFor();
            check(page, tray);
        }
    }

    private void checkDerivation(Page page) throws IOException {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Roles").setExact(true))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("muted in light"))
                .click();
        button(page, "Derive it").click();
        page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Derivation"))
                .waitFor();
        check(page, "a derivation");
        page.keyboard().press("Escape");
        assertThat(page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Derivation")))
                .isHidden();
    }

    private void checkTrace(Page page) throws IOException {
        page.locator("iframe").first().contentFrame().locator("h1").click();
        page.getByRole(AriaRole.COMPLEMENTARY).getByTitle("{color.ink.2}").waitFor();
        check(page, "bench with a trace");
    }

    private void checkSites(Page page) throws IOException {
        page.navigate(loom.address() + "/fonts");
        page.getByText("Worn by").waitFor();
        check(page, "fonts");
        page.navigate(loom.address() + "/sites");
        page.getByText("Strays").first().waitFor();
        check(page, "sites");
        button(page, "Look").first().click();
        page.getByText("Or as a token of the theme").waitFor();
        check(page, "strays of all sites, looked at");
        button(page, "New site").click();
        page.getByText("Pages to begin with").waitFor();
        check(page, "new site");
        page.keyboard().press("Escape");
        page.navigate(loom.address() + "/sites/galley");
        page.getByLabel("Reason to keep").waitFor();
        check(page, "site");
        com.microsoft.playwright.Locator theme = page.getByLabel("Theme", new Page.GetByLabelOptions().setExact(true));
        String other = theme.locator("option", new com.microsoft.playwright.Locator.LocatorOptions().setHasText("kelp"))
                .first()
                .getAttribute("value");
        theme.selectOption(other);
        page.getByText("What does not fit").waitFor();
        check(page, "a theme before it is worn");
        page.navigate(loom.address() + "/sites/galley/index");
        button(page, "section “Soup at sea level”").click();
        button(page, "Add a part").click();
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Headings"))
                .getByText("Soup at sea level")
                .click();
        check(page, "a page in its plan");
        page.navigate(loom.address() + "/coverage/1?of=surface.page.link");
        page.getByText("Pages where it is hidden").waitFor();
        check(page, "coverage");
    }

    private static com.microsoft.playwright.Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    /** By all rules in the light; in the dark only the colors are others. */
    private void check(Page page, String screen) throws IOException {
        if (!(Boolean) page.evaluate("() => 'axe' in window"))
            page.evaluate(Files.readString(Loom.HOME.resolve("ui/node_modules/axe-core/axe.min.js")));
        // What is only about to be seen has no color yet.
        page.waitForFunction(
                "() => [...document.querySelectorAll('[data-sonner-toast]')].every((one) => getComputedStyle(one).opacity === '1')");
        assertThat(violations(page, ALL)).as(screen).isEmpty();
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
        page.waitForFunction("() => document.getAnimations().every((one) => one.playState !== 'running')");
        assertThat(violations(page, COLORS)).as("%s in the dark", screen).isEmpty();
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
    }

    @SuppressWarnings("unchecked")
    private static List<String> violations(Page page, String rules) {
        return (List<String>) page.evaluate(
                """
                async () => {
                  const result = await axe.run(document, { iframes: false, runOnly: %s, resultTypes: ['violations'] });
                  if (result.passes.length === 0) throw new Error('no rule was applied');
                  // WCAG 2.2, 2.5.8, exception “Equivalent”: what is drawn small can be done by a larger control beside it.
                  const equal = (v, n) => v.id === 'target-size' && document.querySelector(n.target[0])?.closest('[data-equivalent]');
                  return result.violations.flatMap((v) => v.nodes.filter((n) => !equal(v, n))
                      .map((n) => v.id + ': ' + n.html.slice(0, 200) + ' ' + n.failureSummary));
                }"""
                        .formatted(rules));
    }
}
