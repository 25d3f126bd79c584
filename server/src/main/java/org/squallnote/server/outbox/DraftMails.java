package org.squallnote.server.outbox;

import java.util.Optional;
import java.util.UUID;
import org.squallnote.core.source.Source;

/** Makes a mail of a draft as it is now, for the folder for drafts. */
public interface DraftMails {

    /** The mail; empty when the draft is gone. */
    Optional<byte[]> mailOf(Source source, UUID messageId);
}
