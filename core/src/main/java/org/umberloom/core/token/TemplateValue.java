package org.umberloom.core.token;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * A literal some of whose inner properties are references, such as a color with one component of another color. Source:
 * Format Module 2025.10, section 7, property-level references.
 *
 * @param data plain data as in {@code $value}, with {@code {"$ref": …}} objects and {@code {path}} texts where it refers
 */
public record TemplateValue(TokenType valueType, Object data) implements TokenValue {
    private static final String REF = "$ref";

    public TemplateValue {
        data = copy(data);
    }

    /** Whether plain data is an object that stands for another value. */
    static boolean isReferenceObject(Object data) {
        return data instanceof Map<?, ?> map && map.get(REF) instanceof String;
    }

    /** The reference that a text or object stands for, if it is one. @throws IllegalArgumentException when malformed */
    static Optional<Reference> referenceIn(Object data) {
        if (data instanceof String text && Alias.isAlias(text)) return Optional.of(Alias.parse(text));
        if (!isReferenceObject(data)) return Optional.empty();
        if (((Map<?, ?>) data).size() > 1) throw new IllegalArgumentException("a $ref stands alone in its object");
        String target = (String) ((Map<?, ?>) data).get(REF);
        return Optional.of(Alias.isAlias(target) ? Alias.parse(target) : PropertyReference.parse(target));
    }

    /** Whether any reference stands below the top of the data. */
    static boolean hasReferenceInside(Object data) {
        if (data instanceof Map<?, ?> map)
            return map.values().stream().anyMatch(item -> isReference(item) || hasReferenceInside(item));
        if (data instanceof List<?> list)
            return list.stream().anyMatch(item -> isReference(item) || hasReferenceInside(item));
        return false;
    }

    static boolean isReference(Object data) {
        return isReferenceObject(data) || data instanceof String text && Alias.isAlias(text);
    }

    /** Every reference inside, in order. */
    public List<Reference> references() {
        List<Reference> references = new ArrayList<>();
        filled(reference -> {
            references.add(reference);
            return "";
        });
        return references;
    }

    /** The data with every reference replaced by what the function gives for it. */
    Object filled(Function<Reference, Object> values) {
        return filled(data, values);
    }

    private static Object filled(Object data, Function<Reference, Object> values) {
        Optional<Reference> reference = referenceIn(data);
        if (reference.isPresent()) return values.apply(reference.get());
        if (data instanceof Map<?, ?> map) {
            Map<String, Object> filled = new LinkedHashMap<>();
            map.forEach((key, item) -> filled.put((String) key, filled(item, values)));
            return filled;
        }
        if (data instanceof List<?> list) {
            List<Object> filled = new ArrayList<>();
            for (Object item : list) filled.add(filled(item, values));
            return filled;
        }
        return data;
    }

    private static Object copy(Object data) {
        if (data instanceof Map<?, ?> map) {
            Map<String, Object> copy = new LinkedHashMap<>();
            map.forEach((key, item) -> copy.put((String) key, copy(item)));
            return Collections.unmodifiableMap(copy);
        }
        if (data instanceof List<?> list)
            return list.stream().map(TemplateValue::copy).toList();
        return data;
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(valueType);
    }
}
