package org.umberloom.app;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Supplier;
import javax.sql.DataSource;
import org.mybatis.spring.boot.autoconfigure.MybatisAutoConfiguration;
import org.springframework.boot.WebApplicationType;
import org.springframework.boot.autoconfigure.AutoConfigurationPackage;
import org.springframework.boot.autoconfigure.ImportAutoConfiguration;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.flyway.autoconfigure.FlywayAutoConfiguration;
import org.springframework.boot.jdbc.autoconfigure.DataSourceAutoConfiguration;
import org.springframework.boot.jdbc.autoconfigure.DataSourceTransactionManagerAutoConfiguration;
import org.springframework.boot.transaction.autoconfigure.TransactionAutoConfiguration;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionOperations;
import org.umberloom.app.account.Account;

/** A MariaDB with the application's own settings, tables and mappers, and nothing of it above them. */
public final class RealDatabase {
    /** One for each of those that run side by side. */
    private static final String NAME = "umberloom_below" + System.getProperty("loom.side", "");

    private static RealDatabase shared;

    /** What reaches the database, and nothing else. */
    @Configuration(proxyBeanMethods = false)
    @AutoConfigurationPackage(basePackages = "org.umberloom.app")
    @ImportAutoConfiguration({
        DataSourceAutoConfiguration.class,
        DataSourceTransactionManagerAutoConfiguration.class,
        TransactionAutoConfiguration.class,
        FlywayAutoConfiguration.class,
        MybatisAutoConfiguration.class
    })
    static class Below {}

    private final ConfigurableApplicationContext context;

    private RealDatabase() {
        String url = System.getenv("LOOM_DB_URL");
        if (url == null) throw new IllegalStateException("LOOM_DB_URL is not set; run the tests with ./loom test");
        try (Connection connection = DriverManager.getConnection(
                        url, System.getenv("LOOM_DB_USER"), System.getenv("LOOM_DB_PASSWORD"));
                Statement statement = connection.createStatement()) {
            statement.execute("drop database if exists " + NAME);
            statement.execute("create database " + NAME);
        } catch (SQLException e) {
            throw new IllegalStateException("the test database refused: " + e.getMessage(), e);
        }
        context = new SpringApplicationBuilder(Below.class)
                .web(WebApplicationType.NONE)
                .run("--spring.datasource.url=" + url.replaceAll("/[^/]*$", "/" + NAME));
    }

    /** One for all tests: each makes rows of its own. */
    public static synchronized RealDatabase shared() {
        if (shared == null) shared = new RealDatabase();
        return shared;
    }

    public <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    /** Somebody who may do everything. */
    public Account lead() {
        JdbcTemplate sql = new JdbcTemplate(bean(DataSource.class));
        sql.update("insert into account (email, name, password_hash, role) values (uuid(), 'Lead', '', 'lead')");
        return new Account(
                sql.queryForObject("select max(id) from account", Long.class), "l@example", "Lead", "", "lead");
    }

    /** The number of a new theme without a document that could be read. */
    public long bareTheme() {
        JdbcTemplate sql = new JdbcTemplate(bean(DataSource.class));
        sql.update(
                "insert into theme (name, document, card, card_form, revision, changed_at) values ('T', '{}', '{}', 0, 0, now(3))");
        return sql.queryForObject("select max(id) from theme", Long.class);
    }

    /** In one transaction. */
    public <T> T inTransaction(Supplier<T> work) {
        return bean(TransactionOperations.class).execute(status -> work.get());
    }

    /** By another connection, in a transaction of its own. */
    public <T> T byAnother(Supplier<T> work) throws Exception {
        try (Another another = another()) {
            return another.does(() -> inTransaction(work)).get();
        }
    }

    /** Somebody else at the same database: what they do, they do on a thread of their own. */
    public Another another() {
        return new Another(Executors.newSingleThreadExecutor());
    }

    public record Another(ExecutorService thread) implements AutoCloseable {
        public <T> Future<T> does(Callable<T> work) {
            return thread.submit(work);
        }

        @Override
        public void close() {
            thread.shutdownNow();
        }
    }
}
