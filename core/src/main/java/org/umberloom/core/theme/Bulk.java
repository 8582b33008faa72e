package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Derivation;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.Operation;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.ValueText;

/** Edits of several tokens in one step. Each refuses, with a sentence for people, when it would change nothing. */
public final class Bulk {
    private Bulk() {}

    /** Replaces a piece of text in every path that holds it, with all references. Case matters. */
    public static Edit renamePaths(ThemeDocument theme, String find, String replace) {
        if (find.isEmpty()) throw new IllegalArgumentException("Say which part of a path to look for.");
        Set<TokenPath> found = new LinkedHashSet<>();
        for (Place place : theme.places())
            theme.at(place).forEachToken((path, token, type) -> {
                if (path.dotted().contains(find)) found.add(path);
            });
        if (found.isEmpty()) throw new IllegalArgumentException("No path holds “" + find + "”.");
        List<Edit> edits = new ArrayList<>();
        for (TokenPath path : found)
            edits.add(new Edit.Move(path, TokenPath.of(path.dotted().replace(find, replace))));
        return new Edit.Batch(find + " to " + replace + " in " + counted(edits.size(), "path"), edits);
    }

    /**
     * Gives every token that is written as one value another value, in all sets and contexts.
     *
     * @param find    a value as people write it, such as {@code {color.sea.70}} or {@code #ffffff}
     * @param replace likewise
     */
    public static Edit replaceValues(ThemeDocument theme, String find, String replace) {
        List<Edit> edits = new ArrayList<>();
        String wanted = find.trim().toLowerCase(Locale.ROOT);
        for (Place place : theme.places())
            theme.at(place).forEachToken((path, token, declared) -> {
                if (!ValueText.write(token.value()).toLowerCase(Locale.ROOT).equals(wanted)) return;
                TokenType type = token.value().type().or(() -> declared).orElse(typeOf(theme, path));
                if (type != null) edits.add(new Edit.SetValue(place, path, ValueText.parse(type, replace)));
            });
        if (edits.isEmpty()) throw new IllegalArgumentException("No token is written as “" + find.trim() + "”.");
        return new Edit.Batch(find.trim() + " to " + replace.trim() + " in " + counted(edits.size(), "token"), edits);
    }

    private static TokenType typeOf(ThemeDocument theme, TokenPath path) {
        Resolved resolved = Resolution.of(theme, theme.defaults()).tokens().get(path);
        return resolved == null ? null : resolved.type();
    }

    /**
     * Applies one operation to every value of its own in a group: references keep pointing where they point.
     *
     * @param arguments those of the operation without what it is derived from, as people write them
     */
    public static Edit shift(
            ThemeDocument theme, Place place, TokenPath group, Operation operation, List<String> arguments) {
        List<Edit> edits = new ArrayList<>();
        theme.at(place).forEachToken((path, token, declared) -> {
            if (!path.isBelow(group) && !path.equals(group)) return;
            shifted(token, operation, arguments).ifPresent(value -> edits.add(new Edit.SetValue(place, path, value)));
        });
        if (edits.isEmpty())
            throw new IllegalArgumentException("“" + group + "” holds no value here that " + operation.id()
                    + " could change; references are left as they are.");
        return new Edit.Batch(
                operation.id() + " " + String.join(", ", arguments) + " on " + counted(edits.size(), "token") + " of "
                        + group,
                edits);
    }

    private static Optional<TokenValue> shifted(Token token, Operation operation, List<String> arguments) {
        TokenValue value = token.value();
        boolean fits = operation.makesColor()
                ? value instanceof ColorValue
                : value instanceof NumberValue || value instanceof DimensionValue || value instanceof FluidValue;
        if (!fits) return Optional.empty();
        Derivation derivation = operation.withTexts(value, arguments);
        Map<String, TokenValue> literal = new LinkedHashMap<>(derivation.arguments());
        return Optional.of(operation.apply(literal, List.of()).value());
    }

    private static String counted(int count, String word) {
        return count + " " + word + (count == 1 ? "" : "s");
    }
}
