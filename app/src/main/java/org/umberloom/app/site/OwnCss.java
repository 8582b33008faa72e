package org.umberloom.app.site;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.page.HandValues;
import org.umberloom.core.page.PageCleaning;
import org.umberloom.core.sheet.Declaration;
import org.umberloom.core.sheet.OwnSheet;
import org.umberloom.core.sheet.Sheet;
import org.umberloom.core.sheet.SheetReader;
import org.umberloom.core.sheet.StyleRule;

/** An own style sheet while somebody writes it: what of it holds, and what is wrong with the rest. */
final class OwnCss {
    /** Something wrong. @param line from 1; 0 where it is not known */
    record Mark(int line, String words) {}

    /**
     * A style sheet as it was read.
     *
     * @param text    what holds, in its cascade layer
     * @param faults  what cannot be read
     * @param unknown properties that are read and that neither the theme nor the sheet gives
     * @param strays  literal values that hide a role on the site's pages
     * @param removed what may not stand there, in words
     */
    record Read(String text, List<Mark> faults, List<Mark> unknown, List<Mark> strays, List<String> removed) {}

    /** The properties of a theme that can be read, in the order of the contract. */
    static final List<String> PROPERTIES = Contract.standard().readings().stream()
            .map(CustomProperties::nameOf)
            .distinct()
            .toList();

    private OwnCss() {}

    /**
     * @param pages   it is for, by name
     * @param layered puts it into its cascade layer
     * @throws IllegalArgumentException for a text that is too large, or no style sheet at all
     */
    static Read read(String css, Map<String, String> pages, UnaryOperator<String> layered) {
        if (css.isBlank()) return new Read("", List.of(), List.of(), List.of(), List.of());
        OwnSheet own = PageCleaning.sheet(css);
        List<String> removed = new ArrayList<>();
        own.removed().forEach((what, count) -> removed.add(count + " " + what));
        return new Read(
                layered.apply(own.text()),
                own.faults().stream()
                        .map(fault -> new Mark(fault.line(), fault.words()))
                        .toList(),
                unknown(css),
                strays(css, pages),
                removed);
    }

    private static List<Mark> strays(String css, Map<String, String> pages) {
        List<Mark> strays = new ArrayList<>();
        HandValues.ofSheet(css, pages).values().forEach(byPage -> {
            List<HandValues.HandValue> all =
                    byPage.values().stream().flatMap(List::stream).toList();
            HandValues.HandValue first = all.get(0);
            String role = Contract.standard()
                    .ofReading(first.reading())
                    .map(known -> known.on(first.surface()))
                    .orElse(first.reading());
            strays.add(new Mark(
                    lineOf(css, first.value()),
                    first.property() + ": " + first.value() + " hides " + role + " on " + all.size()
                            + (all.size() == 1 ? " element" : " elements") + " of " + byPage.size()
                            + (byPage.size() == 1 ? " page." : " pages.")));
        });
        return strays;
    }

    private static List<Mark> unknown(String css) {
        Sheet sheet = SheetReader.read(css);
        Set<String> known = new HashSet<>(PROPERTIES);
        for (StyleRule rule : sheet.rules())
            for (Declaration declaration : rule.declarations())
                if (declaration.property().startsWith("--")) known.add(declaration.property());
        List<Mark> unknown = new ArrayList<>();
        Map<String, Boolean> said = new java.util.HashMap<>();
        for (StyleRule rule : sheet.rules())
            for (Declaration declaration : rule.declarations())
                for (Declaration.Variable variable : declaration.variables())
                    if (!known.contains(variable.name())
                            && variable.fallback().isEmpty()
                            && said.put(variable.name(), true) == null)
                        unknown.add(new Mark(
                                lineOf(css, variable.name()),
                                "The theme gives no " + variable.name() + ", so what reads it counts for nothing."));
        return unknown;
    }

    private static int lineOf(String css, String words) {
        int at = css.indexOf(words);
        return at < 0
                ? 0
                : 1 + (int) css.substring(0, at).chars().filter(c -> c == '\n').count();
    }
}
