package org.umberloom.app.looking;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Stream;
import org.umberloom.core.check.Contrasts;
import org.umberloom.core.check.Pair;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.css.LiveProperties;
import org.umberloom.core.font.Families;
import org.umberloom.core.ground.Grounds;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.theme.ThemeGraph;

/**
 * The combinations that a bench looks at.
 *
 * @param working  the one that the instruments show
 * @param byScheme the working combination in every scheme, by the scheme's name
 * @param live     those that the bays show, by their key
 * @param scoped   the working combination at every scope that the theme writes at
 * @param spots    the spots with something of their own on the pages of the bays, by the bay's key
 * @param properties what their pages are given, by the very resolution, as far as it was asked for
 * @param pairs    the declared pairs of those that were asked for, measured once, by the very resolution
 * @param choices  what is chosen in those that were asked for
 * @param grounds  the grounds of the surfaces in each of them, by the combination
 * @param families whose files are at hand
 */
public record Combos(
        ThemeDocument theme,
        Combination working,
        Map<String, Resolution> byScheme,
        Map<String, Resolution> live,
        List<Resolution> scoped,
        Map<String, List<SpotLook>> spots,
        Map<Resolution, LiveProperties> properties,
        Map<Resolution, List<Pair.Measured>> pairs,
        Map<Combination, List<Choices.Chosen>> choices,
        Map<Combination, Map<String, Grounds.Placed>> grounds,
        Families families) {
    /** A spot as it is looked at, and what is right around it. */
    public record SpotLook(SitePlaces.Spot spot, Resolution own, Resolution around) {}

    private static final int MOST_LIVE = 8;
    private static final int MOST_SCOPED = 24;

    /** Everything at its default, each scheme in a bay. */
    public static Combos of(ThemeDocument theme, Families families) {
        return of(
                theme,
                theme.defaults(),
                List.of(),
                Pictures.NONE,
                families,
                combination -> ThemeGraph.of(theme, combination),
                Map.of());
    }

    /**
     * @param bays   combinations of the bays; every scheme of the working one where none is given
     * @param graphs the graph of a combination, from wherever it is at hand
     * @param places of the sites whose pages the bays show
     */
    public static Combos of(
            ThemeDocument theme,
            Combination wanted,
            Collection<Combination> bays,
            Pictures pictures,
            Families families,
            Function<Combination, ThemeGraph> graphs,
            Map<String, SitePlaces> places) {
        Map<Combination, Resolution> known = new LinkedHashMap<>();
        Function<Combination, Resolution> resolve = combination ->
                known.computeIfAbsent(combination, key -> graphs.apply(key).resolution());
        Combination working = wanted.completedFor(theme);
        Map<String, Resolution> byScheme = new LinkedHashMap<>();
        Optional<Meaning.Scheme> scheme = Meaning.scheme(theme);
        if (scheme.isEmpty()) byScheme.put(Meaning.LIGHT, resolve.apply(working));
        else
            for (String context :
                    theme.modifier(scheme.get().modifier()).contexts().keySet())
                byScheme.put(context, resolve.apply(working.with(scheme.get().modifier(), context)));
        Map<String, Resolution> live = new LinkedHashMap<>();
        for (Combination bay : bays)
            if (live.size() < MOST_LIVE) live.put(bay.key(), resolve.apply(bay.completedFor(theme)));
        if (bays.isEmpty())
            byScheme.values()
                    .forEach(resolution -> live.put(resolution.combination().key(), resolution));
        Map<String, List<SpotLook>> spots = new LinkedHashMap<>();
        for (Combination bay : bays)
            if (live.containsKey(bay.key())) spots.put(bay.key(), spots(theme, bay, places, resolve));
        List<Resolution> scoped = theme.scopesWritten().stream()
                .filter(Scope::ofTheme)
                .limit(MOST_SCOPED)
                .map(scope -> resolve.apply(working.at(scope)))
                .toList();
        Map<Combination, Map<String, Grounds.Placed>> grounds = new LinkedHashMap<>();
        if (Grounds.any(theme))
            known.forEach(
                    (combination, resolution) -> grounds.put(combination, Grounds.of(theme, resolution, pictures)));
        return new Combos(
                theme,
                working,
                byScheme,
                live,
                scoped,
                spots,
                Collections.synchronizedMap(new IdentityHashMap<>()),
                Collections.synchronizedMap(new IdentityHashMap<>()),
                new ConcurrentHashMap<>(),
                grounds,
                families);
    }

    private static List<SpotLook> spots(
            ThemeDocument theme,
            Combination bay,
            Map<String, SitePlaces> places,
            Function<Combination, Resolution> resolve) {
        List<SpotLook> looks = new ArrayList<>();
        Optional<Scope> shown = bay.scopes().stream()
                .filter(scope -> scope.level() == Scope.Level.PAGE)
                .findFirst();
        if (shown.isEmpty() || !places.containsKey(shown.get().site())) return looks;
        SitePlaces site = places.get(shown.get().site());
        for (SitePlaces.PagePlace page : site.pages()) {
            if (!page.page().equals(shown.get().name())) continue;
            for (SitePlaces.Spot spot : page.spots()) {
                if (!spot.writtenIn(theme)) continue;
                Combination own = bay.at(site.reaching(page, spot)).completedFor(theme);
                Combination around = bay.at(site.around(page, spot)).completedFor(theme);
                looks.add(new SpotLook(spot, resolve.apply(own), resolve.apply(around)));
            }
        }
        return looks;
    }

    /** What the pages of one of the combinations are given. */
    public LiveProperties properties(Resolution resolution) {
        return properties.computeIfAbsent(resolution, LiveProperties::of);
    }

    /** The same, found from what it was before an edit, where that combination was looked at then. */
    public LiveProperties properties(Resolution resolution, Combos before) {
        Resolution then = Stream.concat(
                        before.live.values().stream(),
                        before.spots.values().stream()
                                .flatMap(List::stream)
                                .flatMap(look -> Stream.of(look.own, look.around)))
                .filter(one -> one.combination().equals(resolution.combination()))
                .findFirst()
                .orElse(null);
        return then == null
                ? properties(resolution)
                : properties.computeIfAbsent(
                        resolution, key -> before.properties(then).after(key));
    }

    /** The declared pairs of one of the combinations. */
    public List<Pair.Measured> pairs(Resolution resolution) {
        return pairs.computeIfAbsent(resolution, one -> Contrasts.measure(one, Choices.of(theme, one.combination())));
    }

    /** Every choice in a combination, with the place that decides it. */
    public List<Choices.Chosen> choices(Combination combination) {
        return choices.computeIfAbsent(combination, one -> Choices.all(theme, one));
    }

    /** Takes over what was chosen before an edit that chooses nothing. @return whether nothing chosen can differ */
    public boolean takeChoices(Combos before) {
        boolean same = Choices.same(before.theme, theme);
        if (same) choices.putAll(before.choices);
        return same;
    }

    /** The grounds of the surfaces in one of the combinations, by surface. */
    public Map<String, Grounds.Placed> grounds(Resolution resolution) {
        return grounds.getOrDefault(resolution.combination(), Map.of());
    }

    /** The working combination itself. */
    public Resolution standard() {
        Resolution chosen = byScheme.get(Meaning.scheme(theme)
                .map(scheme -> working.contexts().get(scheme.modifier()))
                .orElse(Meaning.LIGHT));
        return chosen != null ? chosen : byScheme.values().iterator().next();
    }

    /** The places that have a say in the working combination, in resolution order. */
    public List<Place> applying() {
        return theme.applying(working);
    }

    /**
     * Where a change made while looking at a scheme is written: the scheme's own context, unless something that applies
     * later holds the value; in the default scheme where it stands now.
     */
    public Place editPlace(String scheme, String path) {
        Optional<String> modifier = Meaning.scheme(theme).map(Meaning.Scheme::modifier);
        Resolution seen = byScheme.getOrDefault(scheme, standard());
        Place winner = seen.find(path).orElseThrow().winner();
        if (modifier.isEmpty() || scheme.equals(theme.modifier(modifier.get()).defaultContext())) return winner;
        Place own = Place.context(modifier.get(), scheme);
        return order(winner) > order(own) ? winner : own;
    }

    /** Scopes apply after all else. */
    private int order(Place place) {
        if (place instanceof Place.InScope) return Integer.MAX_VALUE;
        return theme.order()
                .indexOf(
                        place instanceof Place.InSet in
                                ? ThemeDocument.OrderEntry.set(in.set())
                                : ThemeDocument.OrderEntry.modifier(((Place.InContext) place).modifier()));
    }
}
