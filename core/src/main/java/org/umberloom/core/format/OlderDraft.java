package org.umberloom.core.format;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorSpace;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.json.Json;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.ValueData;
import org.umberloom.core.token.ValueText;

/**
 * Brings token files of older drafts of the Format Module to the form of 2025.10: fields without {@code $}, colors as
 * hex text, lengths and times as text. Each kind of change is noted once with where it was met first and how often.
 */
final class OlderDraft {
    private static final Pattern MEASURE = Pattern.compile("([+-]?(?:\\d+\\.?\\d*|\\.\\d+))(px|rem|ms|s)");
    private static final List<String> FIELDS = List.of("value", "type", "description", "extensions");
    private static final Pattern OTHER_HEX = Pattern.compile("#([0-9a-fA-F]{3,4}|[0-9a-fA-F]{8})");
    /** Types whose values older drafts wrote as text. */
    private static final Set<String> TEXTUAL = Set.of("color", "dimension", "duration");
    /** What drafts before 2025.10 called today's types; from memory. */
    private static final Map<String, TokenType> EARLIER_NAMES =
            Map.of("font", TokenType.FONT_FAMILY, "fontName", TokenType.FONT_FAMILY);
    /** Types that a value can be told to have by how it is written, in the order they are tried. */
    private static final List<TokenType> TOLD_APART = List.of(
            TokenType.DIMENSION,
            TokenType.DURATION,
            TokenType.COLOR,
            TokenType.NUMBER,
            TokenType.CUBIC_BEZIER,
            TokenType.SHADOW,
            TokenType.BORDER,
            TokenType.TRANSITION,
            TokenType.TYPOGRAPHY);

    private static final Pattern PLAIN_NUMBER = Pattern.compile("[-+]?[\\d.]+");
    private static final String OWN_REFERENCE_END = ".value}";

    /** What a value that no type can hold is kept as; it is not looked at again. */
    private static final String KEPT_AS = "text";

    /** Whether fields stand without $: only there a reference may end in the field it means. */
    private boolean withoutDollars;

    private final Map<String, Note> notes = new LinkedHashMap<>();

    private record Note(String first, int count) {}

    /** The data in today's form; the very same when nothing had to change. */
    Map<String, Object> modern(Map<String, Object> data) {
        withoutDollars = !hasModernValue(data);
        Object renamed = withoutDollars ? withDollars("", data) : data;
        return Json.object("", converted("", renamed, ""));
    }

    /** One sentence for each kind of change. */
    List<String> notes() {
        return notes.entrySet().stream()
                .map(entry -> entry.getKey() + " ("
                        + (entry.getValue().count == 1
                                ? entry.getValue().first
                                : entry.getValue().count + " times, first in " + entry.getValue().first)
                        + ").")
                .toList();
    }

    private void note(String what, String path) {
        notes.merge(what, new Note(path, 1), (old, fresh) -> new Note(old.first, old.count + 1));
    }

    private static boolean hasModernValue(Object data) {
        if (!(data instanceof Map<?, ?> map)) return false;
        return map.containsKey("$value")
                || map.containsKey("$ref")
                || map.containsKey("$type")
                || map.containsKey("$root")
                || map.values().stream().anyMatch(OlderDraft::hasModernValue);
    }

    private Object withDollars(String path, Map<?, ?> data) {
        boolean token = data.containsKey("value") && !isNode(data.get("value"));
        Map<String, Object> renamed = new LinkedHashMap<>();
        data.forEach((key, item) -> {
            String name = (String) key;
            boolean field = token
                    ? FIELDS.contains(name)
                    : item instanceof String && (name.equals("type") || name.equals("description"));
            if (field) renamed.put("$" + name, item);
            else renamed.put(name, item instanceof Map<?, ?> map ? withDollars(join(path, name), map) : item);
        });
        if (token) note("Fields without $ were read as value, type and description of an older draft", path);
        return renamed;
    }

    private static boolean isNode(Object data) {
        return data instanceof Map<?, ?> map && map.containsKey("value") && !map.containsKey("unit");
    }

    private Object converted(String path, Object data, String inherited) {
        if (!(data instanceof Map<?, ?> read)) return data;
        Map<?, ?> rooted = withRoot(path, read);
        Map<?, ?> map = rooted.containsKey("$value")
                ? retyped(path, rooted, rooted.get("$type") instanceof String told ? told : inherited)
                : rooted;
        String type = map.get("$type") instanceof String own ? own : inherited;
        if (map.get("$value") instanceof String text
                && TEXTUAL.contains(type)
                && !text.startsWith("{")
                && !isReadable(type, text)) {
            note("Values that no type of the format can hold were kept as text", path);
            Map<String, Object> kept = Json.object(path, map);
            kept.put("$type", KEPT_AS);
            return kept;
        }
        Map<String, Object> changed = new LinkedHashMap<>();
        map.forEach((key, item) -> {
            String name = (String) key;
            if (name.equals("$type") && isUnknownOfGroup(map)) {
                note("The type “" + type + "” of a group is not known; it counts for each of its tokens", path);
                return;
            }
            if (name.equals("$value")) changed.put(name, value(path, type, item));
            else
                changed.put(
                        name,
                        name.startsWith("$") && !name.equals("$root") ? item : converted(join(path, name), item, type));
        });
        return changed;
    }

    private static boolean isUnknownOfGroup(Map<?, ?> data) {
        return !data.containsKey("$value")
                && !data.containsKey("$ref")
                && data.get("$type") instanceof String type
                && TokenType.byId(type).isEmpty();
    }

    /** A token that also holds tokens becomes a group with a root token. Source: Format Module 2025.10, $root. */
    private Map<?, ?> withRoot(String path, Map<?, ?> data) {
        boolean holdsTokens = data.containsKey("$value")
                && data.entrySet().stream()
                        .anyMatch(
                                entry -> !((String) entry.getKey()).startsWith("$") && entry.getValue() instanceof Map);
        if (!holdsTokens) return data;
        note("Tokens that hold tokens were read as groups with a $root", path);
        Map<String, Object> root = new LinkedHashMap<>();
        Map<String, Object> group = new LinkedHashMap<>();
        data.forEach((key, item) -> (((String) key).startsWith("$") ? root : group).put((String) key, item));
        Map<String, Object> both = new LinkedHashMap<>();
        both.put("$root", root);
        both.putAll(group);
        return both;
    }

    /**
     * Where the format does not know the type, an earlier draft's name for it counts, or how the value is written: as a length,
     * a time, a color, a number, a curve, or a reference. What tells nothing keeps the type that it came with.
     */
    private Map<?, ?> retyped(String path, Map<?, ?> data, String told) {
        if (told.isEmpty() || told.equals(KEPT_AS) || TokenType.byId(told).isPresent()) return data;
        Object value = data.get("$value");
        Optional<TokenType> known = Optional.ofNullable(EARLIER_NAMES.get(told))
                .filter(type -> ofType(type, value).isPresent());
        Optional<TokenType> type = known.isPresent()
                ? known
                : TOLD_APART.stream()
                        .filter(one -> ofType(one, value).isPresent())
                        .findFirst();
        Map<String, Object> changed = Json.object(path, data);
        if (type.isPresent()) {
            note(
                    known.isPresent()
                            ? "The type “" + told + "” of an earlier draft was read as "
                                    + known.get().id()
                            : "Types that the format does not know were told from the value",
                    path);
            changed.put("$type", type.get().id());
            changed.put("$value", ofType(type.get(), value).get());
        } else if (value instanceof String text && Alias.isAlias(text)) {
            note("References of a type that the format does not know have that of what they refer to", path);
            changed.remove("$type");
        } else {
            note("The type “" + told + "” is not known; its values are kept as they are and not used", path);
            changed.put("$type", told);
        }
        return changed;
    }

    /** The value as data of a type, when it is written as one. */
    private static Optional<Object> ofType(TokenType type, Object value) {
        try {
            if (!(value instanceof String text)) return Optional.of(value).filter(data -> fits(type, data));
            if (text.startsWith("{") || PLAIN_NUMBER.matcher(text).matches() != (type == TokenType.NUMBER))
                return Optional.empty();
            return Optional.of(ValueData.write(ValueText.parse(type, text)));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static boolean fits(TokenType type, Object data) {
        ValueData.read(type, data);
        return true;
    }

    private Object value(String path, String type, Object value) {
        if (value instanceof String text) return text(path, type, text);
        if (value instanceof List<?> list) {
            boolean nested = type.equals("shadow") || type.equals("gradient");
            return nested
                    ? list.stream()
                            .map(item -> value(path, type.equals("gradient") ? "stop" : type, item))
                            .toList()
                    : list;
        }
        if (!(value instanceof Map<?, ?> map)) return value;
        if (map.get("colorSpace") instanceof String id
                && ColorSpace.byId(id).isEmpty()
                && ColorSpace.byId(id.toLowerCase(Locale.ROOT)).isPresent()) {
            note("Names of color spaces were read in small letters", path);
            Map<String, Object> color = new LinkedHashMap<>();
            map.forEach((key, item) ->
                    color.put((String) key, key.equals("colorSpace") ? id.toLowerCase(Locale.ROOT) : item));
            return value(path, type, color);
        }
        if (map.containsKey("colorSpace")
                && map.get("hex") instanceof String hex
                && OTHER_HEX.matcher(hex).matches()) {
            note("Hex fallbacks of 3, 4 or 8 digits were read as six, without alpha", path);
            Map<String, Object> color = Json.object(path, map);
            color.put(
                    "hex",
                    hex.length() > 5 ? hex.substring(0, 7) : hex.substring(0, 4).replaceAll("([0-9a-fA-F])", "$1$1"));
            return color;
        }
        Map<String, Object> parts = new LinkedHashMap<>();
        map.forEach((key, item) -> parts.put((String) key, value(path, partType(type, (String) key), item)));
        return parts;
    }

    private static String partType(String type, String part) {
        if (type.equals("color") || type.equals("dimension") || type.equals("duration")) return "";
        return switch (part) {
            case "color" -> "color";
            case "width", "offsetX", "offsetY", "blur", "spread", "fontSize", "letterSpacing" -> "dimension";
            case "duration", "delay" -> "duration";
            default -> "";
        };
    }

    private static boolean isReadable(String type, String text) {
        if (!type.equals("color"))
            return MEASURE.matcher(text).matches() && type.equals("duration") == text.endsWith("s");
        try {
            CssColor.parse(text);
            return true;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    private Object text(String path, String type, String text) {
        if (withoutDollars && text.startsWith("{") && text.endsWith(OWN_REFERENCE_END)) {
            note("References that end in .value were read as references to the token", path);
            return text.substring(0, text.length() - OWN_REFERENCE_END.length()) + "}";
        }
        if (text.startsWith("{")) return text;
        if (type.equals("color")) return color(path, text);
        Matcher measure = MEASURE.matcher(text);
        boolean time = type.equals("duration");
        if (!(type.equals("dimension") || time) || !isReadable(type, text) || !measure.matches()) return text;
        note((time ? "Times" : "Lengths") + " written as text were read as value and unit", path);
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("value", Double.parseDouble(measure.group(1)));
        data.put("unit", measure.group(2));
        return data;
    }

    private Object color(String path, String text) {
        if (!isReadable("color", text)) return text;
        Color color = CssColor.parse(text);
        note("Colors written as text were read as color space and components", path);
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("colorSpace", color.space().id());
        data.put("components", List.of(component(color.c1()), component(color.c2()), component(color.c3())));
        if (color.alpha() != 1) data.put("alpha", color.alpha());
        return data;
    }

    private static Object component(double component) {
        return Double.isNaN(component) ? "none" : component;
    }

    private static String join(String path, String name) {
        return path.isEmpty() ? name : path + "." + name;
    }
}
