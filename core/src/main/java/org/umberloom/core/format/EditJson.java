package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.RecipeData;
import org.umberloom.core.theme.Structure;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;

/** Edits as JSON, the form in which the log of a theme keeps them. Reading what was written gives an equal edit. */
public final class EditJson {
    private static final String WHERE = "The edit";

    private EditJson() {
    }

    public static String write(Edit edit) {
        return Json.writeCompact(data(edit));
    }

    /** @throws FormatException when the text is not an edit */
    public static Edit read(String text) {
        return edit(Json.readObject(WHERE, text));
    }

    private static Map<String, Object> data(Edit edit) {
        if (edit instanceof Structure structure) return StructureJson.data(structure);
        Map<String, Object> data = new LinkedHashMap<>();
        if (edit instanceof Edit.SetValue set) {
            place(data, "setValue", set.place(), set.path());
            data.put("token", TokensJson.data(Token.of(set.value())));
            Token.of(set.value()).value().type().ifPresent(type -> data.put("inherited", type.id()));
        } else if (edit instanceof Edit.SetRecipe set) {
            place(data, "setRecipe", set.place(), set.group());
            data.put("recipe", RecipeData.write(set.recipe()));
        } else if (edit instanceof Edit.RemoveRecipe remove) {
            place(data, "removeRecipe", remove.place(), remove.group());
        } else if (edit instanceof Edit.Attach attach) {
            place(data, "attach", attach.place(), attach.path());
        } else if (edit instanceof Edit.Detach detach) {
            place(data, "detach", detach.place(), detach.path());
        } else if (edit instanceof Edit.Put put) {
            place(data, "put", put.place(), put.path());
            data.put("index", (double) put.index());
            node(data, put.node());
        } else if (edit instanceof Edit.PutAll put) {
            data.put("op", "putAll");
            data.put("place", put.place().toString());
            data.put("node", TokensJson.data(put.tokens()));
        } else if (edit instanceof Edit.Remove remove) {
            place(data, "remove", remove.place(), remove.path());
        } else if (edit instanceof Edit.SetMeta set) {
            place(data, "setMeta", set.place(), set.path());
            data.put("node", TokensJson.data(new Group(Map.of(), set.meta())));
        } else if (edit instanceof Edit.Move move) {
            data.put("op", "move");
            data.put("path", move.from().dotted());
            data.put("to", move.to().dotted());
        } else if (edit instanceof Edit.SetName rename) {
            data.put("op", "setName");
            data.put("name", rename.name());
        } else if (edit instanceof Edit.SetDescription describe) {
            data.put("op", "setDescription");
            data.put("text", describe.text());
        } else if (edit instanceof Edit.SetPicture set) {
            data.put("op", "setPicture");
            data.put("name", set.name());
            set.picture().ifPresent(picture -> data.put("picture", picture(picture)));
        } else if (edit instanceof Edit.Batch batch) {
            data.put("op", "batch");
            data.put("label", batch.label());
            data.put("edits", batch.edits().stream().map(EditJson::data).toList());
        }
        return data;
    }

    private static Map<String, Object> picture(Picture picture) {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("hash", picture.hash());
        data.put("mediaType", picture.mediaType());
        data.put("license", picture.license());
        data.put("bytes", (double) picture.bytes());
        return data;
    }

    private static Picture picture(String name, Object data) {
        Map<String, Object> map = Json.object("picture", data);
        return new Picture(name, Json.string("hash", map.get("hash")), Json.string("mediaType", map.get("mediaType")),
                Json.string("license", map.get("license")), (long) Json.number("bytes", map.get("bytes")));
    }

    private static void place(Map<String, Object> data, String op, Place place, TokenPath path) {
        data.put("op", op);
        data.put("place", place.toString());
        data.put("path", path.dotted());
    }

    /** With the type that the node's tokens have only by the groups above it, which are not written with the edit. */
    private static void node(Map<String, Object> data, Node node) {
        Map<String, Object> types = new LinkedHashMap<>();
        Group around = node instanceof Group group ? group : Group.EMPTY.with(TokenPath.of("node"), node);
        around.forEachToken((path, token, declared) -> {
            if (declared.isEmpty()) token.value().type().ifPresent(type -> types.put(path.dotted(), type.id()));
        });
        if (new java.util.HashSet<>(types.values()).size() == 1) data.put("inherited", types.values().iterator().next());
        else if (!types.isEmpty()) data.put("types", types);
        data.put("node", TokensJson.data(node));
    }

    private static Edit edit(Map<String, Object> data) {
        String op = String.valueOf(data.get("op"));
        switch (op) {
            case "setName":
                return new Edit.SetName(Json.string("name", data.get("name")));
            case "setDescription":
                return new Edit.SetDescription(Json.string("text", data.get("text")));
            case "setPicture":
                String name = Json.string("name", data.get("name"));
                return new Edit.SetPicture(name, Optional.ofNullable(data.get("picture")).map(picture -> picture(name, picture)));
            case "move":
                return new Edit.Move(path(data, "path"), path(data, "to"));
            case "putAll":
                return new Edit.PutAll(Place.parse(Json.string("place", data.get("place"))),
                        TokensJson.group(WHERE, "", Json.object("node", data.get("node")), Optional.empty()));
            case "batch":
                List<Edit> edits = new ArrayList<>();
                for (Object item : Json.list("edits", data.get("edits"))) edits.add(edit(Json.object("An edit", item)));
                return new Edit.Batch(Json.string("label", data.get("label")), edits);
            default:
        }
        Optional<Structure> structure = StructureJson.read(op, data);
        if (structure.isPresent()) return structure.get();
        Place place = Place.parse(Json.string("place", data.get("place")));
        TokenPath path = path(data, "path");
        return switch (op) {
            case "setValue" -> new Edit.SetValue(place, path,
                    ((Token) TokensJson.node(WHERE, path.dotted(), Json.object("token", data.get("token")),
                            inherited(data))).value());
            case "setRecipe" -> new Edit.SetRecipe(place, path, RecipeData.read(data.get("recipe")));
            case "removeRecipe" -> new Edit.RemoveRecipe(place, path);
            case "attach" -> new Edit.Attach(place, path);
            case "detach" -> new Edit.Detach(place, path);
            case "put" -> new Edit.Put(place, path, node(path, data), (int) Json.number("index", data.get("index")));
            case "remove" -> new Edit.Remove(place, path);
            case "setMeta" -> new Edit.SetMeta(place, path, meta(data));
            default -> throw new FormatException("“" + op + "” is not an edit that is known here.");
        };
    }

    private static Meta meta(Map<String, Object> data) {
        return TokensJson.group(WHERE, "", Json.object("node", data.get("node")), Optional.empty()).meta();
    }

    private static TokenPath path(Map<String, Object> data, String field) {
        return TokenPath.of(Json.string(field, data.get(field)));
    }

    private static Optional<TokenType> inherited(Map<String, Object> data) {
        return Optional.ofNullable(data.get("inherited")).map(String::valueOf).flatMap(TokenType::byId);
    }

    /** A mixed group is read with each token's type said by itself, which is then taken away again. */
    private static Node node(TokenPath path, Map<String, Object> data) {
        Map<String, Object> node = Json.object("node", data.get("node"));
        if (!data.containsKey("types")) return TokensJson.node(WHERE, path.dotted(), node, inherited(data));
        Map<String, Object> types = Json.object("types", data.get("types"));
        types.forEach((at, type) -> tokenAt(node, at).put("$type", type));
        Node read = TokensJson.node(WHERE, path.dotted(), node, Optional.empty());
        for (String at : types.keySet()) {
            Group group = (Group) read;
            Token token = group.token(TokenPath.of(at)).orElseThrow();
            read = group.with(TokenPath.of(at), new Token(token.value(), token.meta().withType(Optional.empty())));
        }
        return read;
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> tokenAt(Map<String, Object> node, String path) {
        Map<String, Object> at = node;
        for (String name : path.split("\\.")) at = (Map<String, Object>) at.get(name);
        return at;
    }

    static Map<String, Object> modifierData(Modifier modifier) {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("description", modifier.description());
        Map<String, Object> contexts = new LinkedHashMap<>();
        modifier.contexts().forEach((name, tokens) -> contexts.put(name, TokensJson.data(tokens)));
        data.put("contexts", contexts);
        data.put("default", modifier.defaultContext());
        data.put("extensions", modifier.extensions());
        return data;
    }

    static Modifier modifier(Object data) {
        Map<String, Object> map = Json.object("modifier", data);
        Map<String, Group> contexts = new LinkedHashMap<>();
        Json.object("contexts", map.get("contexts")).forEach((name, tokens) -> contexts.put(name, group(tokens)));
        return new Modifier(Json.string("description", map.get("description")), contexts,
                Json.string("default", map.get("default")), Json.object("extensions", map.get("extensions")));
    }

    static Group group(Object data) {
        return TokensJson.group(WHERE, "", Json.object("tokens", data), Optional.empty());
    }

    static ThemeDocument.OrderEntry orderEntry(Object data) {
        String text = Json.string("An entry of the order", data);
        return text.startsWith("modifier:") ? ThemeDocument.OrderEntry.modifier(text.substring(9))
                : ThemeDocument.OrderEntry.set(text.substring(text.indexOf(':') + 1));
    }
}
