package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.format.KitManifest;
import org.umberloom.core.json.Json;

/** Sites as readers see them: builds that stay, what is live, the way back; and kits for programs with a key. */
class PublishTest {
    private static final Loom LOOM = Loom.withDemo();

    @Test
    void aBuildStaysAsItWasMadeAndGoesLiveAndBack() throws Exception {
        Client client = new Client(LOOM.address()).signedIn();
        Released made = Released.called(client, "Quayside");
        Page page = Browsers.signedIn(LOOM, ColorScheme.LIGHT);
        BrowserContext stranger = Browsers.context(ColorScheme.LIGHT);
        try {
            page.navigate(LOOM.address() + "/sites/" + made.site());
            assertThat(page.getByText("a draft is never published")).isVisible();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take 1.0.0"))
                    .click();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make a build"))
                    .click();
            Locator builds = page.getByLabel("Builds, the newest first");
            builds.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Put it live"))
                    .click();
            assertThat(page.getByText("Nothing is waiting")).isVisible();
            String address = builds.getByRole(AriaRole.LINK).first().getAttribute("href");

            // Whoever was given the address sees it whole, without signing in; nothing of it is missing or from
            // elsewhere.
            Page reader = stranger.newPage();
            List<String> wrong = new ArrayList<>();
            reader.onResponse(response -> {
                boolean icon = response.url().endsWith("/favicon.ico");
                if (response.status() >= 400 && !icon || !response.url().startsWith(LOOM.address()))
                    wrong.add(response.status() + " " + response.url());
            });
            reader.navigate(LOOM.address() + address);
            String ground = (String) reader.evaluate("getComputedStyle(document.body).backgroundColor");
            String words = reader.locator("h1").innerText();
            reader.getByRole(AriaRole.NAVIGATION)
                    .first()
                    .getByRole(AriaRole.LINK)
                    .nth(1)
                    .click();
            reader.waitForLoadState();
            assertThat(wrong).isEmpty();

            // The draft, the theme and the site go on; what was built does not.
            made.edit(0, "color.brand.seed", "#902040");
            made.release("1.0.1");
            page.reload();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take 1.0.1"))
                    .click();
            assertThat(page.getByText("Waiting: 1.0.1 of its theme.")).isVisible();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make a build"))
                    .click();
            assertThat(builds.getByRole(AriaRole.LISTITEM)).hasCount(2);
            reader.navigate(LOOM.address() + address);
            assertThat(reader.evaluate("getComputedStyle(document.body).backgroundColor"))
                    .isEqualTo(ground);
            assertThat(reader.locator("h1").innerText()).isEqualTo(words);
            builds.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Put it live"))
                    .click();
            builds.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Go back to it"))
                    .click();
            assertThat(page.getByText("in 1.0.0, since")).isVisible();

            HttpResponse<String> nowhere =
                    client.send("GET", address.replaceFirst("/builds/.{8}", "/builds/00000000"), "");
            assertThat(nowhere.statusCode()).isEqualTo(404);
        } finally {
            stranger.close();
            page.context().close();
        }
    }

    private static HttpResponse<byte[]> fetch(String path, String key, String known) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(LOOM.address() + path));
        if (!key.isEmpty()) request.header("Authorization", "Bearer " + key);
        if (!known.isEmpty()) request.header("If-None-Match", known);
        return HttpClient.newHttpClient().send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
    }

    /** Source of the tags and of 304 and 401: RFC 9110, 8.8.3, 13.1.2 and 15.5.2. */
    @Test
    void aKeyFetchesKitsOfItsThemeUntilItIsRevoked() throws Exception {
        Client client = new Client(LOOM.address()).signedIn();
        String theme = Released.called(client, "Sluice").theme();
        Map<String, Object> made = Released.object(
                client.send("POST", "/api/keys", "{\"name\":\"Harbour build\",\"theme\":" + theme + ",\"days\":30}"));
        String secret = (String) made.get("secret");
        String kit = "/api/builds/themes/" + theme + "/kit.zip?state=latest&forms=css";
        HttpResponse<byte[]> first = fetch(kit, secret, "");
        assertThat(first.statusCode()).isEqualTo(200);
        assertThat(KitManifest.faults(KitArchive.read(first.body()))).isEmpty();
        String tag = first.headers().firstValue("ETag").orElseThrow();
        assertThat(fetch(kit, secret, tag).statusCode()).isEqualTo(304);
        HttpResponse<byte[]> file = fetch(
                "/api/builds/themes/" + theme + "/file?state=1.0.0&forms=css&name=forms/css/variables.css", secret, "");
        assertThat(new String(file.body(), java.nio.charset.StandardCharsets.UTF_8))
                .startsWith(":root {");

        HttpResponse<byte[]> without = fetch(kit, "", "");
        assertThat(without.statusCode()).isEqualTo(401);
        assertThat(without.headers().firstValue("WWW-Authenticate").orElse("")).startsWith("Bearer");
        assertThat(fetch(kit, secret + "x", "").statusCode()).isEqualTo(401);
        assertThat(fetch(kit.replace("/" + theme + "/", "/1/"), secret, "").statusCode())
                .as("a theme that the key is not for")
                .isEqualTo(401);
        assertThat(fetch("/api/themes/" + theme, secret, "").statusCode())
                .as("nothing but kits")
                .isEqualTo(401);
        // It is kept nowhere, only what it is told by.
        assertThat(LOOM.read("select count(*) from build_key where hash like '%" + secret.substring(5, 15) + "%'"))
                .containsExactly("0");

        List<?> keys = (List<?>) Json.readObject(
                        "keys",
                        "{\"all\":" + client.send("GET", "/api/keys", "").body() + "}")
                .get("all");
        Map<?, ?> mine = keys.stream()
                .map(key -> (Map<?, ?>) key)
                .filter(key -> key.get("name").equals("Harbour build"))
                .findFirst()
                .orElseThrow();
        assertThat((String) mine.get("usedAt")).isNotEmpty();
        assertThat(client.send("DELETE", "/api/keys/" + ((Number) mine.get("id")).longValue(), "")
                        .statusCode())
                .isEqualTo(200);
        assertThat(fetch(kit, secret, "").statusCode()).isEqualTo(401);
        LOOM.change("update build_key set expires_at = now() - interval 1 day");
        assertThat(client.send("POST", "/api/keys", "{\"name\":\"x\",\"days\":0}")
                        .body())
                .contains("1 to 366 days");
    }
}
