package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.BiFunction;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;

/**
 * What a theme writes at scopes, as data among the product's extensions of the document: the format has no field for it. Each
 * entry names a page kind, the context it holds under if there is one, and its tokens, inline or by a reference to a file.
 */
final class ScopesData {
    private static final String FIELD = "scopes";
    private static final String UNDER = "under";
    private static final String TOKENS = "tokens";

    private ScopesData() {}

    /** The document's extensions with what is written at scopes. */
    static Map<String, Object> written(ThemeDocument theme, BiFunction<Place.InScope, Group, Object> source) {
        if (theme.scopes().isEmpty()) return theme.extensions();
        List<Object> entries = new ArrayList<>();
        theme.scopes().forEach((place, tokens) -> {
            Map<String, Object> entry = new LinkedHashMap<>();
            entry.put(place.scope().level().id(), place.scope().name());
            place.under().ifPresent(in -> entry.put(UNDER, Map.of(in.modifier(), in.context())));
            entry.put(TOKENS, source.apply(place, tokens));
            entries.add(entry);
        });
        return Meta.withOwn(theme.extensions(), FIELD, Optional.of(entries));
    }

    /** @param tokens reads the tokens of a place from their data */
    static SortedMap<Place.InScope, Group> read(
            Map<String, Object> extensions, BiFunction<String, Object, Group> tokens) {
        SortedMap<Place.InScope, Group> scopes = new TreeMap<>();
        Optional<Object> said = Meta.own(extensions, FIELD);
        if (said.isEmpty()) return scopes;
        for (Object item : Json.list("The scopes", said.get())) {
            Map<String, Object> entry = Json.object("A scope", item);
            Place.InScope place = place(entry);
            if (scopes.put(place, tokens.apply("“" + place + "”", entry.get(TOKENS))) != null)
                throw new FormatException("What is written at “" + place + "” stands there twice.");
        }
        return scopes;
    }

    /** The extensions without what is written at scopes. */
    static Map<String, Object> without(Map<String, Object> extensions) {
        return extensions.get(Meta.OWN) instanceof Map<?, ?> own && own.containsKey(FIELD)
                ? Meta.withOwn(extensions, FIELD, Optional.empty())
                : extensions;
    }

    private static Place.InScope place(Map<String, Object> entry) {
        try {
            String kind = Scope.Level.KIND.id();
            if (entry.containsKey(kind)) {
                Place.InScope always = Place.scope(Scope.kind(Json.string("The name of a scope", entry.get(kind))));
                if (!entry.containsKey(UNDER)) return always;
                Map<String, Object> under = Json.object("The context of a scope", entry.get(UNDER));
                if (under.size() != 1)
                    throw new FormatException("What is written at “" + always + "” holds under one context; it names "
                            + under.size() + ".");
                String modifier = under.keySet().iterator().next();
                return Place.scope(
                        always.scope(), modifier, Json.string("The context of a scope", under.get(modifier)));
            }
        } catch (IllegalArgumentException e) {
            throw e instanceof FormatException known ? known : new FormatException(e.getMessage(), e);
        }
        throw new FormatException("A scope says which page kind it is for.");
    }
}
