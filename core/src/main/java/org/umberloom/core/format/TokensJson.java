package org.umberloom.core.format;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.ForeignValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;

/**
 * Token files. Source: Design Tokens Format Module 2025.10. What the format has no field for stands in
 * {@code $extensions}; {@code $value} always holds a value that any other reader understands.
 */
public final class TokensJson {
    private static final String FLUID = "fluid";
    private static final Set<String> GROUP_PROPERTIES =
            Set.of("$type", "$description", "$deprecated", "$extensions", "$schema");

    private TokensJson() {
    }

    /** @throws FormatException with the path of what is wrong */
    public static Group read(String where, String text) {
        return group(where, "", Json.readObject(where, text), Optional.empty());
    }

    public static String write(Group group) {
        return Json.write(data(group));
    }

    static Map<String, Object> data(Node node) {
        return node instanceof Group group ? groupData(group) : tokenData((Token) node);
    }

    private static Map<String, Object> groupData(Group group) {
        Map<String, Object> data = new LinkedHashMap<>();
        meta(group.meta(), data);
        group.children().forEach((name, node) -> data.put(name, data(node)));
        return data;
    }

    private static Map<String, Object> tokenData(Token token) {
        Map<String, Object> data = new LinkedHashMap<>();
        token.meta().type().ifPresent(type -> data.put("$type", type.id()));
        if (token.value() instanceof ForeignValue foreign && !foreign.typeId().isEmpty())
            data.put("$type", foreign.typeId());
        data.put("$value", ValueJson.write(token.value()));
        Meta rest = token.meta();
        Optional<Object> fluid = fluidData(token.value());
        if (fluid.isPresent()) rest = rest.withOwn(FLUID, fluid);
        meta(new Meta(Optional.empty(), rest.description(), rest.deprecated(), rest.extensions()), data);
        return data;
    }

    private static void meta(Meta meta, Map<String, Object> data) {
        meta.type().ifPresent(type -> data.put("$type", type.id()));
        meta.description().ifPresent(text -> data.put("$description", text));
        meta.deprecated().ifPresent(value -> data.put("$deprecated", value));
        if (!meta.extensions().isEmpty()) data.put("$extensions", meta.extensions());
    }

    /** The whole of a fluid value, or of the fluid members of a text style by name. */
    private static Optional<Object> fluidData(TokenValue value) {
        if (value instanceof FluidValue fluid) {
            Map<String, Object> data = new LinkedHashMap<>();
            data.put("narrow", ValueJson.dimension(fluid.narrow()));
            data.put("wide", ValueJson.dimension(fluid.wide()));
            data.put("narrowViewport", fluid.narrowViewport());
            data.put("wideViewport", fluid.wideViewport());
            return Optional.of(data);
        }
        if (!(value instanceof TypographyValue typography)) return Optional.empty();
        Map<String, Object> members = new LinkedHashMap<>();
        typography.members().forEach((name, member) ->
                fluidData(member).ifPresent(data -> members.put(name, data)));
        return members.isEmpty() ? Optional.empty() : Optional.of(members);
    }

    /** A node of plain data; the type is what its groups say. */
    static Node node(String where, String path, Map<String, Object> data, Optional<TokenType> inherited) {
        return data.containsKey("$value") ? token(where, path, data, inherited) : group(where, path, data, inherited);
    }

    static Group group(String where, String path, Map<String, Object> data, Optional<TokenType> inherited) {
        Meta meta = readMeta(where, path, data, true);
        Optional<TokenType> type = meta.type().or(() -> inherited);
        Map<String, Node> children = new LinkedHashMap<>();
        data.forEach((name, child) -> {
            if (GROUP_PROPERTIES.contains(name)) return;
            String childPath = path.isEmpty() ? name : path + "." + name;
            try {
                TokenPath.checkName(name);
            } catch (IllegalArgumentException e) {
                throw new FormatException(where + ", " + childPath + ": " + e.getMessage(), e);
            }
            children.put(name, node(where, childPath, Json.object(where + ", " + childPath, child), type));
        });
        return new Group(children, meta);
    }

    private static Token token(String where, String path, Map<String, Object> data, Optional<TokenType> inherited) {
        String place = where + ", " + path;
        Object value = data.get("$value");
        boolean foreign = data.get("$type") instanceof String id && TokenType.byId(id).isEmpty();
        Meta meta = readMeta(where, path, data, false);
        if (foreign) return new Token(new ForeignValue((String) data.get("$type"), value), meta);
        TokenType type = meta.type().or(() -> inherited).orElse(null);
        if (type == null && !(value instanceof String text && Alias.isAlias(text)))
            return new Token(new ForeignValue("", value), meta);
        TokenValue read = ValueJson.read(place, type, value);
        Optional<Object> fluid = meta.own(FLUID);
        if (fluid.isEmpty()) return new Token(read, meta);
        return new Token(withFluid(place, read, fluid.get()), meta.withOwn(FLUID, Optional.empty()));
    }

    private static TokenValue withFluid(String where, TokenValue read, Object data) {
        Map<String, Object> map = Json.object(where + "'s fluid sizes", data);
        if (!(read instanceof TypographyValue typography)) return read instanceof Alias ? read : fluid(where, map);
        TypographyValue changed = typography;
        for (Map.Entry<String, Object> member : map.entrySet())
            changed = changed.with(member.getKey(), fluid(where, Json.object(where, member.getValue())));
        return changed;
    }

    private static FluidValue fluid(String where, Map<String, Object> data) {
        DimensionValue narrow = ValueJson.dimension(where + "'s narrow size", data.get("narrow"));
        DimensionValue wide = ValueJson.dimension(where + "'s wide size", data.get("wide"));
        try {
            return new FluidValue(narrow, wide, Json.number(where, data.get("narrowViewport")),
                    Json.number(where, data.get("wideViewport")));
        } catch (IllegalArgumentException e) {
            throw new FormatException(where + ": " + e.getMessage(), e);
        }
    }

    private static Meta readMeta(String where, String path, Map<String, Object> data, boolean group) {
        String place = path.isEmpty() ? where : where + ", " + path;
        Optional<TokenType> type = Optional.ofNullable(data.get("$type"))
                .map(id -> Json.string(place + "'s $type", id)).flatMap(TokenType::byId);
        if (group && data.containsKey("$type") && type.isEmpty())
            throw new FormatException(place + " has the type “" + data.get("$type") + "” for a whole group; known are "
                    + List.of(TokenType.values()).stream().map(TokenType::id).toList() + ".");
        Optional<String> description = Optional.ofNullable(data.get("$description"))
                .map(text -> Json.string(place + "'s $description", text));
        Map<String, Object> extensions = data.containsKey("$extensions")
                ? Json.object(place + "'s $extensions", data.get("$extensions")) : Map.of();
        return new Meta(type, description, Optional.ofNullable(data.get("$deprecated")), extensions);
    }
}
