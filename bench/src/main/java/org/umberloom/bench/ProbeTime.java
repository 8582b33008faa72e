package org.umberloom.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.util.List;

/** The time a probe takes with a theme of 1,000 tokens, without any drawing. */
final class ProbeTime {
    private static final int PROBES = 240;
    /** A server that has run for a while has compiled its own code. */
    private static final int WARM_UP = 1_500;

    /**
     * Milliseconds, one for each probe.
     *
     * @param server    what the server says it took
     * @param roundTrip from the message to its answer in the browser
     */
    record Result(List<Double> server, List<Double> roundTrip) {}

    private ProbeTime() {}

    static Result measure(String address) {
        try (Playwright playwright = Playwright.create();
                Browser browser = Browsing.launch(playwright)) {
            Page page = Browsing.signedIn(browser, address);
            String id = Browsing.importTheme(page, address, Themes.ofSize(1_000));
            Browsing.openBench(page, address, id);
            return new Result(serverShares(page, id), roundTrips(page, id));
        }
    }

    /** What the server says it took, without the way there and back. */
    @SuppressWarnings("unchecked")
    private static List<Double> serverShares(Page page, String id) {
        List<Double> shares = (List<Double>) page.evaluate(
                """
                async ([id, count]) => {
                  const token = /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1];
                  const shares = [];
                  for (let i = 0; i < count; i++) {
                    const response = await fetch(`/api/themes/${id}/probe`, { method: 'POST',
                      headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
                      body: JSON.stringify({ base: 0, lean: true, edit: { op: 'value', place: 'set:base',
                        path: 'color.brand.seed', text: `oklch(0.5 0.1 ${i % 360})` } }) });
                    await response.text();
                    shares.push(Number(/dur=([\\d.]+)/.exec(response.headers.get('Server-Timing'))[1]) + 0.0001);
                  }
                  return shares;
                }""",
                List.of(id, PROBES + WARM_UP));
        return shares.subList(WARM_UP, shares.size());
    }

    /** From the message to its answer, on an open line as the bench has one. */
    @SuppressWarnings("unchecked")
    private static List<Double> roundTrips(Page page, String id) {
        return (List<Double>) page.evaluate(
                """
                async ([id, count]) => {
                  const line = new WebSocket(`ws://${location.host}/api/themes/${id}/live`);
                  await new Promise((open) => line.onopen = open);
                  const times = [];
                  for (let i = 0; i < count; i++) {
                    const start = performance.now();
                    await new Promise((answered) => {
                      line.onmessage = (event) => answered(JSON.parse(event.data));
                      line.send(JSON.stringify({ base: 0, lean: true, edit: { op: 'value', place: 'set:base',
                        path: 'color.brand.seed', text: `oklch(0.5 0.1 ${i % 360})` } }));
                    });
                    times.push(performance.now() - start + 0.0001);
                  }
                  line.close();
                  return times;
                }""",
                List.of(id, PROBES));
    }
}
