package org.umberloom.core.sheet;

import java.util.List;

/**
 * A rule with all that is said around it.
 *
 * @param within the at-rules it stands in, outermost first, such as {@code @media print}
 */
public record StyleRule(List<String> within, List<Selector> selectors, List<Declaration> declarations) {
    public StyleRule {
        within = List.copyOf(within);
        selectors = List.copyOf(selectors);
        declarations = List.copyOf(declarations);
    }
}
