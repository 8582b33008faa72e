package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Application and database as processes of their own, killed while edits are made: nothing acknowledged is missing. */
class KilledTest {
    private static final Duration LONGEST_START = Duration.ofSeconds(90);
    private Path folder;
    private int databasePort;
    private int port;
    private Process database;
    private Process application;
    private Client client;

    @BeforeEach
    void prepare() throws Exception {
        folder = Files.createTempDirectory(Path.of("/tmp"), "loom-kill.");
        Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxr-xr-x"));
        if (root()) run("chown", "mysql", folder.toString());
        List<String> install = new ArrayList<>(List.of("mariadb-install-db", "--no-defaults", "--datadir=" + folder.resolve("data"),
                "--auth-root-authentication-method=normal", "--skip-test-db"));
        if (root()) install.add("--user=mysql");
        run(install.toArray(String[]::new));
        databasePort = freePort();
        port = freePort();
    }

    @AfterEach
    void clean() throws Exception {
        if (application != null) application.destroyForcibly().waitFor();
        if (database != null) database.destroyForcibly().waitFor();
        try (Stream<Path> files = Files.walk(folder)) {
            files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
        }
    }

    @Test
    void everyAcknowledgedEditIsThereAfterBothWereKilled() throws Exception {
        startDatabase();
        startApplication();
        client.signedIn();
        String created = client.send("POST", "/api/themes", "{\"name\":\"Killed\",\"starter\":\"plain\"}").body();
        String id = created.replaceAll("\\D", "");
        int[] acknowledged = {0};
        Thread killer = new Thread(() -> {
            try {
                while (acknowledged[0] < 25) Thread.onSpinWait();
                database.destroyForcibly();
                application.destroyForcibly();
            } catch (RuntimeException e) {
                throw new IllegalStateException(e);
            }
        });
        killer.start();
        try {
            for (int i = 1; i <= 500; i++) {
                HttpResponse<String> answer = client.send("POST", "/api/themes/" + id + "/edits", "{\"base\":" + acknowledged[0]
                        + ",\"op\":\"value\",\"place\":\"set:base\",\"path\":\"shape.radius\",\"text\":\"" + i + "px\"}");
                if (answer.statusCode() != 200) break;
                acknowledged[0] = i;
            }
        } catch (IOException killed) {
            // What was on its way when both ended was not acknowledged.
        }
        killer.join();
        application.waitFor();
        database.waitFor();
        assertThat(acknowledged[0]).isBetween(25, 499);

        startDatabase();
        startApplication();
        client.signedIn();
        String bench = client.send("GET", "/api/themes/" + id, "").body();
        Matcher revision = Pattern.compile("\"revision\":(\\d+)").matcher(bench);
        assertThat(revision.find()).isTrue();
        // The edit that was on its way may have been stored just before its answer was lost.
        assertThat(Integer.parseInt(revision.group(1))).isBetween(acknowledged[0], acknowledged[0] + 1);
        String token = client.send("GET", "/api/themes/" + id + "/token?path=shape.radius", "").body();
        assertThat(token).contains("\"written\":\"" + revision.group(1) + "px\"");
        for (int i = Integer.parseInt(revision.group(1)); i > 0; i--)
            assertThat(client.send("POST", "/api/themes/" + id + "/undo", "{\"combo\":\"\",\"bays\":[]}").statusCode()).isEqualTo(200);
        assertThat(client.send("POST", "/api/themes/" + id + "/undo", "{\"combo\":\"\",\"bays\":[]}").body()).contains("nothing left to undo");
    }

    private void startDatabase() throws Exception {
        List<String> command = new ArrayList<>(List.of("/usr/sbin/mariadbd", "--no-defaults", "--datadir=" + folder.resolve("data"),
                "--bind-address=127.0.0.1", "--port=" + databasePort, "--socket=" + folder.resolve("s"), "--skip-log-bin",
                "--innodb-buffer-pool-size=64M", "--max-allowed-packet=64M"));
        if (root()) command.add("--user=mysql");
        database = new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD).start();
        long end = System.nanoTime() + LONGEST_START.toNanos();
        while (true) {
            try (Connection connection = DriverManager.getConnection(url("mysql"), "root", ""); Statement statement = connection.createStatement()) {
                statement.execute("create database if not exists killed");
                return;
            } catch (SQLException notYet) {
                if (!database.isAlive() || System.nanoTime() > end) throw notYet;
                TimeUnit.MILLISECONDS.sleep(100);
            }
        }
    }

    private String url(String name) {
        return "jdbc:mariadb://127.0.0.1:" + databasePort + "/" + name;
    }

    private void startApplication() throws Exception {
        ProcessBuilder builder = new ProcessBuilder("java", "-XX:TieredStopAtLevel=1", "-cp", System.getProperty("java.class.path"),
                "org.umberloom.app.UmberLoom", "--server.port=" + port, "--spring.datasource.url=" + url("killed"),
                "--spring.datasource.username=root", "--spring.datasource.password=", "--LOOM_LEAD_EMAIL=" + Loom.EMAIL,
                "--LOOM_LEAD_PASSWORD=" + Loom.PASSWORD).redirectErrorStream(true).redirectOutput(folder.resolve("app.log").toFile());
        application = builder.start();
        long end = System.nanoTime() + LONGEST_START.toNanos();
        client = new Client("http://127.0.0.1:" + port);
        while (true) {
            try {
                if (client.send("GET", "/look.css", "").statusCode() == 200) return;
            } catch (IOException notYet) {
                if (!application.isAlive() || System.nanoTime() > end)
                    throw new IOException("the application did not start: " + Files.readString(folder.resolve("app.log")), notYet);
            }
            TimeUnit.MILLISECONDS.sleep(100);
        }
    }

    private static boolean root() {
        return System.getProperty("user.name").equals("root");
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private static void run(String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String output = new String(process.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        if (process.waitFor() != 0) throw new IOException(String.join(" ", command) + ": " + output);
    }
}
