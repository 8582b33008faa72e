package org.umberloom.core.limit;

import java.util.function.Supplier;

/**
 * How long work on what came from outside may go on: whoever starts it says what ends it, since only they have a clock, and
 * the long loops within {@link #ask} on every turn. Work that was started without is never ended. It belongs to its thread.
 */
public final class Patience {
    private static final ThreadLocal<Runnable> ASKED = new ThreadLocal<>();

    private Patience() {}

    /**
     * Does the work as long as the patience lasts.
     *
     * @param lasts is asked often; throws what the work shall end with, which then comes out of here
     */
    public static <T> T with(Runnable lasts, Supplier<T> work) {
        Runnable outer = ASKED.get();
        ASKED.set(lasts);
        try {
            return work.get();
        } finally {
            if (outer == null) ASKED.remove();
            else ASKED.set(outer);
        }
    }

    /** Ends the work of this thread with an exception when there is no more patience for it. */
    public static void ask() {
        Runnable lasts = ASKED.get();
        if (lasts != null) lasts.run();
    }

    /** From here on the work of this thread is finished, however long it takes: something has been stored. */
    public static void noMore() {
        ASKED.remove();
    }
}
