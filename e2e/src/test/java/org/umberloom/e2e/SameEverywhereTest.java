package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.LoadState;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.format.KitArchive;

/** What is shown is what goes out: a site's pages in its own look, density and scheme, to the pixel. */
class SameEverywhereTest {
    private static final Loom LOOM = Loom.withDemo();
    private static final List<Integer> WIDTHS = List.of(390, 1280);
    private static final int HEIGHT = 900;
    /** Of each site so many pages, the first and others. */
    private static final int PAGES = 3;

    private static final Map<String, String> TYPES =
            Map.of("html", "text/html;charset=utf-8", "css", "text/css", "svg", "image/svg+xml", "woff2", "font/woff2");

    /** A web server that has the files of an archive and nothing else. */
    private static HttpServer serving(Map<String, byte[]> files) throws IOException {
        HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/", exchange -> {
            byte[] content = files.get(exchange.getRequestURI().getPath().substring(1));
            String name = exchange.getRequestURI().getPath();
            String type = TYPES.get(name.substring(name.lastIndexOf('.') + 1));
            if (type != null) exchange.getResponseHeaders().set("Content-Type", type);
            exchange.sendResponseHeaders(content == null ? 404 : 200, content == null ? -1 : content.length);
            if (content != null) exchange.getResponseBody().write(content);
            exchange.close();
        });
        server.start();
        return server;
    }

    private static byte[] picture(Page page, String address, int width) {
        page.setViewportSize(width, HEIGHT);
        page.navigate(address);
        page.waitForLoadState(LoadState.NETWORKIDLE);
        page.evaluate("document.fonts.ready");
        return page.screenshot(new Page.ScreenshotOptions().setFullPage(true));
    }

    @ParameterizedTest
    @ValueSource(strings = {"crossings", "freight", "galley", "trust", "winter", "crew"})
    void previewKitAndPublishedPagesAreEqualToThePixel(String site) throws Exception {
        Client client = new Client(LOOM.address()).signedIn();
        Map<String, byte[]> kit = KitArchive.read(client.download("/api/themes/1/kit.zip?site=" + site));
        Map<String, byte[]> build = KitArchive.read(client.download("/api/themes/1/kit.zip?tokens=false&site=" + site));
        assertThat(build.get("theme.css"))
                .as("the style sheet of published pages")
                .isEqualTo(kit.get("theme.css"));
        List<String> pages = kit.keySet().stream()
                .filter(name -> name.startsWith("pages/" + site + "/") && name.endsWith(".html"))
                .limit(PAGES)
                .toList();
        assertThat(pages).hasSize(PAGES);
        HttpServer server = serving(kit);
        Page shown = Browsers.signedIn(LOOM, ColorScheme.LIGHT);
        BrowserContext readers = Browsers.context(ColorScheme.LIGHT);
        Page reader = readers.newPage();
        try {
            for (String page : pages) {
                // Published pages only ask for their fonts ahead.
                assertThat(text(build.get(page))
                                .replaceAll("<link rel=\"preload\"[^>]*>", "")
                                .replaceAll("\\s+", ""))
                        .as(page)
                        .isEqualTo(text(kit.get(page)).replaceAll("\\s+", ""));
                for (int width : WIDTHS) {
                    String slug = page.substring(page.lastIndexOf('/') + 1);
                    byte[] preview = picture(
                            shown,
                            LOOM.address() + "/preview/1/draft/site/" + site + "/" + slug + "?still=true",
                            width);
                    byte[] out = picture(
                            reader, "http://127.0.0.1:" + server.getAddress().getPort() + "/" + page, width);
                    assertThat(preview).as("%s at %d px", page, width).isEqualTo(out);
                }
            }
        } finally {
            shown.context().close();
            readers.close();
            server.stop(0);
        }
    }

    private static String text(byte[] content) {
        return new String(content, StandardCharsets.UTF_8);
    }
}
