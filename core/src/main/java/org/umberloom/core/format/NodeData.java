package org.umberloom.core.format;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;

/** A token or group taken out of its tree, with the types that its tokens have only by the groups above it. */
final class NodeData {
    private static final String WHERE = "The edit";
    private static final String NODE = "node";
    private static final String INHERITED = "inherited";
    private static final String TYPES = "types";

    private NodeData() {}

    static Map<String, Object> write(Node node) {
        Map<String, Object> data = new LinkedHashMap<>();
        Map<String, Object> types = new LinkedHashMap<>();
        Group around = node instanceof Group group ? group : Group.EMPTY.with(TokenPath.of(NODE), node);
        around.forEachToken((path, token, declared) -> {
            if (declared.isEmpty()) token.value().type().ifPresent(type -> types.put(path.dotted(), type.id()));
        });
        if (new HashSet<>(types.values()).size() == 1)
            data.put(INHERITED, types.values().iterator().next());
        else if (!types.isEmpty()) data.put(TYPES, types);
        data.put(NODE, TokensJson.data(node));
        return data;
    }

    /** A mixed group is read with each token's type said by itself, which is then taken away again. */
    static Node read(Object written) {
        Map<String, Object> data = Json.object("A token or group", written);
        Map<String, Object> node = Json.object("A token or group", data.get(NODE));
        Optional<TokenType> inherited =
                Optional.ofNullable(data.get(INHERITED)).map(String::valueOf).flatMap(TokenType::byId);
        if (!data.containsKey(TYPES)) return TokensJson.node(WHERE, "", node, inherited);
        Map<String, Object> types = Json.object("Their types", data.get(TYPES));
        types.forEach((at, type) -> tokenAt(node, at).put("$type", type));
        Node read = TokensJson.node(WHERE, "", node, Optional.empty());
        for (String at : types.keySet()) {
            Group group = (Group) read;
            Token token = group.token(TokenPath.of(at)).orElseThrow(() -> nowhere(at));
            read = group.with(TokenPath.of(at), token.withMeta(token.meta().withType(Optional.empty())));
        }
        return read;
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> tokenAt(Map<String, Object> node, String path) {
        Map<String, Object> at = node;
        for (String name : path.split("\\.")) {
            if (!(at.get(name) instanceof Map<?, ?> inner)) throw nowhere(path);
            at = (Map<String, Object>) inner;
        }
        return at;
    }

    private static FormatException nowhere(String path) {
        return new FormatException("there is no token “" + path + "” to have a type");
    }
}
