package org.umberloom.app.deliver;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicLong;

/** A line to a server on this machine that breaks after so many bytes from whoever connects. */
final class CuttingLine implements AutoCloseable {
    private final ServerSocket door;
    private final int to;
    private final List<Socket> open = new CopyOnWriteArrayList<>();
    final AtomicLong passed = new AtomicLong();
    volatile long cutsAfter = Long.MAX_VALUE;

    CuttingLine(int to) {
        this.to = to;
        try {
            door = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        thread(() -> {
            while (true) {
                Socket near = door.accept();
                Socket far = new Socket(InetAddress.getLoopbackAddress(), to);
                near.setTcpNoDelay(true);
                far.setTcpNoDelay(true);
                open.add(near);
                open.add(far);
                thread(() -> carry(near, far, true));
                thread(() -> carry(far, near, false));
            }
        });
    }

    int port() {
        return door.getLocalPort();
    }

    @FunctionalInterface
    private interface Work {
        void run() throws IOException;
    }

    private static void thread(Work work) {
        Thread thread = new Thread(() -> {
            try {
                work.run();
            } catch (IOException e) {
                // Somebody hung up.
                Thread.currentThread().interrupt();
            }
        });
        thread.setDaemon(true);
        thread.start();
    }

    private void carry(Socket from, Socket into, boolean counted) throws IOException {
        byte[] some = new byte[8_192];
        try (from;
                into;
                InputStream in = from.getInputStream();
                OutputStream out = into.getOutputStream()) {
            for (int read; (read = in.read(some)) >= 0; ) {
                if (counted) {
                    long left = cutsAfter - passed.getAndAdd(read);
                    if (left < read) {
                        out.write(some, 0, (int) Math.max(0, left));
                        out.flush();
                        return;
                    }
                }
                out.write(some, 0, read);
                out.flush();
            }
        }
    }

    @Override
    public void close() {
        try {
            door.close();
            for (Socket socket : open) socket.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
