package org.squallnote.server.time;

import java.lang.management.ManagementFactory;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The clock; with {@code --clock=2026-03-02T09:00:00Z} the process started at that moment. */
@Configuration(proxyBeanMethods = false)
public class ClockConfiguration {

    /** The application's clock. */
    @Bean
    public Clock clock(@Value("${clock:}") String startAt) {
        if (startAt.isBlank()) {
            return Clock.systemUTC();
        }
        try {
            // From the start of the process, so that it goes with the clocks of those who started it.
            Instant started =
                    Instant.ofEpochMilli(ManagementFactory.getRuntimeMXBean().getStartTime());
            return Clock.offset(Clock.systemUTC(), Duration.between(started, Instant.parse(startAt)));
        } catch (DateTimeParseException e) {
            throw new IllegalArgumentException(
                    "--clock wants a moment such as 2026-03-02T09:00:00Z, not " + startAt, e);
        }
    }
}
