package org.umberloom.e2e;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.WebSocket;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Many people at work at one time, each signed in, each on a theme of their own with an open line: one action a second, two
 * probes and then an edit, begun at a moment of their own. Bounded in number and time; speaks to loopback alone.
 */
final class Crowd implements AutoCloseable {
    private static final Duration LONGEST = Duration.ofSeconds(60);
    private static final Pattern NUMBER = Pattern.compile("\"id\":(\\d+)");
    private static final Pattern REVISION = Pattern.compile("\"revision\":(\\d+)");
    private static final Pattern COOKIE = Pattern.compile("(LOOM|XSRF-TOKEN)=([^;]*)");

    private final HttpClient http =
            HttpClient.newBuilder().connectTimeout(LONGEST).build();
    private final String address;
    private final List<Person> people = new ArrayList<>();
    private final ScheduledExecutorService clock = Executors.newScheduledThreadPool(2);
    final ConcurrentLinkedQueue<Double> probes = new ConcurrentLinkedQueue<>();
    final ConcurrentLinkedQueue<Double> edits = new ConcurrentLinkedQueue<>();
    final ConcurrentLinkedQueue<String> failures = new ConcurrentLinkedQueue<>();
    final AtomicInteger late = new AtomicInteger();

    Crowd(String address) {
        this.address = address;
    }

    /** One after the other they sign in and begin a theme. */
    Crowd of(int count) throws IOException, InterruptedException {
        for (int i = 0; i < count; i++) people.add(new Person(i));
        return this;
    }

    /** Everybody acts once a second for so long. */
    void work(Duration length) throws InterruptedException {
        long end = System.nanoTime() + length.toNanos();
        for (Person person : people)
            clock.scheduleAtFixedRate(
                    () -> {
                        if (System.nanoTime() < end) person.act();
                    },
                    (long) (1_000.0 * person.number / people.size()),
                    1_000,
                    TimeUnit.MILLISECONDS);
        TimeUnit.NANOSECONDS.sleep(end - System.nanoTime());
        for (int i = 0; i < 300 && people.stream().anyMatch(person -> person.busy); i++)
            TimeUnit.MILLISECONDS.sleep(100);
    }

    void forget() {
        probes.clear();
        edits.clear();
        late.set(0);
    }

    /** Milliseconds at a share of all, such as 0.95. */
    static double at(double share, ConcurrentLinkedQueue<Double> times) {
        List<Double> sorted = times.stream().sorted().toList();
        return sorted.isEmpty()
                ? 0
                : sorted.get((int) Math.min(sorted.size() - 1, Math.ceil(share * sorted.size()) - 1));
    }

    String figures() {
        return String.format(
                Locale.ROOT,
                "%d people: %d probes, median %.0f ms, 95th percentile %.0f ms, slowest %.0f ms; %d edits, median %.0f ms, "
                        + "95th percentile %.0f ms, slowest %.0f ms; %d actions begun late; %d failures",
                people.size(),
                probes.size(),
                at(0.5, probes),
                at(0.95, probes),
                at(1, probes),
                edits.size(),
                at(0.5, edits),
                at(0.95, edits),
                at(1, edits),
                late.get(),
                failures.size());
    }

    @Override
    public void close() {
        clock.shutdownNow();
        people.forEach(person -> person.line.abort());
    }

    private HttpResponse<String> send(Map<String, String> cookies, String method, String path, String body)
            throws IOException, InterruptedException {
        HttpResponse<String> answer =
                http.send(request(cookies, method, path, body), HttpResponse.BodyHandlers.ofString());
        answer.headers().allValues("Set-Cookie").forEach(set -> {
            Matcher cookie = COOKIE.matcher(set);
            if (cookie.find()) cookies.put(cookie.group(1), cookie.group(2));
        });
        return answer;
    }

    private HttpRequest request(Map<String, String> cookies, String method, String path, String body) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .timeout(LONGEST)
                .header("Content-Type", "application/json")
                .method(method, HttpRequest.BodyPublishers.ofString(body));
        if (!cookies.isEmpty()) request.header("Cookie", written(cookies));
        if (cookies.containsKey("XSRF-TOKEN")) request.header("X-XSRF-TOKEN", cookies.get("XSRF-TOKEN"));
        return request.build();
    }

    private static String written(Map<String, String> cookies) {
        List<String> all = new ArrayList<>();
        cookies.forEach((name, value) -> all.add(name + "=" + value));
        return String.join("; ", all);
    }

    private final class Person implements WebSocket.Listener {
        private final int number;
        private final String theme;
        private final Map<String, String> cookies = new LinkedHashMap<>();
        private final WebSocket line;
        private final StringBuilder heard = new StringBuilder();
        private volatile CompletableFuture<String> probe;
        private volatile boolean busy;
        private int revision;
        private int done;

        Person(int number) throws IOException, InterruptedException {
            this.number = number;
            send(cookies, "GET", "/api/session", "");
            HttpResponse<String> in = send(
                    cookies,
                    "POST",
                    "/api/session",
                    "{\"email\":\"" + Loom.EMAIL + "\",\"password\":\"" + Loom.PASSWORD + "\"}");
            if (in.statusCode() != 200) throw new IOException("not signed in: " + in.body());
            send(cookies, "GET", "/api/session", "");
            HttpResponse<String> made =
                    send(cookies, "POST", "/api/themes", "{\"name\":\"Crowd " + number + "\",\"starter\":\"plain\"}");
            Matcher id = NUMBER.matcher(made.body());
            if (!id.find()) throw new IOException("no theme: " + made.body());
            theme = id.group(1);
            line = http.newWebSocketBuilder()
                    .header("Cookie", written(cookies))
                    .header("Origin", address)
                    .buildAsync(
                            URI.create(address.replaceFirst("^http", "ws") + "/api/themes/" + theme + "/live"), this)
                    .join();
        }

        void act() {
            if (busy) {
                late.incrementAndGet();
                return;
            }
            busy = true;
            done++;
            long began = System.nanoTime();
            String color = String.format(
                    Locale.ROOT, "oklch(%.3f 0.09 %d)", 0.35 + done % 20 * 0.01, (done * 7 + number * 3) % 360);
            String edit = "\"base\":" + revision
                    + ",\"combo\":\"scheme=light\",\"bays\":[\"scheme=light\",\"scheme=dark\"],\"edit\":{"
                    + Asked.value("color.brand.seed", color) + "}";
            if ((done + number) % 3 != 0) {
                probe = new CompletableFuture<>();
                line.sendText("{\"lean\":true," + edit + "}", true);
                probe.orTimeout(LONGEST.toSeconds(), TimeUnit.SECONDS)
                        .whenComplete((answer, e) -> finished(
                                probes,
                                began,
                                e == null && !answer.contains("\"status\":") ? "" : "probe: " + answer + e));
            } else {
                http.sendAsync(
                                request(cookies, "POST", "/api/themes/" + theme + "/edits", "{" + edit + "}"),
                                HttpResponse.BodyHandlers.ofString())
                        .whenComplete((answer, e) -> {
                            boolean good = e == null && answer.statusCode() == 200;
                            if (good) {
                                Matcher now = REVISION.matcher(answer.body());
                                if (now.find()) revision = Integer.parseInt(now.group(1));
                            }
                            finished(
                                    edits,
                                    began,
                                    good ? "" : "edit: " + (e == null ? answer.statusCode() + " " + answer.body() : e));
                        });
            }
        }

        private void finished(ConcurrentLinkedQueue<Double> times, long began, String failure) {
            if (failure.isEmpty()) times.add((System.nanoTime() - began) / 1e6);
            else failures.add(failure);
            busy = false;
        }

        @Override
        public CompletionStage<?> onClose(WebSocket socket, int code, String reason) {
            failures.add("line closed: " + code + " " + reason);
            return null;
        }

        @Override
        public void onError(WebSocket socket, Throwable error) {
            failures.add("line lost: " + error);
        }

        @Override
        public CompletionStage<?> onText(WebSocket socket, CharSequence data, boolean last) {
            heard.append(data);
            socket.request(1);
            if (last) {
                String text = heard.toString();
                heard.setLength(0);
                CompletableFuture<String> waiting = probe;
                if (!text.startsWith("{\"revision\"") && waiting != null) waiting.complete(text);
            }
            return null;
        }
    }
}
