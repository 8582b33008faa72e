package org.umberloom.core.limit;

import java.util.Locale;

/**
 * How large texts may be, in UTF-16 units: what stores them and what reads them ask here, so that whatever was stored is read
 * again. A site is written as JSON, where quotes and line ends take two letters each, and its changes hold it once more.
 */
public final class Sizes {
    /** One document as JSON. */
    public static final int DOCUMENT = 16 << 20;
    /** One text within a document: the markup of a page or of a piece, a style sheet as it is kept. */
    public static final int TEXT = 2 << 20;
    /** All pages, pieces and style sheets of one site together. */
    public static final int SITE = 6 << 20;
    /** A style sheet as somebody writes it. */
    public static final int SHEET = 200_000;

    private Sizes() {}

    /**
     * A text that is no longer than one may be.
     *
     * @param what says what it is, at the beginning of a sentence
     * @throws IllegalArgumentException for a longer one
     */
    public static String text(String what, String text) {
        if (text.length() > TEXT)
            throw new IllegalArgumentException(
                    what + " has " + counted(text.length()) + " letters; at most " + counted(TEXT) + " can be kept.");
        return text;
    }

    /** A number for people, to the last one, such as {@code 2,097,152}: what is just over a limit is told apart from it. */
    public static String counted(long number) {
        return String.format(Locale.ROOT, "%,d", number);
    }
}
