package org.umberloom.e2e;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.umberloom.app.UmberLoom;

/** The application on a database of its own, on a free port. Started once for all tests, and restarted by the one that asks. */
final class Loom implements AutoCloseable {
    static final String EMAIL = "lead@ternpassage.example";
    static final String PASSWORD = "only-for-tests-here";
    static final Path HOME = Path.of(System.getenv().getOrDefault("UMBERLOOM_HOME", ".."))
            .toAbsolutePath()
            .normalize();
    /** Which of those that run side by side this is; none when it runs alone. */
    private static final String SIDE = System.getProperty("loom.side", "");

    private static Loom shared;

    private final String database;
    private final boolean demo;
    private ConfigurableApplicationContext application;
    private String port = "0";

    private Loom(String database, boolean demo) {
        this.database = database;
        this.demo = demo;
        execute(baseUrl(), "drop database if exists " + database, "create database " + database);
        start();
    }

    /** The application with the demo data. */
    static synchronized Loom withDemo() {
        if (shared == null) shared = new Loom("umberloom_e2e" + SIDE, true);
        return shared;
    }

    /** Another installation, empty but for its first account. */
    static Loom empty() {
        return new Loom("umberloom_empty" + SIDE, false);
    }

    private void start() {
        application = SpringApplication.run(
                UmberLoom.class,
                "--spring.datasource.url=" + url(),
                "--server.port=" + port,
                "--umberloom.demo=" + (demo ? HOME.resolve("demo") : ""),
                "--umberloom.secrets-key=only-for-tests-and-long-enough",
                "--LOOM_LEAD_EMAIL=" + EMAIL,
                "--LOOM_LEAD_NAME=Maren Oake",
                "--LOOM_LEAD_PASSWORD=" + PASSWORD,
                "--spring.main.register-shutdown-hook=true",
                "--server.tomcat.remoteip.internal-proxies=" + (demo ? "^$" : "127\\.0\\.0\\.1"));
        port = application.getEnvironment().getProperty("local.server.port");
    }

    /** Ends the application and starts it again on the same database and port. */
    void restart() {
        application.close();
        start();
    }

    String address() {
        return "http://127.0.0.1:" + port;
    }

    /** Ends every session, as time would. */
    void expireSessions() {
        execute(url(), "delete from SPRING_SESSION");
    }

    void change(String sql) {
        execute(url(), sql);
    }

    String database() {
        return database;
    }

    /** The first column of what the database answers, as text. */
    List<String> read(String sql) {
        try (Connection connection = connection(url());
                Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(sql)) {
            List<String> found = new ArrayList<>();
            while (rows.next()) found.add(rows.getString(1));
            return found;
        } catch (SQLException e) {
            throw refused(e);
        }
    }

    @Override
    public void close() {
        application.close();
    }

    private String url() {
        return baseUrl().replaceAll("/[^/]*$", "/" + database);
    }

    private static String baseUrl() {
        String url = System.getenv("LOOM_DB_URL");
        if (url == null) throw new IllegalStateException("LOOM_DB_URL is not set; run the tests with ./loom test");
        return url;
    }

    private static void execute(String url, String... statements) {
        try (Connection connection = connection(url);
                Statement statement = connection.createStatement()) {
            for (String sql : statements) statement.execute(sql);
        } catch (SQLException e) {
            throw refused(e);
        }
    }

    private static Connection connection(String url) throws SQLException {
        return DriverManager.getConnection(url, System.getenv("LOOM_DB_USER"), System.getenv("LOOM_DB_PASSWORD"));
    }

    private static IllegalStateException refused(SQLException e) {
        return new IllegalStateException("the test database refused: " + e.getMessage(), e);
    }
}
