package org.umberloom.core.format.form;

import java.util.LinkedHashMap;
import java.util.Map;
import org.umberloom.core.json.Json;

/** An ECMAScript module of values by their names, with its types. Source: ECMA-262, 16.2; the types are TypeScript's. */
final class ModuleForm implements Form {
    @Override
    public String id() {
        return "module";
    }

    @Override
    public String title() {
        return "JavaScript module with types";
    }

    @Override
    public Map<String, String> write(FormValues values) {
        StringBuilder script =
                new StringBuilder("/** Every value as it stands, by its name. */\nexport const tokens = {\n");
        StringBuilder types =
                new StringBuilder("/** Every value as it stands, by its name. */\nexport declare const tokens: {\n");
        values.values().forEach(line -> {
            script.append("  ")
                    .append(text(line.name()))
                    .append(": ")
                    .append(text(line.css()))
                    .append(",\n");
            types.append("  readonly ").append(text(line.name())).append(": string;\n");
        });
        script.append("};\n\n/** What is another in a context of a modifier. */\nexport const contexts = {\n");
        types.append("};\n\nexport type TokenName = keyof typeof tokens;\n\n")
                .append("/** What is another in a context of a modifier. */\nexport declare const contexts: {\n");
        byModifier(values).forEach((modifier, contexts) -> {
            script.append("  ").append(text(modifier)).append(": {\n");
            types.append("  readonly ").append(text(modifier)).append(": {\n");
            contexts.forEach((context, in) -> {
                script.append("    ").append(text(context)).append(": {\n");
                in.values().forEach(line -> script.append("      ")
                        .append(text(line.name()))
                        .append(": ")
                        .append(text(line.css()))
                        .append(",\n"));
                script.append("    },\n");
                types.append("    readonly ").append(text(context)).append(": Partial<Record<TokenName, string>>;\n");
            });
            script.append("  },\n");
            types.append("  };\n");
        });
        script.append("};\n");
        types.append("};\n");
        Map<String, String> files = new LinkedHashMap<>();
        files.put("tokens.js", script.toString());
        files.put("tokens.d.ts", types.toString());
        return files;
    }

    static Map<String, Map<String, FormValues.InContext>> byModifier(FormValues values) {
        Map<String, Map<String, FormValues.InContext>> all = new LinkedHashMap<>();
        values.contexts().forEach(in -> all.computeIfAbsent(in.modifier(), key -> new LinkedHashMap<>())
                .put(in.context(), in));
        return all;
    }

    private static String text(String text) {
        return Json.writeCompact(text);
    }
}
