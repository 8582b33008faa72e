package org.umberloom.app.web;

/** What was asked for no longer fits, because it changed since it was read. */
public class Conflict extends RuntimeException {
    private static final long serialVersionUID = 1;

    public Conflict(String message) {
        super(message);
    }
}
