package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.Ramp;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Names;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.ValueText;

/**
 * Keeps the tokens of a group in step with its recipe. Results are written into the document, so that any reader of
 * the open format has the right values; a detached token keeps what was set by hand.
 */
public final class Recipes {
    private static final String FIELD = "recipe";

    private Recipes() {}

    /** The recipe of a group; none where it has one that cannot be read, which {@link #findings} says. */
    public static Optional<Recipe> of(Group group) {
        Optional<Object> written = group.meta().own(FIELD);
        if (written.isEmpty()) return Optional.empty();
        try {
            return Optional.of(RecipeData.read(written.get()));
        } catch (IllegalArgumentException unreadable) {
            return Optional.empty();
        }
    }

    /** Whether a group has a recipe, also one that cannot be read. */
    static boolean any(Group group) {
        return group.meta().own(FIELD).isPresent();
    }

    /** The color that a hue's ramp grows from, where the group has one of its own. */
    public static Optional<Color> seedOf(Group hue) {
        return hue.children().get(Recipe.HueRamp.SEED) instanceof Token seed && seed.value() instanceof ColorValue color
                ? Optional.of(color.color())
                : Optional.empty();
    }

    /** Recipes that cannot be read, and ramps that have nothing to grow from. Their tokens stay as they are. */
    public static List<Finding> findings(ThemeDocument theme) {
        List<Finding> findings = new ArrayList<>();
        for (Place place : theme.places())
            theme.at(place).forEachGroup((path, group) -> {
                Optional<Object> written = group.meta().own(FIELD);
                if (written.isEmpty()) return;
                String fault;
                try {
                    if (!(RecipeData.read(written.get()) instanceof Recipe.HueRamp)
                            || seedOf(group).isPresent()) return;
                    fault = "its token “seed” is missing, or holds no color of its own";
                } catch (IllegalArgumentException unreadable) {
                    fault = unreadable.getMessage();
                }
                findings.add(new Finding(
                        "recipe",
                        Finding.Weight.SHOULD,
                        path.dotted(),
                        "The recipe of " + path + " in " + place + " cannot compute: " + Names.shown(fault)
                                + ". Its tokens keep their values.",
                        "Give it what it needs, or take the recipe away; the tokens stay.",
                        List.of(new Finding.Fix("Take the recipe away", new Edit.RemoveRecipe(place, path)))));
            });
        return findings;
    }

    /** The group with that recipe and its tokens computed. */
    public static Group with(Group group, Recipe recipe) {
        return compute(marked(group, recipe), recipe, values(group).keySet());
    }

    private static Group marked(Group group, Recipe recipe) {
        return group.withMeta(group.meta().withOwn(FIELD, Optional.of(RecipeData.write(recipe))));
    }

    /** The group without its recipe: its tokens stay as they are, each on its own. */
    static Group without(Group group) {
        Group changed = group.withMeta(group.meta().withOwn(FIELD, Optional.empty()));
        for (Map.Entry<String, Node> child : group.children().entrySet())
            if (child.getValue() instanceof Token token && token.detached())
                changed = changed.with(TokenPath.of(child.getKey()), token.withDetached(false));
        return changed;
    }

    /** The group whose recipe computes, or starts from, the token at a path. */
    public static Optional<TokenPath> governing(Group root, TokenPath path) {
        return path.parent()
                .filter(group -> root.group(group).flatMap(Recipes::of).isPresent());
    }

    /** What goes when a token goes: with a seed all that grows from it. */
    public static TokenPath whole(Group root, TokenPath path) {
        return path.name().equals(Recipe.HueRamp.SEED) ? governing(root, path).orElse(path) : path;
    }

    /** The group whose recipe computes the token at a path: not its seed, and not a detached token. */
    public static Optional<TokenPath> computing(Group root, TokenPath path) {
        if (root.token(path).map(Token::detached).orElse(true)) return Optional.empty();
        return governing(root, path)
                .filter(group -> values(root.group(group).orElseThrow()).containsKey(path.name()));
    }

    /** The names of the tokens that a group's recipe computes, those that are detached among them. */
    public static Set<String> computed(Group group) {
        return values(group).keySet();
    }

    private static Map<String, TokenValue> values(Group group) {
        return of(group)
                .filter(recipe -> computes(group, recipe))
                .map(recipe -> values(group, recipe))
                .orElse(Map.of());
    }

    private static boolean computes(Group group, Recipe recipe) {
        return !(recipe instanceof Recipe.HueRamp) || seedOf(group).isPresent();
    }

    /** @param former names that a recipe before this one computed; they go, all other tokens stay */
    private static Group compute(Group group, Recipe recipe, Set<String> former) {
        Map<String, TokenValue> values = values(group, recipe);
        Map<String, Node> children = new LinkedHashMap<>();
        if (group.children().get(Recipe.HueRamp.SEED) instanceof Token seed) children.put(Recipe.HueRamp.SEED, seed);
        values.forEach((name, value) -> {
            Node before = group.children().get(name);
            if (before instanceof Token token) children.put(name, token.detached() ? token : token.withValue(value));
            else children.put(name, Token.untyped(value));
        });
        group.children().forEach((name, node) -> {
            boolean computedBefore = former.contains(name) && node instanceof Token token && !token.detached();
            if (!computedBefore) children.putIfAbsent(name, node);
        });
        TokenType type = recipe instanceof Recipe.HueRamp
                ? TokenType.COLOR
                : recipe instanceof Recipe.ShadowSteps ? TokenType.SHADOW : TokenType.DIMENSION;
        Group typed = group.meta().type().isPresent()
                ? group
                : group.withMeta(group.meta().withType(Optional.of(type)));
        return new Group(children, typed.meta());
    }

    private static Map<String, TokenValue> values(Group group, Recipe recipe) {
        if (recipe instanceof Recipe.TypeSteps steps) return steps.scale().steps();
        if (recipe instanceof Recipe.SpaceSteps steps) return steps.scale().steps();
        if (recipe instanceof Recipe.ShadowSteps steps) return steps.light().steps();
        Recipe.HueRamp ramp = (Recipe.HueRamp) recipe;
        Color seed = seedOf(group)
                .orElseThrow(() ->
                        new IllegalArgumentException("A hue needs a token “seed” that holds a color of its own."));
        Map<String, TokenValue> shades = new LinkedHashMap<>();
        for (Ramp.Shade shade : Ramp.grow(ramp.start(seed), ramp.stops(), ramp.shape()))
            shades.put(stopName(shade.stop()), new ColorValue(shade.color()));
        return shades;
    }

    /** The groups of hues that lean toward a hue. */
    static List<TokenPath> leaningOn(Group root, TokenPath hue) {
        List<TokenPath> leaning = new ArrayList<>();
        root.forEachGroup((path, group) -> tint(group)
                .filter(tint -> tint.from().equals(hue) && !path.equals(hue))
                .ifPresent(tint -> leaning.add(path)));
        return leaning;
    }

    private static Optional<Recipe.Tint> tint(Group group) {
        return of(group).filter(Recipe.HueRamp.class::isInstance).flatMap(recipe -> ((Recipe.HueRamp) recipe).tint());
    }

    /** The root with a group whose recipe has seen what it refers to, and computed again. */
    static Group refreshed(Group root, TokenPath path) {
        Group group = root.group(path).orElseThrow();
        return root.with(
                path,
                of(group)
                        .filter(recipe -> computes(group, recipe))
                        .map(recipe -> {
                            Recipe seeing = seeing(root, recipe);
                            return seeing.equals(recipe) ? compute(group, recipe, Set.of()) : with(group, seeing);
                        })
                        .orElse(group));
    }

    /** The group whose tint follows the hue it leans toward to its new path; the very same group where it stays. */
    static Group following(Group group, UnaryOperator<TokenPath> moved) {
        Optional<Recipe.Tint> tint =
                tint(group).filter(leaning -> !moved.apply(leaning.from()).equals(leaning.from()));
        if (tint.isEmpty()) return group;
        Recipe.HueRamp ramp = (Recipe.HueRamp) of(group).orElseThrow();
        return marked(
                group,
                new Recipe.HueRamp(
                        ramp.stops(),
                        ramp.shape(),
                        tint.map(leaning ->
                                new Recipe.Tint(moved.apply(leaning.from()), leaning.angle(), leaning.chroma()))));
    }

    /** A recipe that has seen what it refers to; a tint from a hue that is not there keeps what it last saw. */
    static Recipe seeing(Group root, Recipe recipe) {
        if (!(recipe instanceof Recipe.HueRamp ramp) || ramp.tint().isEmpty()) return recipe;
        Recipe.Tint tint = ramp.tint().get();
        return new Recipe.HueRamp(
                ramp.stops(),
                ramp.shape(),
                Optional.of(seed(root, tint.from()).map(tint::seen).orElse(tint)));
    }

    private static Optional<Color> seed(Group root, TokenPath hue) {
        return root.token(hue.child(Recipe.HueRamp.SEED))
                .map(Token::value)
                .filter(ColorValue.class::isInstance)
                .map(value -> ((ColorValue) value).color());
    }

    /** The name of a stop's token; a dot would split the path, so 2.5 becomes 2-5. */
    private static String stopName(double stop) {
        return ValueText.number(stop, 2).replace('.', '-');
    }
}
