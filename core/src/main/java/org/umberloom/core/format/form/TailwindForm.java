package org.umberloom.core.format.form;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;

/**
 * A block of theme variables, from which utilities come. What has no namespace there is listed at the end. Source of the namespaces:
 * Tailwind CSS 4, “Theme variables”.
 */
final class TailwindForm implements Form {
    private static final String FAMILY = "font-";
    private static final String WEIGHT = "font-weight-";
    /** Parts of a text style that go with its size. */
    private static final Set<String> WITH_SIZE = Set.of("line-height", "letter-spacing", "font-weight");

    @Override
    public String id() {
        return "tailwind";
    }

    @Override
    public String title() {
        return "Tailwind 4 @theme";
    }

    @Override
    public Map<String, String> write(FormValues values) {
        Set<String> families = values.values().stream()
                .filter(line -> line.type() == TokenType.FONT_FAMILY)
                .map(TailwindForm::variable)
                .collect(Collectors.toSet());
        Map<String, String> variables = new LinkedHashMap<>();
        Map<String, FormValues.Line> named = new LinkedHashMap<>();
        List<String> without = new ArrayList<>();
        for (FormValues.Line line : values.values()) {
            String name = apart(variable(line), families);
            if (name.isEmpty()) without.add(line.name());
            else if (variables.putIfAbsent(name, line.css()) == null) named.put(name, line);
        }
        StringBuilder css = new StringBuilder("@theme {\n");
        variables.forEach((name, value) ->
                css.append("  --").append(name).append(": ").append(value).append(";\n"));
        css.append("}\n");
        // Utilities read the variables, so that a context only sets them anew.
        Map<String, String> byLine = new LinkedHashMap<>();
        named.forEach((name, line) -> byLine.put(line.name(), name));
        ContextBlocks.write(css, values, line -> byLine.getOrDefault(line.name(), ""));
        if (!without.isEmpty())
            css.append("\n/* Without a namespace, so they make no utilities: ")
                    .append(String.join(", ", without))
                    .append(". */\n");
        return Map.of("theme.css", css.toString());
    }

    /** A family and a weight of one name would make one utility, and the weight could not be reached. */
    private static String apart(String name, Set<String> families) {
        boolean weight = name.startsWith(WEIGHT);
        return weight && families.contains(FAMILY + name.substring(WEIGHT.length())) ? name + "-weight" : name;
    }

    /** Empty where there is no namespace for it. */
    private static String variable(FormValues.Line line) {
        String rest = FormValues.plain(rest(line.of()));
        return switch (line.type()) {
            case COLOR ->
                "color-"
                        + FormValues.plain(
                                line.of().top().equals("color")
                                        ? rest
                                        : line.of().dotted());
            case FONT_FAMILY -> FAMILY + rest;
            case FONT_WEIGHT -> WEIGHT + rest;
            case SHADOW -> "shadow-" + rest;
            case CUBIC_BEZIER -> "ease-" + rest;
            case NUMBER -> line.of().top().startsWith("line") ? "leading-" + rest : "";
            case TYPOGRAPHY ->
                line.part().equals("font-size")
                        ? "text-" + rest
                        : WITH_SIZE.contains(line.part()) ? "text-" + rest + "--" + line.part() : "";
            case DIMENSION -> dimension(line.of(), rest);
            default -> "";
        };
    }

    private static String dimension(TokenPath path, String rest) {
        if (path.name().contains("radius")) return "radius-" + FormValues.plain(path.dotted());
        return switch (path.top()) {
            case "size" -> "text-" + path.top() + "-" + rest;
            case "space" -> "spacing-" + rest;
            case "gap" -> "spacing-gap-" + rest;
            case "width" -> "container-" + rest;
            default -> "";
        };
    }

    /** A path without its first name. */
    private static String rest(TokenPath path) {
        return path.dotted().contains(".")
                ? path.dotted().substring(path.dotted().indexOf('.') + 1)
                : path.dotted();
    }
}
