package org.umberloom.core.page;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.umberloom.core.contract.Part;
import org.umberloom.core.sheet.Selector;

/** Where a part stands on pages: the outermost elements that its rules are for. */
public final class PartSpots {
    private PartSpots() {}

    /** What it is found by: its region, else all of its rules that hold for elements at rest. */
    public static Set<String> selectors(Part part) {
        if (!part.region().isEmpty()) return Set.of(part.region());
        return part.rules().stream()
                .flatMap(rule -> rule.rule().selectors().stream())
                .filter(selector ->
                        selector.states().isEmpty() && selector.drawn().isEmpty())
                .map(Selector::resting)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** How many there are in the body of a page. */
    public static int count(String html, Set<String> selectors) {
        if (selectors.isEmpty()) return 0;
        List<Element> found = Jsoup.parse(html).body().select(String.join(", ", selectors));
        Set<Element> all = Set.copyOf(found);
        return (int) found.stream()
                .filter(one -> one.parents().stream().noneMatch(all::contains))
                .count();
    }
}
