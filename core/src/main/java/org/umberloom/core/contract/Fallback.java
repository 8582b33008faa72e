package org.umberloom.core.contract;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.color.Color;
import org.umberloom.core.token.TokenValue;

/** What a role stands on while it has no token of its own. */
public sealed interface Fallback {
    /** A more general role, by its path. */
    record ToRole(String path) implements Fallback {}

    /** A value that the contract carries. */
    record Literal(TokenValue value) implements Fallback {}

    /**
     * A color that can be read on another: the preferred one where it reaches the ratio, else black or white.
     *
     * @param preferred path of a role; empty where a color of the contract's own, or none, is preferred
     * @param color     that color
     * @param on        path of the role it stands on
     * @param ratio     1 to 21, as WCAG 2.2 counts
     */
    record Readable(Optional<String> preferred, Optional<Color> color, String on, double ratio) implements Fallback {}

    /** A text style: members of the contract's own, in their order, the rest from a more general style. */
    record Style(Optional<String> path, Map<String, TokenValue> own) implements Fallback {
        public Style {
            own = Collections.unmodifiableMap(new LinkedHashMap<>(own));
        }
    }
}
