package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;

/**
 * Why a token has its value in a combination: one hop for every token on the way, each with every place that had a
 * say.
 */
public record Trace(TokenPath path, Combination combination, List<Hop> hops) {
    /**
     * One token on the way.
     *
     * @param member     which member of a composite led here, or empty
     * @param candidates all places that set it, in order; the last wins
     * @param recipe     path of the group whose recipe computes it, or empty
     */
    public record Hop(TokenPath path, String member, List<Candidate> candidates, String recipe) {
    }

    public record Candidate(Place place, TokenValue written, boolean wins) {
    }

    /** Empty hops when no place sets the token. */
    public static Trace of(ThemeDocument theme, Combination combination, TokenPath path) {
        List<Hop> hops = new ArrayList<>();
        walk(Layers.of(theme, combination).layers(), path, "", hops, new HashSet<>());
        return new Trace(path, combination, hops);
    }

    private static void walk(List<Layers.Layer> layers, TokenPath path, String member, List<Hop> hops,
                             Set<TokenPath> seen) {
        if (!seen.add(path)) return;
        List<Candidate> candidates = new ArrayList<>();
        String recipe = "";
        TokenValue winner = null;
        for (Layers.Layer layer : layers) {
            Token token = layer.tokens().token(path).orElse(null);
            if (token == null) continue;
            winner = token.value();
            candidates.add(new Candidate(layer.place(), winner, false));
            recipe = Recipes.computing(layer.tokens(), path).map(TokenPath::dotted).orElse("");
        }
        if (winner == null) return;
        Candidate last = candidates.remove(candidates.size() - 1);
        candidates.add(new Candidate(last.place(), last.written(), true));
        hops.add(new Hop(path, member, List.copyOf(candidates), recipe));
        if (winner instanceof Alias alias) walk(layers, alias.target(), "", hops, seen);
        if (winner instanceof TypographyValue typography)
            typography.members().forEach((name, value) -> {
                if (value instanceof Alias alias) walk(layers, alias.target(), name, hops, seen);
            });
    }
}
