package org.squallnote.server.followup;

import java.time.Instant;
import java.util.List;
import org.squallnote.core.message.Party;
import org.squallnote.store.message.StoredMessage;

/** A message as it stood when a follow-up was made from it. */
record Snapshot(Party from, List<Party> to, String subject, Instant sentAt, String text, List<String> files) {

    static Snapshot of(StoredMessage message) {
        return new Snapshot(
                message.from(),
                message.recipients().to(),
                message.subject(),
                message.sentAt(),
                message.body(),
                message.files().list().stream().map(file -> file.name()).toList());
    }
}
