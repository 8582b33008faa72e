package org.umberloom.core.theme;

/**
 * An edit as it is asked for: one that is exact already, or a wish that becomes exact in the theme that was seen. Both are said
 * in one language: a record whose name says what to do and whose components say with what.
 */
public interface Asked {
    /** @throws IllegalArgumentException with a sentence for people when it makes no sense in that theme */
    Edit in(Seen seen);
}
