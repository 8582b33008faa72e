package org.umberloom.app.web;

import java.util.Arrays;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.stereotype.Component;

/**
 * Migrates the tables, also where an earlier start ended in the middle of that. MariaDB commits each change of a table by itself, so
 * what was done of a migration stays; every migration can therefore be run again from its beginning, and one that failed is.
 */
@Component
public final class ResumedMigrations implements FlywayMigrationStrategy {
    @Override
    public void migrate(Flyway flyway) {
        if (Arrays.stream(flyway.info().all()).anyMatch(ResumedMigrations::toBeNotedAnew)) flyway.repair();
        flyway.migrate();
    }

    /** One that failed, or whose text has changed since it was run. */
    private static boolean toBeNotedAnew(MigrationInfo migration) {
        return migration.getState().isFailed() || migration.getState().isApplied() && !migration.isChecksumMatching();
    }
}
