package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.TokenPath;

/**
 * Several token files as one theme, without a document that says how they belong together: which are sets that always apply, and which
 * are contexts of a modifier, is proposed from their names and from what they set in common, and may be said otherwise.
 */
public final class TokenFiles {
    /**
     * What a file is in a theme.
     *
     * @param modifier empty for a set
     * @param context  of the modifier; empty for a set
     * @param tokens   how many it holds
     */
    public record Part(String file, String modifier, String context, int tokens) {
        public boolean isSet() {
            return modifier.isEmpty();
        }
    }

    private static final Set<String> SCHEMES = Set.of("light", "dark", "day", "night");
    private static final Set<String> DENSITIES =
            Set.of("compact", "comfortable", "cozy", "roomy", "spacious", "dense", "condensed");
    private static final Set<String> CONTRASTS = Set.of("high-contrast", "highcontrast", "more-contrast", "hc");
    /** Folders that say nothing of what their files have in common. */
    private static final Set<String> PLAIN_FOLDERS = Set.of(
            "",
            "tokens",
            "token",
            "src",
            "core",
            "base",
            "global",
            "globals",
            "primitives",
            "semantic",
            "dist",
            "json",
            "components",
            "component");
    /** Of the tokens of the smaller of two files, so many stand in the other where they are alternatives. */
    private static final double ALTERNATIVES = 0.6;

    private TokenFiles() {}

    /** What the files are, as their names and tokens say. */
    static List<Part> propose(Map<String, Group> files) {
        Map<String, Set<TokenPath>> paths = new LinkedHashMap<>();
        files.forEach((file, tokens) -> paths.put(file, new HashSet<>(tokens.paths())));
        List<Part> parts = new ArrayList<>();
        files.forEach((file, tokens) -> {
            String[] found = byWords(file).or(() -> byFolder(file, paths)).orElse(new String[] {"", ""});
            parts.add(new Part(file, found[0], found[1], tokens.tokenCount()));
        });
        return parts;
    }

    private static Optional<String[]> byWords(String file) {
        List<String> words = Stream.of(base(file).toLowerCase(Locale.ROOT).split("[._\\s]+"))
                .flatMap(word -> Stream.concat(Stream.of(word), Stream.of(word.split("-"))))
                .toList();
        for (String word : words) {
            if (CONTRASTS.contains(word)) return Optional.of(new String[] {"contrast", "more"});
            if (SCHEMES.contains(word)) return Optional.of(new String[] {"scheme", word});
            if (DENSITIES.contains(word)) return Optional.of(new String[] {"density", word});
        }
        return Optional.empty();
    }

    /** Files of one folder that set the same tokens are alternatives to each other. */
    private static Optional<String[]> byFolder(String file, Map<String, Set<TokenPath>> paths) {
        String folder = folder(file);
        if (PLAIN_FOLDERS.contains(folder.toLowerCase(Locale.ROOT))) return Optional.empty();
        List<String> beside = paths.keySet().stream()
                .filter(other -> !other.equals(file) && folder(other).equals(folder))
                .filter(other -> common(paths.get(file), paths.get(other)) >= ALTERNATIVES)
                .toList();
        return beside.isEmpty()
                ? Optional.empty()
                : Optional.of(new String[] {
                    folder.endsWith("s") ? folder.substring(0, folder.length() - 1) : folder, base(file)
                });
    }

    private static double common(Set<TokenPath> one, Set<TokenPath> other) {
        long both = one.stream().filter(other::contains).count();
        int smaller = Math.min(one.size(), other.size());
        return smaller == 0 ? 0 : both / (double) smaller;
    }

    /** The theme that files make as they are said to be. @throws FormatException when none of them is a set or a context */
    static ThemeDocument theme(String name, Map<String, Group> files, List<Part> parts) {
        Map<String, ThemeDocument.TokenSet> sets = new LinkedHashMap<>();
        Map<String, Map<String, Group>> modifiers = new LinkedHashMap<>();
        for (Part part : parts) {
            Group tokens = files.get(part.file());
            if (tokens == null)
                throw new FormatException("There is no file “" + part.file() + "” among those that were given.");
            if (part.isSet()) {
                String set = unique(base(part.file()), sets.keySet());
                sets.put(set, new ThemeDocument.TokenSet("", tokens));
            } else
                modifiers
                        .computeIfAbsent(part.modifier(), key -> new LinkedHashMap<>())
                        .merge(part.context(), tokens, Group::under);
        }
        if (sets.isEmpty()) sets.put("tokens", new ThemeDocument.TokenSet("", Group.EMPTY));
        List<ThemeDocument.OrderEntry> order = new ArrayList<>();
        sets.keySet().forEach(set -> order.add(ThemeDocument.OrderEntry.set(set)));
        Map<String, Modifier> built = new LinkedHashMap<>();
        modifiers.forEach((modifier, contexts) -> {
            String standard = standard(modifier, contexts.keySet());
            Map<String, Group> all = new LinkedHashMap<>();
            if (!contexts.containsKey(standard)) all.put(standard, Group.EMPTY);
            all.putAll(contexts);
            built.put(modifier, new Modifier("", all, standard));
            order.add(ThemeDocument.OrderEntry.modifier(modifier));
        });
        return new ThemeDocument(name, "", sets, built, order, Map.of());
    }

    private static String standard(String modifier, Set<String> contexts) {
        for (String usual : List.of("light", "day", "default", "base", "standard", "regular"))
            if (contexts.contains(usual)) return usual;
        if (contexts.contains("dark")) return "light";
        if (contexts.contains("night")) return "day";
        return modifier.equals("contrast") || contexts.size() == 1
                ? "standard"
                : contexts.iterator().next();
    }

    private static String folder(String file) {
        String[] parts = file.split("/");
        return parts.length < 2 ? "" : parts[parts.length - 2];
    }

    /** The name of a file without folders and without what says its form. */
    static String base(String file) {
        return ThemeJson.nameOf(file.substring(file.lastIndexOf('/') + 1)).replaceAll("[/#$]", "-");
    }

    private static String unique(String name, Set<String> taken) {
        String found = name;
        for (int i = 2; taken.contains(found); i++) found = name + " " + i;
        return found;
    }

    /** In a sentence, what the files were taken as. */
    static String said(List<Part> parts) {
        String sets = parts.stream()
                .filter(Part::isSet)
                .map(part -> base(part.file()))
                .collect(Collectors.joining(", "));
        Map<String, Set<String>> modifiers = new LinkedHashMap<>();
        parts.stream().filter(part -> !part.isSet()).forEach(part -> modifiers
                .computeIfAbsent(part.modifier(), key -> new java.util.LinkedHashSet<>())
                .add(part.context()));
        List<String> said = new ArrayList<>();
        if (!sets.isEmpty()) said.add("always applied: " + sets);
        modifiers.forEach((modifier, contexts) -> said.add(modifier + ": " + String.join(" or ", contexts)));
        return parts.size() + " files were read together; " + String.join("; ", said) + ".";
    }
}
