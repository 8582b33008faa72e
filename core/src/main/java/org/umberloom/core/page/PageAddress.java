package org.umberloom.core.page;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An address as browsers understand it where it stands in a page: what they pass over is gone, and a backslash is a slash. Source:
 * URL Living Standard, 4.4, the states before and after the scheme, with an address of the web as its base.
 *
 * @param text   as browsers read it
 * @param scheme in small letters; empty for an address that has none
 * @param toHost whether it names a host without a scheme, as {@code //host} does
 */
record PageAddress(String text, String scheme, boolean toHost) {
    private static final Pattern SCHEME = Pattern.compile("([a-zA-Z][a-zA-Z0-9+.-]*):");

    static PageAddress of(String value) {
        int from = 0;
        int to = value.length();
        while (from < to && value.charAt(from) <= ' ') from++;
        while (to > from && value.charAt(to - 1) <= ' ') to--;
        String text = value.substring(from, to).replaceAll("[\\t\\n\\r]", "");
        Matcher scheme = SCHEME.matcher(text);
        if (scheme.lookingAt()) return new PageAddress(text, scheme.group(1).toLowerCase(Locale.ROOT), false);
        return new PageAddress(text, "", text.length() > 1 && isSlash(text.charAt(0)) && isSlash(text.charAt(1)));
    }

    private static boolean isSlash(char c) {
        return c == '/' || c == '\\';
    }

    /** Whether it leads away from where the page lies: by a scheme, which may be that of the page, or to a host. */
    boolean leadsAway() {
        return toHost || !scheme.isEmpty();
    }

    /** Whether it is a part of the page itself. */
    boolean inPage() {
        return text.startsWith("#");
    }

    /** Whether it lies beside or below the page, however it is written. */
    boolean isBeside() {
        return !text.isEmpty()
                && !leadsAway()
                && !isSlash(text.charAt(0))
                && !text.contains("..")
                && !text.toLowerCase(Locale.ROOT).contains("%2e");
    }
}
