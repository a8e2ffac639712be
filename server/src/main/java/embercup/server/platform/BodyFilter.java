package embercup.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Semaphore;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Takes in the whole body of a request before anything is made of it: not more than its kind may have, not for longer than a
 * kitchen's network needs, and never so many slow ones at once that others find no thread. What reaches the rest is complete,
 * within its limit, and of characters that a text can have.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class BodyFilter extends OncePerRequestFilter {

    private static final Duration MOST = Duration.ofSeconds(10);
    private static final Duration MOST_LARGE = Duration.ofSeconds(40);
    /** Bodies that are taken in at once; the server has three times as many threads. */
    private static final int AT_ONCE = 64;
    /** Large ones at once: all of them together fit beside everything else. */
    private static final int LARGE_AT_ONCE = 3;

    private static final int CHUNK = 16 * 1024;
    private static final Set<String> WITH_BODY = Set.of("POST", "PUT", "PATCH", "DELETE");
    private static final byte[] NUL = "\\u0000".getBytes(StandardCharsets.US_ASCII);

    private final Semaphore room = new Semaphore(AT_ONCE);
    private final Semaphore largeRoom = new Semaphore(LARGE_AT_ONCE);

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!readable(request)) {
            refuse(request, response, HttpStatus.BAD_REQUEST, "malformed-address", Map.of());
            return;
        }
        if (!WITH_BODY.contains(request.getMethod()) || asStream(request)) {
            chain.doFilter(request, response);
            return;
        }
        Optional<MediaType> type = type(request);
        if (type.isEmpty() || type.get().isWildcardType() || type.get().isWildcardSubtype()) {
            refuse(request, response, HttpStatus.UNSUPPORTED_MEDIA_TYPE, "no-such-type", Map.of());
            return;
        }
        int most = most(request, type.get());
        if (request.getContentLengthLong() > most) {
            tooLarge(request, response, most);
            return;
        }
        boolean large = most > BodyLimits.JSON_BYTES;
        Semaphore places = large ? largeRoom : room;
        if (!places.tryAcquire()) {
            response.setHeader("Retry-After", "2");
            refuse(request, response, HttpStatus.SERVICE_UNAVAILABLE, "busy", Map.of());
            return;
        }
        byte @Nullable [] body;
        try {
            body = take(request, most, large ? MOST_LARGE : MOST);
        } catch (SocketTimeoutException e) {
            refuse(request, response, HttpStatus.REQUEST_TIMEOUT, "slow-body", Map.of());
            return;
        } finally {
            if (!large) {
                places.release();
            }
        }
        try {
            if (body == null) {
                tooLarge(request, response, most);
            } else if (!large && hasNul(body)) {
                refuse(request, response, HttpStatus.BAD_REQUEST, "no-character", Map.of());
            } else {
                chain.doFilter(new Taken(request, body), response);
            }
        } finally {
            if (large) {
                places.release();
            }
        }
    }

    /** What stands behind the question mark can be read, and is of characters that a text can have. */
    private static boolean readable(HttpServletRequest request) {
        String query = request.getQueryString();
        if (query == null) {
            return true;
        }
        try {
            for (String[] values : request.getParameterMap().values()) {
                for (String value : values) {
                    if (value.indexOf('\0') >= 0) {
                        return false;
                    }
                }
            }
            return !malformed(query);
        } catch (IllegalStateException e) {
            return false;
        }
    }

    /** A percent sign that no two digits follow. */
    private static boolean malformed(String query) {
        for (int i = query.indexOf('%'); i >= 0; i = query.indexOf('%', i + 1)) {
            if (i + 2 >= query.length()
                    || Character.digit(query.charAt(i + 1), 16) < 0
                    || Character.digit(query.charAt(i + 2), 16) < 0) {
                return true;
            }
        }
        return false;
    }

    /** A household is no body for memory: its place takes it in as a file, within {@link BodyLimits#ARCHIVE_BYTES}. */
    static boolean asStream(HttpServletRequest request) {
        return request.getRequestURI().equals("/api/household/restore");
    }

    private static Optional<MediaType> type(HttpServletRequest request) {
        String said = request.getContentType();
        try {
            return Optional.of(said == null ? MediaType.APPLICATION_OCTET_STREAM : MediaType.parseMediaType(said));
        } catch (InvalidMediaTypeException e) {
            return Optional.empty();
        }
    }

    private static int most(HttpServletRequest request, MediaType type) {
        if (request.getRequestURI().endsWith("/photo")) {
            return BodyLimits.PHOTO_BYTES;
        }
        String path = request.getRequestURI();
        return (path.equals("/api/recipes/import") || path.equals("/api/shelf/file"))
                        && !type.isCompatibleWith(MediaType.APPLICATION_JSON)
                ? BodyLimits.PAGE_BYTES
                : BodyLimits.JSON_BYTES;
    }

    /**
     * The whole body; null when it is longer.
     *
     * @throws SocketTimeoutException when it takes longer
     */
    private static byte @Nullable [] take(HttpServletRequest request, int most, Duration within) throws IOException {
        long until = System.nanoTime() + within.toNanos();
        ServletInputStream in = request.getInputStream();
        ByteArrayOutputStream all = new ByteArrayOutputStream(Math.max(0, Math.min(most, request.getContentLength())));
        byte[] chunk = new byte[CHUNK];
        for (int n = in.read(chunk); n >= 0; n = in.read(chunk)) {
            all.write(chunk, 0, n);
            if (all.size() > most) {
                return null;
            }
            if (System.nanoTime() > until) {
                throw new SocketTimeoutException();
            }
        }
        return all.toByteArray();
    }

    /** The one character that PostgreSQL keeps in no text, plain or as JSON escapes it. */
    private static boolean hasNul(byte[] body) {
        int backslashes = 0;
        for (int i = 0; i < body.length; i++) {
            if (body[i] == 0) {
                return true;
            }
            backslashes = body[i] == '\\' ? backslashes + 1 : 0;
            if (backslashes % 2 == 1 && startsWith(body, i)) {
                return true;
            }
        }
        return false;
    }

    private static boolean startsWith(byte[] body, int at) {
        for (int i = 0; i < NUL.length; i++) {
            if (at + i >= body.length || body[at + i] != NUL[i]) {
                return false;
            }
        }
        return true;
    }

    private void tooLarge(HttpServletRequest request, HttpServletResponse response, int most) throws IOException {
        boolean small = most < 1024 * 1024;
        refuse(
                request,
                response,
                HttpStatus.CONTENT_TOO_LARGE,
                "body-too-large",
                Map.of("most", small ? most / 1024 : most / (1024 * 1024), "unit", small ? "kB" : "MB"));
    }

    private void refuse(
            HttpServletRequest request,
            HttpServletResponse response,
            HttpStatus status,
            String code,
            Map<String, ?> arguments)
            throws IOException {
        if (request.getAttribute(ContainerConfig.LEAVE_UNREAD) instanceof Runnable leave) {
            leave.run();
        }
        response.setHeader("Connection", "close");
        Refusals.write(response, status, code, arguments);
    }

    /** A request whose body is here already. */
    private static final class Taken extends HttpServletRequestWrapper {

        private final byte[] body;

        Taken(HttpServletRequest request, byte[] body) {
            super(request);
            this.body = body;
        }

        @Override
        public ServletInputStream getInputStream() {
            return new Bytes(body);
        }

        @Override
        public BufferedReader getReader() {
            return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
        }

        @Override
        public int getContentLength() {
            return body.length;
        }

        @Override
        public long getContentLengthLong() {
            return body.length;
        }
    }

    private static final class Bytes extends ServletInputStream {

        private final ByteArrayInputStream in;

        Bytes(byte[] body) {
            in = new ByteArrayInputStream(body);
        }

        @Override
        public int read() {
            return in.read();
        }

        @Override
        public int read(byte[] into, int at, int most) {
            return in.read(into, at, most);
        }

        @Override
        public boolean isFinished() {
            return in.available() == 0;
        }

        @Override
        public boolean isReady() {
            return true;
        }

        @Override
        public void setReadListener(ReadListener listener) {
            throw new UnsupportedOperationException("it is here already");
        }
    }
}
