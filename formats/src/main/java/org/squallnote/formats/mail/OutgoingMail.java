package org.squallnote.formats.mail;

import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Date;
import java.util.List;
import java.util.Optional;
import java.util.Properties;
import org.squallnote.core.message.Party;

/**
 * A plain-text mail to be sent (RFC 5322).
 *
 * @param messageId the identifier, without brackets; given by the caller, so that a repeated attempt sends the same message
 * @param inReplyTo the identifier of the message that is answered
 * @param references the chain of identifiers up to and including the answered message (RFC 5322 section 3.6.4)
 */
public record OutgoingMail(
        String messageId,
        Party from,
        List<Party> to,
        List<Party> cc,
        String subject,
        String text,
        Instant date,
        Optional<String> inReplyTo,
        List<String> references) {

    private static final Session SESSION = Session.getInstance(new Properties());

    /** Copies the lists. */
    public OutgoingMail {
        to = List.copyOf(to);
        cc = List.copyOf(cc);
        references = List.copyOf(references);
    }

    /**
     * The message as bytes with CRLF line ends.
     *
     * @throws IllegalArgumentException when an address is not one, or a field would break the header
     */
    public byte[] toBytes() {
        try {
            MimeMessage message = new MimeMessage(SESSION) {
                @Override
                protected void updateMessageID() throws MessagingException {
                    setHeader("Message-ID", "<" + messageId + ">");
                }
            };
            message.setFrom(address(from));
            message.setRecipients(Message.RecipientType.TO, addresses(to));
            message.setRecipients(Message.RecipientType.CC, addresses(cc));
            message.setSubject(oneLine(subject), "UTF-8");
            message.setSentDate(Date.from(date));
            if (inReplyTo.isPresent()) {
                message.setHeader("In-Reply-To", "<" + oneLine(inReplyTo.get()) + ">");
            }
            if (!references.isEmpty()) {
                message.setHeader("References", folded(references));
            }
            message.setText(text.replaceAll("\r?\n", "\r\n"), "UTF-8");
            message.saveChanges();
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            message.writeTo(bytes);
            return bytes.toByteArray();
        } catch (MessagingException | IOException e) {
            throw new IllegalArgumentException("This message cannot be written as mail: " + e.getMessage(), e);
        }
    }

    /** The subject of an answer: one {@code Re:} before what stood there. */
    public static String answerSubject(String subject) {
        String bare = subject.replaceFirst("(?i)^(\\s*re\\s*:\\s*)+", "").strip();
        return bare.isEmpty() ? "Re: your message" : "Re: " + bare;
    }

    private static InternetAddress[] addresses(List<Party> parties) throws MessagingException, IOException {
        InternetAddress[] addresses = new InternetAddress[parties.size()];
        for (int i = 0; i < addresses.length; i++) {
            addresses[i] = address(parties.get(i));
        }
        return addresses;
    }

    private static InternetAddress address(Party party) throws MessagingException, IOException {
        InternetAddress address = new InternetAddress(oneLine(party.address()), true);
        if (!party.name().isEmpty()) {
            address.setPersonal(oneLine(party.name()), StandardCharsets.UTF_8.name());
        }
        return address;
    }

    private static String folded(List<String> ids) {
        StringBuilder value = new StringBuilder();
        for (String id : ids) {
            value.append(value.length() == 0 ? "" : "\r\n ")
                    .append('<')
                    .append(oneLine(id))
                    .append('>');
        }
        return value.toString();
    }

    private static String oneLine(String value) {
        if (value.chars().anyMatch(c -> c == '\r' || c == '\n')) {
            throw new IllegalArgumentException("A line break cannot stand in a header: " + value.strip());
        }
        return value;
    }
}
