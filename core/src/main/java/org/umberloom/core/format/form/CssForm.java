package org.umberloom.core.format.form;

import java.util.Map;

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
        ContextBlocks.block(css, "", ":root", values.values(), FormValues.Line::name);
        ContextBlocks.write(css, values, FormValues.Line::name);
        return Map.of("variables.css", css.toString());
    }
}
