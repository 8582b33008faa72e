package org.umberloom.core.check;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.theme.ThemeGraph;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.CompositeValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.References;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;

/**
 * What a theme carries that no page can show, or carries twice: shadowed tokens, unused tokens, duplicate and
 * nearly equal values, states that some cannot tell apart, and references to what is deprecated.
 */
public final class Tidiness {
    /** A theme with more combinations is looked at in so many. */
    private static final int MOST_COMBINATIONS = 64;

    private static final int MOST_NAMED = 6;

    private Tidiness() {}

    /** What is untidy in a theme; tokens that fill roles are read by pages themselves. */
    public static List<Finding> findings(ThemeDocument theme) {
        List<Finding> findings = new ArrayList<>(shadowed(theme));
        List<ThemeGraph> graphs = new ArrayList<>();
        for (Combination combination : theme.looks(MOST_COMBINATIONS)) graphs.add(ThemeGraph.of(theme, combination));
        findings.addAll(unused(theme, graphs));
        findings.addAll(duplicates(theme, graphs.get(0)));
        findings.addAll(Likeness.nearDuplicates(theme, graphs.get(0).resolution()));
        Set<Finding> meeting = new LinkedHashSet<>();
        graphs.forEach(graph -> meeting.addAll(Likeness.statesThatMeet(graph.resolution())));
        findings.addAll(meeting);
        findings.addAll(deprecated(theme));
        findings.addAll(Ranges.findings(theme));
        return findings;
    }

    /** Tokens that no combination shows, because something that always applies later sets the same path. */
    static List<Finding> shadowed(ThemeDocument theme) {
        List<Finding> findings = new ArrayList<>();
        for (int i = 0; i < theme.order().size(); i++) {
            List<ThemeDocument.OrderEntry> later =
                    theme.order().subList(i + 1, theme.order().size());
            for (Place place : places(theme, theme.order().get(i)))
                theme.at(place).forEachToken((path, token, type) -> later.stream()
                        .filter(entry -> alwaysSets(theme, entry, path))
                        .findFirst()
                        .ifPresent(entry -> findings.add(new Finding(
                                "shadowed",
                                Finding.Weight.SHOULD,
                                path.dotted(),
                                "The value of " + path + " in " + place + " is never seen: " + entry.name()
                                        + " always sets it later.",
                                "Remove it here, or move " + place + " behind " + entry.name() + ".",
                                List.of(new Finding.Fix("Remove it from " + place, new Edit.Remove(place, path)))))));
        }
        theme.scopes().keySet().stream()
                .filter(place -> place.under().filter(in -> !applies(theme, in)).isPresent())
                .forEach(place -> findings.add(new Finding(
                                "shadowed",
                                Finding.Weight.SHOULD,
                                theme.at(place).children().keySet().iterator().next(),
                                "What is written for " + place.scope().words() + " under "
                                        + place.under().get() + " is never seen: no combination has that context.",
                                "It is kept. Remove it, or bring the context back.",
                                List.of(new Finding.Fix("Remove it", new Edit.PutAll(place, Group.EMPTY))))
                        .at(place)));
        return findings;
    }

    private static boolean applies(ThemeDocument theme, Place.InContext in) {
        return theme.order().contains(ThemeDocument.OrderEntry.modifier(in.modifier()))
                && theme.modifier(in.modifier()).contexts().containsKey(in.context());
    }

    private static List<Place> places(ThemeDocument theme, ThemeDocument.OrderEntry entry) {
        if (!entry.modifier()) return List.of(Place.set(entry.name()));
        return theme.modifiers().get(entry.name()).contexts().keySet().stream()
                .map(context -> Place.context(entry.name(), context))
                .toList();
    }

    private static boolean alwaysSets(ThemeDocument theme, ThemeDocument.OrderEntry entry, TokenPath path) {
        if (!entry.modifier())
            return theme.sets().get(entry.name()).tokens().token(path).isPresent();
        Modifier modifier = theme.modifiers().get(entry.name());
        return modifier.contexts().values().stream()
                .allMatch(tokens -> tokens.token(path).isPresent());
    }

    /** Tokens that no role comes from in any combination, gathered by group; a recipe's own seed counts as used. */
    static List<Finding> unused(ThemeDocument theme, List<ThemeGraph> graphs) {
        Set<TokenPath> used = new HashSet<>();
        for (ThemeGraph graph : graphs) used.addAll(graph.reachable(Tidiness::fillsARole));
        Map<String, Map<TokenPath, Place>> byGroup = new LinkedHashMap<>();
        for (Place place : theme.places()) {
            Group root = theme.at(place);
            root.forEachToken((path, token, type) -> {
                if (used.contains(path) || isSeed(root, path) || fillsARole(path)) return;
                byGroup.computeIfAbsent(path.parent().map(TokenPath::dotted).orElse(""), key -> new LinkedHashMap<>())
                        .putIfAbsent(path, place);
            });
        }
        List<Finding> findings = new ArrayList<>();
        byGroup.forEach((group, tokens) -> findings.add(unusedIn(theme, group, tokens)));
        return findings;
    }

    private static Finding unusedIn(ThemeDocument theme, String group, Map<TokenPath, Place> tokens) {
        List<String> names = tokens.keySet().stream().map(TokenPath::name).toList();
        String list = String.join(", ", names.subList(0, Math.min(MOST_NAMED, names.size())))
                + (names.size() > MOST_NAMED ? " and " + (names.size() - MOST_NAMED) + " more" : "");
        String where = group.isEmpty() ? "at the top" : "of " + group;
        boolean grown = tokens.entrySet().stream()
                .anyMatch(entry -> Recipes.computing(theme.at(entry.getValue()), entry.getKey())
                        .isPresent());
        List<Finding.Fix> fixes = grown
                ? List.of()
                : List.of(new Finding.Fix(
                        "Remove " + (names.size() == 1 ? "it" : "all " + names.size()),
                        new Edit.Batch(
                                "remove " + names.size() + " unused " + where,
                                tokens.entrySet().stream()
                                        .map(entry -> (Edit) new Edit.Remove(entry.getValue(), entry.getKey()))
                                        .toList())));
        return new Finding(
                "unused",
                Finding.Weight.NOTE,
                tokens.keySet().iterator().next().dotted(),
                names.size() + (names.size() == 1 ? " token " : " tokens ") + where
                        + (names.size() == 1 ? " is" : " are") + " used by no role: " + list + ".",
                grown
                        ? "A recipe grows them; leave them for later, or give it fewer stops."
                        : "Refer to them from a role, or remove them.",
                fixes);
    }

    private static boolean isSeed(Group root, TokenPath path) {
        return path.name().equals(Recipe.HueRamp.SEED)
                && Recipes.governing(root, path).isPresent();
    }

    /** Values of their own that stand under two paths; what a recipe computes does not count. */
    static List<Finding> duplicates(ThemeDocument theme, ThemeGraph graph) {
        Map<Object, TokenPath> first = new HashMap<>();
        List<Finding> findings = new ArrayList<>();
        for (Resolved token : graph.resolution().tokens().values()) {
            TokenValue value = token.written().value();
            if (!isOwnValue(value)
                    || Recipes.computing(theme.at(token.winner()), token.path()).isPresent()) continue;
            TokenPath known = first.putIfAbsent(List.of(value, token.path().top()), token.path());
            if (known == null || known.equals(token.path())) continue;
            findings.add(new Finding(
                    "duplicate",
                    Finding.Weight.NOTE,
                    token.path().dotted(),
                    token.path() + " has the same value as " + known + ", each written out.",
                    "Refer from one to the other, so that they stay equal.",
                    List.of(new Finding.Fix(
                            "Refer to " + known, new Edit.SetValue(token.winner(), token.path(), new Alias(known))))));
        }
        return findings;
    }

    private static boolean isOwnValue(TokenValue value) {
        Set<TokenPath> references = new LinkedHashSet<>();
        References.forEach(value, references::add);
        return references.isEmpty() && value.type().isPresent() && !(value instanceof CompositeValue);
    }

    /** References to a token or into a group that is deprecated. Source: Format Module 2025.10, $deprecated. */
    static List<Finding> deprecated(ThemeDocument theme) {
        Map<TokenPath, String> reasons = new HashMap<>();
        for (Place place : theme.places())
            theme.at(place).forEachToken((path, token, type) -> reason(theme.at(place), path, token)
                    .ifPresent(reason -> reasons.put(path, reason)));
        List<Finding> findings = new ArrayList<>();
        if (reasons.isEmpty()) return findings;
        for (Place place : theme.places())
            theme.at(place).forEachToken((path, token, type) -> {
                if (reasons.containsKey(path)) return;
                References.forEach(token.value(), target -> {
                    if (reasons.containsKey(target))
                        findings.add(new Finding(
                                "deprecated",
                                Finding.Weight.SHOULD,
                                path.dotted(),
                                path + " refers to {" + target + "}, which is deprecated" + reasons.get(target) + ".",
                                "Refer to what replaces it."));
                });
            });
        return findings;
    }

    /** The nearest of token and groups that says something counts. */
    private static Optional<String> reason(Group root, TokenPath path, Token token) {
        Object said = token.meta().deprecated().orElse(null);
        Optional<TokenPath> group = path.parent();
        while (said == null && group.isPresent()) {
            said = root.group(group.get())
                    .flatMap(node -> node.meta().deprecated())
                    .orElse(null);
            group = group.get().parent();
        }
        if (said == null || said.equals(false)) return Optional.empty();
        return Optional.of(said instanceof String text ? ": " + text : "");
    }

    private static boolean fillsARole(TokenPath path) {
        return Contract.standard().filledBy(path.dotted()).isPresent();
    }
}
