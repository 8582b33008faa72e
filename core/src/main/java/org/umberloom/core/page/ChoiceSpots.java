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
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.umberloom.core.contract.Choice;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Paint;
import org.umberloom.core.contract.PartRule;
import org.umberloom.core.contract.Role;
import org.umberloom.core.limit.Patience;
import org.umberloom.core.limit.Recent;
import org.umberloom.core.sheet.Declaration;
import org.umberloom.core.sheet.Selector;

/**
 * Which elements of a page show something else where a choice is made otherwise: those for which, of all declarations that reach
 * them at rest on a screen of any width, others win.
 */
public final class ChoiceSpots {
    /**
     * What of an element's look one choice decides: a letter for each of its values, in the contract's order; values with the same
     * letter look the same there. One that takes colors of the surface that is chosen looks otherwise on any other.
     */
    public record Looks(String letters) {
        /** Whether the element looks otherwise. @param old and {@code fresh}, values of the choice; unknown ones change nothing */
        public boolean differ(Choice choice, String old, String fresh) {
            if (letters.equals(ANY)) return !old.equals(fresh);
            List<String> values = List.copyOf(choice.values().keySet());
            int one = values.indexOf(old);
            int other = values.indexOf(fresh);
            return one >= 0 && other >= 0 && letters.charAt(one) != letters.charAt(other);
        }
    }

    /** A rule as one of its selectors says it. @param said values by properties, each with where it holds */
    private record Says(
            PageElements.Wanted selector, long rank, Optional<PartRule.Chosen> choice, Map<String, String> said) {
        /** @param other the choice that is made otherwise, at a value */
        boolean holds(Map<String, String> chosen, String other, String value) {
            return choice.isEmpty()
                    || choice.get()
                            .value()
                            .equals(
                                    choice.get().choice().equals(other)
                                            ? value
                                            : chosen.get(choice.get().choice()));
        }
    }

    private static final List<Says> ALL = all();
    /** With every choice at its standard, which most pages are asked for. */
    private static final Recent<Map<String, Map<Integer, Looks>>> KNOWN = new Recent<>();

    /** Properties that begin like a shorthand which says nothing of them. Source: CSS 2.2, Backgrounds 3. */
    private static final Pattern NO_LONGHAND =
            Pattern.compile("border-.*radius|border-(collapse|spacing)|text-decoration-skip");

    /** In place of letters: no two values look the same. */
    private static final String ANY = "*";

    private ChoiceSpots() {}

    private static List<Says> all() {
        List<Says> all = new ArrayList<>();
        for (PartRule rule : Contract.standard().rules()) {
            String within = String.join(" ", rule.rule().within());
            if (within.contains("print")) continue;
            for (Selector selector : rule.rule().selectors()) {
                if (!selector.states().isEmpty()) continue;
                Map<String, String> said = new LinkedHashMap<>();
                for (Declaration declaration : rule.declarations())
                    said.put(within + selector.drawn() + declaration.property(), declaration.value());
                all.add(new Says(
                        new PageElements.Wanted(selector.resting()), Paint.rank(rule, selector), rule.choice(), said));
            }
        }
        return List.copyOf(all);
    }

    /**
     * By the names of choices, then by where elements stand in the body as {@link Spots} counts; only those that look otherwise at
     * some value.
     *
     * @param chosen values of the other choices by their names; those not named stand at their standard
     */
    public static Map<String, Map<Integer, Looks>> of(String html, Map<String, String> chosen) {
        Map<String, String> all = Contract.standard().completed(chosen);
        String standing = StandsOn.in(html, chosen);
        return all.equals(Contract.standard().completed(Map.of()))
                ? KNOWN.get(standing, one -> read(one, all))
                : read(standing, all);
    }

    /** What takes colors of a surface, by the choice that puts it on one. */
    private static void standing(
            PageElements page, Map<String, String> chosen, Map<String, Map<Integer, Looks>> spots) {
        Map<Element, Set<String>> taken = RulesOfPages.choosing(chosen).taken(page);
        List<Element> all = page.document().body().getAllElements();
        Map<Element, String> choosing = StandsOn.choosing(page);
        for (int at = 1; at < all.size(); at++) {
            int place = at;
            Set<String> readings = taken.getOrDefault(all.get(at), Set.of());
            boolean colored = choosing.containsKey(all.get(at))
                    || readings.stream().anyMatch(reading -> Contract.standard()
                            .ofReading(reading)
                            .filter(Role::ofSurfaces)
                            .isPresent());
            if (colored)
                StandsOn.by(all.get(at), one -> Optional.ofNullable(choosing.get(one)))
                        .ifPresent(choice -> spots.computeIfAbsent(choice, key -> new LinkedHashMap<>())
                                .put(place, new Looks(ANY)));
        }
    }

    private static Map<String, Map<Integer, Looks>> read(String html, Map<String, String> chosen) {
        PageElements page = new PageElements(Jsoup.parse(html));
        Map<Element, List<Integer>> reaching = new IdentityHashMap<>();
        for (int rule = 0; rule < ALL.size(); rule++) {
            Patience.ask();
            for (Element element : page.select(ALL.get(rule).selector))
                reaching.computeIfAbsent(element, key -> new ArrayList<>()).add(rule);
        }
        // Most elements of a page are reached by the same rules as others.
        Map<List<Integer>, Map<String, Looks>> looking = new HashMap<>();
        Map<String, Map<Integer, Looks>> spots = new TreeMap<>();
        List<Element> all = page.document().body().getAllElements();
        for (int at = 0; at < all.size(); at++) {
            int place = at;
            looking.computeIfAbsent(reaching.getOrDefault(all.get(at), List.of()), rules -> looks(rules, chosen))
                    .forEach((choice, looks) -> spots.computeIfAbsent(choice, key -> new LinkedHashMap<>())
                            .put(place, looks));
        }
        standing(page, chosen, spots);
        return spots;
    }

    /** How an element that these rules reach looks at the values of each choice. @param reaching by their numbers */
    private static Map<String, Looks> looks(List<Integer> reaching, Map<String, String> chosen) {
        List<Says> rules = reaching.stream()
                .map(ALL::get)
                .sorted(Comparator.comparingLong(Says::rank))
                .toList();
        Set<String> choices = new LinkedHashSet<>();
        rules.forEach(rule -> rule.choice.ifPresent(one -> choices.add(one.choice())));
        Map<String, Looks> looks = new LinkedHashMap<>();
        for (String choice : choices) {
            String letters =
                    letters(rules, chosen, Contract.standard().choices().get(choice));
            if (letters.chars().distinct().count() > 1) looks.put(choice, new Looks(letters));
        }
        return looks;
    }

    private static String letters(List<Says> rules, Map<String, String> chosen, Choice choice) {
        List<Map<String, String>> looks = new ArrayList<>();
        StringBuilder letters = new StringBuilder();
        for (String value : choice.values().keySet()) {
            Map<String, String> look = new HashMap<>();
            for (Says rule : rules)
                if (rule.holds(chosen, choice.name(), value))
                    rule.said.forEach((property, said) -> {
                        // A shorthand says all of its longhands (Cascade 5, section 1.4).
                        look.keySet()
                                .removeIf(one -> one.startsWith(property + "-")
                                        && !NO_LONGHAND.matcher(one).find());
                        look.put(property, said);
                    });
            int known = looks.indexOf(look);
            if (known < 0) {
                known = looks.size();
                looks.add(look);
            }
            letters.append((char) ('a' + known));
        }
        return letters.toString();
    }
}
