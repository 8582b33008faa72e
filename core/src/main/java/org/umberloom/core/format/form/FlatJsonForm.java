package org.umberloom.core.format.form;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.umberloom.core.json.Json;

/** Names and CSS values in one flat object, with what differs in contexts beside it. Source: RFC 8259. */
final class FlatJsonForm implements Form {
    @Override
    public String id() {
        return "json";
    }

    @Override
    public String title() {
        return "Flat JSON";
    }

    @Override
    public Map<String, String> write(FormValues values) {
        Map<String, Object> all = new LinkedHashMap<>();
        all.put("tokens", flat(values.values()));
        Map<String, Object> contexts = new LinkedHashMap<>();
        ModuleForm.byModifier(values).forEach((modifier, byContext) -> {
            Map<String, Object> inner = new LinkedHashMap<>();
            byContext.forEach((context, in) -> inner.put(context, flat(in.values())));
            contexts.put(modifier, inner);
        });
        all.put("contexts", contexts);
        return Map.of("tokens.flat.json", Json.write(all));
    }

    private static Map<String, Object> flat(List<FormValues.Line> lines) {
        Map<String, Object> flat = new LinkedHashMap<>();
        lines.forEach(line -> flat.put(line.name(), line.css()));
        return flat;
    }
}
