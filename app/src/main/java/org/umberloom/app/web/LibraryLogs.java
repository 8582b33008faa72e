package org.umberloom.app.web;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.turbo.TurboFilter;
import ch.qos.logback.core.spi.FilterReply;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.function.LongSupplier;
import org.slf4j.LoggerFactory;
import org.slf4j.Marker;

/**
 * Keeps libraries from filling the log: one damaged font had a line written for each of its glyphs. Each logger that is not of the
 * application may write so many lines in a minute; how many were left out is said once the minute is over.
 */
public final class LibraryLogs extends TurboFilter {
    static final int MOST_IN_A_MINUTE = 20;
    private static final int LONGEST = 10_000;
    private static final String OWN = "org.umberloom";
    private static final long MINUTE = TimeUnit.MINUTES.toNanos(1);

    private static final class Minute {
        private long began;
        private int lines;
        private int leftOut;
    }

    private final Map<String, Minute> minutes = new ConcurrentHashMap<>();
    private final LongSupplier nanoTime;

    public LibraryLogs() {
        this(System::nanoTime);
    }

    LibraryLogs(LongSupplier nanoTime) {
        this.nanoTime = nanoTime;
    }

    @Override
    public FilterReply decide(
            Marker marker, Logger logger, Level level, String format, Object[] values, Throwable thrown) {
        if (logger.getName().startsWith(OWN) || !level.isGreaterOrEqual(logger.getEffectiveLevel()))
            return FilterReply.NEUTRAL;
        long now = nanoTime.getAsLong();
        Minute minute = minutes.computeIfAbsent(logger.getName(), key -> new Minute());
        int leftOut = 0;
        boolean written;
        synchronized (minute) {
            if (minute.lines == 0 || now - minute.began > MINUTE) {
                leftOut = minute.leftOut;
                minute.began = now;
                minute.lines = 0;
                minute.leftOut = 0;
            }
            written = ++minute.lines <= MOST_IN_A_MINUTE && (format == null || format.length() <= LONGEST);
            if (!written) minute.leftOut++;
        }
        if (leftOut > 0)
            LoggerFactory.getLogger(LibraryLogs.class)
                    .warn("{} further lines of {} were left out", leftOut, logger.getName());
        return written ? FilterReply.NEUTRAL : FilterReply.DENY;
    }
}
