package org.umberloom.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.umberloom.core.limit.Sizes;

/**
 * How much may come with a request, by its kind, known before anything of it is read. Who has no session that is known here may
 * send next to nothing, whatever their cookies say.
 */
@Component
@Order(SessionRepositoryFilter.DEFAULT_ORDER + 1)
class RequestLimits extends OncePerRequestFilter {
    private static final int LARGEST_PORT = 65_535;
    private static final int KIB = 1024;
    private static final int STRANGER = 4 * KIB;
    private static final int ORDINARY = 64 * KIB;
    private static final int EDIT = 1024 * KIB;
    /** A style sheet as long as one may be, of letters that take three bytes, or two where they are escaped. */
    private static final int SHEET = 3 * Sizes.SHEET + ORDINARY;

    private static final int TEXT = 512 * KIB;
    private static final int PICTURE = 9 * 1024 * KIB;
    private static final int KIT = 33 * 1024 * KIB;

    private final ProblemWriter problems;

    RequestLimits(ProblemWriter problems) {
        this.problems = problems;
    }

    /** Bytes of the body that a request may have. */
    static int most(String method, String path, boolean session) {
        if (!session || path.startsWith("/api/session") || path.startsWith("/api/invitation")) return STRANGER;
        if (path.equals("/api/css") || path.startsWith("/api/sites/") && path.endsWith("/css")) return SHEET;
        if (!method.equals("POST")) return ORDINARY;
        if (path.equals("/api/kits")
                || path.equals("/api/kits/preview")
                || path.equals("/api/sites/archive")
                || path.equals("/api/fonts/own")) return KIT;
        if (path.equals("/api/palette/picture")
                || (path.startsWith("/api/themes/") || path.startsWith("/api/sites/")) && path.endsWith("/pictures"))
            return PICTURE;
        if (path.equals("/api/palette/text")) return TEXT;
        if (path.startsWith("/api/themes/") && (path.endsWith("/edits") || path.endsWith("/probe"))) return EDIT;
        return ORDINARY;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long length = request.getContentLengthLong();
        // What is small enough for anybody asks for no session.
        boolean small = length >= 0 && length <= STRANGER;
        int most = most(request.getMethod(), request.getRequestURI(), small || request.getSession(false) != null);
        if (!isOrigin(request.getHeader("Origin"))) problems.write(response, Problems.plain(400));
        else if (request.getContentLengthLong() > most)
            problems.write(response, Problems.problem(HttpStatus.CONTENT_TOO_LARGE, "Too large", said(most)));
        else if (request.getContentLengthLong() >= 0) chain.doFilter(request, response);
        else chain.doFilter(new Counted(request, most), response);
    }

    /** Whether what a browser says of where a request comes from can be read at all. Source: RFC 6454, section 7. */
    private static boolean isOrigin(String origin) {
        if (origin == null || origin.equals("null")) return true;
        try {
            URI uri = new URI(origin).parseServerAuthority();
            return uri.getHost() != null && uri.getPort() <= LARGEST_PORT;
        } catch (URISyntaxException e) {
            return false;
        }
    }

    private static String said(int most) {
        return most >= 1024 * KIB
                ? "What was sent is larger than " + (most >= KIT ? 32 : most / 1024 / KIB)
                        + " MB, so it was not read. Nothing was imported and nothing was changed."
                : "What was sent is larger than " + most / KIB
                        + " kB, the most that is taken here, so it was not read. Nothing was changed.";
    }

    /** A body of unknown length, which ends with an error where it becomes too long. */
    private static final class Counted extends HttpServletRequestWrapper {
        private final int most;
        private ServletInputStream stream;

        Counted(HttpServletRequest request, int most) {
            super(request);
            this.most = most;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (stream == null) stream = new CountedStream(super.getInputStream(), most);
            return stream;
        }

        @Override
        public BufferedReader getReader() throws IOException {
            return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
        }
    }

    private static final class CountedStream extends ServletInputStream {
        private final ServletInputStream in;
        private final int most;
        private long read;

        CountedStream(ServletInputStream in, int most) {
            this.in = in;
            this.most = most;
        }

        @Override
        public int read() throws IOException {
            int one = in.read();
            if (one >= 0) count(1);
            return one;
        }

        @Override
        public int read(byte[] bytes, int from, int length) throws IOException {
            int some = in.read(bytes, from, length);
            if (some > 0) count(some);
            return some;
        }

        private void count(int some) throws TooLargeBody {
            read += some;
            if (read > most) throw new TooLargeBody(said(most));
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }
}
