package org.umberloom.core.theme;

import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.DerivedValue;
import org.umberloom.core.token.References;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;

/** Which tokens a value is computed from, by their numbers; what is not there is left out. */
final class Uses {
    private static final int[] NONE = {};

    private final TokenIndex index;
    private final Layers layers;

    Uses(TokenIndex index, Layers layers) {
        this.index = index;
        this.layers = layers;
    }

    int[] of(TokenValue value) {
        if (value instanceof Alias alias) {
            int id = index.id(alias.target());
            return id < 0 ? NONE : new int[] {id};
        }
        Set<Integer> ids = new LinkedHashSet<>();
        References.forEach(value, path -> {
            int id = index.id(path);
            if (id >= 0) ids.add(id);
        });
        if (value instanceof DerivedValue derived)
            for (Map.Entry<String, TokenValue> argument :
                    derived.derivation().arguments().entrySet())
                if (derived.derivation().operation().takesHue(argument.getKey())
                        && argument.getValue() instanceof Alias hue)
                    for (TokenPath shade : layers.shadesOf(hue.target())) {
                        int id = index.id(shade);
                        if (id >= 0) ids.add(id);
                    }
        return ids.isEmpty() ? NONE : ids.stream().mapToInt(Integer::intValue).toArray();
    }
}
