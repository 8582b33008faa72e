package org.umberloom.core.token;

import java.util.Optional;

/**
 * A dimension that moves in a straight line from one size to another while the viewport widens, and stands still
 * outside.
 *
 * @param narrow size at {@code narrowViewport} and below
 * @param wide   size at {@code wideViewport} and above; the value that readers without fluid sizes get
 * @param narrowViewport viewport width in px
 * @param wideViewport   viewport width in px, larger than the narrow one
 */
public record FluidValue(DimensionValue narrow, DimensionValue wide, double narrowViewport, double wideViewport)
        implements TokenValue {
    /** @throws IllegalArgumentException unless 0 < narrowViewport < wideViewport */
    public FluidValue {
        if (!(narrowViewport > 0 && wideViewport > narrowViewport && wideViewport <= 1e6))
            throw new IllegalArgumentException("the narrow viewport must be above 0 and below the wide one");
    }

    /** The size in px at a viewport width in px. */
    public double pxAt(double viewport) {
        double share = (viewport - narrowViewport) / (wideViewport - narrowViewport);
        double clamped = Math.max(0, Math.min(1, share));
        return narrow.toPx() + (wide.toPx() - narrow.toPx()) * clamped;
    }

    /** What a length comes to at a viewport width in px; 0 for what is no length. */
    public static double pxAt(TokenValue length, double viewport) {
        if (length instanceof FluidValue fluid) return fluid.pxAt(viewport);
        return length instanceof DimensionValue fixed ? fixed.toPx() : 0;
    }

    /** What a length comes to in narrow windows, in px; 0 for what is no length. */
    public static double narrow(TokenValue length) {
        return length instanceof FluidValue fluid ? fluid.narrow.toPx() : pxAt(length, 0);
    }

    /** What a length comes to in wide windows, in px; 0 for what is no length. */
    public static double wide(TokenValue length) {
        return length instanceof FluidValue fluid ? fluid.wide.toPx() : pxAt(length, 0);
    }

    /** px gained for each px of viewport. */
    public double slope() {
        return (wide.toPx() - narrow.toPx()) / (wideViewport - narrowViewport);
    }

    /** px the line would have at a viewport of width 0. */
    public double intercept() {
        return narrow.toPx() - slope() * narrowViewport;
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.DIMENSION);
    }
}
