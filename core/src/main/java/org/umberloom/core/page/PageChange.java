package org.umberloom.core.page;

import java.util.List;
import java.util.Optional;

/**
 * Something that people do to a page so that its looks can be tried: not to what it says at length. Each names an element by where
 * it stands in the body, as {@link Spots} counts.
 */
public sealed interface PageChange {
    /** How far a block reaches to both sides. */
    enum Reach {
        CONTENT,
        WIDE,
        FULL
    }

    /** How much room is around a block. */
    enum Room {
        STANDARD,
        CLOSE,
        AMPLE
    }

    int at();

    /** The surface that a block stands on. @param surface by its name; empty for that of what is around it */
    record Ground(int at, String surface) implements PageChange {}

    record Extent(int at, Reach reach) implements PageChange {}

    record Air(int at, Room room) implements PageChange {}

    /** A block among its siblings. @param by how many of them it passes, toward the end of the page */
    record Shift(int at, int by) implements PageChange {}

    record Double(int at) implements PageChange {}

    record Drop(int at) implements PageChange {}

    /** A part's sample as a new block. @param at the block that it comes after; 0 for the end of the main part */
    record Insert(int at, String part) implements PageChange {}

    /** A heading in the look of another level. @param level such as {@code h3}; none for its own */
    record Look(int at, Optional<String> level) implements PageChange {}

    /** Other words for an element that holds nothing but words. */
    record Words(int at, String text) implements PageChange {}

    /** Another picture. @param source a picture of the site, as {@code pictures/lamp.svg} */
    record Picture(int at, String source, String alternative) implements PageChange {}

    /** A title that is there for those who listen alone, or a region that is left out; or shown again. */
    record Shown(int at, boolean shown) implements PageChange {}

    /** The levels whose looks a heading can wear. */
    List<String> LEVELS = List.of("h1", "h2", "h3", "h4", "h5", "h6");
}
