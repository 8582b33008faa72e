package org.umberloom.core.contract;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import org.umberloom.core.sheet.Declaration;
import org.umberloom.core.sheet.Selector;
import org.umberloom.core.token.TokenType;

/**
 * What a rule paints on what one of its selectors matches, as roles: for whoever asks which colors meet on a page without a
 * browser.
 *
 * @param selector   without the states that only a person brings about
 * @param state      that state, or {@link State#REST}
 * @param rank       by cascade layer, specificity and order: of two rules that match, the higher rank wins
 * @param color      role of the text, such as {@code muted}; empty when the rule says nothing, {@link #INHERIT} for the parent's
 * @param background role of the background; empty when the rule says nothing, {@link #THROUGH} where what lies behind is seen
 * @param border     role of a border or outline that must be seen; empty when there is none
 * @param type       type role of the text, such as {@code small}; empty when the rule says nothing
 */
public record Paint(
        String selector, State state, long rank, String color, String background, String border, String type) {
    /** States that only a person brings about. */
    public enum State {
        REST,
        HOVER,
        PRESSED,
        VISITED,
        FOCUS,
        SELECTED
    }

    public static final String INHERIT = "inherit";
    public static final String THROUGH = "transparent";
    private static final String SURFACE = "surface.";
    private static final long LAYER = 1_000_000_000L;
    private static final long CLASSES = 10_000_000L;
    private static final long ELEMENTS = 100_000L;
    private static final Map<Map<String, String>, List<Paint>> KNOWN = new ConcurrentHashMap<>();

    /** The rules that paint, one for each selector of a list. @param chosen values of choices; those not named stand at their standard */
    public static List<Paint> all(Map<String, String> chosen) {
        Contract contract = Contract.standard();
        return KNOWN.computeIfAbsent(contract.completed(chosen), complete -> collect(contract, complete));
    }

    private static List<Paint> collect(Contract contract, Map<String, String> chosen) {
        List<Paint> all = new ArrayList<>();
        for (PartRule rule : contract.rules()) {
            // What a medium changes is not what a page shows on a screen.
            if (!rule.holds(chosen) || !rule.rule().within().isEmpty()) continue;
            String color = "";
            String background = "";
            String border = "";
            String type = "";
            for (Declaration declaration : rule.declarations()) {
                List<String> readings = PartFolders.readings(declaration);
                String property = declaration.property();
                Optional<String> painted = colorOf(contract, readings, role -> true);
                if (property.equals("color"))
                    color = painted.orElse(declaration.value().equals(INHERIT) ? INHERIT : color);
                else if (property.equals("background") || property.equals("background-color"))
                    background = painted.orElse(
                            declaration.value().equals(THROUGH)
                                            || declaration.value().equals("none")
                                    ? THROUGH
                                    : background);
                else if (property.startsWith("border") && !property.contains("radius")
                        || property.startsWith("outline"))
                    border = colorOf(contract, readings, role -> !role.decorative() && seen(property))
                            .orElse(border);
                else if (property.equals("font-size"))
                    type = readings.stream()
                            .filter(reading -> reading.startsWith("type."))
                            .map(reading -> reading.split("\\.")[1])
                            .findFirst()
                            .orElse(type);
            }
            if ((color + background + border + type).isEmpty()) continue;
            for (Selector selector : rule.rule().selectors()) {
                if (!selector.drawn().isEmpty()) continue;
                all.add(new Paint(
                        selector.resting(), state(selector), rank(rule, selector), color, background, border, type));
            }
        }
        return List.copyOf(all);
    }

    /** A line on one side alone decorates. */
    private static boolean seen(String property) {
        return property.equals("border") || property.equals("border-color") || property.startsWith("outline");
    }

    private static Optional<String> colorOf(Contract contract, Collection<String> readings, Predicate<Role> fits) {
        return readings.stream()
                .filter(reading -> contract.ofReading(reading)
                        .filter(role -> role.type() == TokenType.COLOR && fits.test(role))
                        .isPresent())
                .map(reading -> reading.substring(SURFACE.length()))
                .findFirst();
    }

    static State state(Selector selector) {
        if (selector.states().contains("selection")) return State.SELECTED;
        if (selector.states().contains("visited")) return State.VISITED;
        if (selector.states().stream().anyMatch(state -> state.startsWith("focus"))) return State.FOCUS;
        if (selector.states().contains("active")) return State.PRESSED;
        return selector.states().isEmpty() ? State.REST : State.HOVER;
    }

    /** Source: Cascade 5, section 6.4. */
    public static long rank(PartRule rule, Selector selector) {
        return rule.layer().ordinal() * LAYER
                + selector.specificity().classes() * CLASSES
                + selector.specificity().elements() * ELEMENTS
                + rule.order();
    }
}
