package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Two applications on one database, with many people at one time. */
class TogetherTest {
    private static Servers servers;
    private static List<Process> both;
    private static Client one;
    private static Client other;

    /** Both begin at one time on an empty database, and both live. */
    @BeforeAll
    static void beginBoth() throws Exception {
        servers = new Servers();
        servers.startDatabase();
        int port = Servers.freePort();
        both = servers.beginTwo(port);
        one = new Client(servers.address()).signedIn();
        other = new Client("http://127.0.0.1:" + port).signedIn();
    }

    @AfterAll
    static void end() throws Exception {
        if (both != null) for (Process process : both) process.destroyForcibly().waitFor();
        servers.close();
    }

    private static String edit(int base, String path, String text) {
        return Asked.edit(
                base,
                "\"op\":\"newToken\",\"place\":\"set:base\",\"type\":\"dimension\",\"path\":\"" + path
                        + "\",\"text\":\"" + text + "\"");
    }

    @Test
    void bothLiveOnTheDatabaseTheyBeganOn() throws Exception {
        assertThat(both).allMatch(Process::isAlive);
        assertThat(one.send("GET", "/api/people", "").body())
                .isEqualTo(other.send("GET", "/api/people", "").body());
    }

    /** The setting makes a transaction fail where a row changed since it began (error 1020); both must be borne. */
    @ParameterizedTest
    @ValueSource(strings = {"OFF", "ON"})
    void unrelatedEditsAtOneTimeAllStand(String isolation) throws Exception {
        try {
            servers.sql("set global innodb_snapshot_isolation = " + isolation);
        } catch (java.sql.SQLException unknown) {
            // Versions before 10.6.18 do not have it, and behave as with OFF.
        }
        String theme = one.newTheme("Together " + isolation);
        ExecutorService people = Executors.newFixedThreadPool(12);
        List<Future<HttpResponse<String>>> answers = new ArrayList<>();
        int edits = 96;
        for (int i = 0; i < edits; i++) {
            int number = i;
            Client client = i % 2 == 0 ? one : other;
            answers.add(people.submit(() ->
                    client.send("POST", "/api/themes/" + theme + "/edits", edit(0, "mine.t" + number, number + "px"))));
        }
        for (Future<HttpResponse<String>> answer : answers)
            assertThat(answer.get().statusCode()).as(answer.get().body()).isEqualTo(200);
        people.shutdown();
        String seen = one.send("GET", "/api/themes/" + theme, "").body();
        assertThat(seen)
                .contains("\"revision\":" + edits + ",")
                .isEqualTo(other.send("GET", "/api/themes/" + theme, "").body());
        assertThat(one.send("GET", "/api/themes/" + theme + "/history?most=500", "")
                        .body()
                        .split("\"kind\":\"edit\"", -1))
                .hasSize(edits + 1);
    }

    @Test
    void anEditOfOneIsAnnouncedAndShownByTheOther() throws Exception {
        String theme = one.newTheme("Announced");
        Client.Socket socket = other.open("/api/themes/" + theme + "/live", other.address());
        assertThat(socket.announced.poll(20, java.util.concurrent.TimeUnit.SECONDS))
                .contains(":0}");
        one.send("POST", "/api/themes/" + theme + "/edits", edit(0, "mine.a", "1px"));
        assertThat(socket.announced.poll(20, java.util.concurrent.TimeUnit.SECONDS))
                .contains(":1}");
    }

    /** A picture's list, tones and address once lived in one process. */
    @Test
    void aPictureThatOneTakesIsInTheStylesheetTheScrimAndTheKitOfTheOther() throws Exception {
        String theme = one.newTheme("Pictured");
        other.send("GET", "/preview/" + theme + "/draft/default/~specimen/theme.css", "");
        byte[] svg =
                "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 9 9'><rect width='9' height='9' fill='#000000'/></svg>"
                        .getBytes();
        assertThat(one.upload("/api/themes/" + theme + "/pictures", "Sea view.svg", svg)
                        .body())
                .contains("sea-view.svg");
        String ground = "\"op\":\"onGround\",\"place\":\"set:roles\",\"path\":\"surface.page\","
                + "\"ground\":{\"kind\":\"picture\",\"source\":\"sea-view.svg\","
                + "\"position\":\"center "
                + "center\",\"repeat\":\"no-repeat\",\"size\":\"cover\",\"blend\":\"normal\",\"angle\":0,"
                + "\"role\":\"border\",\"scrim\":true}";
        HttpResponse<String> laid = one.send("POST", "/api/themes/" + theme + "/edits", Asked.edit(1, ground));
        assertThat(laid.statusCode()).as(laid.body()).isEqualTo(200);
        String css = other.send("GET", "/preview/" + theme + "/draft/default/~specimen/theme.css", "")
                .body();
        assertThat(css)
                .contains("ground/sea-view.svg")
                .isEqualTo(one.send("GET", "/preview/" + theme + "/draft/default/~specimen/theme.css", "")
                        .body());
        assertThat(other.download("/api/themes/" + theme + "/kit.zip"))
                .isEqualTo(one.download("/api/themes/" + theme + "/kit.zip"));
        assertThat(other.send("DELETE", "/api/themes/" + theme + "/pictures/sea-view.svg", "")
                        .body())
                .contains("stands the surface page");
        assertThat(other.send("GET", "/preview/" + theme + "/draft/default/x/ground/sea-view.svg", "")
                        .body())
                .contains("#000000");
    }
}
