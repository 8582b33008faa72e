package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ForeignValue;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;

/**
 * Merges the layers of a combination, then follows aliases. Faults become findings; whatever does not depend on one
 * still resolves. Source: Resolver Module 2025.10 (aliases are resolved after the merge).
 */
public final class Resolver {
    private record Candidate(Token token, Optional<TokenType> declared, Place place) {
    }

    private final Map<TokenPath, Candidate> merged = new LinkedHashMap<>();
    private final Map<TokenPath, Optional<Resolved>> done = new HashMap<>();
    private final Set<TokenPath> open = new LinkedHashSet<>();
    private final List<Finding> findings = new ArrayList<>();

    private Resolver() {
    }

    public static Resolution resolve(ThemeDocument theme, Combination combination) {
        return new Resolver().run(theme, combination);
    }

    private Resolution run(ThemeDocument theme, Combination combination) {
        Layers layers = Layers.of(theme, combination);
        findings.addAll(layers.findings());
        for (Layers.Layer layer : layers.layers())
            layer.tokens().forEachToken((path, token, type) -> merge(layer.place(), path, token, type));
        Map<TokenPath, Resolved> tokens = new LinkedHashMap<>(merged.size() * 2);
        for (TokenPath path : merged.keySet()) resolve(path).ifPresent(resolved -> tokens.put(path, resolved));
        return new Resolution(combination, Collections.unmodifiableMap(tokens), List.copyOf(findings));
    }

    /** A later layer replaces the value; a type that it does not declare itself is kept from below. */
    private void merge(Place place, TokenPath path, Token token, Optional<TokenType> declared) {
        Candidate below = merged.get(path);
        Optional<TokenType> type = declared.or(() -> below == null ? Optional.empty() : below.declared);
        merged.put(path, new Candidate(token, type, place));
    }

    private Optional<Resolved> resolve(TokenPath path) {
        Optional<Resolved> known = done.get(path);
        if (known != null) return known;
        Candidate candidate = merged.get(path);
        if (!open.add(path)) {
            report("cycle", path, "References run in a circle: " + loop(path) + ".",
                    "Give one of these tokens a value of its own.");
            return Optional.empty();
        }
        Optional<Resolved> result = value(path, candidate.token.value())
                .flatMap(value -> typed(path, candidate, value));
        open.remove(path);
        done.put(path, result);
        return result;
    }

    private Optional<TokenValue> value(TokenPath path, TokenValue written) {
        if (written instanceof Alias alias) return follow(path, alias);
        if (written instanceof TypographyValue typography) return members(path, typography);
        if (written instanceof ForeignValue foreign) {
            report("foreign-type", path, "The type “" + foreign.typeId() + "” of " + path + " is not understood here.",
                    "It is kept as it is, and left out of the stylesheet.");
            return Optional.empty();
        }
        return Optional.of(written);
    }

    private Optional<TokenValue> follow(TokenPath path, Alias alias) {
        if (!merged.containsKey(alias.target())) {
            report("unknown-reference", path, path + " refers to " + alias + ", which is not there.",
                    nearest(alias.target()));
            return Optional.empty();
        }
        return resolve(alias.target()).map(Resolved::value);
    }

    private Optional<TokenValue> members(TokenPath path, TypographyValue typography) {
        Map<String, TokenValue> members = new LinkedHashMap<>();
        for (Map.Entry<String, TokenValue> member : typography.members().entrySet()) {
            Optional<TokenValue> value = value(path, member.getValue());
            if (value.isEmpty()) return Optional.empty();
            TokenType expected = TypographyValue.memberType(member.getKey());
            if (!value.get().type().equals(Optional.of(expected))) {
                report("type-mismatch", path, path + " uses a " + typeName(value.get()) + " for " + member.getKey() + ".",
                        "Refer to a " + expected.id() + " there.");
                return Optional.empty();
            }
            members.put(member.getKey(), value.get());
        }
        return Optional.of(TypographyValue.ofMembers(members));
    }

    private Optional<Resolved> typed(TokenPath path, Candidate candidate, TokenValue value) {
        Optional<TokenType> actual = value.type();
        Optional<TokenType> declared = candidate.declared;
        if (declared.isPresent() && !declared.equals(actual)) {
            report("type-mismatch", path, path + " says it is a " + declared.get().id() + ", but its value is a "
                    + typeName(value) + ".", "Change the value, or what the token says of its type.");
            return Optional.empty();
        }
        return actual.map(type -> new Resolved(path, type, value, candidate.token, candidate.place));
    }

    private void report(String code, TokenPath path, String message, String remedy) {
        findings.add(new Finding(code, Finding.Weight.MUST, path.dotted(), message, remedy));
    }

    private String loop(TokenPath start) {
        List<String> names = new ArrayList<>();
        boolean inside = false;
        for (TokenPath path : open) {
            inside |= path.equals(start);
            if (inside) names.add(path.dotted());
        }
        names.add(start.dotted());
        return String.join(" → ", names);
    }

    private String nearest(TokenPath wanted) {
        return Nearest.names(wanted.dotted(), merged.keySet().stream().map(TokenPath::dotted).toList()).stream()
                .map(name -> "{" + name + "}")
                .reduce((a, b) -> a + ", " + b)
                .map(names -> "Nearest names: " + names + ".")
                .orElse("Add that token, or refer to another.");
    }

    private static String typeName(TokenValue value) {
        return value.type().map(TokenType::id).orElse("value of an unknown type");
    }
}
