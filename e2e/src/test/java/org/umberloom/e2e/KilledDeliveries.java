package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.umberloom.core.json.Json;
import org.umberloom.host.SimulatedHost;

/**
 * Two builds of a site brought to its host in turn, while application or database is killed on the way: readers see one whole build
 * all the while, what is said of the delivery agrees with it within the promised time, and the next try arrives.
 */
final class KilledDeliveries implements AutoCloseable {
    /** How long a delivery may still be said to go on after its process died. */
    private static final Duration LONGEST_SAID_TO_GO_ON = Duration.ofSeconds(6);

    private static final Duration LONGEST = Duration.ofSeconds(60);

    private final Servers servers;
    private final Client client;
    private final Random random;
    private final SimulatedHost host;
    private final String site;
    /** Some of the files of each build by its number, as the application shows them. */
    private final TreeMap<Integer, List<String>> builds = new TreeMap<>();

    int done;
    int broken;
    int failed;
    int notBegun;

    KilledDeliveries(Servers servers, Path folder, long seed) throws Exception {
        this.servers = servers;
        random = new Random(seed);
        client = new Client(servers.address()).signedIn();
        host = new SimulatedHost(HostsTest.harbour(folder, 0));
        String theme = client.newTheme("Delivered");
        site = (String) Released.object(client.send(
                        "POST",
                        "/api/sites",
                        "{\"name\":\"Delivered\",\"theme\":" + theme + ",\"kinds\":[\"landing\"]}"))
                .get("slug");
        Released released = new Released(client, theme, site);
        for (int build = 1; build <= 2; build++) {
            if (build == 2) released.edit(0, "color.brand.seed", "#902040");
            released.release("1.0." + (build - 1));
            released.take("1.0." + (build - 1));
            builds.put(build, files(released.build().replaceFirst("/pages/.*", "")));
        }
        assertThat(builds.get(1)).isNotEqualTo(builds.get(2));
        String made = client.send(
                        "POST",
                        "/api/hosts",
                        Json.write(new TreeMap<>(Map.ofEntries(
                                Map.entry("name", "Harbour"),
                                Map.entry("kind", "sftp"),
                                Map.entry("address", "127.0.0.1"),
                                Map.entry("port", host.port()),
                                Map.entry("account", "harbour"),
                                Map.entry("folder", ""),
                                Map.entry("web", ""),
                                Map.entry("signsIn", "password"),
                                Map.entry("password", HostsTest.PASSWORD),
                                Map.entry("key", ""),
                                Map.entry("pinned", host.fingerprint())))))
                .body();
        assertThat(made).contains("Harbour");
        String id = made.replaceFirst("(?s).*?\"id\":(\\d+).*", "$1");
        Released.object(client.send("PUT", "/api/sites/" + site + "/host", "{\"host\":" + id + ",\"place\":\"quay\"}"));
        deliver(1);
        assertThat(ended()).isEqualTo("done");
    }

    private List<String> files(String root) throws Exception {
        return List.of(file(root + "/theme.css"), file(root + "/pages/" + site + "/index.html"));
    }

    private static String file(String address) throws Exception {
        HttpResponse<String> answer = HttpClient.newHttpClient()
                .send(HttpRequest.newBuilder(URI.create(address)).build(), HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).as(address).isEqualTo(200);
        return answer.body();
    }

    private void deliver(int number) throws Exception {
        Released.object(client.send("POST", "/api/sites/" + site + "/deliveries", "{\"number\":" + number + "}"));
    }

    private String newest() throws Exception {
        HttpResponse<String> answer = client.send("GET", "/api/sites/" + site + "/deliveries", "");
        if (answer.statusCode() != 200) return "away";
        List<?> all = Json.list("deliveries", Released.object(answer).get("deliveries"));
        return (String) Json.object("delivery", all.get(0)).get("state");
    }

    /** How the newest delivery ended, when it has. */
    private String ended() throws Exception {
        long end = System.nanoTime() + LONGEST.toNanos();
        String state = newest();
        while ((state.equals("going") || state.equals("away")) && System.nanoTime() < end) {
            Thread.sleep(50);
            state = newest();
        }
        return state;
    }

    /** The number of the build that readers see whole. */
    private int seen() throws Exception {
        List<String> there = files("http://127.0.0.1:" + host.webPort() + "/quay");
        for (int number : builds.keySet()) if (builds.get(number).equals(there)) return number;
        throw new AssertionError("readers see parts of two builds");
    }

    /** One kill in the middle of a delivery, and the delivery after it. */
    void kill(boolean database) throws Exception {
        int before = seen();
        int wanted = 3 - before;
        deliver(wanted);
        Thread.sleep(random.nextInt(500));
        servers.kill(database);
        assertThat(seen()).isIn(before, wanted);
        servers.startAgain(database);
        for (int i = 0; i < 600 && client.send("GET", "/api/session", "").statusCode() != 200; i++) Thread.sleep(50);
        long begun = System.nanoTime();
        String state = ended();
        assertThat(System.nanoTime() - begun)
                .as("a delivery that goes on without anybody")
                .isLessThan(LONGEST_SAID_TO_GO_ON.toNanos());
        int now = seen();
        assertThat(now).as(state).isIn(before, wanted);
        switch (state) {
            case "done" -> {
                done++;
                assertThat(now).isEqualTo(wanted);
            }
            case "broken" -> broken++;
            case "failed" -> failed++;
            default -> notBegun++;
        }
        deliver(wanted);
        assertThat(ended()).isEqualTo("done");
        assertThat(seen()).isEqualTo(wanted);
        Map<String, Object> published = Released.object(client.send("GET", "/api/sites/" + site + "/builds", ""));
        assertThat(((Number) published.get("live")).intValue()).isEqualTo(wanted);
    }

    @Override
    public void close() throws IOException {
        host.close();
    }
}
