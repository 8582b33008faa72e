package org.umberloom.core.font;

/** A file that is no font that can be used; the message says why, and continues “This font cannot be used: ”. */
public final class BadFont extends IllegalArgumentException {
    private static final long serialVersionUID = 1;

    public BadFont(String why) {
        super(why);
    }
}
