package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.Group;

/**
 * Variables of SCSS as tokens: {@code $name: value;} and maps, {@code $name: (key: value);}. A value that is another variable refers to
 * it; what a compiler would have to compute is passed over. Source: the Sass documentation, “Variables” and “Maps”; from memory.
 */
final class ScssTokens {
    private static final Pattern FLAG = Pattern.compile("\\s*!(default|global)\\s*");
    private static final Pattern VARIABLE = Pattern.compile("(?:[\\w-]+\\.)?\\$([\\w-]+)");
    private static final Pattern FROM_MAP =
            Pattern.compile("(?:map\\.get|map-get)\\(\\s*\\$([\\w-]+)\\s*,\\s*[\"']?([\\w-]+)[\"']?\\s*\\)");
    private static final int DEEPEST = 12;

    private final Map<String, String> values = new LinkedHashMap<>();
    private final Gathered gathered = new Gathered();

    private ScssTokens() {}

    static boolean is(String file) {
        return file.toLowerCase(java.util.Locale.ROOT).endsWith(".scss");
    }

    /** @throws FormatException when there is no variable in it that could be a token */
    static Group read(String where, String text, List<String> notes) {
        ScssTokens reader = new ScssTokens();
        for (String statement : split(withoutComments(text), ';')) reader.statement(statement);
        reader.values.forEach(reader::take);
        if (reader.gathered.isEmpty())
            throw new FormatException(
                    "There is no variable in " + where + " that could be a token: write $name: value;");
        notes.add("Read from variables of SCSS: " + reader.gathered.paths().size() + " of them.");
        notes.addAll(reader.gathered.notes());
        Set<String> all = reader.gathered.paths();
        return reader.gathered.tokens(all);
    }

    private void statement(String statement) {
        String text = statement.strip();
        int colon = text.indexOf(':');
        if (!text.startsWith("$")
                || colon < 0
                || !text.substring(1, colon).strip().matches("[\\w-]+")) return;
        variable(
                name(text.substring(1, colon).strip()),
                FLAG.matcher(text.substring(colon + 1)).replaceAll("").strip(),
                0);
    }

    /** A map holds further variables; everything else is a value. */
    private void variable(String path, String value, int depth) {
        if (!value.startsWith("(") || !value.endsWith(")") || depth > DEEPEST) {
            // The first of several with !default holds, of others the last; themes rarely say one twice.
            values.put(path, value);
            return;
        }
        for (String entry : split(value.substring(1, value.length() - 1), ',')) {
            List<String> parts = split(entry, ':');
            if (parts.size() < 2) {
                gathered.passOver("$" + path, "it is a list");
                return;
            }
            String key = parts.get(0).strip().replaceAll("^[\"']|[\"']$", "");
            variable(
                    path + "." + name(key),
                    entry.substring(entry.indexOf(':') + 1).strip(),
                    depth + 1);
        }
    }

    private void take(String path, String value) {
        Optional<String> target = target(value);
        if (target.isPresent()) {
            if (values.containsKey(target.get())) gathered.put(path, Alias.to(target.get()));
            else gathered.passOver("$" + path, "it refers to what is not there");
            return;
        }
        if (value.contains("$") || value.contains("#{")) {
            gathered.passOver("$" + path, "a compiler would have to compute it");
            return;
        }
        GuessedValue.Guess guess = GuessedValue.of(path, value);
        guess.value()
                .ifPresentOrElse(found -> gathered.put(path, found), () -> gathered.passOver("$" + path, guess.why()));
    }

    private static Optional<String> target(String value) {
        Matcher whole = VARIABLE.matcher(value);
        if (whole.matches()) return Optional.of(name(whole.group(1)));
        Matcher map = FROM_MAP.matcher(value);
        return map.matches() ? Optional.of(name(map.group(1)) + "." + name(map.group(2))) : Optional.empty();
    }

    /** Hyphens and underscores are one to SCSS. */
    private static String name(String name) {
        return name.replace('_', '-').replaceAll("[{}.$\\\\]", "-");
    }

    private static String withoutComments(String text) {
        return text.replaceAll("(?s)/\\*.*?\\*/", " ").replaceAll("(?m)(^|[\\s;{}])//[^\\n]*", "$1");
    }

    /** Divides at a sign that stands outside of parentheses, braces and quotes. */
    private static List<String> split(String text, char at) {
        List<String> parts = new ArrayList<>();
        StringBuilder part = new StringBuilder();
        int depth = 0;
        char quote = 0;
        for (char c : text.toCharArray()) {
            if (quote != 0) quote = c == quote ? 0 : quote;
            else if (c == '"' || c == '\'') quote = c;
            else if (c == '(' || c == '{') depth++;
            else if (c == ')' || c == '}') depth--;
            if (quote == 0 && depth <= 0 && c == at) {
                if (!part.toString().isBlank()) parts.add(part.toString());
                part.setLength(0);
            } else part.append(c);
            // A rule ends as a statement does.
            if (quote == 0 && depth <= 0 && c == '}' && at == ';') {
                part.setLength(0);
                depth = 0;
            }
        }
        if (!part.toString().isBlank()) parts.add(part.toString());
        return parts;
    }

    static ThemeJson.Reading theme(String file, String text) {
        List<String> notes = new ArrayList<>();
        Group tokens = read(file, text, notes);
        return new ThemeJson.Reading(ThemeFiles.ofOneSet(ThemeJson.nameOf(file), tokens), notes);
    }
}
