package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.TreeMap;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;

/** What takes an application the most memory and time for its size, sent by several people at once. */
final class HeavyFiles {
    private final String address;
    private final String theme;
    private final String site;
    private final byte[] longPage = page(29_000_000);
    private final byte[] smallArchive = zip(page(60_000_000));
    private final byte[] picture = picture();
    private final Map<String, Integer> answers = new ConcurrentHashMap<>();
    private int revision;
    private final Queue<Throwable> wrong = new ConcurrentLinkedQueue<>();

    HeavyFiles(String address) throws Exception {
        this.address = address;
        Client client = new Client(address).signedIn();
        theme = client.newTheme("Beside heavy files");
        site = (String) Released.object(client.send(
                        "POST",
                        "/api/sites",
                        "{\"name\":\"Heavy\",\"theme\":" + theme + ",\"kinds\":[\"landing\",\"article\"]}"))
                .get("slug");
    }

    private static byte[] page(int letters) {
        String line = "<p>words and more words</p>\n";
        return ("<html><head><title>Long</title></head><body>" + line.repeat(letters / line.length()))
                .getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] zip(byte[] page) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry("index.html"));
            zip.write(page);
        }
        return out.toByteArray();
    }

    private static byte[] picture() throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        assertThat(ImageIO.write(new BufferedImage(7900, 5000, BufferedImage.TYPE_USHORT_GRAY), "png", out))
                .isTrue();
        return out.toByteArray();
    }

    private void note(String what, int status) {
        answers.merge(what + " " + status, 1, Integer::sum);
        if (status == 500) wrong.add(new AssertionError(what + " was answered with 500"));
    }

    /** Everything heavy once, one after the other. */
    private void everything(Client client) throws Exception {
        String sites = "/api/sites/archive?theme=" + theme;
        note("page", client.upload(sites, "index.html", longPage).statusCode());
        note("archive", client.upload(sites, "site.zip", smallArchive).statusCode());
        note(
                "picture",
                client.upload("/api/sites/" + site + "/pictures", "large.png", picture)
                        .statusCode());
        HttpResponse<String> kit = client.send("GET", "/api/themes/" + theme + "/kit.zip?site=" + site, "");
        note("kit", kit.statusCode());
    }

    private Thread thread(Callable<?> work) {
        Thread thread = new Thread(() -> {
            try {
                work.call();
            } catch (Exception | AssertionError e) {
                wrong.add(e);
            }
        });
        thread.start();
        return thread;
    }

    /**
     * Several people at once, while somebody else opens a theme, edits it and looks at the library.
     *
     * @return how long the slowest answer to that one took, in ms
     */
    long besideAPerson(int people, int times) throws Exception {
        Client other = new Client(address).signedIn();
        List<Client> senders = new ArrayList<>();
        for (int i = 0; i < people; i++) senders.add(new Client(address).signedIn());
        boolean[] goesOn = {true};
        long[] slowest = {0};
        Thread person = thread(() -> {
            while (goesOn[0]) {
                for (String[] act : new String[][] {
                    {"GET", "/api/themes/" + theme, ""},
                    {"GET", "/api/themes", ""},
                    {
                        "POST",
                        "/api/themes/" + theme + "/edits",
                        Asked.edit(revision, Asked.value("shape.radius", revision + 1 + "px"))
                    }
                }) {
                    long begun = System.nanoTime();
                    HttpResponse<String> answer = other.send(act[0], act[1], act[2]);
                    slowest[0] = Math.max(slowest[0], (System.nanoTime() - begun) / 1_000_000);
                    assertThat(answer.statusCode()).as(act[1] + answer.body()).isEqualTo(200);
                }
                revision++;
                Thread.sleep(100);
            }
            return revision;
        });
        List<Thread> sending = senders.stream()
                .map(sender -> thread(() -> {
                    for (int i = 0; i < times; i++) everything(sender);
                    return times;
                }))
                .toList();
        for (Thread one : sending) one.join();
        goesOn[0] = false;
        person.join();
        assertThat(wrong).isEmpty();
        return slowest[0];
    }

    /** How often each was answered with what, in words. */
    String said() {
        return new TreeMap<>(answers).toString();
    }
}
