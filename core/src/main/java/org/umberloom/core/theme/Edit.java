package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.stream.Collectors;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.References;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.ValueText;

/**
 * One change of a theme document. Applying it gives the changed document and the edit that takes it back exactly.
 *
 * <p>{@link #applyTo} throws {@link IllegalArgumentException}, with a sentence for people, when the edit does not fit
 * the document; the document is then as it was.
 */
public sealed interface Edit extends Asked
        permits Edit.SetValue,
                Edit.SetRecipe,
                Edit.RemoveRecipe,
                Edit.Attach,
                Edit.Detach,
                Edit.Put,
                Edit.PutAll,
                Edit.Remove,
                Edit.SetMeta,
                Edit.Move,
                Edit.SetName,
                Edit.SetDescription,
                Edit.SetPicture,
                Edit.SetPiece,
                Edit.SetStyle,
                Edit.Batch,
                Structure {
    Applied applyTo(ThemeDocument theme);

    /** It is exact already. */
    @Override
    default Edit in(Seen seen) {
        return this;
    }

    /** What this edit does, in a few words. */
    String label();

    /**
     * What this edit changes. Two edits that touch nothing in common can be made by two people at once.
     */
    default List<Touch> touches() {
        return List.of();
    }

    /** The paths that it takes away from a place of the theme; another place may hold them, too. */
    default List<TokenPath> takesAway(ThemeDocument theme) {
        return List.of();
    }

    /** Every path that what it brings refers to. */
    default Set<TokenPath> refersTo() {
        return Set.of();
    }

    /** Whether both change something in common. */
    default boolean meets(Edit other) {
        for (Touch mine : touches()) for (Touch their : other.touches()) if (mine.meets(their)) return true;
        return false;
    }

    /** A path in a place; the whole place when the path is empty. */
    record Touch(String place, String path) {
        static final String ANYWHERE = "*";
        static final String THEME = "theme";
        static final String STRUCTURE = "structure";

        static List<Touch> at(Place place, TokenPath path) {
            return List.of(new Touch(place.toString(), path.dotted()));
        }

        boolean meets(Touch other) {
            boolean samePlace = place.equals(other.place)
                    || allContexts(this, other)
                    || allContexts(other, this)
                    || tokens() && other.tokens() && (place.equals(ANYWHERE) || other.place.equals(ANYWHERE));
            return samePlace && (path.equals(other.path) || covers(other) || other.covers(this));
        }

        /** The place {@code context:scheme/} stands for all contexts of a modifier. */
        private static boolean allContexts(Touch all, Touch one) {
            return all.place.startsWith("context:") && all.place.endsWith("/") && one.place.startsWith(all.place);
        }

        private boolean tokens() {
            return !place.equals(THEME) && !place.equals(STRUCTURE);
        }

        private boolean covers(Touch other) {
            return path.isEmpty() || other.path.startsWith(path + ".");
        }
    }

    /** The changed document and its way back. */
    record Applied(ThemeDocument theme, Edit inverse) {}

    /**
     * Sets a token's value by hand, making the token when it is new. A recipe that starts from it computes again; a token that
     * a recipe computes is detached.
     */
    record SetValue(Place place, TokenPath path, TokenValue value) implements Edit {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            Group root = theme.at(place);
            if (root.find(path).filter(Group.class::isInstance).isPresent())
                throw new IllegalArgumentException("“" + path + "” is a group; a value can only be set on a token.");
            Optional<TokenPath> hue = Recipes.governing(root, path);
            if (hue.isPresent()
                    && path.name().equals(Recipe.HueRamp.SEED)
                    && Recipes.of(root.group(hue.get()).orElseThrow()).orElseThrow() instanceof Recipe.HueRamp
                    && !(value instanceof ColorValue))
                throw new IllegalArgumentException(
                        "The seed of “" + hue.get() + "” must hold a color of its own: a ramp grows from it.");
            boolean computed = Recipes.computing(root, path).isPresent();
            Token token = root.token(path)
                    .map(before -> before.withProposed(false).withValue(value))
                    .orElse(Token.untyped(value));
            Group changed = root.with(path, computed ? token.withDetached(true) : token);
            Optional<TokenPath> governed = Recipes.governing(root, path);
            if (governed.isEmpty()) return new Applied(theme.with(place, changed), restore(place, root, path));
            List<Edit> back = new ArrayList<>(List.of(restore(place, root, governed.get())));
            changed = Recipes.refreshed(changed, governed.get());
            for (TokenPath leaning : Recipes.leaningOn(changed, governed.get())) {
                changed = Recipes.refreshed(changed, leaning);
                back.add(restore(place, root, leaning));
            }
            return new Applied(theme.with(place, changed), back.size() == 1 ? back.get(0) : new Batch(label(), back));
        }

        @Override
        public Set<TokenPath> refersTo() {
            return References.of(value);
        }

        @Override
        public List<Touch> touches() {
            return Touch.at(place, path);
        }

        @Override
        public String label() {
            return path + " to " + ValueText.write(value);
        }
    }

    /** Gives a group a recipe, or changes it, and computes its tokens. */
    record SetRecipe(Place place, TokenPath group, Recipe recipe) implements Edit {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            Group root = theme.at(place);
            Group before = root.group(group).orElse(Group.EMPTY);
            return new Applied(
                    theme.with(place, root.with(group, Recipes.with(before, Recipes.seeing(root, recipe)))),
                    restore(place, root, group));
        }

        @Override
        public List<Touch> touches() {
            return Touch.at(place, group);
        }

        @Override
        public String label() {
            return "shape " + group;
        }
    }

    /** Gives a detached token back to its group's recipe. */
    record Attach(Place place, TokenPath path) implements Edit {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            Group root = theme.at(place);
            Token token = root.token(path).orElseThrow(() -> missing(path));
            TokenPath governed = Recipes.governing(root, path)
                    .orElseThrow(() -> new IllegalArgumentException("No recipe computes “" + path + "”."));
            Group changed = Recipes.refreshed(root.with(path, token.withDetached(false)), governed);
            return new Applied(theme.with(place, changed), restore(place, root, governed));
        }

        @Override
        public List<Touch> touches() {
            return Touch.at(place, path);
        }

        @Override
        public String label() {
            return "attach " + path;
        }
    }

    /** Puts a whole node at a path, as that child of its group; −1 keeps its place, or makes it the last. */
    record Put(Place place, TokenPath path, Node node, int index) implements Edit {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            Group root = theme.at(place);
            return new Applied(theme.with(place, root.with(path, node, index)), restore(place, root, path));
        }

        @Override
        public Set<TokenPath> refersTo() {
            return References.of(node);
        }

        @Override
        public List<Touch> touches() {
            return Touch.at(place, path);
        }

        @Override
        public String label() {
            return "put " + path;
        }
    }

    /** Removes the token or group at a path. */
    record Remove(Place place, TokenPath path) implements Edit {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            Group root = theme.at(place);
            if (root.find(path).isEmpty()) throw missing(path);
            return new Applied(theme.with(place, root.without(path)), restore(place, root, path));
        }

        @Override
        public List<TokenPath> takesAway(ThemeDocument theme) {
            return List.of(path);
        }

        @Override
        public List<Touch> touches() {
            return Touch.at(place, path);
        }

        @Override
        public String label() {
            return "remove " + path;
        }
    }

    /** Marks a token that a recipe computes as set by hand: it keeps its value from now on. */
    record Detach(Place place, TokenPath path) implements Edit {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            Group root = theme.at(place);
            Token token = root.token(path).orElseThrow(() -> missing(path));
            if (Recipes.computing(root, path).isEmpty())
                throw new IllegalArgumentException(
                        "No recipe computes “" + path + "”, so there is nothing to detach it from.");
            return new Applied(
                    theme.with(place, root.with(path, token.withDetached(true))), restore(place, root, path));
        }

        @Override
        public List<Touch> touches() {
            return Touch.at(place, path);
        }

        @Override
        public String label() {
            return "detach " + path;
        }
    }

    /** Takes a group's recipe away; its tokens stay as they are. */
    record RemoveRecipe(Place place, TokenPath group) implements Edit {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            Group root = theme.at(place);
            Group before = root.group(group)
                    .filter(Recipes::any)
                    .orElseThrow(() -> new IllegalArgumentException("“" + group + "” has no recipe here."));
            return new Applied(
                    theme.with(place, root.with(group, Recipes.without(before))), restore(place, root, group));
        }

        @Override
        public List<Touch> touches() {
            return Touch.at(place, group);
        }

        @Override
        public String label() {
            return "take the recipe from " + group;
        }
    }

    /** Changes what a token or group says about itself: type, description, deprecation, what it extends, extensions. */
    record SetMeta(Place place, TokenPath path, Meta meta) implements Edit {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            Group root = theme.at(place);
            Node node = root.find(path).orElseThrow(() -> missing(path));
            Node changed = node instanceof Token token ? token.withMeta(meta) : ((Group) node).withMeta(meta);
            boolean typesStay = node.meta().type().equals(meta.type());
            return new Applied(
                    theme.with(place, root.with(path, changed)),
                    typesStay ? new SetMeta(place, path, node.meta()) : restore(place, root, path));
        }

        @Override
        public Set<TokenPath> refersTo() {
            return meta.extended().map(Set::of).orElse(Set.of());
        }

        @Override
        public List<Touch> touches() {
            return Touch.at(place, path);
        }

        @Override
        public String label() {
            return "describe " + path;
        }
    }

    /**
     * Gives a token or group another path in every set and context, and rewrites every reference to it and to what lies
     * below it, so that no resolved value changes.
     */
    record Move(TokenPath from, TokenPath to) implements Edit {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            ThemeDocument moved = Moving.apply(theme, from, to);
            return new Applied(moved, Difference.edit("move " + to + " to " + from, moved, theme));
        }

        @Override
        public List<Touch> touches() {
            return List.of(new Touch(Touch.ANYWHERE, from.dotted()), new Touch(Touch.ANYWHERE, to.dotted()));
        }

        @Override
        public String label() {
            return from + " is now " + to;
        }
    }

    /** Renames the theme. */
    record SetName(String name) implements Edit {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            return new Applied(theme.withName(name), new SetName(theme.name()));
        }

        @Override
        public List<Touch> touches() {
            return List.of(new Touch(Touch.THEME, "name"));
        }

        @Override
        public String label() {
            return "rename to " + name;
        }
    }

    /** Says in a sentence what the theme is. */
    record SetDescription(String text) implements Edit {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            return new Applied(theme.withDescription(text), new SetDescription(theme.description()));
        }

        @Override
        public List<Touch> touches() {
            return List.of(new Touch(Touch.THEME, "description"));
        }

        @Override
        public String label() {
            return "describe the theme";
        }
    }

    /** Gives the theme a picture, changes it, or takes it away where there is none to set. */
    record SetPicture(String name, Optional<Picture> picture) implements Edit {
        public SetPicture {
            if (picture.isPresent() && !picture.get().name().equals(name))
                throw new IllegalArgumentException(
                        "The picture is called “" + picture.get().name() + "”, not “" + name + "”.");
        }

        @Override
        public Applied applyTo(ThemeDocument theme) {
            Map<String, Picture> pictures = new LinkedHashMap<>(Picture.of(theme));
            Optional<Picture> before = Optional.ofNullable(pictures.get(name));
            if (picture.isEmpty() && before.isEmpty())
                throw new IllegalArgumentException("This theme has no picture “" + name + "”.");
            List<String> order = List.copyOf(pictures.keySet());
            picture.ifPresentOrElse(one -> pictures.put(name, one), () -> pictures.remove(name));
            Edit back = new SetPicture(name, before);
            // Taken away from the middle it comes back at its place, by setting what stood after it anew.
            if (picture.isEmpty() && order.indexOf(name) < order.size() - 1) {
                List<Edit> anew = new ArrayList<>(List.of(back));
                for (String after : order.subList(order.indexOf(name) + 1, order.size())) {
                    anew.add(new SetPicture(after, Optional.empty()));
                    anew.add(new SetPicture(after, Optional.of(pictures.get(after))));
                }
                back = new Batch(label(), anew);
            }
            return new Applied(Picture.with(theme, pictures), back);
        }

        @Override
        public List<Touch> touches() {
            return List.of(new Touch(Touch.THEME, "picture." + name));
        }

        @Override
        public String label() {
            return picture.isPresent() ? "the picture " + name : "take away the picture " + name;
        }
    }

    /** Gives the theme a style sheet of its own; an empty one takes it away. */
    record SetStyle(String css) implements Edit {
        /** @throws IllegalArgumentException for too long a text */
        public SetStyle {
            if (css.length() > OwnStyle.LONGEST)
                throw new IllegalArgumentException(
                        "A style sheet has at most " + OwnStyle.LONGEST + " letters; this has " + css.length() + ".");
        }

        @Override
        public Applied applyTo(ThemeDocument theme) {
            return new Applied(OwnStyle.with(theme, css), new SetStyle(OwnStyle.of(theme)));
        }

        @Override
        public List<Touch> touches() {
            return List.of(new Touch(Touch.THEME, "css"));
        }

        @Override
        public String label() {
            return css.isEmpty() ? "own style sheet taken away" : "own style sheet";
        }
    }

    /** Gives the theme a piece of markup that all its sites show, changes it, or takes it away where there is none to set. */
    record SetPiece(String name, Optional<SharedPiece> piece) implements Edit {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            SortedMap<String, SharedPiece> pieces = SharedPiece.of(theme);
            Optional<SharedPiece> before = Optional.ofNullable(pieces.get(name));
            if (piece.isEmpty() && before.isEmpty())
                throw new IllegalArgumentException("This theme has no piece “" + name + "”.");
            piece.ifPresentOrElse(one -> pieces.put(name, one), () -> pieces.remove(name));
            return new Applied(SharedPiece.with(theme, pieces), new SetPiece(name, before));
        }

        @Override
        public List<Touch> touches() {
            return List.of(new Touch(Touch.THEME, "piece." + name));
        }

        @Override
        public String label() {
            return piece.map(one -> "the piece “" + one.title() + "” of all sites")
                    .orElse("no more piece “" + name + "” of all sites");
        }
    }

    /** Puts a whole tree of tokens at a place. */
    record PutAll(Place place, Group tokens) implements Edit {
        @Override
        public Applied applyTo(ThemeDocument theme) {
            return new Applied(theme.with(place, tokens), new PutAll(place, theme.at(place)));
        }

        @Override
        public Set<TokenPath> refersTo() {
            return References.of(tokens);
        }

        @Override
        public List<Touch> touches() {
            return List.of(new Touch(place.toString(), ""));
        }

        @Override
        public String label() {
            return "replace all of " + place;
        }
    }

    /** Several edits as one; either all apply or none does. */
    record Batch(String label, List<Edit> edits) implements Edit {
        public Batch {
            edits = List.copyOf(edits);
        }

        @Override
        public List<TokenPath> takesAway(ThemeDocument theme) {
            return edits.stream()
                    .flatMap(edit -> edit.takesAway(theme).stream())
                    .toList();
        }

        @Override
        public Set<TokenPath> refersTo() {
            return edits.stream().flatMap(edit -> edit.refersTo().stream()).collect(Collectors.toSet());
        }

        @Override
        public List<Touch> touches() {
            return edits.stream().flatMap(edit -> edit.touches().stream()).toList();
        }

        @Override
        public Applied applyTo(ThemeDocument theme) {
            ThemeDocument current = theme;
            List<Edit> inverses = new ArrayList<>();
            for (Edit edit : edits) {
                Applied applied = edit.applyTo(current);
                current = applied.theme();
                inverses.add(0, applied.inverse());
            }
            return new Applied(current, new Batch(label, inverses));
        }
    }

    /** The edit that brings back what stood at a path; where nothing stood, it takes away what had to be made. */
    private static Edit restore(Place place, Group before, TokenPath path) {
        Optional<Node> node = before.find(path);
        if (node.isPresent()) return new Put(place, path, node.get(), before.indexOf(path));
        TokenPath made = path;
        Optional<TokenPath> parent = path.parent();
        while (parent.isPresent() && before.find(parent.get()).isEmpty()) {
            made = parent.get();
            parent = made.parent();
        }
        return new Remove(place, made);
    }

    private static IllegalArgumentException missing(TokenPath path) {
        return new IllegalArgumentException("There is no “" + path + "” here.");
    }
}
