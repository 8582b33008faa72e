package org.umberloom.e2e;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;

/** Hands on what two programs say to each other, until so many bytes have passed: then every connection is cut, at any byte. */
final class CuttingProxy implements AutoCloseable {
    private static final long NEVER = Long.MAX_VALUE / 2;

    private final ServerSocket listening;
    private final int target;
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();
    private final AtomicLong left = new AtomicLong(NEVER);

    CuttingProxy(int target) throws IOException {
        this.target = target;
        listening = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
        start(this::accept);
    }

    int port() {
        return listening.getLocalPort();
    }

    /** From now on so many bytes pass, in both directions together. */
    void cutAfter(long bytes) {
        left.set(bytes);
    }

    void mend() {
        left.set(NEVER);
    }

    private static void start(Runnable work) {
        Thread thread = new Thread(work, "cutting-proxy");
        thread.setDaemon(true);
        thread.start();
    }

    private void accept() {
        try {
            while (true) {
                Socket from = listening.accept();
                open.add(from);
                if (left.get() <= 0) {
                    cut();
                    continue;
                }
                Socket to = new Socket(InetAddress.getLoopbackAddress(), target);
                open.add(to);
                start(() -> pump(from, to));
                start(() -> pump(to, from));
            }
        } catch (IOException closed) {
            cut();
        }
    }

    private void pump(Socket from, Socket to) {
        byte[] buffer = new byte[8192];
        try (InputStream in = from.getInputStream();
                OutputStream out = to.getOutputStream()) {
            while (true) {
                int read = in.read(buffer);
                if (read < 0) return;
                long rest = left.getAndAdd(-read);
                out.write(buffer, 0, (int) Math.max(0, Math.min(read, rest)));
                out.flush();
                if (rest <= read) {
                    cut();
                    return;
                }
            }
        } catch (IOException cut) {
            // The other end is gone, or was cut off.
        } finally {
            close(from);
            close(to);
        }
    }

    private void cut() {
        open.forEach(this::close);
    }

    private void close(Socket socket) {
        open.remove(socket);
        try {
            socket.close();
        } catch (IOException gone) {
            // It is.
        }
    }

    @Override
    public void close() throws IOException {
        listening.close();
        cut();
    }
}
