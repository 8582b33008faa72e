package org.umberloom.core.css;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.umberloom.core.ground.Grounds;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.limit.Patience;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;

/**
 * The custom properties of every combination as blocks of a stylesheet. The first block holds everything at its default;
 * each further combination writes only what the blocks before it would get wrong, so that the cascade gives in every
 * combination what the resolver gives. Light and dark are one block, by {@code light-dark()}. A scope has blocks of its own, in
 * a later cascade layer, with what differs there from what it would inherit.
 */
final class TokenBlocks {
    /** A theme with more combinations writes only those where at most two modifiers leave their default. */
    private static final int MOST_COMBINATIONS = 256;

    private static final int FEW_LEAVING = 2;

    /** What was written, by the cascade layers it belongs to. */
    record Layers(String tokens, String site) {}

    /** A block that was written: at which scope and under which contexts it holds, and its properties by surface. */
    private record Written(
            Optional<Scope> scope,
            Map<String, String> conditions,
            boolean dark,
            Map<String, Map<String, String>> blocks) {
        boolean holds(Map<String, String> contexts, boolean inTheDark) {
            return contexts.entrySet().containsAll(conditions.entrySet()) && (inTheDark || !dark);
        }

        int weight() {
            return conditions.size() + (dark ? 1 : 0);
        }
    }

    private final List<Written> written = new ArrayList<>();
    private final ThemeDocument theme;
    private final Collection<String> roles;
    private final Pictures pictures;
    private final Optional<Meaning.Scheme> scheme;
    private final Optional<Meaning.Contrast> contrast;
    private final boolean grounds;
    private final Function<Combination, Resolution> resolutions;

    private TokenBlocks(
            ThemeDocument theme,
            Collection<String> roles,
            Pictures pictures,
            Function<Combination, Resolution> resolutions) {
        this.theme = theme;
        this.resolutions = resolutions;
        this.roles = roles;
        this.pictures = pictures;
        grounds = Grounds.any(theme);
        scheme = Meaning.scheme(theme);
        contrast = Meaning.contrast(theme);
    }

    static Layers of(
            ThemeDocument theme,
            Collection<String> roles,
            Usage usage,
            Pictures pictures,
            Function<Combination, Resolution> resolutions) {
        return new TokenBlocks(theme, roles, pictures, resolutions).write(usage);
    }

    private Layers write(Usage usage) {
        List<String> surfaces = Surfaces.names(theme).stream()
                .filter(surface -> !surface.equals(Surfaces.PAGE) && usage.hasSurface(surface))
                .toList();
        List<Optional<Scope>> scopes = new ArrayList<>(List.of(Optional.empty()));
        theme.scopesWritten().stream().filter(usage::hasScope).forEach(scope -> scopes.add(Optional.of(scope)));
        List<Map<String, String>> choices = choices();
        for (Optional<Scope> scope : scopes) for (Map<String, String> leaving : choices) add(scope, leaving, surfaces);
        StringBuilder tokens = new StringBuilder();
        StringBuilder site = new StringBuilder();
        for (Written block : written) (block.scope.isEmpty() ? tokens : site).append(text(block));
        return new Layers(tokens.toString(), site.toString());
    }

    private String text(Written block) {
        String css = rules(block, "", block.conditions, "");
        if (contrast.isEmpty()
                || !contrast.get()
                        .more()
                        .equals(block.conditions.get(contrast.get().modifier()))) return css;
        // Who asks the system for more contrast gets it, unless the page says otherwise.
        Map<String, String> others = new LinkedHashMap<>(block.conditions);
        others.remove(contrast.get().modifier());
        String unsaid = ":not([" + Stylesheet.attribute(contrast.get().modifier()) + "])";
        return css + rules(block, "(prefers-contrast: more)", others, unsaid);
    }

    /** In the dark twice: once for the reader's system, and once for a page that forces it. */
    private String rules(Written block, String media, Map<String, String> conditions, String unsaid) {
        String root = ":root" + block.scope.map(Stylesheet::selector).orElse("");
        if (!block.dark) return text(media, root + unsaid + conditions(conditions), block.blocks);
        Meaning.Scheme known = scheme.orElseThrow();
        String attribute = Stylesheet.attribute(known.modifier());
        return text(
                        and("(prefers-color-scheme: dark)", media),
                        root + ":not([" + attribute + "])" + unsaid + conditions(conditions),
                        block.blocks)
                + text(
                        media,
                        root + "[" + attribute + "=" + CssEscape.string(known.dark()) + "]" + unsaid
                                + conditions(conditions),
                        block.blocks);
    }

    private static String and(String one, String other) {
        return one.isEmpty() || other.isEmpty() ? one + other : one + " and " + other;
    }

    /** For each combination the contexts that leave their default, the fewest first; light and dark count as one. */
    private List<Map<String, String>> choices() {
        List<Map<String, String>> choices = new ArrayList<>(List.of(Map.of()));
        boolean all = theme.combinationCount() <= MOST_COMBINATIONS;
        theme.modifiers().forEach((name, modifier) -> {
            List<Map<String, String>> more = new ArrayList<>();
            for (String context : modifier.contexts().keySet()) {
                boolean paired = scheme.isPresent()
                        && name.equals(scheme.get().modifier())
                        && (context.equals(scheme.get().light())
                                || context.equals(scheme.get().dark()));
                if (paired || context.equals(modifier.defaultContext())) continue;
                for (Map<String, String> choice : choices) {
                    if (!all && choice.size() == FEW_LEAVING) continue;
                    Map<String, String> leaving = new LinkedHashMap<>(choice);
                    leaving.put(name, context);
                    more.add(leaving);
                }
            }
            choices.addAll(more);
        });
        choices.sort(Comparator.comparingInt(Map::size));
        return choices;
    }

    private void add(Optional<Scope> scope, Map<String, String> leaving, List<String> surfaces) {
        Patience.ask();
        Combination combination = scope.map(theme.defaults()::at).orElse(theme.defaults());
        for (Map.Entry<String, String> entry : leaving.entrySet())
            combination = combination.with(entry.getKey(), entry.getValue());
        boolean paired = scheme.isPresent() && !leaving.containsKey(scheme.get().modifier());
        Map<String, Map<String, String>> light = properties(
                paired ? combination.with(scheme.get().modifier(), scheme.get().light()) : combination, surfaces);
        Map<String, Map<String, String>> dark = paired
                ? properties(
                        combination.with(scheme.get().modifier(), scheme.get().dark()), surfaces)
                : Map.of();
        if (paired) pairColors(light, dark);
        emit(scope, leaving, false, light);
        if (!paired) return;
        Map<String, Map<String, String>> inTheDark = copy(light);
        dark.forEach((block, properties) ->
                inTheDark.computeIfAbsent(block, key -> new LinkedHashMap<>()).putAll(properties));
        emit(scope, leaving, true, inTheDark);
    }

    private Map<String, Map<String, String>> properties(Combination combination, List<String> surfaces) {
        Resolution resolution = resolutions.apply(combination);
        CustomProperties properties = CustomProperties.of(resolution, roles, surfaces);
        return copy((grounds ? properties.standingOn(Grounds.of(theme, resolution, pictures), resolution) : properties)
                .blocks());
    }

    /** Writes what the cascade so far would get wrong. */
    private void emit(
            Optional<Scope> scope,
            Map<String, String> conditions,
            boolean dark,
            Map<String, Map<String, String>> wanted) {
        Map<String, Map<String, String>> missing = new LinkedHashMap<>();
        wanted.forEach((block, properties) -> properties.forEach((name, value) -> {
            if (!value.equals(cascaded(scope, conditions, dark, block, name)))
                missing.computeIfAbsent(block, key -> new LinkedHashMap<>()).put(name, value);
        }));
        if (!missing.isEmpty()) written.add(new Written(scope, conditions, dark, missing));
    }

    /** What a scope says itself comes before whatever it inherits: its cascade layer is the later one. */
    private String cascaded(
            Optional<Scope> scope, Map<String, String> contexts, boolean dark, String block, String name) {
        String value = null;
        int best = -1;
        for (Written candidate : written) {
            if (!candidate.scope.equals(scope) || candidate.weight() < best || !candidate.holds(contexts, dark))
                continue;
            String own = candidate.blocks.getOrDefault(block, Map.of()).get(name);
            if (own == null) continue;
            value = own;
            best = candidate.weight();
        }
        return value == null && scope.isPresent() ? cascaded(Optional.empty(), contexts, dark, block, name) : value;
    }

    /** Moves colors that differ in the dark into the light blocks, as one value for both schemes. */
    private static void pairColors(Map<String, Map<String, String>> light, Map<String, Map<String, String>> dark) {
        dark.forEach((block, properties) -> properties.entrySet().removeIf(property -> {
            String value = light.getOrDefault(block, Map.of()).get(property.getKey());
            if (property.getValue().equals(value)) return true;
            if (value == null) {
                if (isColor(property.getValue(), light, dark)) {
                    light.get(CustomProperties.ROOT).putIfAbsent(property.getKey(), property.getValue());
                    return true;
                }
                return false;
            }
            if (!isColor(value, light, dark)) return false;
            light.get(block)
                    .put(
                            property.getKey(),
                            TwoGamuts.join(
                                    value,
                                    property.getValue(),
                                    (inLight, inDark) -> "light-dark(" + inLight + ", " + inDark + ")"));
            return true;
        }));
    }

    private static boolean isColor(
            String value, Map<String, Map<String, String>> light, Map<String, Map<String, String>> dark) {
        if (value.startsWith("#") || value.startsWith("light-dark(")) return true;
        if (!value.startsWith("var(")) return false;
        String name = value.substring(4, value.length() - 1);
        String target = light.get(CustomProperties.ROOT).get(name);
        if (target == null)
            target = dark.getOrDefault(CustomProperties.ROOT, Map.of()).get(name);
        return target != null && isColor(target, light, dark);
    }

    private static Map<String, Map<String, String>> copy(Map<String, Map<String, String>> blocks) {
        Map<String, Map<String, String>> copy = new LinkedHashMap<>();
        blocks.forEach((block, properties) -> copy.put(block, new LinkedHashMap<>(properties)));
        return copy;
    }

    private static String conditions(Map<String, String> contexts) {
        StringBuilder selector = new StringBuilder();
        contexts.forEach((modifier, context) -> selector.append('[')
                .append(Stylesheet.attribute(modifier))
                .append('=')
                .append(CssEscape.string(context))
                .append(']'));
        return selector.toString();
    }

    /** The blocks for every screen, then what differs on one that shows more than sRGB. */
    private static String text(String media, String root, Map<String, Map<String, String>> blocks) {
        Map<String, Map<String, String>> wide = new LinkedHashMap<>();
        blocks.forEach((block, properties) -> properties.forEach((name, value) -> {
            if (TwoGamuts.isWide(value))
                wide.computeIfAbsent(block, key -> new LinkedHashMap<>()).put(name, TwoGamuts.wide(value));
        }));
        return sheet(media, root, blocks) + sheet(and(media, TwoGamuts.MEDIA), root, wide);
    }

    private static String sheet(String media, String root, Map<String, Map<String, String>> blocks) {
        StringBuilder css = new StringBuilder();
        blocks.forEach((block, properties) -> {
            if (properties.isEmpty()) return;
            String section = "[data-surface=" + CssEscape.string(block) + "]";
            css.append(block.isEmpty() ? root : root.equals(":root") ? section : root + " " + section)
                    .append(" {\n");
            properties.forEach((name, value) -> css.append("  ")
                    .append(name)
                    .append(": ")
                    .append(TwoGamuts.narrow(value))
                    .append(";\n"));
            css.append("}\n");
        });
        return media.isEmpty() || css.isEmpty() ? css.toString() : "@media " + media + " {\n" + css + "}\n";
    }
}
