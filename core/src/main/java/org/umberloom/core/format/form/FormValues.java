package org.umberloom.core.format.form;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;

/**
 * What every form is written from: each value of the theme as CSS text under a plain name, and for every further context what is
 * another there. A text style is its parts, each with the name of its CSS property.
 *
 * @param values   by their names, as the theme stands
 * @param contexts what differs in a context, the others at their defaults
 */
public record FormValues(ThemeDocument theme, List<Line> values, List<InContext> contexts) {
    /**
     * One value.
     *
     * @param name of letters, digits, dashes and underscores; no two lines have the same
     * @param of   the path of its token
     * @param part of a text style, such as {@code font-size}; empty for a whole value
     * @param type of the token
     * @param css  a value without references, its colors within sRGB
     */
    public record Line(String name, TokenPath of, String part, TokenType type, String css, TokenValue value) {}

    /** What is another in one context of a modifier. */
    public record InContext(String modifier, String context, List<Line> values) {}

    static FormValues of(ThemeDocument theme) {
        Naming naming = new Naming();
        Combination defaults = theme.defaults();
        List<Line> values = lines(Resolution.of(theme, defaults), naming);
        Map<String, String> known = new LinkedHashMap<>();
        values.forEach(line -> known.put(line.name, line.css));
        List<InContext> contexts = new ArrayList<>();
        theme.modifiers().forEach((name, modifier) -> {
            for (String context : others(modifier)) {
                List<Line> there = lines(Resolution.of(theme, defaults.with(name, context)), naming).stream()
                        .filter(line -> !line.css.equals(known.get(line.name)))
                        .toList();
                if (!there.isEmpty()) contexts.add(new InContext(name, context, there));
            }
        });
        return new FormValues(theme, values, contexts);
    }

    private static List<String> others(Modifier modifier) {
        return modifier.contexts().keySet().stream()
                .filter(context -> !context.equals(modifier.defaultContext()))
                .toList();
    }

    private static List<Line> lines(Resolution resolution, Naming naming) {
        List<Line> lines = new ArrayList<>();
        for (Resolved token : resolution.tokens().values()) {
            if (token.value() instanceof TypographyValue style)
                style.parts().forEach((part, value) -> {
                    String property = property(part);
                    lines.add(new Line(
                            naming.of(token.path(), property),
                            token.path(),
                            property,
                            token.type(),
                            CustomProperties.text(value),
                            value));
                });
            else
                lines.add(new Line(
                        naming.of(token.path(), ""),
                        token.path(),
                        "",
                        token.type(),
                        CustomProperties.text(token.value()),
                        token.value()));
        }
        return lines;
    }

    /** The CSS property of a part of a text style. */
    private static String property(String part) {
        return switch (part) {
            case "textCase" -> "text-transform";
            case "fontFeatures" -> "font-feature-settings";
            case "textDecoration" -> "text-decoration-line";
            default -> part.replaceAll("([A-Z])", "-$1").toLowerCase(java.util.Locale.ROOT);
        };
    }

    /** The colors of the theme as it stands. */
    List<Line> colors() {
        return values.stream().filter(line -> line.type == TokenType.COLOR).toList();
    }

    /** A name that any of the forms can hold. */
    static String plain(String text) {
        StringBuilder name = new StringBuilder();
        text.codePoints().forEach(c -> {
            boolean fits = c >= 'a' && c <= 'z' || c >= 'A' && c <= 'Z' || c >= '0' && c <= '9' || c == '-' || c == '_';
            name.append(fits ? (char) c : '-');
        });
        return name.toString();
    }

    /** Paths as names: what would be one name is told apart by numbers, in document order. */
    private static final class Naming {
        private final Map<String, String> known = new LinkedHashMap<>();
        private final Set<String> taken = new HashSet<>();

        String of(TokenPath path, String part) {
            return known.computeIfAbsent(path.dotted() + "\n" + part, key -> {
                String name = plain(path.dotted() + (part.isEmpty() ? "" : "-" + part));
                // A name that begins with a digit is none in SCSS.
                if (Character.isDigit(name.charAt(0))) name = "n" + name;
                String free = name;
                for (int more = 2; !taken.add(free.replace('_', '-')); more++) free = name + "-" + more;
                return free;
            });
        }
    }
}
