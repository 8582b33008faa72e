package org.umberloom.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.FormData;
import com.microsoft.playwright.options.RequestOptions;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.ThemeDocument;

/**
 * From the pointer's move to the frame that shows it in all four bays, with a theme of 1,000 tokens; and the time a
 * probe takes from its request to its answer, without the drawing.
 */
final class LivePath {
    private static final int MOVES = 240;
    private static final int WARM_UP = 60;
    /** A server that has run for a while has compiled its own code. */
    private static final int PROBE_WARM_UP = 1_500;

    /** Milliseconds, one for each move or probe. */
    record Result(List<Double> pointerToPaint, List<Double> probe, List<Double> server) {
    }

    private LivePath() {
    }

    static Browser launch(Playwright playwright) {
        return playwright.chromium().launch(new BrowserType.LaunchOptions().setExecutablePath(Path.of("/usr/bin/chromium"))
                .setArgs(List.of("--no-sandbox", "--disable-background-networking", "--disable-component-update")));
    }

    static Page signedIn(Browser browser, String address) {
        Page page = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800)).newPage();
        page.navigate(address + "/sign-in");
        page.getByLabel("E-mail address").fill(Application.EMAIL);
        page.getByLabel("Password").fill(Application.PASSWORD);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in")).click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Library")).waitFor();
        return page;
    }

    /** The number of the new theme. */
    static String importTheme(Page page, String address, ThemeDocument theme) {
        String token = (String) page.evaluate("() => /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]");
        String answer = page.request().post(address + "/api/kits", RequestOptions.create()
                .setHeader("X-XSRF-TOKEN", token).setMultipart(FormData.create().set("file", new FilePayload("bench.json",
                        "application/json", ThemeJson.writeInline(theme).getBytes(StandardCharsets.UTF_8))))).text();
        return answer.replaceAll("\\D", "");
    }

    static Result measure(String address) {
        try (Playwright playwright = Playwright.create(); Browser browser = launch(playwright)) {
            Page page = signedIn(browser, address);
            String id = importTheme(page, address, Themes.ofSize(1_000));
            page.navigate(address + "/bench/" + id);
            page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Color")).waitFor();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Add a bay")).click();
            for (int bay = 0; bay < 4; bay++) page.locator("iframe").nth(bay).contentFrame().locator("h1").waitFor();

            List<Double> server = serverShares(page, id);
            List<Double> probe = probes(page, id);
            return new Result(drag(page), probe, server);
        }
    }

    /** What the server says it took, without the way there and back. */
    @SuppressWarnings("unchecked")
    private static List<Double> serverShares(Page page, String id) {
        List<Double> shares = (List<Double>) page.evaluate("""
                async ([id, count]) => {
                  const token = /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1];
                  const shares = [];
                  for (let i = 0; i < count; i++) {
                    const response = await fetch(`/api/themes/${id}/probe`, { method: 'POST',
                      headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
                      body: JSON.stringify({ base: 0, lean: true, op: 'value', place: 'set:base', path: 'color.brand.seed',
                        text: `oklch(0.5 0.1 ${i % 360})` }) });
                    await response.text();
                    shares.push(Number(/dur=([\\d.]+)/.exec(response.headers.get('Server-Timing'))[1]) + 0.0001);
                  }
                  return shares;
                }""", List.of(id, MOVES + PROBE_WARM_UP));
        return shares.subList(PROBE_WARM_UP, shares.size());
    }

    /** From the message to its answer, on an open line as the bench has one. */
    @SuppressWarnings("unchecked")
    private static List<Double> probes(Page page, String id) {
        return (List<Double>) page.evaluate("""
                async ([id, count]) => {
                  const line = new WebSocket(`ws://${location.host}/api/themes/${id}/live`);
                  await new Promise((open) => line.onopen = open);
                  const times = [];
                  for (let i = 0; i < count; i++) {
                    const start = performance.now();
                    await new Promise((answered) => {
                      line.onmessage = (event) => answered(JSON.parse(event.data));
                      line.send(JSON.stringify({ base: 0, lean: true, op: 'value', place: 'set:base', path: 'color.brand.seed',
                        text: `oklch(0.5 0.1 ${i % 360})` }));
                    });
                    times.push(performance.now() - start + 0.0001);
                  }
                  line.close();
                  return times;
                }""", List.of(id, MOVES));
    }

    @SuppressWarnings("unchecked")
    private static List<Double> drag(Page page) {
        page.evaluate("""
                () => {
                  const frames = [...document.querySelectorAll('iframe')];
                  const read = () => frames.map((f) => getComputedStyle(f.contentDocument.documentElement).getPropertyValue('--color-brand-40'));
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
                }""");
        BoundingBox box = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Hue").setExact(true)).boundingBox();
        double y = box.y + box.height / 2;
        double center = box.x + box.width / 2;
        page.mouse().move(center, y);
        page.mouse().down();
        for (int i = 0; i < MOVES + WARM_UP; i++) {
            int expected = i + 1;
            // One move is told of twice, when it happens and with the frame; only the first is timed.
            page.evaluate("() => { window.armed = true; }");
            page.mouse().move(center - 30 + (i % 2 == 0 ? i % 29 : 30 + i % 23), y);
            page.waitForFunction("n => window.samples.length >= n", expected,
                    new Page.WaitForFunctionOptions().setPollingInterval(20));
        }
        page.mouse().up();
        List<Double> samples = (List<Double>) page.evaluate("() => window.samples");
        return samples.subList(WARM_UP, samples.size());
    }
}
