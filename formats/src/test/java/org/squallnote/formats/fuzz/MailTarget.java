package org.squallnote.formats.fuzz;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import org.squallnote.core.message.MailIdentity;
import org.squallnote.core.message.RawMail;
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
            read(RawMail.of(data), file.index());
        }
        Targets.read(mail.from(), mail.subject(), mail.text());
    }

    private static void read(RawMail mail, int index) {
        try (InputStream content = MailParser.attachment(mail, index).orElseGet(InputStream::nullInputStream)) {
            content.transferTo(OutputStream.nullOutputStream());
        } catch (IOException e) {
            // What a file of a broken mail ends with; any other exception is a find.
        }
    }
}
