package org.umberloom.core.format;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.token.TokenType;

/** The types that groups without one of their own get from the groups they extend. Source: Format Module 2025.10, $extends. */
final class HandedTypes {
    private final Map<String, Map<?, ?>> groups = new HashMap<>();
    private final Map<String, TokenType> handed = new HashMap<>();

    private HandedTypes() {}

    /** By the path of the extending group. */
    static Map<String, TokenType> of(Map<String, Object> root) {
        HandedTypes types = new HandedTypes();
        types.collect("", root);
        types.groups.keySet().forEach(path -> types.base(path)
                .flatMap(base -> types.typeOf(base, new HashSet<>()))
                .ifPresent(type -> types.handed.put(path, type)));
        return types.handed;
    }

    private void collect(String path, Map<?, ?> group) {
        if (group.containsKey("$value")) return;
        groups.put(path, group);
        group.forEach((name, child) -> {
            if (child instanceof Map<?, ?> inner && !((String) name).startsWith("$"))
                collect(path.isEmpty() ? (String) name : path + "." + name, inner);
        });
    }

    private Optional<String> base(String path) {
        return groups.get(path).get("$extends") instanceof String text && text.startsWith("{") && text.endsWith("}")
                ? Optional.of(text.substring(1, text.length() - 1))
                : Optional.empty();
    }

    /** A group's own type, else that of the group it extends, else that of the groups around it. */
    private Optional<TokenType> typeOf(String path, Set<String> seen) {
        if (!groups.containsKey(path) || !seen.add(path)) return Optional.empty();
        if (groups.get(path).get("$type") instanceof String id) return TokenType.byId(id);
        Optional<TokenType> extended = base(path).flatMap(base -> typeOf(base, seen));
        if (extended.isPresent() || path.isEmpty()) return extended;
        return typeOf(path.contains(".") ? path.substring(0, path.lastIndexOf('.')) : "", seen);
    }
}
