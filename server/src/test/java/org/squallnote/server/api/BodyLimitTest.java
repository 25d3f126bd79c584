package org.squallnote.server.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.squallnote.server.problem.ProblemWriter;
import tools.jackson.databind.json.JsonMapper;

class BodyLimitTest {

    private Instant now = Instant.parse("2026-03-02T09:00:00Z");
    private final BodyLimit limit =
            new BodyLimit(new ProblemWriter(JsonMapper.builder().build()), new Moving());
    private int read;

    private static MockHttpServletRequest of(int bytes) {
        MockHttpServletRequest request = new MockHttpServletRequest("POST", "/api/messages/1/answer");
        request.setContent(new byte[bytes]);
        return request;
    }

    @Test
    void aBodyThatDripsIsCutOff() {
        assertThatThrownBy(() -> limit.doFilter(of(1_000_000), new MockHttpServletResponse(), readAt(10)))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("too slowly");
        assertThat(read).as("after the time in which it may begin").isBetween(200, 220);
    }

    @Test
    void aBodyThatKeepsComingIsReadToItsEnd() throws ServletException, IOException {
        limit.doFilter(of(100_000), new MockHttpServletResponse(), readAt(1_100));
        assertThat(read).isEqualTo(100_000);
    }

    @Test
    void aBodyThatIsTooLargeIsNotRead() throws ServletException, IOException {
        MockHttpServletResponse response = new MockHttpServletResponse();
        limit.doFilter(of(12_000_001), response, readAt(1_000_000));
        assertThat(response.getStatus()).isEqualTo(413);
        assertThat(read).isZero();
    }

    @Test
    void aFileOfAFollowUpPassesThroughAndIsCountedByWhoeverTakesIt() throws ServletException, IOException {
        MockHttpServletRequest request = new MockHttpServletRequest("PUT", "/api/follow-ups/1/files/2");
        request.setContent(new byte[12_000_001]);
        MockHttpServletResponse response = new MockHttpServletResponse();
        limit.doFilter(request, response, (taken, answer) -> read = taken.getContentLength());
        assertThat(response.getStatus()).isEqualTo(200);
        assertThat(read).isEqualTo(12_000_001);
    }

    /** Reads a body of which so many bytes come in a second. */
    private FilterChain readAt(int bytesASecond) {
        return (request, response) -> {
            var body = request.getInputStream();
            while (body.read() >= 0) {
                read++;
                now = now.plus(Duration.ofSeconds(1).dividedBy(bytesASecond));
            }
        };
    }

    /** Goes on as the body is read. */
    private final class Moving extends Clock {

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return now;
        }
    }
}
