package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Names;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;

/** Tokens that are gathered by names which may stand in each other's way, and what was passed over on the way, with its reason. */
final class Gathered {
    private static final int MOST_EXAMPLES = 4;
    private final Map<String, TokenValue> values = new LinkedHashMap<>();
    private final Map<String, List<String>> passedOver = new LinkedHashMap<>();

    /** @param dotted path with names that any text may have given */
    void put(String dotted, TokenValue value) {
        values.put(dotted, value);
    }

    void passOver(String name, String why) {
        passedOver.computeIfAbsent(why, key -> new ArrayList<>()).add(Names.shown(name));
    }

    boolean isEmpty() {
        return values.isEmpty();
    }

    Set<String> paths() {
        return values.keySet();
    }

    /** One sentence for each reason. */
    List<String> notes() {
        List<String> notes = new ArrayList<>();
        passedOver.forEach((why, names) -> notes.add("Passed over, because " + why + ": "
                + String.join(", ", names.subList(0, Math.min(MOST_EXAMPLES, names.size())))
                + (names.size() > MOST_EXAMPLES ? " and " + (names.size() - MOST_EXAMPLES) + " more" : "") + "."));
        return notes;
    }

    /** A token that others stand below becomes their root. Source: Format Module 2025.10, $root. */
    static String placed(String dotted, Set<String> all) {
        return all.stream().anyMatch(other -> other.startsWith(dotted + ".")) ? dotted + ".$root" : dotted;
    }

    /** @param all the paths of every place, so that a name means the same path in each */
    Group tokens(Set<String> all) {
        Group group = Group.EMPTY;
        for (Map.Entry<String, TokenValue> entry : values.entrySet())
            group = group.with(
                    TokenPath.of(placed(entry.getKey(), all)),
                    new Token(
                            entry.getValue(),
                            entry.getValue()
                                    .type()
                                    .map(type -> Meta.typed(type))
                                    .orElse(Meta.NONE)));
        return group;
    }

    static Set<String> all(Iterable<Gathered> places) {
        Set<String> all = new LinkedHashSet<>();
        places.forEach(one -> all.addAll(one.paths()));
        return all;
    }

    Optional<TokenValue> find(String dotted) {
        return Optional.ofNullable(values.get(dotted));
    }
}
