package org.umberloom.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.FormData;
import com.microsoft.playwright.options.RequestOptions;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.ThemeDocument;

/** A browser in front of the application, as a person would have it. */
final class Browsing {
    static final int BAYS = 4;

    private Browsing() {}

    static Browser launch(Playwright playwright) {
        return playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of(System.getenv("LOOM_BROWSER")))
                        .setArgs(List.of(
                                "--no-sandbox",
                                "--font-render-hinting=none",
                                "--disable-background-networking",
                                "--disable-component-update")));
    }

    static Page signedIn(Browser browser, String address) {
        Page page = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800))
                .newPage();
        page.navigate(address + "/sign-in");
        page.getByLabel("E-mail address").fill(Application.EMAIL);
        page.getByLabel("Password").fill(Application.PASSWORD);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in"))
                .click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Library"))
                .waitFor();
        return page;
    }

    /** The number of the new theme. */
    static String importTheme(Page page, String address, ThemeDocument theme) {
        String token = (String) page.evaluate("() => /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]");
        String answer = page.request()
                .post(
                        address + "/api/kits",
                        RequestOptions.create()
                                .setHeader("X-XSRF-TOKEN", token)
                                .setMultipart(FormData.create()
                                        .set(
                                                "file",
                                                new FilePayload(
                                                        "bench.json",
                                                        "application/json",
                                                        ThemeJson.writeInline(theme)
                                                                .getBytes(StandardCharsets.UTF_8)))))
                .text();
        return answer.replaceAll("(?s).*?\"id\":(\\d+).*", "$1");
    }

    /** The bench with four bays, the demo's pages loaded in them. */
    static void openBench(Page page, String address, String theme) {
        page.navigate(address + "/bench/" + theme);
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Color"))
                .waitFor();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Add a bay"))
                .click();
        for (int bay = 0; bay < BAYS; bay++) {
            page.getByLabel("Page", new Page.GetByLabelOptions().setExact(true))
                    .nth(bay)
                    .selectOption(bay == 1 ? "crossings/timetable" : "crossings/index");
            page.locator("iframe")
                    .nth(bay)
                    .contentFrame()
                    .locator("h1", new FrameLocator.LocatorOptions().setHasText(bay == 1 ? "Summer" : "Five islands"))
                    .waitFor();
        }
    }

    /**
     * Milliseconds between one frame and the next while a list is scrolled.
     *
     * @param list  as a selector
     * @param step  px a frame
     * @param first frames that are not counted
     */
    @SuppressWarnings("unchecked")
    static List<Double> frames(Page page, String list, int count, int step, int first) {
        return (List<Double>) page.evaluate(
                """
                async ([selector, count, step, first]) => {
                  const list = document.querySelector(selector);
                  const next = () => new Promise((done) => requestAnimationFrame(done));
                  const frames = [];
                  let before = await next();
                  for (let i = 0; i < first + count; i++) {
                    list.scrollTop += step;
                    const now = await next();
                    if (i >= first) frames.push(now - before + 0.0001);
                    before = now;
                  }
                  return frames;
                }""",
                List.of(list, count, step, first));
    }
}
