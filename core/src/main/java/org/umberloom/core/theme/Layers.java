package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.List;
import org.umberloom.core.token.Group;

/** The places that have a say in one combination, in resolution order; later wins. */
record Layers(List<Layer> layers, List<Finding> findings) {
    record Layer(Place place, Group tokens) {
    }

    static Layers of(ThemeDocument theme, Combination combination) {
        List<Layer> layers = new ArrayList<>();
        List<Finding> findings = new ArrayList<>();
        for (ThemeDocument.OrderEntry entry : theme.order()) {
            if (!entry.modifier()) {
                layers.add(new Layer(Place.set(entry.name()), theme.sets().get(entry.name()).tokens()));
                continue;
            }
            Modifier modifier = theme.modifiers().get(entry.name());
            String context = combination.contexts().getOrDefault(entry.name(), modifier.defaultContext());
            if (!modifier.contexts().containsKey(context)) {
                findings.add(new Finding("missing-context", Finding.Weight.MUST, entry.name(),
                        "The modifier “" + entry.name() + "” has no context “" + context + "”.",
                        "Choose one of " + String.join(", ", modifier.contexts().keySet()) + "."));
                context = modifier.defaultContext();
            }
            layers.add(new Layer(Place.context(entry.name(), context), modifier.contexts().get(context)));
        }
        return new Layers(layers, findings);
    }
}
