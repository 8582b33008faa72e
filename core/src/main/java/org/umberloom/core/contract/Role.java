package org.umberloom.core.contract;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.umberloom.core.token.TokenType;

/**
 * What a token can be for on a page.
 *
 * @param path       where its token stands, such as {@code gap.flow}; {@code surface.*.text} for each surface
 * @param part       the part that brings it
 * @param core       whether a theme that leaves it unset has most likely not been dressed
 * @param decorative whether what it paints need not be seen to understand the page
 * @param onPictures whether it lies on pictures, of whatever colors they are
 * @param purpose    one line on what it is for
 * @param pulled     how its region is pulled to change it, where it can be
 * @param around     what lies within, for the radius of a corner that is to run along with another
 */
public record Role(
        String path,
        TokenType type,
        Fallback fallback,
        String part,
        boolean core,
        boolean decorative,
        boolean onPictures,
        String purpose,
        Optional<Pulled> pulled,
        Optional<Around> around) {
    /**
     * A length that is changed at the edge of its region.
     *
     * @param edge  {@code block}: the lower one; {@code inline}: the one toward the page
     * @param times how much the region grows for each px of the length
     */
    public record Pulled(String edge, double times) {}

    /**
     * A corner within another.
     *
     * @param inner path of the role that says its radius
     * @param gap   path of the role that says how far it lies within
     */
    public record Around(String inner, String gap) {}

    static final String ANY_SURFACE = "surface.*.";

    /** Whether every surface has one of its own. */
    public boolean ofSurfaces() {
        return path.startsWith(ANY_SURFACE);
    }

    /** Its name on a surface, such as {@code text}. */
    public String ofSurface() {
        return path.substring(ANY_SURFACE.length());
    }

    /** The path that holds it on a surface; the same for every surface where it is of none. */
    public String on(String surface) {
        return ofSurfaces() ? "surface." + surface + "." + ofSurface() : path;
    }

    /** The form that rules speak of: without the surface, which the page says. */
    public String general() {
        return general(path);
    }

    static String general(String path) {
        return path.startsWith(ANY_SURFACE) ? "surface." + path.substring(ANY_SURFACE.length()) : path;
    }

    /** What rules read of it: itself, or each member of a text style. */
    public List<String> readings() {
        return type == TokenType.TYPOGRAPHY
                ? Stream.of(Member.values())
                        .map(member -> general() + "." + member.id())
                        .toList()
                : List.of(general());
    }
}
