package org.squallnote.server.api;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.squallnote.server.problem.ProblemWriter;

/**
 * Refuses bodies that are larger than anything the page sends, before they are read into memory, and cuts off one that
 * drips: whoever sends a byte now and then would hold a thread for as long as he likes.
 */
@Component
class BodyLimit extends OncePerRequestFilter {

    private static final long MOST_BYTES = 12_000_000;

    /** Files are taken in as a stream, and whoever takes them counts: mail however large, others up to a size of their own. */
    private static final Pattern STREAMED =
            Pattern.compile("/api/files.*|/api/follow-ups/[^/]+/files/[^/]+|/api/people/cards");

    /** A body may begin slowly for so long. */
    private static final Duration GRACE = Duration.ofSeconds(20);

    /** After that, this many bytes have to have come for each second since it began: a modem of the nineties. */
    private static final long FEWEST_BYTES_A_SECOND = 1_000;

    private final ProblemWriter problems;
    private final Clock clock;

    BodyLimit(ProblemWriter problems, Clock clock) {
        this.problems = problems;
        this.clock = clock;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean streamed = STREAMED.matcher(request.getRequestURI()).matches();
        boolean unknown = request.getHeader("Transfer-Encoding") != null;
        if (streamed || (!unknown && request.getContentLengthLong() <= MOST_BYTES)) {
            boolean empty = !unknown && request.getContentLengthLong() <= 0;
            chain.doFilter(empty ? request : new Paced(request), response);
            return;
        }
        problems.write(
                response,
                HttpStatus.CONTENT_TOO_LARGE,
                "This is larger than 12 MB and was not taken. Nothing was changed.");
    }

    /** A request whose body has to keep coming. */
    private final class Paced extends HttpServletRequestWrapper {

        Paced(HttpServletRequest request) {
            super(request);
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new PacedBody(super.getInputStream(), clock.instant());
        }
    }

    private final class PacedBody extends ServletInputStream {

        private final ServletInputStream body;
        private final Instant began;
        private long read;

        PacedBody(ServletInputStream body, Instant began) {
            this.body = body;
            this.began = began;
        }

        @Override
        public int read() throws IOException {
            int b = body.read();
            counted(b < 0 ? 0 : 1);
            return b;
        }

        @Override
        public int read(byte[] into, int offset, int length) throws IOException {
            int got = body.read(into, offset, length);
            counted(Math.max(got, 0));
            return got;
        }

        private void counted(int bytes) throws IOException {
            read += bytes;
            Duration since = Duration.between(began, clock.instant());
            if (since.compareTo(GRACE) > 0 && read < since.toSeconds() * FEWEST_BYTES_A_SECOND) {
                throw new IOException("A body came too slowly and was cut off");
            }
        }

        @Override
        public boolean isFinished() {
            return body.isFinished();
        }

        @Override
        public boolean isReady() {
            return body.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            body.setReadListener(listener);
        }
    }
}
