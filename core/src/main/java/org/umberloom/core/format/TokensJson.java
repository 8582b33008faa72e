package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.CompositeValue;
import org.umberloom.core.token.Derivation;
import org.umberloom.core.token.DerivedValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.ForeignValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.MannerValue;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.PropertyReference;
import org.umberloom.core.token.Reference;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.token.UnknownMembers;
import org.umberloom.core.token.ValueData;

/**
 * Token files. Source: Design Tokens Format Module 2025.10. What the format has no field for stands in
 * {@code $extensions}; {@code $value} always holds a value that any other reader understands.
 */
public final class TokensJson {
    private static final String FLUID = "fluid";
    private static final String MANNER = "manner";
    private static final String DERIVATION = "derivation";
    private static final String ROOT = "$root";
    private static final int MOST_NAMED = 5;
    private static final Set<String> GROUP_PROPERTIES =
            Set.of("$type", "$description", "$deprecated", "$extends", "$extensions", "$schema");
    private static final Set<String> TOKEN_PROPERTIES =
            Set.of("$type", "$value", "$ref", "$description", "$deprecated", "$extensions");

    private TokensJson() {}

    /** @throws FormatException with the path of what is wrong */
    public static Group read(String where, String text) {
        return read(where, text, new ArrayList<>());
    }

    /**
     * The same, also for older drafts of the format.
     *
     * @param notes receives a sentence for each kind of thing that was converted
     */
    public static Group read(String where, String text, List<String> notes) {
        return modern(where, Json.readObject(where, text), notes);
    }

    static Group modern(String where, Map<String, Object> data, List<String> notes) {
        OlderDraft draft = new OlderDraft();
        Map<String, Object> modern = draft.modern(data);
        Group group = group(where, "", modern, Optional.empty(), HandedTypes.of(modern));
        draft.notes().forEach(note -> notes.add(where + ": " + note));
        unknown(group).ifPresent(note -> notes.add(where + ": " + note));
        return group;
    }

    /** What was kept though the format knows nothing of it, in a sentence. */
    private static Optional<String> unknown(Group group) {
        List<String> found = new ArrayList<>();
        group.forEachToken((path, token, type) -> {
            if (!token.unknown().isEmpty())
                found.add(path + ": " + String.join(", ", token.unknown().names()));
        });
        if (found.isEmpty()) return Optional.empty();
        String first = String.join("; ", found.subList(0, Math.min(MOST_NAMED, found.size())));
        return Optional.of("Values hold members that the format does not know; they are kept and go out as they came ("
                + first + (found.size() > MOST_NAMED ? "; and " + (found.size() - MOST_NAMED) + " more" : "") + ").");
    }

    public static String write(Group group) {
        return Json.write(data(group));
    }

    static Map<String, Object> data(Node node) {
        return data(node, path -> Optional.empty());
    }

    /** @param results what a derivation at a path comes to, for readers that know none */
    static Map<String, Object> data(Node node, Function<TokenPath, Optional<TokenValue>> results) {
        return data("", node, results);
    }

    private static Map<String, Object> data(String path, Node node, Function<TokenPath, Optional<TokenValue>> results) {
        if (node instanceof Token token) return tokenData(path, token, results);
        Map<String, Object> data = new LinkedHashMap<>();
        meta(node.meta(), data);
        ((Group) node)
                .children()
                .forEach((name, child) ->
                        data.put(name, data(path.isEmpty() ? name : path + "." + name, child, results)));
        return data;
    }

    private static Map<String, Object> tokenData(
            String path, Token token, Function<TokenPath, Optional<TokenValue>> results) {
        Map<String, Object> data = new LinkedHashMap<>();
        token.meta().type().ifPresent(type -> data.put("$type", type.id()));
        if (token.value() instanceof ForeignValue foreign && !foreign.typeId().isEmpty())
            data.put("$type", foreign.typeId());
        Meta rest = token.meta();
        TokenValue shown = token.value();
        if (shown instanceof DerivedValue derived) {
            rest = rest.withOwn(DERIVATION, Optional.of(derived.derivation().data()));
            if (!path.isEmpty()) shown = results.apply(TokenPath.of(path)).orElse(shown);
        }
        data.put("$value", token.unknown().into(ValueData.write(shown)));
        Optional<Object> fluid = fluidData(token.value());
        if (fluid.isPresent()) rest = rest.withOwn(FLUID, fluid);
        if (token.value() instanceof TypographyValue style && !style.manner().isEmpty())
            rest = rest.withOwn(MANNER, Optional.of(mannerData(style)));
        meta(rest.withType(Optional.empty()), data);
        return data;
    }

    private static Map<String, Object> mannerData(TypographyValue style) {
        Map<String, Object> data = new LinkedHashMap<>();
        style.manner().forEach((manner, said) -> data.put(manner.part(), said.text()));
        return data;
    }

    private static TypographyValue withManner(TypographyValue read, Object data) {
        if (!(data instanceof Map<?, ?> map)) throw new IllegalArgumentException("the manner must be an object");
        TypographyValue changed = read;
        for (Map.Entry<?, ?> part : map.entrySet()) {
            if (!(part.getValue() instanceof String text))
                throw new IllegalArgumentException("the manner’s “" + part.getKey() + "” must be text");
            String name = String.valueOf(part.getKey());
            if (!(TypographyValue.parse(name, text) instanceof MannerValue said))
                throw new IllegalArgumentException("the manner names “" + name + "”, which the $value has");
            changed = changed.with(said);
        }
        return changed;
    }

    private static void meta(Meta meta, Map<String, Object> data) {
        meta.type().ifPresent(type -> data.put("$type", type.id()));
        meta.description().ifPresent(text -> data.put("$description", text));
        meta.deprecated().ifPresent(value -> data.put("$deprecated", value));
        meta.extended().ifPresent(group -> data.put("$extends", "{" + group + "}"));
        if (!meta.extensions().isEmpty()) data.put("$extensions", meta.extensions());
    }

    /** The whole of a fluid value, or of the fluid parts of a composite by name. */
    private static Optional<Object> fluidData(TokenValue value) {
        if (value instanceof FluidValue fluid) {
            Map<String, Object> data = new LinkedHashMap<>();
            data.put("narrow", ValueData.dimension(fluid.narrow()));
            data.put("wide", ValueData.dimension(fluid.wide()));
            data.put("narrowViewport", fluid.narrowViewport());
            data.put("wideViewport", fluid.wideViewport());
            return Optional.of(data);
        }
        if (!(value instanceof CompositeValue composite)) return Optional.empty();
        Map<String, Object> parts = new LinkedHashMap<>();
        composite.parts().forEach((name, part) -> fluidData(part).ifPresent(data -> parts.put(name, data)));
        return parts.isEmpty() ? Optional.empty() : Optional.of(parts);
    }

    /** A node of plain data; the type is what its groups say. */
    static Node node(String where, String path, Map<String, Object> data, Optional<TokenType> inherited) {
        return node(where, path, data, inherited, Map.of());
    }

    private static Node node(
            String where,
            String path,
            Map<String, Object> data,
            Optional<TokenType> inherited,
            Map<String, TokenType> handed) {
        return data.containsKey("$value") || data.containsKey("$ref")
                ? token(where, path, data, inherited)
                : group(where, path, data, inherited, handed);
    }

    static Group group(String where, String path, Map<String, Object> data, Optional<TokenType> inherited) {
        return group(where, path, data, inherited, Map.of());
    }

    /** @param handed types that groups get from those they extend, by path */
    private static Group group(
            String where,
            String path,
            Map<String, Object> data,
            Optional<TokenType> inherited,
            Map<String, TokenType> handed) {
        try {
            if (!path.isEmpty()) TokenPath.of(path);
        } catch (IllegalArgumentException e) {
            throw new FormatException(where + ": " + e.getMessage(), e);
        }
        Meta meta = readMeta(where, path, data, true);
        Optional<TokenType> type =
                meta.type().or(() -> Optional.ofNullable(handed.get(path))).or(() -> inherited);
        Map<String, Node> children = new LinkedHashMap<>();
        data.forEach((name, child) -> {
            if (GROUP_PROPERTIES.contains(name)) return;
            String childPath = path.isEmpty() ? name : path + "." + name;
            if (name.startsWith("$") && !name.equals(ROOT))
                throw new FormatException(at(where, path) + " has the property “" + name
                        + "”, which a group does not have; names of tokens and groups do not start with $.");
            try {
                TokenPath.checkName(name);
            } catch (IllegalArgumentException e) {
                throw new FormatException(at(where, childPath) + ": " + e.getMessage(), e);
            }
            if (!(child instanceof Map))
                throw new FormatException(at(where, childPath) + " must be an object: a token or a group.");
            Node node = node(where, childPath, Json.object(at(where, childPath), child), type, handed);
            if (name.equals(ROOT) && !(node instanceof Token))
                throw new FormatException(at(where, childPath) + " must be a token with a $value.");
            children.put(name, node);
        });
        return new Group(children, meta);
    }

    private static String at(String where, String path) {
        return path.isEmpty() ? where : where + ", " + path;
    }

    private static Token token(String where, String path, Map<String, Object> data, Optional<TokenType> inherited) {
        String place = at(where, path);
        for (String name : data.keySet())
            if (!TOKEN_PROPERTIES.contains(name))
                throw new FormatException(place + " is a token, since it has a $value, but also has “" + name
                        + "”; a token holds no other tokens" + (name.startsWith("$") ? " and no such property." : "."));
        boolean foreign =
                data.get("$type") instanceof String id && TokenType.byId(id).isEmpty();
        Meta meta = readMeta(where, path, data, false);
        try {
            return token(data, inherited, foreign, meta);
        } catch (FormatException e) {
            throw e;
        } catch (IllegalArgumentException e) {
            throw new FormatException(place + ": " + e.getMessage() + ".", e);
        }
    }

    private static Token token(Map<String, Object> data, Optional<TokenType> inherited, boolean foreign, Meta meta) {
        if (data.containsKey("$value") && data.containsKey("$ref"))
            throw new IllegalArgumentException("a token has a $value or a $ref, not both");
        Object value = data.containsKey("$ref") ? Map.of("$ref", data.get("$ref")) : data.get("$value");
        if (foreign) return new Token(new ForeignValue((String) data.get("$type"), value), meta);
        Optional<Object> derivation = meta.own(DERIVATION);
        if (derivation.isPresent())
            return new Token(
                    new DerivedValue(Derivation.read(derivation.get())), meta.withOwn(DERIVATION, Optional.empty()));
        TokenType type = meta.type().or(() -> inherited).orElse(null);
        if (type == null) return new Token(untyped(value), meta);
        TokenValue read = ValueData.read(type, value);
        Optional<Object> fluid = meta.own(FLUID);
        UnknownMembers unknown = UnknownMembers.in(value, read);
        if (fluid.isPresent()) read = withFluid(read, fluid.get());
        Optional<Object> manner = meta.own(MANNER);
        if (manner.isPresent() && read instanceof TypographyValue style) read = withManner(style, manner.get());
        return new Token(read, meta.withOwn(FLUID, Optional.empty()).withOwn(MANNER, Optional.empty()), unknown);
    }

    /** Without a type only a reference can be understood; anything else is kept as it is. */
    private static TokenValue untyped(Object value) {
        if (value instanceof String text && Alias.isAlias(text)) return Alias.parse(text);
        if (value instanceof Map<?, ?> map && map.size() == 1 && map.get("$ref") instanceof String pointer)
            return reference(pointer);
        return new ForeignValue("", value);
    }

    private static Reference reference(String text) {
        return Alias.isAlias(text) ? Alias.parse(text) : PropertyReference.parse(text);
    }

    private static TokenValue withFluid(TokenValue read, Object data) {
        if (!(data instanceof Map<?, ?> map)) throw new IllegalArgumentException("the fluid sizes must be an object");
        if (!(read instanceof CompositeValue composite)) return read instanceof DimensionValue ? fluid(map) : read;
        CompositeValue changed = composite;
        for (Map.Entry<?, ?> part : map.entrySet()) {
            TokenValue before = changed.parts().get(String.valueOf(part.getKey()));
            if (before == null)
                throw new IllegalArgumentException("the fluid sizes name “" + part.getKey() + "”, which is no part");
            changed = changed.withPart((String) part.getKey(), withFluid(before, part.getValue()));
        }
        return changed;
    }

    private static FluidValue fluid(Map<?, ?> data) {
        return new FluidValue(
                ValueData.dimension(data.get("narrow")),
                ValueData.dimension(data.get("wide")),
                number(data, "narrowViewport"),
                number(data, "wideViewport"));
    }

    private static double number(Map<?, ?> data, String field) {
        if (data.get(field) instanceof Number number) return number.doubleValue();
        throw new IllegalArgumentException("the fluid sizes need a number “" + field + "”");
    }

    private static Meta readMeta(String where, String path, Map<String, Object> data, boolean group) {
        String place = at(where, path);
        if (data.containsKey("$type") && !(data.get("$type") instanceof String))
            throw new FormatException(place + "’s $type must be text.");
        Optional<TokenType> type =
                Optional.ofNullable((String) data.get("$type")).flatMap(TokenType::byId);
        if (group && data.containsKey("$type") && type.isEmpty())
            throw new FormatException(place + " has the type “" + data.get("$type") + "” for a whole group; known are "
                    + List.of(TokenType.values()).stream().map(TokenType::id).toList() + ".");
        Optional<String> description =
                Optional.ofNullable(data.get("$description")).map(text -> Json.string(place + "’s $description", text));
        Object deprecated = data.get("$deprecated");
        if (deprecated != null && !(deprecated instanceof Boolean) && !(deprecated instanceof String))
            throw new FormatException(place + "’s $deprecated must be true, false or a reason.");
        Map<String, Object> extensions = data.containsKey("$extensions")
                ? Json.object(place + "’s $extensions", data.get("$extensions"))
                : Map.of();
        return new Meta(type, description, Optional.ofNullable(deprecated), extended(place, data, group), extensions);
    }

    private static Optional<TokenPath> extended(String place, Map<String, Object> data, boolean group) {
        if (!group || !data.containsKey("$extends")) return Optional.empty();
        String text = Json.string(place + "’s $extends", data.get("$extends"));
        try {
            return Optional.of(reference(text).target());
        } catch (IllegalArgumentException e) {
            throw new FormatException(place + "’s $extends: " + e.getMessage(), e);
        }
    }
}
