package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * Documents made to do harm, as plain data: names that mean something wherever they could be written, values at and beyond
 * every edge, recipes and grounds that cannot be read, wrong types everywhere. Some are whole themes all the same.
 */
public final class HostileThemes {
    /** Each means something in CSS, HTML, JSON, SQL, an address, a path, a shell, an archive or a script. */
    public static final List<String> NAMES = List.of(
            "x\"],*,[y=\"",
            "\\",
            "a\\",
            "a\nb",
            "a\r\nb",
            "a\u2028b",
            "a\tb",
            "\u0000",
            "</style><script>alert(1)</script>",
            "<!--",
            "]]>",
            "*/ * { color: red } /*",
            "url(http://127.0.0.1/)",
            "@import 'x'",
            "expression(1)",
            "; drop table theme; --",
            "' or '1'='1",
            "${7*7}",
            "#{1}",
            "%00",
            "%2e%2e%2f",
            "../../etc/passwd",
            "..",
            "con",
            "NUL",
            "aux.txt",
            "A",
            "a",
            "constructor",
            "__proto__",
            "toString",
            "~41~",
            "a;b",
            "a,b=c|d%e",
            "a/b",
            "#a",
            "$value",
            "$type",
            "$a",
            "{b}",
            "a.b",
            "\ud83e\uddf5",
            "e\u0301",
            "\u00e9",
            "\u202ereversed",
            "\u200b",
            "\ud800",
            "x\udc00",
            "\ufeffx",
            "ﬀ",
            "İ",
            "\u0130",
            "l".repeat(200),
            "l".repeat(201),
            "m".repeat(60_000),
            " ",
            "",
            "0",
            "-1",
            "page",
            "surface",
            "seed",
            "scheme",
            "light",
            "dark",
            "\u65e5\u672c\u8a9e",
            "x".repeat(90) + "A",
            "x".repeat(90) + "a");

    private static final List<Object> NUMBERS = List.of(
            0.0,
            -0.0,
            1.0,
            -1.0,
            0.5,
            1e-9,
            1e6,
            1e7,
            1e8,
            1e15,
            1e16,
            1e104,
            1e300,
            -1e300,
            1.7976931348623157e308,
            4.9e-324,
            "12",
            "none",
            "NaN",
            true,
            List.of(),
            Map.of());
    private static final List<String> TYPES = List.of(
            "color",
            "dimension",
            "fontFamily",
            "fontWeight",
            "duration",
            "cubicBezier",
            "number",
            "strokeStyle",
            "border",
            "transition",
            "shadow",
            "gradient",
            "typography",
            "blobs",
            "");
    private static final List<String> SPACES =
            List.of("srgb", "hsl", "oklch", "lab", "xyz-d65", "display-p3", "prophoto-rgb", "SRGB");

    private final Random random;

    public HostileThemes(long seed) {
        random = new Random(seed);
    }

    /** A resolver document as plain data: maps, lists, texts, numbers. */
    public Map<String, Object> document() {
        Map<String, Object> document = map("name", name("Hostile"), "version", "2025.10");
        if (random.nextInt(3) == 0) document.put("description", pick(NAMES));
        Map<String, Object> sets = new LinkedHashMap<>();
        sets.put("base", Map.of("sources", List.of(base())));
        for (int i = random.nextInt(3); i > 0; i--) sets.put(name("more" + i), map("sources", List.of(group(0))));
        document.put("sets", sets);
        Map<String, Object> modifiers = new LinkedHashMap<>();
        for (int i = random.nextInt(4); i > 0; i--) {
            Map<String, Object> contexts = new LinkedHashMap<>();
            for (int c = 1 + random.nextInt(3); c > 0; c--)
                contexts.put(name("context" + c), random.nextBoolean() ? List.of() : List.of(group(1)));
            modifiers.put(random.nextInt(3) == 0 ? "scheme" : name("modifier" + i), map("contexts", contexts));
        }
        document.put("modifiers", modifiers);
        List<Object> order = new ArrayList<>();
        sets.keySet()
                .forEach(set -> order.add(
                        Map.of("$ref", "#/sets/" + set.replace("~", "~0").replace("/", "~1"))));
        modifiers
                .keySet()
                .forEach(modifier -> order.add(Map.of(
                        "$ref", "#/modifiers/" + modifier.replace("~", "~0").replace("/", "~1"))));
        document.put("resolutionOrder", order);
        if (random.nextInt(4) == 0)
            document.put("$extensions", map("org.umberloom", map("pictures", map(pick(NAMES), pick(NUMBERS)))));
        return document;
    }

    /** Surfaces and hues, so that there is something that is shown. */
    private Map<String, Object> base() {
        Map<String, Object> base = group(1);
        Map<String, Object> hues = new LinkedHashMap<>();
        for (int i = 1 + random.nextInt(2); i > 0; i--) hues.put(name("hue" + i), hue());
        base.put("color", hues);
        Map<String, Object> surfaces = new LinkedHashMap<>();
        for (int i = 1 + random.nextInt(3); i > 0; i--) {
            Map<String, Object> surface = map(
                    "$type",
                    "color",
                    "ground",
                    token("color"),
                    "text",
                    token("color"),
                    "link",
                    Map.of("$value", "{surface.page.text}"));
            if (random.nextInt(3) == 0) surface.put("$extensions", map("org.umberloom", map("ground", ground())));
            surfaces.put(random.nextBoolean() ? "page" : name("surface" + i), surface);
        }
        base.put("surface", surfaces);
        base.put("type", Map.of("body", token("typography"), "h1", token("typography")));
        base.put("gap", Map.of("flow", token("dimension")));
        return base;
    }

    private Map<String, Object> hue() {
        Map<String, Object> hue = map("$type", "color");
        int kind = random.nextInt(6);
        if (kind != 0) hue.put("seed", kind == 1 ? Map.of("$value", "{color.other.seed}") : token("color"));
        Map<String, Object> recipe = map(
                "kind",
                kind == 2 ? pick(NAMES) : "ramp",
                "stops",
                kind == 3 ? List.of(pick(NUMBERS)) : List.of(10.0, 60.0, 110.0),
                "hueLight",
                kind == 4 ? pick(NUMBERS) : (Object) 0.0,
                "hueDark",
                0.0,
                "chromaLight",
                1.0,
                "chromaDark",
                1.0);
        if (kind == 5)
            recipe.put(
                    "tint",
                    map(
                            "from",
                            pick(List.of("{color.hue1}", "{nowhere}", "x")),
                            "angle",
                            pick(NUMBERS),
                            "chroma",
                            0.02));
        hue.put("$extensions", map("org.umberloom", map("recipe", random.nextInt(8) == 0 ? pick(NUMBERS) : recipe)));
        return hue;
    }

    private Object ground() {
        return random.nextInt(4) == 0
                ? pick(NUMBERS)
                : map(
                        "kind",
                        pick(List.of("picture", "gradient", "pattern", pick(NAMES))),
                        "source",
                        pick(List.of("twill", "{misc.one}", "a.png", pick(NAMES))),
                        "size",
                        pick(List.of("cover", "240px", pick(NAMES))),
                        "scrim",
                        random.nextBoolean());
    }

    private Map<String, Object> group(int depth) {
        Map<String, Object> group = new LinkedHashMap<>();
        if (random.nextInt(25) == 0) group.put("$type", pick(TYPES.subList(0, 13)));
        for (int i = random.nextInt(4); i >= 0; i--)
            group.put(name("name" + i), depth < 3 && random.nextInt(3) == 0 ? group(depth + 1) : token(pick(TYPES)));
        if (random.nextInt(30) == 0) group.put("$extends", pick(List.of("{color}", "{surface}", "{nowhere}", "x")));
        return group;
    }

    private Map<String, Object> token(String type) {
        Map<String, Object> token = new LinkedHashMap<>();
        if (!type.isEmpty()) token.put("$type", type);
        token.put(
                "$value",
                random.nextInt(90) == 0 ? pick(NUMBERS) : random.nextInt(8) == 0 ? "{color.hue1.seed}" : value(type));
        if (random.nextInt(40) == 0) token.put("$description", pick(NAMES));
        if (random.nextInt(60) == 0)
            token.put(
                    "$extensions",
                    map("org.umberloom", map(pick(List.of("derivation", "fluid", "detached")), pick(NUMBERS))));
        return token;
    }

    private Object value(String type) {
        return switch (type) {
            case "color" ->
                map(
                        "colorSpace",
                        random.nextInt(40) == 0 ? "cmyk" : pick(SPACES),
                        "components",
                        List.of(number(), number(), number()),
                        "alpha",
                        random.nextInt(20) == 0 ? number() : 1.0);
            case "dimension" ->
                map("value", number(), "unit", random.nextInt(40) == 0 ? "em" : pick(List.of("px", "rem")));
            case "fontFamily" -> random.nextInt(5) == 0 ? pick(NAMES) : List.of("Some Face", "sans-serif");
            case "fontWeight" -> random.nextInt(12) > 0 ? 400.0 : number();
            case "duration" -> map("value", number(), "unit", pick(List.of("ms", "s")));
            case "cubicBezier" -> List.of(0.2, number(), 0.4, number());
            case "number" -> number();
            case "border" -> map("color", value("color"), "width", value("dimension"), "style", "solid");
            case "shadow" ->
                map(
                        "color",
                        value("color"),
                        "offsetX",
                        value("dimension"),
                        "offsetY",
                        value("dimension"),
                        "blur",
                        value("dimension"),
                        "spread",
                        value("dimension"));
            case "gradient" ->
                List.of(
                        map("color", value("color"), "position", number()),
                        map("color", value("color"), "position", 1.0));
            case "typography" ->
                map(
                        "fontFamily",
                        value("fontFamily"),
                        "fontSize",
                        value("dimension"),
                        "fontWeight",
                        value("fontWeight"),
                        "letterSpacing",
                        value("dimension"),
                        "lineHeight",
                        number());
            case "transition" ->
                map("duration", value("duration"), "delay", value("duration"), "timingFunction", value("cubicBezier"));
            default -> pick(NAMES);
        };
    }

    private Object number() {
        return random.nextInt(60) > 0 ? (Object) (double) random.nextInt(2) : pick(NUMBERS);
    }

    /** Mostly a harmless one, so that documents come whole often enough. */
    private String name(String harmless) {
        return random.nextInt(14) == 0 ? pick(NAMES) : harmless;
    }

    private <T> T pick(List<T> items) {
        return items.get(random.nextInt(items.size()));
    }

    private static Map<String, Object> map(Object... pairs) {
        Map<String, Object> map = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) map.put((String) pairs[i], pairs[i + 1]);
        return map;
    }
}
