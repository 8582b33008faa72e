package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.umberloom.core.color.Color;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Names;

/** Text files as themes, whatever open form they have: token files and resolver documents, plain JSON, style sheets, palettes. */
public final class ThemeFiles {
    private static final String FORMS =
            "a resolver document or token file, JSON of names and values, a style sheet with custom properties or a "
                    + "block @theme, variables of SCSS, or a palette (GPL or ASE)";

    /**
     * What was said of files beside what they hold.
     *
     * @param parts what each of several token files is; empty to go by what is proposed
     * @param page  a selector whose custom properties are read as those of the page; empty for none
     */
    public record Said(List<TokenFiles.Part> parts, String page) {
        public static final Said NOTHING = new Said(List.of(), "");
    }

    /**
     * What files hold.
     *
     * @param parts     what each of several token files is taken as; empty for other files
     * @param selectors of a style sheet whose custom properties were passed over, with how many they declare
     */
    public record Read(ThemeJson.Reading reading, List<TokenFiles.Part> parts, Map<String, Integer> selectors) {}

    private ThemeFiles() {}

    /** The same, with nothing said of them. */
    public static ThemeJson.Reading reading(Map<String, String> files) {
        return read(files, Said.NOTHING).reading();
    }

    /**
     * @param files text by name; several are read together when all are style sheets, in their order, or all hold tokens
     * @throws FormatException with a sentence for people when one is none of the forms
     */
    public static Read read(Map<String, String> files, Said said) {
        if (files.isEmpty()) throw new FormatException("No file was given.");
        Map<String, String> texts = new LinkedHashMap<>();
        files.forEach((name, text) -> texts.put(name, withoutMark(text)));
        if (texts.keySet().stream().allMatch(ThemeFiles::isSheet)) return sheets(texts, said);
        if (texts.size() == 1) {
            String name = texts.keySet().iterator().next();
            return only(one(name, texts.get(name), said));
        }
        return several(texts, said);
    }

    private static ThemeJson.Reading one(String name, String text, Said said) {
        Function<String, String> others = file -> {
            throw new FormatException("“" + Names.shown(name) + "” refers to the file “" + Names.shown(file)
                    + "”, which was not given with it; put both into one ZIP archive.");
        };
        String start = text.stripLeading();
        if (ListedJson.is(text)) return listed(name, text);
        if (start.startsWith("{")) return ThemeJson.reading(name, text, others);
        if (start.toLowerCase(Locale.ROOT).startsWith(PaletteText.GPL_HEADER)) return palette(name, text);
        if (ScssTokens.is(name) && !text.contains("--")) return ScssTokens.theme(name, text);
        if (text.contains("--") || text.contains("@theme"))
            return CssTokens.read(ThemeJson.nameOf(name), List.of(text), said.page())
                    .reading();
        throw new FormatException(
                "“" + Names.shown(name) + "” is nothing that can be read as a theme: it is not " + FORMS + ".");
    }

    private static Read only(ThemeJson.Reading reading) {
        return new Read(reading, List.of(), Map.of());
    }

    private static Read sheets(Map<String, String> texts, Said said) {
        return CssTokens.read(
                ThemeJson.nameOf(texts.keySet().iterator().next()), List.copyOf(texts.values()), said.page());
    }

    /** Token files without a document that says how they belong together. */
    private static Read several(Map<String, String> texts, Said said) {
        List<String> notes = new ArrayList<>();
        Map<String, Group> files = new LinkedHashMap<>();
        List<String> passedOver = new ArrayList<>();
        texts.forEach((name, text) -> {
            try {
                files.put(name, tokens(name, text, notes));
            } catch (FormatException noTokens) {
                passedOver.add(Names.shown(name));
            }
        });
        if (files.isEmpty())
            throw new FormatException(
                    "None of the " + texts.size() + " files holds tokens: they are not " + FORMS + ".");
        if (!passedOver.isEmpty())
            notes.add("Passed over, because they hold no tokens: " + String.join(", ", passedOver) + ".");
        List<TokenFiles.Part> parts = said.parts().isEmpty() ? TokenFiles.propose(files) : said.parts();
        notes.add(0, TokenFiles.said(parts));
        return new Read(
                new ThemeJson.Reading(
                        TokenFiles.theme(common(files.keySet().stream().toList()), files, parts), notes),
                parts,
                Map.of());
    }

    private static Group tokens(String name, String text, List<String> notes) {
        if (ScssTokens.is(name)) return ScssTokens.read(name, text, notes);
        if (ListedJson.is(text)) return TokensJson.modern(name, ListedJson.read(name, text), notes);
        if (!text.stripLeading().startsWith("{")) throw new FormatException("“" + name + "” holds no tokens.");
        return ThemeJson.tokens(name, Json.readObject(name, text), notes);
    }

    /** A theme is called like the folder that its files lie in. */
    private static String common(List<String> files) {
        List<String> folders = files.stream()
                .map(file -> file.contains("/") ? file.substring(0, file.indexOf('/')) : "")
                .distinct()
                .toList();
        return ThemeJson.nameOf(folders.size() == 1 && !folders.get(0).isEmpty() ? folders.get(0) : "Imported tokens");
    }

    /** A theme that holds these tokens alone. */
    static ThemeDocument ofOneSet(String name, Group tokens) {
        return new ThemeDocument(
                name,
                "",
                new LinkedHashMap<>(Map.of("tokens", new ThemeDocument.TokenSet("", tokens))),
                Map.of(),
                List.of(ThemeDocument.OrderEntry.set("tokens")),
                Map.of());
    }

    private static ThemeJson.Reading listed(String name, String text) {
        List<String> notes = new ArrayList<>();
        Group tokens = TokensJson.modern(name, ListedJson.read(name, text), notes);
        notes.add(0, "Read as a list of " + tokens.tokenCount() + " tokens.");
        return new ThemeJson.Reading(ofOneSet(ThemeJson.nameOf(name), tokens), notes);
    }

    private static boolean isSheet(String name) {
        return name.toLowerCase(Locale.ROOT).endsWith(".css");
    }

    /** Whether a file of an archive may hold tokens. */
    static boolean mayHoldTokens(String name) {
        String lower = name.toLowerCase(Locale.ROOT);
        String file = lower.substring(lower.lastIndexOf('/') + 1);
        return !file.startsWith(".")
                && !lower.startsWith("__macosx/")
                && (lower.endsWith(".json") || lower.endsWith(".css") || lower.endsWith(".scss"))
                && !file.equals("package.json")
                && !file.equals("package-lock.json")
                && !file.startsWith("tsconfig");
    }

    /** A byte order mark says nothing that UTF-8 does not. */
    private static String withoutMark(String text) {
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    /** Whether a file is a palette that is no text. */
    public static boolean isBinaryPalette(byte[] content) {
        return AsePalette.is(content);
    }

    /** @throws FormatException when the palette is cut off or holds no color */
    public static ThemeJson.Reading binaryPalette(String name, byte[] content) {
        List<String> notes = new ArrayList<>();
        List<Swatch> swatches = AsePalette.read(name, content, notes).stream()
                .map(one -> new Swatch(
                        one.groups().stream().map(ThemeFiles::plain).collect(Collectors.joining(".")),
                        one.name(),
                        one.color()))
                .toList();
        return palette(name, swatches, new Gathered(), notes);
    }

    private static ThemeJson.Reading palette(String name, String text) {
        PaletteText.Palette palette = PaletteText.read(text);
        Gathered gathered = new Gathered();
        palette.passedOver().forEach(line -> gathered.passOver(line, "they are no colors"));
        List<String> notes = new ArrayList<>(
                List.of("Read as a palette of " + palette.colors().size() + " colors."));
        return palette(
                name,
                palette.colors().stream()
                        .map(one -> new Swatch("", one.name(), one.color()))
                        .toList(),
                gathered,
                notes);
    }

    private record Swatch(String group, String name, Color color) {}

    private static String plain(String name) {
        return name.replaceAll("[{}.$]", " ").strip();
    }

    private static ThemeJson.Reading palette(String name, List<Swatch> colors, Gathered gathered, List<String> notes) {
        int unnamed = 0;
        for (Swatch color : colors) {
            String called = plain(color.name());
            String above = "color." + (color.group().isBlank() ? "" : color.group() + ".");
            String path = above + (called.isEmpty() ? "color-" + ++unnamed : called);
            for (int i = 2; gathered.find(path).isPresent(); i++) path = above + called + " " + i;
            gathered.put(path, new ColorValue(color.color()));
        }
        notes.addAll(gathered.notes());
        return new ThemeJson.Reading(ofOneSet(ThemeJson.nameOf(name), gathered.tokens(gathered.paths())), notes);
    }
}
