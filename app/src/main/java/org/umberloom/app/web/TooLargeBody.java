package org.umberloom.app.web;

import java.io.IOException;

/** A body that is larger than its kind of request may have; it is not read any further. */
final class TooLargeBody extends IOException {
    private static final long serialVersionUID = 1;

    TooLargeBody(String message) {
        super(message);
    }
}
