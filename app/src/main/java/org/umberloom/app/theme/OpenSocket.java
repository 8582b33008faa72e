package org.umberloom.app.theme;

import java.io.IOException;
import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.PingMessage;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.ConcurrentWebSocketSessionDecorator;

/**
 * A bench's open socket as one who listens. What is told goes out on a thread of its own, one thing at a time: who reads slowly
 * holds up nobody, and hears the newest when it is ready.
 */
final class OpenSocket implements ThemeWatch.Listener {
    /** A close code of the application's own: who asks is no longer signed in. */
    static final CloseStatus SIGNED_OUT = new CloseStatus(4401, "signed out");
    /** Another: there is no such theme. */
    static final CloseStatus NO_THEME = new CloseStatus(4404, "no such theme");

    private static final int LONGEST_SEND_MS = 10_000;
    private static final int MOST_BUFFERED = 4 << 20;

    private final long theme;
    private final String session;
    private final WebSocketSession socket;
    private final Executor sending;
    private final AtomicBoolean busy = new AtomicBoolean();
    private volatile int told = -1;
    private volatile long toldOfSites;

    OpenSocket(long theme, String session, WebSocketSession socket, Executor sending) {
        this.theme = theme;
        this.session = session;
        this.socket = new ConcurrentWebSocketSessionDecorator(socket, LONGEST_SEND_MS, MOST_BUFFERED);
        this.sending = sending;
    }

    @Override
    public long theme() {
        return theme;
    }

    @Override
    public String session() {
        return session;
    }

    @Override
    public void tell(int revision) {
        if (revision > told) send(new TextMessage("{\"revision\":" + revision + "}"), () -> told = revision);
    }

    @Override
    public void tellSites(long stamp) {
        if (stamp != toldOfSites) send(new TextMessage("{\"sites\":" + stamp + "}"), () -> toldOfSites = stamp);
    }

    @Override
    public void ping() {
        send(new PingMessage(), () -> {});
    }

    @Override
    public void signedOut() {
        later(() -> close(SIGNED_OUT));
    }

    /** The answer to a message of its own, sent by who computed it. */
    void answer(byte[] json) throws IOException {
        socket.sendMessage(new TextMessage(json));
    }

    void close(CloseStatus status) {
        try {
            socket.close(status);
        } catch (IOException gone) {
            // Nobody is left to be told.
        }
    }

    /** While something is on its way nothing else is begun; the next look tells again. */
    private void send(WebSocketMessage<?> message, Runnable sent) {
        if (!busy.compareAndSet(false, true)) return;
        boolean begun = later(() -> {
            try {
                socket.sendMessage(message);
                sent.run();
            } catch (IOException | RuntimeException gone) {
                close(CloseStatus.SESSION_NOT_RELIABLE);
            } finally {
                busy.set(false);
            }
        });
        if (!begun) busy.set(false);
    }

    private boolean later(Runnable work) {
        try {
            sending.execute(work);
            return true;
        } catch (RejectedExecutionException full) {
            return false;
        }
    }
}
