package org.umberloom.core.json;

/** A file that cannot be read; the message says where and what is allowed. */
public final class FormatException extends IllegalArgumentException {
    private static final int LONGEST = 500;

    public FormatException(String message) {
        super(shortened(message));
    }

    public FormatException(String message, Throwable cause) {
        super(shortened(message), cause);
    }

    /** What a document says in a name or a value may be of any length. */
    private static String shortened(String message) {
        return message.length() <= LONGEST ? message : message.substring(0, LONGEST) + "…";
    }
}
