package org.umberloom.core.shape;

/** Corners that lie in one another. */
public final class Corners {
    private Corners() {}

    /**
     * The radius of the outer of two corners between which the same gap runs all along: both are arcs about one center. Lengths in
     * px. Source: CSS Backgrounds 3, section 5.2: the inner edge of a rounded box has the outer radius less its thickness.
     *
     * @param gap between them, at least 0
     */
    public static double around(double inner, double gap) {
        return inner + gap;
    }

    /** The radius of the inner of two such corners; a gap that is wider than the outer radius leaves it square. */
    public static double within(double outer, double gap) {
        return Math.max(0, outer - gap);
    }
}
