package org.umberloom.core.contract;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiPredicate;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;

/** Where something new goes that has no place yet: to the set where most of its kind stand already. */
public final class Homes {
    /** Kinds of things that are added, by the names that they are asked for with. */
    private static final Map<String, BiPredicate<TokenPath, TokenType>> KINDS = new LinkedHashMap<>();

    static {
        KINDS.put(
                "role",
                (path, type) -> Contract.standard().filledBy(path.dotted()).isPresent());
        KINDS.put("hue", (path, type) -> type == TokenType.COLOR && !path.isBelow(TokenPath.of(Surfaces.GROUP)));
        for (TokenType type : TokenType.values())
            KINDS.put(
                    type.id(),
                    (path, actual) -> actual == type
                            && Contract.standard().filledBy(path.dotted()).isEmpty());
    }

    private Homes() {}

    /** By kind: {@code role}, {@code hue}, {@code choice}, and every type of token. Empty where a person has to choose. */
    public static Map<String, String> of(ThemeDocument theme) {
        List<Place> sets = theme.order().stream()
                .filter(entry -> !entry.modifier())
                .map(entry -> Place.set(entry.name()))
                .toList();
        String only = sets.size() == 1 ? sets.get(0).toString() : "";
        Map<String, String> homes = new LinkedHashMap<>();
        KINDS.forEach((kind, fits) -> homes.put(
                kind,
                sets.stream()
                        .filter(set -> count(theme, set, fits) > 0)
                        .max(Comparator.comparingInt(set -> count(theme, set, fits)))
                        .map(Place::toString)
                        .orElse(only)));
        homes.put(
                "choice",
                sets.stream()
                        .filter(set ->
                                theme.at(set).group(TokenPath.of(Choices.GROUP)).isPresent())
                        .map(Place::toString)
                        .findFirst()
                        .orElse(
                                homes.get("role").isEmpty() && !sets.isEmpty()
                                        ? sets.get(sets.size() - 1).toString()
                                        : homes.get("role")));
        return homes;
    }

    private static int count(ThemeDocument theme, Place set, BiPredicate<TokenPath, TokenType> fits) {
        int[] found = {0};
        theme.at(set).forEachToken((path, token, declared) -> {
            if (declared.or(() -> token.value().type())
                    .filter(type -> fits.test(path, type))
                    .isPresent()) found[0]++;
        });
        return found[0];
    }
}
