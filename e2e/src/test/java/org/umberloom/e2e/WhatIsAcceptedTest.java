package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonArray;
import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.StreamSupport;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.json.Json;

/**
 * Whatever is accepted can be read, listed, sent out, copied and deleted: pictures of a site, fonts and hosts, with names, sizes and
 * contents on both sides of their limits. Themes and sites have {@link HostileInputTest}.
 */
class WhatIsAcceptedTest {
    private static final int TIMES = 24;
    private static final List<String> NAMES = List.of(
            "plain.png",
            "../../etc/passwd.png",
            "a\"b'<i>&.png",
            "ünïcödé 漢字.png",
            "x".repeat(400) + ".png",
            ".png",
            "con.png",
            "no ending",
            "two\u0000ends.png",
            "right\u202eto-left.png");

    private static final Pattern FILE = Pattern.compile("/fonts/own/[\\w.-]+\\.woff2");

    private final Client client;
    private final Random random = new Random(28);

    WhatIsAcceptedTest() throws Exception {
        client = new Client(Loom.withDemo().address()).signedIn();
    }

    private <T> T one(List<T> list) {
        return list.get(random.nextInt(list.size()));
    }

    private static JsonElement read(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return JsonParser.parseString(answer.body());
    }

    private JsonElement get(String path) throws Exception {
        return read(client.send("GET", path, ""));
    }

    /** Whether it was taken; what was not is told in a sentence. */
    private static boolean taken(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).as(answer.body()).isIn(200, 400);
        if (answer.statusCode() == 400)
            assertThat(answer.body()).contains("\"detail\":\"").doesNotContain("xception");
        return answer.statusCode() == 200;
    }

    private static List<String> names(JsonElement list, String field) {
        return StreamSupport.stream(list.getAsJsonArray().spliterator(), false)
                .map(one -> one.getAsJsonObject().get(field).getAsString())
                .toList();
    }

    private byte[] picture() throws Exception {
        if (random.nextInt(4) == 0)
            return ("<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 " + random.nextInt(3) + " 9'><rect width='"
                            + random.nextLong() + "' height='9'/></svg>")
                    .getBytes(StandardCharsets.UTF_8);
        int[] sizes = {1, 2, 63, 64, 1_000, 2_560, 8_000, 12_000};
        int width = sizes[random.nextInt(sizes.length)];
        int height = sizes[random.nextInt(width > 2_000 ? 4 : sizes.length)];
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setColor(new Color(random.nextInt(1 << 24)));
        pen.fillRect(0, 0, width, height / 2 + 1);
        pen.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, one(List.of("png", "jpg", "gif")), out);
        byte[] content = out.toByteArray();
        if (random.nextInt(5) == 0) return Arrays.copyOf(content, random.nextInt(content.length));
        return content;
    }

    @Test
    void pictures() throws Exception {
        String theme = client.newTheme("Of any picture");
        String site = read(client.send(
                        "POST",
                        "/api/sites",
                        "{\"name\":\"Any picture\",\"theme\":" + theme + ",\"kinds\":[\"landing\"]}"))
                .getAsJsonObject()
                .get("slug")
                .getAsString();
        String shelf = "/api/sites/" + site + "/pictures";
        int kept = 0;
        for (int i = 0; i < TIMES; i++) {
            HttpResponse<String> answer = client.upload(shelf, one(NAMES), picture());
            if (!taken(answer)) continue;
            kept++;
            String name = read(answer).getAsJsonObject().get("name").getAsString();
            assertThat(names(get(shelf), "name")).contains(name);
            HttpResponse<String> shown =
                    client.send("GET", "/preview/" + theme + "/draft/default/" + site + "/pictures/" + name, "");
            assertThat(shown.statusCode()).as(name).isEqualTo(200);
        }
        assertThat(kept).isBetween(TIMES / 3, TIMES - 1);
        assertThat(KitArchive.read(client.download("/api/themes/" + theme + "/kit.zip?site=" + site)))
                .containsKey("pages/" + site + "/index.html");
        String copy = read(client.send("POST", "/api/sites/" + site + "/copy", "{\"name\":\"Any picture again\"}"))
                .getAsJsonObject()
                .get("slug")
                .getAsString();
        List<String> all = names(get(shelf), "name");
        assertThat(names(get("/api/sites/" + copy + "/pictures"), "name")).containsExactlyInAnyOrderElementsOf(all);
        for (String name : all)
            assertThat(client.send("DELETE", shelf + "/" + name, "").statusCode())
                    .as(name)
                    .isEqualTo(200);
        assertThat(get(shelf).getAsJsonArray()).isEmpty();
        for (String[] one : new String[][] {{site, "Any+picture"}, {copy, "Any+picture+again"}}) {
            client.send("PUT", "/api/sites/" + one[0] + "/away", "");
            assertThat(client.send("DELETE", "/api/sites/" + one[0] + "?name=" + one[1], "")
                            .statusCode())
                    .isEqualTo(200);
        }
    }

    @Test
    void fonts() throws Exception {
        byte[] font = Files.readAllBytes(OwnFontsTest.liberation("Regular"));
        int kept = 0;
        for (int i = 0; i < TIMES; i++) {
            byte[] content = font.clone();
            for (int flips = i == 0 ? 0 : random.nextInt(3); flips > 0; flips--)
                content[random.nextInt(random.nextBoolean() ? 400 : content.length)] ^= (byte) (1 << random.nextInt(8));
            if (random.nextInt(6) == 0) content = Arrays.copyOf(content, random.nextInt(content.length));
            HttpResponse<String> answer = client.upload("/api/fonts/own", one(NAMES), content);
            if (!taken(answer)) continue;
            JsonObject brought = read(answer).getAsJsonArray().get(0).getAsJsonObject();
            if (!brought.get("kept").getAsBoolean()) {
                assertThat(brought.get("what").getAsString()).isNotBlank();
                continue;
            }
            kept++;
            String family = brought.get("family").getAsString();
            assertThat(names(get("/api/fonts"), "name")).contains(family);
            get("/api/fonts/facts");
            HttpResponse<String> faces = client.send("GET", "/api/fonts/own.css", "");
            assertThat(faces.statusCode()).isEqualTo(200);
            List<MatchResult> files = FILE.matcher(faces.body()).results().toList();
            assertThat(files).isNotEmpty();
            for (MatchResult file : files)
                assertThat(client.send("GET", file.group(), "").statusCode()).isEqualTo(200);
            assertThat(client.send("POST", "/api/fonts/own/removed", Json.write(Map.of("family", family)))
                            .statusCode())
                    .isEqualTo(200);
            assertThat(client.send("GET", "/api/fonts/own.css", "").body()).doesNotContain(family);
        }
        assertThat(kept).isPositive();
    }

    @Test
    void hosts() throws Exception {
        List<String> odd = List.of(
                "",
                " ",
                "harbour",
                "../..",
                "/",
                "a\u0000b",
                "x".repeat(500),
                "<b>\"';--",
                "ünï",
                "[::1]",
                "127.0.0.1");
        int kept = 0;
        for (int i = 0; i < TIMES; i++) {
            JsonObject wanted = new JsonObject();
            wanted.addProperty("name", random.nextInt(4) == 0 ? one(odd) + i : "Host " + i);
            wanted.addProperty("kind", random.nextInt(9) == 0 ? one(odd) : "sftp");
            wanted.addProperty("address", random.nextInt(5) == 0 ? one(odd) : "127.0.0.1");
            wanted.addProperty("port", one(List.of(0, 1, 22, 2_022, 65_535, 65_536)));
            wanted.addProperty("account", random.nextInt(5) == 0 ? one(odd) : "harbour");
            wanted.addProperty("folder", random.nextInt(5) == 0 ? one(odd) : "");
            wanted.addProperty("web", random.nextInt(5) == 0 ? one(odd) : "https://readers.example/");
            wanted.addProperty("signsIn", random.nextInt(9) == 0 ? one(odd) : "password");
            wanted.addProperty("password", random.nextInt(5) == 0 ? one(odd) : HostsTest.PASSWORD);
            wanted.addProperty("key", random.nextInt(9) == 0 ? one(odd) : "");
            wanted.addProperty("pinned", random.nextInt(5) == 0 ? one(odd) : "SHA256:" + "A".repeat(43));
            HttpResponse<String> answer = client.send("POST", "/api/hosts", wanted.toString());
            if (!taken(answer)) continue;
            kept++;
            JsonArray all = get("/api/hosts").getAsJsonObject().getAsJsonArray("hosts");
            JsonObject made = StreamSupport.stream(all.spliterator(), false)
                    .map(JsonElement::getAsJsonObject)
                    .max(Comparator.comparingLong(host -> host.get("id").getAsLong()))
                    .orElseThrow();
            String at = "/api/hosts/" + made.get("id").getAsString();
            wanted.addProperty("name", "Renamed " + i);
            // The password stays as it is.
            wanted.addProperty("password", "");
            assertThat(client.send("PUT", at, wanted.toString()).statusCode())
                    .as(wanted.toString())
                    .isEqualTo(200);
            assertThat(client.send("DELETE", at, "").statusCode()).isEqualTo(200);
        }
        assertThat(kept).isBetween(3, TIMES - 1);
    }
}
