package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;

/**
 * All tokens of a theme in one combination, in document order, and what could not be resolved.
 *
 * @param places that have a say in the combination, in resolution order; later wins
 */
public record Resolution(
        Combination combination, Map<TokenPath, Resolved> tokens, List<Finding> findings, List<Place> places) {
    /** Resolves a theme once; keep a {@link ThemeGraph} where edits follow. */
    public static Resolution of(ThemeDocument theme, Combination combination) {
        return ThemeGraph.of(theme, combination).resolution();
    }

    public Optional<Resolved> find(String path) {
        return Optional.ofNullable(tokens.get(TokenPath.of(path)));
    }

    /** Tokens that differ from those of an earlier resolution or are new, and the paths of those that are gone. */
    public record Changes(List<Resolved> changed, List<TokenPath> gone) {
        /** Whether only tokens of one type changed, and none came or went. */
        public boolean only(TokenType type, Resolution before) {
            return gone.isEmpty()
                    && changed.stream()
                            .allMatch(token -> token.type() == type
                                    && before.tokens.containsKey(token.path())
                                    && before.tokens.get(token.path()).type() == type);
        }
    }

    public Changes since(Resolution before) {
        List<Resolved> changed = new ArrayList<>();
        List<TokenPath> gone = new ArrayList<>();
        if (tokens instanceof TokenTable mine
                && before.tokens instanceof TokenTable theirs
                && mine.sharesIndexWith(theirs)) {
            mine.compare(theirs, changed, gone);
            return new Changes(changed, gone);
        }
        for (Resolved token : tokens.values()) if (!token.equals(before.tokens.get(token.path()))) changed.add(token);
        for (TokenPath path : before.tokens.keySet()) if (!tokens.containsKey(path)) gone.add(path);
        return new Changes(changed, gone);
    }

    /** The value at a path if it has the class asked for. */
    public <V extends TokenValue> Optional<V> value(String path, Class<V> type) {
        return find(path).map(Resolved::value).filter(type::isInstance).map(type::cast);
    }
}
