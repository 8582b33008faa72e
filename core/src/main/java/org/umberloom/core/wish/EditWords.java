package org.umberloom.core.wish;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.token.ValueText;

/**
 * What a person did, for the history and for undo: the thing, where it differs, and what it is now, as in {@code Text column: 68
 * characters} or {@code Background of article pages: #eaf5e4}.
 */
public final class EditWords {
    /** Roles that people call otherwise than the last part of their path. */
    private static final Map<String, String> NAMES = Map.of(
            "width.text", "Text column",
            "width.content", "Content width",
            "width.wide", "Wide width",
            "width.full", "Full width",
            "width.gutter", "Side padding",
            "shape.radius", "Corner radius",
            "shape.line", "Border width",
            "shape.ring", "Focus ring",
            "shape.ring-gap", "Focus ring gap");
    /** Parts of text styles by the names that they have in a value. */
    private static final Map<String, String> MEMBERS = Map.of(
            "fontFamily", "family",
            "fontSize", "size",
            "fontWeight", "weight",
            "lineHeight", "line height",
            "letterSpacing", "letter spacing");

    private EditWords() {}

    /** @param before the theme that the edit is made to */
    public static String of(Edit edit, ThemeDocument before) {
        if (edit instanceof Edit.Batch batch)
            return batch.edits().stream()
                    .filter(one -> one.label().equals(batch.label()))
                    .findFirst()
                    .map(one -> of(one, before))
                    .orElse(batch.label());
        if (edit instanceof Edit.SetValue set) return value(set.place(), set.path(), set.value(), before);
        if (edit instanceof Edit.Put put) return put(put, before);
        if (edit instanceof Edit.SetMeta meta) return meta(meta);
        if (edit instanceof Edit.Remove remove)
            return named(alone(before, remove), remove.place())
                    + (remove.place() instanceof Place.InScope ? ": reset to theme" : ": removed");
        if (edit instanceof Edit.PutAll all && all.tokens().children().isEmpty())
            return "All values" + where(all.place())
                    + (all.place() instanceof Place.InScope ? ": reset to theme" : ": removed");
        if (edit instanceof Edit.Attach attach) return named(attach.path(), attach.place()) + ": computed again";
        if (edit instanceof Edit.Detach detach) return named(detach.path(), detach.place()) + ": set by hand";
        if (edit instanceof Edit.SetRecipe recipe) return rule(recipe.group(), recipe.recipe(), recipe.place());
        if (edit instanceof Edit.RemoveRecipe recipe) return recipe.group() + where(recipe.place()) + ": rule removed";
        if (edit instanceof Edit.Move move) return move.from() + " renamed to " + move.to();
        if (edit instanceof Edit.SetName name) return "Name of the theme: " + name.name();
        if (edit instanceof Edit.SetDescription) return "Description of the theme";
        if (edit instanceof Edit.SetStyle style) return style.css().isEmpty() ? "Own CSS: removed" : "Own CSS";
        if (edit instanceof Edit.SetPicture picture)
            return "Picture " + picture.name() + (picture.picture().isPresent() ? "" : ": removed");
        return edit.label();
    }

    /** A group that goes for the one token in it is said as that. */
    private static TokenPath alone(ThemeDocument before, Edit.Remove remove) {
        if (!before.places().contains(remove.place())) return remove.path();
        List<TokenPath> gone = before.at(remove.place()).paths().stream()
                .filter(path -> path.isBelow(remove.path()))
                .toList();
        return gone.size() == 1 ? gone.get(0) : remove.path();
    }

    private static String put(Edit.Put put, ThemeDocument before) {
        if (!(put.node() instanceof Token token)) {
            boolean there = before.places().contains(put.place())
                    && before.at(put.place()).find(put.path()).isPresent();
            return named(put.path(), put.place()) + (there ? ": set" : ": added");
        }
        OptionalDouble measure = MeasuredWidths.of(token);
        return measure.isPresent()
                ? measured(put.path(), put.place(), measure.getAsDouble())
                : value(put.place(), put.path(), token.value(), before);
    }

    private static String measured(TokenPath path, Place place, double characters) {
        return named(path, place) + ": " + ValueText.number(characters, 1) + " characters";
    }

    private static String meta(Edit.SetMeta edit) {
        OptionalDouble measure = MeasuredWidths.of(new Token(new Alias(edit.path()), edit.meta()));
        if (measure.isPresent()) return measured(edit.path(), edit.place(), measure.getAsDouble());
        return named(edit.path(), edit.place())
                + (edit.meta().deprecated().isPresent() ? ": deprecated" : ": description");
    }

    private static String value(Place place, TokenPath path, TokenValue value, ThemeDocument before) {
        if (value instanceof TypographyValue style) {
            Optional<TypographyValue> was = before.places().contains(place)
                    ? before.at(place)
                            .token(path)
                            .map(Token::value)
                            .filter(TypographyValue.class::isInstance)
                            .map(TypographyValue.class::cast)
                    : Optional.empty();
            List<String> changed = was.map(old -> changed(old, style)).orElse(List.of());
            if (changed.size() == 1) {
                String part = changed.get(0);
                TokenValue now = style.parts().get(part);
                return named(path, place) + ", " + MEMBERS.getOrDefault(part, words(part)) + ": "
                        + (now == null ? "as usual" : shown(now));
            }
            return named(path, place) + (was.isEmpty() ? ": set" : ": " + changed.size() + " properties");
        }
        return named(path, place) + ": " + shown(value);
    }

    private static List<String> changed(TypographyValue before, TypographyValue after) {
        List<String> names = new ArrayList<>(before.parts().keySet());
        after.parts().keySet().stream().filter(name -> !names.contains(name)).forEach(names::add);
        names.removeIf(name -> Optional.ofNullable(before.parts().get(name))
                .equals(Optional.ofNullable(after.parts().get(name))));
        return names;
    }

    private static String rule(TokenPath group, Recipe recipe, Place place) {
        if (recipe instanceof Recipe.HueRamp) return "Shades of " + group.name() + where(place);
        if (recipe instanceof Recipe.TypeSteps) return "Type scale" + where(place);
        if (recipe instanceof Recipe.SpaceSteps) return "Spacing scale" + where(place);
        return "Shadows" + where(place);
    }

    /** A color of the theme by its short name; all else as it is written. */
    private static String shown(TokenValue value) {
        return value instanceof Alias alias && alias.target().dotted().startsWith("color.")
                ? String.join(
                        " ",
                        alias.target()
                                .segments()
                                .subList(1, alias.target().segments().size()))
                : ValueText.write(value);
    }

    private static String named(TokenPath path, Place place) {
        return name(path) + where(place);
    }

    private static String where(Place place) {
        return place.words("of");
    }

    private static String name(TokenPath path) {
        String known = NAMES.get(path.dotted());
        if (known != null) return known;
        List<String> parts = path.segments();
        String last = path.name();
        String first = parts.get(0);
        if (parts.size() == 3 && first.equals(Surfaces.GROUP)) {
            String role = last.equals("ground") ? "Background" : capital(words(last));
            return role + (parts.get(1).equals(Surfaces.PAGE) ? "" : " on " + parts.get(1));
        }
        if (parts.size() == 3 && first.equals("color"))
            return last.equals(Recipe.HueRamp.SEED) ? "Seed of " + parts.get(1) : capital(parts.get(1)) + " " + last;
        if (parts.size() == 3 && first.equals("part")) return capital(words(parts.get(1))) + " " + words(last);
        if (parts.size() != 2) return path.dotted();
        return switch (first) {
            case "type" -> last.matches("h[1-6]") ? "Heading " + last.substring(1) : capital(words(last)) + " text";
            case "gap", "shadow", "motion" -> capital(words(last)) + " " + first;
            case "size" -> "Size " + last;
            case "space" -> "Space " + last;
            case "color" -> "Hue " + last;
            case Surfaces.GROUP -> "Surface " + last;
            case "family", "face" -> capital(words(last)) + " family";
            default -> path.dotted();
        };
    }

    private static String words(String name) {
        return name.replace('-', ' ').replace('_', ' ').toLowerCase(Locale.ROOT);
    }

    private static String capital(String words) {
        return words.isEmpty() ? words : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
