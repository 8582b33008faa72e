package org.umberloom.core.change;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.theme.Difference;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.References;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.ValueText;

/**
 * How a state of a theme differs from another: what somebody did, each with what follows from it, and how far that makes a release.
 * What a recipe or a reference computes anew is no change of its own.
 *
 * @param changes of tokens and recipes, those of names first, then the largest
 * @param shifts  what differs besides
 * @param any     whether the two states differ at all
 */
public record Changes(List<Change> changes, List<Reason> shifts, boolean any) {
    public Changes {
        changes = List.copyOf(changes);
        shifts = List.copyOf(shifts);
    }

    public static Changes between(ThemeDocument before, ThemeDocument after) {
        if (before.equals(after)) return new Changes(List.of(), List.of(), false);
        return new Comparison(before, after).changes();
    }

    /** How far a release of the later state is from one of the earlier. */
    public Step step() {
        return Step.heaviest(reasons().stream().map(Reason::step).toList());
    }

    /** Why, the heaviest first; changes alike are told in one sentence. */
    public List<Reason> reasons() {
        List<Reason> all = new ArrayList<>(Telling.reasons(changes));
        all.addAll(shifts);
        all.sort(Comparator.comparing(Reason::step).reversed());
        return all;
    }

    /** The number of the next release. @param last the full release before it; none for the first */
    public ReleaseNumber next(Optional<ReleaseNumber> last) {
        return last.map(number -> number.full().after(step())).orElse(ReleaseNumber.FIRST);
    }

    /** Every path that comes to another value, or came, or went. */
    public Set<TokenPath> touched() {
        Set<TokenPath> all = new LinkedHashSet<>();
        for (Change change : changes) {
            all.add(change.path());
            change.was().ifPresent(all::add);
            all.addAll(change.follow());
        }
        return all;
    }

    /** The work of comparing, with what it knows on the way. */
    private static final class Comparison {
        private final ThemeDocument before;
        private final ThemeDocument after;
        private final Lookup lookup;
        private final Map<TokenPath, List<Difference.Entry>> byPath = new LinkedHashMap<>();
        private final Set<TokenPath> gone = new LinkedHashSet<>();
        private final Set<TokenPath> come = new LinkedHashSet<>();
        private final Set<Place> common;
        /** Names that recipes compute, by the very groups. */
        private final Map<Group, Set<String>> computed = new IdentityHashMap<>();

        Comparison(ThemeDocument before, ThemeDocument after) {
            this.before = before;
            this.after = after;
            this.lookup = new Lookup(before, after);
            for (Difference.Entry entry : Difference.entries(before, after))
                byPath.computeIfAbsent(entry.path(), key -> new ArrayList<>()).add(entry);
            common = new HashSet<>(before.places());
            common.retainAll(new HashSet<>(after.places()));
            byPath.keySet().forEach(path -> {
                boolean was = stands(before, path);
                boolean is = stands(after, path);
                if (was && !is) gone.add(path);
                if (is && !was) come.add(path);
            });
        }

        private static boolean stands(ThemeDocument theme, TokenPath path) {
            for (Place place : theme.places()) if (theme.at(place).token(path).isPresent()) return true;
            return false;
        }

        Changes changes() {
            Renames renames = Renames.of(byPath, gone, come);
            Map<TokenPath, TokenPath> renamed = renames.all();
            Set<TokenPath> targets = new HashSet<>(renamed.values());
            List<Change> all = new ArrayList<>();
            byPath.forEach((path, entries) -> {
                if (targets.contains(path)) return;
                if (renames.moved().containsKey(path))
                    all.add(named(
                            Change.Kind.RENAMED, Step.MAJOR, renames.moved().get(path), path, entries));
                else if (renames.kept().containsKey(path))
                    all.add(named(
                            Change.Kind.RENAMED_KEPT, Step.MINOR, renames.kept().get(path), path, entries));
                else if (gone.contains(path)) all.add(change(Change.Kind.REMOVED, Step.MAJOR, path, entries));
                else if (come.contains(path)) all.add(change(Change.Kind.ADDED, Step.MINOR, path, entries));
                else all.addAll(changed(path, entries, renamed));
            });
            all.addAll(new RecipeChanges(before, after).all());
            List<Change> told = new Followers(lookup, targets, gone, come).told(all);
            told.sort(Comparator.comparing(Change::step)
                    .reversed()
                    .thenComparing(Comparator.comparing(Change::size).reversed()));
            return new Changes(told, Shifts.between(before, after), true);
        }

        private Change named(
                Change.Kind kind, Step step, TokenPath path, TokenPath was, List<Difference.Entry> entries) {
            Difference.Entry first = entries.get(0);
            Optional<Resolved> there = lookup.fresh(path, first.place());
            return new Change(
                    kind,
                    step,
                    path,
                    Optional.of(was),
                    places(entries),
                    there.map(Resolved::type),
                    was.dotted(),
                    path.dotted(),
                    there.map(Resolved::value),
                    there.map(Resolved::value),
                    Size.NONE,
                    List.of());
        }

        private static List<Place> places(List<Difference.Entry> entries) {
            return entries.stream().map(Difference.Entry::place).toList();
        }

        /** What is told of entries that say the same. */
        private Change change(Change.Kind kind, Step step, TokenPath path, List<Difference.Entry> entries) {
            Difference.Entry first = entries.get(0);
            Optional<Resolved> was = lookup.old(path, first.place());
            Optional<Resolved> is = lookup.fresh(path, first.place());
            Optional<TokenValue> old = was.map(Resolved::value);
            Optional<TokenValue> fresh = is.map(Resolved::value);
            Size size = old.isPresent() && fresh.isPresent() ? Size.between(old.get(), fresh.get()) : Size.OTHER;
            return new Change(
                    kind,
                    step,
                    path,
                    Optional.empty(),
                    places(entries),
                    is.or(() -> was).map(Resolved::type),
                    text(first.before()),
                    text(first.after()),
                    old,
                    fresh,
                    size,
                    List.of());
        }

        private static String text(Optional<Token> token) {
            return token.map(one -> ValueText.write(one.value())).orElse("");
        }

        /** A token that was there and still is: one change for each thing that happened to it, places alike told together. */
        private List<Change> changed(
                TokenPath path, List<Difference.Entry> entries, Map<TokenPath, TokenPath> renamed) {
            Map<Alike, List<Difference.Entry>> alike = new LinkedHashMap<>();
            for (Difference.Entry entry : entries) {
                Optional<TokenValue> was = entry.before()
                        .map(token -> References.rewrite(token.value(), to -> renamed.getOrDefault(to, to)));
                boolean sameValue = was.equals(entry.after().map(Token::value));
                if (sameValue && said(entry.before()).equals(said(entry.after()))) continue;
                if (!sameValue && computed(entry)) continue;
                alike.computeIfAbsent(
                                new Alike(
                                        kind(entry, sameValue), text(entry.before()), text(entry.after()), type(entry)),
                                key -> new ArrayList<>())
                        .add(entry);
            }
            List<Change> all = new ArrayList<>();
            alike.forEach((told, same) -> {
                Optional<TokenType> was = lookup.old(path, same.get(0).place()).map(Resolved::type);
                boolean retyped = was.isPresent() && told.type.isPresent() && !was.equals(told.type);
                all.add(
                        retyped
                                ? change(Change.Kind.RETYPED, Step.MAJOR, path, same)
                                : change(told.kind, Step.PATCH, path, same));
            });
            return all;
        }

        /** What is told together. */
        private record Alike(Change.Kind kind, String before, String after, Optional<TokenType> type) {}

        private static Change.Kind kind(Difference.Entry entry, boolean sameValue) {
            if (entry.before().isEmpty() || entry.after().isEmpty()) return Change.Kind.PLACED;
            return sameValue ? Change.Kind.DESCRIBED : Change.Kind.CHANGED;
        }

        private Optional<TokenType> type(Difference.Entry entry) {
            return lookup.fresh(entry.path(), entry.place()).map(Resolved::type);
        }

        /** What a token says of itself, without its value. */
        private static Optional<Object> said(Optional<Token> token) {
            return token.map(one -> List.of(one.meta(), one.unknown()));
        }

        /** Whether the recipe of its group computes it now and did so before. */
        private boolean computed(Difference.Entry entry) {
            return common.contains(entry.place())
                    && entry.before().isPresent()
                    && entry.after().isPresent()
                    && computes(before, entry.before().get(), entry)
                    && computes(after, entry.after().get(), entry);
        }

        private boolean computes(ThemeDocument theme, Token token, Difference.Entry entry) {
            if (token.detached()) return false;
            Optional<Group> group = entry.path().parent().flatMap(parent -> theme.at(entry.place())
                    .group(parent));
            return group.isPresent()
                    && computed.computeIfAbsent(group.get(), Recipes::computed)
                            .contains(entry.path().name());
        }
    }
}
