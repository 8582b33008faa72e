package org.umberloom.core.css;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.umberloom.core.contract.Choice;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Role;
import org.umberloom.core.page.PageUse;
import org.umberloom.core.sheet.Selector;
import org.umberloom.core.sheet.SheetReader;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;

/**
 * Elements that a theme puts on other surfaces than their markup names. They have a block of their own, in a later cascade layer than
 * the blocks of surfaces: all properties of the chosen surface, or what earlier layers say, where nothing is chosen.
 *
 * @param selector of the elements
 */
record PutOn(Choice choice, Selector selector) {
    /** Source: CSS Cascade 5, section 7.3.5, “revert-layer”. */
    static final String AS_MARKED_UP = "revert-layer";

    private static final List<PutOn> ALL = all();
    /** Names of all properties that surfaces can have. */
    private static final Set<String> ANY = Stream.concat(
                    Contract.standard().roles().values().stream()
                            .filter(Role::ofSurfaces)
                            .map(role -> CustomProperties.nameOf(role.general())),
                    GroundProperties.NAMES.stream())
            .collect(Collectors.toCollection(LinkedHashSet::new));

    private static List<PutOn> all() {
        List<PutOn> all = new ArrayList<>();
        for (Choice choice : Contract.standard().choices().values())
            choice.stands()
                    .ifPresent(elements -> all.add(new PutOn(
                            choice,
                            SheetReader.read(elements + " { color: inherit; }")
                                    .rules()
                                    .get(0)
                                    .selectors()
                                    .get(0))));
        return List.copyOf(all);
    }

    /** Those for which a theme chooses somewhere, on the pages of a style sheet; on live pages the elements name surfaces themselves. */
    static List<PutOn> of(ThemeDocument theme, Usage usage) {
        return usage.live()
                ? List.of()
                : ALL.stream()
                        .filter(one -> usage.matches(one.selector)
                                && !Choices.writing(theme, one.choice).isEmpty())
                        .toList();
    }

    /** The surfaces that a theme puts them on somewhere. */
    Set<String> surfaces(ThemeDocument theme) {
        Set<String> surfaces = new LinkedHashSet<>();
        Choices.writing(theme, choice).forEach(place -> Choices.at(theme, place, choice)
                .flatMap(choice::surface)
                .ifPresent(surfaces::add));
        return surfaces;
    }

    /** The name of its block; no surface can have such a name. */
    String block() {
        return "{" + choice.name() + "}";
    }

    /** The surface of a spot, by what is chosen there. @param chosen values by the names of choices */
    static String surface(SitePlaces.Spot spot, Map<String, String> chosen) {
        return surface(spot.stands(), chosen).orElse(spot.surface());
    }

    /** The surfaces that something in a spot stands on, by what is chosen there. */
    static Set<String> surfaces(SitePlaces.Spot spot, Map<String, String> chosen) {
        Set<String> all = new LinkedHashSet<>(spot.surfaces());
        spot.standing().forEach(choice -> surface(choice, chosen).ifPresent(all::add));
        all.remove(Surfaces.PAGE);
        return all;
    }

    private static Optional<String> surface(String choice, Map<String, String> chosen) {
        return Optional.ofNullable(Contract.standard().choices().get(choice))
                .flatMap(known -> Optional.ofNullable(chosen.get(choice)).flatMap(known::surface));
    }

    /**
     * @param blocks the properties of all surfaces in a combination
     * @param read   names of those that count for it
     * @param chosen in that combination
     */
    Map<String, String> properties(
            Map<String, Map<String, String>> blocks, Set<String> read, Map<String, String> chosen) {
        Map<String, String> properties = new LinkedHashMap<>();
        Optional<Map<String, String>> surface =
                choice.surface(chosen.getOrDefault(choice.name(), "")).map(name -> TokenBlocks.on(name, blocks));
        for (String name : surface.isPresent() ? TokenBlocks.closed(read, surface.get()) : ANY) {
            String value = surface.map(all -> all.get(name)).orElse(surface.isEmpty() ? AS_MARKED_UP : null);
            if (value != null) properties.put(name, value);
        }
        return properties;
    }

    /** Names of the properties that surfaces have, and that something in such elements reads. */
    Set<String> read(ThemeDocument theme, Usage usage, Collection<String> readings, boolean grounds) {
        PageUse.Standing standing = usage.standing().get(choice.name());
        Set<String> within = new LinkedHashSet<>(readings);
        if (standing != null) {
            Set<String> surfaces = new LinkedHashSet<>(standing.surfaces());
            surfaces.addAll(standing.markedUp());
            Usage inside = Usage.of(standing.needs(), surfaces);
            within.retainAll(Rules.of(theme, usage.places().map(inside::in).orElse(inside))
                    .readings());
        }
        Set<String> names = new LinkedHashSet<>();
        for (String reading : within)
            Contract.standard()
                    .ofReading(reading)
                    .filter(Role::ofSurfaces)
                    .ifPresent(role -> names.add(CustomProperties.nameOf(role.general())));
        if (grounds) names.addAll(GroundProperties.NAMES);
        return names;
    }

    /** Whether a property is as it would be without anything said, whatever the markup of such an element names. */
    static boolean asMarkedUp(
            PageUse.Standing standing, String name, String value, Map<String, Map<String, String>> blocks) {
        return standing != null
                && standing.markedUp().stream()
                        .allMatch(surface -> value.equals(blocks.getOrDefault(surface, Map.of())
                                .getOrDefault(
                                        name, blocks.get(CustomProperties.ROOT).get(name))));
    }
}
