package org.umberloom.core.space;

import java.util.ArrayList;
import java.util.List;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.TokenValue;

/**
 * Where the bands of a page end at a viewport.
 *
 * @param text    widest column of running text, px
 * @param content widest content, px
 * @param wide    widest wide section, px
 * @param gutter  side padding of the page, a dimension that may be fluid
 */
public record PageWidths(double text, double content, double wide, TokenValue gutter) {
    /** The bands at one viewport, all in px. */
    public record Bands(double viewport, double gutter, double text, double content, double wide) {}

    /**
     * The bands over a range of viewports: between two that follow each other all of them run in straight lines, to within a
     * step.
     *
     * @param step px; at the kinks of a band its two neighbors are this far apart
     */
    public List<Bands> between(int from, int to, int step) {
        List<Bands> kept = new ArrayList<>();
        Bands last = at(from);
        kept.add(last);
        for (int viewport = from + step; viewport < to; viewport += step) {
            Bands here = at(viewport);
            if (!straight(last, here, at(viewport + step))) kept.add(here);
            last = here;
        }
        kept.add(at(to));
        return kept;
    }

    private static boolean straight(Bands before, Bands here, Bands after) {
        return straight(before.gutter, here.gutter, after.gutter)
                && straight(before.text, here.text, after.text)
                && straight(before.content, here.content, after.content)
                && straight(before.wide, here.wide, after.wide);
    }

    private static boolean straight(double before, double here, double after) {
        return Math.abs(before + after - 2 * here) < 1e-9 * Math.max(1, Math.abs(here));
    }

    /** Each band is {@code min(its width, viewport − 2·gutter)}, and never below 0. */
    public Bands at(double viewport) {
        double gutterPx = gutter instanceof FluidValue fluid ? fluid.pxAt(viewport) : ((DimensionValue) gutter).toPx();
        double room = Math.max(0, viewport - 2 * gutterPx);
        return new Bands(viewport, gutterPx, Math.min(text, room), Math.min(content, room), Math.min(wide, room));
    }
}
