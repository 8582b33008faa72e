package org.umberloom.core.change;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.ValueText;

/** Groups whose recipe is another, was taken away or was given. What a recipe has only seen anew is no change of it. */
final class RecipeChanges {
    private final ThemeDocument before;
    private final ThemeDocument after;
    private final Map<String, Change> found = new LinkedHashMap<>();

    RecipeChanges(ThemeDocument before, ThemeDocument after) {
        this.before = before;
        this.after = after;
    }

    List<Change> all() {
        for (Place place : after.places())
            if (before.places().contains(place)) compare(place, "", before.at(place), after.at(place));
        return new ArrayList<>(found.values());
    }

    private void compare(Place place, String path, Group was, Group is) {
        if (was == is) return;
        Optional<Recipe> old = Recipes.of(was).map(RecipeChanges::unseen);
        Optional<Recipe> fresh = Recipes.of(is).map(RecipeChanges::unseen);
        if (!path.isEmpty() && !old.equals(fresh)) add(place, TokenPath.of(path), old, fresh);
        for (Map.Entry<String, Node> child : is.children().entrySet())
            if (child.getValue() instanceof Group group && was.children().get(child.getKey()) instanceof Group other)
                compare(place, path.isEmpty() ? child.getKey() : path + "." + child.getKey(), other, group);
    }

    /** Without what a tint saw of the hue that it leans toward. */
    private static Recipe unseen(Recipe recipe) {
        if (!(recipe instanceof Recipe.HueRamp ramp)) return recipe;
        return new Recipe.HueRamp(
                ramp.stops(), ramp.shape(), ramp.tint().map(tint -> new Recipe.Tint(tint.from(), 0, tint.chroma())));
    }

    private void add(Place place, TokenPath path, Optional<Recipe> old, Optional<Recipe> fresh) {
        List<Place> places = new ArrayList<>();
        Change known = found.get(path.dotted());
        if (known != null) places.addAll(known.places());
        places.add(place);
        found.put(
                path.dotted(),
                new Change(
                        Change.Kind.RECIPE,
                        Step.PATCH,
                        path,
                        Optional.empty(),
                        places,
                        Optional.empty(),
                        old.map(RecipeChanges::words).orElse("by hand"),
                        fresh.map(RecipeChanges::words).orElse("by hand"),
                        Optional.empty(),
                        Optional.empty(),
                        Size.OTHER,
                        List.of()));
    }

    /** A recipe in few words, so that two can be told apart by what people set. */
    static String words(Recipe recipe) {
        if (recipe instanceof Recipe.TypeSteps steps) {
            String narrow =
                    end(steps.scale().narrow().base(), steps.scale().narrow().ratio());
            String wide = end(steps.scale().wide().base(), steps.scale().wide().ratio());
            return "sizes from " + narrow + (narrow.equals(wide) ? "" : ", wide " + wide);
        }
        if (recipe instanceof Recipe.SpaceSteps steps)
            return "steps of " + ValueText.number(steps.scale().base(), 2) + " px times "
                    + numbers(steps.scale().factors());
        if (recipe instanceof Recipe.ShadowSteps steps)
            return "light from " + ValueText.number(steps.light().angle(), 0) + "°, heights "
                    + numbers(steps.light().heights());
        Recipe.HueRamp ramp = (Recipe.HueRamp) recipe;
        return ramp.stops().size() + " shades, hue drift "
                + ValueText.number(ramp.shape().hueLight(), 1) + "° and "
                + ValueText.number(ramp.shape().hueDark(), 1) + "°, chroma "
                + ValueText.number(ramp.shape().chromaLight(), 2) + " and "
                + ValueText.number(ramp.shape().chromaDark(), 2)
                + ramp.tint().map(tint -> ", leaning toward " + tint.from()).orElse("");
    }

    private static String end(double base, double ratio) {
        return ValueText.number(base, 2) + " px by " + ValueText.number(ratio, 3);
    }

    private static String numbers(List<Double> numbers) {
        return String.join(
                ", ", numbers.stream().map(one -> ValueText.number(one, 2)).toList());
    }
}
