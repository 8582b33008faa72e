package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.RecipeData;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;

/** Edits as JSON, the form in which the log of a theme keeps them. Reading what was written gives an equal edit. */
public final class EditJson {
    private EditJson() {
    }

    public static String write(Edit edit) {
        return Json.writeCompact(data(edit));
    }

    /** @throws FormatException when the text is not an edit */
    public static Edit read(String text) {
        return edit(Json.readObject("The edit", text));
    }

    private static Map<String, Object> data(Edit edit) {
        Map<String, Object> data = new LinkedHashMap<>();
        if (edit instanceof Edit.SetValue set) {
            place(data, "setValue", set.place(), set.path());
            data.put("token", TokensJson.data(Token.of(set.value())));
        } else if (edit instanceof Edit.SetRecipe set) {
            place(data, "setRecipe", set.place(), set.group());
            data.put("recipe", RecipeData.write(set.recipe()));
        } else if (edit instanceof Edit.Attach attach) {
            place(data, "attach", attach.place(), attach.path());
        } else if (edit instanceof Edit.Put put) {
            place(data, "put", put.place(), put.path());
            data.put("index", (double) put.index());
            inheritedType(put.node()).ifPresent(type -> data.put("inherited", type.id()));
            data.put("node", TokensJson.data(put.node()));
        } else if (edit instanceof Edit.Remove remove) {
            place(data, "remove", remove.place(), remove.path());
        } else if (edit instanceof Edit.SetName rename) {
            data.put("op", "setName");
            data.put("name", rename.name());
        } else if (edit instanceof Edit.Batch batch) {
            data.put("op", "batch");
            data.put("label", batch.label());
            data.put("edits", batch.edits().stream().map(EditJson::data).toList());
        }
        return data;
    }

    private static void place(Map<String, Object> data, String op, Place place, TokenPath path) {
        data.put("op", op);
        data.put("place", place.toString());
        data.put("path", path.dotted());
    }

    /** The type that the node's tokens have only by the groups above it, which are not written with the edit. */
    private static Optional<TokenType> inheritedType(Node node) {
        List<TokenType> types = new ArrayList<>();
        Group around = node instanceof Group group ? group : Group.EMPTY.with(TokenPath.of("node"), node);
        around.forEachToken((path, token, declared) -> {
            if (declared.isEmpty()) token.value().type().ifPresent(types::add);
        });
        return types.stream().findFirst();
    }

    private static Edit edit(Map<String, Object> data) {
        String op = String.valueOf(data.get("op"));
        switch (op) {
            case "setName":
                return new Edit.SetName(Json.string("name", data.get("name")));
            case "batch":
                List<Edit> edits = new ArrayList<>();
                for (Object item : Json.list("edits", data.get("edits"))) edits.add(edit(Json.object("An edit", item)));
                return new Edit.Batch(Json.string("label", data.get("label")), edits);
            default:
        }
        Place place = Place.parse(Json.string("place", data.get("place")));
        TokenPath path = TokenPath.of(Json.string("path", data.get("path")));
        return switch (op) {
            case "setValue" -> new Edit.SetValue(place, path,
                    ((Token) TokensJson.node("The edit", path.dotted(), Json.object("token", data.get("token")),
                            Optional.empty())).value());
            case "setRecipe" -> new Edit.SetRecipe(place, path, RecipeData.read(data.get("recipe")));
            case "attach" -> new Edit.Attach(place, path);
            case "put" -> new Edit.Put(place, path,
                    TokensJson.node("The edit", path.dotted(), Json.object("node", data.get("node")),
                            Optional.ofNullable(data.get("inherited")).map(String::valueOf).flatMap(TokenType::byId)),
                    (int) Json.number("index", data.get("index")));
            case "remove" -> new Edit.Remove(place, path);
            default -> throw new FormatException("“" + op + "” is not an edit that is known here.");
        };
    }
}
