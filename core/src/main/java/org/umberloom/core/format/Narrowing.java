package org.umberloom.core.format;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Names;

/** A theme without some of its contexts, for a kit that needs only part of it. */
public final class Narrowing {
    private Narrowing() {}

    /**
     * @param without contexts by the names of their modifiers; where the default goes, the first that stays takes its place
     * @throws IllegalArgumentException for what is not there, or when nothing of a modifier would stay
     */
    public static ThemeDocument of(ThemeDocument theme, Map<String, Set<String>> without) {
        Map<String, Modifier> kept = new LinkedHashMap<>(theme.modifiers());
        without.forEach((name, contexts) -> {
            Modifier modifier = theme.modifier(name);
            Map<String, Group> left = new LinkedHashMap<>(modifier.contexts());
            for (String context : contexts)
                if (left.remove(context) == null)
                    throw new IllegalArgumentException(
                            "The modifier “" + name + "” has no context “" + Names.shown(context) + "”.");
            if (left.isEmpty())
                throw new IllegalArgumentException("Of the modifier “" + name + "” at least one context has to stay.");
            String standard = left.containsKey(modifier.defaultContext())
                    ? modifier.defaultContext()
                    : left.keySet().iterator().next();
            kept.put(name, new Modifier(modifier.description(), left, standard, modifier.extensions()));
        });
        return new ThemeDocument(
                theme.name(),
                theme.description(),
                theme.sets(),
                kept,
                theme.order(),
                theme.scopes(),
                theme.extensions());
    }
}
