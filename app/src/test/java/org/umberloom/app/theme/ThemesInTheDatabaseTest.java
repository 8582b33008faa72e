package org.umberloom.app.theme;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.lenient;
import static org.mockito.Mockito.mock;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentMatchers;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionOperations;
import org.umberloom.app.RealDatabase;
import org.umberloom.app.account.Account;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.kit.font.FontFiles;
import tools.jackson.databind.json.JsonMapper;

/** Themes and their log as MariaDB keeps them: who waits for whom, what others see meanwhile, and what is refused. */
class ThemesInTheDatabaseTest {
    private static final LocalDateTime NOW = LocalDateTime.parse("2026-01-02T03:04:05.678");
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-01-02T03:04:05.678Z"), ZoneOffset.UTC);
    private static final long SOON_MS = 300;

    private final RealDatabase database = RealDatabase.shared();
    private final ThemeMapper themes = database.bean(ThemeMapper.class);
    private final JdbcTemplate sql = new JdbcTemplate(database.bean(javax.sql.DataSource.class));
    private long lead;
    private long theme;

    @BeforeEach
    void aTheme() {
        lead = database.lead().id();
        theme = added("Fog");
    }

    private long added(String name) {
        ThemeMapper.NewTheme row = new ThemeMapper.NewTheme(name, "{}", "{}", NOW);
        themes.add(row);
        themes.log(entry(row.id(), 0, "start", null));
        return row.id();
    }

    private RevisionRow entry(long of, int number, String label, String document) {
        return new RevisionRow(of, number, "edit", label, null, number, null, null, "{}", "{}", lead, NOW, document);
    }

    @Nested
    class Locking {
        @Test
        void whoLocksAThemeKeepsOthersFromItUntilTheEnd() throws Exception {
            CountDownLatch locked = new CountDownLatch(1);
            CountDownLatch enough = new CountDownLatch(1);
            try (RealDatabase.Another one = database.another();
                    RealDatabase.Another other = database.another()) {
                Future<Integer> holding = one.does(() -> database.inTransaction(() -> {
                    themes.lock(theme);
                    locked.countDown();
                    await(enough);
                    return themes.advance(theme, "Fog", "{\"one\":1}", "{}", 1, NOW);
                }));
                locked.await();
                Future<Integer> waiting = other.does(
                        () -> database.inTransaction(() -> themes.lock(theme).orElseThrow()));
                assertThatThrownBy(() -> waiting.get(SOON_MS, TimeUnit.MILLISECONDS))
                        .isInstanceOf(TimeoutException.class);
                enough.countDown();
                assertThat(holding.get()).isEqualTo(1);
                assertThat(waiting.get())
                        .as("what stands now, not what stood when it asked")
                        .isEqualTo(1);
            }
        }

        @Test
        void otherThemesAreNotKeptWaiting() throws Exception {
            long second = added("Tide");
            database.inTransaction(() -> {
                themes.lock(theme);
                return get(() -> database.byAnother(() -> themes.lock(second)));
            });
        }

        @Test
        void readingWaitsForNobody() {
            database.inTransaction(() -> {
                themes.lock(theme);
                themes.advance(theme, "Fog", "{\"new\":1}", "{}", 1, NOW);
                assertThat(get(() -> database.byAnother(
                                () -> themes.find(theme).orElseThrow().document())))
                        .isEqualTo("{}");
                return 0;
            });
        }

        @Test
        void whoComesSecondFromTheSameStateStoresNothing() {
            assertThat(themes.advance(theme, "Fog", "{\"a\":1}", "{}", 1, NOW)).isEqualTo(1);
            assertThat(themes.advance(theme, "Mist", "{\"b\":1}", "{}", 1, NOW)).isZero();
            assertThat(themes.find(theme).orElseThrow().document()).isEqualTo("{\"a\":1}");
            assertThat(themes.advance(theme, "Fog", "{}", "{}", 3, NOW))
                    .as("none is left out")
                    .isZero();
        }
    }

    @Nested
    class Isolation {
        @Test
        void whatIsNotCommittedIsSeenByNobodyElse() throws Exception {
            database.inTransaction(() -> {
                themes.log(entry(theme, 1, "not yet", null));
                assertThat(themes.since(theme, 0)).hasSize(1);
                assertThat(get(() -> database.byAnother(() -> themes.since(theme, 0))))
                        .isEmpty();
                return 0;
            });
            assertThat(database.byAnother(() -> themes.since(theme, 0))).hasSize(1);
        }

        /** Read committed, as the settings ask for: a transaction that waited goes on from the newest state. */
        @Test
        void eachStatementSeesWhatIsCommittedThen() {
            database.inTransaction(() -> {
                assertThat(themes.revisionOf(theme)).contains(0);
                get(() -> database.byAnother(() -> themes.advance(theme, "Fog", "{}", "{}", 1, NOW)));
                assertThat(sql.queryForObject("select revision from theme where id = ?", Integer.class, theme))
                        .isEqualTo(1);
                return 0;
            });
        }

        @Test
        void aThemeAndItsLogAreStoredTogetherOrNotAtAll() {
            assertThatThrownBy(() -> database.inTransaction(() -> {
                        themes.advance(theme, "Fog", "{\"half\":1}", "{}", 1, NOW);
                        themes.log(entry(theme, 1, "first", null));
                        themes.log(entry(theme, 1, "first again", null));
                        return 0;
                    }))
                    .isInstanceOf(DuplicateKeyException.class);
            assertThat(themes.find(theme).orElseThrow().document()).isEqualTo("{}");
            assertThat(themes.revisionOf(theme)).contains(0);
            assertThat(themes.since(theme, 0)).isEmpty();
        }
    }

    @Nested
    class Log {
        @Test
        void itIsReadInOrderAndFromWhereOneAsks() {
            for (int number : new int[] {3, 1, 2}) themes.log(entry(theme, number, "edit " + number, null));
            assertThat(themes.since(theme, 1)).extracting(RevisionRow::number).containsExactly(2, 3);
            assertThat(themes.history(theme, 3, 2))
                    .extracting(ThemeMapper.HistoryRow::label)
                    .containsExactly("edit 2", "edit 1");
            assertThat(themes.history(theme, 3, 1).get(0).person()).isEqualTo("Lead");
        }

        @Test
        void anEntryComesBackAsItWasWritten() {
            RevisionRow written = new RevisionRow(
                    theme,
                    1,
                    "undo",
                    "a sail \uD83D\uDEA2, “quoted”, and a \\",
                    4,
                    null,
                    7,
                    2,
                    "{\"é\":\"\uD83D\uDEA2\"}",
                    null,
                    lead,
                    NOW,
                    "{\"whole\":\"" + "m".repeat(3_000_000) + "\"}");
            themes.log(written);
            assertThat(themes.revision(theme, 1)).contains(written);
        }

        @Test
        void noNumberStandsTwiceAndNoEntryWithoutItsTheme() {
            assertThatThrownBy(() -> themes.log(entry(theme, 0, "again", null)))
                    .isInstanceOf(DuplicateKeyException.class);
            assertThatThrownBy(() -> themes.log(entry(987_654_321, 0, "of none", null)))
                    .isInstanceOf(DataIntegrityViolationException.class);
            assertThatThrownBy(() -> themes.log(entry(theme, 1, "m".repeat(401), null)))
                    .isInstanceOf(DataIntegrityViolationException.class);
            assertThat(themes.since(theme, -1)).hasSize(1);
        }

        @Test
        void theNearestWholeStateIsFoundFromANumberOn() {
            for (int number = 1; number <= 5; number++)
                themes.log(entry(theme, number, "e", number % 2 == 0 ? "{}" : null));
            assertThat(themes.nearestWhole(theme, 3)).contains(4);
            assertThat(themes.nearestWhole(theme, 4)).contains(4);
            assertThat(themes.nearestWhole(theme, 5)).isEmpty();
        }

        @Test
        void aCheckpointIsRenamedTakenAwayAndHoldsItsEntry() {
            themes.mark(theme, 0, "before", lead, NOW);
            themes.mark(theme, 0, "start of all", lead, NOW);
            assertThat(themes.checkpoints(theme))
                    .extracting(ThemeMapper.HistoryRow::checkpoint)
                    .containsExactly("start of all");
            assertThatThrownBy(() -> sql.update("delete from revision where theme_id = ?", theme))
                    .isInstanceOf(DataIntegrityViolationException.class);
            themes.unmark(theme, 0);
            assertThat(themes.checkpoints(theme)).isEmpty();
            assertThatThrownBy(() -> themes.mark(theme, 9, "of none", lead, NOW))
                    .isInstanceOf(DataIntegrityViolationException.class);
        }

        @Test
        void ofSeveralThemesThoseThatAreThereAreTold() {
            long second = added("Tide");
            themes.advance(second, "Tide", "{}", "{}", 1, NOW);
            assertThat(themes.revisionsOf(List.of(theme, second, 987_654_321L)))
                    .containsExactlyInAnyOrder(new ThemeMapper.At(theme, 0), new ThemeMapper.At(second, 1));
        }
    }

    @Nested
    class Together {
        private Account by() {
            return new Account(lead, "lead@example.org", "Lead", "", "lead");
        }

        /** As another process has it: nothing at hand in common but the database. */
        private DraftService process() {
            ThemeGraphs graphs = new ThemeGraphs();
            PictureStore pictures = mock(PictureStore.class);
            lenient().when(pictures.of(ArgumentMatchers.any())).thenReturn(Pictures.NONE);
            return new DraftService(
                    themes,
                    CLOCK,
                    event -> {},
                    new Commits(database.bean(TransactionOperations.class)),
                    new ShownAgain(
                            graphs,
                            pictures,
                            new ComputedViews(graphs, pictures, FontFiles::shipped),
                            JsonMapper.shared()),
                    pictures);
        }

        private Edit width(int writer, int turn) {
            return new Edit.Put(
                    Place.set(Starter.BASE),
                    TokenPath.of("mine.w" + writer + "-" + turn),
                    org.umberloom.core.token.Token.of(DimensionValue.px(turn + 1)),
                    -1);
        }

        @Test
        void twoProcessesAndManyPeopleLoseNothingOfEachOther() throws Exception {
            int writers = 4;
            int turns = 3;
            List<DraftService> processes = List.of(process(), process());
            long id = processes.get(0).create(Starter.ALL.get(0).theme("Crowded"), "started", by());
            ExecutorService people = Executors.newFixedThreadPool(writers);
            List<Future<?>> work = new ArrayList<>();
            IntStream.range(0, writers)
                    .forEach(writer -> work.add(people.submit(() -> {
                        for (int turn = 0; turn < turns; turn++)
                            processes.get(writer % 2).edit(id, 0, width(writer, turn), by());
                    })));
            for (Future<?> one : work) one.get();
            people.shutdown();

            int last = writers * turns;
            assertThat(themes.revisionOf(id)).contains(last);
            List<RevisionRow> log = themes.since(id, 0);
            assertThat(log)
                    .extracting(RevisionRow::number)
                    .containsExactlyElementsOf(
                            IntStream.rangeClosed(1, last).boxed().toList());
            ThemeDocument stored =
                    ThemeJson.readInline(themes.find(id).orElseThrow().document());
            ThemeDocument replayed =
                    ThemeJson.readInline(themes.revision(id, 0).orElseThrow().document());
            for (RevisionRow entry : log)
                replayed = EditJson.read(entry.edit()).applyTo(replayed).theme();
            assertThat(replayed).as("the log tells how the document came to be").isEqualTo(stored);
            for (int entry = log.size() - 1; entry >= 0; entry--)
                replayed = EditJson.read(log.get(entry).inverse())
                        .applyTo(replayed)
                        .theme();
            assertThat(ThemeJson.writeInline(replayed))
                    .as("and back again")
                    .isEqualTo(themes.revision(id, 0).orElseThrow().document());
            assertThat(process().stateAt(id, 5))
                    .isEqualTo(processes.get(0).stateAt(id, 5))
                    .isNotEqualTo(stored);
        }
    }

    private static void await(CountDownLatch latch) {
        get(() -> latch.await(20, TimeUnit.SECONDS));
    }

    private static <T> T get(java.util.concurrent.Callable<T> work) {
        try {
            return work.call();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }
}
