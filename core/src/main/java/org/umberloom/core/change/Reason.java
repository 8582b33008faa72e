package org.umberloom.core.change;

/**
 * Why a release is as far from the one before it as it is.
 *
 * @param sentence for people
 */
public record Reason(Step step, String sentence) {}
