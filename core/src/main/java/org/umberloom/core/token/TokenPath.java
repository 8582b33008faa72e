package org.umberloom.core.token;

import java.util.List;
import java.util.Optional;

/** A token's or group's dotted path, such as {@code color.umber.60}. Source: Format Module 2025.10, names. */
public record TokenPath(String dotted) implements Comparable<TokenPath> {
    /** Letters of a whole path; names below each other at most. */
    private static final int LONGEST = 1_000;

    public static final int DEEPEST = 64;

    /** @throws IllegalArgumentException for an empty segment, one that starts with $ or holds a brace, and beyond the limits */
    public TokenPath {
        if (dotted.length() > LONGEST)
            throw new IllegalArgumentException("The path “" + Names.shown(dotted) + "” has " + dotted.length()
                    + " letters; up to " + LONGEST + " are kept.");
        int start = 0;
        int depth = 0;
        for (int i = 0; i <= dotted.length(); i++) {
            if (i < dotted.length() && dotted.charAt(i) != '.') continue;
            checkName(dotted, start, i);
            start = i + 1;
            depth++;
        }
        if (depth > DEEPEST)
            throw new IllegalArgumentException("The path “" + Names.shown(dotted) + "” goes " + depth
                    + " names deep; up to " + DEEPEST + " are kept.");
    }

    public static TokenPath of(String dotted) {
        return new TokenPath(dotted);
    }

    /** @throws IllegalArgumentException when a name is empty, starts with $ or holds a brace or a dot */
    public static void checkName(String name) {
        if (name.indexOf('.') >= 0) throw notAName(name);
        checkName(name, 0, name.length());
    }

    private static void checkName(String text, int start, int end) {
        boolean dollar =
                start < end && text.charAt(start) == '$' && !text.regionMatches(start, "$root", 0, end - start);
        boolean blank = true;
        for (int i = start; i < end; i++) {
            char c = text.charAt(i);
            if (c == '{' || c == '}' || Names.isControl(c) || Names.isHalf(text, i))
                throw notAName(text.substring(start, end));
            if (!Character.isWhitespace(c)) blank = false;
        }
        if (dollar || blank || end - start > Names.LONGEST) throw notAName(text.substring(start, end));
    }

    private static IllegalArgumentException notAName(String name) {
        return new IllegalArgumentException(
                "“" + Names.shown(name) + "” cannot be a name: names have 1 to " + Names.LONGEST
                        + " letters, do not start with $, and hold none of { } . and no line breaks, control "
                        + "characters or broken characters.");
    }

    public List<String> segments() {
        return List.of(dotted.split("\\."));
    }

    public TokenPath child(String name) {
        return new TokenPath(dotted + "." + name);
    }

    /** The group around it; empty at the top. */
    public Optional<TokenPath> parent() {
        int dot = dotted.lastIndexOf('.');
        return dot < 0 ? Optional.empty() : Optional.of(new TokenPath(dotted.substring(0, dot)));
    }

    /** The first segment. */
    public String top() {
        int dot = dotted.indexOf('.');
        return dot < 0 ? dotted : dotted.substring(0, dot);
    }

    /** The last segment. */
    public String name() {
        return dotted.substring(dotted.lastIndexOf('.') + 1);
    }

    /** Whether this path lies below that group. */
    public boolean isBelow(TokenPath group) {
        return dotted.startsWith(group.dotted + ".");
    }

    @Override
    public int compareTo(TokenPath other) {
        return dotted.compareTo(other.dotted);
    }

    @Override
    public String toString() {
        return dotted;
    }
}
