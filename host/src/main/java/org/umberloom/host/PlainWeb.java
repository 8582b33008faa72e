package org.umberloom.host;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetSocketAddress;
import java.net.URLConnection;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Stream;

/** Shows, of each site in a folder, what is live: /site/path is the file site/live/path. */
final class PlainWeb implements AutoCloseable {
    private static final Map<String, String> TYPES = Map.of(
            "html", "text/html; charset=utf-8",
            "css", "text/css; charset=utf-8",
            "svg", "image/svg+xml",
            "json", "application/json",
            "webmanifest", "application/manifest+json",
            "woff2", "font/woff2",
            "webp", "image/webp",
            "ico", "image/x-icon",
            "txt", "text/plain; charset=utf-8");

    private static final byte[] NOTHING = "There is nothing at this address.".getBytes(StandardCharsets.UTF_8);

    private final Path root;
    private final HttpServer server;
    private final ExecutorService people = Executors.newFixedThreadPool(4);

    PlainWeb(Path root, int port) throws IOException {
        this.root = root.toRealPath();
        server = HttpServer.create(new InetSocketAddress("127.0.0.1", port), 0);
        server.setExecutor(people);
        server.createContext("/", this::answer);
        server.start();
    }

    int port() {
        return server.getAddress().getPort();
    }

    private void answer(HttpExchange exchange) throws IOException {
        try (exchange) {
            String[] steps = exchange.getRequestURI().getPath().split("/", 3);
            String site = steps.length > 1 ? steps[1] : "";
            String rest = steps.length > 2 ? steps[2] : "";
            Path live = root.resolve(site).resolve("live");
            Path file = live.resolve(rest.isEmpty() || rest.endsWith("/") ? rest + "index.html" : rest);
            if (site.isEmpty() || site.contains("..") || !file.normalize().startsWith(live)) {
                send(exchange, 404, TYPES.get("txt"), NOTHING);
            } else if (Files.isRegularFile(file)) {
                send(exchange, 200, type(file.getFileName().toString()), Files.readAllBytes(file));
            } else {
                String first = rest.isEmpty() ? pages(live) : "";
                if (first.isEmpty()) {
                    send(exchange, 404, TYPES.get("txt"), NOTHING);
                } else {
                    exchange.getResponseHeaders().set("Location", "/" + site + "/" + first);
                    exchange.sendResponseHeaders(302, -1);
                }
            }
        }
    }

    /** The folder of the pages of what is live. */
    private static String pages(Path live) throws IOException {
        Path pages = live.resolve("pages");
        if (!Files.isDirectory(pages)) return "";
        try (Stream<Path> sites = Files.list(pages)) {
            return sites.filter(Files::isDirectory)
                    .findFirst()
                    .map(site -> "pages/" + site.getFileName() + "/")
                    .orElse("");
        }
    }

    private static String type(String name) {
        String known = TYPES.get(name.substring(name.lastIndexOf('.') + 1));
        String guessed = known == null ? URLConnection.guessContentTypeFromName(name) : known;
        return guessed == null ? "application/octet-stream" : guessed;
    }

    private static void send(HttpExchange exchange, int status, String type, byte[] content) throws IOException {
        exchange.getResponseHeaders().set("Content-Type", type);
        exchange.getResponseHeaders().set("Cache-Control", "no-cache");
        exchange.sendResponseHeaders(status, content.length == 0 ? -1 : content.length);
        try (OutputStream body = exchange.getResponseBody()) {
            body.write(content);
        }
    }

    @Override
    public void close() {
        server.stop(0);
        people.shutdownNow();
    }
}
