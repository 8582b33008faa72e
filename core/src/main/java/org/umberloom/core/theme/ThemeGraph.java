package org.umberloom.core.theme;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Deque;
import java.util.Iterator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Predicate;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;

/**
 * A theme resolved in one combination, with what depends on what. Immutable: {@link #after} gives the graph of an
 * edited theme, in which only what depends on the edit is computed again.
 */
public final class ThemeGraph {
    private static final int[] NONE = {};

    private final Layers layers;
    private final Combination combination;
    private final boolean extending;
    private final List<Finding> mergeFindings;
    private final TokenIndex index;
    private final Candidate[] candidates;
    private final Resolved[] resolved;
    private final SortedMap<Integer, List<Finding>> findings;
    private final int[][] uses;
    private final int[][] usedBy;
    private final int recomputed;

    private ThemeGraph(
            Layers layers,
            Combination combination,
            Merge merge,
            TokenIndex index,
            Candidate[] candidates,
            Resolved[] resolved,
            SortedMap<Integer, List<Finding>> findings,
            int[][] uses,
            int[][] usedBy,
            int recomputed) {
        this.layers = layers;
        this.combination = combination;
        this.extending = merge.extending();
        this.mergeFindings = merge.findings();
        this.index = index;
        this.candidates = candidates;
        this.resolved = resolved;
        this.findings = findings;
        this.uses = uses;
        this.usedBy = usedBy;
        this.recomputed = recomputed;
    }

    private ThemeGraph(
            ThemeGraph before,
            Layers layers,
            Candidate[] candidates,
            Resolved[] resolved,
            SortedMap<Integer, List<Finding>> findings,
            int[][] uses,
            int[][] usedBy,
            int recomputed) {
        this.layers = layers;
        this.combination = before.combination;
        this.extending = before.extending;
        this.mergeFindings = before.mergeFindings;
        this.index = before.index;
        this.candidates = candidates;
        this.resolved = resolved;
        this.findings = findings;
        this.uses = uses;
        this.usedBy = usedBy;
        this.recomputed = recomputed;
    }

    /** Resolves everything. Faults become findings; whatever does not depend on one still resolves. */
    public static ThemeGraph of(ThemeDocument theme, Combination combination) {
        return merged(Layers.of(theme, combination), combination, null);
    }

    /** The graph of an edited theme, in the same combination; equal to the one that {@link #of} would give. */
    public ThemeGraph after(ThemeDocument theme) {
        Layers now = Layers.of(theme, combination);
        if (extending || !now.samePlaces(layers)) return merged(now, combination, this);
        Set<TokenPath> touched = new LinkedHashSet<>();
        for (int i = 0; i < now.layers().size(); i++)
            if (!sameShape(
                    "", layers.layers().get(i).tokens(), now.layers().get(i).tokens(), touched))
                return merged(now, combination, this);
        return touched(now, touched);
    }

    /** How many tokens were computed to come to this graph from the one before it. */
    public int recomputed() {
        return recomputed;
    }

    public Resolution resolution() {
        List<Finding> all = new ArrayList<>(mergeFindings);
        findings.values().forEach(all::addAll);
        return new Resolution(combination, new TokenTable(index, resolved), List.copyOf(all), layers.places());
    }

    public Combination combination() {
        return combination;
    }

    Layers layers() {
        return layers;
    }

    /**
     * A token as it stands in this combination.
     *
     * @param users how many tokens refer to it themselves
     */
    public record Row(
            TokenPath path,
            Token token,
            Optional<TokenType> declared,
            Place place,
            Optional<Resolved> resolved,
            int users,
            List<Finding> findings) {}

    /** How many rows there are. */
    public int size() {
        return candidates.length;
    }

    /** Every token in document order, resolved or not. */
    public List<Row> rows() {
        List<Row> rows = new ArrayList<>(index.size());
        for (int id = 0; id < index.size(); id++)
            rows.add(new Row(
                    index.path(id),
                    candidates[id].token(),
                    candidates[id].declared(),
                    candidates[id].place(),
                    Optional.ofNullable(resolved[id]),
                    usedBy[id].length,
                    findings.getOrDefault(id, List.of())));
        return rows;
    }

    /** The tokens that refer to a token themselves, in document order. */
    public List<TokenPath> directDependents(TokenPath path) {
        int id = index.id(path);
        return id < 0
                ? List.of()
                : Arrays.stream(usedBy[id]).sorted().mapToObj(index::path).toList();
    }

    /**
     * Every token that would change with a token, however many references away, in document order; of a seed also the
     * shades that its recipe grows.
     */
    public List<TokenPath> dependents(TokenPath path) {
        int id = index.id(path);
        if (id < 0) return List.of();
        BitSet start = new BitSet();
        start.set(id);
        grownFrom(path, candidates[id].place()).forEach(start::set);
        BitSet all = closure(start, usedBy);
        all.clear(id);
        return all.stream().mapToObj(index::path).toList();
    }

    private List<Integer> grownFrom(TokenPath seed, Place place) {
        Group root = layers.layers().stream()
                .filter(layer -> layer.place().equals(place))
                .findFirst()
                .orElseThrow()
                .tokens();
        Optional<TokenPath> group =
                Recipes.governing(root, seed).filter(found -> seed.name().equals(Recipe.HueRamp.SEED));
        List<Integer> grown = new ArrayList<>();
        List<TokenPath> hues = new ArrayList<>(group.stream().toList());
        group.ifPresent(hue -> hues.addAll(Recipes.leaningOn(root, hue)));
        for (TokenPath hue : hues)
            root.group(hue).orElseThrow().children().keySet().forEach(name -> {
                TokenPath shade = hue.child(name);
                int id = index.id(shade);
                if (id >= 0
                        && candidates[id].place().equals(place)
                        && Recipes.computing(root, shade).isPresent()) grown.add(id);
            });
        return grown;
    }

    /** Every token that a token's value comes from, however many references away, in document order. */
    public List<TokenPath> sources(TokenPath path) {
        int id = index.id(path);
        if (id < 0) return List.of();
        BitSet start = new BitSet();
        start.set(id);
        BitSet all = closure(start, uses);
        all.clear(id);
        return all.stream().mapToObj(index::path).toList();
    }

    /** The tokens that fit, and every token that one of them comes from. */
    public Set<TokenPath> reachable(Predicate<TokenPath> start) {
        BitSet roots = new BitSet();
        for (int id = 0; id < index.size(); id++) if (start.test(index.path(id))) roots.set(id);
        Set<TokenPath> reached = new LinkedHashSet<>();
        closure(roots, uses).stream().forEach(id -> reached.add(index.path(id)));
        return reached;
    }

    private static ThemeGraph merged(Layers layers, Combination combination, ThemeGraph before) {
        Merge merge = Merge.of(layers);
        Map<TokenPath, Candidate> merged = merge.candidates();
        TokenIndex index = new TokenIndex(merged.keySet());
        Candidate[] candidates = merged.values().toArray(Candidate[]::new);
        int size = candidates.length;
        int[][] uses = new int[size][];
        Resolved[] resolved = new Resolved[size];
        SortedMap<Integer, List<Finding>> findings = new TreeMap<>();
        Uses reader = new Uses(index, layers);
        BitSet dirty = new BitSet(size);
        for (int id = 0; id < size; id++) {
            uses[id] = reader.of(candidates[id].token().value());
            int old = before == null ? -1 : before.index.id(index.path(id));
            boolean kept = old >= 0
                    && candidates[id].sameAs(before.candidates[old])
                    && !before.findings.containsKey(old)
                    && before.resolved[old] != null
                    && samePaths(uses[id], index, before.uses[old], before.index);
            if (kept) resolved[id] = before.resolved[old];
            else dirty.set(id);
        }
        int[][] usedBy = reversed(uses);
        dirty = closure(dirty, usedBy);
        dirty.stream().forEach(id -> resolved[id] = null);
        new Resolver(layers, index, candidates, uses, resolved, findings).run(dirty);
        return new ThemeGraph(
                layers, combination, merge, index, candidates, resolved, findings, uses, usedBy, dirty.cardinality());
    }

    private ThemeGraph touched(Layers now, Set<TokenPath> touched) {
        Candidate[] changedCandidates = candidates.clone();
        int[][] changedUses = uses.clone();
        int[][] changedUsedBy = usedBy.clone();
        Uses reader = new Uses(index, now);
        BitSet dirty = new BitSet(index.size());
        for (TokenPath path : touched) {
            int id = index.id(path);
            Candidate candidate = now.candidate(path);
            if (candidate.sameAs(candidates[id])) continue;
            changedCandidates[id] = candidate;
            dirty.set(id);
            int[] newUses = reader.of(candidate.token().value());
            if (Arrays.equals(newUses, uses[id])) continue;
            for (int used : uses[id]) changedUsedBy[used] = without(changedUsedBy[used], id);
            for (int used : newUses) changedUsedBy[used] = with(changedUsedBy[used], id);
            changedUses[id] = newUses;
        }
        dirty = closure(dirty, changedUsedBy);
        Resolved[] changed = resolved.clone();
        SortedMap<Integer, List<Finding>> changedFindings = new TreeMap<>(findings);
        dirty.stream().forEach(id -> {
            changed[id] = null;
            changedFindings.remove(id);
        });
        new Resolver(now, index, changedCandidates, changedUses, changed, changedFindings).run(dirty);
        return new ThemeGraph(
                this,
                now,
                changedCandidates,
                changed,
                changedFindings,
                changedUses,
                changedUsedBy,
                dirty.cardinality());
    }

    /** Collects tokens that differ; false when tokens or groups came, went, moved or changed what they declare. */
    private static boolean sameShape(String prefix, Group before, Group now, Set<TokenPath> touched) {
        if (before == now) return true;
        boolean sameSay = before.meta().type().equals(now.meta().type())
                && before.meta().extended().equals(now.meta().extended());
        if (!sameSay || before.children().size() != now.children().size()) return false;
        Iterator<Map.Entry<String, Node>> old = before.children().entrySet().iterator();
        for (Map.Entry<String, Node> child : now.children().entrySet()) {
            Map.Entry<String, Node> was = old.next();
            if (child.getValue() == was.getValue() && child.getKey().equals(was.getKey())) continue;
            if (!child.getKey().equals(was.getKey())) return false;
            String path = prefix.isEmpty() ? child.getKey() : prefix + "." + child.getKey();
            if (child.getValue() instanceof Token && was.getValue() instanceof Token) touched.add(TokenPath.of(path));
            else if (!(child.getValue() instanceof Group group
                    && was.getValue() instanceof Group oldGroup
                    && sameShape(path, oldGroup, group, touched))) return false;
        }
        return true;
    }

    private static BitSet closure(BitSet start, int[][] edges) {
        BitSet all = (BitSet) start.clone();
        Deque<Integer> open = new ArrayDeque<>();
        start.stream().forEach(open::add);
        while (!open.isEmpty())
            for (int next : edges[open.poll()])
                if (!all.get(next)) {
                    all.set(next);
                    open.add(next);
                }
        return all;
    }

    private static int[][] reversed(int[][] uses) {
        int[] counts = new int[uses.length];
        for (int[] used : uses) for (int id : used) counts[id]++;
        int[][] usedBy = new int[uses.length][];
        for (int id = 0; id < uses.length; id++) usedBy[id] = counts[id] == 0 ? NONE : new int[counts[id]];
        for (int user = 0; user < uses.length; user++) for (int id : uses[user]) usedBy[id][--counts[id]] = user;
        return usedBy;
    }

    private static boolean samePaths(int[] mine, TokenIndex index, int[] theirs, TokenIndex other) {
        if (mine.length != theirs.length) return false;
        for (int i = 0; i < mine.length; i++) if (!index.path(mine[i]).equals(other.path(theirs[i]))) return false;
        return true;
    }

    private static int[] without(int[] ids, int id) {
        return Arrays.stream(ids).filter(other -> other != id).toArray();
    }

    private static int[] with(int[] ids, int id) {
        int[] more = Arrays.copyOf(ids, ids.length + 1);
        more[ids.length] = id;
        return more;
    }
}
