package org.umberloom.core.limit;

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
                    what + " has " + millions(text.length()) + " letters; at most " + millions(TEXT) + " can be kept.");
        return text;
    }

    /** A number of letters in words, such as {@code 2.1 million}. */
    public static String millions(long letters) {
        double tenths = Math.round(letters / 100_000.0) / 10.0;
        return (tenths == Math.rint(tenths) ? Long.toString((long) tenths) : Double.toString(tenths)) + " million";
    }
}
