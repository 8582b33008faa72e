package org.umberloom.core.css;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Member;
import org.umberloom.core.ground.Grounds;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.limit.Patience;
import org.umberloom.core.page.PageUse;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;

/**
 * The custom properties of every combination as blocks of a stylesheet. The first block holds everything at its default;
 * each further combination writes only what the blocks before it would get wrong, so that the cascade gives in every
 * combination what the resolver gives. Light and dark are one block, by {@code light-dark()}. Pages and spots have blocks of
 * their own, in a later cascade layer, with what differs there from what they would inherit.
 */
final class TokenBlocks {
    /** A theme with more combinations writes only those where at most two modifiers leave their default. */
    private static final int MOST_COMBINATIONS = 256;

    private static final int FEW_LEAVING = 2;

    /** What was written, by the cascade layers it belongs to. */
    record Layers(String tokens, String site, String within, PutOnLayers putOn, String spots) {}

    /** Blocks of elements that are put on other surfaces, on all pages and on some. */
    record PutOnLayers(String tokens, String site) {
        boolean isEmpty() {
            return tokens.isEmpty() && site.isEmpty();
        }
    }

    private record Look(List<Scope> scopes, Map<String, String> leaving) {}

    /**
     * What properties are to be in a combination.
     *
     * @param light in every scheme that has no say of its own; where both schemes are written at once, with their colors as pairs
     * @param dark  what differs from that in the dark
     */
    private record Wanted(Map<String, Map<String, String>> light, Map<String, Map<String, String>> dark) {
        Map<String, Map<String, String>> in(boolean theDark) {
            if (!theDark) return light;
            Map<String, Map<String, String>> both = copy(light);
            dark.forEach((block, properties) ->
                    both.computeIfAbsent(block, key -> new LinkedHashMap<>()).putAll(properties));
            return both;
        }
    }

    /** A block that was written: where and under which contexts it holds, and its properties by surface. */
    private record Written(
            Where where, Map<String, String> conditions, boolean dark, Map<String, Map<String, String>> blocks) {
        boolean holds(Map<String, String> contexts, boolean inTheDark) {
            return contexts.entrySet().containsAll(conditions.entrySet()) && (inTheDark || !dark);
        }

        Written with(Predicate<String> names) {
            Map<String, Map<String, String>> some = new LinkedHashMap<>(blocks);
            some.keySet().removeIf(names.negate());
            return new Written(where, conditions, dark, some);
        }

        int weight() {
            return conditions.size() + (dark ? 1 : 0) + (where.root().isEmpty() ? 0 : 1);
        }
    }

    private static final Pattern REFERENCE = Pattern.compile("var\\((--[^)]+)\\)");

    private final List<Written> written = new ArrayList<>();
    private final Map<Look, Wanted> known = new HashMap<>();
    private final ThemeDocument theme;
    private final Usage usage;
    private final Collection<String> roles;
    private final Pictures pictures;
    private final Stacks stacks;
    private final Optional<Meaning.Scheme> scheme;
    private final Optional<Meaning.Contrast> contrast;
    private final boolean grounds;
    private final List<String> surfaces;
    private final List<PutOn> putOn;
    private final Map<PutOn, Set<String>> readWithin = new HashMap<>();
    private final Function<Combination, Resolution> resolutions;

    private TokenBlocks(
            ThemeDocument theme,
            Collection<String> roles,
            Usage usage,
            Pictures pictures,
            Stacks stacks,
            Function<Combination, Resolution> resolutions) {
        this.theme = theme;
        this.stacks = stacks;
        this.usage = usage;
        this.resolutions = resolutions;
        this.roles = roles;
        this.pictures = pictures;
        grounds = Grounds.any(theme);
        scheme = Meaning.scheme(theme);
        contrast = Meaning.contrast(theme);
        putOn = PutOn.of(theme, usage);
        Set<String> chosen = new HashSet<>();
        putOn.forEach(one -> chosen.addAll(one.surfaces(theme)));
        surfaces = Surfaces.names(theme).stream()
                .filter(surface ->
                        !surface.equals(Surfaces.PAGE) && (usage.hasSurface(surface) || chosen.contains(surface)))
                .toList();
    }

    static Layers of(
            ThemeDocument theme,
            Collection<String> roles,
            Usage usage,
            Pictures pictures,
            Stacks stacks,
            Function<Combination, Resolution> resolutions) {
        return new TokenBlocks(theme, roles, usage, pictures, stacks, resolutions).write();
    }

    private Layers write() {
        List<Map<String, String>> choices = choices();
        for (Where where : Where.of(theme, usage)) for (Map<String, String> leaving : choices) add(where, leaving);
        StringBuilder tokens = new StringBuilder();
        StringBuilder site = new StringBuilder();
        StringBuilder spots = new StringBuilder();
        StringBuilder within = new StringBuilder();
        StringBuilder putOnTokens = new StringBuilder();
        StringBuilder putOnSite = new StringBuilder();
        for (Written block : written) {
            if (block.where.spot().isPresent()) {
                // What is put on another surface does not hear what is said of the one that it names.
                if (!putOn.isEmpty()) within.append(text(block.with(this::isSurface)));
                spots.append(text(putOn.isEmpty() ? block : block.with(name -> !isSurface(name))));
                continue;
            }
            boolean everywhere = block.where.everywhere();
            (everywhere ? tokens : site).append(text(block.with(name -> !isPutOn(name))));
            (everywhere ? putOnTokens : putOnSite).append(text(block.with(this::isPutOn)));
        }
        return new Layers(
                tokens.toString(),
                site.toString(),
                within.toString(),
                new PutOnLayers(putOnTokens.toString(), putOnSite.toString()),
                spots.toString());
    }

    private PageUse.Standing standing(String block) {
        return usage.standing().get(block.substring(1, block.length() - 1));
    }

    private boolean isSurface(String block) {
        return !block.equals(CustomProperties.ROOT) && !isPutOn(block);
    }

    private boolean isPutOn(String block) {
        return putOn.stream().anyMatch(one -> one.block().equals(block));
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
        String root = ":root" + block.where.root();
        if (!block.dark) return text(media, root + unsaid + conditions(conditions), block);
        Meaning.Scheme known = scheme.orElseThrow();
        String attribute = Stylesheet.attribute(known.modifier());
        return text(
                        and("(prefers-color-scheme: dark)", media),
                        root + ":not([" + attribute + "])" + unsaid + conditions(conditions),
                        block)
                + text(
                        media,
                        root + "[" + attribute + "=" + CssEscape.string(known.dark()) + "]" + unsaid
                                + conditions(conditions),
                        block);
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

    private void add(Where where, Map<String, String> leaving) {
        Patience.ask();
        Wanted wanted = wanted(where.reaching(), leaving);
        emit(where, leaving, false, wanted);
        if (paired(leaving)) emit(where, leaving, true, wanted);
    }

    /** Whether light and dark are both left open. */
    private boolean paired(Map<String, String> leaving) {
        return scheme.isPresent() && !leaving.containsKey(scheme.get().modifier());
    }

    private Wanted wanted(List<Scope> scopes, Map<String, String> leaving) {
        List<Scope> written = scopes.stream().filter(theme::writesAt).toList();
        Look look = new Look(written, leaving);
        Wanted at = known.get(look);
        if (at == null) known.put(look, at = compute(look));
        return at;
    }

    private Wanted compute(Look look) {
        Combination combination = theme.defaults().at(look.scopes);
        for (Map.Entry<String, String> entry : look.leaving.entrySet())
            combination = combination.with(entry.getKey(), entry.getValue());
        if (!paired(look.leaving)) return new Wanted(properties(combination), Map.of());
        String modifier = scheme.orElseThrow().modifier();
        Map<String, Map<String, String>> light =
                properties(combination.with(modifier, scheme.get().light()));
        Map<String, Map<String, String>> dark =
                properties(combination.with(modifier, scheme.get().dark()));
        pairColors(light, dark);
        return new Wanted(light, dark);
    }

    private Map<String, Map<String, String>> properties(Combination combination) {
        Resolution resolution = resolutions.apply(combination);
        CustomProperties properties = CustomProperties.of(resolution, roles, surfaces);
        Map<String, Map<String, String>> blocks = copy(stacks.in(
                (grounds ? properties.standingOn(Grounds.of(theme, resolution, pictures), resolution) : properties)
                        .blocks()));
        if (putOn.isEmpty()) return blocks;
        Map<String, String> chosen = Choices.of(theme, combination);
        Map<String, Map<String, String>> all = new LinkedHashMap<>(blocks);
        putOn.forEach(one -> all.put(
                one.block(),
                one.properties(
                        blocks,
                        readWithin.computeIfAbsent(one, key -> key.read(theme, usage, roles, grounds)),
                        chosen)));
        return all;
    }

    /** Writes what the cascade so far would get wrong. */
    private void emit(Where where, Map<String, String> conditions, boolean dark, Wanted wanted) {
        Map<String, Map<String, String>> missing = where.spot()
                .map(spot -> missing(where, spot, conditions, dark, wanted.in(dark)))
                .orElseGet(() -> missing(where, conditions, dark, wanted.in(dark)));
        if (!missing.isEmpty()) written.add(new Written(where, conditions, dark, missing));
    }

    private Map<String, Map<String, String>> missing(
            Where where, Map<String, String> conditions, boolean dark, Map<String, Map<String, String>> wanted) {
        Map<String, Map<String, String>> missing = new LinkedHashMap<>();
        Map<String, Map<String, String>> named = new LinkedHashMap<>(wanted);
        // What is only chosen, and named by no page, is said where it is chosen.
        named.keySet().removeIf(block -> isSurface(block) && !usage.hasSurface(block));
        named.forEach((block, properties) -> properties.forEach((name, value) -> {
            Optional<String> cascaded = where.everywhere()
                    ? best(where, conditions, dark, block, name, candidate -> true)
                    : best(where, conditions, dark, block, name, candidate -> !candidate.everywhere())
                            // What is written for some pages lies in a later layer than what holds everywhere.
                            .or(() -> best(where, conditions, dark, block, name, Where::everywhere));
            // Nothing needs to be taken back where nothing was said.
            if (cascaded.isEmpty() && (value.equals(CustomProperties.UNSAID) || value.equals(PutOn.AS_MARKED_UP)))
                return;
            // Nor what elements that are put on a surface have by their markup already.
            if (cascaded.isEmpty() && isPutOn(block) && PutOn.asMarkedUp(standing(block), name, value, wanted)) return;
            if (!cascaded.equals(Optional.of(value)))
                missing.computeIfAbsent(block, key -> new LinkedHashMap<>()).put(name, value);
        }));
        return missing;
    }

    /**
     * What a spot has to say itself: what differs from what surrounds it, and what refers to such; and what surfaces within it
     * are to say otherwise.
     */
    private Map<String, Map<String, String>> missing(
            Where where,
            SitePlaces.Spot spot,
            Map<String, String> conditions,
            boolean dark,
            Map<String, Map<String, String>> wanted) {
        Map<String, Map<String, String>> around =
                wanted(where.around(), conditions).in(dark);
        Map<String, Map<String, String>> missing = new LinkedHashMap<>();
        Map<String, String> own = under(spot, wanted);
        Set<String> differing = differing(own, under(spot, around));
        Set<String> read = usage.everything() ? own.keySet() : read(spot, own);
        Optional<String> putOn = this.putOn.stream()
                .filter(one -> spot.itself() && one.choice().name().equals(spot.stands()))
                .map(PutOn::block)
                .filter(block -> !wanted.get(block).containsValue(PutOn.AS_MARKED_UP))
                .findFirst();
        own.forEach((name, value) -> {
            if (!read.contains(name)) return;
            Optional<String> said = best(where, conditions, dark, CustomProperties.ROOT, name, where::sameSpot);
            Predicate<Where> other = one -> one.spot().isPresent() && !one.sameSpot(where);
            if (said.isEmpty() && putOn.isPresent()) said = best(where, conditions, dark, putOn.get(), name, other);
            else if (said.isEmpty() && spot.names()) said = best(where, conditions, dark, spot.surface(), name, other);
            if (said.map(one -> !one.equals(value)).orElse(differing.contains(name)))
                missing.computeIfAbsent(CustomProperties.ROOT, key -> new LinkedHashMap<>())
                        .put(name, value);
        });
        takenAnew(spot, missing.getOrDefault(CustomProperties.ROOT, Map.of()).keySet())
                .forEach((property, value) -> {
                    if (best(where, conditions, dark, CustomProperties.ROOT, property, where::sameSpot)
                            .isEmpty()) missing.get(CustomProperties.ROOT).put(property, value);
                });
        for (String surface : surfaces) {
            if (!usage.everything() && !spot.surfaces().contains(surface)) continue;
            wanted.getOrDefault(surface, Map.of()).forEach((name, value) -> {
                String said = best(where, conditions, dark, surface, name, one -> one.spot()
                                .isPresent())
                        .orElse(around.getOrDefault(surface, Map.of()).get(name));
                if (!value.equals(said))
                    missing.computeIfAbsent(surface, key -> new LinkedHashMap<>())
                            .put(name, value);
            });
        }
        for (PutOn one : this.putOn) {
            if (!usage.everything() && !spot.standing().contains(one.choice().name())) continue;
            wanted.getOrDefault(one.block(), Map.of()).forEach((name, value) -> {
                String said = best(where, conditions, dark, one.block(), name, from -> from.spot()
                                .isPresent())
                        .orElse(around.getOrDefault(one.block(), Map.of()).get(name));
                if (!value.equals(said))
                    missing.computeIfAbsent(one.block(), key -> new LinkedHashMap<>())
                            .put(name, value);
            });
        }
        return missing;
    }

    /** All properties of a spot, with the surface that it is put on. */
    private Map<String, String> under(SitePlaces.Spot spot, Map<String, Map<String, String>> blocks) {
        Map<String, String> all = on(spot.surface(), blocks);
        putOn.stream()
                .filter(one -> one.choice().name().equals(spot.stands()))
                .forEach(one -> blocks.getOrDefault(one.block(), Map.of()).forEach((name, value) -> {
                    if (!value.equals(PutOn.AS_MARKED_UP)) all.put(name, value);
                }));
        return all;
    }

    /**
     * What a spot takes from around it has a value already when it is handed down: where the spot says another, its own is taken
     * anew (CSS Cascade 5, section 7.2).
     *
     * @param said names of the custom properties that the spot says
     * @return values by CSS properties
     */
    static Map<String, String> takenAnew(SitePlaces.Spot spot, Set<String> said) {
        Map<String, String> taken = new TreeMap<>();
        spot.handed().forEach((property, reading) -> {
            String name = CustomProperties.nameOf(reading);
            if (said.contains(name)) taken.put(property, "var(" + name + (Member.isManner(reading) ? ", unset)" : ")"));
        });
        return taken;
    }

    /** All properties of what stands on a surface. */
    static Map<String, String> on(String surface, Map<String, Map<String, String>> blocks) {
        Map<String, String> all = new LinkedHashMap<>(blocks.get(CustomProperties.ROOT));
        if (!surface.equals(Surfaces.PAGE)) all.putAll(blocks.getOrDefault(surface, Map.of()));
        return all;
    }

    /** The names that say something else than around, and those that refer to such: what is inherited was put in already. */
    static Set<String> differing(Map<String, String> own, Map<String, String> around) {
        Set<String> differing = new HashSet<>();
        own.forEach((name, value) -> {
            if (!value.equals(around.get(name))) differing.add(name);
        });
        boolean more = !differing.isEmpty();
        while (more) {
            more = false;
            for (Map.Entry<String, String> property : own.entrySet())
                if (!differing.contains(property.getKey())
                        && references(property.getValue()).stream().anyMatch(differing::contains))
                    more |= differing.add(property.getKey());
        }
        return differing;
    }

    /** The names that the rules for what is in a spot read, by themselves or through others. */
    private Set<String> read(SitePlaces.Spot spot, Map<String, String> own) {
        Set<String> surfacesThere = new HashSet<>(spot.surfaces());
        surfacesThere.add(spot.surface());
        Set<String> read = new HashSet<>();
        Deque<String> next = new ArrayDeque<>();
        for (String reading :
                Rules.of(theme, Usage.of(spot.needs(), surfacesThere)).readings())
            next.add(CustomProperties.nameOf(reading));
        own.keySet().stream().filter(GroundProperties::isOne).forEach(next::add);
        spot.handed().values().forEach(reading -> next.add(CustomProperties.nameOf(reading)));
        while (!next.isEmpty()) {
            String name = next.poll();
            if (read.add(name) && own.containsKey(name)) next.addAll(references(own.get(name)));
        }
        return read;
    }

    /** Names, and those that their values lead to among the same properties. */
    static Set<String> closed(Set<String> names, Map<String, String> own) {
        Set<String> all = new LinkedHashSet<>();
        Deque<String> next = new ArrayDeque<>(names);
        while (!next.isEmpty()) {
            String name = next.poll();
            if (!own.containsKey(name) || !isOfSurfaces(name) || !all.add(name)) continue;
            next.addAll(references(own.get(name)));
        }
        return all;
    }

    private static boolean isOfSurfaces(String name) {
        return name.startsWith("--" + Surfaces.GROUP + "-") || GroundProperties.isOne(name);
    }

    private static List<String> references(String value) {
        if (!value.contains("var(")) return List.of();
        return REFERENCE.matcher(value).results().map(found -> found.group(1)).toList();
    }

    /** What the blocks written so far come to, of those that a condition lets through. */
    private Optional<String> best(
            Where where, Map<String, String> contexts, boolean dark, String block, String name, Predicate<Where> from) {
        String value = null;
        int best = -1;
        for (Written candidate : written) {
            if (candidate.weight() < best
                    || !from.test(candidate.where)
                    || !candidate.where.covers(where)
                    || !candidate.holds(contexts, dark)) continue;
            String own = candidate.blocks.getOrDefault(block, Map.of()).get(name);
            if (own == null) continue;
            value = own;
            best = candidate.weight();
        }
        return Optional.ofNullable(value);
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
    private String text(String media, String root, Written block) {
        Map<String, Map<String, String>> wide = new LinkedHashMap<>();
        block.blocks.forEach((surface, properties) -> properties.forEach((name, value) -> {
            if (TwoGamuts.isWide(value))
                wide.computeIfAbsent(surface, key -> new LinkedHashMap<>()).put(name, TwoGamuts.wide(value));
        }));
        return sheet(media, root, block.where, block.blocks)
                + sheet(and(media, TwoGamuts.MEDIA), root, block.where, wide);
    }

    private String sheet(String media, String root, Where where, Map<String, Map<String, String>> blocks) {
        StringBuilder css = new StringBuilder();
        blocks.forEach((block, properties) -> {
            if (properties.isEmpty()) return;
            css.append(selector(root, where, block)).append(" {\n");
            properties.forEach((name, value) -> css.append("  ")
                    .append(name)
                    .append(": ")
                    .append(TwoGamuts.narrow(value))
                    .append(";\n"));
            css.append("}\n");
        });
        return media.isEmpty() || css.isEmpty() ? css.toString() : "@media " + media + " {\n" + css + "}\n";
    }

    private String selector(String root, Where where, String block) {
        String section = block.isEmpty()
                ? ""
                : putOn.stream()
                        .filter(one -> one.block().equals(block))
                        .findFirst()
                        .map(one -> one.selector().text())
                        .orElseGet(() -> Stylesheet.surface(block));
        String below = where.spot()
                .map(spot -> Stylesheet.selector(spot.scope()))
                .map(spot -> section.isEmpty() ? spot : ":where(" + spot + ") " + section)
                .orElse(section);
        return below.isEmpty() ? root : root.equals(":root") ? below : root + " " + below;
    }
}
