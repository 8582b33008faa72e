package org.umberloom.app.theme;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.ThemeDocument;

/** What a bench looks at: its working combination and those of its bays; no bays stand for every scheme of the working one. */
public record Looking(Combination working, List<Combination> bays) {
    private static final int MOST_BAYS = 8;

    /** @throws IllegalArgumentException when one of the keys is none */
    static Looking at(String combo, List<String> bays) {
        return new Looking(
                Combination.parse(combo),
                bays.stream()
                        .distinct()
                        .limit(MOST_BAYS)
                        .map(Combination::parse)
                        .toList());
    }

    static Looking at(EditRequest request) {
        return at(request.comboOrDefault(), request.baysOrNone());
    }

    /** Every scope at which something is looked at. */
    public Set<Scope> scopes() {
        Set<Scope> scopes = new TreeSet<>(working.scopes());
        for (Combination bay : bays) scopes.addAll(bay.scopes());
        return scopes;
    }

    /** The sites whose places are looked at. */
    public Set<String> sites() {
        Set<String> sites = new TreeSet<>();
        scopes().forEach(scope -> sites.add(scope.site()));
        sites.remove("");
        return sites;
    }

    /** Everything at its default. */
    static Looking atDefaults() {
        return new Looking(new Combination(java.util.Map.of()), List.of());
    }

    /** The one form of all that look at the same in a theme, so that they share what is computed. */
    Looking in(ThemeDocument theme) {
        Combination complete = working.completedFor(theme);
        List<Combination> schemes = Meaning.scheme(theme)
                .map(scheme -> theme.modifier(scheme.modifier()).contexts().keySet().stream()
                        .map(context -> complete.with(scheme.modifier(), context))
                        .toList())
                .orElse(List.of(complete));
        return new Looking(complete, new HashSet<>(bays).equals(new HashSet<>(schemes)) ? List.of() : bays);
    }
}
