package org.umberloom.core.page;

import org.umberloom.core.color.Color;

/** A picture that keeps the room of another, in the colors of a theme, so that nobody takes it for the real one. */
public final class Placeholder {
    private static final int THREADS = 12;
    private static final int LONGEST_SIDE = 4096;

    private Placeholder() {}

    /**
     * A weave with its size in it, as SVG.
     *
     * @param width  px, 16 to 4,096, and so the height
     * @param ground what it stands on
     * @param thread what it is drawn in
     * @throws IllegalArgumentException for other sizes
     */
    public static String svg(int width, int height, Color ground, Color thread) {
        if (Math.min(width, height) < 16 || Math.max(width, height) > LONGEST_SIDE)
            throw new IllegalArgumentException("A placeholder measures 16 to 4,096 px on each side.");
        StringBuilder svg = new StringBuilder("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"" + width
                + "\" height=\"" + height + "\" viewBox=\"0 0 " + width + " " + height + "\"><rect width=\"" + width
                + "\" height=\"" + height + "\" fill=\"" + ground.hex() + "\"/><g stroke=\"" + thread.hex()
                + "\" stroke-width=\"1\" opacity=\"0.35\">");
        int step = Math.max(8, Math.max(width, height) / THREADS);
        for (int at = step / 2; at < width + height; at += step) {
            svg.append("<path d=\"M" + at + " 0 L" + (at - height) + " " + height + "\"/>");
            svg.append("<path d=\"M" + (at - height) + " 0 L" + at + " " + height + "\"/>");
        }
        int size = Math.max(10, Math.min(width / 8, height / 4));
        return svg.append("</g><text x=\"" + width / 2 + "\" y=\"" + height / 2
                        + "\" text-anchor=\"middle\" dominant-baseline=\"central\" font-family=\"sans-serif\" font-size=\""
                        + size
                        + "\" fill=\"" + thread.hex() + "\">" + width + " × " + height + "</text></svg>")
                .toString();
    }
}
