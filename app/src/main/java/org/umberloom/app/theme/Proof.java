package org.umberloom.app.theme;

/** Sees to it that what is stored can always be read and shown. */
@FunctionalInterface
interface Proof {
    /**
     * A draft as it is to be stored.
     *
     * @param document the theme as the text that was read again
     * @param card     what the library shows of it, as JSON
     */
    record Proven(String document, String card) {}

    /** @throws IllegalArgumentException with a sentence for people when it could not be read or shown afterwards */
    Proven of(Draft draft);
}
