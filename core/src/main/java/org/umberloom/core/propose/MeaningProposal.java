package org.umberloom.core.propose;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.TokenType;

/**
 * What a modifier most likely stands for, told from what its contexts do: of two that change the ground of the page from
 * light to dark, the one with the greater luminance is the light one. Where nothing is told by colors, names are asked.
 */
public final class MeaningProposal {
    /** Words that name grounds, dark contexts and the like. Common practice. */
    private static final Set<String> GROUNDS =
            Set.of("bg", "background", "canvas", "ground", "paper", "surface", "base", "body");

    private static final Set<String> DARK = Set.of("dark", "night", "black", "midnight", "dim", "moon", "evening");
    private static final Set<String> LIGHT = Set.of("light", "day", "white", "morning", "sun", "noon");
    private static final Set<String> MORE = Set.of("high", "more", "strong", "increased", "enhanced");
    private static final Set<String> DENSE = Set.of(
            "compact", "dense", "cozy", "cosy", "tight", "comfortable", "roomy", "spacious", "condensed", "airy");
    /** Relative luminance by which a dark ground differs from a light one. */
    private static final double APART = 0.25;

    private MeaningProposal() {}

    /** A document with the meaning of every modifier recorded that can be told and was not said, with a sentence for each. */
    public static ThemeDocument recorded(ThemeDocument theme, List<String> notes) {
        ThemeDocument changed = theme;
        for (Map.Entry<String, Modifier> entry : theme.modifiers().entrySet()) {
            if (Meaning.recorded(entry.getValue()).isPresent()
                    || !Meaning.of(entry.getKey(), entry.getValue()).equals(Meaning.NOTHING)) continue;
            Meaning meaning = of(changed, entry.getKey());
            boolean taken = meaning.kind() == Meaning.Kind.SCHEME
                            && Meaning.scheme(changed).isPresent()
                    || meaning.kind() == Meaning.Kind.CONTRAST
                            && Meaning.contrast(changed).isPresent();
            if (meaning.equals(Meaning.NOTHING) || taken) continue;
            changed = new org.umberloom.core.theme.Structure.SetMeaning(entry.getKey(), meaning)
                    .applyTo(changed)
                    .theme();
            notes.add(sentence(entry.getKey(), meaning));
        }
        return changed;
    }

    private static String sentence(String name, Meaning meaning) {
        return switch (meaning.kind()) {
            case SCHEME ->
                "“" + name + "” is taken as the scheme: " + meaning.contexts().get(Meaning.LIGHT) + " is light, "
                        + meaning.contexts().get(Meaning.DARK) + " is dark.";
            case CONTRAST ->
                "“" + name + "” is taken as the contrast: " + meaning.contexts().get(Meaning.MORE)
                        + " is for readers who ask for more.";
            default -> "“" + name + "” is taken as the " + meaning.kind().id() + ".";
        };
    }

    /** {@link Meaning#NOTHING} where nothing can be told. */
    public static Meaning of(ThemeDocument theme, String name) {
        Modifier modifier = theme.modifier(name);
        List<String> contexts = List.copyOf(modifier.contexts().keySet());
        if (contexts.size() < 2) return Meaning.NOTHING;
        Optional<String> more = named(contexts, MORE);
        if (words(name).contains("contrast") && more.isPresent())
            return new Meaning(Meaning.Kind.CONTRAST, Map.of(Meaning.MORE, more.get()));
        Optional<Meaning> scheme = byGround(theme, name, contexts).or(() -> byNames(modifier, contexts));
        if (scheme.isPresent()) return scheme.get();
        return named(contexts, DENSE).isPresent() || words(name).contains("density")
                ? new Meaning(Meaning.Kind.DENSITY, Map.of())
                : Meaning.NOTHING;
    }

    private static Optional<Meaning> byGround(ThemeDocument theme, String name, List<String> contexts) {
        Map<String, Double> luminance = new LinkedHashMap<>();
        for (String context : contexts)
            ground(Resolution.of(theme, theme.defaults().with(name, context)))
                    .ifPresent(y -> luminance.put(context, y));
        if (luminance.size() < 2) return Optional.empty();
        String light = contexts.stream()
                .filter(luminance::containsKey)
                .max(java.util.Comparator.comparingDouble(luminance::get))
                .orElseThrow();
        String dark = contexts.stream()
                .filter(luminance::containsKey)
                .min(java.util.Comparator.comparingDouble(luminance::get))
                .orElseThrow();
        return luminance.get(light) - luminance.get(dark) < APART ? Optional.empty() : Optional.of(scheme(light, dark));
    }

    private static Optional<Meaning> byNames(Modifier modifier, List<String> contexts) {
        Optional<String> dark = named(contexts, DARK);
        if (dark.isEmpty()) return Optional.empty();
        String light = named(contexts, LIGHT).orElse(modifier.defaultContext());
        return light.equals(dark.get()) ? Optional.empty() : Optional.of(scheme(light, dark.get()));
    }

    private static Meaning scheme(String light, String dark) {
        Map<String, String> contexts = new LinkedHashMap<>();
        contexts.put(Meaning.LIGHT, light);
        contexts.put(Meaning.DARK, dark);
        return new Meaning(Meaning.Kind.SCHEME, contexts);
    }

    /** Relative luminance of the page's ground, or the mean of what is named like grounds. */
    private static OptionalDouble ground(Resolution resolution) {
        Optional<Worn.Standing> page = Worn.of(resolution).find(Surfaces.path(Surfaces.PAGE, "ground"));
        if (page.isPresent() && !page.get().unset())
            return OptionalDouble.of(Contrast.luminance(((ColorValue) page.get().value()).color()));
        return resolution.tokens().values().stream()
                .filter(token -> token.type() == TokenType.COLOR && groundLike(token))
                .mapToDouble(token -> Contrast.luminance(((ColorValue) token.value()).color()))
                .average();
    }

    private static boolean groundLike(Resolved token) {
        List<String> words = words(token.path().dotted());
        return words.stream().anyMatch(GROUNDS::contains);
    }

    private static Optional<String> named(List<String> contexts, Set<String> words) {
        return contexts.stream()
                .filter(context -> words(context).stream().anyMatch(words::contains))
                .findFirst();
    }

    /** A name's words: divided by what is no letter, and before capitals. */
    private static List<String> words(String name) {
        return List.of(name.replaceAll("(?<=[a-z])(?=[A-Z])", " ")
                .toLowerCase(Locale.ROOT)
                .split("[^\\p{L}]+"));
    }
}
