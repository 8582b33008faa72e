package org.umberloom.core.css;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.umberloom.core.contract.Choice;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.PartRule;
import org.umberloom.core.sheet.Selector;
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
    /**
     * When rules hold; each part empty for always.
     *
     * @param media  a media query
     * @param root   what the root has to match
     * @param within what is asked of the element itself
     */
    record Condition(String media, String root, String within) {
        static final Condition ALWAYS = new Condition("", "", "");

        Condition and(Condition other) {
            return new Condition(
                    media.isEmpty() || other.media.isEmpty() ? media + other.media : media + " and " + other.media,
                    root + other.root,
                    within + other.within);
        }

        /** The selector for what it matches below such a root, where it holds. */
        String guarding(Selector selector) {
            String text = selector.text();
            if (!within.isEmpty()) {
                int drawn = text.contains("::") ? text.indexOf("::") : text.length();
                text = text.substring(0, drawn) + within + text.substring(drawn);
            }
            return root.isEmpty() ? text : ":where(:root" + root + ") " + text;
        }
    }

    private final Map<PartRule.Chosen, List<Condition>> conditions = new LinkedHashMap<>();

    private Chosen() {}

    /** What a theme chooses, on the pages of a style sheet. */
    static Chosen of(ThemeDocument theme, Usage pages) {
        Chosen chosen = new Chosen();
        for (Choice choice : Contract.standard().choices().values()) {
            List<Place> writing = Choices.writing(theme, choice);
            Optional<String> scheme =
                    Meaning.scheme(theme).filter(one -> choice.turnsInTheDark()).map(Meaning.Scheme::modifier);
            List<String> deciding = Stream.concat(
                            scheme.stream(), writing.stream().flatMap(Chosen::deciding))
                    .filter(theme.modifiers()::containsKey)
                    .distinct()
                    .toList();
            List<Scope> scopes = writing.stream()
                    .filter(Place.InScope.class::isInstance)
                    .map(place -> ((Place.InScope) place).scope())
                    .distinct()
                    .toList();
            if (pages.places().isPresent() && scopes.stream().anyMatch(scope -> !scope.ofTheme())) {
                chosen.collect(
                        theme,
                        choice,
                        deciding,
                        Set.copyOf(scopes),
                        pages.places().get());
                continue;
            }
            scopes = scopes.stream().filter(Scope::ofTheme).toList();
            Condition elsewhere = new Condition(
                    "",
                    scopes.stream()
                            .map(scope -> ":not(" + Stylesheet.selector(scope) + ")")
                            .collect(Collectors.joining()),
                    "");
            chosen.collect(theme, choice, deciding, theme.defaults(), elsewhere);
            for (Scope scope : scopes)
                chosen.collect(
                        theme,
                        choice,
                        deciding,
                        theme.defaults().at(scope),
                        new Condition("", Stylesheet.selector(scope), ""));
        }
        return chosen;
    }

    /** Page by page, since each may lie in several of the places that choose; then each spot on it that does. */
    private void collect(
            ThemeDocument theme, Choice choice, List<String> deciding, Set<Scope> scopes, SitePlaces places) {
        for (SitePlaces.PagePlace page : places.pages()) {
            String root = Stylesheet.selector(Scope.page(places.site(), page.page()));
            List<SitePlaces.Spot> choosing = page.spots().stream()
                    .filter(spot -> scopes.contains(spot.scope())
                            || spot.piece().filter(scopes::contains).isPresent())
                    .toList();
            collect(
                    theme,
                    choice,
                    deciding,
                    theme.defaults().at(places.reaching(page)),
                    new Condition("", root, outside(choosing)));
            for (SitePlaces.Spot spot : choosing) {
                String narrower = outside(choosing.stream()
                        .filter(one -> one.within().contains(spot.scope()))
                        .toList());
                collect(
                        theme,
                        choice,
                        deciding,
                        theme.defaults().at(places.reaching(page, spot)),
                        new Condition("", root, ":where(" + inside(spot) + ")" + narrower));
            }
        }
    }

    /** A spot itself and all that lies in it. */
    private static String inside(SitePlaces.Spot spot) {
        String selector = Stylesheet.selector(spot.scope());
        return selector + ", " + selector + " *";
    }

    private static String outside(List<SitePlaces.Spot> spots) {
        return spots.isEmpty()
                ? ""
                : ":where(:not(" + spots.stream().map(Chosen::inside).collect(Collectors.joining(", ")) + "))";
    }

    /** The modifier on which it depends whether what is written at a place holds. */
    private static Stream<String> deciding(Place place) {
        if (place instanceof Place.InContext in) return Stream.of(in.modifier());
        return place instanceof Place.InScope scoped
                ? scoped.under().map(Place.InContext::modifier).stream()
                : Stream.empty();
    }

    /** Every value, for a page that says on its root what is chosen, and on all elements of a spot where that chooses. */
    static Chosen live() {
        Chosen chosen = new Chosen();
        for (Choice choice : Contract.standard().choices().values())
            for (String value : choice.values().keySet()) {
                String attribute = Stylesheet.choiceAttribute(choice.name());
                String said = "[" + attribute + "=" + CssEscape.string(value) + "]";
                chosen.conditions.put(
                        new PartRule.Chosen(choice.name(), value),
                        List.of(
                                new Condition("", said, ":where(:not([" + attribute + "]))"),
                                new Condition("", "", ":where(" + said + ")")));
            }
        return chosen;
    }

    /** When a rule of that value holds; never, when nothing is returned. */
    List<Condition> when(Optional<PartRule.Chosen> value) {
        return value.isEmpty() ? List.of(Condition.ALWAYS) : conditions.getOrDefault(value.get(), List.of());
    }

    /** When a choice of a surface chooses one, whichever that is. */
    List<Condition> puttingOn(Choice choice) {
        return conditions.entrySet().stream()
                .filter(one -> one.getKey().choice().equals(choice.name())
                        && choice.surface(one.getKey().value()).isPresent())
                .flatMap(one -> one.getValue().stream())
                .distinct()
                .toList();
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
        Condition said = new Condition("", "[" + attribute + "=" + CssEscape.string(context) + "]", "");
        Optional<Meaning.Scheme> scheme =
                Meaning.scheme(theme).filter(one -> one.modifier().equals(name));
        if (scheme.isPresent()) {
            if (context.equals(scheme.get().light()))
                return List.of(said, new Condition("(prefers-color-scheme: light)", unsaid, ""));
            return context.equals(scheme.get().dark())
                    ? List.of(said, new Condition("(prefers-color-scheme: dark)", unsaid, ""))
                    : List.of(said);
        }
        boolean standard = context.equals(modifier.defaultContext());
        Optional<Meaning.Contrast> contrast =
                Meaning.contrast(theme).filter(one -> one.modifier().equals(name));
        if (contrast.isPresent()) {
            if (context.equals(contrast.get().more()))
                return List.of(said, new Condition("(prefers-contrast: more)", unsaid, ""));
            return standard
                    ? List.of(said, new Condition("(not (prefers-contrast: more))", unsaid, ""))
                    : List.of(said);
        }
        return standard ? List.of(said, new Condition("", unsaid, "")) : List.of(said);
    }
}
