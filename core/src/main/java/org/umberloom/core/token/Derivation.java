package org.umberloom.core.token;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * One operation with its arguments. It is data, never program text: {@code {"op":"lighten","of":"{color.umber.60}",
 * "by":8}}. Every argument may be a literal or a reference.
 */
public record Derivation(Operation operation, Map<String, TokenValue> arguments) {
    /** The name of the argument that the result is derived from. */
    public static final String OF = "of";

    /** @throws IllegalArgumentException when an argument is missing, unknown, of the wrong kind or out of range */
    public Derivation {
        Map<String, TokenValue> ordered = new LinkedHashMap<>();
        for (Operation.Parameter parameter : operation.parameters()) {
            TokenValue argument = arguments.get(parameter.name());
            if (argument == null)
                throw new IllegalArgumentException(operation.id() + " needs its argument “" + parameter.name() + "”");
            parameter.check(operation.id(), argument);
            ordered.put(parameter.name(), argument);
        }
        for (String name : arguments.keySet())
            if (!ordered.containsKey(name))
                throw new IllegalArgumentException(operation.id() + " has no argument “" + name + "”");
        arguments = Collections.unmodifiableMap(ordered);
    }

    public TokenValue source() {
        return arguments.get(OF);
    }

    /** The same operation with other arguments of the same names. */
    public Derivation with(Map<String, TokenValue> changed) {
        return new Derivation(operation, changed);
    }

    /** Plain data, the form it has in a document. */
    public Map<String, Object> data() {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("op", operation.id());
        arguments.forEach((name, argument) -> data.put(name, ValueData.write(argument)));
        return data;
    }

    /** @throws IllegalArgumentException with a sentence for people when it is not the data of a derivation */
    public static Derivation read(Object data) {
        if (!(data instanceof Map<?, ?> map)) throw new IllegalArgumentException("a derivation must be an object");
        Operation operation = Operation.byId(map.get("op") instanceof String op ? op : "");
        Map<String, TokenValue> arguments = new LinkedHashMap<>();
        map.forEach((key, item) -> {
            if (!key.equals("op"))
                arguments.put((String) key, operation.parameter((String) key).read(item));
        });
        return new Derivation(operation, arguments);
    }

    /** As people write it: {@code lighten({color.umber.60}, 8)}. */
    @Override
    public String toString() {
        List<String> texts = new ArrayList<>();
        arguments.values().forEach(argument -> texts.add(ValueText.write(argument)));
        return operation.id() + "(" + String.join(", ", texts) + ")";
    }
}
