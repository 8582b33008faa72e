package org.umberloom.core.sheet;

import java.util.Optional;
import java.util.Set;

/**
 * One selector of a rule.
 *
 * @param text    as CSS
 * @param resting without the states that only a person brings about, and without its pseudo-element
 * @param states  those states by their names, such as {@code hover}, and {@code selection}
 * @param drawn   the pseudo-element that is styled in place of the element, such as {@code ::before}; empty for none
 * @param needs   without which it matches nothing: element names, and attributes as {@code [data-part]} or {@code [data-part=card]}
 */
public record Selector(
        String text, String resting, Set<String> states, String drawn, Specificity specificity, Set<String> needs) {
    private static final Set<String> CHECKED = Set.of("checked");

    public Selector {
        states = Set.copyOf(states);
        needs = Set.copyOf(needs);
    }

    /** As a page matches it that nobody has touched: what is checked there says so in its markup; none for other states. */
    public Optional<String> untouched() {
        if (states.isEmpty()) return Optional.of(resting);
        return states.equals(CHECKED) && drawn.isEmpty()
                ? Optional.of(text.replace(":checked", "[checked]"))
                : Optional.empty();
    }
}
