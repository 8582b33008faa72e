package org.umberloom.core.css;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Member;
import org.umberloom.core.contract.PartRule;
import org.umberloom.core.ground.Grounds;
import org.umberloom.core.sheet.Declaration;
import org.umberloom.core.sheet.Selector;
import org.umberloom.core.theme.ThemeDocument;

/** The rules of the parts that a theme’s pages need, as text: only selectors that match something, roles folded into what they stand on. */
final class Rules {
    /** @param around the at-rules it stands in, outermost first */
    private record Written(PartRule.Layer layer, List<String> around, String selectors, List<String> declarations) {}

    /** What a rule says for a reading, and what stands there after folding. */
    private record Folded(String said, String text) {
        static Folded of(String reading, Folding folding) {
            return new Folded("var(" + CustomProperties.nameOf(reading) + ")", folding.text(reading));
        }
    }

    /** Source: CSS Cascade 5, 7.3.3, “unset”. */
    private static final String SAYS_NOTHING = "unset";

    private static final String STANDING = "[data-surface]";

    private final List<Written> written = new ArrayList<>();
    private final Set<String> readings = new LinkedHashSet<>();

    private Rules() {}

    static Rules of(ThemeDocument theme, Usage usage) {
        return usage.live() ? Live.RULES : read(theme, usage);
    }

    /** A live page has the same rules in every theme. */
    private static final class Live {
        private static final Rules RULES = read(null, Usage.LIVE);
    }

    private static Rules read(ThemeDocument theme, Usage usage) {
        Rules rules = new Rules();
        Folding folding = usage.everything() ? Folding.NONE : Folding.of(theme);
        if (usage.everything()) rules.readings.addAll(Contract.standard().readings());
        boolean grounds = usage.everything() || Grounds.any(theme);
        Chosen chosen = usage.live() ? Chosen.live() : Chosen.of(theme, usage);
        Map<PutOn, List<Chosen.Condition>> putOn = new LinkedHashMap<>();
        if (!usage.live()) PutOn.of(theme, usage).forEach(one -> putOn.put(one, chosen.puttingOn(one.choice())));
        Map<String, Folded> known = new HashMap<>();
        for (PartRule rule : Contract.standard().rules()) {
            List<Chosen.Condition> conditions = chosen.when(rule.choice());
            List<Selector> matching =
                    rule.rule().selectors().stream().filter(usage::matches).toList();
            Map<PutOn, List<Chosen.Condition>> standing =
                    rule.rule().selectors().stream().anyMatch(Rules::standsOnASurface) ? putOn : Map.of();
            if (rule.given() && !grounds || conditions.isEmpty() || matching.isEmpty() && standing.isEmpty()) continue;
            rule.readings().forEach(reading -> rules.readings.addAll(folding.readings(reading)));
            List<Folded> folded = rule.readings().stream()
                    .map(reading -> known.computeIfAbsent(reading, one -> Folded.of(one, folding)))
                    .toList();
            List<String> declarations = rule.declarations().stream()
                    .flatMap(declaration -> text(declaration, folded, folding).stream())
                    .toList();
            if (declarations.isEmpty()) continue;
            Map<String, List<String>> selectors = new LinkedHashMap<>();
            byMedia(conditions, matching, selectors);
            standing.forEach((elements, when) -> byMedia(when, List.of(elements.selector()), selectors));
            selectors.forEach((media, all) -> rules.written.add(
                    new Written(rule.layer(), around(rule, media), String.join(", ", all), declarations)));
        }
        return rules;
    }

    /** Whether it is what every element that names a surface matches. */
    private static boolean standsOnASurface(Selector selector) {
        return selector.text().equals(STANDING);
    }

    private static List<String> around(PartRule rule, String media) {
        List<String> around = new ArrayList<>(rule.rule().within());
        if (!media.isEmpty()) around.add("@media " + media);
        return around;
    }

    private static void byMedia(
            List<Chosen.Condition> conditions, List<Selector> matching, Map<String, List<String>> selectors) {
        for (Chosen.Condition condition : conditions)
            for (Selector selector : matching)
                selectors
                        .computeIfAbsent(condition.media(), key -> new ArrayList<>())
                        .add(condition.guarding(selector));
    }

    /** None where it would say nothing: what is inherited, or a property's first value. */
    private static Optional<String> text(Declaration declaration, List<Folded> folded, Folding folding) {
        Optional<String> manner =
                PartRule.readings(declaration).stream().filter(Member::isManner).findFirst();
        if (manner.isPresent()) {
            String fallback = declaration.variables().get(0).fallback();
            String said = folding.unspoken(manner.get()) ? fallback : folding.text(manner.get());
            if (said.equals(SAYS_NOTHING)) return Optional.empty();
            return Optional.of(declaration.property() + ": "
                    + (said.startsWith("var(") ? said.replace(")", ", " + fallback + ")") : said));
        }
        String text = declaration.toString();
        for (Folded one : folded) text = text.replace(one.said, one.text);
        return Optional.of(text);
    }

    /** Everything that the rules read of roles, as it is left after folding. */
    Set<String> readings() {
        return readings;
    }

    boolean moves() {
        return written.stream()
                .flatMap(rule -> rule.declarations.stream())
                .anyMatch(declaration -> declaration.startsWith("transition"));
    }

    String text(PartRule.Layer layer) {
        StringBuilder css = new StringBuilder();
        for (Written rule : written) {
            if (rule.layer != layer) continue;
            rule.around.forEach(one -> css.append(one).append(" {\n"));
            css.append(rule.selectors).append(" {\n");
            for (String declaration : rule.declarations)
                css.append("  ").append(declaration).append(";\n");
            css.append("}\n".repeat(1 + rule.around.size()));
        }
        return css.toString();
    }
}
