package org.umberloom.core.theme;

import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;

/** All tokens of a theme in one combination, in document order, and what could not be resolved. */
public record Resolution(Combination combination, Map<TokenPath, Resolved> tokens, List<Finding> findings) {
    public Optional<Resolved> find(String path) {
        return Optional.ofNullable(tokens.get(TokenPath.of(path)));
    }

    /** Whether both hold the same tokens, in the same order, apart from those of one type. */
    public boolean equalsExcept(TokenType type, Resolution other) {
        Iterator<Resolved> theirs = other.tokens.values().iterator();
        for (Resolved mine : tokens.values()) {
            if (!theirs.hasNext()) return false;
            Resolved their = theirs.next();
            boolean both = mine.type() == type && their.type() == type;
            if (!mine.path().equals(their.path()) || !both && !mine.equals(their)) return false;
        }
        return !theirs.hasNext();
    }

    /** The value at a path if it has the class asked for. */
    public <V extends TokenValue> Optional<V> value(String path, Class<V> type) {
        return find(path).map(Resolved::value).filter(type::isInstance).map(type::cast);
    }
}
