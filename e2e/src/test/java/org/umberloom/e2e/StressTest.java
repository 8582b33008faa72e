package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;

/** The long forms, by {@code ./loom stress}; what they find stands in docs/reliability.md. Loopback alone, and bounded. */
@Tag("stress")
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class StressTest {
    private static final int KILLS = Integer.getInteger("loom.kills", 50);
    private static final Duration CROWD = Duration.ofMinutes(Integer.getInteger("loom.crowd", 5));
    private static final Duration HOSTILE = Duration.ofMinutes(Integer.getInteger("loom.hostile", 10));
    private static final int PEOPLE = 100;
    private static final Pattern REVISION = Pattern.compile("\"revision\":(\\d+)");

    @Test
    @Order(1)
    void aHundredPeopleAtWork() throws Exception {
        try (Servers servers = new Servers()) {
            servers.startDatabase();
            servers.startApplication("-XX:TieredStopAtLevel=4");
            try (Crowd crowd = new Crowd(servers.address()).of(PEOPLE)) {
                crowd.work(Duration.ofSeconds(30));
                String first = crowd.figures();
                crowd.forget();
                crowd.work(CROWD);
                note(
                        "crowd",
                        "The first 30 seconds after " + PEOPLE + " people signed in, on an application just started: "
                                + first + ".\n\nThe " + CROWD.toMinutes() + " minutes after that: " + crowd.figures()
                                + ".");
                assertThat(crowd.failures).isEmpty();
            }
        }
    }

    @Test
    @Order(2)
    void applicationAndDatabaseAreKilledAgainAndAgain() throws Exception {
        Random random = new Random(7);
        int acknowledged = 0;
        int unknown = 0;
        try (Servers servers = new Servers()) {
            servers.startDatabase();
            servers.startApplication();
            Client client = new Client(servers.address()).signedIn();
            String id = client.newTheme("Killed");
            int revision = 0;
            for (int kill = 0; kill < 2 * KILLS; kill++) {
                boolean database = kill % 2 == 0;
                int edits = 5 + random.nextInt(25);
                int[] done = {0};
                Process victim = database ? servers.database() : servers.application();
                Thread killer = new Thread(() -> {
                    while (done[0] < edits) Thread.onSpinWait();
                    victim.destroyForcibly();
                });
                killer.start();
                int before = revision;
                try {
                    for (int i = 1; i <= 500; i++) {
                        if (client.send(
                                                "POST",
                                                "/api/themes/" + id + "/edits",
                                                Asked.edit(revision, Asked.value("shape.radius", revision + 1 + "px")))
                                        .statusCode()
                                != 200) break;
                        revision++;
                        done[0]++;
                    }
                } catch (IOException gone) {
                    // The answer was lost with the application.
                }
                done[0] = edits;
                killer.join();
                victim.waitFor();
                acknowledged += revision - before;
                servers.startAgain(database);
                String bench = "";
                for (int i = 0; i < 300 && !bench.contains("\"revision\""); i++) {
                    if (client.send("GET", "/api/session", "").statusCode() != 200) client.signIn();
                    bench = client.send("GET", "/api/themes/" + id, "").body();
                    if (!bench.contains("\"revision\"")) Thread.sleep(100);
                }
                Matcher stored = REVISION.matcher(bench);
                assertThat(stored.find()).as(bench).isTrue();
                int now = Integer.parseInt(stored.group(1));
                assertThat(now).as("after kill %d", kill).isBetween(revision, revision + 1);
                unknown += now - revision;
                revision = now;
                assertThat(client.send("GET", "/api/themes/" + id + "/token?path=shape.radius", "")
                                .body())
                        .contains("\"written\":\"" + revision + "px\"");
            }
        }
        note(
                "kills",
                KILLS + " kills of the database and " + KILLS + " of the application, each in the middle of edits: "
                        + acknowledged + " edits were acknowledged and every one was there afterwards; " + unknown
                        + " were stored whose answer was lost with the process.");
    }

    @Test
    @Order(3)
    void hostileDocumentsAndPictures() throws Exception {
        HostileInput input = new HostileInput(new Client(Loom.withDemo().address()).signedIn());
        long end = System.nanoTime() + HOSTILE.toNanos();
        for (long seed = 1_000; System.nanoTime() < end; seed++) {
            input.document(seed);
            input.picture(seed);
        }
        note(
                "hostile",
                HOSTILE.toMinutes() + " minutes of random documents and pictures: " + input.documents
                        + " documents, of which " + input.stored
                        + " were whole themes and went through bench, edit, library, kit and back without a difference; "
                        + input.pictures + " pictures, of which "
                        + input.picturesKept + " were kept. No answer of 500, nothing lost.");
    }

    /** Sites beside a person who works all the while: nobody waits for them. */
    @Test
    @Order(4)
    void hostileSites() throws Exception {
        Loom loom = Loom.withDemo();
        HostileSites sites = new HostileSites(new Client(loom.address()).signedIn());
        Client other = new Client(loom.address()).signedIn();
        long[] slowest = {0};
        boolean[] working = {true};
        Thread person = new Thread(() -> {
            try {
                while (working[0]) {
                    long begun = System.nanoTime();
                    assertThat(other.send("GET", "/api/themes/1", "").statusCode())
                            .isEqualTo(200);
                    slowest[0] = Math.max(slowest[0], System.nanoTime() - begun);
                    Thread.sleep(200);
                }
            } catch (IOException | InterruptedException e) {
                throw new IllegalStateException(e);
            }
        });
        person.start();
        long end = System.nanoTime() + HOSTILE.toNanos();
        for (long seed = 1_000; System.nanoTime() < end; seed++) sites.site(seed);
        working[0] = false;
        person.join();
        note(
                "hostile-sites",
                HOSTILE.toMinutes() + " minutes of random archives: " + sites.archives + " archives, of which "
                        + sites.kept
                        + " were whole sites and went through site, findings, pairs, kit, copy, archive and back without a "
                        + "difference. No answer of 500. Who worked beside it waited " + slowest[0] / 1_000_000
                        + " ms at most.");
        assertThat(slowest[0]).as("nobody waits over two seconds").isLessThan(2_000_000_000L);
    }

    @Test
    @Order(5)
    void theLineToTheDatabaseIsCutAtAnyByte() throws Exception {
        try (Servers servers = new Servers()) {
            servers.startDatabase();
            try (CuttingProxy line = servers.through()) {
                servers.startApplication();
                CutOff acts =
                        new CutOff(new Client(servers.address()).signedIn(), Interruption.cuts(line, new Random(7)), 7);
                for (int i = 0; i < KILLS; i++) acts.round();
                note(
                        "cut",
                        acts.acts
                                + " edits of themes and sites, lifts and releases while the line to the database was cut at any byte: "
                                + acts.stored + " were answered as stored and were, " + acts.refused
                                + " as not changed and were not, and " + acts.unknown
                                + " as not known, and were stored once when they were asked for again.");
            }
        }
    }

    @Test
    @Order(6)
    void deliveriesAreKilledOnTheirWay(@TempDir Path folder) throws Exception {
        try (Servers servers = new Servers()) {
            servers.startDatabase();
            servers.startApplication();
            try (KilledDeliveries deliveries = new KilledDeliveries(servers, folder, 7)) {
                for (int kill = 0; kill < 2 * KILLS; kill++) deliveries.kill(kill % 2 == 0);
                note(
                        "deliveries",
                        KILLS + " kills of the database and " + KILLS
                                + " of the application, each in the middle of a delivery: " + deliveries.done
                                + " had arrived, " + deliveries.broken + " were said to be broken off and "
                                + deliveries.failed
                                + " to have failed, within 6 s of the return. Readers saw one whole build all the while, and "
                                + "each next try arrived.");
                assertThat(deliveries.notBegun).isZero();
            }
        }
    }

    /** Edits of themes and sites, lifts and releases, and the process that does them killed meanwhile. */
    @Test
    @Order(7)
    void actsAreKilledOnTheirWay() throws Exception {
        try (Servers servers = new Servers()) {
            servers.startDatabase();
            servers.startApplication();
            CutOff acts =
                    new CutOff(new Client(servers.address()).signedIn(), Interruption.kills(servers, new Random(8)), 8);
            while (acts.acts < 2 * KILLS) acts.round();
            note(
                    "acts",
                    acts.acts
                            + " kills of database and application in turn while themes and sites were edited, values lifted and "
                            + "releases made: " + acts.stored + " acts were answered as stored and were, "
                            + acts.refused
                            + " as not changed and were not, and " + acts.unknown
                            + " as not known, and were stored once when they were asked for again.");
        }
    }

    /** Eight at once send what takes the most time there is; somebody who works beside them does not wait. */
    @Test
    @Order(8)
    void heavyFilesAtOnceHoldUpNobody() throws Exception {
        try (Servers servers = new Servers()) {
            servers.startDatabase();
            servers.startApplication("-XX:TieredStopAtLevel=4");
            HeavyFiles files = new HeavyFiles(servers.address());
            files.besideAPerson(1, 2);
            long slowest = files.besideAPerson(8, 3);
            note(
                    "heavy",
                    "Eight people at once, each three times with a page of 29 MB, an archive of 61 kB with a page of 60 MB, a "
                            + "picture of 7900 × 5000 pixels of 16 bits, and a kit of a site that holds such pictures: who worked "
                            + "beside them waited " + slowest + " ms at most. What they were answered, and how often: "
                            + files.said() + ".");
            assertThat(slowest).as("the slowest of the others' answers, in ms").isLessThan(1_000);
        }
    }

    /** Puts a passage between its marks. */
    private static void note(String name, String text) throws IOException {
        Path file = Loom.HOME.resolve("docs/reliability.md");
        String before = "<!-- " + name + " -->";
        String after = "<!-- /" + name + " -->";
        String page = Files.readString(file);
        int from = page.indexOf(before) + before.length();
        int to = page.indexOf(after);
        assertThat(to).isGreaterThan(from);
        Files.writeString(
                file,
                page.substring(0, from) + "\n" + LocalDate.now() + ", "
                        + Runtime.getRuntime().availableProcessors() + " cores, application with 512 MiB of heap.\n\n"
                        + text + "\n" + page.substring(to));
    }
}
