package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorRange;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.ValueText;

/** What is told, and put right, of a theme that comes from elsewhere before anything is stored. */
public final class Incoming {
    private static final Pattern SPACED = Pattern.compile("\"\\{(?:\\s+[^{}\"]*|[^{}\"]*\\s+)}\"");
    private static final int MOST_NAMED = 3;
    private static final int MOST_COMBINATIONS = 12;

    private Incoming() {}

    /** A theme with its colors within their ranges, and with a note for each kind of thing that is not as the format has it. */
    public static ThemeJson.Reading settled(ThemeJson.Reading reading, Iterable<String> texts) {
        List<String> notes = new ArrayList<>(reading.notes());
        List<String> moved = new ArrayList<>();
        ThemeDocument theme = reading.theme();
        for (Place place : theme.places()) {
            Group tokens = within(theme.at(place), moved);
            if (tokens != theme.at(place)) theme = theme.with(place, tokens);
        }
        if (!moved.isEmpty())
            notes.add("Colors outside the range of their space were brought into it: " + few(moved) + ".");
        spaced(texts).ifPresent(notes::add);
        leadingNowhere(theme).ifPresent(notes::add);
        return new ThemeJson.Reading(theme, notes);
    }

    private static Group within(Group tokens, List<String> moved) {
        Map<TokenPath, ColorValue> changed = new LinkedHashMap<>();
        tokens.forEachToken((path, token, type) -> {
            if (!(token.value() instanceof ColorValue value)) return;
            Color color = value.color();
            Color within = ColorRange.within(color);
            if (within.equals(color)) return;
            changed.put(path, new ColorValue(within));
            moved.add(path + " " + said(color) + " became " + said(within));
        });
        Group result = tokens;
        for (Map.Entry<TokenPath, ColorValue> entry : changed.entrySet())
            result = result.with(
                    entry.getKey(), result.token(entry.getKey()).orElseThrow().withValue(entry.getValue()));
        return result;
    }

    private static String said(Color color) {
        return color.space().id() + " " + number(color.c1()) + " " + number(color.c2()) + " " + number(color.c3());
    }

    private static String number(double component) {
        return Double.isNaN(component) ? "none" : ValueText.number(component, 3);
    }

    /** References with blanks within their braces. Source: Format Module 2025.10, aliases; the name stands right within them. */
    private static Optional<String> spaced(Iterable<String> texts) {
        Set<String> found = new LinkedHashSet<>();
        for (String text : texts) {
            Matcher matcher = SPACED.matcher(text);
            while (matcher.find()) found.add(matcher.group().replace("\"", ""));
        }
        return found.isEmpty()
                ? Optional.empty()
                : Optional.of("References with spaces within their braces were read without them: "
                        + few(List.copyOf(found)) + ".");
    }

    /** What refers to tokens that are in none of the files. */
    private static Optional<String> leadingNowhere(ThemeDocument theme) {
        Map<String, String> lost = new LinkedHashMap<>();
        for (Combination combination : theme.combinations(MOST_COMBINATIONS))
            for (Finding finding : Resolution.of(theme, combination).findings())
                if (finding.code().equals("unknown-reference")) lost.putIfAbsent(finding.path(), finding.message());
        if (lost.isEmpty()) return Optional.empty();
        return Optional.of((lost.size() == 1 ? "1 reference leads" : lost.size() + " references lead")
                + " to tokens that are in none of the files: " + few(List.copyOf(lost.keySet()))
                + ". They come in as they are and show nothing; give the file with those tokens, too.");
    }

    private static String few(List<String> all) {
        return String.join(", ", all.subList(0, Math.min(MOST_NAMED, all.size())))
                + (all.size() > MOST_NAMED ? " and " + (all.size() - MOST_NAMED) + " more" : "");
    }
}
