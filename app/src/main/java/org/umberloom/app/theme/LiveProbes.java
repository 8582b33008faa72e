package org.umberloom.app.theme;

import jakarta.annotation.PreDestroy;
import jakarta.validation.Validator;
import java.io.IOException;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.SynchronousQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.TextWebSocketHandler;
import org.springframework.web.socket.server.support.HttpSessionHandshakeInterceptor;
import org.springframework.web.util.UriTemplate;
import org.umberloom.app.account.LiveSessions;
import org.umberloom.app.web.Problems;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * A bench's one open line: each message is an edit request, and is answered, in its turn, by the probe or by a problem; and
 * each new revision of the theme is announced on it by its number. A request of its own for each probe costs more than the
 * probe, and a stream of its own for announcements would be one too many for a browser with several tabs.
 */
@Component
class LiveProbes extends TextWebSocketHandler {
    static final String PATH = "/api/themes/{id}/live";
    /** Bytes of one message; an edit of many values at once is larger than one of a pointer. */
    private static final int LARGEST = 256 * 1024;

    private static final int MOST_SOCKETS = 2_000;
    private static final int MOST_SENDING = 32;
    private static final String SOCKET = "open-socket";
    private static final UriTemplate TEMPLATE = new UriTemplate(PATH);

    private final ThemeService themes;
    private final ThemeWatch watch;
    private final LiveSessions sessions;
    private final Problems problems;
    private final Validator validator;
    private final JsonMapper json;
    private final ExecutorService sending =
            new ThreadPoolExecutor(1, MOST_SENDING, 10, TimeUnit.SECONDS, new SynchronousQueue<>(), task -> {
                Thread thread = new Thread(task, "announcing");
                thread.setDaemon(true);
                return thread;
            });

    LiveProbes(
            ThemeService themes,
            ThemeWatch watch,
            LiveSessions sessions,
            Problems problems,
            Validator validator,
            JsonMapper json) {
        this.themes = themes;
        this.watch = watch;
        this.sessions = sessions;
        this.problems = problems;
        this.validator = validator;
        this.json = json;
    }

    /** Keeps whose session opened the socket. */
    static HttpSessionHandshakeInterceptor remembering() {
        HttpSessionHandshakeInterceptor interceptor = new HttpSessionHandshakeInterceptor();
        interceptor.setCopyAllAttributes(false);
        return interceptor;
    }

    @Override
    public void afterConnectionEstablished(WebSocketSession socket) throws IOException {
        socket.setTextMessageSizeLimit(LARGEST);
        Object session = socket.getAttributes().get(HttpSessionHandshakeInterceptor.HTTP_SESSION_ID_ATTR_NAME);
        long theme = themeOf(socket);
        if (session == null) socket.close(OpenSocket.SIGNED_OUT);
        else if (!themes.exists(theme)) socket.close(OpenSocket.NO_THEME);
        else if (watch.size() >= MOST_SOCKETS) socket.close(CloseStatus.SERVICE_OVERLOAD);
        else {
            OpenSocket open = new OpenSocket(theme, session.toString(), socket, sending);
            socket.getAttributes().put(SOCKET, open);
            watch.add(open);
        }
    }

    @Override
    public void afterConnectionClosed(WebSocketSession socket, CloseStatus status) {
        if (socket.getAttributes().remove(SOCKET) instanceof OpenSocket open) watch.remove(open);
    }

    @Override
    protected void handleTextMessage(WebSocketSession socket, TextMessage message) throws IOException {
        if (!(socket.getAttributes().get(SOCKET) instanceof OpenSocket open)) return;
        if (!sessions.holds(open.session())) open.close(OpenSocket.SIGNED_OUT);
        else open.answer(json.writeValueAsBytes(answer(open.theme(), message.getPayload())));
    }

    /** A {@link ThemeViews.Probe}, or a problem detail. */
    private Object answer(long theme, String asked) {
        try {
            return probe(theme, asked);
        } catch (RuntimeException e) {
            return problems.of(e);
        }
    }

    /** What a message about a theme is answered; what is wrong with it is thrown, as by a request. */
    ThemeViews.Probe probe(long theme, String asked) {
        return themes.probe(theme, request(asked));
    }

    private EditRequest request(String asked) {
        EditRequest request;
        try {
            request = json.readValue(asked, EditRequest.class);
        } catch (JacksonException e) {
            throw new IllegalArgumentException("A probe must be an edit request in JSON; this is not.", e);
        }
        String missing = validator.validate(request).stream()
                .map(found -> found.getPropertyPath() + " " + found.getMessage())
                .sorted()
                .collect(Collectors.joining(", "));
        if (!missing.isEmpty())
            throw new IllegalArgumentException("The edit request is not complete: " + missing + ".");
        return request;
    }

    /** −1 where the address names none. */
    private static long themeOf(WebSocketSession socket) {
        Map<String, String> parts =
                TEMPLATE.match(socket.getUri() == null ? "" : socket.getUri().getPath());
        try {
            return Long.parseLong(parts.getOrDefault("id", ""));
        } catch (NumberFormatException e) {
            return -1;
        }
    }

    @PreDestroy
    void stop() {
        sending.shutdownNow();
    }
}
