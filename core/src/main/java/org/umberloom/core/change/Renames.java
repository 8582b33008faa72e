package org.umberloom.core.change;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.theme.Difference;
import org.umberloom.core.theme.Place;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.References;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;

/**
 * Tokens that say what others said before, at the very same places, and have the same name or the same group: those were renamed.
 * What they refer to may have been renamed with them.
 *
 * @param moved new paths by the old ones that are gone
 * @param kept  new paths by the old ones that lead to them
 */
record Renames(Map<TokenPath, TokenPath> moved, Map<TokenPath, TokenPath> kept) {
    /** @param byPath all that differs, of which the gone and the come are a part */
    static Renames of(
            Map<TokenPath, List<Difference.Entry>> byPath, Collection<TokenPath> gone, Collection<TokenPath> come) {
        Map<TokenPath, TokenPath> kept = new LinkedHashMap<>();
        Set<TokenPath> free = new HashSet<>(come);
        byPath.forEach((path, entries) -> led(entries, byPath, free).ifPresent(to -> {
            kept.put(path, to);
            free.remove(to);
        }));
        Map<TokenPath, TokenPath> moved = new LinkedHashMap<>();
        // What refers to a renamed token is only seen to be the same once that one is known, so it takes a few rounds.
        for (boolean more = true; more; ) {
            more = false;
            Map<Said, List<TokenPath>> fresh = new HashMap<>();
            for (TokenPath path : come)
                if (free.contains(path))
                    fresh.computeIfAbsent(Said.after(byPath.get(path)), key -> new ArrayList<>())
                            .add(path);
            for (TokenPath old : gone) {
                if (moved.containsKey(old)) continue;
                Optional<TokenPath> to = fresh.getOrDefault(Said.before(byPath.get(old), moved), List.of()).stream()
                        .filter(free::contains)
                        .filter(path -> related(old, path))
                        .findFirst();
                if (to.isEmpty()) continue;
                moved.put(old, to.get());
                free.remove(to.get());
                more = true;
            }
        }
        return new Renames(moved, kept);
    }

    /** All new paths by the old ones. */
    Map<TokenPath, TokenPath> all() {
        Map<TokenPath, TokenPath> all = new HashMap<>(kept);
        all.putAll(moved);
        return all;
    }

    private static boolean related(TokenPath old, TokenPath fresh) {
        return old.parent().equals(fresh.parent()) || old.name().equals(fresh.name());
    }

    /** Where a token leads to that has become an alias of one that came and says what it said. */
    private static Optional<TokenPath> led(
            List<Difference.Entry> entries, Map<TokenPath, List<Difference.Entry>> byPath, Set<TokenPath> come) {
        TokenPath to = null;
        for (Difference.Entry entry : entries) {
            if (entry.before().isEmpty()
                    || entry.after().isEmpty()
                    || !(entry.after().get().value() instanceof Alias alias)
                    || !come.contains(alias.target())
                    || to != null && !to.equals(alias.target())) return Optional.empty();
            to = alias.target();
            Optional<TokenValue> there = byPath.get(to).stream()
                    .filter(one -> one.place().equals(entry.place()))
                    .flatMap(one -> one.after().stream())
                    .map(Token::value)
                    .findFirst();
            if (!there.equals(entry.before().map(Token::value))) return Optional.empty();
        }
        return Optional.ofNullable(to);
    }

    /** What is written of a token, place by place. */
    private record Said(Map<Place, TokenValue> values) {
        static Said after(List<Difference.Entry> entries) {
            Map<Place, TokenValue> values = new HashMap<>();
            entries.forEach(entry -> entry.after().ifPresent(token -> values.put(entry.place(), token.value())));
            return new Said(values);
        }

        static Said before(List<Difference.Entry> entries, Map<TokenPath, TokenPath> moved) {
            Map<Place, TokenValue> values = new HashMap<>();
            entries.forEach(entry -> entry.before()
                    .ifPresent(token -> values.put(
                            entry.place(), References.rewrite(token.value(), path -> moved.getOrDefault(path, path)))));
            return new Said(values);
        }
    }
}
