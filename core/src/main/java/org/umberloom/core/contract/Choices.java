package org.umberloom.core.contract;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Names;
import org.umberloom.core.token.TokenPath;

/**
 * What a theme chooses. A choice is written at a place as the group {@code choice.NAME}, with its value under the product's
 * extensions: the format has no type for it. Of the places that apply, the last that chooses wins, as with tokens.
 */
public final class Choices {
    /** First segment of every choice's path. */
    public static final String GROUP = "choice";

    private static final String VALUE = Surfaces.CHOSEN;

    /**
     * A choice in a combination.
     *
     * @param place where it is written; none where nobody chose and the standard holds
     */
    public record Chosen(Choice choice, String value, Optional<Place> place) {}

    private Choices() {}

    public static TokenPath path(String choice) {
        return TokenPath.of(GROUP).child(choice);
    }

    /** Every choice with its value in a combination. */
    public static Map<String, String> of(ThemeDocument theme, Combination combination) {
        return values(all(theme, combination));
    }

    /** The values alone, by the names of the choices. */
    public static Map<String, String> values(List<Chosen> all) {
        Map<String, String> values = new LinkedHashMap<>();
        all.forEach(chosen -> values.put(chosen.choice.name(), chosen.value));
        return values;
    }

    /** Every choice, with the place that decides it in a combination. */
    public static List<Chosen> all(ThemeDocument theme, Combination combination) {
        List<Place> applying = theme.applying(combination);
        boolean dark = Meaning.isDark(theme, combination);
        List<Chosen> all = new ArrayList<>();
        for (Choice choice : Contract.standard().choices().values()) {
            Chosen chosen = new Chosen(choice, dark ? choice.dark() : choice.standard(), Optional.empty());
            for (Place place : applying) {
                Optional<String> value = at(theme, place, choice);
                if (value.isPresent()) chosen = new Chosen(choice, value.get(), Optional.of(place));
            }
            all.add(chosen);
        }
        return all;
    }

    /** Whether nothing that is chosen can differ between two states of a theme. */
    public static boolean same(ThemeDocument one, ThemeDocument other) {
        List<Place> places = one.places();
        return one.order().equals(other.order())
                && places.equals(other.places())
                && Meaning.scheme(one).equals(Meaning.scheme(other))
                && one.modifiers().entrySet().stream().allMatch(entry -> entry.getValue()
                        .defaultContext()
                        .equals(other.modifiers().get(entry.getKey()).defaultContext()))
                && places.stream()
                        .allMatch(place -> one.at(place) == other.at(place)
                                || one.at(place).children().get(GROUP)
                                        == other.at(place).children().get(GROUP));
    }

    /** What is written at a place; a value that the choice does not have is as good as none. */
    public static Optional<String> at(ThemeDocument theme, Place place, Choice choice) {
        return written(theme.at(place), choice.name())
                .filter(value -> choice.takes(value, theme) && !tooNarrow(place, choice));
    }

    /** What a region stands on is chosen for whole pages: a spot in it would choose for what is around itself. */
    private static boolean tooNarrow(Place place, Choice choice) {
        return choice.stands().isPresent()
                && place instanceof Place.InScope in
                && in.scope().level().isSpot();
    }

    /** Whether some place of a theme writes a choice. */
    public static List<Place> writing(ThemeDocument theme, Choice choice) {
        return theme.places().stream()
                .filter(place -> at(theme, place, choice).isPresent())
                .toList();
    }

    /**
     * The edit that writes a choice at a place.
     *
     * @param value empty to choose nothing there any more
     * @throws IllegalArgumentException when there is no such choice, or it has no such value
     */
    public static Edit choose(ThemeDocument theme, Place place, String name, Optional<String> value) {
        Choice choice = Optional.ofNullable(Contract.standard().choices().get(name))
                .orElseThrow(() -> new IllegalArgumentException("There is no choice “" + name + "”."));
        if (value.isPresent() && !choice.takes(value.get(), theme))
            throw new IllegalArgumentException("“" + name + "” has no value “" + Names.shown(value.get())
                    + "”: it is one of " + String.join(", ", valuesOf(theme, choice)) + ".");
        if (value.isPresent() && tooNarrow(place, choice))
            throw new IllegalArgumentException("“" + name + "” is chosen for whole pages and wider. "
                    + "A single section names its surface where the page is laid out.");
        TokenPath path = path(name);
        if (theme.at(place).token(path).isPresent())
            throw new IllegalArgumentException(
                    "At “" + path + "” stands a token of the theme's own; give it another path first.");
        Edit edit = written(theme, place, name, value);
        return new Edit.Batch(
                label(name, place) + ": " + value.map(choice::words).orElse("reset"), List.of(edit));
    }

    /** The choice in words, and where it is made if that is not everywhere. */
    private static String label(String name, Place place) {
        return name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1).replace('-', ' ') + place.words("of");
    }

    private static Edit written(ThemeDocument theme, Place place, String name, Optional<String> value) {
        TokenPath path = path(name);
        if (value.isEmpty()) {
            boolean last = theme.at(place)
                    .group(TokenPath.of(GROUP))
                    .filter(group ->
                            group.children().size() == 1 && group.meta().equals(Meta.NONE))
                    .isPresent();
            return new Edit.Remove(place, last ? TokenPath.of(GROUP) : path);
        }
        Group group = theme.at(place).group(path).orElse(Group.EMPTY);
        Meta meta = group.meta().withOwn(VALUE, Optional.of(value.get()));
        return theme.at(place).group(path).isPresent()
                ? new Edit.SetMeta(place, path, meta)
                : new Edit.Put(place, path, new Group(Map.of(), meta), -1);
    }

    /** Choices that are written but not known, each with the place it stands at. */
    public static List<Finding> findings(ThemeDocument theme) {
        List<Finding> findings = new ArrayList<>();
        for (Place place : theme.places())
            theme.at(place).group(TokenPath.of(GROUP)).ifPresent(group -> group.children()
                    .forEach((name, node) -> written(theme.at(place), name)
                            .filter(value -> !known(theme, place, name, value))
                            .ifPresent(value -> findings.add(new Finding(
                                            "choice",
                                            Finding.Weight.SHOULD,
                                            GROUP + "." + name,
                                            "“" + value + "” is written for the choice " + name + " in " + place
                                                    + ", which is not known here.",
                                            "It is kept, and counts for nothing.",
                                            List.of(new Finding.Fix("Remove it", new Edit.Remove(place, path(name)))))
                                    .at(place)))));
        return findings;
    }

    private static boolean known(ThemeDocument theme, Place place, String name, String value) {
        Choice choice = Contract.standard().choices().get(name);
        return choice != null && choice.takes(value, theme) && !tooNarrow(place, choice);
    }

    /** Everything that a choice can be in a theme: its own values, and the surfaces where one of them is chosen. */
    public static List<String> valuesOf(ThemeDocument theme, Choice choice) {
        List<String> values = new ArrayList<>(choice.values().keySet());
        choice.surfaces(theme).forEach(surface -> values.add(Choice.standingOn(surface)));
        return values;
    }

    /** The edits that take back every choice of a surface. */
    public static List<Edit> leaving(ThemeDocument theme, String surface) {
        List<Edit> edits = new ArrayList<>();
        for (Choice choice : Contract.standard().choices().values())
            for (Place place : writing(theme, choice))
                if (at(theme, place, choice).flatMap(choice::surface).equals(Optional.of(surface)))
                    edits.add(written(theme, place, choice.name(), Optional.empty()));
        return edits;
    }

    private static Optional<String> written(Group root, String choice) {
        return root.group(path(choice))
                .flatMap(group -> group.meta().own(VALUE))
                .filter(String.class::isInstance)
                .map(String.class::cast);
    }
}
