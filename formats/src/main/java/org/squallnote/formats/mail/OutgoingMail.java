package org.squallnote.formats.mail;

import jakarta.activation.DataHandler;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import jakarta.mail.util.ByteArrayDataSource;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Properties;
import org.squallnote.core.message.Party;

/**
 * A mail in plain text to be sent, with files where there are any (RFC 5322).
 *
 * @param messageId the identifier, without brackets; given by the caller, so that a repeated attempt sends the same message
 * @param date when it is written, in the zone of its writer
 * @param inReplyTo the identifier of the message that is answered
 * @param attachments files that it carries
 * @param scheduling what it says to a calendar, beside its words (RFC 6047 section 2.4)
 * @param automatic whether no person wrote it, which it says (RFC 3834 section 5)
 * @param html the same words as HTML; empty where there is only plain text
 * @param references the chain of identifiers up to and including the answered message (RFC 5322 section 3.6.4)
 */
public record OutgoingMail(
        String messageId,
        Party from,
        List<Party> to,
        List<Party> cc,
        List<Party> bcc,
        String subject,
        String text,
        ZonedDateTime date,
        Optional<String> inReplyTo,
        List<String> references,
        List<Attachment> attachments,
        Optional<SchedulingPart> scheduling,
        boolean automatic,
        String html) {

    /** One in plain text alone. */
    public OutgoingMail(
            String messageId,
            Party from,
            List<Party> to,
            List<Party> cc,
            List<Party> bcc,
            String subject,
            String text,
            ZonedDateTime date,
            Optional<String> inReplyTo,
            List<String> references,
            List<Attachment> attachments,
            Optional<SchedulingPart> scheduling,
            boolean automatic) {
        this(
                messageId,
                from,
                to,
                cc,
                bcc,
                subject,
                text,
                date,
                inReplyTo,
                references,
                attachments,
                scheduling,
                automatic,
                "");
    }

    /** A file. */
    public record Attachment(String name, String type, byte[] content) {}

    /**
     * A scheduling message.
     *
     * @param method as iTIP names it
     */
    public record SchedulingPart(String method, String calendar) {}

    /** RFC 5322 section 3.3, with the zone of whoever writes. */
    static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("EEE, d MMM uuuu HH:mm:ss xx", Locale.ENGLISH);

    private static final Session SESSION = Session.getInstance(new Properties());

    /** Copies the lists. */
    public OutgoingMail {
        to = List.copyOf(to);
        cc = List.copyOf(cc);
        bcc = List.copyOf(bcc);
        references = List.copyOf(references);
        attachments = List.copyOf(attachments);
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
            // The courier leaves this field out of what it hands over; my own copy keeps it.
            message.setRecipients(Message.RecipientType.BCC, addresses(bcc));
            message.setSubject(oneLine(subject), "UTF-8");
            message.setHeader("Date", DATE.format(date));
            if (inReplyTo.isPresent()) {
                message.setHeader("In-Reply-To", "<" + oneLine(inReplyTo.get()) + ">");
            }
            if (!references.isEmpty()) {
                message.setHeader("References", folded(references));
            }
            if (automatic) {
                message.setHeader("Auto-Submitted", "auto-replied");
            }
            String lines = text.replaceAll("\r?\n", "\r\n");
            if (scheduling.isPresent()) {
                message.setContent(alternative(lines, scheduling.get()));
            } else if (attachments.isEmpty() && html.isEmpty()) {
                message.setText(lines, "UTF-8");
            } else {
                message.setContent(multipart(lines));
            }
            message.saveChanges();
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            message.writeTo(bytes);
            return bytes.toByteArray();
        } catch (MessagingException | IOException e) {
            throw new IllegalArgumentException("This message cannot be written as mail: " + e.getMessage(), e);
        }
    }

    private static MimeMultipart alternative(String lines, SchedulingPart scheduling) throws MessagingException {
        MimeMultipart parts = new MimeMultipart("alternative");
        MimeBodyPart words = new MimeBodyPart();
        words.setText(lines, "UTF-8");
        parts.addBodyPart(words);
        MimeBodyPart calendar = new MimeBodyPart();
        calendar.setDataHandler(new DataHandler(new ByteArrayDataSource(
                scheduling.calendar().getBytes(StandardCharsets.UTF_8),
                "text/calendar; method=" + scheduling.method() + "; charset=UTF-8")));
        parts.addBodyPart(calendar);
        return parts;
    }

    private MimeMultipart multipart(String lines) throws MessagingException {
        MimeMultipart parts = new MimeMultipart();
        MimeBodyPart words = new MimeBodyPart();
        if (html.isEmpty()) {
            words.setText(lines, "UTF-8");
        } else {
            MimeBodyPart plain = new MimeBodyPart();
            plain.setText(lines, "UTF-8");
            MimeBodyPart rich = new MimeBodyPart();
            rich.setText(html, "UTF-8", "html");
            words.setContent(new MimeMultipart("alternative", plain, rich));
        }
        parts.addBodyPart(words);
        for (Attachment attachment : attachments) {
            MimeBodyPart part = new MimeBodyPart();
            part.setDataHandler(new DataHandler(new ByteArrayDataSource(attachment.content(), attachment.type())));
            part.setFileName(oneLine(attachment.name()));
            part.setDisposition(Part.ATTACHMENT);
            parts.addBodyPart(part);
        }
        return parts;
    }

    /** The subject of a mail that hands a message on. */
    public static String forwardSubject(String subject) {
        String bare = subject.replaceFirst("(?i)^(\\s*fwd?\\s*:\\s*)+", "").strip();
        return bare.isEmpty() ? "Fwd: a message" : "Fwd: " + bare;
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

    static String folded(List<String> ids) {
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
