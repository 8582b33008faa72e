package org.umberloom.core.page;

import org.jsoup.nodes.Document;

/**
 * What pages that go out tell browsers they may do: load what lies beside them, and nothing from elsewhere. A second wall behind
 * {@link PageCleaning}, also for pages that came in before it knew what it knows. Source: Content Security Policy Level 3.
 */
public final class PagePolicy {
    /** As servers send it, which may say more than a page itself. */
    public static final String SENT =
            "default-src 'none'; style-src 'self'; style-src-attr 'unsafe-inline'; img-src 'self' data:; "
                    + "font-src 'self'; manifest-src 'self'; form-action 'none'; base-uri 'none'; frame-ancestors 'self'";

    /** As a page says it; styles of its own elements may stand in it. Forms are the business of who puts it on a server. */
    private static final String SAID =
            "default-src 'none'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self'; manifest-src 'self'; "
                    + "base-uri 'none'";

    private static final String META = "meta[http-equiv=Content-Security-Policy]";

    private PagePolicy() {}

    /** Says it in a page, before anything in its head could load. */
    public static void on(Document page) {
        off(page);
        page.head()
                .prependElement("meta")
                .attr("http-equiv", "Content-Security-Policy")
                .attr("content", SAID);
    }

    /** Takes it out again. */
    static void off(Document page) {
        page.select(META).remove();
    }
}
