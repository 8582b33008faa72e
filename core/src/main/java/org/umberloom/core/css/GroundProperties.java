package org.umberloom.core.css;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.color.Blend;
import org.umberloom.core.color.Color;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.ground.Ground;
import org.umberloom.core.ground.Grounds;
import org.umberloom.core.ground.Pattern;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.GradientValue;
import org.umberloom.core.token.ValueText;

/**
 * A surface's ground as custom properties: the lists of {@code background-image} and its companions (CSS Backgrounds 3,
 * section 2), the veil first and the picture below it.
 */
public final class GroundProperties {
    static final String IMAGE = "--ground-image";
    /** All of them. */
    static final List<String> NAMES =
            List.of(IMAGE, "--ground-position", "--ground-size", "--ground-repeat", "--ground-blend");

    private static final String NONE = "none";
    private static final String BLEND = "blend";
    private static final String WHOLE = "auto";

    private record Layer(String image, String position, String size, String repeat, String blend) {}

    private GroundProperties() {}

    /** @param placed empty for a surface of plain color, which must not show the ground of a surface around it */
    static Map<String, String> of(Optional<Grounds.Placed> placed, Resolution resolution) {
        Map<String, String> properties = new LinkedHashMap<>();
        placed.map(ground -> lists(ground, resolution))
                .orElse(Map.of())
                .forEach((list, value) -> properties.put("--ground-" + list, value));
        if (properties.isEmpty()) properties.put(IMAGE, NONE);
        return properties;
    }

    static boolean isOne(String property) {
        return property.startsWith("--ground-");
    }

    /**
     * The declarations that show a ground by themselves; none where it is missing. Pictures have addresses from where the
     * style sheet stands.
     */
    public static String declarations(Grounds.Placed placed, Resolution resolution) {
        return String.join(
                "; ",
                lists(placed, resolution).entrySet().stream()
                        .map(list -> "background-" + (list.getKey().equals(BLEND) ? "blend-mode" : list.getKey()) + ": "
                                + list.getValue())
                        .toList());
    }

    private static Map<String, String> lists(Grounds.Placed placed, Resolution resolution) {
        List<Layer> layers = layers(placed, resolution);
        if (layers.isEmpty()) return Map.of();
        Map<String, String> lists = new LinkedHashMap<>();
        lists.put("image", join(layers.stream().map(Layer::image).toList()));
        lists.put("position", join(layers.stream().map(Layer::position).toList()));
        lists.put("size", join(layers.stream().map(Layer::size).toList()));
        lists.put("repeat", join(layers.stream().map(Layer::repeat).toList()));
        lists.put(BLEND, join(layers.stream().map(Layer::blend).toList()));
        return lists;
    }

    /** What a rule that shows grounds declares. */
    static String declarations() {
        return "background-image: var(" + IMAGE + ", none); background-position: var(--ground-position, 0 0); "
                + "background-size: var(--ground-size, auto); background-repeat: var(--ground-repeat, repeat); "
                + "background-blend-mode: var(--ground-blend, normal)";
    }

    private static List<Layer> layers(Grounds.Placed placed, Resolution resolution) {
        if (placed.missing()) return List.of();
        Ground ground = placed.ground();
        List<Layer> layers = new ArrayList<>();
        if (placed.laid() > 0) layers.add(veil(placed.color(), placed.laid()));
        String size = ground.size().endsWith("px") ? ground.size() + " auto" : ground.size();
        switch (ground.kind()) {
            case PICTURE ->
                layers.add(new Layer(
                        "url(\"" + Stylesheet.GROUND_FOLDER + ground.source() + "\")",
                        ground.position(),
                        size,
                        ground.repeat(),
                        ground.blend().css()));
            case GRADIENT ->
                resolution
                        .value(ground.source(), GradientValue.class)
                        .ifPresent(gradient -> layers.add(new Layer(
                                "linear-gradient(" + ValueText.number(ground.angle(), 2) + "deg, "
                                        + CustomProperties.text(gradient) + ")",
                                "0 0",
                                WHOLE,
                                "no-repeat",
                                ground.blend().css())));
            case PATTERN -> {
                String ink = Worn.of(resolution)
                        .color(Surfaces.path(placed.surface(), ground.role()))
                        .map(color -> CustomProperties.text(new ColorValue(color)))
                        .orElse("transparent");
                for (Pattern.Layer layer : Pattern.byId(ground.source()).layers())
                    layers.add(new Layer(
                            layer.in(ink),
                            ground.position(),
                            layer.size(),
                            "repeat",
                            ground.blend().css()));
            }
        }
        return layers;
    }

    private static Layer veil(Color color, double alpha) {
        Color rgb = color.toSrgb8();
        String paint = "rgb(" + Math.round(rgb.c1() * 255) + " " + Math.round(rgb.c2() * 255) + " "
                + Math.round(rgb.c3() * 255) + " / " + ValueText.number(alpha, 3) + ")";
        return new Layer(
                "linear-gradient(" + paint + ", " + paint + ")", "0 0", WHOLE, "no-repeat", Blend.NORMAL.css());
    }

    private static String join(List<String> items) {
        return String.join(", ", items);
    }
}
