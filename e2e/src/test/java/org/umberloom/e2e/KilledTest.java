package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.umberloom.core.json.Json;

/** What happens when the application or its database dies, goes away or has no room left: nothing acknowledged is lost. */
class KilledTest {
    private static final long LONGEST_RETURN_MS = Duration.ofSeconds(60).toMillis();

    @Test
    void everyAcknowledgedEditIsThereAfterBothWereKilled() throws Exception {
        try (Servers servers = new Servers()) {
            servers.startDatabase();
            servers.startApplication();
            Client client = new Client(servers.address()).signedIn();
            String id = client.newTheme("Killed");
            OnItsWay way = new OnItsWay(client, client.newTheme("Rolling"));
            Thread releasing = new Thread(way);
            releasing.start();
            int[] acknowledged = {0};
            Thread killer = new Thread(() -> {
                while (acknowledged[0] < 25 || way.rolledOut < 3) Thread.onSpinWait();
                servers.database().destroyForcibly();
                servers.application().destroyForcibly();
            });
            killer.start();
            try {
                for (int i = 1; i <= 500; i++) {
                    if (radius(client, id, acknowledged[0], i).statusCode() != 200) break;
                    acknowledged[0] = i;
                }
            } catch (IOException killed) {
                // What was on its way when both ended was not acknowledged.
            }
            killer.join();
            releasing.join();
            servers.application().waitFor();
            servers.database().waitFor();
            assertThat(acknowledged[0]).isBetween(25, 499);

            servers.startDatabase();
            servers.startApplication();
            client.signedIn();
            way.isWhole();
            String bench = client.send("GET", "/api/themes/" + id, "").body();
            Matcher revision = Pattern.compile("\"revision\":(\\d+)").matcher(bench);
            assertThat(revision.find()).isTrue();
            // The edit that was on its way may have been stored just before its answer was lost.
            assertThat(Integer.parseInt(revision.group(1))).isBetween(acknowledged[0], acknowledged[0] + 1);
            String token = client.send("GET", "/api/themes/" + id + "/token?path=shape.radius", "")
                    .body();
            assertThat(token).contains("\"written\":\"" + revision.group(1) + "px\"");
            int newest = Integer.parseInt(revision.group(1));
            for (int i = newest; i > 0; i--)
                assertThat(undo(client, id, 2 * newest - i).statusCode()).isEqualTo(200);
            assertThat(undo(client, id, 2 * newest).body()).contains("nothing left to undo");
        }
    }

    /** Somebody who changes a theme, releases it and rolls it out to two sites, again and again, until nobody answers. */
    private static final class OnItsWay implements Runnable {
        private final Client client;
        private final String theme;
        private final List<String> sites = new ArrayList<>();
        private volatile int released;
        volatile int rolledOut;

        OnItsWay(Client client, String theme) throws Exception {
            this.client = client;
            this.theme = theme;
            for (String name : List.of("One", "Other"))
                sites.add((String) Released.object(client.send(
                                "POST",
                                "/api/sites",
                                "{\"name\":\"" + name + "\",\"theme\":" + theme + ",\"kinds\":[\"landing\"]}"))
                        .get("slug"));
        }

        private String path(String rest) {
            return "/api/themes/" + theme + rest;
        }

        @Override
        public void run() {
            try {
                for (int i = 0; i < 400; i++) {
                    Released.object(client.send(
                            "POST", path("/edits"), Asked.edit(i, Asked.value("shape.radius", i + 1 + "px"))));
                    Released.object(client.send(
                            "POST",
                            path("/releases"),
                            "{\"revision\":" + (i + 1) + ",\"number\":\"1.0." + i
                                    + "\",\"notes\":\"\",\"reason\":\"it is a test\"}"));
                    released = i + 1;
                    Released.object(client.send(
                            "POST",
                            path("/rollouts"),
                            "{\"release\":\"1.0." + i + "\",\"stages\":[{\"sites\":[\"" + sites.get(0) + "\",\""
                                    + sites.get(1) + "\"],\"waitHours\":0}]}"));
                    rolledOut = i + 1;
                }
            } catch (Exception | AssertionError killed) {
                // What was on its way was not acknowledged.
                return;
            }
        }

        /** Every release that was acknowledged reads as it was kept, and both sites stand on one. */
        void isWhole() throws Exception {
            assertThat(rolledOut).isGreaterThanOrEqualTo(3);
            Map<String, Object> all = Released.object(client.send("GET", path("/releases"), ""));
            int stored = Json.list("releases", all.get("releases")).size();
            assertThat(stored).isBetween(released, released + 1);
            for (int i = 0; i < stored; i++)
                assertThat(client.send("GET", path("/difference?from=1.0." + i + "&to=1.0." + i), "")
                                .statusCode())
                        .isEqualTo(200);
            List<Object> standing = Json.list("sites", all.get("sites")).stream()
                    .map(site -> Json.object("site", site).get("release"))
                    .distinct()
                    .toList();
            assertThat(standing).as("half rolled out").hasSize(1);
            assertThat((String) standing.get(0)).isIn("1.0." + (rolledOut - 1), "1.0." + rolledOut);
        }
    }

    /** The line is cut at any byte; the short form of what {@link StressTest} does. */
    @Test
    void whatIsAnsweredIsWhatBecameOfItWhenTheLineIsCut() throws Exception {
        try (Servers servers = new Servers()) {
            servers.startDatabase();
            try (CuttingProxy line = servers.through()) {
                servers.startApplication();
                CutOff acts = new CutOff(
                        new Client(servers.address()).signedIn(), Interruption.cuts(line, new Random(28)), 28);
                for (int i = 0; i < 4; i++) acts.round();
                assertThat(acts.acts).isEqualTo(20);
                assertThat(acts.refused + acts.unknown).as("the line was cut").isGreaterThan(4);
            }
        }
    }

    /** Whoever starts both does not have to care which is there first, and one that goes away meanwhile is waited for. */
    @Test
    void anApplicationThatLosesItsDatabaseWhileItStartsGoesOnStarting() throws Exception {
        try (Servers servers = new Servers()) {
            Process application = servers.beginApplication();
            TimeUnit.SECONDS.sleep(8);
            assertThat(application.isAlive()).as("without a database at all").isTrue();
            servers.startDatabase();
            servers.awaitApplication();
            application.destroyForcibly().waitFor();

            // What is there is only looked at; the connection goes while that is done.
            application = servers.beginApplication();
            TimeUnit.SECONDS.sleep(2);
            servers.database().destroyForcibly().waitFor();
            TimeUnit.SECONDS.sleep(6);
            assertThat(application.isAlive())
                    .as("after its database was killed")
                    .isTrue();
            servers.startDatabase();
            servers.awaitApplication();
            assertThat(new Client(servers.address()).signIn().statusCode()).isEqualTo(200);
        }
    }

    /** One application goes through it all: a database that dies, that has no room left, and that comes back. */
    @Test
    void aDatabaseThatIsAwayOrFullIsSaidAndTheApplicationGoesOnByItself() throws Exception {
        try (Servers servers =
                new Servers("--innodb-file-per-table=0", "--innodb-data-file-path=ibdata1:12M:autoextend:max:40M")) {
            servers.startDatabase();
            servers.startApplication();
            Client client = new Client(servers.address()).signedIn();
            String id = client.newTheme("Away");
            assertThat(radius(client, id, 0, 9).statusCode()).isEqualTo(200);

            servers.database().destroyForcibly().waitFor();
            HttpResponse<String> signIn = new Client(servers.address()).signIn();
            assertThat(signIn.statusCode()).isEqualTo(503);
            assertThat(signIn.body()).contains("The database does not answer").doesNotContain("do not belong together");
            HttpResponse<String> edit = radius(client, id, 1, 10);
            assertThat(edit.statusCode()).isEqualTo(503);
            assertThat(edit.body()).contains("Nothing was changed").doesNotContain("Exception", "Tomcat", "html");
            assertThat(client.page("/bench/" + id).body()).doesNotContain("Tomcat", "HTTP Status");

            servers.startDatabase();
            long end = System.currentTimeMillis() + LONGEST_RETURN_MS;
            HttpResponse<String> back = radius(client, id, 1, 10);
            while (back.statusCode() != 200 && System.currentTimeMillis() < end) {
                TimeUnit.MILLISECONDS.sleep(200);
                back = radius(client, id, 1, 10);
            }
            assertThat(back.statusCode()).as(back.body()).isEqualTo(200);

            servers.sql("create table filler (text longblob) engine = InnoDB");
            for (int i = 0; i < 60; i++) {
                try {
                    servers.sql("insert into filler values (repeat('x', 1000000))");
                } catch (java.sql.SQLException full) {
                    break;
                }
            }
            HttpResponse<String> full =
                    client.send("POST", "/api/themes", "{\"name\":\"No room\",\"starter\":\"plain\"}");
            for (int i = 0; i < 40 && full.statusCode() == 200; i++)
                full = client.send("POST", "/api/themes", "{\"name\":\"No room\",\"starter\":\"plain\"}");
            assertThat(full.statusCode()).as(full.body()).isEqualTo(507);
            assertThat(full.body()).contains("Nothing more can be stored", "What you had is safe");
            assertThat(client.send("GET", "/api/themes/" + id, "").body())
                    .as(servers.said())
                    .contains("\"revision\":2");
            // Somebody makes room.
            servers.database().destroyForcibly().waitFor();
            servers.options("--innodb-file-per-table=0", "--innodb-data-file-path=ibdata1:12M:autoextend:max:400M");
            servers.startDatabase();
            for (int i = 0; i < 300 && client.send("GET", "/api/session", "").statusCode() != 200; i++)
                TimeUnit.MILLISECONDS.sleep(200);
            assertThat(client.send("POST", "/api/themes", "{\"name\":\"Room\",\"starter\":\"plain\"}")
                            .statusCode())
                    .isEqualTo(200);
            assertThat(servers.application().isAlive()).isTrue();
        }
    }

    private static HttpResponse<String> radius(Client client, String id, int base, int px) throws Exception {
        return client.send(
                "POST", "/api/themes/" + id + "/edits", Asked.edit(base, Asked.value("shape.radius", px + "px")));
    }

    private static HttpResponse<String> undo(Client client, String id, int base) throws Exception {
        return client.send("POST", "/api/themes/" + id + "/undo", "{\"base\":" + base + ",\"combo\":\"\",\"bays\":[]}");
    }
}
