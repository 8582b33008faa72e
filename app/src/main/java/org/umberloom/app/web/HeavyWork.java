package org.umberloom.app.web;

import java.time.Duration;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.umberloom.core.limit.Patience;

/**
 * The lanes for what takes long, so that others stay quick: one for files and pictures that are read, which have a budget of
 * time, one for kits and builds that are made, one for archives that go out while they are made, which end when nobody takes them
 * any more. Who comes when a lane is full waits a while, and is then told. No connection to the database is held while one waits.
 */
@Component
public class HeavyWork {
    private static final int MOST_READ = 1;
    private static final int MOST_MADE = 2;
    private static final int MOST_WRITTEN = 2;
    private static final int MOST_WAITING = 12;
    private static final long LONGEST_WAIT_S = 40;
    private static final Duration BUDGET = Duration.ofSeconds(30);

    private final Lane reading = new Lane(MOST_READ, MOST_WAITING, LONGEST_WAIT_S, Busy::new);
    private final Lane making = new Lane(MOST_MADE, MOST_WAITING, LONGEST_WAIT_S, Busy::new);
    private final Lane writing = new Lane(MOST_WRITTEN, MOST_WAITING, LONGEST_WAIT_S, Busy::new);
    private final Duration budget;

    public HeavyWork() {
        this(BUDGET);
    }

    HeavyWork(Duration budget) {
        this.budget = budget;
    }

    /**
     * Reads what came from outside.
     *
     * @throws Busy when it is not one's turn in time
     * @throws TooLong when it takes more than its budget of time
     */
    public <T> T read(Supplier<T> work) {
        return reading.in(() -> {
            long end = System.nanoTime() + budget.toNanos();
            return Patience.with(
                    () -> {
                        if (System.nanoTime() - end > 0) throw new TooLong(budget);
                    },
                    work);
        });
    }

    /** Makes a kit or a build as a whole, in memory. @throws Busy when it is not one's turn in time */
    public <T> T make(Supplier<T> work) {
        return making.in(work);
    }

    /** Writes an archive to whoever asked. @throws Busy when it is not one's turn in time */
    public void write(Runnable work) {
        writing.in(() -> {
            work.run();
            return true;
        });
    }

    /** The budget of time is used up: what was being done is given up, and nothing of it is stored. */
    public static final class TooLong extends RuntimeException {
        private static final long serialVersionUID = 1;

        TooLong(Duration budget) {
            super("This takes longer than " + budget.toSeconds() + " seconds, so it was stopped. Nothing was changed. "
                    + "Make it smaller: split it, or leave out what is not used.");
        }
    }

    /** The lane is full. */
    public static final class Busy extends RuntimeException {
        private static final long serialVersionUID = 1;

        Busy() {
            super("Many large files are being worked on at this moment. Nothing was changed; try again in a minute.");
        }
    }
}
