package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import org.umberloom.core.color.Color;
import org.umberloom.core.limit.Patience;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.CompositeValue;
import org.umberloom.core.token.Derivation;
import org.umberloom.core.token.DerivedValue;
import org.umberloom.core.token.ForeignValue;
import org.umberloom.core.token.MannerValue;
import org.umberloom.core.token.Operation;
import org.umberloom.core.token.PropertyReference;
import org.umberloom.core.token.Reference;
import org.umberloom.core.token.References;
import org.umberloom.core.token.TemplateValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.ValueData;
import org.umberloom.core.token.ValueText;

/**
 * Computes rows of a graph: follows references and derivations after the merge. Faults become findings. Source: Resolver
 * Module 2025.10 (aliases are resolved after the merge); Format Module 2025.10, section 7.
 */
final class Resolver {
    private static final byte NEW = 0;
    private static final byte OPEN = 1;
    private static final byte DONE = 2;

    private final Layers layers;
    private final TokenIndex index;
    private final Candidate[] candidates;
    private final int[][] uses;
    private final Resolved[] resolved;
    private final SortedMap<Integer, List<Finding>> findings;
    private final Map<TokenPath, List<String>> nearest = new HashMap<>();
    private int current;

    Resolver(
            Layers layers,
            TokenIndex index,
            Candidate[] candidates,
            int[][] uses,
            Resolved[] resolved,
            SortedMap<Integer, List<Finding>> findings) {
        this.layers = layers;
        this.index = index;
        this.candidates = candidates;
        this.uses = uses;
        this.resolved = resolved;
        this.findings = findings;
    }

    /** Computes these rows; all others are taken as they are. Depth first without recursion: chains may be long. */
    void run(BitSet rows) {
        byte[] state = new byte[candidates.length];
        int[] path = new int[candidates.length];
        int[] child = new int[candidates.length];
        for (int start = rows.nextSetBit(0); start >= 0; start = rows.nextSetBit(start + 1)) {
            if (state[start] != NEW) continue;
            Patience.ask();
            int depth = 0;
            path[0] = start;
            state[start] = OPEN;
            child[start] = 0;
            while (depth >= 0) {
                int id = path[depth];
                if (child[id] == uses[id].length) {
                    compute(id);
                    state[id] = DONE;
                    depth--;
                    continue;
                }
                int next = uses[id][child[id]++];
                if (!rows.get(next) || state[next] == DONE) continue;
                if (state[next] == OPEN) {
                    reportLoop(path, depth, next);
                    continue;
                }
                state[next] = OPEN;
                child[next] = 0;
                path[++depth] = next;
            }
        }
    }

    private void compute(int id) {
        current = id;
        Candidate candidate = candidates[id];
        TokenValue value;
        try {
            value = value(candidate.token().value(), candidate.declared());
        } catch (IllegalArgumentException e) {
            report("range", path() + ": " + e.getMessage() + ".", "Change the value, or what it is computed from.");
            return;
        }
        if (value == null) return;
        Optional<TokenType> actual = value.type();
        // A reference has its target's type before that of the groups around it. Source: Format Module 2025.10, $type.
        Optional<TokenType> declared = candidate.token().value() instanceof Reference
                ? candidate.token().meta().type()
                : candidate.declared();
        if (declared.isPresent() && !declared.equals(actual)) {
            findings(new Finding(
                    "type-mismatch",
                    Finding.Weight.MUST,
                    path(),
                    path() + " says it is a " + declared.get().id() + ", but its value is a " + typeName(value) + ".",
                    "Change the value, or what the token says of its type.",
                    retyped(candidate, value)));
            return;
        }
        actual.ifPresent(
                type -> resolved[id] = new Resolved(index.path(id), type, value, candidate.token(), candidate.place()));
    }

    /** The value without references, or null where something it needs has none. */
    private TokenValue value(TokenValue written, Optional<TokenType> expected) {
        if (written instanceof Alias alias) return target(alias);
        if (written instanceof PropertyReference reference) return property(reference, expected);
        if (written instanceof CompositeValue composite) return parts(composite);
        if (written instanceof DerivedValue derived) return derive(derived.derivation());
        if (written instanceof TemplateValue template) return fill(template);
        if (written instanceof ForeignValue foreign) {
            report(
                    "foreign-type",
                    foreign.typeId().isEmpty()
                            ? path() + " has no type, and none of its groups has one."
                            : "The type “" + foreign.typeId() + "” of " + path() + " is not understood here.",
                    "It is kept as it is, and left out of the stylesheet.");
            return null;
        }
        return written;
    }

    private TokenValue target(Reference reference) {
        int id = index.id(reference.target());
        if (id < 0) {
            List<String> names = nearest.computeIfAbsent(reference.target(), this::nearest);
            String remedy = names.isEmpty()
                    ? "Add that token, or refer to another."
                    : "Nearest names: "
                            + String.join(
                                    ", ",
                                    names.stream().map(name -> "{" + name + "}").toList()) + ".";
            findings(new Finding(
                    "unknown-reference",
                    Finding.Weight.MUST,
                    path(),
                    path() + " refers to " + reference + ", which is not there.",
                    remedy,
                    redirected(reference, names)));
            return null;
        }
        return resolved[id] == null ? null : resolved[id].value();
    }

    private TokenValue property(PropertyReference reference, Optional<TokenType> expected) {
        TokenValue target = target(reference);
        if (target == null || reference.steps().isEmpty()) return target;
        Object data = propertyData(reference, target);
        TokenType type = expected.orElseGet(() -> typeOf(data));
        return ValueData.read(type, data);
    }

    private static Object propertyData(PropertyReference reference, TokenValue target) {
        try {
            return ValueData.property(ValueData.write(target), reference.steps());
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(
                    "it refers to " + reference.pointer() + ", but " + e.getMessage() + " in "
                            + ValueText.write(target),
                    e);
        }
    }

    private static TokenType typeOf(Object data) {
        if (data instanceof Number) return TokenType.NUMBER;
        if (data instanceof Map<?, ?> map && map.containsKey("colorSpace")) return TokenType.COLOR;
        if (data instanceof Map<?, ?> map && map.get("unit") instanceof String unit)
            return unit.endsWith("s") ? TokenType.DURATION : TokenType.DIMENSION;
        throw new IllegalArgumentException("it refers to a property whose type cannot be told, so it needs a $type");
    }

    private TokenValue parts(CompositeValue composite) {
        Map<String, TokenValue> parts = new LinkedHashMap<>();
        for (Map.Entry<String, TokenValue> part : composite.parts().entrySet()) {
            if (part.getValue() instanceof MannerValue said) {
                parts.put(part.getKey(), said);
                continue;
            }
            TokenType expected = composite.partType(part.getKey());
            TokenValue value = value(part.getValue(), Optional.of(expected));
            if (value == null) return null;
            if (!value.type().equals(Optional.of(expected))) {
                report(
                        "type-mismatch",
                        path() + " uses a " + typeName(value) + " for " + part.getKey() + ".",
                        "Refer to a " + expected.id() + " there.");
                return null;
            }
            parts.put(part.getKey(), value);
        }
        return parts.isEmpty() ? composite : composite.withParts(parts);
    }

    private TokenValue derive(Derivation derivation) {
        Map<String, TokenValue> arguments = new LinkedHashMap<>();
        List<Color> shades = new ArrayList<>();
        for (Map.Entry<String, TokenValue> argument : derivation.arguments().entrySet()) {
            if (derivation.operation().takesHue(argument.getKey())) {
                shades.addAll(shades((Alias) argument.getValue()));
                continue;
            }
            TokenValue value = value(argument.getValue(), Optional.empty());
            if (value == null) return null;
            arguments.put(argument.getKey(), value);
        }
        Operation.Result result = derivation.operation().apply(arguments, shades);
        if (!result.note().isEmpty())
            findings(new Finding(
                    "not-readable",
                    Finding.Weight.SHOULD,
                    path(),
                    path() + ": " + result.note(),
                    "Name another hue, or move the color it stands on."));
        return result.value();
    }

    private List<Color> shades(Alias hue) {
        List<Color> shades = new ArrayList<>();
        List<TokenPath> paths = layers.shadesOf(hue.target());
        if (paths.isEmpty()) throw new IllegalArgumentException("it names the hue " + hue + ", which has no shades");
        for (TokenPath shade : paths) {
            int id = index.id(shade);
            if (id >= 0 && resolved[id] != null && resolved[id].value() instanceof ColorValue color)
                shades.add(color.color());
        }
        return shades;
    }

    private TokenValue fill(TemplateValue template) {
        boolean missing = false;
        Map<Reference, Object> values = new HashMap<>();
        for (Reference reference : template.references()) {
            TokenValue target = target(reference);
            if (target == null) missing = true;
            else
                values.put(
                        reference,
                        reference instanceof PropertyReference property
                                        && !property.steps().isEmpty()
                                ? propertyData(property, target)
                                : ValueData.write(target));
        }
        return missing ? null : ValueData.fill(template, values::get);
    }

    private void reportLoop(int[] path, int depth, int start) {
        List<String> names = new ArrayList<>();
        boolean inside = false;
        for (int i = 0; i <= depth; i++) {
            inside |= path[i] == start;
            if (inside) names.add(index.path(path[i]).dotted());
        }
        int most = 12;
        String loop = names.size() <= most
                ? String.join(" → ", names)
                : String.join(" → ", names.subList(0, most)) + " → … (" + names.size() + " tokens)";
        current = start;
        findings(new Finding(
                "cycle",
                Finding.Weight.MUST,
                path(),
                "References run in a circle: " + loop + " → " + names.get(0) + ".",
                "Give one of these tokens a value of its own.",
                List.of(new Finding.Fix(
                        "Remove " + path(), new Edit.Remove(candidates[start].place(), index.path(start))))));
    }

    private String path() {
        return index.path(current).dotted();
    }

    private void report(String code, String message, String remedy) {
        findings(new Finding(code, Finding.Weight.MUST, path(), message, remedy));
    }

    private void findings(Finding finding) {
        findings.computeIfAbsent(current, id -> new ArrayList<>(1)).add(finding);
    }

    private List<String> nearest(TokenPath wanted) {
        List<String> names = new ArrayList<>(index.size());
        String root = wanted.dotted() + ".$root";
        for (int id = 0; id < index.size(); id++) {
            if (index.path(id).dotted().equals(root)) return List.of(root);
            names.add(index.path(id).dotted());
        }
        return Nearest.names(wanted.dotted(), names);
    }

    private List<Finding.Fix> redirected(Reference reference, List<String> names) {
        Candidate candidate = candidates[current];
        return names.stream()
                .map(name -> new Finding.Fix(
                        "Refer to " + name,
                        new Edit.SetValue(
                                candidate.place(),
                                index.path(current),
                                References.rewrite(
                                        candidate.token().value(),
                                        path -> path.equals(reference.target()) ? TokenPath.of(name) : path))))
                .toList();
    }

    private List<Finding.Fix> retyped(Candidate candidate, TokenValue value) {
        if (candidate.token().meta().type().isEmpty() || value.type().isEmpty()) return List.of();
        return List.of(new Finding.Fix(
                "Say it is a " + typeName(value),
                new Edit.SetMeta(
                        candidate.place(),
                        index.path(current),
                        candidate.token().meta().withType(value.type()))));
    }

    private static String typeName(TokenValue value) {
        return value.type().map(TokenType::id).orElse("value of an unknown type");
    }
}
