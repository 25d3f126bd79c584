package org.squallnote.server.api;

import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.squallnote.server.problem.ProblemWriter;

/** One client may have so many requests open at once, its streams of changes included, so that others are served too. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class ClientLimit extends OncePerRequestFilter {

    private static final int MOST_OPEN = 100;

    private final Map<String, Integer> open = new ConcurrentHashMap<>();
    private final ProblemWriter problems;

    ClientLimit(ProblemWriter problems) {
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String client = request.getRemoteAddr();
        if (open.merge(client, 1, Integer::sum) > MOST_OPEN) {
            closed(client);
            response.setHeader(HttpHeaders.RETRY_AFTER, "5");
            problems.write(
                    response,
                    HttpStatus.TOO_MANY_REQUESTS,
                    "Too many requests from here are open at once. Nothing was changed. Close some pages or try again.");
            return;
        }
        try {
            chain.doFilter(request, response);
        } finally {
            if (request.isAsyncStarted()) {
                request.getAsyncContext().addListener(new AtTheEnd(client));
            } else {
                closed(client);
            }
        }
    }

    private void closed(String client) {
        open.computeIfPresent(client, (key, count) -> count > 1 ? count - 1 : null);
    }

    /** Counts down when an answer that goes on after its thread has ended. */
    private final class AtTheEnd implements AsyncListener {

        private final String client;

        AtTheEnd(String client) {
            this.client = client;
        }

        @Override
        public void onComplete(AsyncEvent event) {
            closed(client);
        }

        @Override
        public void onTimeout(AsyncEvent event) {
            // Is completed afterwards.
        }

        @Override
        public void onError(AsyncEvent event) {
            // Is completed afterwards.
        }

        @Override
        public void onStartAsync(AsyncEvent event) {
            event.getAsyncContext().addListener(this);
        }
    }
}
