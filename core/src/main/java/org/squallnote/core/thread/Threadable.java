package org.squallnote.core.thread;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What threading needs to know of a mail message.
 *
 * @param key identifies the message to the caller; the order of equal dates follows the keys' order in the list
 * @param messageId the {@code Message-ID} without brackets, absent when the message has none
 * @param references the identifiers of {@code References}, oldest first; where that is empty, the first of {@code In-Reply-To}
 * @param subject the decoded subject
 * @param sentAt the moment of the {@code Date} field
 * @param parties the addresses of sender and recipients, lower case
 */
public record Threadable<K>(
        K key,
        Optional<String> messageId,
        List<String> references,
        String subject,
        Instant sentAt,
        Set<String> parties) {

    /** Copies the collections. */
    public Threadable {
        references = List.copyOf(references);
        parties = Set.copyOf(parties);
    }

    /** Whether the message carries no link to another one although its subject says that it answers one. */
    public boolean isUnlinkedReply() {
        return references.isEmpty() && BaseSubject.of(subject).replyOrForward();
    }
}
