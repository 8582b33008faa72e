package org.umberloom.app.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.authentication.BadCredentialsException;
import org.umberloom.app.RealDatabase;
import org.umberloom.app.web.TooManyTries;

/** People, their invitations and what slows down who guesses, as MariaDB keeps them. */
class AccountsInTheDatabaseTest {
    private static final LocalDateTime NOW = LocalDateTime.parse("2026-01-02T03:04:05.678");

    private final RealDatabase database = RealDatabase.shared();
    private final AccountMapper accounts = database.bean(AccountMapper.class);
    private final JdbcTemplate sql = new JdbcTemplate(database.bean(DataSource.class));
    private final String email = UUID.randomUUID() + "@example.org";

    /** As many at one moment as there are works; what each came to. */
    private static <T> List<T> together(List<Callable<T>> works) throws Exception {
        ExecutorService people = Executors.newFixedThreadPool(works.size());
        CountDownLatch now = new CountDownLatch(1);
        List<Future<T>> going = new ArrayList<>();
        for (Callable<T> work : works)
            going.add(people.submit(() -> {
                now.await();
                return work.call();
            }));
        now.countDown();
        List<T> results = new ArrayList<>();
        for (Future<T> one : going) results.add(one.get());
        people.shutdown();
        return results;
    }

    @Test
    void whoWasTakenOffTheListComesBackAsWhoTheyWere() {
        accounts.add(email, "Ada", "hash", "lead");
        Account ada = accounts.byEmail(email).orElseThrow();
        accounts.remove(ada.id(), NOW);
        assertThat(accounts.byEmail(email)).isEmpty();
        assertThat(accounts.all()).extracting(Account::id).doesNotContain(ada.id());
        accounts.add(email, "Ada L.", "other", "guest");
        assertThat(accounts.byEmail(email)).contains(new Account(ada.id(), email, "Ada L.", "other", "guest"));
    }

    @Test
    void whoIsOnTheListIsNotChangedByBeingAddedAgain() {
        accounts.add(email, "Ada", "hash", "lead");
        accounts.add(email, "Somebody else", "theirs", "guest");
        assertThat(accounts.byEmail(email)).hasValueSatisfying(account -> {
            assertThat(account.name()).isEqualTo("Ada");
            assertThat(account.passwordHash()).isEqualTo("hash");
        });
        assertThatThrownBy(() -> accounts.addFirst(email, "First", "hash", "lead"))
                .isInstanceOf(DuplicateKeyException.class);
    }

    @Test
    void anInvitationIsAcceptedOnceHoweverManyTry() throws Exception {
        accounts.add(email, "Ada", "hash", "lead");
        long by = accounts.byEmail(email).orElseThrow().id();
        String word = "a".repeat(32) + UUID.randomUUID().toString().replace("-", "");
        accounts.invite(word, "new-" + email, "Ben", "lead", by, NOW);
        assertThat(accounts.invitation(word))
                .hasValueSatisfying(sent -> assertThat(sent.invitedBy()).isEqualTo("Ada"));
        List<Callable<Integer>> tries = new ArrayList<>();
        for (int i = 0; i < 6; i++) tries.add(() -> database.inTransaction(() -> accounts.accept(word)));
        assertThat(together(tries)).containsOnlyOnce(1).containsOnly(0, 1);
        assertThat(accounts.invitation(word)).isEmpty();
    }

    @Test
    void whoIsInvitedAgainHasOnlyTheNewestWord() {
        accounts.add(email, "Ada", "hash", "lead");
        long by = accounts.byEmail(email).orElseThrow().id();
        for (String word : List.of("one-" + email, "two-" + email))
            accounts.invite(word.substring(0, 40), "again-" + email, "Ben", "lead", by, NOW);
        assertThat(accounts.invitation(("one-" + email).substring(0, 40))).isEmpty();
        assertThat(accounts.invitation(("two-" + email).substring(0, 40))).isPresent();
    }

    /** Two processes that count in one table: together they let no more through than one would. */
    @Test
    void wrongTriesAreCountedAcrossProcesses() throws Exception {
        List<Throttle> processes =
                List.of(new Throttle(database.bean(DataSource.class)), new Throttle(database.bean(DataSource.class)));
        List<Callable<Boolean>> tries = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            Throttle process = processes.get(i % 2);
            tries.add(() -> {
                try {
                    return process.signingIn(email, "192.0.2.7", () -> {
                        throw new BadCredentialsException("wrong");
                    });
                } catch (BadCredentialsException wrong) {
                    return true;
                } catch (TooManyTries refused) {
                    return false;
                }
            });
        }
        assertThat(together(tries).stream().filter(tried -> tried)).hasSize(8);
        assertThatThrownBy(() -> processes.get(0).signingIn(email, "192.0.2.7", () -> "right"))
                .isInstanceOf(TooManyTries.class);
        assertThat(processes.get(1).signingIn(email, "198.51.100.9", () -> "right"))
                .as("from where nobody guessed")
                .isEqualTo("right");
        assertThat(sql.queryForObject("select count(*) from bucket where expires_at > unix_timestamp()", Integer.class))
                .isPositive();
    }
}
