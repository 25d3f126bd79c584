package org.squallnote.core.followup;

import java.time.Instant;
import java.util.List;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;

/** A message as it stood when a follow-up was made from it. */
public record Snapshot(Party from, List<Party> to, String subject, Instant sentAt, String text, List<String> files) {

    /** Longer texts are kept up to here; the message itself keeps all. */
    private static final int LONGEST_TEXT = 100_000;

    /** Of a message as it is now. */
    public static Snapshot of(StoredMessage message) {
        return new Snapshot(
                message.from().shown(),
                message.recipients().to(),
                message.subject(),
                message.sentAt(),
                beginning(message.body()),
                message.files().list().stream().map(file -> file.name()).toList());
    }

    private static String beginning(String text) {
        return text.length() > LONGEST_TEXT ? text.substring(0, LONGEST_TEXT) + "…" : text;
    }
}
