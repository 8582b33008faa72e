package org.umberloom.core.format;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.RecipeData;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;

/**
 * Records as plain data and back, by the types of their components: a component is a field of its own name. What is left out
 * is nothing where that is possible: an empty {@link Optional}, list, map or group; an index is −1 then, for the last.
 */
final class RecordData {
    private static final String WHERE = "The edit";

    /** How values of a type are written and read. */
    private record Form<T>(EditShape shape, Function<T, Object> write, Function<Object, T> read, Optional<T> missing) {}

    private static final Map<Class<?>, Form<?>> FORMS = new LinkedHashMap<>();

    private static <T> void form(Class<T> type, EditShape shape, Function<T, Object> write, Function<Object, T> read) {
        FORMS.put(type, new Form<>(shape, write, read, Optional.empty()));
    }

    static {
        form(String.class, EditShape.TEXT, text -> text, data -> Json.string("A text", data));
        form(double.class, EditShape.NUMBER, number -> number, data -> Json.number("A number", data));
        form(Double.class, EditShape.NUMBER, number -> number, data -> Json.number("A number", data));
        FORMS.put(
                int.class,
                new Form<Integer>(
                        EditShape.NUMBER, number -> (double) number, data -> (int) whole(data), Optional.of(-1)));
        form(long.class, EditShape.NUMBER, number -> (double) number, RecordData::whole);
        FORMS.put(boolean.class, new Form<Boolean>(EditShape.FLAG, flag -> flag, RecordData::flag, Optional.of(false)));
        form(Boolean.class, EditShape.FLAG, flag -> flag, RecordData::flag);
        form(Place.class, EditShape.TEXT, Place::toString, data -> Place.parse(Json.string("A place", data)));
        form(
                TokenPath.class,
                EditShape.TEXT,
                TokenPath::dotted,
                data -> TokenPath.of(Json.string("A path", data).trim()));
        form(
                ThemeDocument.OrderEntry.class,
                EditShape.TEXT,
                ThemeDocument.OrderEntry::toString,
                data -> ThemeDocument.OrderEntry.parse(Json.string("An entry of the order", data)));
        form(TokenValue.class, EditShape.DATA, value -> TokensJson.data(Token.of(value)), data -> ((Token)
                        TokensJson.node(WHERE, "", Json.object("A value", data), Optional.empty()))
                .value());
        form(Node.class, EditShape.DATA, NodeData::write, NodeData::read);
        FORMS.put(
                Group.class,
                new Form<Group>(
                        EditShape.DATA, TokensJson::data, data -> group("The tokens", data), Optional.of(Group.EMPTY)));
        form(Meta.class, EditShape.DATA, meta -> TokensJson.data(new Group(Map.of(), meta)), data -> group(
                        "What it says of itself", data)
                .meta());
        form(Recipe.class, EditShape.DATA, RecipeData::write, RecipeData::read);
        form(Object.class, EditShape.DATA, value -> value, data -> data);
    }

    private RecordData() {}

    static Map<String, Object> write(Record written) {
        Map<String, Object> data = new LinkedHashMap<>();
        for (RecordComponent component : written.getClass().getRecordComponents()) {
            Object value = value(component, written);
            if (!(value instanceof Optional<?> optional))
                data.put(component.getName(), write(component.getGenericType(), value));
            else
                optional.ifPresent(
                        one -> data.put(component.getName(), write(argument(component.getGenericType(), 0), one)));
        }
        return data;
    }

    private static Object value(RecordComponent component, Record written) {
        try {
            return component.getAccessor().invoke(written);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("the component " + component + " cannot be read", e);
        }
    }

    @SuppressWarnings("unchecked")
    private static Object write(Type type, Object value) {
        Class<?> raw = raw(type);
        if (raw == List.class)
            return ((List<Object>) value)
                    .stream().map(item -> write(argument(type, 0), item)).toList();
        if (raw == Map.class) {
            Map<String, Object> data = new LinkedHashMap<>();
            ((Map<String, Object>) value).forEach((name, item) -> data.put(name, write(argument(type, 1), item)));
            return data;
        }
        if (FORMS.containsKey(raw)) return ((Form<Object>) FORMS.get(raw)).write.apply(value);
        if (EditJson.isEdit(raw)) return EditJson.data((Record) value);
        return raw.isEnum() ? word((Enum<?>) value) : write((Record) value);
    }

    /** @throws FormatException with the field that is wrong */
    static <R> R read(Class<R> type, Map<String, Object> data) {
        List<Object> values = new ArrayList<>();
        List<Class<?>> types = new ArrayList<>();
        List<String> known = new ArrayList<>();
        for (RecordComponent component : type.getRecordComponents()) {
            known.add(component.getName());
            types.add(component.getType());
            values.add(field(component.getName(), component.getGenericType(), data.get(component.getName())));
        }
        for (String field : data.keySet())
            if (!known.contains(field))
                throw new FormatException(
                        "“" + field + "” is no field here: it may have " + String.join(", ", known) + ".");
        try {
            return type.getDeclaredConstructor(types.toArray(Class[]::new)).newInstance(values.toArray());
        } catch (InvocationTargetException e) {
            if (e.getCause() instanceof IllegalArgumentException refused) throw refused;
            throw new FormatException("The edit cannot be read.", e);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("the record " + type + " cannot be made", e);
        }
    }

    private static Object field(String name, Type type, Object data) {
        Class<?> raw = raw(type);
        try {
            if (raw == Optional.class) {
                boolean unsaid = data == null || data.equals("") && raw(argument(type, 0)) == Place.class;
                return unsaid ? Optional.empty() : Optional.of(read(argument(type, 0), data));
            }
            if (data != null) return read(type, data);
        } catch (FormatException e) {
            throw new FormatException("“" + name + "”: " + e.getMessage(), e);
        }
        if (raw == Map.class) return Map.of();
        Optional<?> missing = FORMS.containsKey(raw) ? FORMS.get(raw).missing : Optional.empty();
        return missing.orElseThrow(() -> new FormatException("The edit lacks its “" + name + "”."));
    }

    private static Object read(Type type, Object data) {
        Class<?> raw = raw(type);
        if (raw == List.class) {
            List<Object> items = new ArrayList<>();
            for (Object item : Json.list("What is listed", data)) items.add(read(argument(type, 0), item));
            return List.copyOf(items);
        }
        if (raw == Map.class) {
            Map<String, Object> items = new LinkedHashMap<>();
            Json.object("What is named", data).forEach((name, item) -> items.put(name, read(argument(type, 1), item)));
            return items;
        }
        if (FORMS.containsKey(raw)) return FORMS.get(raw).read.apply(data);
        if (EditJson.isEdit(raw)) return EditJson.edit(Json.object("An edit", data));
        if (!raw.isEnum()) return read(raw, Json.object("What is described", data));
        String word = Json.string("A word", data);
        for (Object constant : raw.getEnumConstants())
            if (word((Enum<?>) constant).equals(word)) return constant;
        throw new FormatException("“" + word + "” is none of " + String.join(", ", words(raw)) + ".");
    }

    /** What somebody has to know who writes such a record. */
    static EditShape.Fields shape(Class<?> type) {
        Map<String, EditShape.Field> fields = new LinkedHashMap<>();
        for (RecordComponent component : type.getRecordComponents()) {
            boolean optional = component.getType() == Optional.class;
            Type held = optional ? argument(component.getGenericType(), 0) : component.getGenericType();
            Form<?> form = FORMS.get(raw(held));
            boolean needed = !optional && raw(held) != Map.class && (form == null || form.missing.isEmpty());
            fields.put(component.getName(), new EditShape.Field(shape(held), needed));
        }
        return new EditShape.Fields(fields);
    }

    private static EditShape shape(Type type) {
        Class<?> raw = raw(type);
        if (raw == List.class) return new EditShape.Many(shape(argument(type, 0)));
        if (raw == Map.class) return new EditShape.Named(shape(argument(type, 1)));
        if (FORMS.containsKey(raw)) return FORMS.get(raw).shape;
        if (EditJson.isEdit(raw)) return new EditShape.Inner();
        return raw.isEnum() ? new EditShape.OneOf(words(raw)) : shape(raw);
    }

    private static Type argument(Type type, int index) {
        return ((ParameterizedType) type).getActualTypeArguments()[index];
    }

    private static Class<?> raw(Type type) {
        return type instanceof ParameterizedType of ? (Class<?>) of.getRawType() : (Class<?>) type;
    }

    private static String word(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT);
    }

    private static List<String> words(Class<?> type) {
        List<String> words = new ArrayList<>();
        for (Object constant : type.getEnumConstants()) words.add(word((Enum<?>) constant));
        return words;
    }

    private static long whole(Object data) {
        double number = Json.number("A number", data);
        if (number != Math.rint(number) || Math.abs(number) > Integer.MAX_VALUE * 1024.0)
            throw new FormatException(number + " is no whole number of that size.");
        return (long) number;
    }

    private static boolean flag(Object data) {
        if (data instanceof Boolean flag) return flag;
        throw new FormatException("It must be true or false.");
    }

    private static Group group(String what, Object data) {
        return TokensJson.group(WHERE, "", Json.object(what, data), Optional.empty());
    }
}
