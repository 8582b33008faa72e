package org.umberloom.app.web;

/** Something that is stored cannot be shown. It is kept as it is, and can be exported, archived and deleted. */
public class Unreadable extends RuntimeException {
    private static final long serialVersionUID = 1;

    /** @param what says what it is, at the beginning of a sentence: “The site “Harbour”” */
    public Unreadable(String what, RuntimeException cause) {
        super(
                what + " is stored, but cannot be shown: " + cause.getMessage()
                        + " It is kept as it is; you can export, archive or delete it.",
                cause);
    }
}
