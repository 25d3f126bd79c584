package org.squallnote.server.account;

import java.io.Serializable;
import java.time.ZoneId;
import java.util.UUID;

/**
 * Who a session belongs to.
 *
 * @param name the name that history entries carry
 * @param zone the time zone in which days are counted
 */
public record SignedIn(UUID accountId, String name, String zone, boolean administrator) implements Serializable {

    /** The zone. */
    public ZoneId zoneId() {
        return ZoneId.of(zone);
    }
}
