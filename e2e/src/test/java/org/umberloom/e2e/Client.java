package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.WebSocket;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;

/** Speaks to the application without a browser, with cookies and the token that guards changes. */
final class Client {
    private static final Duration LONGEST = Duration.ofSeconds(20);

    private final String address;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();

    Client(String address) {
        this.address = address;
    }

    String address() {
        return address;
    }

    /** As somebody else. */
    HttpResponse<String> signIn(String email, String password) throws IOException, InterruptedException {
        send("GET", "/api/session", "");
        HttpResponse<String> answer =
                send("POST", "/api/session", "{\"email\":\"" + email + "\",\"password\":\"" + password + "\"}");
        send("GET", "/api/session", "");
        return answer;
    }

    /** A new theme's number. */
    String newTheme(String name) throws IOException, InterruptedException {
        return send("POST", "/api/themes", "{\"name\":\"" + name + "\",\"starter\":\"plain\"}")
                .body()
                .replaceAll("\\D", "");
    }

    /** Sends a file as a form does. */
    HttpResponse<String> upload(String path, String fileName, byte[] content) throws IOException, InterruptedException {
        String line = "x" + "0123456789abcdef";
        java.io.ByteArrayOutputStream body = new java.io.ByteArrayOutputStream();
        body.write(("--" + line + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\""
                        + fileName.replace("\"", "%22") + "\"\r\nContent-Type: application/octet-stream\r\n\r\n")
                .getBytes(java.nio.charset.StandardCharsets.UTF_8));
        body.write(content);
        body.write(("\r\n--" + line + "--\r\n").getBytes(java.nio.charset.StandardCharsets.UTF_8));
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .timeout(Duration.ofSeconds(60))
                .header("Content-Type", "multipart/form-data; boundary=" + line)
                .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()));
        kept().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .findFirst()
                .ifPresent(cookie -> request.header("X-XSRF-TOKEN", cookie.getValue()));
        return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    /** As a browser opens it. */
    HttpResponse<String> page(String path) throws IOException, InterruptedException {
        return http.send(
                HttpRequest.newBuilder(URI.create(address + path))
                        .timeout(LONGEST)
                        .header("Accept", "text/html")
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    byte[] download(String path) throws IOException, InterruptedException {
        return http.send(
                        HttpRequest.newBuilder(URI.create(address + path))
                                .timeout(Duration.ofSeconds(60))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray())
                .body();
    }

    Client signedIn() throws IOException, InterruptedException {
        assertThat(signIn().statusCode()).isEqualTo(200);
        send("GET", "/api/session", "");
        return this;
    }

    HttpResponse<String> signIn() throws IOException, InterruptedException {
        send("GET", "/api/session", "");
        return send(
                "POST", "/api/session", "{\"email\":\"" + Loom.EMAIL + "\",\"password\":\"" + Loom.PASSWORD + "\"}");
    }

    HttpResponse<String> send(String method, String path, String body) throws IOException, InterruptedException {
        return send(method, path, body, java.util.Map.of());
    }

    HttpResponse<String> send(String method, String path, String body, java.util.Map<String, String> headers)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .timeout(LONGEST)
                .header("Content-Type", "application/json")
                .method(method, HttpRequest.BodyPublishers.ofString(body));
        kept().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .findFirst()
                .ifPresent(cookie -> request.header("X-XSRF-TOKEN", cookie.getValue()));
        headers.forEach(request::setHeader);
        return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    private List<HttpCookie> kept() {
        return cookies.getCookieStore().getCookies();
    }

    /** Opens a socket as a page of that origin would. */
    Socket open(String path, String origin) {
        Socket socket = new Socket();
        String sent = kept().stream()
                .map(cookie -> cookie.getName() + "=" + cookie.getValue())
                .collect(Collectors.joining("; "));
        socket.line = HttpClient.newHttpClient()
                .newWebSocketBuilder()
                .header("Cookie", sent)
                .header("Origin", origin)
                .connectTimeout(LONGEST)
                .buildAsync(URI.create(address.replaceFirst("^http", "ws") + path), socket)
                .join();
        return socket;
    }

    /** One question at a time, and its answer; what is announced meanwhile is kept by itself. */
    static final class Socket implements WebSocket.Listener {
        private WebSocket line;
        private final StringBuilder heard = new StringBuilder();
        private volatile CompletableFuture<String> answer = new CompletableFuture<>();
        final java.util.concurrent.BlockingQueue<String> announced = new java.util.concurrent.LinkedBlockingQueue<>();
        final CompletableFuture<Integer> closed = new CompletableFuture<>();

        String ask(String text) throws Exception {
            answer = new CompletableFuture<>();
            line.sendText(text, true).join();
            return answer.get(LONGEST.toSeconds(), TimeUnit.SECONDS);
        }

        void say(String text) {
            line.sendText(text, true);
        }

        @Override
        public CompletionStage<?> onText(WebSocket socket, CharSequence data, boolean last) {
            heard.append(data);
            socket.request(1);
            if (last) {
                String text = heard.toString();
                heard.setLength(0);
                if (text.startsWith("{\"revision\":")) announced.add(text);
                else answer.complete(text);
            }
            return null;
        }

        @Override
        public CompletionStage<?> onClose(WebSocket socket, int code, String reason) {
            closed.complete(code);
            return null;
        }

        @Override
        public void onError(WebSocket socket, Throwable error) {
            closed.completeExceptionally(error);
        }
    }
}
