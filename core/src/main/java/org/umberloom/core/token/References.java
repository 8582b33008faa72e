package org.umberloom.core.token;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/** Finds and rewrites what a value refers to, at any depth. */
public final class References {
    private References() {}

    /** Every token or group that a value refers to, in order. */
    public static void forEach(TokenValue value, Consumer<TokenPath> visitor) {
        if (value instanceof Reference reference) visitor.accept(reference.target());
        else if (value instanceof CompositeValue composite)
            composite.parts().values().forEach(part -> forEach(part, visitor));
        else if (value instanceof DerivedValue derived)
            derived.derivation().arguments().values().forEach(argument -> forEach(argument, visitor));
        else if (value instanceof TemplateValue template)
            template.filled(reference -> {
                visitor.accept(reference.target());
                return "";
            });
    }

    /** Every token or group that a value refers to. */
    public static Set<TokenPath> of(TokenValue value) {
        Set<TokenPath> targets = new LinkedHashSet<>();
        forEach(value, targets::add);
        return targets;
    }

    /** Every token or group that a token, or what lies below a group, refers to or extends. */
    public static Set<TokenPath> of(Node node) {
        Set<TokenPath> targets = new LinkedHashSet<>();
        if (node instanceof Token token) {
            forEach(token.value(), targets::add);
            return targets;
        }
        Group group = (Group) node;
        group.meta().extended().ifPresent(targets::add);
        group.children().values().forEach(child -> targets.addAll(of(child)));
        return targets;
    }

    /** The same value with every target replaced by what the function gives for it; the very same when none changes. */
    public static TokenValue rewrite(TokenValue value, UnaryOperator<TokenPath> targets) {
        if (value instanceof Alias alias) {
            TokenPath target = targets.apply(alias.target());
            return target.equals(alias.target()) ? value : new Alias(target);
        }
        if (value instanceof PropertyReference reference) {
            TokenPath target = targets.apply(reference.target());
            return target.equals(reference.target()) ? value : new PropertyReference(target, reference.steps());
        }
        if (value instanceof CompositeValue composite) {
            Map<String, TokenValue> parts = rewrite(composite.parts(), targets);
            return parts.equals(composite.parts()) ? value : composite.withParts(parts);
        }
        if (value instanceof DerivedValue derived) {
            Map<String, TokenValue> arguments = rewrite(derived.derivation().arguments(), targets);
            return arguments.equals(derived.derivation().arguments())
                    ? value
                    : new DerivedValue(derived.derivation().with(arguments));
        }
        if (value instanceof TemplateValue template) {
            Object data = template.filled(reference -> ValueData.write(rewrite(reference, targets)));
            return data.equals(template.data()) ? value : new TemplateValue(template.valueType(), data);
        }
        return value;
    }

    private static Map<String, TokenValue> rewrite(Map<String, TokenValue> values, UnaryOperator<TokenPath> targets) {
        Map<String, TokenValue> rewritten = new LinkedHashMap<>();
        values.forEach((name, value) -> rewritten.put(name, rewrite(value, targets)));
        return rewritten;
    }
}
