package org.umberloom.core.format.form;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.umberloom.core.css.CssEscape;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.token.TokenPath;

/** Variables, a map of all of them, a map for each context, and mixins for contexts and text styles. Source: the Sass reference. */
final class ScssForm implements Form {
    @Override
    public String id() {
        return "scss";
    }

    @Override
    public String title() {
        return "SCSS variables, maps and mixins";
    }

    @Override
    public Map<String, String> write(FormValues values) {
        StringBuilder scss = new StringBuilder("@use \"sass:meta\";\n\n");
        values.values().forEach(line -> scss.append("$")
                .append(line.name())
                .append(": ")
                .append(line.css())
                .append(";\n"));
        map(scss, "tokens", values.values(), true);
        for (FormValues.InContext in : values.contexts()) {
            String name = FormValues.plain(in.modifier() + "-" + in.context());
            map(scss, "in-" + name, in.values(), false);
            scss.append("\n@mixin in-")
                    .append(name)
                    .append(" {\n  [")
                    .append(Stylesheet.attribute(in.modifier()))
                    .append("=")
                    .append(CssEscape.string(in.context()))
                    .append("] & {\n    @content;\n  }\n}\n");
        }
        styles(values).forEach((path, parts) -> {
            scss.append("\n@mixin ").append(FormValues.plain(path.dotted())).append(" {\n");
            parts.forEach(part -> scss.append("  ")
                    .append(part.part())
                    .append(": $")
                    .append(part.name())
                    .append(";\n"));
            scss.append("}\n");
        });
        scss.append("\n// Every value of a map as a custom property.\n@mixin properties($map: $tokens) {\n"
                + "  @each $name, $value in $map {\n    --#{$name}: #{meta.inspect($value)};\n  }\n}\n");
        return Map.of("_tokens.scss", scss.toString());
    }

    private static Map<TokenPath, List<FormValues.Line>> styles(FormValues values) {
        Map<TokenPath, List<FormValues.Line>> styles = new LinkedHashMap<>();
        for (FormValues.Line line : values.values())
            if (!line.part().isEmpty())
                styles.computeIfAbsent(line.of(), key -> new java.util.ArrayList<>())
                        .add(line);
        return styles;
    }

    private static void map(StringBuilder scss, String name, List<FormValues.Line> lines, boolean variables) {
        scss.append("\n$").append(name).append(": (\n");
        lines.forEach(line -> scss.append("  \"")
                .append(line.name())
                .append("\": ")
                .append(variables ? "$" + line.name() : "(" + line.css() + ")")
                .append(",\n"));
        scss.append(");\n");
    }
}
