package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.limit.Sizes;

/**
 * Random archives of sites, with sizes on both sides of every limit: refused in a sentence, or read, listed, exported, copied,
 * brought in again and deleted. Counts what became of them.
 */
final class HostileSites {
    private static final List<String> PIECES = List.of(
            "<p>words</p>",
            "<h2 style='color: #123456'>A</h2>",
            "<div data-part='card'><h3>B</h3></div>",
            "<section data-surface='deep'><p>C</p></section>",
            "<svg><rect fill='url(http://127.0.0.1:9/x)'/></svg>",
            "<img src='/\\127.0.0.1:9/x' alt=''>",
            "<img src='pictures/a.svg' alt='d'>",
            "<script>1</script>",
            "<style>p { color: red } @import 'x.css';</style>",
            "<style>:is(:is(:is(p))) { margin: calc(1px + (2px * 3)) }</style>",
            "<a href='other.html'>e</a>",
            "<table><tr><td>f</table>",
            "<p",
            "</div></div>",
            "<!--",
            "<nav><a href='javascript:1'>g</a></nav>",
            "\u0000\u0001\uffff",
            "<svg><g id='a'><use href='#a'/></g></svg>",
            "<template><p>h</p></template>",
            "<x-y-z data-piece='menu'>i</x-y-z>");

    private final Client client;
    private final String theme;
    int archives;
    int kept;

    HostileSites(Client client) throws Exception {
        this.client = client;
        theme = client.newTheme("Of hostile sites");
    }

    private static String filler(Random random, int letters) {
        return String.valueOf("a \"\n<é".charAt(random.nextInt(6))).repeat(letters);
    }

    private static byte[] page(Random random) {
        StringBuilder html = new StringBuilder("<html><head><title>T</title></head><body>");
        for (int i = random.nextInt(12); i >= 0; i--) html.append(PIECES.get(random.nextInt(PIECES.size())));
        switch (random.nextInt(14)) {
            case 0 -> html.append(filler(random, 150_000 + random.nextInt(100_000)));
            case 1 -> html.append(filler(random, Sizes.TEXT - 1_000 + random.nextInt(2_000)));
            case 2 -> html.append("<i>x</i>".repeat(49_990 - random.nextInt(40)));
            case 3 -> html.append("<b>".repeat(200 + random.nextInt(120)));
            case 4 ->
                html.append("<img alt='' src='data:image/png;base64,")
                        .append("A".repeat(300_000))
                        .append("'>");
            default -> html.append("<p>the end</p>");
        }
        return html.append("</body></html>").toString().getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] sheet(Random random) {
        return (switch (random.nextInt(5)) {
                    case 0 -> "p { color: red }\n".repeat(random.nextInt(6_000));
                    case 1 -> ":is(".repeat(random.nextInt(120)) + "p" + ")".repeat(60) + " { color: red }";
                    case 2 -> "@media print {".repeat(random.nextInt(100)) + "p { margin: 3px";
                    case 3 -> "p { background: url(http://127.0.0.1:9/x) } q:hover::before { content: \"\\0\" }";
                    default -> ".a > .b, td:nth-child(2n+1) { border: 1px solid var(--x,) }";
                })
                .getBytes(StandardCharsets.UTF_8);
    }

    void site(long seed) throws Exception {
        archives++;
        Random random = new Random(seed);
        Map<String, byte[]> files = new LinkedHashMap<>();
        for (int i = random.nextInt(4); i >= 0; i--) files.put((i == 0 ? "index" : "p" + i) + ".html", page(random));
        if (random.nextBoolean()) files.put("x.css", sheet(random));
        files.put(
                "pictures/a.svg",
                "<svg xmlns='http://www.w3.org/2000/svg'><rect/></svg>".getBytes(StandardCharsets.UTF_8));
        HttpResponse<String> taken =
                client.upload("/api/sites/archive?theme=" + theme, "s" + seed + ".zip", KitArchive.write(files));
        assertThat(taken.statusCode()).as("seed %d: %s", seed, taken.body()).isIn(200, 400);
        if (taken.statusCode() != 200) {
            assertThat(JsonParser.parseString(taken.body())
                            .getAsJsonObject()
                            .get("detail")
                            .getAsString())
                    .as("seed %d", seed)
                    .isNotBlank();
            return;
        }
        kept++;
        String slug = slug(taken);
        goesThroughEverything(seed, slug);
        JsonObject copy = JsonParser.parseString(client.send("POST", "/api/sites/" + slug + "/copy", "{}")
                        .body())
                .getAsJsonObject();
        assertThat(copy.has("slug")).as("copy of seed %d: %s", seed, copy).isTrue();
        byte[] archive = client.download("/api/sites/" + slug + "/archive.zip");
        HttpResponse<String> back = client.upload("/api/sites/archive?theme=" + theme, "back.zip", archive);
        assertThat(back.statusCode())
                .as("back of seed %d: %s", seed, back.body())
                .isEqualTo(200);
        String again = slug(back);
        Map<String, byte[]> before = KitArchive.read(archive);
        Map<String, byte[]> after = KitArchive.read(client.download("/api/sites/" + again + "/archive.zip"));
        assertThat(after.keySet()).as("seed %d", seed).isEqualTo(before.keySet());
        before.forEach((name, content) -> {
            if (name.endsWith(".html"))
                assertThat(after.get(name)).as("%s of seed %d", name, seed).isEqualTo(content);
        });
        for (String one : List.of(slug, copy.get("slug").getAsString(), again)) deleted(seed, one);
    }

    private void goesThroughEverything(long seed, String slug) throws Exception {
        for (String path : List.of(
                "/api/sites/" + slug,
                "/api/sites/" + slug + "/history",
                "/api/cloth",
                "/api/themes/" + theme + "/findings",
                "/api/themes/" + theme + "/pairs",
                "/api/strays?theme=" + theme,
                "/preview/" + theme + "/draft/default/" + slug + "/index.html"))
            assertThat(client.send("GET", path, "").statusCode())
                    .as("%s of seed %d", path, seed)
                    .isEqualTo(200);
        Map<String, byte[]> kit = KitArchive.read(client.download("/api/themes/" + theme + "/kit.zip?site=" + slug));
        assertThat(kit).as("kit of seed %d", seed).containsKey("pages/" + slug + "/index.html");
        assertThat(client.send(
                                "PUT",
                                "/api/sites/" + slug + "/nameplate",
                                "{\"name\":\"Other\",\"tagline\":\"t\",\"logo\":\"\",\"logoDark\":\"\",\"icon\":\"\"}")
                        .statusCode())
                .as("edit of seed %d", seed)
                .isEqualTo(200);
        assertThat(client.send("POST", "/api/sites/" + slug + "/undo", "").statusCode())
                .as("undo of seed %d", seed)
                .isEqualTo(200);
    }

    private void deleted(long seed, String slug) throws Exception {
        String name = JsonParser.parseString(
                        client.send("GET", "/api/sites/" + slug, "").body())
                .getAsJsonObject()
                .get("name")
                .getAsString();
        client.send("PUT", "/api/sites/" + slug + "/away", "");
        assertThat(client.send(
                                "DELETE",
                                "/api/sites/" + slug + "?name="
                                        + java.net.URLEncoder.encode(name, StandardCharsets.UTF_8),
                                "")
                        .statusCode())
                .as("delete of seed %d", seed)
                .isEqualTo(200);
    }

    private static String slug(HttpResponse<String> taken) {
        return JsonParser.parseString(taken.body())
                .getAsJsonObject()
                .get("slug")
                .getAsString();
    }
}
