package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** The short form of what {@link StressTest} does for ten minutes, and the documents that once starved everybody. */
class HostileInputTest {
    private static final int DOCUMENTS = 150;
    private static final int PICTURES = 60;
    private static final int SITES = 8;
    /** From here on there are archives on both sides of the limits. */
    private static final int FIRST_SITE = 16;

    private final Loom loom = Loom.withDemo();

    @Test
    void documentsAndPicturesGoThroughEverythingThatTouchesThem() throws Exception {
        HostileInput input = new HostileInput(new Client(loom.address()).signedIn());
        for (int seed = 0; seed < DOCUMENTS; seed++) input.document(seed);
        for (int seed = 0; seed < PICTURES; seed++) input.picture(seed);
        assertThat(input.stored).as("some are whole themes").isGreaterThan(4);
        assertThat(input.picturesKept).as("some are whole pictures").isGreaterThan(4);
    }

    @Test
    void sitesGoThroughEverythingThatTouchesThem() throws Exception {
        HostileSites sites = new HostileSites(new Client(loom.address()).signedIn());
        for (int seed = 0; seed < SITES; seed++) sites.site(FIRST_SITE + seed);
        assertThat(sites.kept).as("some are whole sites").isBetween(SITES / 4, SITES - 1);
    }

    /** Deep times wide, 870 kB of which once ended the heap; many at one time, while somebody works. */
    @Test
    void documentsThatGrowAreRefusedByTheirLimitsAndOthersStayServed() throws Exception {
        Client client = new Client(loom.address()).signedIn();
        String wide = IntStream.range(0, 40_000)
                .mapToObj(i -> "\"t" + i + "\":{\"$value\":1}")
                .collect(Collectors.joining(","));
        byte[] deepAndWide =
                ("{\"a\":".repeat(400) + "{" + wide + "}" + "}".repeat(400)).getBytes(StandardCharsets.UTF_8);
        byte[] many = ("{\"$type\":\"number\","
                        + IntStream.range(0, 70_000)
                                .mapToObj(i -> "\"t" + i + "\":{\"$value\":1}")
                                .collect(Collectors.joining(","))
                        + "}")
                .getBytes(StandardCharsets.UTF_8);
        byte[] words = "word ".repeat(100_000).getBytes(StandardCharsets.UTF_8);
        ExecutorService people = Executors.newFixedThreadPool(8);
        List<Future<HttpResponse<String>>> answers = new ArrayList<>();
        for (int i = 0; i < 4; i++)
            for (byte[] content : List.of(deepAndWide, many, words))
                answers.add(people.submit(() -> client.upload("/api/kits", "x.json", content)));
        for (int i = 0; i < 10; i++)
            assertThat(client.send("GET", "/api/themes/1", "").statusCode()).isEqualTo(200);
        for (Future<HttpResponse<String>> answer : answers) {
            assertThat(answer.get().statusCode()).as(answer.get().body()).isEqualTo(400);
            assertThat(answer.get().body()).contains("othing was changed");
        }
        people.shutdown();
    }
}
