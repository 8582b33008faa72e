package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.Limits;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.DerivedValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Names;
import org.umberloom.core.token.Pointers;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;

/**
 * Resolver documents: a theme in one file with its sets inline, or as a file that names its token files. Source:
 * Design Tokens Resolver Module 2025.10.
 */
public final class ThemeJson {
    public static final String VERSION = "2025.10";
    static final String SETS = "#/sets/";
    static final String MODIFIERS = "#/modifiers/";
    private static final int LONGEST_FILE = 80;
    /** Names that a widespread file system keeps for devices, whatever follows a dot. */
    private static final Pattern OF_DEVICES =
            Pattern.compile("(con|prn|aux|nul|com\\d|lpt\\d)\\.", Pattern.CASE_INSENSITIVE);
    /** How far the source of a set stands in, and that of a context or scope. */
    private static final int SET_INDENT = 8;

    private static final int CONTEXT_INDENT = 10;

    /** A theme that was read, with a sentence for each kind of thing that had to be converted. */
    public record Reading(ThemeDocument theme, List<String> notes) {
        public Reading {
            notes = List.copyOf(notes);
        }
    }

    private ThemeJson() {}

    /** The theme in one document; the form in which it is stored. */
    public static String writeInline(ThemeDocument theme) {
        return Json.write(
                document(theme, (name, place, tokens) -> TokensJson.data(tokens, results(theme, place, tokens))));
    }

    /** Gives the text of the tokens of a set or context, from their data where it is not known. */
    interface Parts {
        String of(Group tokens);
    }

    /**
     * The same, with the text of tokens from elsewhere. Where derivations stand among them, their results depend on the rest of
     * the theme, and they are written anew.
     */
    static String writeInline(ThemeDocument theme, Parts parts) {
        return Json.write(document(theme, (name, place, tokens) -> {
            if (derives(tokens)) return TokensJson.data(tokens, results(theme, place, tokens));
            return Json.raw(parts.of(tokens), place instanceof Place.InSet ? SET_INDENT : CONTEXT_INDENT);
        }));
    }

    private static boolean derives(Group tokens) {
        boolean[] derived = {false};
        tokens.forEachToken((path, token, type) -> derived[0] |= token.value() instanceof DerivedValue);
        return derived[0];
    }

    /** The theme as files: {@code theme.resolver.json} first, then one file for each set and each context. */
    public static Map<String, String> writeFiles(ThemeDocument theme) {
        Map<String, String> tokenFiles = new LinkedHashMap<>();
        Map<String, Object> document = document(theme, (name, place, tokens) -> {
            String file = uniqueFile(tokenFiles, name);
            tokenFiles.put(file, Json.write(TokensJson.data(tokens, results(theme, place, tokens))));
            return Map.of("$ref", file);
        });
        Map<String, String> files = new LinkedHashMap<>();
        files.put("theme.resolver.json", Json.write(document));
        files.putAll(tokenFiles);
        return files;
    }

    /** Letters that every file system and archive takes, few of them, and no two names that differ in case alone. */
    private static String uniqueFile(Map<String, String> files, String name) {
        StringBuilder safe = new StringBuilder();
        name.chars()
                .limit(LONGEST_FILE)
                .forEach(c -> safe.append(
                        c < 0x80 && Character.isLetterOrDigit(c) || c == '.' || c == '_' || c == '-' ? (char) c : '-'));
        while (!safe.isEmpty() && (safe.charAt(0) == '.' || safe.charAt(0) == '-')) safe.deleteCharAt(0);
        if (safe.isEmpty() || OF_DEVICES.matcher(safe + ".").lookingAt()) safe.insert(0, "set-");
        Set<String> taken = files.keySet().stream()
                .map(file -> file.toLowerCase(Locale.ROOT))
                .collect(Collectors.toSet());
        String file = "tokens/" + safe + ".tokens.json";
        for (int i = 2; taken.contains(file.toLowerCase(Locale.ROOT)); i++)
            file = "tokens/" + safe + "-" + i + ".tokens.json";
        return file;
    }

    /** @throws FormatException when the text is not a resolver document with inline sources */
    public static ThemeDocument readInline(String text) {
        return read(text, file -> {
            throw new FormatException("The theme refers to the file “" + file + "”, which was not given with it.");
        });
    }

    /**
     * @param files text of a file by the name that the document uses; it may throw for one that is not there
     * @throws FormatException with the place of what is wrong
     */
    public static ThemeDocument read(String text, Function<String, String> files) {
        return reading("The theme", text, files).theme();
    }

    /**
     * Reads a resolver document, or a plain token file as a theme of one set; also in older drafts of the format.
     *
     * @param where what to call the document in messages
     */
    public static Reading reading(String where, String text, Function<String, String> files) {
        Map<String, Object> data = Json.readObject(where, text);
        List<String> notes = new ArrayList<>();
        boolean resolver = data.containsKey("resolutionOrder") || data.get("version") instanceof String;
        if (resolver) return within(new ResolverDocument(where, data, files, notes).theme(), notes);
        return within(ThemeFiles.ofOneSet(nameOf(where), tokens(where, data, notes)), notes);
    }

    /** The tokens of a file that is no resolver document: of a token file, or of plain names and values. */
    static Group tokens(String where, Map<String, Object> data, List<String> notes) {
        if (data.isEmpty())
            throw new FormatException(
                    where + " holds neither tokens nor a resolver document of version " + VERSION + ".");
        return PlainJson.is(data) ? PlainJson.read(where, data, notes) : TokensJson.modern(where, data, notes);
    }

    /** What a token file's name says, as the name of a theme. */
    static String nameOf(String file) {
        String name = file.replaceAll("(\\.tokens)?\\.(json|css|scss|gpl|ase|txt)$", "");
        String start = name.substring(0, Math.min(name.length(), Names.LONGEST));
        StringBuilder kept = new StringBuilder();
        start.codePoints()
                .filter(c -> !Character.isISOControl(c)
                        && Character.getType(c) != Character.SURROGATE
                        && Character.getType(c) != Character.LINE_SEPARATOR
                        && Character.getType(c) != Character.PARAGRAPH_SEPARATOR)
                .forEach(kept::appendCodePoint);
        return kept.toString().isBlank() ? "Imported tokens" : kept.toString();
    }

    private static Reading within(ThemeDocument theme, List<String> notes) {
        try {
            return new Reading(Limits.checked(theme), notes);
        } catch (IllegalArgumentException e) {
            throw new FormatException(e.getMessage(), e);
        }
    }

    private interface Source {
        Object of(String name, Place place, Group tokens);
    }

    /** What the derivations of a place come to where it applies: everything else at its default. */
    private static Function<TokenPath, Optional<TokenValue>> results(ThemeDocument theme, Place place, Group tokens) {
        if (!derives(tokens)) return path -> Optional.empty();
        Resolution resolution = Resolution.of(theme, theme.defaults().where(place));
        return path -> Optional.ofNullable(resolution.tokens().get(path)).map(Resolved::value);
    }

    private static Map<String, Object> document(ThemeDocument theme, Source source) {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("name", theme.name());
        data.put("version", VERSION);
        if (!theme.description().isEmpty()) data.put("description", theme.description());
        Map<String, Object> sets = new LinkedHashMap<>();
        theme.sets().forEach((name, set) -> {
            Map<String, Object> entry = new LinkedHashMap<>();
            if (!set.description().isEmpty()) entry.put("description", set.description());
            entry.put("sources", List.of(source.of(name, Place.set(name), set.tokens())));
            if (!set.extensions().isEmpty()) entry.put("$extensions", set.extensions());
            sets.put(name, entry);
        });
        data.put("sets", sets);
        Map<String, Object> modifiers = new LinkedHashMap<>();
        theme.modifiers().forEach((name, modifier) -> {
            Map<String, Object> entry = new LinkedHashMap<>();
            if (!modifier.description().isEmpty()) entry.put("description", modifier.description());
            Map<String, Object> contexts = new LinkedHashMap<>();
            modifier.contexts()
                    .forEach((context, tokens) -> contexts.put(
                            context,
                            tokens.equals(Group.EMPTY)
                                    ? List.of()
                                    : List.of(source.of(name + "." + context, Place.context(name, context), tokens))));
            entry.put("contexts", contexts);
            entry.put("default", modifier.defaultContext());
            if (!modifier.extensions().isEmpty()) entry.put("$extensions", modifier.extensions());
            modifiers.put(name, entry);
        });
        data.put("modifiers", modifiers);
        data.put(
                "resolutionOrder",
                theme.order().stream()
                        .map(entry ->
                                Map.of("$ref", (entry.modifier() ? MODIFIERS : SETS) + Pointers.escaped(entry.name())))
                        .toList());
        Map<String, Object> extensions = ScopesData.written(
                theme,
                (place, tokens) -> source.of(
                        String.join(
                                ".",
                                place.scope().name(),
                                place.under()
                                        .map(in -> in.modifier() + "." + in.context())
                                        .orElse("pages")),
                        place,
                        tokens));
        if (!extensions.isEmpty()) data.put("$extensions", extensions);
        return data;
    }
}
