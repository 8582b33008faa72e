package org.umberloom.app.theme;

/** What an entry of a log is called, as long as there is room for it. */
public final class LogLabel {
    private static final int LONGEST_LABEL = 400;

    private LogLabel() {}

    /** Never cut in the middle of a character. */
    public static String shortened(String label) {
        if (label.length() <= LONGEST_LABEL) return label;
        int end = Character.isHighSurrogate(label.charAt(LONGEST_LABEL - 2)) ? LONGEST_LABEL - 2 : LONGEST_LABEL - 1;
        return label.substring(0, end) + "…";
    }
}
