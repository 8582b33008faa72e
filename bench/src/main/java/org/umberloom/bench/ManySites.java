package org.umberloom.bench;

import com.google.gson.JsonElement;
import com.google.gson.JsonParser;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.FormData;
import com.microsoft.playwright.options.RequestOptions;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.umberloom.core.format.KitArchive;

/** Sites in numbers: the demo's on one bench, and then 1,000 generated sites of 20 pages under one theme. */
final class ManySites {
    private static final int SITES = 1_000;
    private static final int PAGES = 20;
    private static final int BLOCKS = 12;
    private static final int WARM_UP = 5;
    private static final int TIMES = 40;
    /** Requests after one another that are kept or taken anew together. */
    private static final int STRETCH = 5;

    private static final int ROLLED_OUT = 10;
    private static final List<String> FOUR = List.of("crossings/fares", "galley/menu", "freight/rates", "crew/jobs");

    /** What was measured, in words, with its milliseconds. */
    record Row(String what, List<Double> samples) {}

    private final Page page;
    private final String address;
    private final String token;

    private ManySites(Page page, String address) {
        this.page = page;
        this.address = address;
        token = (String) page.evaluate("() => /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]");
    }

    static List<Row> measure(String address) throws IOException {
        try (Playwright playwright = Playwright.create();
                Browser browser = Browsing.launch(playwright)) {
            ManySites sites = new ManySites(Browsing.signedIn(browser, address), address);
            List<Row> rows = new ArrayList<>();
            rows.add(new Row(
                    "a bench with all demo sites, from the address to its pages; goal 1,500 (ms)", sites.open()));
            rows.add(new Row(
                    "pointer to paint: a value at one section, four bays of four sites; goal 50 (ms)",
                    sites.section()));
            sites.weave();
            rows.add(new Row(
                    "1,000 sites of 20 pages: the cloth, request to answer; goal 300 (ms)", sites.asked("/api/cloth")));
            rows.add(new Row(
                    "1,000 sites: a role across all pages, request to answer; goal 1,000 (ms)",
                    sites.asked("/api/coverage/spots?theme=1&of=surface.page.link")));
            sites.release("1.0.0");
            sites.post(
                    "/api/themes/1/edits",
                    Map.of(
                            "base",
                            sites.revision(),
                            "edit",
                            Map.of("op", "value", "place", "set:base", "path", "color.sea.seed", "text", "#7a2b4a")));
            rows.add(new Row(
                    "1,000 sites of 20 pages: what a release would change, request to answer; goal 1,000 (ms)",
                    sites.asked("/api/themes/1/impact?from=1.0.0&to=draft")));
            rows.add(new Row("a release taken by 1,000 sites at once; goal 2,000 (ms)", sites.rolledOut()));
            rows.add(new Row(
                    "a kit of the demo, request to answer; goal 300 (ms)",
                    sites.asked("/api/themes/1/kit.zip?site=crossings&state=1.0.0")));
            rows.add(new Row(
                    "one page changed and its strays found anew, request to answer; goal 50 (ms)", sites.changed()));
            return rows;
        }
    }

    private List<Double> open() {
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < WARM_UP + 10; i++) {
            long start = System.nanoTime();
            page.navigate(address + "/bench/1");
            for (int bay = 0; bay < 3; bay++)
                page.locator("iframe")
                        .nth(bay)
                        .contentFrame()
                        .locator("h1")
                        .first()
                        .waitFor();
            if (i >= WARM_UP) times.add((System.nanoTime() - start) / 1e6);
        }
        return times;
    }

    private List<Double> section() {
        page.navigate(address + "/bench/1");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Widths"))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Add a bay"))
                .click();
        for (int bay = 0; bay < FOUR.size(); bay++) {
            page.getByLabel("Page", new Page.GetByLabelOptions().setExact(true))
                    .nth(bay)
                    .selectOption(FOUR.get(bay));
            page.locator("iframe")
                    .nth(bay)
                    .contentFrame()
                    .locator("html[data-page=" + FOUR.get(bay).split("/")[1] + "] h1")
                    .first()
                    .waitFor();
        }
        FrameLocator first = page.locator("iframe").nth(0).contentFrame();
        first.locator("section h2").first().waitFor();
        Locator place = page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("this section"))
                .first();
        for (int i = 0; i < 10 && !place.isVisible(); i++) {
            // Beside the link in it.
            first.locator("section p").first().click(new Locator.ClickOptions().setPosition(6, 6));
            page.waitForTimeout(1_500);
        }
        place.check();
        page.waitForTimeout(1_000);
        Locator handle = PointerToPaint.numbersHandle(page, "text in px");
        return PointerToPaint.moves(page, handle, "--width-text", "section p", false, 0);
    }

    /** One site is brought in, and copied. */
    private void weave() throws IOException {
        APIResponse answer = page.request()
                .post(
                        address + "/api/sites/archive?theme=1",
                        RequestOptions.create()
                                .setHeader("X-XSRF-TOKEN", token)
                                .setMultipart(FormData.create()
                                        .set("file", new FilePayload("many.zip", "application/zip", archive()))));
        if (!answer.ok()) throw new IOException("the site was refused: " + answer.text());
        for (int i = 1; i < SITES; i++) post("/api/sites/many/copy", Map.of("name", "Many " + i));
    }

    private void post(String path, Object body) throws IOException {
        APIResponse answer = page.request()
                .post(
                        address + path,
                        RequestOptions.create().setHeader("X-XSRF-TOKEN", token).setData(body));
        if (!answer.ok()) throw new IOException(path + " was refused: " + answer.text());
    }

    private List<Double> asked(String path) {
        for (int i = 0; i < WARM_UP; i++) answer(path);
        return Undisturbed.samples(
                TIMES / STRETCH,
                () -> Stream.generate(() -> answer(path)).limit(STRETCH).toList());
    }

    /** Milliseconds from a request to the end of its answer. */
    private double answer(String path) {
        long start = System.nanoTime();
        APIResponse answer = page.request().get(address + path);
        answer.body();
        if (!answer.ok()) throw new IllegalStateException(path + " was refused: " + answer.text());
        return (System.nanoTime() - start) / 1e6;
    }

    private int revision() {
        String all = page.request().get(address + "/api/themes/1/releases").text();
        return Integer.parseInt(all.replaceAll("(?s).*?\"revision\":(\\d+).*", "$1"));
    }

    private void release(String number) throws IOException {
        post(
                "/api/themes/1/releases",
                Map.of("revision", revision(), "number", number, "notes", "", "reason", "measured"));
    }

    /** Taken by all, and taken back, which is not counted. */
    private List<Double> rolledOut() throws IOException {
        List<String> slugs = new ArrayList<>();
        for (JsonElement site : JsonParser.parseString(
                        page.request().get(address + "/api/themes/1/standings").text())
                .getAsJsonObject()
                .getAsJsonArray("sites"))
            slugs.add(site.getAsJsonObject().get("slug").getAsString());
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < 2 + ROLLED_OUT; i++) {
            long start = System.nanoTime();
            post(
                    "/api/themes/1/rollouts",
                    Map.of("release", "1.0.0", "stages", List.of(Map.of("sites", slugs, "waitHours", 0))));
            if (i >= 2) times.add((System.nanoTime() - start) / 1e6);
            String rollouts =
                    page.request().get(address + "/api/themes/1/rollouts").text();
            int id = JsonParser.parseString(rollouts)
                    .getAsJsonArray()
                    .get(0)
                    .getAsJsonObject()
                    .get("id")
                    .getAsInt();
            post("/api/themes/1/rollouts/" + id, Map.of("step", "back"));
        }
        return times;
    }

    /** The title of one page, again and again: with it the strays, the counts and the roles of its site. */
    private List<Double> changed() throws IOException {
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < WARM_UP + TIMES; i++) {
            long start = System.nanoTime();
            post(
                    "/api/sites/many/pages/index/change",
                    Map.of("base", i, "change", Map.of("op", "words", "at", 6, "text", "Title " + i)));
            if (i >= WARM_UP) times.add((System.nanoTime() - start) / 1e6);
        }
        return times;
    }

    private static byte[] archive() {
        Map<String, byte[]> files = new TreeMap<>();
        for (int i = 0; i < PAGES; i++)
            files.put(i == 0 ? "index.html" : "page-" + i + ".html", page(i).getBytes(StandardCharsets.UTF_8));
        return KitArchive.write(files);
    }

    private static String page(int number) {
        StringBuilder html = new StringBuilder("<!doctype html><html lang=\"en\"><head><title>Page ")
                .append(number)
                .append("</title></head><body><header><a href=\"index.html\">Many</a></header><main><h1>Page ")
                .append(number)
                .append("</h1>");
        for (int block = 0; block < BLOCKS; block++)
            html.append("<section data-surface=\"tint\"><h2>Part ")
                    .append(block)
                    .append("</h2><p style=\"color: #0a5c7e\">Words that <a href=\"#\">lead</a> somewhere.</p>")
                    .append("<ul><li>One</li><li>Two</li></ul></section>");
        return html.append("</main><footer><p>Foot</p></footer></body></html>").toString();
    }
}
