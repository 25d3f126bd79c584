package org.squallnote.server.arrival;

import java.util.Optional;
import java.util.UUID;
import org.squallnote.core.message.StoredMessage;

/** What happens to mail that says something to a calendar, within the transaction that took it in. */
public interface CalendarMail {

    /**
     * It has been stored.
     *
     * @param calendar its calendar part
     * @param method as the mail says it
     */
    void arrived(UUID owner, StoredMessage message, String calendar, Optional<String> method);
}
