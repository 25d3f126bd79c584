package org.squallnote.server;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * The clock of the server's tests: it stands at {@link #START} however long they take. Each look at it is a microsecond
 * later than the one before, so that what happened first stays first. Where the application waits for a time to come,
 * as the outbox does between two attempts, a test lets it run.
 */
final class TestClock extends Clock {

    static final Instant START = Instant.parse("2026-03-04T10:00:00Z");

    private final AtomicLong looks = new AtomicLong();
    private volatile InstantSource time = InstantSource.fixed(START);

    void stand() {
        time = InstantSource.fixed(START);
    }

    /** Later by so much, and standing. */
    void forward(Duration by) {
        time = InstantSource.fixed(time.instant().plus(by));
    }

    void run() {
        Clock machine = Clock.systemUTC();
        time = Clock.offset(machine, Duration.between(machine.instant(), START));
    }

    @Override
    public Instant instant() {
        return time.instant().plusNanos(looks.incrementAndGet() * 1000);
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        throw new UnsupportedOperationException("The application asks for moments, not for this clock's zone");
    }

    @TestConfiguration
    static class Configuration {

        @Bean
        @Primary
        TestClock testClock() {
            return new TestClock();
        }

        /** Tests sign in thousands of times; a slow hash would make them slow and show nothing. */
        @Bean
        @Primary
        PasswordEncoder quickPasswords() {
            return new BCryptPasswordEncoder(4);
        }
    }
}
