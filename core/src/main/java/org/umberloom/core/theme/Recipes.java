package org.umberloom.core.theme;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.color.Ramp;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Group;
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

    private Recipes() {
    }

    /** The recipe of a group. @throws IllegalArgumentException when it has one that cannot be read */
    public static Optional<Recipe> of(Group group) {
        return group.meta().own(FIELD).map(RecipeData::read);
    }

    /** The group with that recipe and its tokens computed. */
    public static Group with(Group group, Recipe recipe) {
        Group marked = group.withMeta(group.meta().withOwn(FIELD, Optional.of(RecipeData.write(recipe))));
        return compute(marked, recipe, values(group).keySet());
    }

    /** The group without its recipe: its tokens stay as they are, each on its own. */
    static Group without(Group group) {
        Group changed = group.withMeta(group.meta().withOwn(FIELD, Optional.empty()));
        for (Map.Entry<String, Node> child : group.children().entrySet())
            if (child.getValue() instanceof Token token && token.detached())
                changed = changed.with(TokenPath.of(child.getKey()), token.withDetached(false));
        return changed;
    }

    /** The group with its recipe's tokens computed again; as it is when it has none. */
    public static Group refresh(Group group) {
        return of(group).map(recipe -> compute(group, recipe, Set.of())).orElse(group);
    }

    /** The group whose recipe computes, or starts from, the token at a path. */
    public static Optional<TokenPath> governing(Group root, TokenPath path) {
        return path.parent().filter(group -> root.group(group).flatMap(Recipes::of).isPresent());
    }

    /** The group whose recipe computes the token at a path: not its seed, and not a detached token. */
    public static Optional<TokenPath> computing(Group root, TokenPath path) {
        if (root.token(path).map(Token::detached).orElse(true)) return Optional.empty();
        return governing(root, path).filter(group -> values(root.group(group).orElseThrow()).containsKey(path.name()));
    }

    private static Map<String, TokenValue> values(Group group) {
        return of(group).map(recipe -> values(group, recipe)).orElse(Map.of());
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
        TokenType type = recipe instanceof Recipe.HueRamp ? TokenType.COLOR : TokenType.DIMENSION;
        Group typed = group.meta().type().isPresent() ? group
                : group.withMeta(group.meta().withType(Optional.of(type)));
        return new Group(children, typed.meta());
    }

    private static Map<String, TokenValue> values(Group group, Recipe recipe) {
        if (recipe instanceof Recipe.TypeSteps steps) return steps.scale().steps();
        if (recipe instanceof Recipe.SpaceSteps steps) return steps.scale().steps();
        Recipe.HueRamp ramp = (Recipe.HueRamp) recipe;
        if (!(group.children().get(Recipe.HueRamp.SEED) instanceof Token seed
                && seed.value() instanceof ColorValue color))
            throw new IllegalArgumentException("A hue needs a token “seed” that holds a color.");
        Map<String, TokenValue> shades = new LinkedHashMap<>();
        for (Ramp.Shade shade : Ramp.grow(color.color(), ramp.stops(), ramp.shape()))
            shades.put(stopName(shade.stop()), new ColorValue(shade.color()));
        return shades;
    }

    /** The name of a stop's token; a dot would split the path, so 2.5 becomes 2-5. */
    private static String stopName(double stop) {
        return ValueText.number(stop, 2).replace('.', '-');
    }
}
