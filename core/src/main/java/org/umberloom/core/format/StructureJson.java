package org.umberloom.core.format;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Structure;
import org.umberloom.core.theme.ThemeDocument;

/** Edits of sets, modifiers, contexts and their order as plain data. */
final class StructureJson {
    private StructureJson() {
    }

    static Map<String, Object> data(Structure edit) {
        Map<String, Object> data = new LinkedHashMap<>();
        if (edit instanceof Structure.AddSet add) {
            op(data, "addSet", "name", add.name());
            data.put("description", add.set().description());
            data.put("tokens", TokensJson.data(add.set().tokens()));
            data.put("extensions", add.set().extensions());
            data.put("index", (double) add.index());
            data.put("orderIndex", (double) add.orderIndex());
        } else if (edit instanceof Structure.RemoveSet remove) {
            op(data, "removeSet", "name", remove.name());
        } else if (edit instanceof Structure.AddModifier add) {
            op(data, "addModifier", "name", add.name());
            data.put("modifier", EditJson.modifierData(add.modifier()));
            data.put("index", (double) add.index());
            data.put("orderIndex", (double) add.orderIndex());
        } else if (edit instanceof Structure.RemoveModifier remove) {
            op(data, "removeModifier", "name", remove.name());
        } else if (edit instanceof Structure.AddContext add) {
            op(data, "addContext", "name", add.name());
            data.put("modifier", add.modifier());
            data.put("tokens", TokensJson.data(add.tokens()));
            data.put("index", (double) add.index());
        } else if (edit instanceof Structure.RemoveContext remove) {
            op(data, "removeContext", "name", remove.name());
            data.put("modifier", remove.modifier());
        } else if (edit instanceof Structure.SetDefault set) {
            op(data, "setDefault", "name", set.context());
            data.put("modifier", set.modifier());
        } else if (edit instanceof Structure.Reorder reorder) {
            data.put("op", "reorder");
            data.put("order", reorder.order().stream().map(entry ->
                    (entry.modifier() ? "modifier:" : "set:") + entry.name()).toList());
        } else if (edit instanceof Structure.Arrange arrange) {
            data.put("op", "arrange");
            data.put("kind", arrange.kind());
            data.put("modifier", arrange.modifier());
            data.put("names", arrange.names());
        } else if (edit instanceof Structure.Rename rename) {
            op(data, "rename", "name", rename.name());
            data.put("modifier", rename.modifier());
            data.put("place", rename.place().toString());
        } else if (edit instanceof Structure.SetMeaning set) {
            op(data, "setMeaning", "name", set.modifier());
            data.put("kind", set.meaning().kind().id());
            data.put("contexts", set.meaning().contexts());
        } else if (edit instanceof Structure.SetExtensions set) {
            op(data, "setExtensions", "name", set.modifier());
            data.put("extensions", set.extensions());
        } else if (edit instanceof Structure.Describe describe) {
            op(data, "describe", "name", describe.name());
            data.put("kind", describe.kind());
            data.put("text", describe.text());
        }
        return data;
    }

    private static void op(Map<String, Object> data, String op, String field, String value) {
        data.put("op", op);
        data.put(field, value);
    }

    /** Empty for an operation that is no edit of the structure. */
    static Optional<Structure> read(String op, Map<String, Object> data) {
        return Optional.ofNullable(switch (op) {
            case "addSet" -> new Structure.AddSet(text(data, "name"), new ThemeDocument.TokenSet(text(data, "description"),
                    EditJson.group(data.get("tokens")), Json.object("extensions", data.get("extensions"))),
                    index(data, "index"), index(data, "orderIndex"));
            case "removeSet" -> new Structure.RemoveSet(text(data, "name"));
            case "addModifier" -> new Structure.AddModifier(text(data, "name"), EditJson.modifier(data.get("modifier")),
                    index(data, "index"), index(data, "orderIndex"));
            case "removeModifier" -> new Structure.RemoveModifier(text(data, "name"));
            case "addContext" -> new Structure.AddContext(text(data, "modifier"), text(data, "name"),
                    EditJson.group(data.get("tokens")), index(data, "index"));
            case "removeContext" -> new Structure.RemoveContext(text(data, "modifier"), text(data, "name"));
            case "setDefault" -> new Structure.SetDefault(text(data, "modifier"), text(data, "name"));
            case "reorder" -> new Structure.Reorder(list(data, "order").stream().map(EditJson::orderEntry)
                    .toList());
            case "arrange" -> new Structure.Arrange(text(data, "kind"), text(data, "modifier"),
                    list(data, "names").stream().map(name -> Json.string("A name", name)).toList());
            case "rename" -> new Structure.Rename(Place.parse(text(data, "place")), text(data, "modifier"), text(data, "name"));
            case "setMeaning" -> new Structure.SetMeaning(text(data, "name"), new Meaning(Meaning.Kind.byId(text(data, "kind")), contexts(data)));
            case "setExtensions" -> new Structure.SetExtensions(text(data, "name"), Json.object("extensions", data.get("extensions")));
            case "describe" -> new Structure.Describe(text(data, "kind"), text(data, "name"), text(data, "text"));
            default -> null;
        });
    }

    private static String text(Map<String, Object> data, String field) {
        return Json.string(field, data.get(field));
    }

    private static Map<String, String> contexts(Map<String, Object> data) {
        Map<String, String> contexts = new LinkedHashMap<>();
        Json.object("contexts", data.get("contexts")).forEach((part, context) -> contexts.put(part, Json.string(part, context)));
        return contexts;
    }

    private static int index(Map<String, Object> data, String field) {
        return (int) Json.number(field, data.get(field));
    }

    private static List<Object> list(Map<String, Object> data, String field) {
        return List.copyOf(Json.list(field, data.get(field)));
    }
}
