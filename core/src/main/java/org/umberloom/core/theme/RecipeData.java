package org.umberloom.core.theme;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.color.RampShape;
import org.umberloom.core.shape.Light;
import org.umberloom.core.space.SpaceScale;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.type.TypeScale;

/** Recipes as plain data, the form they have in a document: maps, lists, numbers and strings. */
public final class RecipeData {
    private static final String KIND = "kind";

    private RecipeData() {}

    public static Map<String, Object> write(Recipe recipe) {
        Map<String, Object> data = new LinkedHashMap<>();
        if (recipe instanceof Recipe.HueRamp ramp) {
            data.put(KIND, "ramp");
            data.put("stops", ramp.stops());
            data.put("hueLight", ramp.shape().hueLight());
            data.put("hueDark", ramp.shape().hueDark());
            data.put("chromaLight", ramp.shape().chromaLight());
            data.put("chromaDark", ramp.shape().chromaDark());
            ramp.tint().ifPresent(tint -> data.put("tint", tint(tint)));
        } else if (recipe instanceof Recipe.TypeSteps steps) {
            TypeScale scale = steps.scale();
            data.put(KIND, "typeScale");
            data.put("narrow", end(scale.narrow()));
            data.put("wide", end(scale.wide()));
            data.put("narrowViewport", scale.narrowViewport());
            data.put("wideViewport", scale.wideViewport());
            data.put("smallest", (double) scale.smallest());
            data.put("largest", (double) scale.largest());
        } else if (recipe instanceof Recipe.SpaceSteps steps) {
            data.put(KIND, "spaceScale");
            data.put("base", steps.scale().base());
            data.put("factors", steps.scale().factors());
            if (steps.scale().grid() > 0) data.put("grid", steps.scale().grid());
            if (steps.scale().narrow() < 1) data.put("narrow", steps.scale().narrow());
        } else if (recipe instanceof Recipe.ShadowSteps steps) {
            Light light = steps.light();
            data.put(KIND, "light");
            data.put("angle", light.angle());
            data.put("reach", light.reach());
            data.put("softness", light.softness());
            data.put("strength", light.strength());
            data.put("color", CssColor.write(light.color()));
            data.put("heights", light.heights());
        }
        return data;
    }

    /** @throws IllegalArgumentException with a sentence for people when a field is missing, unknown or out of range */
    public static Recipe read(Object data) {
        Map<?, ?> map = map(data, "recipe");
        return switch (String.valueOf(map.get(KIND))) {
            case "ramp" ->
                new Recipe.HueRamp(
                        numbers(map, "stops"),
                        new RampShape(
                                number(map, "hueLight"),
                                number(map, "hueDark"),
                                number(map, "chromaLight"),
                                number(map, "chromaDark")),
                        map.containsKey("tint") ? Optional.of(tint(map(map.get("tint"), "tint"))) : Optional.empty());
            case "typeScale" ->
                new Recipe.TypeSteps(new TypeScale(
                        end(map, "narrow"),
                        end(map, "wide"),
                        number(map, "narrowViewport"),
                        number(map, "wideViewport"),
                        (int) number(map, "smallest"),
                        (int) number(map, "largest")));
            case "spaceScale" ->
                new Recipe.SpaceSteps(new SpaceScale(
                        number(map, "base"),
                        numbers(map, "factors"),
                        map.containsKey("grid") ? number(map, "grid") : 0,
                        map.containsKey("narrow") ? number(map, "narrow") : 1));
            case "light" ->
                new Recipe.ShadowSteps(new Light(
                        number(map, "angle"),
                        number(map, "reach"),
                        number(map, "softness"),
                        number(map, "strength"),
                        CssColor.parse(String.valueOf(map.get("color"))),
                        numbers(map, "heights")));
            default ->
                throw new IllegalArgumentException(
                        "“" + map.get(KIND) + "” is not a kind of recipe: it is ramp, typeScale, spaceScale or light.");
        };
    }

    private static Map<String, Object> tint(Recipe.Tint tint) {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("from", "{" + tint.from() + "}");
        data.put("angle", tint.angle());
        data.put("chroma", tint.chroma());
        return data;
    }

    private static Recipe.Tint tint(Map<?, ?> map) {
        String from = String.valueOf(map.get("from"));
        if (!from.startsWith("{") || !from.endsWith("}"))
            throw new IllegalArgumentException("A tint’s “from” must refer to a hue’s group, such as {color.brand}.");
        return new Recipe.Tint(
                TokenPath.of(from.substring(1, from.length() - 1)), number(map, "angle"), number(map, "chroma"));
    }

    private static Map<String, Object> end(TypeScale.End end) {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("base", end.base());
        data.put("ratio", end.ratio());
        return data;
    }

    private static TypeScale.End end(Map<?, ?> map, String field) {
        Map<?, ?> end = map(map.get(field), field);
        return new TypeScale.End(number(end, "base"), number(end, "ratio"));
    }

    private static Map<?, ?> map(Object data, String what) {
        if (data instanceof Map<?, ?> map) return map;
        throw new IllegalArgumentException("A recipe's “" + what + "” must be an object.");
    }

    private static double number(Map<?, ?> map, String field) {
        if (map.get(field) instanceof Number number) return number.doubleValue();
        throw new IllegalArgumentException("A recipe's “" + field + "” must be a number.");
    }

    private static List<Double> numbers(Map<?, ?> map, String field) {
        if (map.get(field) instanceof List<?> list && list.stream().allMatch(Number.class::isInstance))
            return list.stream().map(item -> ((Number) item).doubleValue()).toList();
        throw new IllegalArgumentException("A recipe's “" + field + "” must be a list of numbers.");
    }
}
