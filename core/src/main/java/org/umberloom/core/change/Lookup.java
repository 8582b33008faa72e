package org.umberloom.core.change;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.theme.ThemeGraph;
import org.umberloom.core.token.TokenPath;

/** Two states of a theme, resolved side by side where they are asked for. */
final class Lookup {
    /** Both states in one combination. */
    record Both(ThemeGraph before, ThemeGraph after, Resolution old, Resolution fresh) {}

    private final ThemeDocument before;
    private final ThemeDocument after;
    private final Map<Combination, Both> known = new LinkedHashMap<>();
    private final Map<String, Combination> wheres = new HashMap<>();

    Lookup(ThemeDocument before, ThemeDocument after) {
        this.before = before;
        this.after = after;
    }

    /** Where what is written at a place holds; each modifier else at the default it has after. */
    Both at(Place place) {
        return in(
                wheres.computeIfAbsent(place.toString(), key -> after.defaults().where(place)));
    }

    Both in(Combination combination) {
        return known.computeIfAbsent(combination, one -> {
            ThemeGraph old = ThemeGraph.of(before, one);
            ThemeGraph fresh = old.after(after);
            return new Both(old, fresh, old.resolution(), fresh.resolution());
        });
    }

    Optional<Resolved> old(TokenPath path, Place place) {
        return Optional.ofNullable(at(place).old.tokens().get(path));
    }

    Optional<Resolved> fresh(TokenPath path, Place place) {
        return Optional.ofNullable(at(place).fresh.tokens().get(path));
    }
}
