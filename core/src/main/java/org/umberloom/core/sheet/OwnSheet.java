package org.umberloom.core.sheet;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * People's own style sheets, written anew from what was read, so that nothing in them leaves the layer they are put in or loads
 * anything: rules, also in media queries and the like, and nothing else.
 *
 * @param text    as CSS; empty for nothing
 * @param faults  what could not be read, each with its line
 * @param removed what was read and taken out, with how often
 */
public record OwnSheet(String text, List<Sheet.Fault> faults, Map<String, Integer> removed) {
    public OwnSheet {
        faults = List.copyOf(faults);
        removed = Collections.unmodifiableMap(new LinkedHashMap<>(removed));
    }

    /**
     * @param reaches whether a value loads something
     * @throws IllegalArgumentException for a text that is too large, or no style sheet at all
     */
    public static OwnSheet of(String css, Predicate<String> reaches) {
        if (css.isBlank()) return new OwnSheet("", List.of(), Map.of());
        Sheet sheet = SheetReader.read(css);
        Map<String, Integer> removed = new LinkedHashMap<>();
        if (css.toLowerCase(Locale.ROOT).contains("@import")) removed.put("imports of other style sheets", 1);
        String text = text(sheet, (number, declaration) -> {
            boolean reaching = reaches.test(declaration.value());
            if (reaching) removed.merge("things from elsewhere", 1, Integer::sum);
            return !reaching;
        });
        sheet.blocks().forEach(block -> removed.merge(block.name(), 1, Integer::sum));
        return new OwnSheet(text, sheet.faults(), removed);
    }

    /** A sheet without some of its declarations. @param gone by their numbers, counted through all rules from 0 */
    public static String without(String css, Set<Integer> gone) {
        return text(SheetReader.read(css), (number, declaration) -> !gone.contains(number));
    }

    /** The rules with those declarations that stay; a rule without any is gone. */
    private static String text(Sheet sheet, BiPredicate<Integer, Declaration> stays) {
        StringBuilder text = new StringBuilder();
        int number = 0;
        for (StyleRule rule : sheet.rules()) {
            List<String> declarations = new ArrayList<>();
            for (Declaration declaration : rule.declarations())
                if (stays.test(number++, declaration)) declarations.add(declaration.toString());
            if (declarations.isEmpty() || rule.selectors().isEmpty()) continue;
            rule.within().forEach(around -> text.append(around).append(" {\n"));
            text.append(rule.selectors().stream().map(Selector::text).collect(Collectors.joining(", ")))
                    .append(" {\n");
            declarations.forEach(
                    declaration -> text.append("  ").append(declaration).append(";\n"));
            text.append("}\n".repeat(1 + rule.within().size()));
        }
        return text.toString();
    }
}
