package org.umberloom.bench;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The built application as a process of its own, as the start command runs it. */
final class Application implements AutoCloseable {
    static final String EMAIL = "bench@ternpassage.example";
    static final String PASSWORD = "only-for-benchmarks";
    private static final Duration LONGEST_START = Duration.ofSeconds(60);

    private final Process process;
    private final String address;
    private final double secondsToStart;

    private Application(Process process, String address, double secondsToStart) {
        this.process = process;
        this.address = address;
        this.secondsToStart = secondsToStart;
    }

    /** Starts it and waits for its first answer. */
    static Application start(Path jar, Path demo) throws IOException, InterruptedException {
        int port;
        try (ServerSocket socket = new ServerSocket(0)) {
            port = socket.getLocalPort();
        }
        List<String> command = new ArrayList<>(List.of("java", "-Xmx512m", "-XX:+UseSerialGC"));
        Path archive = jar.resolveSibling("app.jsa");
        if (Files.exists(archive)) command.add("-XX:SharedArchiveFile=" + archive);
        command.addAll(List.of("-jar", jar.toString()));
        ProcessBuilder builder =
                new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD);
        builder.environment().put("LOOM_PORT", Integer.toString(port));
        builder.environment().put("LOOM_DEMO", demo.toString());
        builder.environment().put("LOOM_LEAD_EMAIL", EMAIL);
        builder.environment().put("LOOM_LEAD_PASSWORD", PASSWORD);
        long began = System.nanoTime();
        Process process = builder.start();
        String address = "http://127.0.0.1:" + port;
        HttpClient client = HttpClient.newHttpClient();
        HttpRequest request =
                HttpRequest.newBuilder(URI.create(address + "/api/ready")).build();
        while (System.nanoTime() - began < LONGEST_START.toNanos()) {
            try {
                if (client.send(request, HttpResponse.BodyHandlers.discarding()).statusCode() == 200)
                    return new Application(process, address, (System.nanoTime() - began) / 1e9);
            } catch (IOException notYet) {
                if (!process.isAlive()) throw new IOException("the application ended while it started", notYet);
            }
            Thread.sleep(20);
        }
        process.destroy();
        throw new IOException("the application did not answer within " + LONGEST_START);
    }

    String address() {
        return address;
    }

    double secondsToStart() {
        return secondsToStart;
    }

    /** Heap in use after a full collection, in MiB. */
    double liveHeap() throws IOException, InterruptedException {
        jcmd("GC.run");
        Matcher used = Pattern.compile("generation +total \\d+K, used (\\d+)K").matcher(jcmd("GC.heap_info"));
        double kibibytes = 0;
        while (used.find()) kibibytes += Long.parseLong(used.group(1));
        return kibibytes / 1024;
    }

    private String jcmd(String command) throws IOException, InterruptedException {
        Process jcmd = new ProcessBuilder("jcmd", Long.toString(process.pid()), command)
                .redirectErrorStream(true)
                .start();
        String output = new String(jcmd.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        jcmd.waitFor();
        return output;
    }

    @Override
    public void close() {
        process.destroy();
        try {
            process.waitFor();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
