package org.umberloom.core.format;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.ValueText;

/** Plain nested JSON of names and values: objects as groups, texts and numbers as tokens, arrays as numbered steps. */
final class PlainJson {
    private static final Pattern REFERENCE = Pattern.compile("\\s*\\{([^{}]+)}\\s*");
    private final Gathered gathered = new Gathered();

    private PlainJson() {}

    /** Whether a document has none of the format's own fields. */
    static boolean is(Object data) {
        if (!(data instanceof Map<?, ?> map)) return true;
        Set<String> fields = Set.of("$value", "$ref", "$type", "$root", "value", "type");
        return map.keySet().stream().noneMatch(key -> fields.contains(key) && !(map.get(key) instanceof Map))
                && map.values().stream().allMatch(PlainJson::is);
    }

    /** @throws FormatException when nothing in it is a value that is understood */
    static Group read(String where, Map<String, Object> data, List<String> notes) {
        PlainJson reader = new PlainJson();
        data.forEach((name, value) -> reader.take("", name, value));
        if (reader.gathered.isEmpty())
            throw new FormatException(
                    where + " holds no value that could be a token: no color, length, number, family or time.");
        notes.add("Read as plain names and values; types were told from the values.");
        notes.addAll(reader.gathered.notes());
        return reader.gathered.tokens(reader.gathered.paths());
    }

    /** The parts of a name that says itself where it stands: {@code color.brand}, {@code color/brand} or {@code --color-brand}. */
    static List<String> path(String name) {
        String[] parts = name.startsWith("--") ? name.substring(2).split("-+") : name.split("[./]");
        List<String> path = Stream.of(parts)
                .map(String::trim)
                .filter(part -> !part.isEmpty())
                .map(PlainJson::clean)
                .toList();
        return path.isEmpty() ? List.of("unnamed") : path;
    }

    private void take(String above, String name, Object value) {
        String path = (above.isEmpty() ? "" : above + ".") + String.join(".", path(name));
        if (value instanceof Map<?, ?> map) map.forEach((key, inner) -> take(path, (String) key, inner));
        else if (value instanceof List<?> list) list(path, list);
        else if (value instanceof String || value instanceof Number) single(path, value);
        else gathered.passOver(path, "it is neither text nor number");
    }

    private void list(String path, List<?> list) {
        boolean texts = !list.isEmpty() && list.stream().allMatch(String.class::isInstance);
        if (texts
                && path.toLowerCase(java.util.Locale.ROOT).matches(".*(family|font|typeface).*")
                && list.stream().allMatch(text -> GuessedValue.of(path, (String) text)
                        .value()
                        .filter(value -> !(value instanceof FontFamilyValue))
                        .isEmpty())) {
            gathered.put(
                    path,
                    GuessedValue.families(list.stream().map(String.class::cast).toList()));
            return;
        }
        for (int i = 0; i < list.size(); i++) take(path, String.valueOf(i), list.get(i));
    }

    private void single(String path, Object value) {
        String text = value instanceof Number number ? ValueText.number(number.doubleValue(), 6) : (String) value;
        Matcher reference = REFERENCE.matcher(text);
        if (reference.matches()) {
            gathered.put(path, Alias.to(String.join(".", path(reference.group(1)))));
            return;
        }
        GuessedValue.Guess guess = GuessedValue.of(path, text);
        guess.value().ifPresentOrElse(known -> gathered.put(path, known), () -> gathered.passOver(path, guess.why()));
    }

    /** A name without what no name may hold. */
    private static String clean(String name) {
        String cleaned = name.replaceAll("[{}.]", "-").replaceFirst("^\\$+", "").trim();
        try {
            TokenPath.checkName(cleaned);
            return cleaned;
        } catch (IllegalArgumentException e) {
            return "unnamed";
        }
    }
}
