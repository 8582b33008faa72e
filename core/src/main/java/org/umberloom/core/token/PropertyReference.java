package org.umberloom.core.token;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A reference by JSON pointer to a token's value or to one property inside it, written
 * {@code #/color/brand/$value/components/0}. Sources: Format Module 2025.10, section 7; RFC 6901.
 *
 * @param steps property names and list indices inside {@code $value}; empty for the whole value
 */
public record PropertyReference(TokenPath target, List<String> steps) implements Reference {
    private static final String START = "#/";
    private static final String VALUE = "$value";

    public PropertyReference {
        steps = List.copyOf(steps);
    }

    public static boolean isPointer(String text) {
        return text.startsWith(START);
    }

    /** @throws IllegalArgumentException when the pointer leads to no token or into something other than its value */
    public static PropertyReference parse(String pointer) {
        if (!isPointer(pointer))
            throw new IllegalArgumentException(
                    "“" + pointer + "” is not a JSON pointer in this document: it starts with #/.");
        List<String> names = new ArrayList<>();
        for (String part : pointer.substring(START.length()).split("/", -1)) names.add(Pointers.unescaped(part));
        int value = names.indexOf(VALUE);
        List<String> path = value < 0 ? names : names.subList(0, value);
        if (path.isEmpty()) throw new IllegalArgumentException("“" + pointer + "” names no token.");
        for (String name : path) TokenPath.checkName(name);
        return new PropertyReference(
                new TokenPath(String.join(".", path)), value < 0 ? List.of() : names.subList(value + 1, names.size()));
    }

    /** The pointer; parsing it gives an equal reference. */
    public String pointer() {
        StringBuilder pointer = new StringBuilder("#");
        for (String name : target.segments()) pointer.append('/').append(Pointers.escaped(name));
        pointer.append('/').append(VALUE);
        for (String step : steps) pointer.append('/').append(Pointers.escaped(step));
        return pointer.toString();
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.empty();
    }

    @Override
    public String toString() {
        return pointer();
    }
}
