package org.umberloom.core.theme;

import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import org.umberloom.core.token.TokenPath;

/** Numbers the tokens of a combination in document order. Versions that hold the same paths share one index. */
final class TokenIndex {
    private final TokenPath[] paths;
    private final Map<TokenPath, Integer> ids;

    TokenIndex(Collection<TokenPath> ordered) {
        paths = ordered.toArray(TokenPath[]::new);
        ids = new HashMap<>(paths.length * 2);
        for (int id = 0; id < paths.length; id++) ids.put(paths[id], id);
    }

    int size() {
        return paths.length;
    }

    TokenPath path(int id) {
        return paths[id];
    }

    /** −1 for a path that is not there. */
    int id(TokenPath path) {
        return ids.getOrDefault(path, -1);
    }
}
