package org.umberloom.core.css;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.umberloom.core.contract.Choice;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.PartRule;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.core.theme.ThemeDocument;

/**
 * Under which conditions the rules of each value of a choice hold, so that the cascade gives in every combination what was
 * chosen there. A condition weighs nothing: it stands in {@code :where()} (Selectors 4, section 17).
 */
final class Chosen {
    /** When rules hold: in a media query, and for a root that a selector matches; each empty for always. */
    record Condition(String media, String root) {
        static final Condition ALWAYS = new Condition("", "");

        Condition and(Condition other) {
            return new Condition(
                    media.isEmpty() || other.media.isEmpty() ? media + other.media : media + " and " + other.media,
                    root + other.root);
        }

        /** The selector for what it matches below such a root. */
        String guarding(String selector) {
            return root.isEmpty() ? selector : ":where(:root" + root + ") " + selector;
        }
    }

    private final Map<PartRule.Chosen, List<Condition>> conditions = new LinkedHashMap<>();

    private Chosen() {}

    /** What a theme chooses, on the pages of a style sheet. */
    static Chosen of(ThemeDocument theme, Usage pages) {
        Chosen chosen = new Chosen();
        for (Choice choice : Contract.standard().choices().values()) {
            List<Place> writing = Choices.writing(theme, choice);
            List<String> deciding = writing.stream()
                    .map(Chosen::deciding)
                    .flatMap(Optional::stream)
                    .filter(theme.modifiers()::containsKey)
                    .distinct()
                    .toList();
            List<Scope> scopes = writing.stream()
                    .filter(Place.InScope.class::isInstance)
                    .map(place -> ((Place.InScope) place).scope())
                    .distinct()
                    .toList();
            if (pages.places().isPresent() && scopes.stream().anyMatch(scope -> !scope.ofTheme())) {
                chosen.collect(theme, choice, deciding, pages.places().get());
                continue;
            }
            scopes = scopes.stream().filter(Scope::ofTheme).toList();
            Condition elsewhere = new Condition(
                    "",
                    scopes.stream()
                            .map(scope -> ":not(" + Stylesheet.selector(scope) + ")")
                            .collect(Collectors.joining()));
            chosen.collect(theme, choice, deciding, theme.defaults(), elsewhere);
            for (Scope scope : scopes)
                chosen.collect(
                        theme,
                        choice,
                        deciding,
                        theme.defaults().at(scope),
                        new Condition("", Stylesheet.selector(scope)));
        }
        return chosen;
    }

    /** Page by page, since each may lie in several of the places that choose. */
    private void collect(ThemeDocument theme, Choice choice, List<String> deciding, SitePlaces places) {
        for (SitePlaces.PagePlace page : places.pages())
            collect(
                    theme,
                    choice,
                    deciding,
                    theme.defaults().at(places.reaching(page)),
                    new Condition("", Stylesheet.selector(Scope.page(places.site(), page.page()))));
    }

    /** The modifier on which it depends whether what is written at a place holds. */
    private static Optional<String> deciding(Place place) {
        if (place instanceof Place.InContext in) return Optional.of(in.modifier());
        return place instanceof Place.InScope scoped ? scoped.under().map(Place.InContext::modifier) : Optional.empty();
    }

    /** Every value, for a page that says on its root what is chosen. */
    static Chosen live() {
        Chosen chosen = new Chosen();
        for (Choice choice : Contract.standard().choices().values())
            for (String value : choice.values().keySet())
                chosen.conditions.put(
                        new PartRule.Chosen(choice.name(), value),
                        List.of(new Condition(
                                "",
                                "[" + Stylesheet.choiceAttribute(choice.name()) + "=" + CssEscape.string(value)
                                        + "]")));
        return chosen;
    }

    /** When a rule of that value holds; never, when nothing is returned. */
    List<Condition> when(Optional<PartRule.Chosen> value) {
        return value.isEmpty() ? List.of(Condition.ALWAYS) : conditions.getOrDefault(value.get(), List.of());
    }

    /** Walks through the contexts of the modifiers that decide. */
    private void collect(
            ThemeDocument theme, Choice choice, List<String> deciding, Combination combination, Condition condition) {
        if (deciding.isEmpty()) {
            String value = Choices.of(theme, combination).get(choice.name());
            conditions
                    .computeIfAbsent(new PartRule.Chosen(choice.name(), value), key -> new ArrayList<>())
                    .add(condition);
            return;
        }
        String modifier = deciding.get(0);
        for (String context : theme.modifier(modifier).contexts().keySet())
            for (Condition one : holding(theme, modifier, context))
                collect(
                        theme,
                        choice,
                        deciding.subList(1, deciding.size()),
                        combination.with(modifier, context),
                        condition.and(one));
    }

    /** When a context holds: because the page says so, because it is the default, or because the reader's system asks for it. */
    private static List<Condition> holding(ThemeDocument theme, String name, String context) {
        Modifier modifier = theme.modifier(name);
        String attribute = Stylesheet.attribute(name);
        String unsaid = ":not([" + attribute + "])";
        Condition said = new Condition("", "[" + attribute + "=" + CssEscape.string(context) + "]");
        Optional<Meaning.Scheme> scheme =
                Meaning.scheme(theme).filter(one -> one.modifier().equals(name));
        if (scheme.isPresent()) {
            if (context.equals(scheme.get().light()))
                return List.of(said, new Condition("(prefers-color-scheme: light)", unsaid));
            return context.equals(scheme.get().dark())
                    ? List.of(said, new Condition("(prefers-color-scheme: dark)", unsaid))
                    : List.of(said);
        }
        boolean standard = context.equals(modifier.defaultContext());
        Optional<Meaning.Contrast> contrast =
                Meaning.contrast(theme).filter(one -> one.modifier().equals(name));
        if (contrast.isPresent()) {
            if (context.equals(contrast.get().more()))
                return List.of(said, new Condition("(prefers-contrast: more)", unsaid));
            return standard ? List.of(said, new Condition("(not (prefers-contrast: more))", unsaid)) : List.of(said);
        }
        return standard ? List.of(said, new Condition("", unsaid)) : List.of(said);
    }
}
