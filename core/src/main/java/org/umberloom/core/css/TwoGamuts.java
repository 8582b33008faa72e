package org.umberloom.core.css;

import java.util.function.BinaryOperator;

/**
 * CSS text with a second form for screens that show more than sRGB. Both travel as one text, the narrow form first and
 * a line feed between them, which no value of this stylesheet holds; a text without a line feed has one form.
 */
final class TwoGamuts {
    /** Source: Media Queries 4, section 6.4, color-gamut. */
    static final String MEDIA = "(color-gamut: p3)";

    private static final char BETWEEN = '\n';

    private TwoGamuts() {}

    static String of(String narrow, String wide) {
        return narrow.equals(wide) ? narrow : narrow + BETWEEN + wide;
    }

    static boolean isWide(String text) {
        return text.indexOf(BETWEEN) >= 0;
    }

    static String narrow(String text) {
        int at = text.indexOf(BETWEEN);
        return at < 0 ? text : text.substring(0, at);
    }

    static String wide(String text) {
        return text.substring(text.indexOf(BETWEEN) + 1);
    }

    /** One text from two, form by form. */
    static String join(String one, String other, BinaryOperator<String> joined) {
        return of(joined.apply(narrow(one), narrow(other)), joined.apply(wide(one), wide(other)));
    }
}
