package org.umberloom.app.web;

import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;

/** A lane for work that leaves room for others: few at a time, in the order they came, and not too many waiting. */
public final class Lane {
    private final Semaphore places;
    private final int mostWaiting;
    private final long longestWaitS;
    private final Supplier<? extends RuntimeException> full;

    /**
     * @param atOnce      how many may work at one time
     * @param mostWaiting how many may wait
     * @param longestWaitS how long each waits at the most, in seconds
     * @param full        what those are told who do not come in
     */
    public Lane(int atOnce, int mostWaiting, long longestWaitS, Supplier<? extends RuntimeException> full) {
        places = new Semaphore(atOnce, true);
        this.mostWaiting = mostWaiting;
        this.longestWaitS = longestWaitS;
        this.full = full;
    }

    /** Does the work when it is its turn; what {@code full} gives is thrown when that does not come. */
    public <T> T in(Supplier<T> work) {
        try {
            if (places.getQueueLength() >= mostWaiting || !places.tryAcquire(longestWaitS, TimeUnit.SECONDS))
                throw full.get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw full.get();
        }
        try {
            return work.get();
        } finally {
            places.release();
        }
    }
}
