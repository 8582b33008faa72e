package org.umberloom.app.theme;

import jakarta.validation.Validator;
import java.io.IOException;
import java.util.Map;
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
 * Probes of one theme over a socket that stays open while its bench is: each message is an edit request, and is answered,
 * in its turn, by the probe or by a problem. A request of its own for each probe costs more than the probe.
 */
@Component
class LiveProbes extends TextWebSocketHandler {
    static final String PATH = "/api/themes/{id}/live";
    /** Bytes of one message; an edit of many values at once is larger than one of a pointer. */
    private static final int LARGEST = 256 * 1024;
    /** A close code of the application's own: who asks is no longer signed in. */
    private static final CloseStatus SIGNED_OUT = new CloseStatus(4401, "signed out");

    private static final UriTemplate TEMPLATE = new UriTemplate(PATH);

    private final ThemeService themes;
    private final LiveSessions sessions;
    private final Problems problems;
    private final Validator validator;
    private final JsonMapper json;

    LiveProbes(ThemeService themes, LiveSessions sessions, Problems problems, Validator validator, JsonMapper json) {
        this.themes = themes;
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
    public void afterConnectionEstablished(WebSocketSession socket) {
        socket.setTextMessageSizeLimit(LARGEST);
    }

    @Override
    protected void handleTextMessage(WebSocketSession socket, TextMessage message) throws IOException {
        Object session = socket.getAttributes().get(HttpSessionHandshakeInterceptor.HTTP_SESSION_ID_ATTR_NAME);
        if (session == null || !sessions.holds(session.toString())) {
            socket.close(SIGNED_OUT);
            return;
        }
        socket.sendMessage(new TextMessage(json.writeValueAsBytes(answer(socket, message.getPayload()))));
    }

    /** A {@link ThemeViews.Probe}, or a problem detail. */
    private Object answer(WebSocketSession socket, String asked) {
        try {
            return probe(themeOf(socket), asked);
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
            throw new IllegalArgumentException("A probe must be an edit request in JSON; this is not: " + e.getOriginalMessage());
        }
        String missing = validator.validate(request).stream().map(found -> found.getPropertyPath() + " " + found.getMessage())
                .sorted().collect(Collectors.joining(", "));
        if (!missing.isEmpty()) throw new IllegalArgumentException("The edit request is not complete: " + missing + ".");
        return request;
    }

    private static long themeOf(WebSocketSession socket) {
        Map<String, String> parts = TEMPLATE.match(socket.getUri() == null ? "" : socket.getUri().getPath());
        try {
            return Long.parseLong(parts.getOrDefault("id", ""));
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("The address names no theme by its number.");
        }
    }
}
