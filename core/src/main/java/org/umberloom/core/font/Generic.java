package org.umberloom.core.font;

/** Which generic family of CSS a font is most like. Source: OpenType 1.9.1, OS/2, panose; PANOSE 1 of Hewlett-Packard. */
final class Generic {
    private static final String SERIF = "serif";
    private static final String SANS = "sans-serif";
    private static final int LATIN_TEXT = 2;
    private static final int LATIN_HAND = 3;
    private static final int LATIN_DECORATIVE = 4;
    private static final int FIRST_WITH_SERIFS = 2;
    private static final int LAST_WITH_SERIFS = 10;
    private static final int MONOSPACED = 9;

    private Generic() {}

    /**
     * @param panose its ten numbers: the family's kind, the style of serifs, the weight, the proportion …
     * @param even   whether the file says that all characters are of one width
     */
    static String of(byte[] panose, boolean even) {
        if (even) return "monospace";
        if (panose == null || panose.length < 4) return SANS;
        return switch (panose[0]) {
            case LATIN_HAND -> "cursive";
            case LATIN_DECORATIVE -> "fantasy";
            case LATIN_TEXT -> {
                if (panose[3] == MONOSPACED) yield "monospace";
                yield panose[1] >= FIRST_WITH_SERIFS && panose[1] <= LAST_WITH_SERIFS ? SERIF : SANS;
            }
            default -> SANS;
        };
    }
}
