package org.umberloom.core.token;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * What a token or group says about itself beside its value.
 *
 * @param type        the declared {@code $type}
 * @param description {@code $description}
 * @param deprecated  {@code $deprecated} as it was written: true, false or a reason
 * @param extended    for a group, {@code $extends}: the group whose tokens it takes over where it has none of its own
 * @param extensions  {@code $extensions} as plain data; those of others are kept untouched
 */
public record Meta(
        Optional<TokenType> type,
        Optional<String> description,
        Optional<Object> deprecated,
        Optional<TokenPath> extended,
        Map<String, Object> extensions) {
    /** The key below which this product keeps what the format has no field for. */
    public static final String OWN = "org.umberloom";

    public static final Meta NONE =
            new Meta(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Map.of());

    public Meta {
        extensions = extensions.isEmpty() ? Map.of() : Collections.unmodifiableMap(new LinkedHashMap<>(extensions));
    }

    public static Meta typed(TokenType type) {
        return NONE.withType(Optional.of(type));
    }

    public Meta described(String text) {
        return withDescription(Optional.of(text));
    }

    public Meta withType(Optional<TokenType> newType) {
        return new Meta(newType, description, deprecated, extended, extensions);
    }

    public Meta withDescription(Optional<String> text) {
        return new Meta(type, text, deprecated, extended, extensions);
    }

    /** @param reason true, false or a text; empty for none */
    public Meta withDeprecated(Optional<Object> reason) {
        return new Meta(type, description, reason, extended, extensions);
    }

    public Meta withExtended(Optional<TokenPath> group) {
        return new Meta(type, description, deprecated, group, extensions);
    }

    /** One of our own extension's fields. */
    public Optional<Object> own(String field) {
        return own(extensions, field);
    }

    /** The same of the {@code $extensions} of a set, a modifier or a document. */
    public static Optional<Object> own(Map<String, Object> extensions, String field) {
        return extensions.get(OWN) instanceof Map<?, ?> own ? Optional.ofNullable(own.get(field)) : Optional.empty();
    }

    /** The same with one of our own extension's fields set, or taken away when the value is empty. */
    public Meta withOwn(String field, Optional<Object> value) {
        return new Meta(type, description, deprecated, extended, withOwn(extensions, field, value));
    }

    /** The same of the {@code $extensions} of a set, a modifier or a document. */
    public static Map<String, Object> withOwn(Map<String, Object> extensions, String field, Optional<Object> value) {
        Map<String, Object> own = new LinkedHashMap<>();
        if (extensions.get(OWN) instanceof Map<?, ?> before) before.forEach((k, v) -> own.put((String) k, v));
        value.ifPresentOrElse(v -> own.put(field, v), () -> own.remove(field));
        Map<String, Object> all = new LinkedHashMap<>(extensions);
        if (own.isEmpty()) all.remove(OWN);
        else all.put(OWN, Collections.unmodifiableMap(own));
        return all;
    }
}
