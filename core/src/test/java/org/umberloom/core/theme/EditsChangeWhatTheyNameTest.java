package org.umberloom.core.theme;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.References;
import org.umberloom.core.token.TokenPath;

/** Whatever an edit changes in the whole document, it names; what it does not name stays as it was. */
class EditsChangeWhatTheyNameTest {
    private static final int EDITS = 400;

    @ParameterizedTest
    @ValueSource(longs = {1, 20, 300, 4000, 50000, 600000})
    void inRandomThemes(long seed) {
        RandomThemes random = new RandomThemes(seed);
        ThemeDocument theme = random.theme();
        Set<String> kinds = new TreeSet<>();
        for (int i = 0; i < EDITS; i++) {
            ThemeDocument before = theme;
            Edit edit;
            try {
                edit = random.edit(before);
                theme = edit.applyTo(before).theme();
            } catch (IllegalArgumentException refused) {
                continue;
            }
            List<String> named = named(edit, before);
            for (String change : WholeTheme.changes(before, theme))
                assertThat(named.stream().anyMatch(name -> covers(name, change)) || follows(edit, change, before))
                        .as("seed %d, edit %d, %s changes %s; it names %s", seed, i, edit.label(), change, named)
                        .isTrue();
            kinds.add(edit.getClass().getSimpleName());
        }
        assertThat(kinds).as("kinds of edits that were made").hasSizeGreaterThan(14);
    }

    /** The same place or part, or one below it. */
    private static boolean covers(String name, String change) {
        boolean whole =
                name.endsWith(" ") || name.startsWith("context:") && !name.contains(" ") || name.equals("scope:");
        return change.equals(name) || change.startsWith(name + ".") || whole && change.startsWith(name);
    }

    /** A token that refers to what is moved refers to where it went. */
    private static boolean follows(Edit edit, String change, ThemeDocument before) {
        if (!(edit instanceof Edit.Move move) || !change.contains(":")) return false;
        int space = change.indexOf(' ');
        Optional<Place> place = before.places().stream()
                .filter(one -> one.toString().equals(change.substring(0, space)))
                .findFirst();
        Optional<Node> node = place.flatMap(at -> before.at(at).find(TokenPath.of(change.substring(space + 1))));
        return node.isPresent()
                && References.of(node.get()).stream()
                        .anyMatch(to -> to.equals(move.from())
                                || to.isBelow(move.from())
                                || move.from().isBelow(to));
    }

    private static List<String> named(Edit edit, ThemeDocument theme) {
        if (edit instanceof Edit.Batch batch)
            return batch.edits().stream()
                    .flatMap(one -> named(one, theme).stream())
                    .toList();
        if (edit instanceof Structure structure) return named(structure);
        if (edit instanceof Edit.SetName) return List.of("theme name");
        if (edit instanceof Edit.SetDescription) return List.of("theme description");
        if (edit instanceof Edit.Move move)
            return theme.places().stream()
                    .flatMap(place -> Stream.of(place + " " + move.from(), place + " " + move.to()))
                    .toList();
        if (edit instanceof Edit.SetValue set) return withRecipe(set.place(), set.path(), theme);
        if (edit instanceof Edit.Attach attach) return withRecipe(attach.place(), attach.path(), theme);
        if (edit instanceof Edit.Detach detach) return List.of(detach.place() + " " + detach.path());
        if (edit instanceof Edit.Put put) return List.of(put.place() + " " + put.path());
        if (edit instanceof Edit.Remove remove) return List.of(remove.place() + " " + remove.path());
        if (edit instanceof Edit.SetMeta meta) return List.of(meta.place() + " " + meta.path());
        if (edit instanceof Edit.RemoveRecipe recipe) return List.of(recipe.place() + " " + recipe.group());
        throw new AssertionError("What does " + edit + " name?");
    }

    /** A token that a recipe starts from or computes names all that the recipe computes, and hues that lean toward it. */
    private static List<String> withRecipe(Place place, TokenPath path, ThemeDocument theme) {
        List<String> names = new ArrayList<>(List.of(place + " " + path));
        Group root = theme.at(place);
        Recipes.governing(root, path).ifPresent(governed -> {
            names.add(place + " " + governed);
            Recipes.leaningOn(root, governed).forEach(leaning -> names.add(place + " " + leaning));
        });
        return names;
    }

    private static List<String> named(Structure structure) {
        if (structure instanceof Structure.AddSet add) return set(add.name());
        if (structure instanceof Structure.RemoveSet remove) return set(remove.name());
        if (structure instanceof Structure.AddContext add) return context(add.modifier(), add.name());
        if (structure instanceof Structure.RemoveContext remove) return context(remove.modifier(), remove.name());
        if (structure instanceof Structure.SetDefault standard)
            return List.of("structure modifier." + standard.modifier());
        if (structure instanceof Structure.Reorder) return List.of("structure order");
        if (structure instanceof Structure.Arrange) return List.of("structure sets");
        if (structure instanceof Structure.Describe describe) return List.of("structure modifier." + describe.name());
        if (structure instanceof Structure.RenamePlace renamed) {
            if (renamed.place() instanceof Place.InSet in)
                return Stream.concat(set(in.set()).stream(), set(renamed.name()).stream())
                        .toList();
            Place.InContext in = (Place.InContext) renamed.place();
            List<String> names = new ArrayList<>(context(in.modifier(), in.context()));
            names.addAll(context(in.modifier(), renamed.name()));
            names.add("structure modifier." + in.modifier());
            names.add("scope:");
            return names;
        }
        if (structure instanceof Structure.RenameModifier renamed)
            return List.of(
                    "structure modifiers",
                    "structure order",
                    "structure modifier." + renamed.modifier(),
                    "structure modifier." + renamed.name(),
                    "context:" + renamed.modifier(),
                    "context:" + renamed.name(),
                    "scope:");
        throw new AssertionError("What does " + structure + " name?");
    }

    private static List<String> set(String name) {
        return List.of("structure sets", "structure order", "structure set." + name, "set:" + name + " ");
    }

    private static List<String> context(String modifier, String name) {
        return List.of("structure modifier." + modifier + ".contexts", Place.context(modifier, name) + " ");
    }
}
