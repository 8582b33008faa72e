package org.umberloom.app.web;

import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/**
 * The lane for what takes long: files that are read, pictures, archives. Few at a time, so that others stay quick; who comes
 * when it is full waits a while, and is then told. No connection to the database is held while one waits.
 */
@Component
public class HeavyWork {
    private static final int AT_ONCE = 1;
    private static final int MOST_WAITING = 12;
    private static final long LONGEST_WAIT_S = 40;

    private final Semaphore lane = new Semaphore(AT_ONCE, true);

    /** @throws Busy when it is not one's turn in time */
    public <T> T call(Supplier<T> work) {
        enter();
        try {
            return work.get();
        } finally {
            lane.release();
        }
    }

    /** @throws Busy when it is not one's turn in time */
    public void run(Runnable work) {
        call(() -> {
            work.run();
            return true;
        });
    }

    private void enter() {
        try {
            if (lane.getQueueLength() >= MOST_WAITING || !lane.tryAcquire(LONGEST_WAIT_S, TimeUnit.SECONDS)) throw new Busy();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Busy();
        }
    }

    /** The lane is full. */
    public static final class Busy extends RuntimeException {
        private static final long serialVersionUID = 1;

        Busy() {
            super("Many large files are being read at this moment. Nothing was changed; try again in a minute.");
        }
    }
}
