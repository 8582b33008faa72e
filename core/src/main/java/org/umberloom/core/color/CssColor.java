package org.umberloom.core.color;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads and writes colors as CSS does: hex, {@code rgb()}, {@code hsl()}, {@code hwb()}, {@code lab()}, {@code lch()},
 * {@code oklab()}, {@code oklch()}, {@code color()} and named colors. Source: CSS Color 4, sections 4 to 10.
 */
public final class CssColor {
    private static final Pattern HEX = Pattern.compile("#([0-9a-fA-F]{3,4}|[0-9a-fA-F]{6}|[0-9a-fA-F]{8})");
    private static final int LONGEST = 300;
    private static final int LONGEST_HEX = 9;
    private static final int LONGEST_SHOWN = 60;
    private static final Pattern FUNCTION = Pattern.compile("([a-zA-Z]+)\\(([^()]*)\\)");
    private static final Pattern NUMBER =
            Pattern.compile("([+-]?(?:\\d+\\.?\\d*|\\.\\d+)(?:[eE][+-]?\\d+)?)(%|deg|grad|rad|turn)?");
    private static final String FORMS =
            "write it as #7a4a2b, rgb(122 74 43), oklch(0.5 0.09 60), color(display-p3 0.5 0.3 0.2) or a CSS name";

    private CssColor() {}

    /** @throws IllegalArgumentException with a sentence for people, when the text is not a color */
    public static Color parse(String text) {
        String trimmed = text.trim();
        if (trimmed.isEmpty()) throw new IllegalArgumentException("The color is empty: " + FORMS + ".");
        if (trimmed.length() > LONGEST) throw notAColor(trimmed);
        if (trimmed.startsWith("#")) return parseHex(trimmed);
        Matcher function = FUNCTION.matcher(trimmed);
        if (function.matches()) return parseFunction(trimmed, function.group(1), function.group(2));
        return NamedColors.find(trimmed).orElseThrow(() -> notAColor(text));
    }

    /** The color that a text is, where it is one: quicker than {@link #parse} to say that it is none. */
    public static Optional<Color> find(String text) {
        String trimmed = text.trim();
        if (trimmed.startsWith("#")
                && (trimmed.length() > LONGEST_HEX || !HEX.matcher(trimmed).matches())) return Optional.empty();
        if (!trimmed.startsWith("#") && trimmed.indexOf('(') < 0) return NamedColors.find(trimmed);
        try {
            return Optional.of(parse(trimmed));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** The shortest exact form: hex for 8-bit sRGB, else the function of the color's own space. */
    public static String write(Color color) {
        String alpha = color.alpha() == 1 ? "" : " / " + number(color.alpha(), 4);
        switch (color.space()) {
            case SRGB:
                if (isByte(color.c1()) && isByte(color.c2()) && isByte(color.c3()) && isByte(color.alpha()))
                    return color.hex();
                return "color(srgb " + triple(color, 5) + alpha + ")";
            case OKLCH:
                return "oklch(" + number(color.c1(), 5) + " " + number(color.c2(), 5) + " " + number(color.c3(), 3)
                        + alpha + ")";
            case HSL, HWB:
                return color.space().id() + "(" + number(color.c1(), 3) + " " + percent(color.c2()) + " "
                        + percent(color.c3()) + alpha + ")";
            default:
                return color.space().hasOwnFunction()
                        ? color.space().id() + "(" + triple(color, 5) + alpha + ")"
                        : "color(" + color.space().id() + " " + triple(color, 5) + alpha + ")";
        }
    }

    private static String percent(double value) {
        return Double.isNaN(value) ? "none" : number(value, 3) + "%";
    }

    private static String triple(Color color, int places) {
        return number(color.c1(), places) + " " + number(color.c2(), places) + " " + number(color.c3(), places);
    }

    private static boolean isByte(double component) {
        double level = component * 255;
        return level >= 0 && level <= 255 && Math.abs(level - Math.rint(level)) < 1e-9;
    }

    private static String number(double value, int places) {
        if (Double.isNaN(value)) return "none";
        BigDecimal rounded =
                BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP).stripTrailingZeros();
        return rounded.signum() == 0 ? "0" : rounded.toPlainString();
    }

    private static Color parseHex(String text) {
        Matcher hex = HEX.matcher(text);
        if (!hex.matches())
            throw new IllegalArgumentException(
                    "“" + text + "” is not a hex color: it has 3, 4, 6 or 8 hex digits after #.");
        String digits = hex.group(1);
        if (digits.length() <= 4) {
            StringBuilder twice = new StringBuilder();
            for (char digit : digits.toCharArray()) twice.append(digit).append(digit);
            digits = twice.toString();
        }
        Color opaque = Color.rgb(pair(digits, 0), pair(digits, 2), pair(digits, 4));
        return digits.length() == 8 ? opaque.withAlpha(pair(digits, 6) / 255.0) : opaque;
    }

    private static int pair(String digits, int at) {
        return Integer.parseInt(digits.substring(at, at + 2), 16);
    }

    private static Color parseFunction(String text, String function, String arguments) {
        String name = function.toLowerCase(Locale.ROOT);
        if (name.equals("color")) {
            String[] parts = arguments.trim().split("\\s+", 2);
            String id = parts[0].toLowerCase(Locale.ROOT);
            ColorSpace space = ColorSpace.byId(id.equals("xyz") ? "xyz-d65" : id)
                    .filter(s -> !s.hasOwnFunction())
                    .orElseThrow(() -> new IllegalArgumentException("“" + id + "” is not a color space known here."));
            List<String> terms = terms(text, parts.length < 2 ? "" : parts[1], false);
            return new Color(
                    space,
                    term(text, terms.get(0), 1),
                    term(text, terms.get(1), 1),
                    term(text, terms.get(2), 1),
                    alpha(text, terms));
        }
        List<String> terms = terms(text, arguments, name.startsWith("rgb") || name.startsWith("hsl"));
        double alpha = alpha(text, terms);
        switch (name) {
            case "rgb", "rgba":
                return new Color(
                        ColorSpace.SRGB,
                        byteTerm(text, terms.get(0)),
                        byteTerm(text, terms.get(1)),
                        byteTerm(text, terms.get(2)),
                        alpha);
            case "oklab":
                return new Color(
                        ColorSpace.OKLAB,
                        lightness(text, terms.get(0)),
                        term(text, terms.get(1), 0.4),
                        term(text, terms.get(2), 0.4),
                        alpha);
            case "oklch":
                return new Color(
                        ColorSpace.OKLCH,
                        lightness(text, terms.get(0)),
                        atLeastZero(term(text, terms.get(1), 0.4)),
                        hue(text, terms.get(2)),
                        alpha);
            case "lab":
                return new Color(
                        ColorSpace.LAB,
                        hundred(text, terms.get(0)),
                        term(text, terms.get(1), 125),
                        term(text, terms.get(2), 125),
                        alpha);
            case "lch":
                return new Color(
                        ColorSpace.LCH,
                        hundred(text, terms.get(0)),
                        atLeastZero(term(text, terms.get(1), 150)),
                        hue(text, terms.get(2)),
                        alpha);
            case "hsl", "hsla":
                return new Color(
                        ColorSpace.HSL,
                        hue(text, terms.get(0)),
                        atLeastZero(term(text, terms.get(1), 100)),
                        term(text, terms.get(2), 100),
                        alpha);
            case "hwb":
                return new Color(
                        ColorSpace.HWB,
                        hue(text, terms.get(0)),
                        hundred(text, terms.get(1)),
                        hundred(text, terms.get(2)),
                        alpha);
            default:
                throw notAColor(text);
        }
    }

    private static double hundred(String text, String term) {
        double value = term(text, term, 100);
        return Double.isNaN(value) ? value : Math.max(0, Math.min(100, value));
    }

    /** Three terms, and alpha as a fourth when it is there; commas are allowed in the older form of rgb(). */
    private static List<String> terms(String text, String arguments, boolean commasAllowed) {
        List<String> terms = new ArrayList<>();
        if (arguments.contains(",")) {
            if (!commasAllowed || arguments.contains("/")) throw notAColor(text);
            for (String part : arguments.split(",", -1)) terms.add(part.trim());
        } else {
            String[] halves = arguments.split("/", -1);
            if (halves.length > 2) throw notAColor(text);
            terms.addAll(List.of(halves[0].trim().split("\\s+")));
            if (terms.size() != 3) throw notAColor(text);
            if (halves.length == 2) terms.add(halves[1].trim());
        }
        if (terms.size() != 3 && terms.size() != 4) throw notAColor(text);
        return terms;
    }

    private static double alpha(String text, List<String> terms) {
        if (terms.size() == 3) return 1;
        double alpha = term(text, terms.get(3), 1);
        return Double.isNaN(alpha) ? 0 : Math.max(0, Math.min(1, alpha));
    }

    private static double byteTerm(String text, String term) {
        double value = term(text, term, 255);
        return Double.isNaN(value) ? value : Math.max(0, Math.min(255, value)) / 255;
    }

    private static double lightness(String text, String term) {
        double value = term(text, term, 1);
        return Double.isNaN(value) ? value : Math.max(0, Math.min(1, value));
    }

    private static double atLeastZero(double value) {
        return Double.isNaN(value) ? value : Math.max(0, value);
    }

    /** A number, {@code none}, or a percentage of {@code whole}. */
    private static double term(String text, String term, double whole) {
        if (term.equalsIgnoreCase("none")) return Color.NONE;
        Matcher number = NUMBER.matcher(term);
        if (!number.matches()) throw notAColor(text);
        double value = Double.parseDouble(number.group(1));
        String unit = number.group(2);
        if (unit == null) return value;
        if (unit.equals("%")) return value * whole / 100;
        throw notAColor(text);
    }

    private static double hue(String text, String term) {
        if (term.equalsIgnoreCase("none")) return Color.NONE;
        Matcher number = NUMBER.matcher(term);
        if (!number.matches() || "%".equals(number.group(2))) throw notAColor(text);
        double value = Double.parseDouble(number.group(1));
        double degrees =
                switch (number.group(2) == null ? "deg" : number.group(2)) {
                    case "grad" -> value * 0.9;
                    case "rad" -> Math.toDegrees(value);
                    case "turn" -> value * 360;
                    default -> value;
                };
        return ((degrees % 360) + 360) % 360;
    }

    private static IllegalArgumentException notAColor(String text) {
        String trimmed = text.trim();
        String shown = trimmed.length() <= LONGEST_SHOWN ? trimmed : trimmed.substring(0, LONGEST_SHOWN) + "…";
        return new IllegalArgumentException("“" + shown + "” is not a color: " + FORMS + ".");
    }
}
