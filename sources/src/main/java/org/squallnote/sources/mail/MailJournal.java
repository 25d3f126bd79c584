package org.squallnote.sources.mail;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.squallnote.core.message.MailSpool;

/** What is known of a mail account's folders, and where new mail is put down. Each method is one transaction. */
public interface MailJournal {

    /** The UIDs already known in a folder under this UIDVALIDITY; forgets those under another one. */
    Set<Long> knownUids(String folder, long uidValidity);

    /** The HIGHESTMODSEQ at which the folder was last read completely (RFC 7162). */
    Optional<Long> completeAt(String folder, long uidValidity);

    /** Notes that the folder is read completely up to this HIGHESTMODSEQ. */
    void markComplete(String folder, long uidValidity, long highestModSeq);

    /** Takes the bytes of large mail while it comes in. */
    MailSpool spool();

    /** Puts mail down, once each, however often it is handed over. */
    void save(String folder, long uidValidity, List<ArrivedMail> batch);
}
