package org.umberloom.core.format;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.umberloom.core.json.Json;

/** Brings an edit as logs held it before edits had one language to today's form. What has that form already stays as it is. */
final class OlderLog {
    private static final List<String> WHOLE = List.of("inherited", "types", "node");
    /** Fields of an edit that puts a node. */
    private static final int TODAY = 5;

    private OlderLog() {}

    static Map<String, Object> modern(Map<String, Object> edit) {
        Map<String, Object> data = new LinkedHashMap<>(edit);
        switch (String.valueOf(data.get("op"))) {
            case "setValue" -> {
                data.remove("inherited");
                named(data, "token", "value");
            }
            case "setRecipe", "removeRecipe" -> named(data, "path", "group");
            case "put" -> {
                boolean today = data.get("node") instanceof Map<?, ?> node
                        && node.containsKey("node")
                        && WHOLE.containsAll(node.keySet());
                if (!today || data.size() > TODAY) inOne(data, "node", WHOLE);
            }
            case "putAll" -> named(data, "node", "tokens");
            case "setMeta" -> named(data, "node", "meta");
            case "move" -> named(data, "path", "from");
            case "setPicture" -> {
                if (data.get("picture") instanceof Map<?, ?> picture && !picture.containsKey("name")) {
                    Map<String, Object> whole = Json.object("The picture", picture);
                    whole.put("name", data.get("name"));
                    data.put("picture", whole);
                }
            }
            case "batch" -> {
                if (data.get("edits") instanceof List<?> edits)
                    data.put(
                            "edits",
                            edits.stream()
                                    .map(one -> (Object) modern(Json.object("An edit", one)))
                                    .toList());
            }
            case "addSet" -> {
                if (!data.containsKey("set")) inOne(data, "set", List.of("description", "tokens", "extensions"));
            }
            case "addModifier" -> {
                Map<String, Object> modifier = Json.object("The modifier", data.get("modifier"));
                named(modifier, "default", "defaultContext");
                data.put("modifier", modifier);
            }
            case "setDefault" -> named(data, "name", "context");
            case "setMeaning" -> {
                named(data, "name", "modifier");
                if (!data.containsKey("meaning")) inOne(data, "meaning", List.of("kind", "contexts"));
            }
            case "setExtensions" -> named(data, "name", "modifier");
            case "rename" -> {
                boolean modifier = !"".equals(data.get("modifier"));
                data.put("op", modifier ? "renameModifier" : "renamePlace");
                data.remove(modifier ? "place" : "modifier");
            }
            default -> {}
        }
        return data;
    }

    private static void named(Map<String, Object> data, String before, String now) {
        if (data.containsKey(before)) data.putIfAbsent(now, data.remove(before));
    }

    private static void inOne(Map<String, Object> data, String field, List<String> parts) {
        Map<String, Object> inner = new LinkedHashMap<>();
        for (String part : parts) if (data.containsKey(part)) inner.put(part, data.remove(part));
        data.put(field, inner);
    }
}
