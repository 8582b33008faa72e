package org.umberloom.core.wish;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.Structure;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;

/** Wishes about sets, modifiers, contexts and scopes. */
public sealed interface PlaceWish extends Wish {
    /** An empty set that applies before the first modifier, so that looks and schemes still win over it. */
    record NewSet(String name) implements PlaceWish {
        @Override
        public Edit in(Seen seen) {
            List<ThemeDocument.OrderEntry> order = seen.theme().order();
            int first = 0;
            while (first < order.size() && !order.get(first).modifier()) first++;
            return new Structure.AddSet(name.trim(), new ThemeDocument.TokenSet("", Group.EMPTY), -1, first);
        }
    }

    /** A modifier with empty contexts, the first its default, that applies after all else. */
    record NewModifier(String name, List<String> contexts) implements PlaceWish {
        @Override
        public Edit in(Seen seen) {
            Map<String, Group> named = new LinkedHashMap<>();
            for (String context : contexts) if (!context.isBlank()) named.put(context.trim(), Group.EMPTY);
            if (named.isEmpty())
                throw new IllegalArgumentException("A modifier needs at least one context, such as roomy, compact.");
            return new Structure.AddModifier(
                    name.trim(),
                    new Modifier("", named, named.keySet().iterator().next()),
                    -1,
                    seen.theme().order().size());
        }
    }

    /** A set or context once more, under another name, right after the one it was copied from. */
    record CopyPlace(Place place, String name) implements PlaceWish {
        @Override
        public Edit in(Seen seen) {
            ThemeDocument theme = seen.theme();
            if (place instanceof Place.InSet in) {
                ThemeDocument.TokenSet set = theme.sets().get(in.set());
                if (set == null) throw new IllegalArgumentException("The theme has no set “" + in.set() + "”.");
                int index = new ArrayList<>(theme.sets().keySet()).indexOf(in.set()) + 1;
                int order = theme.order().indexOf(ThemeDocument.OrderEntry.set(in.set()));
                return new Structure.AddSet(name.trim(), set, index, order < 0 ? -1 : order + 1);
            }
            if (!(place instanceof Place.InContext in))
                throw new IllegalArgumentException(
                        "What is written for pages of one kind cannot be copied as a set or context.");
            int index = new ArrayList<>(theme.modifier(in.modifier()).contexts().keySet()).indexOf(in.context()) + 1;
            return new Structure.AddContext(in.modifier(), name.trim(), theme.at(in), index);
        }
    }

    /** A set or context with all its tokens, or all that is written at a scope, gone. */
    record RemovePlace(Place place) implements PlaceWish {
        @Override
        public Edit in(Seen seen) {
            if (place instanceof Place.InSet in) return new Structure.RemoveSet(in.set());
            if (place instanceof Place.InContext in) return new Structure.RemoveContext(in.modifier(), in.context());
            return new Edit.PutAll(place, Group.EMPTY);
        }
    }

    /** What a modifier stands for; its contexts in order: light and dark of a scheme, the one for more of a contrast. */
    record Mean(String modifier, String kind, List<String> contexts) implements PlaceWish {
        @Override
        public Edit in(Seen seen) {
            Meaning.Kind known = Meaning.Kind.byId(kind);
            List<String> parts =
                    switch (known) {
                        case SCHEME -> List.of(Meaning.LIGHT, Meaning.DARK);
                        case CONTRAST -> List.of(Meaning.MORE);
                        default -> List.of();
                    };
            Map<String, String> named = new LinkedHashMap<>();
            for (int i = 0; i < Math.min(parts.size(), contexts.size()); i++) named.put(parts.get(i), contexts.get(i));
            return new Structure.SetMeaning(modifier, new Meaning(known, named));
        }
    }
}
