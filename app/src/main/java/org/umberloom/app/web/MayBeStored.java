package org.umberloom.app.web;

/** A change was made, and the database went away before it said whether it is stored. Who asked has to look. */
public class MayBeStored extends RuntimeException {
    private static final long serialVersionUID = 1;

    public MayBeStored(Throwable cause) {
        super(
                "The database did not answer in time. It may have been stored; look at what is there now before you do it again.",
                cause);
    }
}
