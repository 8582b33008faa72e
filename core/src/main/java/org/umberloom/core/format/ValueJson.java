package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorSpace;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.FontWeightValue;
import org.umberloom.core.token.ForeignValue;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;

/** Values as {@code $value} holds them. Source: Format Module and Color Module 2025.10. */
final class ValueJson {
    private ValueJson() {
    }

    static Object write(TokenValue value) {
        if (value instanceof Alias alias) return alias.toString();
        if (value instanceof ColorValue color) return color(color.color());
        if (value instanceof DimensionValue length) return dimension(length);
        if (value instanceof FluidValue fluid) return dimension(fluid.wide());
        if (value instanceof NumberValue number) return number.number();
        if (value instanceof FontWeightValue weight) return (double) weight.weight();
        if (value instanceof FontFamilyValue families)
            return families.families().size() == 1 ? families.families().get(0) : families.families();
        if (value instanceof TypographyValue typography) {
            Map<String, Object> members = new LinkedHashMap<>();
            typography.members().forEach((name, member) -> members.put(name, write(member)));
            return members;
        }
        return ((ForeignValue) value).data();
    }

    /**
     * @param where path, for messages
     * @param type  the declared type; null only where the data must be an alias
     */
    static TokenValue read(String where, TokenType type, Object data) {
        if (data instanceof String text && Alias.isAlias(text)) {
            try {
                return Alias.parse(text);
            } catch (IllegalArgumentException e) {
                throw new FormatException(where + " holds the reference " + text + ": " + e.getMessage(), e);
            }
        }
        if (type == null) throw new FormatException(where + " has no $type, and none of its groups has one.");
        try {
            return switch (type) {
                case COLOR -> new ColorValue(color(where, data));
                case DIMENSION -> dimension(where, data);
                case NUMBER -> new NumberValue(Json.number(where, data));
                case FONT_WEIGHT -> fontWeight(where, data);
                case FONT_FAMILY -> fontFamily(where, data);
                case TYPOGRAPHY -> typography(where, data);
            };
        } catch (FormatException e) {
            throw e;
        } catch (IllegalArgumentException e) {
            throw new FormatException(where + ": " + e.getMessage(), e);
        }
    }

    static Map<String, Object> dimension(DimensionValue length) {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("value", length.amount());
        data.put("unit", length.unit().css());
        return data;
    }

    static DimensionValue dimension(String where, Object data) {
        Map<String, Object> map = Json.object(where + " (a dimension: value and unit)", data);
        double amount = Json.number(where + "'s value", map.get("value"));
        String unit = String.valueOf(map.get("unit"));
        return switch (unit) {
            case "px" -> DimensionValue.px(amount);
            case "rem" -> DimensionValue.rem(amount);
            default -> throw new FormatException(where + " has the unit “" + unit + "”; a dimension is in px or rem.");
        };
    }

    private static Map<String, Object> color(Color color) {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("colorSpace", color.space().id());
        data.put("components", List.of(component(color.c1()), component(color.c2()), component(color.c3())));
        if (color.alpha() != 1) data.put("alpha", color.alpha());
        data.put("hex", color.withAlpha(1).hex());
        return data;
    }

    private static Object component(double component) {
        return Double.isNaN(component) ? "none" : component;
    }

    private static Color color(String where, Object data) {
        Map<String, Object> map = Json.object(where + " (a color: colorSpace and components)", data);
        String id = String.valueOf(map.get("colorSpace"));
        ColorSpace space = ColorSpace.byId(id.toLowerCase(Locale.ROOT)).orElseThrow(() -> new FormatException(
                where + " has the color space “" + id + "”; known are " + ColorSpace.ids() + "."));
        List<?> components = Json.list(where + "'s components", map.get("components"));
        if (components.size() != 3) throw new FormatException(where + " must have three components.");
        double alpha = map.containsKey("alpha") ? Json.number(where + "'s alpha", map.get("alpha")) : 1;
        return new Color(space, component(where, components.get(0)), component(where, components.get(1)),
                component(where, components.get(2)), alpha);
    }

    private static double component(String where, Object data) {
        return "none".equals(data) ? Color.NONE : Json.number(where + "'s component", data);
    }

    private static FontWeightValue fontWeight(String where, Object data) {
        if (data instanceof String keyword)
            return FontWeightValue.ofKeyword(keyword).orElseThrow(() ->
                    new FormatException(where + " has the font weight “" + keyword + "”, which is no keyword."));
        double weight = Json.number(where, data);
        if (weight != Math.rint(weight)) throw new FormatException(where + " must be a whole font weight.");
        return new FontWeightValue((int) weight);
    }

    private static FontFamilyValue fontFamily(String where, Object data) {
        if (data instanceof String family) return new FontFamilyValue(List.of(family));
        List<String> families = new ArrayList<>();
        for (Object item : Json.list(where, data)) families.add(Json.string(where, item));
        return new FontFamilyValue(families);
    }

    private static TypographyValue typography(String where, Object data) {
        Map<String, Object> map = Json.object(where + " (a typography)", data);
        Map<String, TokenValue> members = new LinkedHashMap<>();
        map.forEach((name, member) ->
                members.put(name, read(where + "." + name, TypographyValue.memberType(name), member)));
        return TypographyValue.ofMembers(members);
    }
}
