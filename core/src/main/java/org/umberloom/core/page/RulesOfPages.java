package org.umberloom.core.page;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Paint;
import org.umberloom.core.contract.PartRule;
import org.umberloom.core.limit.Patience;
import org.umberloom.core.sheet.Declaration;
import org.umberloom.core.sheet.Selector;

/** The contract’s rules as they meet a page that stands still: which reading governs what, with what is chosen. */
final class RulesOfPages {
    /** Properties that an element without a rule of its own takes from what is around it. Source: CSS 2.2, property index. */
    private static final Set<String> INHERITED = Set.of(
            "color",
            "font-family",
            "font-size",
            "font-weight",
            "line-height",
            "letter-spacing",
            "font-style",
            "font-stretch",
            "text-transform",
            "font-feature-settings");

    /** Properties that a rule says as a whole: one that takes no role for them keeps others from doing so. */
    private static final Set<String> WHOLE =
            Set.of("color", "background-color", "font-size", "font-family", "font-weight");
    /** In place of a reading: what is around says it. */
    private static final String AROUND = "inherit";
    /** In place of a reading: a value of the rule’s own. */
    private static final String NOTHING = "";

    /** A rule as one of its selectors says it: which property takes which reading. */
    private record Governs(PageElements.Wanted selector, long rank, Map<String, String> readings) {
        /** The later of two that are equal. */
        Governs stronger(Governs other) {
            return other.rank >= rank ? other : this;
        }
    }

    private static final Map<Map<String, String>, RulesOfPages> KNOWN = new ConcurrentHashMap<>();
    /** Every choice at its standard. */
    private static final RulesOfPages STANDARD = choosing(Map.of());

    /** The rules that hold only where something is chosen, whatever that is. */
    private static final List<Governs> OF_CHOICES = governing(
            Contract.standard().rules().stream().filter(rule -> rule.choice().isPresent()));

    private final List<Governs> all;

    private RulesOfPages(List<Governs> all) {
        this.all = all;
    }

    /** @param chosen values of choices by their names; others stand at their standard */
    static RulesOfPages choosing(Map<String, String> chosen) {
        return KNOWN.computeIfAbsent(
                Contract.standard().completed(chosen),
                values -> new RulesOfPages(
                        governing(Contract.standard().rules().stream().filter(rule -> rule.holds(values)))));
    }

    private static List<Governs> governing(Stream<PartRule> rules) {
        List<Governs> all = new ArrayList<>();
        Contract contract = Contract.standard();
        for (PartRule rule : rules.toList()) {
            if (!rule.rule().within().isEmpty()) continue;
            Map<String, String> readings = new LinkedHashMap<>();
            for (Declaration declaration : rule.declarations()) {
                // What a ground gives besides its color is of no role.
                List<String> taken = PartRule.readings(declaration).stream()
                        .filter(reading -> contract.ofReading(reading).isPresent())
                        .toList();
                taken.forEach(reading -> readings.put(family(declaration.property(), reading), reading));
                if (PartRule.readings(declaration).isEmpty() && WHOLE.contains(family(declaration.property(), "")))
                    readings.put(
                            family(declaration.property(), ""),
                            declaration.value().equals("inherit") ? AROUND : NOTHING);
            }
            if (readings.isEmpty()) continue;
            for (Selector selector : rule.rule().selectors())
                if (selector.drawn().isEmpty())
                    selector.untouched()
                            .ifPresent(text -> all.add(
                                    new Governs(new PageElements.Wanted(text), Paint.rank(rule, selector), readings)));
        }
        return all;
    }

    /** The reading that a property of an element takes where nobody wrote or chose anything there, if it takes one. */
    static Optional<String> governing(Element element, String property) {
        String family = family(property, "");
        return inherited(element, property, one -> STANDARD.all.stream()
                .filter(rule -> rule.readings.containsKey(family) && rule.selector.matches(one))
                .max(Comparator.comparingLong(Governs::rank))
                .map(rule -> rule.readings.get(family)));
    }

    private static Optional<String> inherited(
            Element element, String property, Function<Element, Optional<String>> said) {
        for (Element one = element; one != null; one = one.parent()) {
            Optional<String> reading = said.apply(one);
            if (reading.filter(AROUND::equals).isPresent()) continue;
            if (reading.isPresent() || !INHERITED.contains(property))
                return reading.filter(own -> !own.equals(NOTHING));
        }
        return Optional.empty();
    }

    /** As {@link #governing}, of many elements of one page: what wins for a property is found for all of them at once. */
    static final class Governing {
        private final PageElements page;
        private final Map<String, Map<Element, Governs>> byFamily = new HashMap<>();

        Governing(PageElements page) {
            this.page = page;
        }

        Optional<String> reading(Element element, String property) {
            String family = family(property, "");
            Map<Element, Governs> winning = byFamily.computeIfAbsent(family, this::winning);
            return inherited(element, property, one -> Optional.ofNullable(winning.get(one))
                    .map(rule -> rule.readings.get(family)));
        }

        private Map<Element, Governs> winning(String family) {
            Map<Element, Governs> winning = new IdentityHashMap<>();
            for (Governs rule : STANDARD.all)
                if (rule.readings.containsKey(family))
                    for (Element element : page.select(rule.selector)) winning.merge(element, rule, Governs::stronger);
            return winning;
        }
    }

    /**
     * What an element takes from what is around it: readings by properties. Where a choice has a say in a property, be it here
     * or where it is taken from, that property is left out.
     */
    static Map<String, String> handedDown(Element element) {
        Map<String, String> handed = new TreeMap<>();
        for (String property : INHERITED) {
            Element from = element;
            while (from != null && !says(from, property)) from = from.parent();
            if (from == null || from == element || chooses(element, from, property)) continue;
            governing(from, property).ifPresent(reading -> handed.put(property, reading));
        }
        return handed;
    }

    /** Whether a rule says a property of that very element, other than that what is around says it. */
    private static boolean says(Element element, String property) {
        return STANDARD.all.stream()
                .filter(rule -> rule.readings.containsKey(property) && rule.selector.matches(element))
                .max(Comparator.comparingLong(Governs::rank))
                .filter(rule -> !rule.readings.get(property).equals(AROUND))
                .isPresent();
    }

    private static boolean chooses(Element element, Element last, String property) {
        return OF_CHOICES.stream()
                .filter(rule -> rule.readings.containsKey(property))
                .anyMatch(rule -> {
                    for (Element one = element; one != last.parent(); one = one.parent())
                        if (rule.selector.matches(one)) return true;
                    return false;
                });
    }

    /** What elements of a page take by rules of their own: the readings of each, by what wins for each property. */
    Map<Element, Set<String>> taken(Document document) {
        return taken(new PageElements(document));
    }

    Map<Element, Set<String>> taken(PageElements page) {
        Map<Element, Map<String, Governs>> strongest = new IdentityHashMap<>();
        for (Governs rule : all) {
            Patience.ask();
            for (Element element : page.select(rule.selector)) {
                Map<String, Governs> there = strongest.computeIfAbsent(element, key -> new LinkedHashMap<>());
                for (String family : rule.readings.keySet()) there.merge(family, rule, Governs::stronger);
            }
        }
        Map<Element, Set<String>> taken = new IdentityHashMap<>();
        strongest.forEach((element, rules) -> rules.forEach((family, rule) -> {
            String reading = rule.readings.get(family);
            if (!reading.equals(AROUND) && !reading.equals(NOTHING))
                taken.computeIfAbsent(element, key -> new LinkedHashSet<>()).add(reading);
        }));
        return taken;
    }

    /**
     * Properties that are one for a person: sides and directions of a margin or padding, the ways to say a line's color.
     *
     * @param reading what a rule takes for it, where that tells which part of a shorthand it is
     */
    private static String family(String property, String reading) {
        if (property.startsWith("background")) return "background-color";
        if (property.startsWith("padding")) return "padding";
        if (property.startsWith("margin")) return "margin";
        if (property.endsWith("gap")) return "gap";
        if (property.endsWith("radius")) return "border-radius";
        if (property.startsWith("border"))
            return reading.startsWith("shape.") || property.endsWith("width") ? "border-width" : "border-color";
        if (property.equals("max-width") || property.equals("max-inline-size")) return "max-inline-size";
        return property;
    }
}
