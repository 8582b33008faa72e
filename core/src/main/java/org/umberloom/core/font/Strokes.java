package org.umberloom.core.font;

import java.awt.geom.FlatteningPathIterator;
import java.awt.geom.GeneralPath;
import java.awt.geom.PathIterator;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/** How thick the strokes of a round letter are, by cutting its outline across its middle and down its middle. */
final class Strokes {
    private static final double FINE = 0.5;
    private static final int MOST_BENDS = 6;
    private static final int CUTS = 4;

    private Strokes() {}

    /** The stroke at the side of an “o” by the one at its top, or the other way round, so that it is at least 1; 0 without both. */
    static double contrast(Optional<GeneralPath> letter) {
        if (letter.isEmpty()) return 0;
        Rectangle2D box = letter.get().getBounds2D();
        if (box.isEmpty()) return 0;
        double side = first(cuts(letter.get(), box.getCenterY(), true));
        double top = first(cuts(letter.get(), box.getCenterX(), false));
        return side <= 0 || top <= 0 ? 0 : Math.max(side, top) / Math.min(side, top);
    }

    private static double first(List<Double> cuts) {
        return cuts.size() < CUTS ? 0 : cuts.get(1) - cuts.get(0);
    }

    /** Where the outline crosses a line. @param level the line's y where it lies, its x where it stands */
    private static List<Double> cuts(GeneralPath path, double level, boolean lying) {
        List<Double> cuts = new ArrayList<>();
        double[] point = new double[6];
        double[] from = {0, 0};
        double[] begin = {0, 0};
        PathIterator it = new FlatteningPathIterator(path.getPathIterator(null), FINE, MOST_BENDS);
        for (; !it.isDone(); it.next()) {
            int kind = it.currentSegment(point);
            double[] to = kind == PathIterator.SEG_CLOSE ? begin : new double[] {point[0], point[1]};
            if (kind == PathIterator.SEG_MOVETO) begin = to;
            else cut(from, to, level, lying ? 1 : 0).ifPresent(cuts::add);
            from = to;
        }
        Collections.sort(cuts);
        return cuts;
    }

    private static Optional<Double> cut(double[] from, double[] to, double level, int along) {
        double a = from[along];
        double b = to[along];
        if (a <= level == b <= level) return Optional.empty();
        int other = 1 - along;
        return Optional.of(from[other] + (level - a) / (b - a) * (to[other] - from[other]));
    }
}
