package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Names;

/** Text files as themes, whatever open form they have: token files and resolver documents, plain JSON, style sheets, palettes. */
public final class ThemeFiles {
    private static final String FORMS =
            "a resolver document or token file, JSON of names and values, a style sheet with custom properties or a "
                    + "block @theme, or a GPL palette";

    private ThemeFiles() {}

    /**
     * @param files text by name; several are only read together when all are style sheets, in their order
     * @throws FormatException with a sentence for people when one is none of the forms
     */
    public static ThemeJson.Reading reading(Map<String, String> files) {
        if (files.isEmpty()) throw new FormatException("No file was given.");
        String first = files.keySet().iterator().next();
        List<String> texts = new ArrayList<>(
                files.values().stream().map(ThemeFiles::withoutMark).toList());
        if (texts.size() > 1 && !files.keySet().stream().allMatch(ThemeFiles::isSheet))
            throw new FormatException(
                    "Several files are read together only when all of them are style sheets; put everything else into one ZIP archive.");
        Function<String, String> others = file -> {
            throw new FormatException("“" + Names.shown(first) + "” refers to the file “" + Names.shown(file)
                    + "”, which was not given with it; put both into one ZIP archive.");
        };
        String text = texts.get(0);
        String start = text.stripLeading();
        if (start.startsWith("{") && !isSheet(first)) return ThemeJson.reading(first, text, others);
        if (start.toLowerCase(Locale.ROOT).startsWith(PaletteText.GPL_HEADER)) return palette(first, text);
        if (isSheet(first) || text.contains("--") || text.contains("@theme"))
            return CssTokens.read(ThemeJson.nameOf(first), texts);
        throw new FormatException(
                "“" + Names.shown(first) + "” is nothing that can be read as a theme: it is not " + FORMS + ".");
    }

    private static boolean isSheet(String name) {
        return name.toLowerCase(Locale.ROOT).endsWith(".css");
    }

    /** A byte order mark says nothing that UTF-8 does not. */
    private static String withoutMark(String text) {
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    private static ThemeJson.Reading palette(String name, String text) {
        PaletteText.Palette palette = PaletteText.read(text);
        Gathered gathered = new Gathered();
        int unnamed = 0;
        for (PaletteText.Named color : palette.colors()) {
            String called = color.name().replaceAll("[{}.$]", " ").strip();
            String path = "color." + (called.isEmpty() ? "color-" + ++unnamed : called);
            for (int i = 2; gathered.find(path).isPresent(); i++) path = "color." + called + " " + i;
            gathered.put(path, new ColorValue(color.color()));
        }
        palette.passedOver().forEach(line -> gathered.passOver(line, "they are no colors"));
        List<String> notes = new ArrayList<>(
                List.of("Read as a palette of " + palette.colors().size() + " colors."));
        notes.addAll(gathered.notes());
        return new ThemeJson.Reading(
                new ThemeDocument(
                        ThemeJson.nameOf(name),
                        "",
                        new LinkedHashMap<>(
                                Map.of("tokens", new ThemeDocument.TokenSet("", gathered.tokens(gathered.paths())))),
                        Map.of(),
                        List.of(ThemeDocument.OrderEntry.set("tokens")),
                        Map.of()),
                notes);
    }
}
