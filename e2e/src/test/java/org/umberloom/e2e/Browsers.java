package org.umberloom.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.umberloom.core.json.Json;

/** One headless Chromium for all tests, and the steps that many of them begin with. */
final class Browsers {
    private static final Playwright PLAYWRIGHT = Playwright.create();
    private static final Browser BROWSER = PLAYWRIGHT
            .chromium()
            .launch(new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of(System.getenv("LOOM_BROWSER")))
                    .setArgs(List.of(
                            "--no-sandbox",
                            // Letters as wide as their font says, as in a browser with a window.
                            "--font-render-hinting=none",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-gpu")));

    /** Long enough for a machine that is busy with other things: how long anything takes is not tested. */
    private static final int PATIENCE_MS = 30_000;

    static {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
    }

    /** The cookies of who signed in last, by address. */
    private static final Map<String, String> SESSIONS = new HashMap<>();

    private Browsers() {}

    static BrowserContext context(ColorScheme scheme) {
        return BROWSER.newContext(options(scheme));
    }

    /** One that takes a certificate nobody vouches for. */
    static BrowserContext insecure() {
        return BROWSER.newContext(
                new Browser.NewContextOptions().setViewportSize(1280, 800).setIgnoreHTTPSErrors(true));
    }

    private static Browser.NewContextOptions options(ColorScheme scheme) {
        return new Browser.NewContextOptions()
                .setViewportSize(1280, 800)
                .setColorScheme(scheme)
                .setAcceptDownloads(true);
    }

    /** A page of a new context, signed in, empty yet; in the session of an earlier one where it still holds. */
    static Page signedIn(Loom loom, ColorScheme scheme) {
        BrowserContext context = BROWSER.newContext(
                options(scheme).setBaseURL(loom.address()).setStorageState(SESSIONS.get(loom.address())));
        Page page = context.newPage();
        if (page.request().get("/api/session").status() != 200) {
            Prepared.sent(
                    page, "POST", "/api/session", Json.write(Map.of("email", Loom.EMAIL, "password", Loom.PASSWORD)));
            // Signing in changes the token that guards changes.
            page.request().get("/api/session");
            SESSIONS.put(loom.address(), context.storageState());
        }
        return page;
    }

    /** One that stands at the library. */
    static Page atLibrary(Loom loom, ColorScheme scheme) {
        Page page = signedIn(loom, scheme);
        library(page);
        return page;
    }

    static void library(Page page) {
        page.navigate("/library");
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Library"))
                .waitFor();
    }

    static void fillSignIn(Page page) {
        page.getByLabel("E-mail address").fill(Loom.EMAIL);
        page.getByLabel("Password").fill(Loom.PASSWORD);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in"))
                .click();
    }

    /** Makes a theme of a starter with a seed and opens it; waits until its pages are shown. @return its number */
    static String newTheme(Page page, String name, String starter) {
        String theme = Prepared.theme(page, name, starter);
        page.navigate("/bench/" + theme);
        page.locator("iframe").first().contentFrame().locator("h1").waitFor();
        heard(page);
        return theme;
    }

    /** Makes a theme and shows it on the demo's pages; a theme that no site wears is shown on its specimens first. */
    static void newThemeOnPages(Page page, String name, String starter) {
        newTheme(page, name, starter);
        onPages(page);
    }

    /** Shows the demo's pages in the bays of an open bench. */
    static void onPages(Page page) {
        Locator bays = page.getByLabel("Page", new Page.GetByLabelOptions().setExact(true));
        for (int bay = 0; bay < bays.count(); bay++) {
            bays.nth(bay).selectOption(bay == 1 ? "crossings/timetable" : "crossings/index");
            page.locator("iframe")
                    .nth(bay)
                    .contentFrame()
                    .locator("h1", new FrameLocator.LocatorOptions().setHasText(bay == 1 ? "Summer" : "Five islands"))
                    .waitFor();
        }
        heard(page);
    }

    /** Waits until all pages in the bays are there as a whole: the bench hears what is done on them from then on. */
    static void heard(Page page) {
        page.waitForFunction(
                """
                () => [...document.querySelectorAll('iframe:not([loading=lazy])')].every((one) => {
                  const inner = one.contentDocument;
                  return inner && inner.readyState === 'complete' && inner.URL.endsWith(one.getAttribute('src'));
                })""");
    }

    /** Imports a file in the library: looks at what would come in, and takes it in. */
    static void importFile(Page page, Path file) {
        page.getByLabel("Kit file").setInputFiles(file);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Import theme"))
                .click();
    }

    /** Opens the bench of a theme and waits until its pages are shown. */
    static void openBench(Page page, String theme) {
        page.navigate("/bench/" + Prepared.number(page, theme));
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Color"))
                .waitFor();
        page.locator("iframe").first().contentFrame().locator("h1").waitFor();
        heard(page);
    }

    /** Presses the seed's hue slider and moves it; the button stays down. */
    static void pressAndDragHue(Page page, int px, int steps) {
        pressAndDrag(
                page,
                page.getByRole(
                        AriaRole.SLIDER,
                        new Page.GetByRoleOptions().setName("Hue").setExact(true)),
                px,
                steps);
    }

    /** Presses what can be dragged in its middle and moves it sideways; the button stays down. */
    static void pressAndDrag(Page page, Locator handle, int px, int steps) {
        BoundingBox box = handle.boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        for (int step = 1; step <= steps; step++) page.mouse().move(x + px * (double) step / steps, y);
    }

    /** The color that the first bay's opening section stands on. */
    static String groundOfHero(Page page) {
        return (String) page.locator("iframe")
                .first()
                .contentFrame()
                .locator("h1")
                .evaluate("e => getComputedStyle(e.closest('section')).backgroundColor");
    }
}
