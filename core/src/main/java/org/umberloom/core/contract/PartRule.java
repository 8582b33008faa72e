package org.umberloom.core.contract;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.sheet.Declaration;
import org.umberloom.core.sheet.StyleRule;

/**
 * A rule of a part.
 *
 * @param order    its place among all rules; of two in one layer that weigh the same, the later wins
 * @param choice   which choice it belongs to and at which value; none for a rule that always holds
 * @param readings what it reads of roles, in their general form: {@code surface.text}, {@code type.h1.size}
 * @param given    whether it reads what only a theme with grounds gives
 */
public record PartRule(
        String part,
        Layer layer,
        int order,
        Optional<Chosen> choice,
        StyleRule rule,
        Set<String> readings,
        boolean given) {
    /** Cascade layers that parts can be in. */
    public enum Layer {
        BASE,
        PARTS;

        public String css() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }

    /** One value of a choice. */
    public record Chosen(String choice, String value) {}

    /** @param values the value of every choice */
    public boolean holds(Map<String, String> values) {
        return choice.isEmpty()
                || choice.get().value().equals(values.get(choice.get().choice()));
    }

    /** What one of its declarations reads of roles, in order. */
    public static List<String> readings(Declaration declaration) {
        return PartFolders.readings(declaration);
    }

    public List<Declaration> declarations() {
        return rule.declarations();
    }
}
