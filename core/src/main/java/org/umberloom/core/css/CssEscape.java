package org.umberloom.core.css;

/** Names that come from a document, written where CSS stands. The one place where that is done. Source: CSSOM, section 2.1. */
public final class CssEscape {
    private CssEscape() {}

    /** A text as a CSS string in double quotes: serialize a string, with everything unseen and the end of a style element as codes. */
    public static String string(String text) {
        StringBuilder css = new StringBuilder(text.length() + 2).append('"');
        text.codePoints().forEach(c -> {
            if (c == 0) css.append('\ufffd');
            else if (c < 0x20 || c >= 0x7f && c < 0xa0 || c == '<' || c == 0x2028 || c == 0x2029)
                css.append('\\').append(Integer.toHexString(c)).append(' ');
            else if (c == '"' || c == '\\') css.append('\\').appendCodePoint(c);
            else css.appendCodePoint(c);
        });
        return css.append('"').toString();
    }

    /** A name as a part of an identifier: letters, digits and dashes as they are, all else by its code between underscores. */
    static String part(String name) {
        int plain = 0;
        while (plain < name.length() && isPlain(name.charAt(plain))) plain++;
        if (plain == name.length()) return name;
        StringBuilder css = new StringBuilder(name.length() + 8).append(name, 0, plain);
        name.codePoints().skip(plain).forEach(c -> {
            if (isPlain(c) || c >= 0x100 && Character.isLetter(c) || c >= 0xc0 && c < 0x100 && c != 0xd7 && c != 0xf7)
                css.appendCodePoint(c);
            else css.append('_').append(Integer.toHexString(c));
        });
        return css.toString();
    }

    private static boolean isPlain(int c) {
        return c == '-' || c >= 'a' && c <= 'z' || c >= 'A' && c <= 'Z' || c >= '0' && c <= '9';
    }
}
