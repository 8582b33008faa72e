package org.umberloom.app.theme;

import java.util.LinkedHashMap;
import java.util.Map;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.ThemeDocument;

/** The combinations a bench shows: one for each scheme, everything else at its default. Keyed by the scheme's name. */
public record Combos(Map<String, Resolution> byScheme, ThemeDocument theme) {
    public static Combos of(ThemeDocument theme) {
        Map<String, Resolution> combos = new LinkedHashMap<>();
        Combination defaults = theme.defaults();
        Modifier scheme = theme.modifiers().get(Modifier.SCHEME);
        if (scheme == null) combos.put(Modifier.LIGHT, Resolution.of(theme, defaults));
        else scheme.contexts().keySet().forEach(context ->
                combos.put(context, Resolution.of(theme, defaults.with(Modifier.SCHEME, context))));
        return new Combos(combos, theme);
    }

    /** Everything at its default. */
    public Resolution standard() {
        Modifier scheme = theme.modifiers().get(Modifier.SCHEME);
        return byScheme.get(scheme == null ? Modifier.LIGHT : scheme.defaultContext());
    }

    /** Where a change made while looking at a scheme is written: its own context, or where the default has it. */
    public Place editPlace(String scheme, String path) {
        Modifier modifier = theme.modifiers().get(Modifier.SCHEME);
        if (modifier != null && !scheme.equals(modifier.defaultContext())) return Place.context(Modifier.SCHEME, scheme);
        return standard().find(path).orElseThrow().winner();
    }
}
