package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.FormData;
import com.microsoft.playwright.options.RequestOptions;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.umberloom.core.format.KitArchive;

/**
 * The ten sets of general documentation pages that the core's tests read (named there with their packages), brought in as archives
 * and looked at: they wear the theme, no request leaves, and nothing of theirs runs.
 */
class PagesFromElsewhereTest {
    private static final Path ALL = Loom.HOME.resolve("core/src/test/resources/pages-from-elsewhere");
    private final Loom loom = Loom.withDemo();

    private static byte[] archive(Path set) throws IOException {
        Map<String, byte[]> files = new TreeMap<>();
        try (Stream<Path> all = Files.walk(set)) {
            for (Path file : all.filter(Files::isRegularFile).toList())
                files.put(set.getFileName() + "/" + set.relativize(file), Files.readAllBytes(file));
        }
        return KitArchive.write(files);
    }

    private JsonObject bringIn(Page page, Path set) throws IOException {
        APIResponse answer = page.request()
                .post(
                        loom.address() + "/api/sites/archive?theme=1",
                        RequestOptions.create()
                                .setHeader("X-XSRF-TOKEN", Prepared.token(page))
                                .setMultipart(FormData.create()
                                        .set(
                                                "file",
                                                new FilePayload(
                                                        set.getFileName() + ".zip", "application/zip", archive(set)))));
        assertThat(answer.ok()).as(answer.text()).isTrue();
        return JsonParser.parseString(answer.text()).getAsJsonObject();
    }

    @Test
    void theyWearTheThemeAndNothingOfTheirsRunsOrLeaves() throws IOException {
        List<Path> sets;
        try (Stream<Path> all = Files.list(ALL)) {
            sets = all.filter(Files::isDirectory).sorted().toList();
        }
        assertThat(sets).hasSize(10);
        int pages = 0;
        try (Page page = Browsers.signedIn(loom, ColorScheme.LIGHT)) {
            List<String> outside = new ArrayList<>();
            List<String> said = new ArrayList<>();
            page.onRequest(request -> {
                if (!request.url().startsWith(loom.address()) && !request.url().startsWith("data:"))
                    outside.add(request.url());
            });
            page.onConsoleMessage(message -> said.add(message.text()));
            for (Path set : sets) {
                JsonObject arrived = bringIn(page, set);
                // What is there for the theme to dress, and what is not, is said of each.
                assertThat(arrived.getAsJsonArray("notes").toString())
                        .containsAnyOf("Recognised, so that the theme dresses it", "was found on any page");
                String slug = arrived.get("slug").getAsString();
                APIResponse shown = page.request().get(loom.address() + "/api/sites/" + slug);
                assertThat(shown.ok()).as(slug + ": " + shown.text()).isTrue();
                JsonObject site = JsonParser.parseString(shown.text()).getAsJsonObject();
                for (JsonElement one : site.getAsJsonArray("pages")) {
                    page.navigate(loom.address() + "/preview/1/draft/site/" + slug + "/"
                            + one.getAsJsonObject().get("slug").getAsString() + ".html?still=true");
                    assertThat((Integer) page.evaluate("() => document.scripts.length"))
                            .isZero();
                    assertThat(
                                    (String)
                                            page.evaluate(
                                                    "() => getComputedStyle(document.documentElement).getPropertyValue('--surface-text')"))
                            .as("the theme reaches it")
                            .isNotBlank();
                    pages++;
                }
            }
            assertThat(outside).isEmpty();
            assertThat(said)
                    .as("nothing was even tried that the policy had to stop")
                    .noneMatch(text -> text.contains("Content Security Policy"));
        }
        assertThat(pages).isGreaterThan(20);
    }
}
