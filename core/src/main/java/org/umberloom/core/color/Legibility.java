package org.umberloom.core.color;

/** What a color can be on another, by the ratio that it has at least. Source: WCAG 2.2, 1.4.3, 1.4.6 and 1.4.11. */
public enum Legibility {
    NOTHING(1, "nothing that must be seen", "·"),
    SHAPES(Contrast.SHAPE, "large text and shapes", "A"),
    TEXT(Contrast.TEXT, "any text", "Aa"),
    STRICT(Contrast.STRICT, "any text, at the strictest level", "Aa");

    private final double ratio;
    private final String words;
    private final String specimen;

    Legibility(double ratio, String words, String specimen) {
        this.ratio = ratio;
        this.words = words;
        this.specimen = specimen;
    }

    public double ratio() {
        return ratio;
    }

    /** How far apart two depths are that just have the ratio, 0 to 120. */
    public double apart() {
        return Depth.spanFor(ratio);
    }

    public String words() {
        return words;
    }

    /** The same as letters: all of them for text, one for large text, a dot for nothing. */
    public String specimen() {
        return specimen;
    }
}
