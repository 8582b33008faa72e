package org.umberloom.core.check;

import org.umberloom.core.contract.Worn;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.TokenValue;

/**
 * How many characters a line of running text holds: the text column by the mean advance of a character. A column is as wide
 * as its role says, as long as the content and the page's edge leave it that room.
 *
 * @param text    the width of the text column
 * @param content the width of the content
 * @param gutter  what stays free at either edge
 */
public record LineLength(TokenValue text, TokenValue content, TokenValue gutter) {
    public static LineLength of(Worn worn) {
        return new LineLength(width(worn, "text"), width(worn, "content"), width(worn, "gutter"));
    }

    private static TokenValue width(Worn worn, String name) {
        return worn.find("width." + name).orElseThrow().value();
    }

    /** px of the text column at a viewport width in px. */
    public double width(double viewport) {
        double room = Math.min(FluidValue.pxAt(content, viewport), viewport - 2 * FluidValue.pxAt(gutter, viewport));
        return Math.max(0, Math.min(FluidValue.pxAt(text, viewport), room));
    }

    /**
     * Characters of a line at a viewport width in px.
     *
     * @param mean    advance of a character in em
     * @param size    of the text
     * @param spacing added to each character
     */
    public double characters(double viewport, double mean, TokenValue size, TokenValue spacing) {
        double each = mean * FluidValue.pxAt(size, viewport) + FluidValue.pxAt(spacing, viewport);
        return each <= 0 ? 0 : width(viewport) / each;
    }
}
