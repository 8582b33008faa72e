package org.umberloom.core.theme;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.References;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;

/** Gives tokens other paths, with every reference to them. */
final class Moving {
    private Moving() {}

    /** @throws IllegalArgumentException when there is nothing at the path, or something stands where it should go */
    static ThemeDocument apply(ThemeDocument theme, TokenPath from, TokenPath to) {
        if (from.equals(to)) return theme;
        if (to.isBelow(from)) throw new IllegalArgumentException("“" + from + "” cannot be moved into itself.");
        boolean found = false;
        for (Place place : theme.places()) {
            found |= theme.at(place).find(from).isPresent();
            if (theme.at(place).find(to).isPresent())
                throw new IllegalArgumentException("There already is a “" + to + "” in " + place
                        + ". Choose another name, or remove that one first.");
        }
        if (!found) throw new IllegalArgumentException("There is no “" + from + "” in this theme.");
        UnaryOperator<TokenPath> targets = path -> path.equals(from)
                ? to
                : path.isBelow(from)
                        ? TokenPath.of(
                                to + path.dotted().substring(from.dotted().length()))
                        : path;
        ThemeDocument moved = theme;
        for (Place place : theme.places()) {
            Group root = relocated(theme.at(place), from, to);
            Group rewritten = rewritten(root, targets);
            if (rewritten != theme.at(place)) moved = moved.with(place, rewritten);
        }
        return moved;
    }

    /** In its own group a renamed node keeps its place among its neighbors. */
    private static Group relocated(Group root, TokenPath from, TokenPath to) {
        Optional<Node> node = root.find(from);
        if (node.isEmpty()) return root;
        Optional<TokenPath> parent = from.parent();
        boolean sameGroup = parent.equals(to.parent());
        Node carried = sameGroup ? node.get() : typed(root, from, node.get());
        int index = sameGroup ? root.indexOf(from) : -1;
        Group without = root.without(from);
        return index < 0 ? without.with(to, carried) : without.with(to, carried, index);
    }

    /** A node that leaves its group takes the type along that the groups around it declare. */
    private static Node typed(Group root, TokenPath from, Node node) {
        if (node.meta().type().isPresent()) return node;
        Meta[] around = {root.meta()};
        Node at = root;
        for (String name : from.segments()) {
            at = ((Group) at).children().get(name);
            if (at != null && at != node && at.meta().type().isPresent()) around[0] = at.meta();
        }
        Meta meta = node.meta().withType(around[0].type());
        return node instanceof Token token ? token.withMeta(meta) : ((Group) node).withMeta(meta);
    }

    /** The very same group where nothing in it changes. */
    private static Group rewritten(Group group, UnaryOperator<TokenPath> targets) {
        boolean changed = false;
        Map<String, Node> children = new LinkedHashMap<>();
        for (Map.Entry<String, Node> child : group.children().entrySet()) {
            Node before = child.getValue();
            Node after = before instanceof Group inner ? rewritten(inner, targets) : rewritten((Token) before, targets);
            children.put(child.getKey(), after);
            changed |= after != before;
        }
        Optional<TokenPath> base = group.meta().extended().map(targets);
        Group result = chosen(Recipes.following(changed ? new Group(children, group.meta()) : group, targets), targets);
        return base.equals(group.meta().extended())
                ? result
                : result.withMeta(result.meta().withExtended(base));
    }

    /** A surface that is chosen is known by its path. */
    private static Group chosen(Group group, UnaryOperator<TokenPath> targets) {
        if (!(group.meta().own(Surfaces.CHOSEN).orElse("") instanceof String value)
                || !value.startsWith(Surfaces.GROUP + ".")) return group;
        try {
            String moved = targets.apply(TokenPath.of(value)).dotted();
            return moved.equals(value)
                    ? group
                    : group.withMeta(group.meta().withOwn(Surfaces.CHOSEN, Optional.of(moved)));
        } catch (IllegalArgumentException noPath) {
            return group;
        }
    }

    private static Token rewritten(Token token, UnaryOperator<TokenPath> targets) {
        TokenValue value = References.rewrite(token.value(), targets);
        return value == token.value() ? token : token.withValue(value);
    }
}
