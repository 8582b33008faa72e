package org.umberloom.e2e;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/** Application and database as processes of their own on an empty folder, to be killed, starved and started again. */
final class Servers implements AutoCloseable {
    private static final Duration LONGEST_START = Duration.ofSeconds(120);
    private final Path folder;
    private final int databasePort;
    private List<String> databaseOptions;
    private final int port;
    /** Where the application finds the database; 0 for where it is. */
    private int reached;

    private Process database;
    private Process application;

    Servers(String... databaseOptions) throws Exception {
        this.databaseOptions = Arrays.asList(databaseOptions);
        folder = Files.createTempDirectory(Path.of("/tmp"), "loom-kill.");
        Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxr-xr-x"));
        if (root()) run("chown", "mysql", folder.toString());
        List<String> install = new ArrayList<>(List.of(
                "mariadb-install-db",
                "--no-defaults",
                "--datadir=" + folder.resolve("data"),
                "--auth-root-authentication-method=normal",
                "--skip-test-db"));
        install.addAll(this.databaseOptions);
        if (root()) install.add("--user=mysql");
        run(install.toArray(String[]::new));
        databasePort = freePort();
        port = freePort();
    }

    String address() {
        return "http://127.0.0.1:" + port;
    }

    Process application() {
        return application;
    }

    Process database() {
        return database;
    }

    /** Kills the database or the application. */
    void kill(boolean ofDatabase) throws InterruptedException {
        (ofDatabase ? database : application).destroyForcibly().waitFor();
    }

    /** Starts again what was killed. */
    void startAgain(boolean ofDatabase) throws Exception {
        if (ofDatabase) startDatabase();
        else startApplication();
    }

    /** With other options than it was made with, from the next start on. */
    void options(String... options) {
        databaseOptions = Arrays.asList(options);
    }

    void startDatabase() throws Exception {
        List<String> command = new ArrayList<>(List.of(
                "/usr/sbin/mariadbd",
                "--no-defaults",
                "--datadir=" + folder.resolve("data"),
                "--bind-address=127.0.0.1",
                "--port=" + databasePort,
                "--socket=" + folder.resolve("s"),
                "--skip-log-bin",
                "--innodb-buffer-pool-size=64M",
                "--max-allowed-packet=64M",
                "--character-set-server=utf8mb4"));
        command.addAll(databaseOptions);
        if (root()) command.add("--user=mysql");
        database = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        long end = System.nanoTime() + LONGEST_START.toNanos();
        while (true) {
            try (Connection connection = connect("mysql");
                    Statement statement = connection.createStatement()) {
                statement.execute(
                        "create database if not exists killed character set utf8mb4 collate utf8mb4_unicode_ci");
                return;
            } catch (SQLException notYet) {
                if (!database.isAlive() || System.nanoTime() > end) throw notYet;
                TimeUnit.MILLISECONDS.sleep(100);
            }
        }
    }

    private Connection connect(String name) throws SQLException {
        return DriverManager.getConnection(url(name), "root", "");
    }

    void sql(String statement) throws SQLException {
        try (Connection connection = connect("killed");
                Statement sql = connection.createStatement()) {
            sql.execute(statement);
        }
    }

    private String url(String name) {
        return "jdbc:mariadb://127.0.0.1:" + databasePort + "/" + name;
    }

    void startApplication() throws Exception {
        startApplication("-XX:TieredStopAtLevel=1");
    }

    /** Between both, from the next start of the application on. */
    CuttingProxy through() throws IOException {
        CuttingProxy line = new CuttingProxy(databasePort);
        reached = line.port();
        return line;
    }

    /** Begins it, whether or not there is a database. */
    Process beginApplication() throws IOException {
        application = begin(port, "-XX:TieredStopAtLevel=1");
        return application;
    }

    void awaitApplication() throws Exception {
        await(application, port);
    }

    /** @param compiler how far code is compiled: a short life is not worth much of it */
    void startApplication(String compiler) throws Exception {
        application = begin(port, compiler);
        await(application, port);
    }

    /** Two at one time on what is there; returns the addresses when both answer. */
    List<Process> beginTwo(int other) throws Exception {
        List<Process> both = List.of(begin(port, "-XX:TieredStopAtLevel=1"), begin(other, "-XX:TieredStopAtLevel=1"));
        application = both.get(0);
        await(both.get(0), port);
        await(both.get(1), other);
        return both;
    }

    private Process begin(int at, String compiler) throws IOException {
        return new ProcessBuilder(
                        "java",
                        "-Xmx512m",
                        "-XX:+UseSerialGC",
                        compiler,
                        "-cp",
                        System.getProperty("java.class.path"),
                        "org.umberloom.app.UmberLoom",
                        "--server.port=" + at,
                        "--spring.datasource.url="
                                + url("killed")
                                        .replace(
                                                ":" + databasePort + "/",
                                                ":" + (reached == 0 ? databasePort : reached) + "/"),
                        "--spring.datasource.username=root",
                        "--spring.datasource.password=",
                        "--umberloom.secrets-key=only-for-tests-and-long-enough",
                        "--LOOM_LEAD_EMAIL=" + Loom.EMAIL,
                        "--LOOM_LEAD_NAME=Maren Oake",
                        "--LOOM_LEAD_PASSWORD=" + Loom.PASSWORD)
                .redirectErrorStream(true)
                .redirectOutput(log(at).toFile())
                .start();
    }

    /** The last lines that the application said. */
    String said() throws IOException {
        List<String> lines = Files.readAllLines(log(port));
        return String.join("\n", lines.subList(Math.max(0, lines.size() - 60), lines.size()));
    }

    private Path log(int at) {
        return folder.resolve("app-" + at + ".log");
    }

    private void await(Process process, int at) throws Exception {
        long end = System.nanoTime() + LONGEST_START.toNanos();
        Client client = new Client("http://127.0.0.1:" + at);
        while (true) {
            try {
                if (client.send("GET", "/api/ready", "").statusCode() == 200) return;
            } catch (IOException notYet) {
                if (!process.isAlive() || System.nanoTime() > end)
                    throw new IOException("the application did not start: " + Files.readString(log(at)), notYet);
            }
            TimeUnit.MILLISECONDS.sleep(100);
        }
    }

    @Override
    public void close() throws IOException {
        try {
            if (application != null) application.destroyForcibly().waitFor();
            if (database != null) database.destroyForcibly().waitFor();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        try (Stream<Path> files = Files.walk(folder)) {
            files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(java.io.File::delete);
        }
    }

    static boolean root() {
        return System.getProperty("user.name").equals("root");
    }

    static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    static String run(String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String output = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (process.waitFor() != 0) throw new IOException(String.join(" ", command) + ": " + output);
        return output;
    }
}
