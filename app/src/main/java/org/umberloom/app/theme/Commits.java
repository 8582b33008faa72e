package org.umberloom.app.theme;

import java.sql.SQLException;
import java.util.Set;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.umberloom.app.web.Conflict;
import org.umberloom.app.web.MayBeStored;
import org.umberloom.app.web.RequestsDone;
import org.umberloom.core.limit.Patience;

/**
 * How changes get into the database when several people and several processes store at one time. Those of one theme wait for
 * each other within a process; what the database refuses because two processes met is computed again on the newer state and
 * tried again. What cannot be known after a commit is said as that.
 */
@Component
public class Commits {
    private static final int MOST_TRIES = 16;
    /** So often it is tried without keeping others waiting. */
    private static final int FREE_TRIES = 2;

    private static final int STRIPES = 256;
    private static final long LONGEST_PAUSE_MS = 60;
    private static final long LONGEST_WAIT_S = 20;
    /** Lock wait, deadlock, changed since the snapshot (MariaDB); node not ready for it (Galera). Sources: their error lists. */
    private static final Set<Integer> MET = Set.of(1205, 1213, 1020, 1047);

    /** Somebody else was faster: nothing of this try is stored. */
    public static final class Overtaken extends RuntimeException {
        private static final long serialVersionUID = 1;

        public Overtaken() {
            super("overtaken", null, false, false);
        }
    }

    private final TransactionOperations transactions;
    private final ReentrantLock[] turns =
            IntStream.range(0, STRIPES).mapToObj(i -> new ReentrantLock()).toArray(ReentrantLock[]::new);

    public Commits(TransactionOperations transactions) {
        this.transactions = transactions instanceof TransactionTemplate known ? named(known) : transactions;
    }

    /** By its name it is told from transactions that are not of the application, as those of sessions. */
    private static TransactionTemplate named(TransactionTemplate known) {
        TransactionTemplate named = new TransactionTemplate(known.getTransactionManager(), known);
        named.setName(RequestsDone.NAMES + ".commit");
        return named;
    }

    /** Several changes as one: all of them are stored, or none, and all are done again where somebody was faster. */
    public <T> T together(Supplier<T> work) {
        return again(() -> once(work));
    }

    /** The same of work that gives nothing. */
    public void together(Runnable work) {
        together(() -> {
            work.run();
            return true;
        });
    }

    /** Does something as soon as what is done in this thread is stored: now, where nothing waits to be; never, if it is not. */
    public static void afterwards(Runnable work) {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            work.run();
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                work.run();
            }
        });
    }

    /**
     * Does work on a theme, again from its beginning when it was overtaken, until it stands or is refused.
     *
     * @param lock keeps other processes from the theme; used for who was overtaken often
     */
    public <T> T inTurn(long theme, Runnable lock, Supplier<T> work) {
        ReentrantLock turn = turns[Math.floorMod(Long.hashCode(theme), STRIPES)];
        try {
            if (!turn.tryLock(LONGEST_WAIT_S, TimeUnit.SECONDS)) throw crowded();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw crowded();
        }
        int[] tried = {0};
        try {
            return again(() -> tried[0]++ < FREE_TRIES
                    ? work.get()
                    : once(() -> {
                        lock.run();
                        return work.get();
                    }));
        } finally {
            turn.unlock();
        }
    }

    /** Stores something that nobody else can meet, in a transaction of its own. */
    public <T> T store(Supplier<T> work) {
        return again(() -> once(work));
    }

    /** A part of something larger is not tried again by itself: what it is part of is. */
    private <T> T again(Supplier<T> work) {
        if (within()) return work.get();
        for (int tried = 1; ; tried++) {
            try {
                return work.get();
            } catch (RuntimeException e) {
                if (!met(e) || tried == MOST_TRIES) throw e instanceof Overtaken ? crowded() : e;
                pause(tried);
            }
        }
    }

    private static Conflict crowded() {
        return new Conflict("Many people are changing this theme in this moment. Nothing was changed; try again.");
    }

    /** One transaction. @throws MayBeStored when its work was done and the database did not say whether it is committed */
    public <T> T once(Supplier<T> work) {
        if (within()) return work.get();
        boolean[] done = {false};
        try {
            return transactions.execute(status -> {
                T result = work.get();
                done[0] = true;
                Patience.noMore();
                return result;
            });
        } catch (RuntimeException e) {
            if (done[0] && !met(e) && !RequestsDone.isRepeat(e)) throw new MayBeStored(e);
            throw e;
        }
    }

    private static boolean within() {
        return TransactionSynchronizationManager.isActualTransactionActive();
    }

    private static boolean met(Throwable e) {
        if (e instanceof Overtaken || e instanceof DuplicateKeyException) return true;
        for (Throwable cause = e; cause != null; cause = cause.getCause())
            if (cause instanceof SQLException sql && MET.contains(sql.getErrorCode())) return true;
        return false;
    }

    private static void pause(int tried) {
        try {
            TimeUnit.MILLISECONDS.sleep(
                    ThreadLocalRandom.current().nextLong(1, Math.min(LONGEST_PAUSE_MS, 4L << Math.min(tried, 6)) + 1));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("interrupted while waiting to store", e);
        }
    }
}
