package org.squallnote.server.time;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The clock; {@code --clock=2026-03-02T09:00:00Z} starts it at that moment. */
@Configuration(proxyBeanMethods = false)
public class ClockConfiguration {

    /** The application's clock. */
    @Bean
    public Clock clock(@Value("${clock:}") String startAt) {
        if (startAt.isBlank()) {
            return Clock.systemUTC();
        }
        try {
            return Clock.offset(
                    Clock.systemUTC(), Duration.between(Instant.now(Clock.systemUTC()), Instant.parse(startAt)));
        } catch (DateTimeParseException e) {
            throw new IllegalArgumentException(
                    "--clock wants a moment such as 2026-03-02T09:00:00Z, not " + startAt, e);
        }
    }
}
