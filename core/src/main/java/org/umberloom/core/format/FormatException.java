package org.umberloom.core.format;

/** A file that cannot be read; the message says where and what is allowed. */
public final class FormatException extends IllegalArgumentException {
    public FormatException(String message) {
        super(message);
    }

    public FormatException(String message, Throwable cause) {
        super(message, cause);
    }
}
