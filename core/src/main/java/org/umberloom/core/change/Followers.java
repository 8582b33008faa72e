package org.umberloom.core.change;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;

/** Finds what follows from each change: tokens that come to another value though nobody touched them. */
final class Followers {
    private final Lookup lookup;
    private final Set<TokenPath> renamed;
    private final Set<TokenPath> gone;
    private final Set<TokenPath> come;
    private final Map<Lookup.Both, Set<TokenPath>> moved = new IdentityHashMap<>();

    private final Map<Lookup.Both, Map<Token, List<TokenPath>>> written = new IdentityHashMap<>();

    /** @param renamed paths that tokens have got */
    Followers(Lookup lookup, Set<TokenPath> renamed, Set<TokenPath> gone, Set<TokenPath> come) {
        this.lookup = lookup;
        this.renamed = renamed;
        this.gone = gone;
        this.come = come;
    }

    List<Change> told(List<Change> changes) {
        Map<Place, Set<TokenPath>> causes = new LinkedHashMap<>();
        for (Change change : changes)
            for (Place place : change.places())
                causes.computeIfAbsent(place, key -> new HashSet<>()).add(change.path());
        List<Change> told = new ArrayList<>();
        for (Change change : changes) told.add(change.followedBy(following(change, causes)));
        return told;
    }

    private List<TokenPath> following(Change change, Map<Place, Set<TokenPath>> causes) {
        boolean quiet =
                switch (change.kind()) {
                    case DESCRIBED, RENAMED, RENAMED_KEPT, ADDED -> true;
                    default -> false;
                };
        if (quiet) return List.of();
        Set<TokenPath> follow = new LinkedHashSet<>();
        for (Place place : change.places()) {
            Lookup.Both both = lookup.at(place);
            Set<TokenPath> others = moved.computeIfAbsent(both, this::moved);
            for (TokenPath one : reached(change, place, both)) {
                if (others.contains(one) && !causes.get(place).contains(one)) follow.add(one);
            }
        }
        return List.copyOf(follow);
    }

    private Set<TokenPath> reached(Change change, Place place, Lookup.Both both) {
        Set<TokenPath> reached = new LinkedHashSet<>();
        if (change.kind() != Change.Kind.RECIPE) {
            reached.addAll(both.after().dependents(change.path()));
            for (TokenPath copy : copies(change.path(), both)) {
                reached.add(copy);
                reached.addAll(both.after().dependents(copy));
            }
            // What is gone had its dependents before.
            if (change.kind() == Change.Kind.REMOVED)
                reached.addAll(both.before().dependents(change.path()));
            return reached;
        }
        for (Resolved token : both.fresh().tokens().values())
            if (token.path().isBelow(change.path()) && token.winner().equals(place)) {
                reached.add(token.path());
                reached.addAll(both.after().dependents(token.path()));
            }
        return reached;
    }

    /** Where groups that extend the token's group have taken it over: the very same token elsewhere. */
    private List<TokenPath> copies(TokenPath path, Lookup.Both both) {
        Resolved token = both.fresh().tokens().get(path);
        if (token == null) return List.of();
        Map<Token, List<TokenPath>> byToken = written.computeIfAbsent(both, key -> {
            Map<Token, List<TokenPath>> all = new IdentityHashMap<>();
            key.fresh().tokens().values().forEach(one -> all.computeIfAbsent(
                            one.written(), unused -> new ArrayList<>(1))
                    .add(one.path()));
            return all;
        });
        return byToken.get(token.written()).stream()
                .filter(other -> !other.equals(path))
                .toList();
    }

    /** What stood before and still does, and comes to another value. */
    private Set<TokenPath> moved(Lookup.Both both) {
        Set<TokenPath> paths = new HashSet<>();
        Resolution.Changes changes = both.fresh().since(both.old());
        for (Resolved token : changes.changed()) {
            Resolved was = both.old().tokens().get(token.path());
            if (was != null && !was.value().equals(token.value())) paths.add(token.path());
        }
        changes.gone().forEach(path -> {
            if (!gone.contains(path)) paths.add(path);
        });
        paths.removeAll(renamed);
        paths.removeAll(come);
        return paths;
    }
}
