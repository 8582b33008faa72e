package org.umberloom.app.asset;

import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Service;
import org.umberloom.kit.font.FontFiles;

/**
 * The families at hand: those that ship and those that were brought in, also by other processes, which is looked for once a
 * second at the most. What is at hand is another object whenever families came or went, and the same one while none did.
 */
@Service
public class FontShelf {
    private static final long EVERY_NS = TimeUnit.SECONDS.toNanos(1);

    private record AtHand(String stamp, FontFiles files) {}

    private final OwnFonts own;
    private volatile AtHand known = new AtHand("", FontFiles.shipped());
    private volatile long lookedAt = System.nanoTime() - EVERY_NS;

    FontShelf(OwnFonts own) {
        this.own = own;
    }

    public FontFiles atHand() {
        if (System.nanoTime() - lookedAt >= EVERY_NS) look();
        return known.files;
    }

    /** The same, as it is at this very moment. */
    FontFiles now() {
        look();
        return known.files;
    }

    private synchronized void look() {
        String stamp = own.stamp();
        if (!stamp.equals(known.stamp))
            known = new AtHand(stamp, FontFiles.shipped().with(own.families(), own::read));
        lookedAt = System.nanoTime();
    }
}
