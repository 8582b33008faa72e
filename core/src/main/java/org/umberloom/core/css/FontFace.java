package org.umberloom.core.css;

/**
 * A font file that travels with a stylesheet.
 *
 * @param family  family name
 * @param style   {@code normal} or {@code italic}
 * @param weights the range of a variable font, such as {@code 200 800}
 * @param url     where the stylesheet finds it
 */
public record FontFace(String family, String style, String weights, String url) {}
