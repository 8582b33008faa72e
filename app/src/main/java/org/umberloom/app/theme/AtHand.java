package org.umberloom.app.theme;

/**
 * How much of the heap may hold what could be computed again. The sizes of single things are estimates, found by counting what
 * is alive while a hundred people work on a hundred themes.
 */
final class AtHand {
    /** Bytes of one token in a document, as a row of a graph, and in a view of a combination. */
    private static final int OF_DOCUMENT = 500;

    private static final int OF_GRAPH = 350;
    private static final int OF_VIEW = 700;

    private AtHand() {}

    static long documentTokens() {
        return share(0.12) / OF_DOCUMENT;
    }

    static long graphRows() {
        return share(0.15) / OF_GRAPH;
    }

    static long viewTokens() {
        return share(0.18) / OF_VIEW;
    }

    private static long share(double share) {
        return (long) (Runtime.getRuntime().maxMemory() * share);
    }
}
