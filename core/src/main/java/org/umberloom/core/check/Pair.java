package org.umberloom.core.check;

import org.umberloom.core.color.Color;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.color.Depth;

/**
 * A foreground and a ground that meet on a page.
 *
 * @param surface the surface they meet on
 * @param role    the foreground's role
 * @param ground  the ground's role
 * @param needed  the ratio they must reach, 1 to 21
 */
public record Pair(String surface, String role, String ground, double needed) {
    /** A pair with its colors. */
    public record Measured(Pair pair, Color foreground, Color groundColor, double ratio) {
        static Measured of(Pair pair, Color foreground, Color ground) {
            return new Measured(pair, foreground, ground, Contrast.ratio(foreground, ground));
        }

        public boolean passes() {
            return ratio >= pair.needed;
        }

        /** The depths at which the foreground would just pass on this ground: on its own side first. */
        public String remedy() {
            double ground = Depth.of(groundColor).value();
            double span = Depth.spanFor(pair.needed);
            double deeper = ground + span;
            double lighter = ground - span;
            boolean wantsDeeper = Depth.of(foreground).value() >= ground;
            if (wantsDeeper && deeper <= Depth.BLACK || lighter < 0)
                return deeper <= Depth.BLACK
                        ? "Depth " + (int) Math.ceil(deeper) + " or more passes."
                        : "Nothing passes on this ground; move the ground.";
            return "Depth " + (int) Math.floor(lighter) + " or less passes.";
        }
    }
}
