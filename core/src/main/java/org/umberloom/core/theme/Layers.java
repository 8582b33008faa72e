package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;

/** The places that have a say in one combination, in resolution order; later wins. */
record Layers(List<Layer> layers, List<Finding> findings) {
    record Layer(Place place, Group tokens) {}

    static Layers of(ThemeDocument theme, Combination combination) {
        List<Layer> layers = theme.applying(combination).stream()
                .map(place -> new Layer(place, theme.at(place)))
                .toList();
        List<Finding> findings = new ArrayList<>();
        for (ThemeDocument.OrderEntry entry : theme.order()) {
            if (!entry.modifier()) continue;
            Map<String, Group> contexts = theme.modifiers().get(entry.name()).contexts();
            String context = combination.contexts().get(entry.name());
            if (context != null && !contexts.containsKey(context))
                findings.add(new Finding(
                        "missing-context",
                        Finding.Weight.MUST,
                        entry.name(),
                        "The modifier “" + entry.name() + "” has no context “" + context + "”.",
                        "Choose one of " + String.join(", ", contexts.keySet()) + "."));
        }
        return new Layers(layers, findings);
    }

    List<Place> places() {
        return layers.stream().map(Layer::place).toList();
    }

    boolean samePlaces(Layers other) {
        if (layers.size() != other.layers.size() || !findings.equals(other.findings)) return false;
        for (int i = 0; i < layers.size(); i++)
            if (!layers.get(i).place().equals(other.layers.get(i).place())) return false;
        return true;
    }

    /** What wins at a path that some layer holds. */
    Candidate candidate(TokenPath path) {
        Candidate winner = null;
        for (Layer layer : layers) {
            Optional<Token> token = layer.tokens().token(path);
            if (token.isPresent())
                winner = Candidate.merge(winner, token.get(), declared(layer.tokens(), path), layer.place());
        }
        return winner;
    }

    private static Optional<TokenType> declared(Group root, TokenPath path) {
        Optional<TokenType> type = root.meta().type();
        Node node = root;
        for (String name : path.segments()) {
            node = ((Group) node).children().get(name);
            if (node.meta().type().isPresent()) type = node.meta().type();
        }
        return type;
    }

    /** The tokens directly in a hue's group, over all layers, without its seed. */
    List<TokenPath> shadesOf(TokenPath hue) {
        Set<TokenPath> shades = new LinkedHashSet<>();
        for (Layer layer : layers)
            layer.tokens().group(hue).ifPresent(group -> group.children().forEach((name, node) -> {
                if (node instanceof Token && !name.equals(Recipe.HueRamp.SEED)) shades.add(hue.child(name));
            }));
        return List.copyOf(shades);
    }
}
