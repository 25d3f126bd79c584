package org.squallnote.server.account;

import java.io.Serializable;
import java.time.ZoneId;
import java.util.UUID;
import org.squallnote.core.account.Account;

/**
 * Who a session belongs to.
 *
 * @param name the name that history entries carry
 * @param zone the time zone in which days are counted
 */
public record SignedIn(UUID accountId, String name, String zone, boolean administrator) implements Serializable {

    /** Somebody for whom something is done by itself. */
    public static SignedIn of(Account account) {
        return new SignedIn(account.id(), account.name(), account.zone(), account.administrator());
    }

    /** The zone. */
    public ZoneId zoneId() {
        return ZoneId.of(zone);
    }
}
