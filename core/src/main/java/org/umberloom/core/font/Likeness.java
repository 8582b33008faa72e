package org.umberloom.core.font;

/**
 * How a font looks from afar, in figures that tell fonts apart. Which differences count as one step is a choice of this program,
 * not of a standard.
 *
 * @param xHeight  of small letters, in em
 * @param width    of a character of running text, in em
 * @param contrast of thick strokes to thin ones, at least 1; 0 where unknown
 */
public record Likeness(double xHeight, double width, double contrast) {
    private static final double X_HEIGHT_STEP = 0.03;
    private static final double WIDTH_STEP = 0.03;
    /** Contrast is seen by its ratio: 1.1 and 1.3 differ as 2.2 and 2.6 do. */
    private static final double CONTRAST_STEP = 0.25;

    /** How far two fonts are apart, in steps that are easily seen; 0 for equal ones. */
    public double to(Likeness other) {
        double height = (xHeight - other.xHeight) / X_HEIGHT_STEP;
        double wide = (width - other.width) / WIDTH_STEP;
        double thick = contrast <= 0 || other.contrast <= 0 ? 0 : Math.log(contrast / other.contrast) / CONTRAST_STEP;
        return Math.sqrt(height * height + wide * wide + thick * thick);
    }
}
