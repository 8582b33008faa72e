package org.umberloom.app.release;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionOperations;
import org.umberloom.app.RealDatabase;
import org.umberloom.app.account.Account;
import org.umberloom.app.theme.Commits;
import org.umberloom.app.web.Conflict;
import org.umberloom.core.change.ReleaseNumber;

/** What sites stand on, as MariaDB keeps it; a second service stands for a second process. */
class StandingInTheDatabaseTest {
    /** Goes on when it is told to. */
    private static final class Hours extends Clock {
        private Instant now = Instant.parse("2026-03-01T08:00:00Z");

        void pass(int hours) {
            now = now.plus(Duration.ofHours(hours));
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return now;
        }
    }

    private final RealDatabase database = RealDatabase.shared();
    private final JdbcTemplate sql = new JdbcTemplate(database.bean(DataSource.class));
    private final ReleaseMapper releases = database.bean(ReleaseMapper.class);
    private final Hours hours = new Hours();
    private final StandingService standing = service();
    private final String mark =
            "r" + UUID.randomUUID().toString().replace("-", "").substring(0, 12);
    private Account lead;
    private long theme;

    private StandingService service() {
        return new StandingService(
                database.bean(StandingMapper.class),
                releases,
                new Commits(database.bean(TransactionOperations.class)),
                hours);
    }

    @BeforeEach
    void aThemeWithTwoReleases() {
        lead = database.lead();
        theme = database.bareTheme();
        release("1.0.0");
        release("1.1.0");
    }

    private long release(String number) {
        ReleaseMapper.NewRelease row = new ReleaseMapper.NewRelease(
                theme,
                ReleaseNumber.parse(number),
                0,
                "{}",
                "0".repeat(64),
                "",
                "",
                lead.id(),
                java.time.LocalDateTime.now());
        releases.add(row);
        return row.id();
    }

    private List<String> sites(int count) {
        List<String> slugs = new ArrayList<>();
        List<Object[]> rows = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            slugs.add(mark + "-" + i);
            rows.add(new Object[] {mark + "-" + i, "Site " + i, theme});
        }
        sql.batchUpdate("insert into site (slug, name, theme_id) values (?, ?, ?)", rows);
        return slugs;
    }

    /** By the number they stand on. */
    private Map<String, Integer> standings() {
        Map<Long, String> numbers = new LinkedHashMap<>();
        releases.all(theme)
                .forEach(row -> numbers.put(row.id(), States.number(row).toString()));
        Map<String, Integer> counts = new LinkedHashMap<>();
        releases.standing(theme)
                .forEach(row ->
                        counts.merge(row.releaseId() == null ? "none" : numbers.get(row.releaseId()), 1, Integer::sum));
        return counts;
    }

    private static StandingService.StagePlan stage(List<String> sites, int waitHours) {
        return new StandingService.StagePlan(sites, waitHours);
    }

    @Test
    void aStageWaitsForItsTimeAndIsHeldAndGoesOn() {
        List<String> all = sites(5);
        StandingService.RolloutView rollout = standing.start(
                theme, "1.0.0", List.of(stage(all.subList(0, 2), 0), stage(all.subList(2, 5), 24)), lead);
        assertThat(standings()).isEqualTo(Map.of("1.0.0", 2, "none", 3));
        assertThat(rollout.stages().get(1).due()).isEqualTo("2026-03-02T08:00Z");

        hours.pass(23);
        standing.goOn();
        assertThat(standings()).containsEntry("none", 3);
        standing.pause(rollout.id(), true);
        hours.pass(2);
        standing.goOn();
        assertThat(standings()).as("held").containsEntry("none", 3);
        standing.pause(rollout.id(), false);
        standing.goOn();
        assertThat(standings()).isEqualTo(Map.of("1.0.0", 5));
        assertThat(standing.rollouts(theme).get(0).state()).isEqualTo("done");
    }

    @Test
    void allOfItGoesBackToWhatEachStoodOnSaveWhoMovedOn() {
        List<String> all = sites(4);
        standing.take(theme, all.get(0), "1.0.0", lead);
        StandingService.RolloutView rollout =
                standing.start(theme, "1.1.0", List.of(stage(all.subList(0, 3), 0)), lead);
        // One of them goes its own way meanwhile.
        standing.take(theme, all.get(2), "1.0.0", lead);
        assertThat(standings()).isEqualTo(Map.of("1.1.0", 2, "1.0.0", 1, "none", 1));
        standing.back(rollout.id(), lead);
        assertThat(standings()).isEqualTo(Map.of("1.0.0", 2, "none", 2));
        assertThat(standing.of(all.get(0), theme).stood().stream().map(one -> one.release() + " " + one.way()))
                .containsExactly("1.0.0 back", "1.1.0 stage", "1.0.0 hand");
        assertThatThrownBy(() -> standing.next(rollout.id(), lead))
                .isInstanceOf(Conflict.class)
                .hasMessageContaining("back by now");
    }

    @Test
    void oneStageGoesBackAloneAndWhatStillWaitsIsHeld() {
        List<String> all = sites(5);
        standing.take(theme, all.get(2), "1.0.0", lead);
        StandingService.RolloutView rollout = standing.start(
                theme,
                "1.1.0",
                List.of(stage(all.subList(0, 2), 0), stage(all.subList(2, 4), 1), stage(all.subList(4, 5), 1)),
                lead);
        assertThatThrownBy(() -> standing.back(rollout.id(), 1, lead))
                .isInstanceOf(Conflict.class)
                .hasMessageContaining("No site of that stage stands on the release");
        assertThatThrownBy(() -> standing.back(rollout.id(), 3, lead)).hasMessageContaining("no stage 4");
        hours.pass(1);
        standing.goOn();
        assertThat(standings()).isEqualTo(Map.of("1.1.0", 4, "none", 1));

        assertThat(standing.back(rollout.id(), 1, lead).state()).isEqualTo("paused");
        assertThat(standings()).isEqualTo(Map.of("1.1.0", 2, "1.0.0", 1, "none", 2));
        hours.pass(2);
        standing.goOn();
        assertThat(standings()).as("held").containsEntry("none", 2);

        standing.pause(rollout.id(), false);
        standing.goOn();
        assertThat(standings()).isEqualTo(Map.of("1.1.0", 3, "1.0.0", 1, "none", 1));
        assertThat(standing.back(rollout.id(), 2, lead).state()).isEqualTo("done");
        standing.back(rollout.id(), lead);
        assertThat(standings()).isEqualTo(Map.of("1.0.0", 1, "none", 4));
    }

    @Test
    void sitesTakeByThemselvesWhatTheyFollow() {
        List<String> all = sites(4);
        for (String site : all.subList(0, 3)) standing.take(theme, site, "1.0.0", lead);
        standing.follow(all.get(0), "patch");
        standing.follow(all.get(1), "minor");
        standing.follow(all.get(3), "minor");
        long minor = release("1.2.0");
        standing.released(new ReleaseService.Released(theme, minor, ReleaseNumber.parse("1.2.0"), lead.id()));
        assertThat(standing.of(all.get(0), theme).release()).as("only values").isEqualTo("1.0.0");
        assertThat(standing.of(all.get(1), theme).release()).isEqualTo("1.2.0");
        assertThat(standing.of(all.get(2), theme).release()).as("by hand").isEqualTo("1.0.0");
        assertThat(standing.of(all.get(3), theme).release())
                .as("stands on none")
                .isEmpty();
        long trial = release("2.0.0-trial.1");
        standing.released(new ReleaseService.Released(theme, trial, ReleaseNumber.parse("2.0.0-trial.1"), lead.id()));
        long patch = release("1.0.1");
        standing.released(new ReleaseService.Released(theme, patch, ReleaseNumber.parse("1.0.1"), lead.id()));
        assertThat(standing.of(all.get(0), theme).release()).isEqualTo("1.0.1");
        assertThat(standing.of(all.get(1), theme).release()).as("never back").isEqualTo("1.2.0");
    }

    @Test
    void aThousandSitesGoAndComeBackInOneStep() {
        List<String> all = sites(1_000);
        StandingService.RolloutView rollout = standing.start(theme, "1.0.0", List.of(stage(all, 0)), lead);
        assertThat(standings()).isEqualTo(Map.of("1.0.0", 1_000));
        standing.back(rollout.id(), lead);
        assertThat(standings()).isEqualTo(Map.of("none", 1_000));
    }

    /** Several processes see at one time that a stage is due: it goes once. */
    @Test
    void aStageGoesOnceWhoeverSeesIt() throws Exception {
        List<String> all = sites(6);
        standing.start(theme, "1.0.0", List.of(stage(all.subList(0, 1), 0), stage(all.subList(1, 6), 1)), lead);
        hours.pass(2);
        ExecutorService several = Executors.newFixedThreadPool(4);
        try {
            List<Future<?>> looks = new ArrayList<>();
            for (int i = 0; i < 4; i++) {
                StandingService process = service();
                looks.add(several.submit(process::goOn));
            }
            for (Future<?> look : looks) look.get();
        } finally {
            several.shutdownNow();
        }
        assertThat(standings()).isEqualTo(Map.of("1.0.0", 6));
        for (String site : all)
            assertThat(standing.of(site, theme).stood()).as(site).hasSize(1);
    }

    @Test
    void whatDoesNotFitIsRefusedAndNothingMoves() {
        List<String> all = sites(3);
        assertThatThrownBy(
                        () -> standing.start(theme, "1.0.0", List.of(stage(all, 0), stage(all.subList(0, 1), 0)), lead))
                .hasMessageContaining("stands in two stages");
        assertThatThrownBy(() -> standing.start(theme, "1.0.0", List.of(stage(List.of("nobody"), 0)), lead))
                .hasMessageContaining("does not wear this theme");
        assertThatThrownBy(() -> standing.start(theme, "3.0.0", List.of(stage(all, 0)), lead))
                .hasMessageContaining("no release 3.0.0");
        assertThatThrownBy(() -> standing.start(theme, "1.0.0", List.of(), lead))
                .hasMessageContaining("1 to 20 stages");
        assertThatThrownBy(() -> standing.follow(all.get(0), "major")).hasMessageContaining("patch or minor");
        assertThat(standings()).isEqualTo(Map.of("none", 3));
        standing.start(theme, "1.0.0", List.of(stage(all.subList(0, 1), 0), stage(all.subList(1, 3), -1)), lead);
        assertThatThrownBy(() -> standing.start(theme, "1.1.0", List.of(stage(all, 0)), lead))
                .isInstanceOf(Conflict.class)
                .hasMessageContaining("still on its way");
        hours.pass(1_000);
        standing.goOn();
        assertThat(standings()).as("by hand alone").isEqualTo(Map.of("1.0.0", 1, "none", 2));
    }
}
