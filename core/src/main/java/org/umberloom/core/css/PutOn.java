package org.umberloom.core.css;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.contract.Choice;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Role;
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
     * @param blocks   the properties of all surfaces in a combination
     * @param readings of roles that are written
     * @param chosen   in that combination
     */
    Map<String, String> properties(
            Map<String, Map<String, String>> blocks,
            Collection<String> readings,
            boolean grounds,
            Map<String, String> chosen) {
        Set<String> names = new LinkedHashSet<>();
        for (String reading : readings)
            Contract.standard()
                    .ofReading(reading)
                    .filter(Role::ofSurfaces)
                    .ifPresent(role -> names.add(CustomProperties.nameOf(role.general())));
        if (grounds) names.addAll(GroundProperties.NAMES);
        Map<String, String> properties = new LinkedHashMap<>();
        Optional<Map<String, String>> surface =
                choice.surface(chosen.getOrDefault(choice.name(), "")).map(name -> TokenBlocks.on(name, blocks));
        for (String name : names) {
            String value = surface.map(all -> all.get(name)).orElse(surface.isEmpty() ? AS_MARKED_UP : null);
            if (value != null) properties.put(name, value);
        }
        return properties;
    }
}
