package org.umberloom.core.format.form;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.umberloom.core.css.CssEscape;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.theme.Meaning;

/**
 * What is another in each context of a theme, as blocks of custom properties: under the attribute of the root element that chooses the
 * context, and for the dark where the reader's system asks for it and no attribute says otherwise.
 */
final class ContextBlocks {
    private ContextBlocks() {}

    /** @param property the custom property of a line, without its dashes; empty for a line that has none */
    static void write(StringBuilder css, FormValues values, Function<FormValues.Line, String> property) {
        Optional<Meaning.Scheme> scheme = Meaning.scheme(values.theme());
        for (FormValues.InContext in : values.contexts()) {
            String attribute = Stylesheet.attribute(in.modifier());
            boolean readers = scheme.isPresent()
                    && scheme.get().modifier().equals(in.modifier())
                    && scheme.get().dark().equals(in.context());
            if (readers) {
                css.append("@media (prefers-color-scheme: dark) {\n");
                block(css, "  ", ":root:not([" + attribute + "])", in.values(), property);
                css.append("}\n");
            }
            block(css, "", "[" + attribute + "=" + CssEscape.string(in.context()) + "]", in.values(), property);
        }
    }

    static void block(
            StringBuilder css,
            String indent,
            String selector,
            List<FormValues.Line> lines,
            Function<FormValues.Line, String> property) {
        css.append(indent).append(selector).append(" {\n");
        for (FormValues.Line line : lines) {
            String name = property.apply(line);
            if (!name.isEmpty())
                css.append(indent)
                        .append("  --")
                        .append(name)
                        .append(": ")
                        .append(line.css())
                        .append(";\n");
        }
        css.append(indent).append("}\n");
    }
}
