package org.umberloom.core.check;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.References;
import org.umberloom.core.token.TokenPath;

/**
 * Where a fix is written so that it changes no more than what is wrong: at the narrowest of the places from which the tokens of a
 * finding take their values. A pair that fails on article pages in the dark alone is fixed there, not for every page and scheme.
 */
final class FixPlace {
    private FixPlace() {}

    /**
     * @param fixed    the token that the fix sets
     * @param involved what the finding depends on, with all that it refers to: a text color and its background
     */
    static Place of(ThemeDocument theme, Resolution resolution, Resolved fixed, Collection<TokenPath> involved) {
        Set<Place> sources = new HashSet<>(Set.of(fixed.winner()));
        Set<TokenPath> seen = new HashSet<>();
        involved.forEach(path -> collect(resolution, path, sources, seen));
        Optional<Scope> scope = sources.stream()
                .filter(Place.InScope.class::isInstance)
                .map(place -> ((Place.InScope) place).scope())
                .max(Comparator.comparing(Scope::level));
        // Of contexts of several modifiers the one that applies last: what is written there is not hidden by the
        // others.
        Stream<Place.InContext> contexts = sources.stream().flatMap(FixPlace::contexts);
        // At a scope, what the token is in other contexts must not be hidden either.
        if (scope.isPresent()) contexts = Stream.concat(contexts, varying(theme, resolution, fixed.path()));
        Optional<Place.InContext> context = contexts.max(Comparator.comparingInt(resolution.places()::indexOf));
        if (scope.isPresent()) return new Place.InScope(scope.get(), context);
        return context.map(Place.class::cast).orElse(fixed.winner());
    }

    /** The contexts that hold now of those modifiers with which a token changes. */
    private static Stream<Place.InContext> varying(ThemeDocument theme, Resolution resolution, TokenPath path) {
        return resolution.places().stream()
                .filter(Place.InContext.class::isInstance)
                .map(Place.InContext.class::cast)
                .filter(in -> theme.places().stream()
                        .filter(place ->
                                contexts(place).anyMatch(one -> one.modifier().equals(in.modifier())))
                        .anyMatch(place -> theme.at(place).token(path).isPresent()));
    }

    private static Stream<Place.InContext> contexts(Place place) {
        if (place instanceof Place.InContext context) return Stream.of(context);
        return place instanceof Place.InScope scoped ? scoped.under().stream() : Stream.empty();
    }

    /** The places that say what a token is, and those that say what it refers to. */
    private static void collect(Resolution resolution, TokenPath path, Set<Place> sources, Set<TokenPath> seen) {
        if (!seen.add(path)) return;
        Resolved token = resolution.tokens().get(path);
        if (token == null) return;
        sources.add(token.winner());
        References.forEach(token.written().value(), to -> collect(resolution, to, sources, seen));
    }
}
