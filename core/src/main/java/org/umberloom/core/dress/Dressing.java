package org.umberloom.core.dress;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Role;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Structure;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.References;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;

/** Gives a theme the roles that it lacks, as aliases to its own tokens. */
public final class Dressing {
    private static final int MOST_COMBINATIONS = 8;
    private static final String SET = "roles";
    private static final String FIELD = "dress";

    private Dressing() {}

    /** What the roles that a theme leaves unset could be. */
    public static List<Assignment> propose(ThemeDocument theme) {
        List<Resolution> combinations = theme.combinations(MOST_COMBINATIONS).stream()
                .map(one -> Resolution.of(theme, one))
                .toList();
        Set<String> set = set(theme);
        List<Assignment> all = new ArrayList<>(ColorRoles.propose(combinations));
        all.addAll(OtherRoles.propose(combinations.get(0)));
        return all.stream()
                .filter(one -> !set.contains(
                        Contract.standard().filledBy(one.role()).orElseThrow().path()))
                .toList();
    }

    /** The core roles that no place of a theme sets, on the page where they are of surfaces. */
    public static List<Role> lacking(ThemeDocument theme) {
        Set<String> set = set(theme);
        return Contract.standard().roles().values().stream()
                .filter(role -> role.core() && !set.contains(role.path()))
                .toList();
    }

    /** Roles that some place sets, by their paths; those of surfaces where the page has them. */
    private static Set<String> set(ThemeDocument theme) {
        Set<String> set = new LinkedHashSet<>();
        for (Place place : theme.places())
            theme.at(place).forEachToken((path, token, type) -> Contract.standard()
                    .filledBy(path.dotted())
                    .filter(role -> !role.ofSurfaces() || path.dotted().equals(role.on("page")))
                    .map(Role::path)
                    .ifPresent(set::add));
        return set;
    }

    /** One finding for all of a theme's core roles that are unset; none for a theme that was dressed. */
    public static Optional<Finding> finding(ThemeDocument theme) {
        List<Role> lacking = lacking(theme);
        if (lacking.isEmpty()) return Optional.empty();
        return Optional.of(new Finding(
                "undressed",
                Finding.Weight.SHOULD,
                lacking.get(0).on("page"),
                lacking.size() + (lacking.size() == 1 ? " role" : " roles")
                        + " that pages read from a theme " + (lacking.size() == 1 ? "is" : "are") + " unset: "
                        + String.join(
                                ", ", lacking.stream().map(Role::path).limit(6).toList())
                        + (lacking.size() > 6 ? " and more" : "") + ". Pages show the contract’s own values there.",
                "Dress the theme: give roles its own tokens."));
    }

    /**
     * The edit that writes assignments as one set of aliases, which lies over the other sets. Roles that were assigned before
     * and are not among them are taken away again.
     *
     * @param values by the paths of roles
     * @throws IllegalArgumentException for a path that is none of a role
     */
    public static Edit edit(ThemeDocument theme, Map<String, TokenValue> values) {
        Optional<String> known = theme.sets().entrySet().stream()
                .filter(entry -> isOurs(entry.getValue()))
                .map(Map.Entry::getKey)
                .findFirst();
        Group tokens = Group.EMPTY;
        for (Map.Entry<String, TokenValue> entry : values.entrySet()) {
            Role role = Contract.standard().toFill(entry.getKey());
            tokens = tokens.with(TokenPath.of(entry.getKey()), new Token(entry.getValue(), Meta.typed(role.type())));
        }
        List<Edit> edits = new ArrayList<>();
        String label = "dress " + values.size() + (values.size() == 1 ? " role" : " roles");
        if (known.isPresent()) {
            Group before = theme.sets().get(known.get()).tokens();
            Place place = Place.set(known.get());
            for (String gone : before.children().keySet()) edits.add(new Edit.Remove(place, TokenPath.of(gone)));
            Group written = tokens;
            tokens.children()
                    .keySet()
                    .forEach(name -> edits.add(new Edit.Put(
                            place, TokenPath.of(name), written.children().get(name), -1)));
            return new Edit.Batch(label, edits);
        }
        String name = SET;
        for (int i = 2; theme.sets().containsKey(name); i++) name = SET + "-" + i;
        int order = 0;
        while (order < theme.order().size() && !theme.order().get(order).modifier()) order++;
        edits.add(new Structure.AddSet(
                name,
                new ThemeDocument.TokenSet(
                        "What each token is for on a page", tokens, Meta.withOwn(Map.of(), FIELD, Optional.of(true))),
                -1,
                order));
        return new Edit.Batch(label, edits);
    }

    /** What {@link #edit} wrote before, by role. */
    public static Map<String, TokenValue> written(ThemeDocument theme) {
        Map<String, TokenValue> written = new LinkedHashMap<>();
        theme.sets().values().stream().filter(Dressing::isOurs).findFirst().ifPresent(set -> set.tokens()
                .forEachToken((path, token, type) -> written.put(path.dotted(), token.value())));
        return written;
    }

    private static boolean isOurs(ThemeDocument.TokenSet set) {
        return Meta.own(set.extensions(), FIELD).equals(Optional.of(true));
    }

    /** Tokens of a theme that no role comes from, in any of the values given or in what the theme has. */
    public static List<TokenPath> unused(ThemeDocument theme, Combination combination) {
        var graph = org.umberloom.core.theme.ThemeGraph.of(theme, combination);
        Set<TokenPath> reached = graph.reachable(
                path -> Contract.standard().filledBy(path.dotted()).isPresent());
        return graph.resolution().tokens().keySet().stream()
                .filter(path -> !reached.contains(path))
                .toList();
    }

    /** The tokens that a value refers to. */
    public static Set<TokenPath> uses(TokenValue value) {
        Set<TokenPath> uses = new LinkedHashSet<>();
        References.forEach(value, uses::add);
        return uses;
    }
}
