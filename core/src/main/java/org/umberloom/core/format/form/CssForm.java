package org.umberloom.core.format.form;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.css.CssEscape;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.theme.Meaning;

/** Custom properties and nothing else. Source: CSS Custom Properties 1. */
final class CssForm implements Form {
    @Override
    public String id() {
        return "css";
    }

    @Override
    public String title() {
        return "CSS custom properties";
    }

    @Override
    public Map<String, String> write(FormValues values) {
        StringBuilder css = new StringBuilder();
        block(css, "", ":root", values.values());
        Optional<Meaning.Scheme> scheme = Meaning.scheme(values.theme());
        for (FormValues.InContext in : values.contexts()) {
            String attribute = Stylesheet.attribute(in.modifier());
            boolean readers = scheme.isPresent()
                    && scheme.get().modifier().equals(in.modifier())
                    && scheme.get().dark().equals(in.context());
            if (readers) {
                css.append("@media (prefers-color-scheme: dark) {\n");
                block(css, "  ", ":root:not([" + attribute + "])", in.values());
                css.append("}\n");
            }
            block(css, "", "[" + attribute + "=" + CssEscape.string(in.context()) + "]", in.values());
        }
        return Map.of("variables.css", css.toString());
    }

    private static void block(StringBuilder css, String indent, String selector, List<FormValues.Line> lines) {
        css.append(indent).append(selector).append(" {\n");
        lines.forEach(line -> css.append(indent)
                .append("  --")
                .append(line.name())
                .append(": ")
                .append(line.css())
                .append(";\n"));
        css.append(indent).append("}\n");
    }
}
