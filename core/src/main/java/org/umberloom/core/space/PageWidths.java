package org.umberloom.core.space;

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

    /** Each band is {@code min(its width, viewport − 2·gutter)}, and never below 0. */
    public Bands at(double viewport) {
        double gutterPx = gutter instanceof FluidValue fluid ? fluid.pxAt(viewport) : ((DimensionValue) gutter).toPx();
        double room = Math.max(0, viewport - 2 * gutterPx);
        return new Bands(viewport, gutterPx, Math.min(text, room), Math.min(content, room), Math.min(wide, room));
    }
}
