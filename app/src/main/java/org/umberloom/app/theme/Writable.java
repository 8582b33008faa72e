package org.umberloom.app.theme;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenPath;

/**
 * A place that values and choices can be written into.
 *
 * @param kind    set, context or scope
 * @param words   for people
 * @param scope   as it stands in a combination's key; empty for what holds in the whole theme
 * @param reaching every scope that has a say there, from wide to narrow; none for what holds in the whole theme
 * @param of      the modifier whose context it holds in; empty where it holds in all
 * @param context that context
 * @param holds   how many tokens and choices stand there
 */
record Writable(
        String place,
        String kind,
        String words,
        String scope,
        List<String> reaching,
        String of,
        String context,
        int holds) {
    /** Every set and context of a theme, and each scope: in all combinations, and under each context. */
    static List<Writable> of(ThemeDocument theme, List<WornSites.Named> known) {
        List<Writable> all = new ArrayList<>();
        theme.sets().keySet().forEach(set -> all.add(of(theme, new Place.InSet(set))));
        theme.modifiers().forEach((name, modifier) -> modifier.contexts()
                .keySet()
                .forEach(context -> all.add(of(theme, new Place.InContext(name, context)))));
        Map<Scope, WornSites.Named> scopes = new LinkedHashMap<>();
        known.forEach(one -> scopes.put(one.scope(), one));
        theme.scopesWritten()
                .forEach(scope -> scopes.putIfAbsent(scope, new WornSites.Named(scope, scope.words(), List.of(scope))));
        for (Scope scope : scopes.keySet()) {
            Set<Place.InScope> places = new LinkedHashSet<>(List.of(Place.scope(scope)));
            theme.order().stream().filter(ThemeDocument.OrderEntry::modifier).forEach(entry -> theme.modifier(
                            entry.name())
                    .contexts()
                    .keySet()
                    .forEach(context -> places.add(Place.scope(scope, entry.name(), context))));
            theme.scopes().keySet().stream()
                    .filter(place -> place.scope().equals(scope))
                    .forEach(places::add);
            places.forEach(place -> all.add(of(theme, place, scopes.get(scope))));
        }
        return all;
    }

    private static Writable of(ThemeDocument theme, Place.InSet in) {
        return new Writable(in.toString(), "set", in.set(), "", List.of(), "", "", holds(theme, in));
    }

    private static Writable of(ThemeDocument theme, Place.InContext in) {
        return new Writable(
                in.toString(),
                "context",
                in.modifier() + "/" + in.context(),
                "",
                List.of(),
                in.modifier(),
                in.context(),
                holds(theme, in));
    }

    private static Writable of(ThemeDocument theme, Place.InScope in, WornSites.Named called) {
        return new Writable(
                in.toString(),
                "scope",
                called.words()
                        + in.under().map(under -> " in " + under.context()).orElse(""),
                in.scope().toString(),
                called.reaching().stream().map(Scope::toString).toList(),
                in.under().map(Place.InContext::modifier).orElse(""),
                in.under().map(Place.InContext::context).orElse(""),
                holds(theme, in));
    }

    /** How many tokens and choices stand at a place. */
    private static int holds(ThemeDocument theme, Place place) {
        return theme.at(place).tokenCount()
                + theme.at(place)
                        .group(TokenPath.of(Choices.GROUP))
                        .map(group -> group.children().size())
                        .orElse(0);
    }
}
