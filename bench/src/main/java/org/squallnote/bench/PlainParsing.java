package org.squallnote.bench;

import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.util.SharedByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Properties;
import org.squallnote.core.message.MailSpool;
import org.squallnote.formats.mail.MboxReader;

/** What any program has to do at least: split the file and read headers and decoded parts with the MIME library. */
final class PlainParsing {

    private static final Session SESSION = Session.getInstance(new Properties());
    private long bytes;

    /** Parses the whole file; answers the number of decoded bytes, so that nothing can be left out. */
    long run(Path mbox) throws IOException {
        bytes = 0;
        try (InputStream in = Files.newInputStream(mbox)) {
            MboxReader.forEach(
                    in,
                    MailSpool.inMemory(),
                    message -> parse(message.raw().inMemory().orElseThrow()));
        }
        return bytes;
    }

    /** As a process of its own, which prints the number of bytes: what importing the file as one is measured against. */
    public static void main(String[] args) throws IOException {
        System.out.println(new PlainParsing().run(Path.of(args[0])));
    }

    private void parse(byte[] raw) {
        try {
            MimeMessage message = new MimeMessage(SESSION, new SharedByteArrayInputStream(raw));
            bytes += message.getFrom().length + message.getAllRecipients().length;
            bytes += String.valueOf(message.getSubject()).length()
                    + String.valueOf(message.getMessageID()).length();
            bytes += message.getSentDate().toInstant().getEpochSecond() & 1;
            read(message);
        } catch (MessagingException e) {
            throw new IllegalStateException(e);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void read(Part part) throws MessagingException, IOException {
        if (part.getContent() instanceof Multipart multipart) {
            for (int i = 0; i < multipart.getCount(); i++) {
                read(multipart.getBodyPart(i));
            }
        } else {
            try (InputStream in = part.getInputStream()) {
                bytes += in.readAllBytes().length;
            }
        }
    }
}
