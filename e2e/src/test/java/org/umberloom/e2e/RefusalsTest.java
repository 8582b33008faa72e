package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Whatever is refused is refused in a sentence of our own, is no failure of the server, and changes nothing. */
class RefusalsTest {
    private final Loom loom = Loom.withDemo();
    private Client client;
    private String theme;

    @BeforeEach
    void makeATheme() throws Exception {
        client = new Client(loom.address()).signedIn();
        theme = client.newTheme("Refusals");
    }

    private static void assertIsOurs(String as, HttpResponse<String> answer) {
        assertThat(answer.statusCode()).as("%s: %s", as, answer.body()).isBetween(400, 499);
        assertThat(answer.headers().firstValue("Content-Type").orElse(""))
                .as(as)
                .contains("problem+json");
        JsonObject problem = JsonParser.parseString(answer.body()).getAsJsonObject();
        assertThat(problem.get("title").getAsString()).as(as).isNotBlank();
        assertThat(problem.get("detail").getAsString())
                .as(as)
                .endsWith(problem.get("detail").getAsString().endsWith("…") ? "…" : ".")
                .hasSizeLessThan(700)
                .doesNotContain(
                        "Exception",
                        "java.",
                        "org.",
                        "Reader",
                        "tools.jackson",
                        "Failed to",
                        "Required ",
                        "null",
                        "Tomcat",
                        "JSON parse");
    }

    private String edit(String rest) {
        return Asked.edit(0, rest);
    }

    @Test
    void requestsThatMakeNoSense() throws Exception {
        String long300 = "m".repeat(300);
        String[][] asked = {
            {"GET", "/api/themes/abc", ""},
            {"GET", "/api/themes/4711", ""},
            {"GET", "/api/nothing", ""},
            {"GET", "/api/themes/1?combo=x", ""},
            {"GET", "/api/themes/99999999999999999999", ""},
            {"GET", "/api/themes/" + theme + "/history?most=x", ""},
            {"GET", "/api/color", ""},
            {"GET", "/api/color?text=" + long300, ""},
            {"GET", "/api/themes/" + theme + "/compare?from=0&to=-5", ""},
            {"GET", "/api/themes/" + theme + "/token?path=..", ""},
            {"GET", "/api/themes/" + theme + "/kit?site=nowhere", ""},
            {"GET", "/api/themes/" + theme + "/kit/file?name=nothing", ""},
            {"GET", "/preview/" + theme + "/never/default/crossings/theme.css", ""},
            {"GET", "/preview/" + theme + "/draft/x/crossings/index.html", ""},
            {"GET", "/preview/" + theme + "/draft/default/nowhere/index.html", ""},
            {"GET", "/preview/" + theme + "/draft/default/crossings/ground/a.png", ""},
            {"POST", "/api/themes", ""},
            {"POST", "/api/themes", "{"},
            {"POST", "/api/themes", "[]"},
            {"POST", "/api/themes", "null"},
            {"POST", "/api/themes", "{}"},
            {"POST", "/api/themes", "{\"name\":\"" + long300 + "\",\"starter\":\"plain\"}"},
            {"POST", "/api/themes", "{\"name\":\"x\",\"starter\":\"none\"}"},
            {"POST", "/api/themes", "{\"name\":\"x\\ud800\",\"starter\":\"plain\"}"},
            {"POST", "/api/themes", "{\"name\":\"x\",\"starter\":\"plain\",\"seed\":\"sea\"}"},
            {"POST", "/api/themes/" + theme + "/edits", Asked.edit(null, "\"op\":\"setName\"")},
            {"POST", "/api/themes/" + theme + "/edits", edit("\"op\":\"spin\",\"place\":\"set:base\",\"path\":\"a\"")},
            {"POST", "/api/themes/4711/edits", edit("\"op\":\"setName\",\"name\":\"x\"")},
            {"POST", "/api/themes/4711/probe", edit("\"op\":\"setName\",\"name\":\"x\"")},
            {"POST", "/api/themes/4711/undo", "{\"base\":0,\"combo\":\"\",\"bays\":[]}"},
            {"POST", "/api/themes/" + theme + "/undo", "{\"base\":0,\"combo\":\"\",\"bays\":[null]}"},
            {"POST", "/api/themes/" + theme + "/undo", "{\"combo\":\"\",\"bays\":[]}"},
            {"POST", "/api/themes/" + theme + "/restore", "{\"number\":99}"},
            {"PUT", "/api/themes/" + theme + "/checkpoints", "{\"number\":0,\"name\":\"" + long300 + "\"}"},
            {"PUT", "/api/themes/" + theme + "/checkpoints", "{\"number\":9,\"name\":\"x\"}"},
            {"POST", "/api/palette/text", "{\"text\":null}"},
            {"POST", "/api/palette/text", "{\"text\":\"no such thing\"}"},
            {"GET", "/api/palette/harmonies?seed=x", ""},
            {"DELETE", "/api/starters", ""},
            {"PATCH", "/api/themes", ""},
            {"DELETE", "/api/themes/" + theme, ""},
            {"DELETE", "/api/themes/1", ""},
            {"DELETE", "/api/people/4711", ""},
            {"PUT", "/api/themes/4711/put-away", "{\"away\":true}"},
            {"PUT", "/api/themes/" + theme + "/put-away", "{}"},
            {"POST", "/api/themes/4711/copy", "{}"},
            {"GET", "/api/invitation/nothing", ""},
            {"GET", "/error", ""},
            {"GET", "/a;b", ""},
            {"GET", "/api/themes/%2e%2e/x", ""}
        };
        for (String[] one : asked)
            assertIsOurs(
                    String.join(" ", one)
                            .substring(0, Math.min(120, String.join(" ", one).length())),
                    client.send(one[0], one[1], one[2]));
    }

    @Test
    void editsThatCannotBeStoredOrShown() throws Exception {
        String ground = "\"kind\":\"pattern\",\"source\":\"twill\",\"position\":\"center "
                + "center\",\"repeat\":\"repeat\",\"size\":\"auto\",\"blend\":\"normal\",\"angle\":0,\"role\":\"border\",\"scrim\":true";
        List<String> edits = new ArrayList<>(List.of(
                "\"op\":\"setName\",\"name\":\"half \\ud83d of it\"",
                "\"op\":\"setName\",\"name\":\"\"",
                "\"op\":\"setName\",\"name\":\"" + "m".repeat(201) + "\"",
                "\"op\":\"setDescription\",\"text\":\"\\udc00\"",
                "\"op\":\"newToken\",\"place\":\"set:base\",\"type\":\"number\",\"path\":\"" + "m".repeat(60_000)
                        + "\",\"text\":\"1\"",
                "\"op\":\"newToken\",\"place\":\"set:base\",\"type\":\"number\",\"path\":\"" + "a.".repeat(80)
                        + "a\",\"text\":\"1\"",
                "\"op\":\"value\",\"place\":\"set:base\",\"path\":\"color.brand.seed\",\"text\":\"color(srgb 1e104 0 0)\"",
                "\"op\":\"value\",\"place\":\"set:base\",\"path\":\"color.brand.seed\",\"text\":\"{color.ink.60}\"",
                "\"op\":\"newToken\",\"place\":\"set:base\",\"type\":\"number\",\"path\":\"n\",\"text\":\"1e104\"",
                "\"op\":\"value\",\"place\":\"set:base\",\"path\":\"shape.radius\",\"text\":\"99999999999px\"",
                "\"op\":\"newSet\",\"name\":\"a\\nb\"",
                "\"op\":\"newSet\",\"name\":\"a/b\"",
                "\"op\":\"newModifier\",\"name\":\"m\",\"contexts\":[null]",
                "\"op\":\"newModifier\",\"name\":\"m\",\"contexts\":[\"a\\u2028b\"]",
                "\"op\":\"reorder\",\"order\":[\"set:nowhere\"]",
                "\"op\":\"reorder\",\"order\":[null]",
                "\"op\":\"batch\",\"label\":\"x\",\"edits\":[null]",
                "\"op\":\"put\"",
                "\"op\":\"shift\",\"place\":\"set:base\",\"path\":\"color\",\"operation\":\"none\",\"arguments\":[]",
                "\"op\":\"ramp\",\"place\":\"set:base\",\"path\":\"color.brand\",\"stops\":[null]",
                "\"op\":\"ramp\",\"place\":\"set:base\",\"path\":\"color.brand\"",
                "\"op\":\"spaceSteps\",\"place\":\"set:base\",\"path\":\"space\",\"base\":4,\"factors\":null",
                "\"op\":\"onGround\",\"place\":\"set:roles\",\"path\":\"surface.page\",\"ground\":{\"kind\":null}",
                "\"op\":\"onGround\",\"place\":\"set:roles\",\"path\":\"surface.page\",\"ground\":{"
                        + ground.replace("pattern", "spiral") + "}",
                "\"op\":\"onGround\",\"place\":\"set:roles\",\"path\":\"surface.page\",\"ground\":{"
                        + ground.replace("\"angle\":0", "\"angle\":999") + "}",
                "\"op\":\"addSurface\",\"path\":\"surface.page\",\"name\":\"a\\r\\nb\"",
                "\"op\":\"addSurface\",\"path\":\"surface.page\",\"name\":\"a.b\"",
                "\"op\":\"move\",\"from\":\"color.brand\",\"to\":\"" + "m".repeat(300) + "\"",
                "\"op\":\"renamePaths\",\"from\":\"color\",\"to\":\"\\ud800\""));
        for (String edit : edits) {
            assertIsOurs(
                    edit.substring(0, Math.min(100, edit.length())),
                    client.send("POST", "/api/themes/" + theme + "/edits", edit(edit)));
            HttpResponse<String> probe = client.send("POST", "/api/themes/" + theme + "/probe", edit(edit));
            assertThat(probe.statusCode())
                    .as(edit.substring(0, Math.min(100, edit.length())))
                    .isLessThan(500);
        }
        assertIsOurs(
                "a combination that there is not",
                client.send(
                        "POST",
                        "/api/themes/" + theme + "/edits",
                        "{\"base\":0,\"combo\":\"nonsense\",\"edit\":{\"op\":\"setName\",\"name\":\"x\"}}"));
        for (int base : new int[] {-1, 1, Integer.MAX_VALUE})
            assertIsOurs(
                    "base " + base,
                    client.send(
                            "POST",
                            "/api/themes/" + theme + "/edits",
                            Asked.edit(base, "\"op\":\"setName\",\"name\":\"x\"")));
        assertThat(client.send("GET", "/api/themes/" + theme, "").body())
                .as("nothing of it is stored")
                .contains("\"revision\":0,", "\"name\":\"Refusals\"");
        assertThat(client.send("GET", "/api/themes", "").statusCode()).isEqualTo(200);
    }

    /** An undo with a combination that makes no sense once answered 400 and was done. */
    @Test
    void whatIsRefusedIsNotDone() throws Exception {
        client.send(
                "POST",
                "/api/themes/" + theme + "/edits",
                edit("\"op\":\"value\",\"place\":\"set:base\",\"path\":\"shape.radius\",\"text\":\"9px\""));
        assertIsOurs(
                "undo",
                client.send(
                        "POST", "/api/themes/" + theme + "/undo", "{\"base\":1,\"combo\":\"nonsense\",\"bays\":[]}"));
        assertIsOurs(
                "undo on no base",
                client.send("POST", "/api/themes/" + theme + "/undo", "{\"base\":5,\"combo\":\"\",\"bays\":[]}"));
        HttpResponse<String> unseen =
                client.send("POST", "/api/themes/" + theme + "/undo", "{\"base\":0,\"combo\":\"\",\"bays\":[]}");
        assertThat(unseen.statusCode()).as(unseen.body()).isEqualTo(409);
        assertThat(client.send("GET", "/api/themes/" + theme, "").body()).contains("\"revision\":1,");
    }

    @Test
    void filesThatAreNoneAndNamesThatAreTooLong() throws Exception {
        byte[] junk = "{\"hello\": true}".getBytes(StandardCharsets.UTF_8);
        for (String name :
                List.of("a.json", "n".repeat(3_000) + ".json", "\u202e\ud83e\uddf5.json", "../../x.json", ""))
            assertIsOurs("kit " + name.length(), client.upload("/api/kits", name, junk));
        for (byte[] content : List.of(
                new byte[0],
                new byte[] {'P', 'K'},
                "{".getBytes(StandardCharsets.UTF_8),
                "[".repeat(100_000).getBytes(StandardCharsets.UTF_8),
                ("{\"a\":".repeat(497) + "1" + "}".repeat(497)).getBytes(StandardCharsets.UTF_8),
                new byte[] {(byte) 0xff, (byte) 0xfe, 0, 1},
                "{\"a\":{\"$value\":\"\\ud800\",\"$type\":\"fontFamily\"}}".getBytes(StandardCharsets.UTF_8),
                "\u0000".repeat(1_000).getBytes(StandardCharsets.UTF_8)))
            assertIsOurs("content of " + content.length, client.upload("/api/kits", "x.json", content));
        byte[] png = java.util.Base64.getDecoder()
                .decode(
                        "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==");
        assertIsOurs("a theme that is not there", client.upload("/api/themes/4711/pictures", "a.png", png));
        assertIsOurs(
                "a long license",
                client.upload("/api/themes/" + theme + "/pictures?license=" + "l".repeat(300), "a.png", png));
        assertIsOurs("no picture", client.upload("/api/themes/" + theme + "/pictures", "a.png", junk));
        assertIsOurs("a palette of no picture", client.upload("/api/palette/picture", "a.png", junk));
        assertThat(client.upload("/api/themes/" + theme + "/pictures", "n".repeat(3_000) + ".png", png)
                        .statusCode())
                .isEqualTo(200);
    }

    /** Anonymous ones may send next to nothing: 60 MB as a password once ended the heap. */
    @Test
    void bodiesAreLimitedBeforeTheyAreRead() throws Exception {
        Client stranger = new Client(loom.address());
        stranger.send("GET", "/api/session", "");
        HttpResponse<String> answer = stranger.send(
                "POST", "/api/session", "{\"email\":\"a\",\"password\":\"" + "x".repeat(5_000_000) + "\"}");
        assertThat(answer.statusCode()).isEqualTo(413);
        assertThat(answer.body()).contains("4 kB");
        assertIsOurs(
                "a long edit",
                client.send(
                        "POST",
                        "/api/themes/" + theme + "/edits",
                        edit("\"op\":\"setDescription\",\"text\":\"" + "x".repeat(2_000_000) + "\"")));
        assertIsOurs(
                "a long name",
                client.send("POST", "/api/themes", "{\"name\":\"" + "x".repeat(100_000) + "\",\"starter\":\"plain\"}"));
    }

    /** What an address gives a meaning of its own is a harmless name: the bench, its pages and their style sheet are shown. */
    @Test
    void contextsNamedByWhatAddressesAreMadeOfAreShown() throws Exception {
        String document =
                """
                {"version": "2025.10", "name": "Marks", "sets": {"base": {"sources": [{"shape": {"$type": "dimension",
                 "line": {"$value": {"value": 1, "unit": "px"}}}}]}},
                 "modifiers": {"50 %; a=b": {"contexts": {"plain": [], "%2f;=,|\\\\?#& é": [{"shape": {"$type": "dimension",
                  "line": {"$value": {"value": 7, "unit": "px"}}}}]}}},
                 "resolutionOrder": [{"$ref": "#/sets/base"}, {"$ref": "#/modifiers/50 %; a=b"}]}""";
        HttpResponse<String> taken =
                client.upload("/api/kits", "marks.json", document.getBytes(StandardCharsets.UTF_8));
        assertThat(taken.statusCode()).as(taken.body()).isEqualTo(200);
        String marks = taken.body().replaceAll("(?s).*?\"id\":(\\d+).*", "$1");
        JsonObject modifier = JsonParser.parseString(
                        client.send("GET", "/api/themes/" + marks, "").body())
                .getAsJsonObject()
                .getAsJsonObject("structure")
                .getAsJsonArray("layers")
                .asList()
                .stream()
                .map(layer -> layer.getAsJsonObject())
                .filter(layer -> layer.get("name").getAsString().startsWith("50 %"))
                .findFirst()
                .orElseThrow();
        String key = modifier.get("code").getAsString() + "="
                + modifier.getAsJsonArray("contexts")
                        .get(1)
                        .getAsJsonObject()
                        .get("code")
                        .getAsString();
        String combo = java.net.URLEncoder.encode(key, StandardCharsets.UTF_8);
        HttpResponse<String> bench = client.send("GET", "/api/themes/" + marks + "?combo=" + combo, "");
        assertThat(bench.statusCode()).as(bench.body()).isEqualTo(200);
        HttpResponse<String> page =
                client.send("GET", "/preview/" + marks + "/draft/" + combo + "/crossings/index.html", "");
        assertThat(page.statusCode()).as(page.body()).isEqualTo(200);
        assertThat(page.body()).contains("%2f;=,|\\?#&amp; é");
        HttpResponse<String> sheet =
                client.send("GET", "/preview/" + marks + "/draft/" + combo + "/crossings/theme.css", "");
        assertThat(sheet.statusCode()).isEqualTo(200);
        assertThat(sheet.body()).contains("--shape-line: 7px");
    }

    /** A broken Origin is no reason to fail. */
    @Test
    void headersThatMakeNoSense() throws Exception {
        for (String origin : List.of("null", "http://", "x", "http://[", "https://a:b:c"))
            org.assertj.core.api.Assertions.assertThatThrownBy(
                            () -> client.open("/api/themes/" + theme + "/live", origin))
                    .as(origin)
                    .rootCause()
                    .hasMessageNotContaining("500");
    }
}
