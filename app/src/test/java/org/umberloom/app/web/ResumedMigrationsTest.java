package org.umberloom.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationVersion;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** An application that is killed while it brings its tables up to date goes on with that when it is started again. */
class ResumedMigrationsTest {
    private static final String SIDE = System.getProperty("loom.side", "");
    private static final List<String> NAMES = List.of("umberloom_straight" + SIDE, "umberloom_halting" + SIDE);

    private final JdbcTemplate server = database(System.getenv("LOOM_DB_URL"));

    private static JdbcTemplate database(String url) {
        return new JdbcTemplate(
                new DriverManagerDataSource(url, System.getenv("LOOM_DB_USER"), System.getenv("LOOM_DB_PASSWORD")));
    }

    private JdbcTemplate empty(String name) {
        server.execute("drop database if exists " + name);
        server.execute("create database " + name + " character set utf8mb4 collate utf8mb4_unicode_ci");
        return database(System.getenv("LOOM_DB_URL").replaceAll("/[^/]*$", "/" + name));
    }

    @AfterEach
    void drop() {
        NAMES.forEach(name -> server.execute("drop database if exists " + name));
    }

    private static Flyway to(JdbcTemplate database, MigrationVersion version) {
        return Flyway.configure()
                .dataSource(database.getDataSource())
                .target(version)
                .load();
    }

    private static List<String> statements(MigrationInfo migration) throws Exception {
        String text = new ClassPathResource("db/migration/" + migration.getScript())
                .getContentAsString(StandardCharsets.UTF_8)
                .replaceAll("(?m)--.*$", "");
        return Arrays.stream(text.split(";")).filter(one -> !one.isBlank()).toList();
    }

    /** Columns, keys and what refers to what. */
    private List<String> form(String name) {
        return server.queryForList(
                """
                select concat_ws(' ', table_name, column_name, column_type, is_nullable, column_default) as one
                  from information_schema.columns where table_schema = ? and table_name <> 'flyway_schema_history'
                union all select concat_ws(' ', table_name, seq_in_index, column_name, non_unique)
                  from information_schema.statistics where table_schema = ? and table_name <> 'flyway_schema_history'
                union all select concat_ws(' ', table_name, column_name, referenced_table_name, referenced_column_name)
                  from information_schema.key_column_usage where table_schema = ? and referenced_table_name is not null
                order by one""",
                String.class,
                name,
                name,
                name);
    }

    private static void siteOfTheFirstVersion(JdbcTemplate database) {
        database.update(
                "insert into account (id, email, name, password_hash, role) values (1, 'l@e', 'L', '', 'lead')");
        database.update(
                "insert into theme (id, name, document, revision, changed_at) values (1, 'T', '{}', 0, current_timestamp(3))");
        database.update("insert into site (id, slug, name, theme_id) values (1, 's', 'S', 1)");
        database.update(
                "insert into page (site_id, slug, title, kind, position, html) values (1, 'index', 'I', 'landing', 0, '<p>')");
    }

    @Test
    void itMayEndAfterAnyStatementOfAnyMigration() throws Exception {
        JdbcTemplate straight = empty(NAMES.get(0));
        JdbcTemplate halting = empty(NAMES.get(1));
        // The table of what was migrated is there before anything is.
        to(halting, MigrationVersion.fromVersion("1")).migrate();
        halting.update("delete from flyway_schema_history");
        MigrationInfo[] all = to(halting, MigrationVersion.LATEST).info().all();
        assertThat(all).hasSizeGreaterThan(15);
        for (MigrationInfo migration : all) {
            List<String> statements = statements(migration);
            for (int ended = 1; ended <= statements.size(); ended++)
                for (String statement : statements.subList(0, ended)) halting.execute(statement);
            for (JdbcTemplate database : List.of(straight, halting)) {
                new ResumedMigrations().migrate(to(database, migration.getVersion()));
                if (migration.getVersion().equals(MigrationVersion.fromVersion("1"))) siteOfTheFirstVersion(database);
            }
        }
        assertThat(form(NAMES.get(1))).isEqualTo(form(NAMES.get(0))).hasSizeGreaterThan(100);
        String parts = "select concat(name, content) from site_part order by name";
        assertThat(halting.queryForList(parts, String.class))
                .isEqualTo(straight.queryForList(parts, String.class))
                .hasSize(3);
    }

    @Test
    void oneThatFailedOrWhoseTextChangedIsRunAgain() {
        JdbcTemplate database = empty(NAMES.get(0));
        new ResumedMigrations().migrate(to(database, MigrationVersion.fromVersion("5")));
        database.update("update flyway_schema_history set checksum = checksum + 1 where version = '3'");
        database.update("update flyway_schema_history set success = 0 where version = '5'");
        new ResumedMigrations().migrate(to(database, MigrationVersion.LATEST));
        assertThat(database.queryForObject(
                        "select count(*) from flyway_schema_history where not success", Integer.class))
                .isZero();
        assertThat(to(database, MigrationVersion.LATEST).info().pending()).isEmpty();
    }
}
