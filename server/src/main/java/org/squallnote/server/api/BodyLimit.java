package org.squallnote.server.api;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses bodies that are larger than anything the page sends, before they are read into memory. */
@Component
class BodyLimit extends OncePerRequestFilter {

    private static final long MOST_BYTES = 12_000_000;

    /** Files of mail are taken in as a stream, however large. */
    private static final String FILES = "/api/files";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean streamed = request.getRequestURI().startsWith(FILES);
        boolean unknown = request.getHeader("Transfer-Encoding") != null;
        if (streamed || (!unknown && request.getContentLengthLong() <= MOST_BYTES)) {
            chain.doFilter(request, response);
            return;
        }
        response.setStatus(HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE);
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.getOutputStream()
                .write(
                        "{\"status\":413,\"detail\":\"This is larger than 12 MB and was not taken. Nothing was changed.\"}"
                                .getBytes(StandardCharsets.UTF_8));
    }
}
