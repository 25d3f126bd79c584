package org.squallnote.server.time;

import java.security.SecureRandom;
import java.time.Clock;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Makes identifiers that sort by time (RFC 9562 section 5.7), for what the server itself creates. */
@Component
public class UuidV7 {

    private final SecureRandom random = new SecureRandom();
    private final Clock clock;

    /** With the application's clock. */
    public UuidV7(Clock clock) {
        this.clock = clock;
    }

    /** A new identifier. */
    public UUID next() {
        long time = clock.millis() & 0xFFFF_FFFF_FFFFL;
        long high = (time << 16) | 0x7000 | random.nextInt(0x1000);
        long low = (random.nextLong() & 0x3FFF_FFFF_FFFF_FFFFL) | 0x8000_0000_0000_0000L;
        return new UUID(high, low);
    }
}
