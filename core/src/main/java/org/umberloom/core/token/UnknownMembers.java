package org.umberloom.core.token;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What objects inside a {@code $value} hold beside the members that the format gives them. It is kept as it was read and
 * goes out where it stood.
 *
 * @param members plain data by the JSON pointer (RFC 6901) from {@code $value}, such as {@code /0/glow}
 */
public record UnknownMembers(Map<String, Object> members) {
    public static final UnknownMembers NONE = new UnknownMembers(Map.of());

    /** Members that the format knows and that are written only when they say something. */
    private static final Set<String> OPTIONAL = Set.of("alpha", "inset");

    public UnknownMembers {
        members = members.isEmpty() ? Map.of() : Collections.unmodifiableMap(new LinkedHashMap<>(members));
    }

    /** What the data holds and the value that was read from it does not write. */
    public static UnknownMembers in(Object data, TokenValue read) {
        if (!(data instanceof Map || data instanceof List)) return NONE;
        Map<String, Object> found = new LinkedHashMap<>();
        collect("", data, ValueData.write(read), found);
        return found.isEmpty() ? NONE : new UnknownMembers(found);
    }

    private static void collect(String pointer, Object data, Object known, Map<String, Object> found) {
        if (data instanceof Map<?, ?> map && known instanceof Map<?, ?> written)
            map.forEach((name, item) -> {
                String below = pointer + "/" + Pointers.escaped((String) name);
                if (written.containsKey(name)) collect(below, item, written.get(name), found);
                else if (!OPTIONAL.contains(name)) found.put(below, item);
            });
        if (data instanceof List<?> list && known instanceof List<?> written && list.size() == written.size())
            for (int i = 0; i < list.size(); i++) collect(pointer + "/" + i, list.get(i), written.get(i), found);
    }

    public boolean isEmpty() {
        return members.isEmpty();
    }

    /** The last names of the pointers, as they were written. */
    public List<String> names() {
        return members.keySet().stream()
                .map(pointer -> Pointers.unescaped(pointer.substring(pointer.lastIndexOf('/') + 1)))
                .distinct()
                .toList();
    }

    /** Those for which the value that comes still has the object that they stood in, and lists as long as before. */
    UnknownMembers fitting(TokenValue before, TokenValue after) {
        if (members.isEmpty()) return this;
        Object old = ValueData.write(before);
        Object fresh = ValueData.write(after);
        Map<String, Object> kept = new LinkedHashMap<>(members);
        kept.keySet().removeIf(pointer -> !fits(steps(pointer), old, fresh));
        return kept.size() == members.size() ? this : new UnknownMembers(kept);
    }

    private static boolean fits(List<String> steps, Object before, Object after) {
        Object old = before;
        Object fresh = after;
        for (String step : steps.subList(0, steps.size() - 1)) {
            if (old instanceof List<?> one && fresh instanceof List<?> other && one.size() != other.size())
                return false;
            old = at(old, step);
            fresh = at(fresh, step);
        }
        return fresh instanceof Map<?, ?> map && !TemplateValue.isReferenceObject(map);
    }

    /** The data of a value with these members where they stood. */
    public Object into(Object data) {
        Object whole = data;
        for (Map.Entry<String, Object> member : members.entrySet())
            whole = into(whole, steps(member.getKey()), member.getValue());
        return whole;
    }

    private static Object into(Object data, List<String> steps, Object member) {
        String step = steps.get(0);
        if (data instanceof Map<?, ?> map && !TemplateValue.isReferenceObject(map)) {
            Map<String, Object> copy = new LinkedHashMap<>();
            map.forEach((name, item) -> copy.put((String) name, item));
            if (steps.size() == 1) copy.putIfAbsent(step, member);
            else if (copy.containsKey(step))
                copy.put(step, into(copy.get(step), steps.subList(1, steps.size()), member));
            return copy;
        }
        if (data instanceof List<?> list && steps.size() > 1 && at(list, step) != null) {
            List<Object> copy = new ArrayList<>(list);
            int index = Integer.parseInt(step);
            copy.set(index, into(copy.get(index), steps.subList(1, steps.size()), member));
            return copy;
        }
        return data;
    }

    private static Object at(Object data, String step) {
        if (data instanceof Map<?, ?> map) return map.get(step);
        if (data instanceof List<?> list
                && step.chars().allMatch(Character::isDigit)
                && Integer.parseInt(step) < list.size()) return list.get(Integer.parseInt(step));
        return null;
    }

    private static List<String> steps(String pointer) {
        List<String> steps = new ArrayList<>();
        for (String step : pointer.substring(1).split("/", -1)) steps.add(Pointers.unescaped(step));
        return steps;
    }
}
