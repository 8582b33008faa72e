package org.umberloom.app.web;

import java.time.Duration;

/** Too many wrong tries at something that needs a secret. */
public class TooManyTries extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final long seconds;

    /** @param wait until one more is given */
    public TooManyTries(Duration wait) {
        super("Too many tries went wrong.");
        seconds = wait.toSeconds() + 1;
    }

    /** After so many seconds it can be tried again, at least 1. */
    long seconds() {
        return seconds;
    }
}
