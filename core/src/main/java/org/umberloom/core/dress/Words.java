package org.umberloom.core.dress;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.umberloom.core.json.Json;
import org.umberloom.core.token.TokenPath;

/**
 * How well a name fits a role: the words that the trade uses for it, each with its weight, as data. Common practice.
 */
final class Words {
    /** A word that a name must not hold costs more than any single word brings; one that means a part of a page, less. */
    private static final double AGAINST = 6;

    private static final double OF_A_PART = 3;
    /** A name that says more than it must is less general. */
    private static final double UNKNOWN = 0.6;

    private static final int MOST_TELLING = 3;
    private static final Set<String> PALETTES = Set.of("palette", "primitive", "primitives", "ramp", "ramps");
    /** Words of colors that have a use of their own already; common practice. */
    private static final Set<String> PURPOSES = Set.of(
            "decorative",
            "decoration",
            "illustration",
            "chart",
            "graph",
            "viz",
            "dataviz",
            "series",
            "gradient",
            "status",
            "success",
            "warning",
            "danger",
            "error",
            "info",
            "positive",
            "negative",
            "critical",
            "caution",
            "destructive",
            "invalid",
            "valid",
            "diff",
            "syntax",
            "code",
            "keyword",
            "string",
            "comment",
            "shadow",
            "overlay",
            "backdrop",
            "scrim",
            "skeleton",
            "highlight",
            "selection");

    private static final String EVERY = "*";
    private static final String ANY = "any";
    private static final Map<String, Words> ALL = read();

    private final Map<String, Double> weights = new LinkedHashMap<>();
    private final Set<String> against = new LinkedHashSet<>();
    private final Set<String> needed = new LinkedHashSet<>();
    private final Set<String> any = new LinkedHashSet<>();

    private Words(String of, Map<String, Object> data) {
        data.forEach((word, weight) -> {
            if (word.equals("not")) Json.list(of, weight).forEach(one -> against.add((String) one));
            else if (word.equals(ANY)) Json.list(of, weight).forEach(one -> any.add((String) one));
            else if (word.equals("all")) Json.list(of, weight).forEach(one -> needed.add((String) one));
            else weights.put(word, Json.number(word, weight));
        });
    }

    /** @throws IllegalArgumentException when nothing is known of what is asked for */
    static Words of(String role) {
        Words words = ALL.get(role);
        if (words == null) throw new IllegalArgumentException("no words are known for " + role);
        return words;
    }

    static boolean knows(String role) {
        return ALL.containsKey(role);
    }

    /** Sum of the weights of the words in a path; the last names count for more, and what speaks against it takes away. */
    double score(TokenPath path) {
        Map<String, Double> words = words(path);
        if (!needed.isEmpty() && needed.stream().noneMatch(words::containsKey)) return 0;
        Words every = ALL.get(EVERY);
        double score = 0;
        for (Map.Entry<String, Double> word : words.entrySet()) {
            double weight = weights.getOrDefault(word.getKey(), 0.0);
            score += weight * word.getValue();
            if (against.contains(word.getKey())) score -= AGAINST;
            else if (weight == 0 && every.against.contains(word.getKey())) score -= OF_A_PART;
            else if (weight == 0 && !every.any.contains(word.getKey()) && !isPrefix(path, word.getKey()))
                score -= UNKNOWN;
        }
        return Math.max(0, score);
    }

    /** The words of a path that speak for the role, the most telling first, as a reason for people. */
    String reason(TokenPath path) {
        List<String> telling = words(path).keySet().stream()
                .filter(word -> weights.getOrDefault(word, 0.0) > 0)
                .sorted(Comparator.comparingDouble((String word) -> -weights.get(word)))
                .limit(MOST_TELLING)
                .toList();
        return telling.isEmpty() ? "its name fits" : "its name says “" + String.join("”, “", telling) + "”";
    }

    /** Whether a path names a color of a palette, by a number, rather than a meaning. */
    static boolean isPaletteEntry(TokenPath path) {
        return path.name().matches("[a-zA-Z]?\\d+")
                || PALETTES.contains(path.top().toLowerCase(Locale.ROOT));
    }

    /** Whether a path is of a color that decorates, tells a state or colors code: no ground of a page and no call for action. */
    static boolean hasPurpose(TokenPath path) {
        return words(path).keySet().stream().anyMatch(PURPOSES::contains);
    }

    /** The first name of a path says whose it is, not what for. */
    private static boolean isPrefix(TokenPath path, String word) {
        return path.top().toLowerCase(Locale.ROOT).contains(word);
    }

    /** The words of a path with how much each counts, 0 to 1: names are divided by what is no letter or digit and before capitals. */
    static Map<String, Double> words(TokenPath path) {
        Map<String, Double> words = new LinkedHashMap<>();
        List<String> names = path.segments();
        for (int i = 0; i < names.size(); i++) {
            double counts = i == names.size() - 1 ? 1 : 0.8;
            String[] parts = names.get(i)
                    .replaceAll("(?<=[a-z0-9])(?=[A-Z])", " ")
                    .toLowerCase(Locale.ROOT)
                    .split("[^\\p{L}\\p{N}]+");
            for (int k = 0; k < parts.length; k++) {
                if (parts[k].isEmpty()) continue;
                words.merge(parts[k], counts, Math::max);
                if (k > 0 && parts[k].matches("\\d+")) words.merge(parts[k - 1] + parts[k], counts, Math::max);
            }
        }
        return words;
    }

    private static Map<String, Words> read() {
        try (InputStream in = Words.class.getResourceAsStream("/dress/words.json")) {
            Map<String, Words> all = new LinkedHashMap<>();
            Json.readObject("words.json", new String(in.readAllBytes(), StandardCharsets.UTF_8))
                    .forEach((role, data) -> all.put(role, new Words(role, Json.object(role, data))));
            return all;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
