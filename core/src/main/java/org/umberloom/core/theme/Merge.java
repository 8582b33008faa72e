package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;

/**
 * The layers of a combination laid over each other, then completed by what groups take over from others. Sources:
 * Resolver Module 2025.10 (later wins); Format Module 2025.10, section 6, $extends.
 */
final class Merge {
    private final Map<TokenPath, Candidate> merged = new LinkedHashMap<>();
    private final List<Finding> findings = new ArrayList<>();
    private boolean extending;

    private Merge() {}

    static Merge of(Layers layers) {
        Merge merge = new Merge();
        merge.findings.addAll(layers.findings());
        Map<TokenPath, TokenPath> bases = new LinkedHashMap<>();
        Map<TokenPath, Optional<TokenType>> types = new HashMap<>();
        for (Layers.Layer layer : layers.layers()) {
            layer.tokens()
                    .forEachToken((path, token, declared) -> merge.merged.put(
                            path, Candidate.merge(merge.merged.get(path), token, declared, layer.place())));
            if (layer.tokens().hasExtension())
                layer.tokens().forEachGroup((path, group) -> {
                    group.meta().extended().ifPresent(base -> bases.put(path, base));
                    group.meta().type().ifPresent(type -> types.put(path, Optional.of(type)));
                });
        }
        merge.extending = !bases.isEmpty();
        Set<TokenPath> done = new HashSet<>();
        for (TokenPath group : bases.keySet()) merge.extend(group, bases, types, done, new ArrayList<>(), layers);
        return merge;
    }

    Map<TokenPath, Candidate> candidates() {
        return merged;
    }

    List<Finding> findings() {
        return findings;
    }

    /** Whether any group takes over from another. */
    boolean extending() {
        return extending;
    }

    private void extend(
            TokenPath group,
            Map<TokenPath, TokenPath> bases,
            Map<TokenPath, Optional<TokenType>> types,
            Set<TokenPath> done,
            List<TokenPath> open,
            Layers layers) {
        TokenPath base = bases.get(group);
        if (base == null || done.contains(group)) return;
        if (open.contains(group) || base.equals(group) || base.isBelow(group) || group.isBelow(base)) {
            if (done.add(group))
                fault(
                        "extends-cycle",
                        group,
                        "The group " + group + " extends " + base + ", which leads back to itself.",
                        "Let it extend another group, or none.");
            return;
        }
        open.add(group);
        extend(base, bases, types, done, open, layers);
        if (!done.add(group)) return;
        boolean there = layers.layers().stream()
                .anyMatch(layer -> layer.tokens().group(base).isPresent());
        if (!there) {
            List<String> groups = new ArrayList<>();
            layers.layers().forEach(layer -> layer.tokens().forEachGroup((path, node) -> groups.add(path.dotted())));
            fault(
                    "unknown-group",
                    group,
                    "The group " + group + " extends {" + base + "}, which is not there.",
                    Nearest.sentence(base.dotted(), groups, "Add that group, or extend another."));
            return;
        }
        Map<TokenPath, Candidate> taken = new LinkedHashMap<>();
        merged.forEach((path, candidate) -> {
            if (!path.isBelow(base)) return;
            TokenPath own =
                    TokenPath.of(group + path.dotted().substring(base.dotted().length()));
            if (merged.containsKey(own)) return;
            Optional<TokenType> type =
                    candidate.token().meta().type().or(() -> types.getOrDefault(group, candidate.declared()));
            taken.put(own, new Candidate(candidate.token(), type, candidate.place()));
        });
        merged.putAll(taken);
    }

    private void fault(String code, TokenPath path, String message, String remedy) {
        findings.add(new Finding(code, Finding.Weight.MUST, path.dotted(), message, remedy));
    }
}
