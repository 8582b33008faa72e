package org.umberloom.core.delivery;

/** What a host refused or could not do, in a sentence that says so. */
public final class HostFault extends RuntimeException {
    private static final long serialVersionUID = 1;

    public HostFault(String message) {
        super(message);
    }

    public HostFault(String message, Throwable cause) {
        super(message, cause);
    }
}
