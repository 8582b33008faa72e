package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What may come with a request, and from whom; what does not fit is refused in plain words. */
class LimitsOfRequestsTest {
    private static final Loom LOOM = Loom.withDemo();

    private static HttpResponse<String> asStranger(String path, String cookie, String type, int bytes)
            throws Exception {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(LOOM.address() + path))
                                .header("Cookie", cookie)
                                .header("Content-Type", type)
                                .POST(HttpRequest.BodyPublishers.ofString("{\"name\":\"" + "x".repeat(bytes) + "\"}"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
    }

    /** Before, any cookie of the right name lifted the limit. */
    @Test
    void aMadeUpCookieLiftsNoLimit() throws Exception {
        for (String cookie : List.of("LOOM=made-up", "LOOM=bWFkZSB1cA==", "LOOM=", "OTHER=x"))
            assertThat(asStranger("/api/kits", cookie, "application/json", 10_000)
                            .statusCode())
                    .as(cookie)
                    .isEqualTo(413);
        assertThat(asStranger("/api/kits", "LOOM=made-up", "application/json", 100)
                        .statusCode())
                .isIn(401, 403);
    }

    @Test
    void anOwnStyleSheetIsTakenUpToItsStatedLimit() throws Exception {
        Client client = new Client(LOOM.address()).signedIn();
        String slug = (String) Released.object(client.send(
                        "POST",
                        "/api/sites",
                        "{\"name\":\"Long sheet\",\"theme\":" + client.newTheme("Long sheet") + "}"))
                .get("slug");
        String rule = ".note-%05d { letter-spacing: 0.0%05dem }\\n";
        StringBuilder css = new StringBuilder();
        for (int i = 0; css.length() < 199_000; i++) css.append(rule.formatted(i, i));
        String whole = css.toString();
        assertThat(client.send("PUT", "/api/sites/" + slug + "/css", "{\"css\":\"" + whole + "\"}")
                        .statusCode())
                .isEqualTo(200);
        assertThat(client.send("POST", "/api/css", "{\"site\":\"" + slug + "\",\"css\":\"" + whole + "\"}")
                        .statusCode())
                .isEqualTo(200);
        assertThat(client.send("GET", "/api/sites/" + slug, "").statusCode()).isEqualTo(200);
        HttpResponse<String> longer =
                client.send("PUT", "/api/sites/" + slug + "/css", "{\"css\":\"" + "p{}".repeat(67_000) + "\"}");
        assertThat(longer.statusCode()).as(longer.body()).isEqualTo(400);
        HttpResponse<String> deep = client.send(
                "PUT",
                "/api/sites/" + slug + "/css",
                "{\"css\":\"" + ":is(".repeat(3_000) + "p" + ")".repeat(3_000) + "{}\"}");
        assertThat(deep.statusCode()).isEqualTo(400);
        assertThat(deep.body()).contains("Line 1, column");
    }

    @Test
    void whatCannotBeIsRefusedInPlainWords() throws Exception {
        Client client = new Client(LOOM.address()).signedIn();
        HttpResponse<String> theme = client.send("POST", "/api/keys", "{\"name\":\"x\",\"theme\":999999,\"days\":3}");
        assertThat(theme.statusCode()).isEqualTo(404);
        assertThat(theme.body()).contains("no theme");
        HttpResponse<String> folder = client.send(
                "POST",
                "/api/hosts",
                "{\"name\":\"NUL\",\"kind\":\"folder\",\"address\":\"\",\"port\":0,\"account\":\"\",\"folder\":\"/tmp/a\\u0000b\","
                        + "\"web\":\"\",\"signsIn\":\"password\",\"password\":\"\",\"key\":\"\",\"pinned\":\"\"}");
        assertThat(folder.statusCode()).as(folder.body()).isEqualTo(400);
        assertThat(folder.body()).contains("othing was changed").doesNotContain("Nul character", "Invalid");
        for (String type : List.of("application/x-www-form-urlencoded", "text/plain", "multipart/form-data")) {
            HttpResponse<String> form = client.send("POST", "/api/keys", "name=x&days=3", Map.of("content-type", type));
            assertThat(form.statusCode()).as(type + form.body()).isIn(400, 415);
        }
        HttpResponse<String> kit = client.send("GET", "/api/themes/1/kit?fonts=maybe", "");
        assertThat(kit.statusCode()).isEqualTo(400);
        assertThat(kit.body()).contains("fonts is not what is expected there").doesNotContain("java.lang");
    }

    /** A kit of one theme with the pages of a site of another would hold that site’s draft. */
    @Test
    void aKeyForOneThemeFetchesNoSiteOfAnother() throws Exception {
        Client client = new Client(LOOM.address()).signedIn();
        Released released = Released.called(client, "Keyed");
        String secret = (String) Released.object(client.send(
                        "POST", "/api/keys", "{\"name\":\"One theme\",\"theme\":" + released.theme() + ",\"days\":3}"))
                .get("secret");
        String kit = "/api/builds/themes/" + released.theme();
        for (String state : List.of("draft", "latest", "1.0.0"))
            for (String what : List.of("/kit.zip?", "/file?name=theme.css&")) {
                assertThat(fetched(kit + what + "state=" + state + "&site=" + released.site(), secret))
                        .as(state)
                        .isEqualTo(200);
                assertThat(fetched(kit + what + "state=" + state + "&site=crossings", secret))
                        .as(state)
                        .isEqualTo(401);
            }
    }

    private static int fetched(String path, String secret) throws Exception {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(LOOM.address() + path))
                                .header("Authorization", "Bearer " + secret)
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .statusCode();
    }
}
