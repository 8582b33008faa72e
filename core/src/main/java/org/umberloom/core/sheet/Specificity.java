package org.umberloom.core.sheet;

/**
 * How much a selector weighs: ids; classes, attributes and pseudo-classes; elements and pseudo-elements. Source:
 * Selectors 4, section 17.
 */
public record Specificity(int ids, int classes, int elements) implements Comparable<Specificity> {
    public static final Specificity NONE = new Specificity(0, 0, 0);

    Specificity plus(Specificity other) {
        return new Specificity(ids + other.ids, classes + other.classes, elements + other.elements);
    }

    @Override
    public int compareTo(Specificity other) {
        if (ids != other.ids) return Integer.compare(ids, other.ids);
        return classes != other.classes
                ? Integer.compare(classes, other.classes)
                : Integer.compare(elements, other.elements);
    }
}
