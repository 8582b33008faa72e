package org.umberloom.core.theme;

/**
 * One fault or weakness, with its place and a remedy.
 *
 * @param code   stable kind, such as {@code unknown-reference}
 * @param weight how much it matters
 * @param path   the token or pair it is about, dotted
 * @param message what is wrong, in a sentence
 * @param remedy  what to do, in a sentence
 */
public record Finding(String code, Weight weight, String path, String message, String remedy) {
    public enum Weight { MUST, SHOULD }
}
