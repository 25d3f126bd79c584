package org.squallnote.formats.fuzz;

import org.squallnote.core.message.MailIdentity;
import org.squallnote.core.thread.BaseSubject;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.formats.mail.ParsedMail;

/** Any bytes, as a mail: parsed, its files opened, its identity and subject taken. */
public final class MailTarget {

    private MailTarget() {}

    /** What the fuzzer calls. */
    public static void fuzzerTestOneInput(byte[] data) {
        ParsedMail mail = MailParser.parse(data);
        MailIdentity.rawDate(data);
        BaseSubject.of(mail.subject());
        for (ParsedMail.Attachment file : mail.attachments()) {
            MailParser.attachment(data, file.index());
        }
        Targets.read(mail.from(), mail.subject(), mail.text());
    }
}
