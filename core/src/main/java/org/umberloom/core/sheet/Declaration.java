package org.umberloom.core.sheet;

import java.util.List;

/**
 * A property with its value as CSS text.
 *
 * @param variables what {@code var()} reads in it, in order, also inside other functions
 */
public record Declaration(String property, String value, boolean important, List<Variable> variables) {
    /** A custom property that is read; the fallback is empty where none is written. Source: CSS Custom Properties 1, section 3. */
    public record Variable(String name, String fallback) {}

    public Declaration {
        variables = List.copyOf(variables);
    }

    @Override
    public String toString() {
        return property + ": " + value + (important ? " !important" : "");
    }
}
