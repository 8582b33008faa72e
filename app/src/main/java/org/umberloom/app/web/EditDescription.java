package org.umberloom.app.web;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.BooleanSchema;
import io.swagger.v3.oas.models.media.ComposedSchema;
import io.swagger.v3.oas.models.media.NumberSchema;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.format.EditShape;
import org.umberloom.core.format.PageChangeJson;

/** Every kind of edit in the OpenAPI description, written from the very records that are read. */
final class EditDescription {
    private static final String EDIT = "Edit";
    private static final String CHANGE = "Change";
    private static final String OP = "op";
    private static final String REF = "#/components/schemas/";

    private EditDescription() {}

    static void add(OpenAPI api) {
        add(api, EDIT, EditJson.shapes(), List.of("EditRequest", "FixView"));
        add(api, CHANGE, PageChangeJson.shapes(), List.of("PageChanged"));
    }

    /** @param holders that have one of them in a field of its name */
    private static void add(OpenAPI api, String what, Map<String, EditShape.Fields> kinds, List<String> holders) {
        ComposedSchema any = new ComposedSchema();
        kinds.forEach((name, fields) -> {
            String schema = Character.toUpperCase(name.charAt(0)) + name.substring(1) + what;
            ObjectSchema one = object(fields);
            one.addProperty(OP, new StringSchema()._enum(List.of(name)));
            List<String> needed = new ArrayList<>(List.of(OP));
            if (one.getRequired() != null) needed.addAll(one.getRequired());
            one.setRequired(needed);
            api.getComponents().addSchemas(schema, one);
            any.addOneOfItem(new Schema<>().$ref(REF + schema));
        });
        api.getComponents().addSchemas(what, any);
        for (String holder : holders)
            api.getComponents()
                    .getSchemas()
                    .get(holder)
                    .addProperty(what.toLowerCase(Locale.ROOT), new Schema<>().$ref(REF + what));
    }

    private static ObjectSchema object(EditShape.Fields fields) {
        ObjectSchema object = new ObjectSchema();
        List<String> needed = new ArrayList<>();
        fields.fields().forEach((name, field) -> {
            object.addProperty(name, schema(field.shape()));
            if (field.needed()) needed.add(name);
        });
        object.setRequired(needed);
        return object;
    }

    private static Schema<?> schema(EditShape shape) {
        if (shape instanceof EditShape.Many many) return new ArraySchema().items(schema(many.of()));
        if (shape instanceof EditShape.Named named) {
            ObjectSchema map = new ObjectSchema();
            map.setAdditionalProperties(schema(named.of()));
            return map;
        }
        if (shape instanceof EditShape.OneOf one) return new StringSchema()._enum(one.words());
        if (shape instanceof EditShape.Fields fields) return object(fields);
        if (shape instanceof EditShape.Inner) return new Schema<>().$ref(REF + EDIT);
        return switch (((EditShape.Plain) shape).type()) {
            case "string" -> new StringSchema();
            case "number" -> new NumberSchema();
            case "boolean" -> new BooleanSchema();
            default -> anything();
        };
    }

    private static Schema<?> anything() {
        ObjectSchema object = new ObjectSchema();
        object.setAdditionalProperties(true);
        return object;
    }
}
