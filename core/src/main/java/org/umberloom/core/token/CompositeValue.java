package org.umberloom.core.token;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** A value made of named parts, each a literal or a reference. Source: Format Module 2025.10, section 9. */
public sealed interface CompositeValue extends TokenValue
        permits TypographyValue,
                BorderValue,
                TransitionValue,
                ShadowValue,
                ShadowListValue,
                GradientValue,
                StrokeStyleValue {
    /** The parts by their names, in the format's order; items of a list are named by their index. */
    Map<String, TokenValue> parts();

    /** The type that a part must have. @throws IllegalArgumentException for a name that is no part */
    TokenType partType(String part);

    /** The same kind of value with other parts of the same names. */
    CompositeValue withParts(Map<String, TokenValue> parts);

    /** The same with one part replaced. @throws IllegalArgumentException for a name that is no part */
    default CompositeValue withPart(String part, TokenValue value) {
        Map<String, TokenValue> parts = new LinkedHashMap<>(parts());
        if (parts.replace(part, value) == null) throw noPart(part);
        return withParts(parts);
    }

    private IllegalArgumentException noPart(String part) {
        return new IllegalArgumentException("there is no part “" + part + "” in this value");
    }

    /** @throws IllegalArgumentException when a literal part has the wrong type */
    static void check(String of, String part, TokenValue value, TokenType type) {
        if (value == null) throw new IllegalArgumentException(of + " needs its part " + part);
        Optional<TokenType> actual = value.type();
        if (value instanceof DerivedValue)
            throw new IllegalArgumentException(
                    of + "’s " + part + " cannot be derived in place; derive a token and refer to it");
        if (!(value instanceof Reference) && !actual.equals(Optional.of(type)))
            throw new IllegalArgumentException(of + "’s " + part + " must be a " + type.id());
    }

    /** Parts with a fixed set of names, by alternating name and value. */
    static Map<String, TokenValue> named(Object... namesAndValues) {
        Map<String, TokenValue> parts = new LinkedHashMap<>();
        for (int i = 0; i < namesAndValues.length; i += 2)
            parts.put((String) namesAndValues[i], (TokenValue) namesAndValues[i + 1]);
        return parts;
    }
}
