package org.squallnote.formats.mail;

import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Properties;

/**
 * A mail of mine once more, to another address: the same words and files, as a new mail (RFC 5322 section 3.6) that goes
 * on with the old one's thread.
 */
public final class MailAgain {

    private static final Session SESSION = Session.getInstance(new Properties());

    /** Fields that say how the old one went out. */
    private static final List<String> GONE = List.of(
            "Cc", "Bcc", "Received", "Return-Path", "Delivered-To", "DKIM-Signature", "In-Reply-To", "Reply-To");

    private MailAgain() {}

    /**
     * The bytes of the new mail.
     *
     * @param old the mail as it went out
     * @param to whom it goes to now
     * @param messageId the identifier of the new one, without brackets
     * @param references the chain of identifiers up to and including the old one
     * @throws IllegalArgumentException when the address is none, or the old mail is none
     */
    public static byte[] to(byte[] old, String to, String messageId, List<String> references, ZonedDateTime date) {
        try {
            MimeMessage message = new MimeMessage(SESSION, new ByteArrayInputStream(old)) {
                @Override
                protected void updateMessageID() throws MessagingException {
                    setHeader("Message-ID", "<" + messageId + ">");
                }
            };
            message.getSubject();
            for (String field : GONE) {
                message.removeHeader(field);
            }
            message.setRecipient(Message.RecipientType.TO, new InternetAddress(to, true));
            message.setHeader("Date", OutgoingMail.DATE.format(date));
            message.setHeader("References", OutgoingMail.folded(references));
            message.setHeader("Message-ID", "<" + messageId + ">");
            ByteArrayOutputStream bytes = new ByteArrayOutputStream(old.length + 500);
            message.writeTo(bytes);
            return bytes.toByteArray();
        } catch (MessagingException | IOException e) {
            throw new IllegalArgumentException("This mail cannot be sent again: " + e.getMessage(), e);
        }
    }
}
