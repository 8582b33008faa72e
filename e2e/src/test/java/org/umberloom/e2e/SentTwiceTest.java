package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;

/** A request that is sent again under the same name, because nobody knows what became of it, changes nothing a second time. */
class SentTwiceTest {
    private static final Loom LOOM = Loom.withDemo();

    private static Map<String, String> named(String name) {
        return Map.of("Idempotency-Key", name);
    }

    private static String revision(String theme) {
        return LOOM.read("select revision from theme where id = " + theme).get(0);
    }

    @Test
    void aRepeatIsToldThatItIsStored() throws Exception {
        Client client = new Client(LOOM.address()).signedIn();
        String theme = client.newTheme("Sent twice");
        String edits = "/api/themes/" + theme + "/edits";
        String edit = Asked.edit(0, Asked.value("shape.radius", "7px"));
        String name = UUID.randomUUID().toString();
        assertThat(client.send("POST", edits, edit, named(name)).statusCode()).isEqualTo(200);
        HttpResponse<String> again = client.send("POST", edits, edit, named(name));
        assertThat(again.statusCode()).isEqualTo(409);
        assertThat(again.body()).contains("Stored already", "Nothing was changed a second time");
        assertThat(revision(theme)).isEqualTo("1");
        // Another act of the same kind has another name.
        assertThat(client.send(
                                "POST",
                                edits,
                                Asked.edit(1, Asked.value("shape.radius", "8px")),
                                named(UUID.randomUUID().toString()))
                        .statusCode())
                .isEqualTo(200);
        assertThat(revision(theme)).isEqualTo("2");
    }

    @Test
    void whatWasRefusedMayBeSentAgain() throws Exception {
        Client client = new Client(LOOM.address()).signedIn();
        String theme = client.newTheme("Refused once");
        String edits = "/api/themes/" + theme + "/edits";
        String name = UUID.randomUUID().toString();
        assertThat(client.send("POST", edits, Asked.edit(0, Asked.value("shape.radius", "red")), named(name))
                        .statusCode())
                .isEqualTo(400);
        assertThat(client.send("POST", edits, Asked.edit(0, Asked.value("shape.radius", "9px")), named(name))
                        .statusCode())
                .isEqualTo(200);
        assertThat(revision(theme)).isEqualTo("1");
    }

    /** A repeat that overtakes the first, or comes while that is being stored. */
    @Test
    void ofManyAtOnceOneIsStored() throws Exception {
        Client client = new Client(LOOM.address()).signedIn();
        int before = Integer.parseInt(LOOM.read("select count(*) from site").get(0));
        String name = UUID.randomUUID().toString();
        ExecutorService people = Executors.newFixedThreadPool(6);
        List<Future<HttpResponse<String>>> answers = new ArrayList<>();
        for (int i = 0; i < 6; i++)
            answers.add(people.submit(
                    () -> client.send("POST", "/api/sites/galley/copy", "{\"name\":\"Once only\"}", named(name))));
        List<Integer> codes = new ArrayList<>();
        for (Future<HttpResponse<String>> answer : answers)
            codes.add(answer.get().statusCode());
        people.shutdown();
        assertThat(codes).containsOnly(200, 409).containsOnlyOnce(200);
        assertThat(LOOM.read("select count(*) from site")).containsExactly(Integer.toString(before + 1));
    }
}
