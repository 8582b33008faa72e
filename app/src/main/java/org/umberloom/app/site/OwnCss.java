package org.umberloom.app.site;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
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
    /** Something wrong. @param line from 1; 0 where it is not known @param column from 1; 0 where it is not known */
    record Mark(int line, int column, String words) {}

    /** A property that is set, as the browser it is shown in may not know it. */
    record Property(int line, int column, String name) {}

    /**
     * A style sheet as it was read.
     *
     * @param text    what holds, in its cascade layer
     * @param faults  what cannot be read
     * @param unknown properties that are read and that neither the theme nor the sheet gives
     * @param strays  literal values that hide a role on the site's pages
     * @param removed what may not stand there, in words
     * @param properties all that it sets, without custom properties
     */
    record Read(
            String text,
            List<Mark> faults,
            List<Mark> unknown,
            List<Mark> strays,
            List<String> removed,
            List<Property> properties) {}

    /** The properties of a theme that can be read, in the order of the contract. */
    static final List<String> PROPERTIES = Contract.standard().readings().stream()
            .map(CustomProperties::nameOf)
            .distinct()
            .toList();

    private static final Pattern QUIET =
            Pattern.compile("/\\*.*?(?:\\*/|$)|\"[^\"\\n]*\"?|'[^'\\n]*'?", Pattern.DOTALL);
    private static final Pattern DECLARED = Pattern.compile("(?<=[{;])\\s*([a-zA-Z][a-zA-Z-]*)\\s*:(?=[^{}]*?[;}])");

    private OwnCss() {}

    /**
     * @param pages   it is for, by name
     * @param layered puts it into its cascade layer
     * @throws IllegalArgumentException for a text that is too large, or no style sheet at all
     */
    static Read read(String css, Map<String, String> pages, UnaryOperator<String> layered) {
        if (css.isBlank()) return new Read("", List.of(), List.of(), List.of(), List.of(), List.of());
        OwnSheet own = PageCleaning.sheet(css);
        List<String> removed = new ArrayList<>();
        own.removed().forEach((what, count) -> removed.add(count + " " + what));
        return new Read(
                layered.apply(own.text()),
                own.faults().stream()
                        .map(fault -> new Mark(fault.line(), fault.column(), fault.words()))
                        .toList(),
                unknown(css),
                strays(css, pages),
                removed,
                properties(css));
    }

    /** Declarations, told from selectors by what ends them; comments and texts in quotes hold none. */
    private static List<Property> properties(String css) {
        String bare = blanked(css);
        List<Property> properties = new ArrayList<>();
        Matcher matcher = DECLARED.matcher(bare);
        while (matcher.find()) {
            int[] at = positionOf(css, matcher.start(1));
            properties.add(new Property(at[0], at[1], matcher.group(1).toLowerCase(Locale.ROOT)));
        }
        return properties;
    }

    private static String blanked(String css) {
        return QUIET.matcher(css).replaceAll(found -> found.group().replaceAll("[^\n]", " "));
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
            strays.add(mark(
                    css,
                    first.value(),
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
                        unknown.add(mark(
                                css,
                                variable.name(),
                                "The theme gives no " + variable.name() + ", so what reads it counts for nothing."));
        return unknown;
    }

    /** Where a part of the sheet stands first; nowhere when it is not written like that. */
    private static Mark mark(String css, String part, String words) {
        int at = css.indexOf(part);
        if (at < 0) return new Mark(0, 0, words);
        int[] position = positionOf(css, at);
        return new Mark(position[0], position[1], words);
    }

    /** Line and column, each from 1. */
    private static int[] positionOf(String css, int at) {
        int line = 1 + (int) css.substring(0, at).chars().filter(c -> c == '\n').count();
        return new int[] {line, at - css.lastIndexOf('\n', at - 1)};
    }
}
