package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.HostileThemes;
import tools.jackson.databind.json.JsonMapper;

/** Random documents and pictures made to do harm, sent through everything that touches them. Counts what became of them. */
final class HostileInput {
    private static final JsonMapper JSON = new JsonMapper();
    private static final List<String> PIECES = List.of(
            "<svg xmlns='http://www.w3.org/2000/svg'>",
            "<rect fill='#123456'/>",
            "<g><circle r='2'/></g>",
            "<path d='M0 0h9'/>",
            "<circle style='fill:#c8501c'/>",
            "<text>words</text>",
            "<svg>",
            "</svg>",
            "<g>",
            "</g>",
            "<script>1</script>",
            "<x:script xmlns:x='http://www.w3.org/2000/svg'>1</x:script>",
            "<rect onclick='1' fill='red'/>",
            "<image href='http://127.0.0.1/x'/>",
            "<use xlink:href='#a'/>",
            "<style>*{fill:url(http://x)}</style>",
            "<foreignObject><body/></foreignObject>",
            "<!DOCTYPE svg [<!ENTITY a '&#60;script&#62;'>]>",
            "&a;",
            "<?xml version='1.0' encoding='UTF-16'?>",
            "<![CDATA[<script>]]>",
            "<a href='javascript:1'>x</a>",
            "<animate attributeName='href' to='javascript:1'/>",
            " ",
            "\u0000",
            "<set attributeName='onload' to='1'/>");

    private final Client client;
    private final String pictured;
    int documents;
    int stored;
    int pictures;
    int picturesKept;

    HostileInput(Client client) throws Exception {
        this.client = client;
        pictured = client.newTheme("Pictured");
    }

    /** Import, bench, edit, library, kit and back: no failure of the server, nothing lost, no difference. */
    void document(long seed) throws Exception {
        documents++;
        byte[] document =
                JSON.writeValueAsString(new HostileThemes(seed).document()).getBytes(StandardCharsets.UTF_8);
        HttpResponse<String> taken = client.upload("/api/kits", "hostile-" + seed + ".json", document);
        assertThat(taken.statusCode()).as("seed %d: %s", seed, taken.body()).isIn(200, 400);
        if (taken.statusCode() != 200) return;
        stored++;
        String id = number(taken.body());
        assertThat(client.send("GET", "/api/themes/" + id, "").statusCode())
                .as("bench of seed %d", seed)
                .isEqualTo(200);
        HttpResponse<String> edited = client.send(
                "POST",
                "/api/themes/" + id + "/edits",
                Asked.edit(
                        0,
                        "\"op\":\"newToken\",\"place\":\"set:base\",\"type\":\"dimension\",\"path\":\"mine.own.token\",\"text\":\"7px\""));
        assertThat(edited.statusCode())
                .as("edit of seed %d: %s", seed, edited.body())
                .isIn(200, 400);
        assertThat(client.send("GET", "/api/themes/" + id + "/card", "").body())
                .as("card of seed %d", seed)
                .contains("\"fault\":\"\"");
        assertThat(client.send("GET", "/preview/" + id + "/draft/default/~specimen/theme.css", "")
                        .statusCode())
                .isEqualTo(200);
        byte[] kit = client.download("/api/themes/" + id + "/kit.zip");
        HttpResponse<String> back = client.upload("/api/kits", "back.kit.zip", kit);
        assertThat(back.statusCode())
                .as("kit of seed %d: %s", seed, back.body())
                .isEqualTo(200);
        String again = number(back.body());
        assertThat(ThemeJson.readInline(client.send("GET", "/api/themes/" + again + "/document", "")
                        .body()))
                .as("seed %d", seed)
                .isEqualTo(ThemeJson.readInline(client.send("GET", "/api/themes/" + id + "/document", "")
                        .body()));
        for (String one : List.of(id, again)) {
            client.send("PUT", "/api/themes/" + one + "/put-away", "{\"away\":true}");
            assertThat(client.send("DELETE", "/api/themes/" + one, "").statusCode())
                    .isEqualTo(200);
        }
    }

    private static String number(String imported) {
        return imported.replaceAll("(?s).*?\"id\":(\\d+).*", "$1");
    }

    /** Refused, or kept as what it really is, and served so that nothing in it can run. */
    void picture(long seed) throws Exception {
        pictures++;
        Random random = new Random(seed);
        byte[] content;
        if (random.nextInt(4) == 0) {
            content = new byte[random.nextInt(4_000)];
            random.nextBytes(content);
            byte[] start = List.of(
                            new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10},
                            new byte[] {(byte) 0xff, (byte) 0xd8, (byte) 0xff},
                            "RIFF....WEBPVP8L".getBytes(StandardCharsets.US_ASCII),
                            "GIF89a".getBytes(StandardCharsets.US_ASCII),
                            "BM".getBytes(StandardCharsets.US_ASCII))
                    .get(random.nextInt(5));
            System.arraycopy(start, 0, content, 0, Math.min(start.length, content.length));
        } else {
            StringBuilder text = new StringBuilder(random.nextInt(6) == 0 ? "" : PIECES.get(0));
            for (int i = random.nextInt(8); i >= 0; i--)
                text.append(PIECES.get(1 + random.nextInt(random.nextInt(6) == 0 ? PIECES.size() - 1 : 5)));
            content = text.append(random.nextInt(6) == 0 ? "" : "</svg>")
                    .toString()
                    .getBytes(random.nextInt(8) == 0 ? StandardCharsets.UTF_16 : StandardCharsets.UTF_8);
        }
        assertThat(client.upload("/api/palette/picture", "x.svg", content).statusCode())
                .as("palette of seed %d", seed)
                .isIn(200, 400);
        HttpResponse<String> kept = client.upload("/api/themes/" + pictured + "/pictures", "hostile.svg", content);
        assertThat(kept.statusCode()).as("seed %d: %s", seed, kept.body()).isIn(200, 400);
        if (kept.statusCode() != 200) return;
        picturesKept++;
        String name = kept.body().replaceAll(".*\"name\":\"([^\"]*)\".*", "$1");
        HttpResponse<String> served = client.send("GET", "/api/themes/" + pictured + "/pictures/" + name, "");
        assertThat(served.body().toLowerCase(java.util.Locale.ROOT))
                .as("seed %d", seed)
                .doesNotContain(
                        "<script", "onclick", "javascript:", "http://127", "foreignobject", "<!doctype", "animate");
        assertThat(served.headers().firstValue("Content-Security-Policy").orElse(""))
                .contains("sandbox", "default-src 'none'");
        assertThat(client.send("DELETE", "/api/themes/" + pictured + "/pictures/" + name, "")
                        .statusCode())
                .isEqualTo(200);
    }
}
