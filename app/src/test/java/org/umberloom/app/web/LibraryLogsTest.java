package org.umberloom.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

class LibraryLogsTest {
    private final AtomicLong now = new AtomicLong();
    private final LoggerContext context = new LoggerContext();
    private final ListAppender<ILoggingEvent> written = new ListAppender<>();

    private Logger logger(String name) {
        if (context.getTurboFilterList().isEmpty()) {
            context.addTurboFilter(new LibraryLogs(now::get));
            written.start();
            Logger root = context.getLogger("ROOT");
            root.setLevel(Level.WARN);
            root.addAppender(written);
        }
        return context.getLogger(name);
    }

    @Test
    void aLibraryWritesSoManyLinesInAMinute() {
        Logger library = logger("org.example.glyphs");
        for (int i = 0; i < 10_000; i++) library.warn("glyph {} is odd", i);
        assertThat(written.list).hasSize(LibraryLogs.MOST_IN_A_MINUTE);
        now.addAndGet(61_000_000_000L);
        library.warn("one more");
        assertThat(written.list).hasSize(LibraryLogs.MOST_IN_A_MINUTE + 1);
        assertThat(written.list.get(LibraryLogs.MOST_IN_A_MINUTE).getFormattedMessage())
                .isEqualTo("one more");
    }

    @Test
    void everyLibraryHasItsOwnLinesAndTheApplicationWritesAll() {
        for (int i = 0; i < 100; i++) {
            logger("org.example.a").error("a");
            logger("org.example.b").error("b");
            logger("org.umberloom.app.C").error("c");
            logger("org.example.d").debug("not asked for");
        }
        assertThat(written.list).hasSize(2 * LibraryLogs.MOST_IN_A_MINUTE + 100);
    }

    @Test
    void aLineThatIsAFileIsNone() {
        logger("org.example.e").warn("x".repeat(20_000));
        assertThat(written.list).isEmpty();
    }
}
