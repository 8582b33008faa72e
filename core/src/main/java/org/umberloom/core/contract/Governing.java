package org.umberloom.core.contract;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.sheet.Declaration;
import org.umberloom.core.sheet.Selector;
import org.umberloom.core.token.TokenType;

/**
 * What a rule takes from the theme for what one of its selectors matches.
 *
 * @param selector matches elements at rest
 * @param rank     of two that match an element, the higher wins
 * @param color    the role that a person means who points at its color; empty where the rule has none, and so for the others
 * @param chosen   the value of a choice that it holds at; none for one that always holds
 * @param roles    everything that it reads, in its general form: {@code surface.text}, {@code type.h1}
 * @param lengths  CSS properties that are a length of the theme and nothing else, by the property
 */
public record Governing(
        String selector,
        long rank,
        String color,
        String type,
        String space,
        String width,
        Optional<PartRule.Chosen> chosen,
        Set<String> roles,
        Map<String, String> lengths) {
    private static final List<String> SIDES = List.of("-block", "-inline");

    /** One for each selector of every rule that holds for the elements themselves. */
    public static List<Governing> all(Contract contract) {
        List<Governing> all = new ArrayList<>();
        for (PartRule rule : contract.rules()) {
            if (rule.readings().isEmpty() || !rule.rule().within().isEmpty()) continue;
            String color = color(contract, rule);
            String type = first(rule.readings(), "type.")
                    .map(reading -> reading.substring(0, reading.lastIndexOf('.')))
                    .orElse("");
            Set<String> roles = rule.readings().stream()
                    .map(reading -> contract.ofReading(reading).orElseThrow().general())
                    .collect(java.util.stream.Collectors.toUnmodifiableSet());
            Map<String, String> lengths = lengths(contract, rule);
            for (Selector selector : rule.rule().selectors())
                if (selector.states().isEmpty() && selector.drawn().isEmpty())
                    all.add(new Governing(
                            selector.resting(),
                            Paint.rank(rule, selector),
                            color,
                            type,
                            first(rule.readings(), "gap.").orElse(""),
                            first(rule.readings(), "width.").orElse(""),
                            rule.choice(),
                            roles,
                            lengths));
        }
        return List.copyOf(all);
    }

    /** A background says more of a thing than its text; else its text, else its lines. */
    private static String color(Contract contract, PartRule rule) {
        for (String wanted : List.of("background", "color", "border", "outline"))
            for (Declaration declaration : rule.declarations()) {
                if (!declaration.property().startsWith(wanted)) continue;
                Optional<String> color = PartFolders.readings(declaration).stream()
                        .filter(reading -> contract.ofReading(reading)
                                .filter(role -> role.type() == TokenType.COLOR)
                                .isPresent())
                        .findFirst();
                if (color.isPresent()) return color.get();
            }
        return "";
    }

    /** Of a shorthand with two values, those of both directions. */
    private static Map<String, String> lengths(Contract contract, PartRule rule) {
        Map<String, String> lengths = new LinkedHashMap<>();
        for (Declaration declaration : rule.declarations()) {
            String[] values = declaration.value().split(" ");
            List<String> readings = PartFolders.readings(declaration);
            if (values.length > SIDES.size()
                    || values.length != readings.size()
                    || !declaration.value().startsWith("var(")) continue;
            for (int i = 0; i < values.length; i++) {
                String reading = readings.get(i);
                boolean length = contract.ofReading(reading)
                        .filter(role -> role.type() == TokenType.DIMENSION)
                        .isPresent();
                if (length) lengths.put(declaration.property() + (values.length == 1 ? "" : SIDES.get(i)), reading);
            }
        }
        return lengths;
    }

    private static Optional<String> first(Collection<String> readings, String group) {
        return readings.stream().filter(reading -> reading.startsWith(group)).findFirst();
    }
}
