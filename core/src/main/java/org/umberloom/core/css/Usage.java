package org.umberloom.core.css;

import java.util.HashSet;
import java.util.Set;

/**
 * What the pages of a stylesheet contain. Only what is used is written.
 *
 * @param everything  whether to write the whole base layer, as a working preview needs it
 * @param elements    element names, and the names of data attributes as {@code [data-width]}
 * @param surfaces    names of the surfaces that sections stand on
 */
public record Usage(boolean everything, Set<String> elements, Set<String> surfaces) {
    public static final Usage ALL = new Usage(true, Set.of(), Set.of());

    public static Usage of(Set<String> elements, Set<String> surfaces) {
        return new Usage(false, Set.copyOf(elements), Set.copyOf(surfaces));
    }

    /** The same with one more element or attribute. */
    Usage with(String element) {
        if (has(element)) return this;
        Set<String> more = new HashSet<>(elements);
        more.add(element);
        return new Usage(everything, Set.copyOf(more), surfaces);
    }

    boolean has(String element) {
        return everything || element.isEmpty() || elements.contains(element);
    }

    boolean hasSurface(String surface) {
        return everything || surfaces.contains(surface);
    }
}
