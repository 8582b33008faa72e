package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.token.CompositeValue;
import org.umberloom.core.token.DerivedValue;
import org.umberloom.core.token.References;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;

/**
 * Why a token has its value in a combination: one hop for every token on the way, each with every place that had a
 * say.
 */
public record Trace(TokenPath path, Combination combination, List<Hop> hops) {
    /**
     * One token on the way.
     *
     * @param from       the token that led here; empty for the first
     * @param member     which part of a composite, or which argument of a derivation, led here; or empty
     * @param candidates all places that set it, in order; the last wins
     * @param recipe     path of the group whose recipe computes it, or empty
     * @param result     its value in this combination, where it has one
     */
    public record Hop(
            TokenPath path,
            String from,
            String member,
            List<Candidate> candidates,
            String recipe,
            Optional<TokenValue> result) {}

    public record Candidate(Place place, TokenValue written, boolean wins) {}

    /** A trace is for people; a longer chain ends here. */
    private static final int MOST_HOPS = 400;

    /** Empty hops when no place sets the token. */
    public static Trace of(ThemeGraph graph, TokenPath path) {
        List<Hop> hops = new ArrayList<>();
        new Walk(graph.layers().layers(), graph.resolution(), hops).walk(path, "", "");
        return new Trace(path, graph.combination(), hops);
    }

    private record Walk(List<Layers.Layer> layers, Resolution resolution, List<Hop> hops, Set<TokenPath> seen) {
        Walk(List<Layers.Layer> layers, Resolution resolution, List<Hop> hops) {
            this(layers, resolution, hops, new HashSet<>());
        }

        void walk(TokenPath path, String from, String member) {
            if (hops.size() == MOST_HOPS || !seen.add(path)) return;
            List<Candidate> candidates = new ArrayList<>();
            String recipe = "";
            TokenValue winner = null;
            for (Layers.Layer layer : layers) {
                Token token = layer.tokens().token(path).orElse(null);
                if (token == null) continue;
                winner = token.value();
                candidates.add(new Candidate(layer.place(), winner, false));
                recipe = Recipes.computing(layer.tokens(), path)
                        .map(TokenPath::dotted)
                        .orElse("");
            }
            Resolved resolved = resolution.tokens().get(path);
            if (winner == null && resolved != null) {
                // Taken over by $extends: the token stands in another group.
                winner = resolved.written().value();
                candidates.add(new Candidate(resolved.winner(), winner, false));
            }
            if (winner == null) return;
            Candidate last = candidates.remove(candidates.size() - 1);
            candidates.add(new Candidate(last.place(), last.written(), true));
            hops.add(new Hop(
                    path,
                    from,
                    member,
                    List.copyOf(candidates),
                    recipe,
                    Optional.ofNullable(resolved).map(Resolved::value)));
            follow(winner, path.dotted(), "");
        }

        private void follow(TokenValue value, String from, String member) {
            if (value instanceof CompositeValue composite)
                composite
                        .parts()
                        .forEach((name, part) -> follow(part, from, member.isEmpty() ? name : member + "." + name));
            else if (value instanceof DerivedValue derived)
                derived.derivation().arguments().forEach((name, argument) -> follow(argument, from, name));
            else References.forEach(value, target -> walk(target, from, member));
        }
    }
}
