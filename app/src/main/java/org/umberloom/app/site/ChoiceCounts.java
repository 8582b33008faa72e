package org.umberloom.app.site;

import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.umberloom.core.contract.Choice;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.page.ChoiceSpots.Looks;

/**
 * How many elements of a page each choice decides the look of. As text {@code links=aab:14,abb:2;headings=ab:3}, which is short and
 * only read where a choice is made otherwise.
 *
 * @param counts of elements, by what they look like at the values, by the names of choices
 */
record ChoiceCounts(Map<String, Map<Looks, Integer>> counts) {
    static ChoiceCounts of(Map<String, Map<Integer, Looks>> spots) {
        Map<String, Map<Looks, Integer>> counts = new TreeMap<>();
        spots.forEach((choice, elements) -> counts.put(
                choice, elements.values().stream().collect(Collectors.toMap(one -> one, one -> 1, Integer::sum))));
        return new ChoiceCounts(counts);
    }

    int differing(String choice, String old, String fresh) {
        Choice known = Contract.standard().choices().get(choice);
        return known == null
                ? 0
                : counts.getOrDefault(choice, Map.of()).entrySet().stream()
                        .filter(one -> one.getKey().differ(known, old, fresh))
                        .mapToInt(Map.Entry::getValue)
                        .sum();
    }

    String write() {
        return counts.entrySet().stream()
                .map(choice -> choice.getKey() + "="
                        + choice.getValue().entrySet().stream()
                                .map(one -> one.getKey().letters() + ":" + one.getValue())
                                .sorted()
                                .collect(Collectors.joining(",")))
                .collect(Collectors.joining(";"));
    }

    static ChoiceCounts read(String text) {
        Map<String, Map<Looks, Integer>> counts = new TreeMap<>();
        Stream.of(text.split(";")).filter(one -> !one.isEmpty()).forEach(one -> {
            String[] choice = one.split("=");
            counts.put(
                    choice[0],
                    Stream.of(choice[1].split(","))
                            .map(counted -> counted.split(":"))
                            .collect(Collectors.toMap(
                                    counted -> new Looks(counted[0]), counted -> Integer.parseInt(counted[1]))));
        });
        return new ChoiceCounts(counts);
    }
}
