package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.FontWeightValue;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.ValueText;

/** A value that comes without a type: told by its form, and where that leaves a doubt by the names around it. */
final class GuessedValue {
    private static final Pattern NUMBER = Pattern.compile("[+-]?(\\d+\\.?\\d*|\\.\\d+)");
    private static final Pattern LENGTH = Pattern.compile(NUMBER.pattern() + "(px|rem)", Pattern.CASE_INSENSITIVE);
    private static final Pattern OTHER_LENGTH = Pattern.compile(
            NUMBER.pattern() + "(em|ch|ex|vw|vh|vmin|vmax|%|pt|pc|cm|mm|in|fr|deg|turn|dvh|svh|lvh|cap|lh)",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern TIME = Pattern.compile(NUMBER.pattern() + "(ms|s)", Pattern.CASE_INSENSITIVE);
    private static final Pattern FUNCTION = Pattern.compile("[\\w-]+\\(.*\\)", Pattern.DOTALL);
    private static final Set<String> EASINGS = Set.of("linear", "ease", "ease-in", "ease-out", "ease-in-out");
    private static final List<String> FAMILY_WORDS = List.of("family", "font", "typeface");

    /** A value, or why there is none. */
    record Guess(Optional<TokenValue> value, String why) {
        static Guess of(TokenValue value) {
            return new Guess(Optional.of(value), "");
        }

        static Guess none(String why) {
            return new Guess(Optional.empty(), why);
        }
    }

    private GuessedValue() {}

    /** @param name the whole name, in which words such as weight or family tell what a number or a text is */
    static Guess of(String name, String text) {
        String value = text.trim();
        String lower = value.toLowerCase(Locale.ROOT);
        String called = name.toLowerCase(Locale.ROOT);
        if (value.isEmpty()) return Guess.none("it is empty");
        if (LENGTH.matcher(value).matches()) return parsed(TokenType.DIMENSION, lower);
        if (TIME.matcher(value).matches()) return parsed(TokenType.DURATION, lower);
        if (NUMBER.matcher(value).matches()) return number(called, Double.parseDouble(value));
        if (OTHER_LENGTH.matcher(value).matches()) return Guess.none("its unit is not px or rem");
        if (lower.startsWith("cubic-bezier(") || EASINGS.contains(lower)) return parsed(TokenType.CUBIC_BEZIER, lower);
        Optional<Color> color = CssColor.find(value);
        if (color.isPresent()) return Guess.of(new ColorValue(color.get()));
        if (called.contains("weight") && FontWeightValue.ofKeyword(lower).isPresent())
            return Guess.of(FontWeightValue.ofKeyword(lower).get());
        if (called.contains("shadow") || called.contains("elevation")) return shadow(value);
        if (families(called, lower)) return parsed(TokenType.FONT_FAMILY, value);
        return Guess.none(
                FUNCTION.matcher(value).matches() ? "it is computed by the browser" : "nothing tells what it is");
    }

    private static Guess number(String called, double number) {
        if (called.contains("weight") && number >= 1 && number <= 1000) return Guess.of(new FontWeightValue(number));
        boolean length = List.of("radius", "space", "spacing", "gap", "width", "padding").stream()
                .anyMatch(called::contains);
        return Guess.of(number == 0 && length ? DimensionValue.px(0) : new NumberValue(number));
    }

    private static boolean families(String called, String lower) {
        boolean generic = List.of(lower.split("\\s*,\\s*")).stream().anyMatch(FontFamilyValue.GENERIC::contains);
        return generic
                || FAMILY_WORDS.stream().anyMatch(called::contains)
                        && !lower.contains("(")
                        && lower.matches("[\\p{L}\\p{N} ,'\"_.-]+")
                        && !lower.matches("[\\d.]+.*")
                        && !Set.of("inherit", "initial", "unset", "normal", "none", "auto")
                                .contains(lower);
    }

    /** Shadows of CSS, in whose colors and lengths the order is free. Source: CSS Backgrounds 3, section 7.1. */
    private static Guess shadow(String text) {
        try {
            List<String> shadows = new ArrayList<>();
            for (String one : split(text, ',')) {
                List<String> lengths = new ArrayList<>();
                String color = "#000000";
                boolean inset = false;
                for (String word : split(one, ' ')) {
                    if (word.equalsIgnoreCase("inset")) inset = true;
                    else if (LENGTH.matcher(word).matches() || word.matches("-?0"))
                        lengths.add(word.matches("-?0") ? "0px" : word);
                    else color = CssColor.write(CssColor.parse(word));
                }
                if (lengths.size() < 2 || lengths.size() > 4) return Guess.none("it is no shadow that is understood");
                while (lengths.size() < 4) lengths.add("0px");
                shadows.add((inset ? "inset " : "") + String.join(" ", lengths) + " "
                        + (color.contains(" ") ? "(" + color + ")" : color));
            }
            return shadows.isEmpty()
                    ? Guess.none("it is no shadow that is understood")
                    : parsed(TokenType.SHADOW, String.join(", ", shadows));
        } catch (IllegalArgumentException e) {
            return Guess.none("it is no shadow that is understood");
        }
    }

    /** Divides at a sign that stands outside of parentheses. */
    private static List<String> split(String text, char at) {
        List<String> parts = new ArrayList<>();
        int depth = 0;
        StringBuilder part = new StringBuilder();
        for (char c : text.toCharArray()) {
            if (c == '(') depth++;
            if (c == ')') depth--;
            if (depth == 0 && (c == at || at == ' ' && Character.isWhitespace(c))) {
                if (!part.toString().isBlank()) parts.add(part.toString().trim());
                part.setLength(0);
            } else {
                part.append(c);
            }
        }
        if (!part.toString().isBlank()) parts.add(part.toString().trim());
        return parts;
    }

    private static Guess parsed(TokenType type, String text) {
        try {
            return Guess.of(ValueText.parse(type, text));
        } catch (IllegalArgumentException e) {
            return Guess.none("it is no " + type.id() + " that is understood");
        }
    }

    /** A list of family names. */
    static TokenValue families(List<String> names) {
        return new FontFamilyValue(names);
    }
}
