package org.umberloom.core.token;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorSpace;

/**
 * Values as plain data, as {@code $value} holds them: maps, lists, texts, numbers, booleans. Source: Format Module and
 * Color Module 2025.10. Every refusal is an {@link IllegalArgumentException} that says what is allowed.
 */
public final class ValueData {
    private ValueData() {}

    /** A fluid size as its wide end; a derivation as what it is derived from. */
    public static Object write(TokenValue value) {
        if (value instanceof Alias alias) return alias.toString();
        if (value instanceof PropertyReference reference) return Map.of("$ref", reference.pointer());
        if (value instanceof TemplateValue template) return template.data();
        if (value instanceof DerivedValue derived)
            return write(derived.derivation().source());
        if (value instanceof ColorValue color) return color(color);
        if (value instanceof DimensionValue length) return dimension(length);
        if (value instanceof FluidValue fluid) return dimension(fluid.wide());
        if (value instanceof NumberValue number) return number.number();
        if (value instanceof FontWeightValue weight) return weight.weight();
        if (value instanceof FontFamilyValue families)
            return families.families().size() == 1 ? families.families().get(0) : families.families();
        if (value instanceof DurationValue duration)
            return measured(duration.amount(), duration.unit().css());
        if (value instanceof CubicBezierValue curve) return List.of(curve.x1(), curve.y1(), curve.x2(), curve.y2());
        if (value instanceof StrokeStyleValue stroke) return stroke(stroke);
        if (value instanceof ShadowListValue list)
            return list.shadows().stream().map(ValueData::write).toList();
        if (value instanceof GradientValue gradient)
            return gradient.stops().stream()
                    .map(stop -> object("color", write(stop.color()), "position", write(stop.position())))
                    .toList();
        if (value instanceof CompositeValue composite) {
            Map<String, Object> parts = new LinkedHashMap<>();
            composite.parts().forEach((name, part) -> {
                // The format has no part for it: it stands beside the value.
                if (!(part instanceof MannerValue)) parts.put(name, write(part));
            });
            if (value instanceof ShadowValue shadow && shadow.inset()) parts.put("inset", true);
            return parts;
        }
        return ((ForeignValue) value).data();
    }

    /** A value of a type, a reference, or a value with references inside. */
    public static TokenValue read(TokenType type, Object data) {
        Optional<Reference> reference = TemplateValue.referenceIn(data);
        if (reference.isPresent()) return reference.get();
        return switch (type) {
            case COLOR, DIMENSION, DURATION, CUBIC_BEZIER, FONT_FAMILY ->
                TemplateValue.hasReferenceInside(data) ? new TemplateValue(type, data) : literal(type, data);
            // A stop can be that of another gradient; which parts it has is known only when it is filled in.
            case GRADIENT ->
                data instanceof List<?> stops && stops.stream().anyMatch(TemplateValue::isReference)
                        ? new TemplateValue(type, data)
                        : literal(type, data);
            default -> literal(type, data);
        };
    }

    /** One property inside a value's data. @throws IllegalArgumentException when there is none at these steps */
    public static Object property(Object data, List<String> steps) {
        Object at = data;
        for (String step : steps) {
            if (at instanceof Map<?, ?> map && map.containsKey(step)) at = map.get(step);
            else if (at instanceof List<?> list
                    && step.matches("0|[1-9]\\d{0,5}")
                    && Integer.parseInt(step) < list.size()) at = list.get(Integer.parseInt(step));
            else throw new IllegalArgumentException("there is no property “" + step + "”");
        }
        return at;
    }

    /** A template with its references filled in. */
    public static TokenValue fill(TemplateValue template, java.util.function.Function<Reference, Object> values) {
        Object filled = template.filled(values);
        if (template.valueType() == TokenType.FONT_FAMILY && filled instanceof List<?> list) {
            List<Object> flat = new ArrayList<>();
            for (Object item : list) {
                if (item instanceof List<?> inner) flat.addAll(inner);
                else flat.add(item);
            }
            filled = flat;
        }
        return literal(template.valueType(), filled);
    }

    private static TokenValue literal(TokenType type, Object data) {
        return switch (type) {
            case COLOR -> color(data);
            case DIMENSION -> dimension(data);
            case NUMBER -> new NumberValue(number("a number", data));
            case FONT_WEIGHT -> fontWeight(data);
            case FONT_FAMILY -> fontFamily(data);
            case DURATION -> duration(data);
            case CUBIC_BEZIER -> curve(data);
            case STROKE_STYLE -> stroke(data);
            case BORDER -> {
                Map<?, ?> map = map("a border (color, width and style)", data);
                yield new BorderValue(
                        part(map, "color", TokenType.COLOR),
                        part(map, "width", TokenType.DIMENSION),
                        part(map, "style", TokenType.STROKE_STYLE));
            }
            case TRANSITION -> {
                Map<?, ?> map = map("a transition (duration, delay and timingFunction)", data);
                yield new TransitionValue(
                        part(map, "duration", TokenType.DURATION),
                        part(map, "delay", TokenType.DURATION),
                        part(map, "timingFunction", TokenType.CUBIC_BEZIER));
            }
            case SHADOW -> shadow(data);
            case GRADIENT -> gradient(data);
            case TYPOGRAPHY -> {
                Map<?, ?> map = map("a typography", data);
                yield new TypographyValue(
                        part(map, "fontFamily", TokenType.FONT_FAMILY),
                        part(map, "fontSize", TokenType.DIMENSION),
                        part(map, "fontWeight", TokenType.FONT_WEIGHT),
                        part(map, "letterSpacing", TokenType.DIMENSION),
                        part(map, "lineHeight", TokenType.NUMBER));
            }
        };
    }

    public static Map<String, Object> dimension(DimensionValue length) {
        return measured(length.amount(), length.unit().css());
    }

    public static DimensionValue dimension(Object data) {
        Map<?, ?> map = map("a dimension (value and unit)", data);
        double amount = number("a dimension’s value", map.get("value"));
        return switch (said(map, "unit")) {
            case "px" -> DimensionValue.px(amount);
            case "rem" -> DimensionValue.rem(amount);
            default -> throw new IllegalArgumentException("the unit “" + said(map, "unit") + "” is not px or rem");
        };
    }

    private static DurationValue duration(Object data) {
        Map<?, ?> map = map("a duration (value and unit)", data);
        double amount = number("a duration’s value", map.get("value"));
        return switch (said(map, "unit")) {
            case "ms" -> new DurationValue(amount, DurationValue.Unit.MS);
            case "s" -> new DurationValue(amount, DurationValue.Unit.S);
            default -> throw new IllegalArgumentException("the unit “" + said(map, "unit") + "” is not ms or s");
        };
    }

    private static CubicBezierValue curve(Object data) {
        if (!(data instanceof List<?> list) || list.size() != 4)
            throw new IllegalArgumentException("an easing curve must be a list of four numbers");
        return new CubicBezierValue(
                number("an easing curve’s number", list.get(0)),
                number("an easing curve’s number", list.get(1)),
                number("an easing curve’s number", list.get(2)),
                number("an easing curve’s number", list.get(3)));
    }

    private static Object stroke(StrokeStyleValue stroke) {
        return stroke.dash().isEmpty()
                ? stroke.keyword()
                : object(
                        "dashArray",
                        stroke.dash().stream().map(ValueData::write).toList(),
                        "lineCap",
                        stroke.lineCap());
    }

    private static StrokeStyleValue stroke(Object data) {
        if (data instanceof String keyword) return StrokeStyleValue.of(keyword);
        Map<?, ?> map = map("a stroke style (a keyword, or dashArray and lineCap)", data);
        if (!(map.get("dashArray") instanceof List<?> lengths))
            throw new IllegalArgumentException("a stroke style’s dashArray must be a list of dimensions");
        return new StrokeStyleValue(
                "",
                lengths.stream()
                        .map(length -> read(TokenType.DIMENSION, length))
                        .toList(),
                said(map, "lineCap"));
    }

    private static TokenValue shadow(Object data) {
        if (data instanceof List<?> list)
            return new ShadowListValue(
                    list.stream().map(item -> read(TokenType.SHADOW, item)).toList());
        Map<?, ?> map = map("a shadow (color, offsetX, offsetY, blur, spread)", data);
        Object inset = map.containsKey("inset") ? map.get("inset") : false;
        if (!(inset instanceof Boolean inward))
            throw new IllegalArgumentException("a shadow’s inset must be true or false");
        return new ShadowValue(
                part(map, "color", TokenType.COLOR),
                part(map, "offsetX", TokenType.DIMENSION),
                part(map, "offsetY", TokenType.DIMENSION),
                part(map, "blur", TokenType.DIMENSION),
                part(map, "spread", TokenType.DIMENSION),
                inward);
    }

    private static GradientValue gradient(Object data) {
        if (!(data instanceof List<?> list)) throw new IllegalArgumentException("a gradient must be a list of stops");
        List<GradientValue.Stop> stops = new ArrayList<>();
        for (Object item : list) {
            Map<?, ?> map = map("a gradient stop (color and position)", item);
            stops.add(new GradientValue.Stop(
                    part(map, "color", TokenType.COLOR), part(map, "position", TokenType.NUMBER)));
        }
        return new GradientValue(stops);
    }

    private static TokenValue part(Map<?, ?> map, String name, TokenType type) {
        if (!map.containsKey(name)) throw new IllegalArgumentException("the part “" + name + "” is missing");
        return read(type, map.get(name));
    }

    private static Map<String, Object> color(ColorValue value) {
        Color color = value.color();
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("colorSpace", color.space().id());
        data.put("components", List.of(component(color.c1()), component(color.c2()), component(color.c3())));
        if (color.alpha() != 1) data.put("alpha", color.alpha());
        data.put("hex", value.fallback().orElseGet(() -> color.withAlpha(1).hex()));
        return data;
    }

    private static Object component(double component) {
        return Double.isNaN(component) ? "none" : component;
    }

    private static ColorValue color(Object data) {
        Map<?, ?> map = map("a color (colorSpace and components)", data);
        String id = map.get("colorSpace") instanceof String text ? text : "";
        ColorSpace space = ColorSpace.byId(id.toLowerCase(Locale.ROOT))
                .orElseThrow(() -> new IllegalArgumentException(
                        "the color space “" + id + "” is not known; known are " + ColorSpace.ids()));
        if (!(map.get("components") instanceof List<?> components) || components.size() != 3)
            throw new IllegalArgumentException("a color must have three components");
        double alpha = map.containsKey("alpha") ? number("a color’s alpha", map.get("alpha")) : 1;
        Color color = new Color(
                space, component(components.get(0)), component(components.get(1)), component(components.get(2)), alpha);
        if (!map.containsKey("hex")) return new ColorValue(color);
        String hex = String.valueOf(map.get("hex"));
        boolean computed = hex.equals(color.withAlpha(1).hex());
        return new ColorValue(color, computed ? Optional.empty() : Optional.of(hex));
    }

    private static double component(Object data) {
        return "none".equals(data) ? Color.NONE : number("a color’s component", data);
    }

    private static FontWeightValue fontWeight(Object data) {
        if (data instanceof String keyword)
            return FontWeightValue.ofKeyword(keyword)
                    .orElseThrow(() -> new IllegalArgumentException("the font weight “" + keyword + "” is no keyword"));
        return new FontWeightValue(number("a font weight", data));
    }

    private static FontFamilyValue fontFamily(Object data) {
        if (data instanceof String family) return new FontFamilyValue(List.of(family));
        if (!(data instanceof List<?> list) || !list.stream().allMatch(String.class::isInstance))
            throw new IllegalArgumentException("a font family must be a name or a list of names");
        return new FontFamilyValue(list.stream().map(String.class::cast).toList());
    }

    private static Map<String, Object> measured(double amount, String unit) {
        return object("value", amount, "unit", unit);
    }

    private static Map<String, Object> object(String one, Object first, String other, Object second) {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put(one, first);
        data.put(other, second);
        return data;
    }

    /** What a field says, as text; empty where it is not there. */
    private static String said(Map<?, ?> map, String field) {
        return map.get(field) == null ? "" : String.valueOf(map.get(field));
    }

    private static Map<?, ?> map(String what, Object data) {
        if (data instanceof Map<?, ?> map) return map;
        throw new IllegalArgumentException(what + " must be an object");
    }

    private static double number(String what, Object data) {
        if (data instanceof Number number) return number.doubleValue();
        throw new IllegalArgumentException(what + " must be a number");
    }
}
