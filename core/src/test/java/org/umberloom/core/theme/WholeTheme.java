package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.Token;

/** A theme as a flat list of everything that it holds, so that two can be compared as a whole. */
public final class WholeTheme {
    private WholeTheme() {}

    /**
     * What differs between two themes, each by where it is: {@code set:base color.brand.60} for a token or a group, {@code
     * structure …} for sets, modifiers and their order, {@code theme …} for what it says of itself.
     */
    public static Set<String> changes(ThemeDocument before, ThemeDocument after) {
        Map<String, Object> was = flat(before);
        Map<String, Object> is = flat(after);
        Set<String> changed = new LinkedHashSet<>();
        was.forEach((key, value) -> {
            if (!value.equals(is.get(key))) changed.add(key);
        });
        is.keySet().stream().filter(key -> !was.containsKey(key)).forEach(changed::add);
        return changed;
    }

    private static Map<String, Object> flat(ThemeDocument theme) {
        Map<String, Object> all = new LinkedHashMap<>();
        all.put("theme name", theme.name());
        all.put("theme description", theme.description());
        theme.extensions().forEach((name, value) -> {
            if (value instanceof Map<?, ?> parts)
                parts.forEach((part, held) -> all.put("theme " + name + "." + part, held));
            else all.put("theme " + name, value);
        });
        all.put("structure order", theme.order());
        all.put("structure sets", List.copyOf(theme.sets().keySet()));
        all.put("structure modifiers", List.copyOf(theme.modifiers().keySet()));
        theme.sets().forEach((name, set) -> {
            all.put("structure set." + name, List.of(set.description(), set.extensions()));
            tokens(Place.set(name), "", set.tokens(), all);
        });
        theme.modifiers().forEach((name, modifier) -> {
            all.put(
                    "structure modifier." + name,
                    List.of(modifier.description(), modifier.extensions(), modifier.defaultContext()));
            all.put(
                    "structure modifier." + name + ".contexts",
                    List.copyOf(modifier.contexts().keySet()));
            modifier.contexts().forEach((context, tokens) -> tokens(Place.context(name, context), "", tokens, all));
        });
        theme.scopes().forEach((place, tokens) -> tokens(place, "", tokens, all));
        return all;
    }

    private static void tokens(Place place, String path, Node node, Map<String, Object> all) {
        if (node instanceof Token) {
            all.put(place + " " + path, node);
            return;
        }
        Group group = (Group) node;
        // A group that says nothing of itself is no more than the tokens in it.
        if (!group.meta().equals(Group.EMPTY.meta())) all.put(place + " " + path, group.meta());
        List<String> names = new ArrayList<>(group.children().keySet());
        for (String name : names)
            tokens(
                    place,
                    path.isEmpty() ? name : path + "." + name,
                    group.children().get(name),
                    all);
    }
}
