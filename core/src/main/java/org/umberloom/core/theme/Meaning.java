package org.umberloom.core.theme;

import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.token.Meta;

/**
 * What a modifier stands for. It is recorded in the document, under the product's extensions of the modifier; a modifier that
 * records none means what its usual name says.
 *
 * @param contexts which of its contexts has which part: {@code light} and {@code dark} of a scheme, {@code more} of a contrast
 */
public record Meaning(Kind kind, Map<String, String> contexts) {
    /** What modifiers can stand for; {@link #NONE} for whatever else varies. */
    public enum Kind {
        SCHEME,
        CONTRAST,
        DENSITY,
        LOOK,
        NONE;

        public String id() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** @throws IllegalArgumentException for another word */
        public static Kind byId(String id) {
            return Arrays.stream(values())
                    .filter(kind -> kind.id().equals(id))
                    .findFirst()
                    .orElseThrow(() -> new IllegalArgumentException("“" + id
                            + "” is no meaning of a modifier: it is scheme, contrast, density, look or none."));
        }
    }

    public static final String LIGHT = "light";
    public static final String DARK = "dark";
    public static final String MORE = "more";
    public static final Meaning NOTHING = new Meaning(Kind.NONE, Map.of());
    private static final String FIELD = "meaning";
    private static final String KIND = "kind";

    public Meaning {
        contexts = Collections.unmodifiableMap(new LinkedHashMap<>(contexts));
    }

    /** The modifier that follows the reader's light or dark preference, with its two contexts. */
    public record Scheme(String modifier, String light, String dark) {
        /** The other of the two. */
        public String other(String context) {
            return context.equals(dark) ? light : dark;
        }
    }

    /** The modifier whose one context is for readers who ask for more contrast. */
    public record Contrast(String modifier, String more) {}

    /** What a modifier means; one that is recorded with contexts that are gone means nothing. */
    public static Meaning of(String name, Modifier modifier) {
        Meaning meaning = recorded(modifier).orElseGet(() -> usual(name, modifier));
        boolean whole =
                switch (meaning.kind) {
                    case SCHEME ->
                        meaning.has(modifier, LIGHT)
                                && meaning.has(modifier, DARK)
                                && !meaning.contexts.get(LIGHT).equals(meaning.contexts.get(DARK));
                    case CONTRAST -> meaning.has(modifier, MORE);
                    default -> true;
                };
        return whole ? meaning : NOTHING;
    }

    /** What the document records of a modifier. */
    public static Optional<Meaning> recorded(Modifier modifier) {
        if (!(Meta.own(modifier.extensions(), FIELD).orElse(null) instanceof Map<?, ?> data)) return Optional.empty();
        Map<String, String> contexts = new LinkedHashMap<>();
        data.forEach((key, value) -> {
            if (!key.equals(KIND) && value instanceof String context) contexts.put((String) key, context);
        });
        return Arrays.stream(Kind.values())
                .filter(kind -> kind.id().equals(data.get(KIND)))
                .findFirst()
                .map(kind -> new Meaning(kind, contexts));
    }

    /** What a modifier of that name means when nothing is recorded. Common practice. */
    private static Meaning usual(String name, Modifier modifier) {
        Map<String, String> contexts = new LinkedHashMap<>();
        for (String part : new String[] {LIGHT, DARK, MORE})
            if (modifier.contexts().containsKey(part)) contexts.put(part, part);
        return Arrays.stream(Kind.values())
                .filter(kind -> kind != Kind.NONE && kind.id().equals(name))
                .findFirst()
                .map(kind -> new Meaning(kind, contexts))
                .orElse(NOTHING);
    }

    private boolean has(Modifier modifier, String part) {
        return contexts.containsKey(part) && modifier.contexts().containsKey(contexts.get(part));
    }

    /** The part that a context has, such as {@code dark}; empty for none. */
    public String partOf(String context) {
        return contexts.entrySet().stream()
                .filter(entry -> entry.getValue().equals(context))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse("");
    }

    /** Whether a combination is seen in the dark. */
    public static boolean isDark(ThemeDocument theme, Combination combination) {
        return scheme(theme)
                .filter(scheme -> scheme.dark()
                        .equals(combination
                                .contexts()
                                .getOrDefault(
                                        scheme.modifier(),
                                        theme.modifier(scheme.modifier()).defaultContext())))
                .isPresent();
    }

    /** The first modifier in the order that is a scheme. */
    public static Optional<Scheme> scheme(ThemeDocument theme) {
        return first(theme, Kind.SCHEME).map(name -> {
            Meaning meaning = of(name, theme.modifiers().get(name));
            return new Scheme(name, meaning.contexts.get(LIGHT), meaning.contexts.get(DARK));
        });
    }

    /** The first modifier in the order that is for contrast. */
    public static Optional<Contrast> contrast(ThemeDocument theme) {
        return first(theme, Kind.CONTRAST)
                .map(name -> new Contrast(
                        name, of(name, theme.modifiers().get(name)).contexts.get(MORE)));
    }

    private static Optional<String> first(ThemeDocument theme, Kind kind) {
        return theme.order().stream()
                .filter(ThemeDocument.OrderEntry::modifier)
                .map(ThemeDocument.OrderEntry::name)
                .filter(name -> of(name, theme.modifiers().get(name)).kind == kind)
                .findFirst();
    }

    /** The modifier with this meaning recorded. */
    Modifier in(Modifier modifier) {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put(KIND, kind.id());
        data.putAll(contexts);
        return modifier.withExtensions(Meta.withOwn(modifier.extensions(), FIELD, Optional.of(data)));
    }
}
