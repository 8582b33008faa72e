package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.LoadState;
import com.sun.net.httpserver.HttpServer;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.page.PagePolicy;

/** Hostile pages as preview, build and kit in a browser, with somebody who listens beside it: no request comes to them. */
class HostilePagesTest {
    private static final Loom LOOM = Loom.withDemo();
    private static final String POLICY = "<meta http-equiv=\"Content-Security-Policy\"[^>]*>";

    /** Each asks for something at %s, a host and its port. */
    private static final List<String> ATTACKS = List.of(
            "<svg width=9 height=9><rect width=9 height=9 mask='url(http://%s/mask)'/></svg>",
            "<svg width=9 height=9><rect width=9 height=9 fill='url(http://%s/fill#a)'/></svg>",
            "<svg width=9 height=9 cursor='url(http://%s/cursor),auto'><rect width=9 height=9/></svg>",
            "<svg width=9 height=9><rect width=9 height=9 clip-path='url(//%s/clip#a)' filter='url(http://%s/filter#a)'/></svg>",
            "<svg width=9 height=9><path d='M0 0L9 9' marker-start='url(http://%s/marker#a)' stroke='red'/></svg>",
            "<svg width=9 height=9><image width=9 height=9 href='http://%s/image'/><use href='http://%s/use#a'/></svg>",
            "<svg width=9 height=9><filter id=f><feImage href='http://%s/feimage'/></filter><rect width=9 height=9 filter='url(#f)'/></svg>",
            "<img src='/\\%s/backslash' alt=''><img src='\\\\%s/backslashes' alt=''>",
            "<img src='ht\ttp://%s/tab' alt=''><img src='/\n/%s/line' alt=''>",
            "<img src='data:image/svg+xml,<svg xmlns=\"http://www.w3.org/2000/svg\"><image href=\"http://%s/inner\"/></svg>' alt=''>",
            "<img srcset='http://%s/srcset 1x' alt=''><picture><source srcset='//%s/source'><img alt=''></picture>",
            "<link rel=preload as=font crossorigin href='http://%s/preload'><link rel=preload as=image href='//%s/preload2'>",
            "<link rel=prefetch href='http://%s/prefetch'><link rel='stylesheet alternate' href='http://%s/alternate'>",
            "<link rel=stylesheet href='http://%s/sheet'><style>@import 'http://%s/import'; p { background: url(http://%s/css) }</style>",
            "<p style='background: url(http://%s/style)'>x</p><p style='background: u\\72l(http://%s/escaped)'>x</p>",
            "<table background='http://%s/background'><tr><td background='/\\%s/cell'>x</table>",
            "<video poster='http://%s/poster' src='http://%s/film' autoplay></video><audio src='http://%s/sound' autoplay></audio>",
            "<input type=image src='http://%s/input' alt=''><object data='http://%s/object'></object><embed src='http://%s/embed'>",
            "<iframe src='http://%s/frame'></iframe><script src='http://%s/script'></script>",
            "<meta http-equiv=refresh content='0;url=http://%s/refresh'><base href='http://%s/'>",
            "<noscript><img src='http://%s/noscript' alt=''></noscript><math><mtext><img src='//%s/math' alt=''></mtext></math>");

    private final Queue<String> asked = new ConcurrentLinkedQueue<>();
    private HttpServer listening;

    @BeforeEach
    void listen() throws Exception {
        listening = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        listening.createContext("/", exchange -> {
            asked.add(exchange.getRequestURI().toString());
            exchange.sendResponseHeaders(404, -1);
            exchange.close();
        });
        listening.start();
    }

    @AfterEach
    void stop() {
        listening.stop(0);
    }

    private String host() {
        return "127.0.0.1:" + listening.getAddress().getPort();
    }

    private String page(String attack) {
        return "<!doctype html><html lang=en><head><title>Hostile</title></head><body><main><h1>Hostile</h1>"
                + attack.replace("%s", host()) + "</main></body></html>";
    }

    private static void open(Page page, String address) {
        page.navigate(address);
        page.waitForLoadState(LoadState.NETWORKIDLE);
    }

    private static void unpack(Map<String, byte[]> files, Path folder, boolean policy) throws Exception {
        for (Map.Entry<String, byte[]> file : files.entrySet()) {
            Path to = folder.resolve(file.getKey());
            Files.createDirectories(to.getParent());
            String text = new String(file.getValue(), StandardCharsets.UTF_8);
            if (file.getKey().startsWith("pages/") && file.getKey().endsWith(".html")) {
                assertThat(text).as(file.getKey()).containsPattern(POLICY);
                Files.writeString(to, policy ? text : text.replaceAll(POLICY, ""));
            } else Files.write(to, file.getValue());
        }
    }

    @Test
    void noRequestComesFromAnyOfThem(@TempDir Path folder) throws Exception {
        Client client = new Client(LOOM.address()).signedIn();
        Map<String, byte[]> pages = new LinkedHashMap<>();
        for (int i = 0; i < ATTACKS.size(); i++)
            pages.put(
                    i == 0 ? "index.html" : "p" + i + ".html",
                    page(ATTACKS.get(i)).getBytes(StandardCharsets.UTF_8));
        String theme = client.newTheme("Hostile pages");
        HttpResponse<String> taken =
                client.upload("/api/sites/archive?theme=" + theme, "hostile.zip", KitArchive.write(pages));
        assertThat(taken.statusCode()).as(taken.body()).isEqualTo(200);
        String slug = JsonParser.parseString(taken.body())
                .getAsJsonObject()
                .get("slug")
                .getAsString();
        nothingLeaves(client, theme, slug, ATTACKS.size(), folder);
        client.send("DELETE", "/api/sites/" + slug + "?name=hostile", "");
    }

    /** A theme from elsewhere plants its pieces on every page of every site that takes it. */
    @Test
    void noRequestComesFromPiecesOfAThemeEither(@TempDir Path folder) throws Exception {
        Client client = new Client(LOOM.address()).signedIn();
        String plain = client.newTheme("Hostile pieces");
        JsonObject theme = JsonParser.parseString(client.send("GET", "/api/themes/" + plain + "/document", "")
                        .body())
                .getAsJsonObject();
        theme.addProperty("name", "Hostile pieces from elsewhere");
        JsonObject pieces = new JsonObject();
        for (int i = 0; i < ATTACKS.size(); i++) {
            JsonObject piece = new JsonObject();
            piece.addProperty("title", "Piece " + i);
            piece.addProperty("everywhere", true);
            piece.add("kinds", new com.google.gson.JsonArray());
            piece.addProperty(
                    "html", "<div data-piece=\"p" + i + "\">" + ATTACKS.get(i).replace("%s", host()) + "</div>");
            pieces.add("p" + i, piece);
        }
        JsonObject extensions = theme.has("$extensions") ? theme.getAsJsonObject("$extensions") : new JsonObject();
        JsonObject there =
                extensions.has("org.umberloom") ? extensions.getAsJsonObject("org.umberloom") : new JsonObject();
        there.add("pieces", pieces);
        extensions.add("org.umberloom", there);
        theme.add("$extensions", extensions);
        HttpResponse<String> taken = client.upload(
                "/api/kits", "hostile.resolver.json", theme.toString().getBytes(StandardCharsets.UTF_8));
        assertThat(taken.statusCode()).as(taken.body()).isEqualTo(200);
        String id =
                JsonParser.parseString(taken.body()).getAsJsonObject().get("id").getAsString();
        String slug = JsonParser.parseString(
                        client.send("POST", "/api/sites", "{\"name\":\"Planted\",\"theme\":" + id + "}")
                                .body())
                .getAsJsonObject()
                .get("slug")
                .getAsString();
        String shown = client.send("GET", "/preview/" + id + "/draft/default/" + slug + "/index.html", "")
                .body();
        assertThat(shown).as("pieces are there").contains("data-piece").doesNotContain(host());
        nothingLeaves(client, id, slug, 1, folder);
    }

    private void nothingLeaves(Client client, String theme, String slug, int pages, Path folder) throws Exception {
        Map<String, byte[]> kit = KitArchive.read(client.download("/api/themes/" + theme + "/kit.zip?site=" + slug));
        unpack(kit, folder.resolve("kit"), true);
        unpack(kit, folder.resolve("bare"), false);
        Released released = new Released(client, theme, slug);
        released.release("1.0.0");
        released.take("1.0.0");
        String published = released.build();
        Page preview = Browsers.signedIn(LOOM, ColorScheme.LIGHT);
        BrowserContext readers = Browsers.context(ColorScheme.LIGHT);
        Page reader = readers.newPage();
        try {
            for (int i = 0; i < pages; i++) {
                String name = i == 0 ? "index.html" : "p" + i + ".html";
                open(preview, LOOM.address() + "/preview/" + theme + "/draft/default/" + slug + "/" + name);
                open(reader, published + name);
                assertThat(reader.title()).as("the build is there").isNotEqualTo("Not found");
                assertThat(reader.locator("h1").count()).isPositive();
                for (String copy : List.of("kit", "bare"))
                    open(
                            reader,
                            folder.resolve(copy)
                                    .resolve("pages")
                                    .resolve(slug)
                                    .resolve(name)
                                    .toUri()
                                    .toString());
                assertThat(asked).as("page %s of %s", name, slug).isEmpty();
            }
            // Somebody listens indeed.
            reader.setContent("<img src='http://" + host() + "/heard'>");
            reader.waitForLoadState(LoadState.NETWORKIDLE);
            assertThat(asked).containsExactly("/heard");
        } finally {
            preview.context().close();
            readers.close();
        }
    }

    @Test
    void theDocumentedWebServerSendsThePolicyOfBuilds() throws Exception {
        assertThat(Files.readString(Loom.HOME.resolve("docs/operating.md"))).contains(PagePolicy.SENT);
        Client client = new Client(LOOM.address());
        assertThat(client.page("/builds/x/index.html")
                        .headers()
                        .firstValue("Content-Security-Policy")
                        .orElse(""))
                .isNotBlank();
    }
}
