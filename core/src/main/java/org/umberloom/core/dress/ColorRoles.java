package org.umberloom.core.dress;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import org.umberloom.core.check.Contrasts;
import org.umberloom.core.check.Pair;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorSpace;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Role;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.limit.Patience;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;

/**
 * Colors for the roles of the page. Names are asked first, then values; a color is taken for a role only where every pair
 * that rules bring together can be read with it, in every combination.
 */
final class ColorRoles {
    /** The score from which a name alone decides. */
    private static final double TELLING = 2.5;

    /** What a color named by its place in a palette is behind one with a meaning. */
    private static final double PALETTE = 1;

    private static final Set<String> OF_THE_PAGE = Set.of("ground", "text", "accent", "link");
    private static final double CERTAIN = 7;
    private static final double BY_VALUE = 0.3;
    private static final int MOST_TRIED = 14;
    private static final double QUIET = 0.04;

    private record Candidate(TokenPath path, double score, String reason) {}

    private final List<Resolution> combinations;
    private final List<Pair> pairs = Contrasts.declared();
    private final Map<TokenPath, Resolved> own = new LinkedHashMap<>();
    private final Map<String, Candidate> chosen = new LinkedHashMap<>();

    private ColorRoles(List<Resolution> combinations) {
        this.combinations = combinations;
        combinations.get(0).tokens().forEach((path, token) -> {
            if (token.type() == TokenType.COLOR && !isRole(path) && inAll(path)) own.put(path, token);
        });
    }

    /** @param combinations the theme resolved in its combinations, the defaults first */
    static List<Assignment> propose(List<Resolution> combinations) {
        ColorRoles roles = new ColorRoles(combinations);
        if (roles.own.isEmpty() || !roles.base()) return List.of();
        roles.take(Contract.standard().role("surface.*.accent"));
        for (Role role : Contract.standard().roles().values())
            if (role.ofSurfaces() && !roles.chosen.containsKey(role.ofSurface()) && Words.knows(role.path()))
                roles.take(role);
        List<Assignment> assignments = new ArrayList<>();
        roles.chosen.forEach((role, candidate) -> assignments.add(new Assignment(
                Surfaces.path(Surfaces.PAGE, role),
                new Alias(candidate.path),
                candidate.score < TELLING ? BY_VALUE : Math.min(1, candidate.score / CERTAIN),
                candidate.reason)));
        return assignments;
    }

    /** A theme may call its own colors surfaces, too. */
    private static boolean isRole(TokenPath path) {
        return path.top().equals(Surfaces.GROUP)
                && Contract.standard().filledBy(path.dotted()).isPresent();
    }

    private boolean inAll(TokenPath path) {
        return combinations.stream()
                .allMatch(one ->
                        one.tokens().get(path) != null && one.tokens().get(path).value() instanceof ColorValue);
    }

    /** Ground and text are chosen together: the most telling two with which everything that falls back on them can be read. */
    private boolean base() {
        List<Candidate> grounds = byName("ground", opaque());
        List<Candidate> texts = byName("text", opaque());
        grounds.addAll(byValue(
                Comparator.comparingDouble(path -> -Contrast.luminance(color(path))),
                "the lightest color without a hue"));
        texts.addAll(byValue(
                Comparator.comparingDouble(path -> Contrast.luminance(color(path))),
                "the darkest color without a hue"));
        Candidate[] best = {null, null};
        double score = -1;
        for (Candidate ground : grounds)
            for (Candidate text : texts) {
                Patience.ask();
                double least = combinations.stream()
                        .mapToDouble(one -> Contrast.ratio(color(one, text.path), color(one, ground.path)))
                        .min()
                        .orElse(0);
                double sum = ground.score + text.score + (least >= Contrast.STRICT ? 1 : 0);
                if (least < Contrast.TEXT || sum <= score || !reads(Map.of("ground", ground, "text", text))) continue;
                score = sum;
                best[0] = ground;
                best[1] = text;
            }
        if (best[0] == null) return false;
        chosen.put("ground", best[0]);
        chosen.put("text", best[1]);
        return true;
    }

    private void take(Role role) {
        String name = role.ofSurface();
        List<Candidate> candidates = byName(name, role.decorative() ? path -> true : opaque());
        // Links take the color that already calls for action.
        if (name.equals("link") && chosen.containsKey("accent"))
            candidates.add(new Candidate(chosen.get("accent").path, BY_VALUE, "the accent, where it can be read"));
        if (name.equals("accent") || name.equals("link"))
            candidates.addAll(byValue(
                    Comparator.comparingDouble(path -> -chroma(color(path))),
                    "the most colorful one that can be read"));
        for (Candidate candidate : candidates) {
            if (candidate.score < TELLING && !candidate.reason.startsWith("the ")) continue;
            Map<String, Candidate> tried = new LinkedHashMap<>(chosen);
            tried.put(name, candidate);
            if (!reads(tried)) continue;
            chosen.put(name, candidate);
            return;
        }
    }

    private List<Candidate> byName(String role, Predicate<TokenPath> fits) {
        Words words = Words.of("surface.*." + role);
        List<Candidate> all = new ArrayList<>();
        for (Map.Entry<TokenPath, Resolved> token : own.entrySet()) {
            Patience.ask();
            double score = words.score(token.getKey());
            if (score <= 0 || !fits.test(token.getKey()) || !mayBe(role, token.getKey())) continue;
            // What refers to another color was given a meaning; a number in a palette was not.
            if (token.getValue().written().value() instanceof Alias) score += 1;
            else if (Words.isPaletteEntry(token.getKey())) score -= PALETTE;
            all.add(new Candidate(token.getKey(), score, words.reason(token.getKey())));
        }
        all.sort(Comparator.comparingDouble(Candidate::score).reversed());
        return new ArrayList<>(all.subList(0, Math.min(MOST_TRIED, all.size())));
    }

    private static boolean mayBe(String role, TokenPath path) {
        return !OF_THE_PAGE.contains(role) || !Words.hasPurpose(path);
    }

    private List<Candidate> byValue(Comparator<TokenPath> order, String reason) {
        boolean colorful = reason.contains("colorful");
        return own.keySet().stream()
                .filter(opaque())
                .filter(path -> !Words.hasPurpose(path))
                .filter(path -> colorful ? chroma(color(path)) > 2 * QUIET : chroma(color(path)) < QUIET)
                .sorted(order)
                .limit(MOST_TRIED)
                .map(path -> new Candidate(path, 0.5, reason))
                .toList();
    }

    /** Whether every pair can be read, with what is not chosen on its fallback. */
    private boolean reads(Map<String, Candidate> tried) {
        for (Resolution one : combinations) {
            Map<TokenPath, Resolved> tokens = new LinkedHashMap<>();
            tried.forEach((role, candidate) -> {
                TokenPath path = TokenPath.of(Surfaces.path(Surfaces.PAGE, role));
                Resolved token = one.tokens().get(candidate.path);
                tokens.put(path, new Resolved(path, token.type(), token.value(), token.written(), token.winner()));
            });
            Worn worn = Worn.of(new Resolution(one.combination(), tokens, List.of(), one.places()));
            for (Pair pair : pairs)
                if (Contrast.ratio(
                                worn.color(Surfaces.path(Surfaces.PAGE, pair.role()))
                                        .orElseThrow(),
                                worn.color(Surfaces.path(Surfaces.PAGE, pair.ground()))
                                        .orElseThrow())
                        < pair.needed()) return false;
        }
        return true;
    }

    private Predicate<TokenPath> opaque() {
        return path -> combinations.stream().allMatch(one -> color(one, path).alpha() == 1);
    }

    private Color color(TokenPath path) {
        return color(combinations.get(0), path);
    }

    private static Color color(Resolution one, TokenPath path) {
        return ((ColorValue) one.tokens().get(path).value()).color();
    }

    private static double chroma(Color color) {
        return color.to(ColorSpace.OKLCH).c2();
    }
}
