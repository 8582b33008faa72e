package org.umberloom.core.token;

/**
 * What a name may be, wherever a document has one: tokens, groups, sets, modifiers, contexts, themes, pictures. Everything
 * that can be stored, shown and exported everywhere; {@link #safe} says the same of longer texts.
 */
public final class Names {
    /** Letters (UTF-16 units) of one name. */
    public static final int LONGEST = 200;

    private Names() {}

    /**
     * The name itself.
     *
     * @param what it names, at the start of the sentence that refuses it
     * @throws IllegalArgumentException when it is empty, too long, or holds a control character or half a character
     */
    public static String checked(String what, String name) {
        if (name.isBlank()) throw new IllegalArgumentException(what + " needs a name.");
        if (name.length() > LONGEST)
            throw new IllegalArgumentException(
                    what + " can have a name of up to " + LONGEST + " letters; this one has " + name.length() + ".");
        for (int i = 0; i < name.length(); i++)
            if (isControl(name.charAt(i)) || isHalf(name, i))
                throw new IllegalArgumentException(what + " cannot be called “" + shown(name)
                        + "”: a name holds no line breaks, no control characters and no broken characters.");
        return name;
    }

    /**
     * A text of any length that can be written in UTF-8 and read again as it is.
     *
     * @throws IllegalArgumentException when it holds half a character: a surrogate without its partner (Unicode 15, 3.8)
     */
    public static String safe(String what, String text) {
        for (int i = 0; i < text.length(); i++)
            if (isHalf(text, i))
                throw new IllegalArgumentException(
                        what + " holds a broken character after “" + shown(text.substring(Math.max(0, i - 20), i))
                                + "”; it could not be kept. Take it out and try again.");
        return text;
    }

    /** Whether that place of a text is a surrogate without its partner. */
    static boolean isHalf(CharSequence text, int i) {
        char c = text.charAt(i);
        if (!Character.isSurrogate(c)) return false;
        return Character.isHighSurrogate(c)
                ? i + 1 >= text.length() || !Character.isLowSurrogate(text.charAt(i + 1))
                : i == 0 || !Character.isHighSurrogate(text.charAt(i - 1));
    }

    static boolean isControl(char c) {
        return c < 0x20 || c >= 0x7f && c < 0xa0 || c == '\u2028' || c == '\u2029' || c == '\ufffe' || c == '\uffff';
    }

    /** A name as a message can show it: short, without what cannot be seen. */
    public static String shown(String name) {
        StringBuilder shown = new StringBuilder();
        int most = 60;
        for (int i = 0; i < name.length() && shown.length() < most; i++)
            shown.append(isControl(name.charAt(i)) || isHalf(name, i) ? '\ufffd' : name.charAt(i));
        return name.length() > most ? shown + "…" : shown.toString();
    }
}
