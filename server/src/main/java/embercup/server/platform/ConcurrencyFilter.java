package embercup.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * So many questions are worked on at once, the others wait for their turn in the order they came: a crowd is answered later, and not
 * told that the database is away because all its connections are taken. Streams wait only to be opened.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class ConcurrencyFilter extends OncePerRequestFilter {

    /** The database has twelve connections; one hears, four read for streams (application.yaml, BrewStreams). */
    static final int AT_ONCE = 6;

    /** A page gives up about then. */
    private static final long PATIENCE_S = 30;

    private final Semaphore turns = new Semaphore(AT_ONCE, true);

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        // A household as a file takes minutes and is made one at a time anyway; nothing of it is held in memory.
        return !request.getRequestURI().startsWith("/api/")
                || request.getRequestURI().equals("/api/household/archive")
                || BodyFilter.asStream(request);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!myTurn()) {
            response.setHeader("Retry-After", "5");
            Refusals.write(response, HttpStatus.SERVICE_UNAVAILABLE, "busy");
            return;
        }
        boolean stream = request.getRequestURI().endsWith("/stream");
        ContentCachingResponseWrapper answer = stream ? null : new ContentCachingResponseWrapper(response);
        try {
            chain.doFilter(request, answer == null ? response : answer);
        } finally {
            turns.release();
        }
        // Whoever takes her answer slowly holds nobody's turn.
        if (answer != null) {
            answer.copyBodyToResponse();
        }
    }

    private boolean myTurn() {
        try {
            return turns.tryAcquire(PATIENCE_S, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
