package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What protects a session and a screen: cookies, headers, hashes, and what a stranger is told. */
class SafeguardsTest {
    private static final String PAGE = "/preview/1/draft/default/crossings/index.html";
    private final Loom loom = Loom.withDemo();

    private static String policy(HttpResponse<String> answer) {
        return answer.headers().firstValue("Content-Security-Policy").orElse("");
    }

    /** Source: CSP Level 3, section 2.3.1; the application runs no script and no style that stands in a page. */
    @Test
    void theApplicationAllowsNoInlineCode() throws Exception {
        HttpResponse<String> screen = new Client(loom.address()).send("GET", "/sign-in", "");
        assertThat(policy(screen))
                .contains("default-src 'self'", "object-src 'none'", "frame-ancestors 'self'")
                .doesNotContain("unsafe-inline", "unsafe-eval", "*", "http:");
        assertThat(screen.headers().firstValue("X-Content-Type-Options")).hasValue("nosniff");
        assertThat(screen.headers().firstValue("Referrer-Policy")).hasValue("same-origin");
    }

    @Test
    void thePagesInTheBaysMayDoNothingButShow() throws Exception {
        Client client = new Client(loom.address()).signedIn();
        assertThat(policy(client.send("GET", PAGE, "")))
                .contains("default-src 'none'", "style-src 'self';", "form-action 'none'")
                // Values that people write at pages by hand are shown; style elements and scripts are not.
                .contains("style-src-attr 'unsafe-inline'")
                .doesNotContain("script-src", "unsafe-eval", "unsafe-hashes");
        Page page = Browsers.signedIn(loom, ColorScheme.LIGHT);
        Browsers.openBench(page, "Tern Passage");
        @SuppressWarnings("unchecked")
        List<String> sandboxes = (List<String>)
                page.evaluate("() => [...document.querySelectorAll('iframe')].map((f) => f.getAttribute('sandbox'))");
        assertThat(sandboxes)
                .isNotEmpty()
                .allSatisfy(allowed -> assertThat(allowed).isNotNull().doesNotContain("allow-scripts"));
        page.context().close();
    }

    @Test
    void theSessionsCookieIsOutOfReachOfScriptsAndOtherSites() throws Exception {
        HttpResponse<String> answer = new Client(loom.address()).signIn();
        assertThat(answer.headers().allValues("Set-Cookie"))
                .filteredOn(cookie -> cookie.startsWith("LOOM="))
                .singleElement()
                .satisfies(cookie -> assertThat(cookie).contains("HttpOnly").contains("SameSite=Lax"));
        assertThat(answer.body()).doesNotContain(Loom.PASSWORD);
    }

    @Test
    void passwordsAreHashedAndSessionsLieInTheDatabase() throws Exception {
        Client client = new Client(loom.address()).signedIn();
        assertThat(loom.read("select password_hash from account where email = '" + Loom.EMAIL + "'"))
                .singleElement()
                .satisfies(hash -> assertThat(hash).startsWith("$2a$10$").hasSize(60));
        int sessions = loom.read("select primary_id from SPRING_SESSION").size();
        assertThat(client.send("DELETE", "/api/session", "").statusCode()).isLessThan(300);
        assertThat(loom.read("select primary_id from SPRING_SESSION")).hasSize(sessions - 1);
    }

    @Test
    void aStrangerSeesNoThemeAndNoPage() throws Exception {
        for (String path : List.of("/api/themes", "/api/themes/1", "/api/themes/1/kit.zip", "/api/openapi", PAGE))
            assertThat(new Client(loom.address()).send("GET", path, "").statusCode())
                    .as(path)
                    .isEqualTo(401);
    }

    /** Source: RFC 8246; the names of these files change with what is in them. */
    @Test
    void whatNeverChangesIsKeptAndTheRestIsAskedFor() throws Exception {
        Client client = new Client(loom.address());
        HttpResponse<String> screen = client.send("GET", "/sign-in", "");
        assertThat(screen.headers().firstValue("Cache-Control").orElse("")).contains("no-cache");
        Matcher script =
                Pattern.compile("/_app/immutable/entry/start\\.[\\w-]+\\.js").matcher(screen.body());
        assertThat(script.find()).isTrue();
        HttpResponse<String> kept = client.send("GET", script.group(), "");
        assertThat(kept.statusCode()).isEqualTo(200);
        assertThat(kept.headers().firstValue("Cache-Control")).hasValue("max-age=31536000, private, immutable");
        assertThat(client.send("GET", "/mark.svg", "").headers().firstValue("Cache-Control"))
                .hasValue("no-cache");
    }
}
