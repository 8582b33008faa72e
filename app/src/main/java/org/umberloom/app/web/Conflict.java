package org.umberloom.app.web;

/**
 * What was asked for no longer fits, because it changed since it was read.
 *
 * @see #yours()
 */
public class Conflict extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final String path;
    private final String yours;
    private final String theirs;

    public Conflict(String message) {
        this(message, "", "", "");
    }

    /**
     * @param path   the token that both changed
     * @param yours  the value that was refused, as people write it
     * @param theirs the value that stands now
     */
    public Conflict(String message, String path, String yours, String theirs) {
        super(message);
        this.path = path;
        this.yours = yours;
        this.theirs = theirs;
    }

    public String path() {
        return path;
    }

    public String yours() {
        return yours;
    }

    public String theirs() {
        return theirs;
    }
}
