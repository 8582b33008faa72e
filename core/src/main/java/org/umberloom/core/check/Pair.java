package org.umberloom.core.check;

import java.util.OptionalDouble;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.color.Depth;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Role;
import org.umberloom.core.theme.Surfaces;

/**
 * A foreground and a ground that meet on a page.
 *
 * @param surface the surface they meet on
 * @param role    the foreground's role
 * @param ground  the ground's role
 * @param needed  the ratio they must reach, 1 to 21
 */
public record Pair(String surface, String role, String ground, double needed) {
    /** The ratio of a color on a ground. @param path of the role that says the ground: one that lies on pictures may show them */
    public static double ratio(String path, Color foreground, Color ground) {
        return onPictures(path) ? Contrast.ratioOnPictures(foreground, ground) : Contrast.ratio(foreground, ground);
    }

    private static boolean onPictures(String path) {
        return Contract.standard().filledBy(path).filter(Role::onPictures).isPresent();
    }

    /** A pair with its colors. */
    public record Measured(Pair pair, Color foreground, Color groundColor, double ratio) {
        static Measured of(Pair pair, Color foreground, Color ground) {
            return new Measured(
                    pair, foreground, ground, Pair.ratio(Surfaces.path(pair.surface, pair.ground), foreground, ground));
        }

        public boolean passes() {
            return ratio >= pair.needed;
        }

        /** Where the ground lies on pictures and would do if less of them were seen: how opaque it has to be, 0 to 1. */
        OptionalDouble opacity() {
            return groundColor.alpha() < 1 && onPictures(Surfaces.path(pair.surface, pair.ground))
                    ? Contrast.opacityFor(pair.needed, foreground, groundColor)
                    : OptionalDouble.empty();
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
