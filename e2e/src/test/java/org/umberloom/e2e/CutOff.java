package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonArray;
import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Random;
import java.util.UUID;

/**
 * Acts of every kind that are interrupted on their way: what is answered is what became of it, and what nobody knows is known when it
 * is asked for again under its name. Counts what became of them.
 */
final class CutOff {
    /** An act, and whether it has taken effect by now: in all of its places, or in none. */
    private record Act(String method, String path, String body, Check done) {}

    @FunctionalInterface
    private interface Check {
        boolean isDone() throws Exception;
    }

    private final Client client;
    private final Interruption interruption;
    private final Random random;
    private final String theme;
    private final String site;
    private int revision;
    private int releases;
    int acts;
    int refused;
    int unknown;
    int stored;

    CutOff(Client client, Interruption interruption, long seed) throws Exception {
        this.client = client;
        this.interruption = interruption;
        random = new Random(seed);
        theme = client.newTheme("Cut off");
        site = site("Cut off");
    }

    private String site(String name) throws Exception {
        HttpResponse<String> made =
                client.send("POST", "/api/sites", "{\"name\":\"" + name + "\",\"theme\":" + theme + "}");
        return object(made).get("slug").getAsString();
    }

    private static JsonObject object(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return JsonParser.parseString(answer.body()).getAsJsonObject();
    }

    private HttpResponse<String> get(String path) throws Exception {
        return client.send("GET", path, "");
    }

    void edit() throws Exception {
        String value = revision + 1 + "px";
        check(new Act(
                "POST",
                "/api/themes/" + theme + "/edits",
                Asked.edit(revision, Asked.value("shape.radius", value)),
                () -> {
                    String token = get("/api/themes/" + theme + "/token?path=shape.radius")
                            .body();
                    return token.contains("\"written\":\"" + value + "\"");
                }));
        revision = object(get("/api/themes/" + theme)).get("revision").getAsInt();
    }

    void siteEdit() throws Exception {
        String tagline = UUID.randomUUID().toString();
        check(new Act(
                "PUT",
                "/api/sites/" + site + "/nameplate",
                "{\"name\":\"Cut off\",\"tagline\":\"" + tagline + "\",\"logo\":\"\",\"logoDark\":\"\",\"icon\":\"\"}",
                () -> get("/api/sites/" + site).body().contains(tagline)));
    }

    void release() throws Exception {
        edit();
        String number = "1." + releases++ + ".0";
        String body = "{\"revision\":" + revision + ",\"number\":\"" + number
                + "\",\"notes\":\"\",\"reason\":\"it is a test\"}";
        check(new Act("POST", "/api/themes/" + theme + "/releases", body, () -> {
            for (JsonElement one :
                    object(get("/api/themes/" + theme + "/releases")).getAsJsonArray("releases"))
                if (one.getAsJsonObject().get("number").getAsString().equals(number)) return true;
            return false;
        }));
    }

    /** Values of two sites become one token of the theme: in all three places, or in none. */
    void lift() throws Exception {
        StringBuilder strays = new StringBuilder();
        String[] sites = new String[2];
        String color = "#a0" + String.format("%04x", random.nextInt(1 << 16));
        for (int i = 0; i < 2; i++) {
            String page = "<html><head><title>x</title></head><body><main><h1>x</h1><p style=\"color: " + color
                    + "\">x</p></main></body></html>";
            HttpResponse<String> taken = client.upload(
                    "/api/sites/archive?theme=" + theme, "index.html", page.getBytes(StandardCharsets.UTF_8));
            sites[i] = object(taken).get("slug").getAsString();
            for (JsonElement stray : strays(sites[i]))
                strays.append(strays.isEmpty() ? "" : ",")
                        .append("{\"site\":\"")
                        .append(sites[i])
                        .append("\",\"id\":")
                        .append(stray.getAsJsonObject().get("id"))
                        .append("}");
        }
        String path = "lifted.v" + UUID.randomUUID().toString().substring(0, 8);
        check(new Act(
                "POST",
                "/api/strays/lift",
                "{\"theme\":" + theme + ",\"path\":\"" + path + "\",\"strays\":[" + strays + "]}",
                () -> {
                    boolean token = get("/api/themes/" + theme + "/token?path=" + path)
                            .body()
                            .contains("\"written\":\"" + color);
                    for (String one : sites)
                        assertThat(strays(one).isEmpty())
                                .as("%s: the token is %s", one, token ? "there" : "not there")
                                .isEqualTo(token);
                    return token;
                }));
        revision = object(get("/api/themes/" + theme)).get("revision").getAsInt();
        for (String one : sites) client.send("DELETE", "/api/sites/" + one + "?name=index", "");
    }

    private JsonArray strays(String slug) throws Exception {
        return object(get("/api/sites/" + slug)).getAsJsonArray("strays");
    }

    private void check(Act act) throws Exception {
        acts++;
        String name = UUID.randomUUID().toString();
        interruption.begin();
        String answer = sent(act, name);
        interruption.end();
        awaken();
        if (answer.startsWith("200") || answer.contains("Stored, but not shown")) {
            stored++;
            assertThat(act.done.isDone()).as("answered %s", answer).isTrue();
        } else if (answer.contains("othing was") && !answer.contains("Not known")) {
            refused++;
            assertThat(act.done.isDone()).as("answered %s", answer).isFalse();
        } else {
            unknown++;
            boolean before = act.done.isDone();
            String again = sent(act, name);
            if (before) assertThat(again).contains("Stored already");
            else assertThat(again).as("after %s", answer).startsWith("200");
            assertThat(act.done.isDone()).isTrue();
        }
        assertThat(sent(act, name))
                .as("a repeat of what is stored changes nothing")
                .matches(text -> !text.startsWith("500"));
    }

    private String sent(Act act, String name) throws InterruptedException {
        try {
            HttpResponse<String> answer = client.send(act.method, act.path, act.body, Map.of("Idempotency-Key", name));
            return answer.statusCode() + " " + answer.body();
        } catch (IOException lost) {
            return "no answer";
        }
    }

    /** The application finds its database again by itself. */
    private void awaken() throws Exception {
        for (int i = 0; i < 300; i++) {
            if (get("/api/session").statusCode() == 200
                    && get("/api/themes/" + theme).statusCode() == 200) return;
            Thread.sleep(50);
        }
        throw new AssertionError("it does not answer any more");
    }

    /** One of each kind. */
    void round() throws Exception {
        edit();
        siteEdit();
        lift();
        release();
    }
}
