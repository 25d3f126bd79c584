package org.squallnote.standins.scenario;

import jakarta.activation.DataHandler;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import jakarta.mail.util.ByteArrayDataSource;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Base64;
import java.util.Date;
import java.util.List;
import java.util.Properties;

/** Writes mail of every nature, as the programs of its writers would. */
final class MailWriter {

    private static final Session SESSION = Session.getInstance(new Properties());
    private static final byte[] SMALL_PICTURE = Base64.getDecoder()
            .decode("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==");

    private MailWriter() {}

    /** A mail; {@code kind} and {@code file} as in the scenario, {@code eventAt} what an invitation invites to. */
    record Letter(
            String id,
            Script.Person from,
            List<Script.Person> to,
            List<Script.Person> cc,
            String subject,
            Instant sentAt,
            List<String> references,
            String kind,
            String file,
            String text,
            Instant eventAt) {}

    static byte[] write(Letter letter) {
        try {
            MimeMessage message = new MimeMessage(SESSION) {
                @Override
                protected void updateMessageID() throws MessagingException {
                    setHeader("Message-ID", "<" + letter.id() + ">");
                }
            };
            message.setFrom(address(letter.from()));
            for (Script.Person person : letter.to()) {
                message.addRecipient(Message.RecipientType.TO, address(person));
            }
            for (Script.Person person : letter.cc()) {
                message.addRecipient(Message.RecipientType.CC, address(person));
            }
            message.setSubject(letter.subject(), "UTF-8");
            message.setSentDate(Date.from(letter.sentAt()));
            if (!letter.references().isEmpty()) {
                List<String> references = letter.references();
                message.setHeader("In-Reply-To", "<" + references.get(references.size() - 1) + ">");
                message.setHeader("References", "<" + String.join(">\r\n <", references) + ">");
            }
            markKind(message, letter);
            setContent(message, letter);
            message.saveChanges();
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            message.writeTo(bytes);
            return bytes.toByteArray();
        } catch (MessagingException | IOException e) {
            throw new IllegalStateException("A letter of the scenario cannot be written", e);
        }
    }

    private static void markKind(MimeMessage message, Letter letter) throws MessagingException {
        switch (letter.kind()) {
            case "bulk" -> {
                message.setHeader("List-Id", "<list." + domain(letter.from()) + ">");
                message.setHeader("List-Unsubscribe", "<mailto:leave@" + domain(letter.from()) + ">");
            }
            case "notice" -> message.setHeader("Auto-Submitted", "auto-generated");
            case "auto-reply" -> message.setHeader("Auto-Submitted", "auto-replied");
            default -> {
                // Nothing to mark.
            }
        }
    }

    private static String domain(Script.Person person) {
        return person.address().substring(person.address().indexOf('@') + 1);
    }

    private static void setContent(MimeMessage message, Letter letter) throws MessagingException, IOException {
        switch (letter.kind()) {
            case "bounce" -> message.setContent(report(letter));
            case "invitation" -> message.setContent(invitation(letter));
            case "html" -> message.setContent(html(letter));
            default -> {
                if (letter.file().isEmpty()) {
                    message.setText(letter.text(), "UTF-8");
                } else {
                    message.setContent(mixed(text(letter.text(), "plain"), letter.file()));
                }
            }
        }
    }

    private static MimeBodyPart text(String text, String subtype) throws MessagingException {
        MimeBodyPart part = new MimeBodyPart();
        part.setText(text, "UTF-8", subtype);
        return part;
    }

    private static MimeBodyPart raw(String text, String type) throws MessagingException, IOException {
        MimeBodyPart part = new MimeBodyPart();
        part.setDataHandler(new DataHandler(new ByteArrayDataSource(text, type)));
        return part;
    }

    private static MimeMultipart report(Letter letter) throws MessagingException, IOException {
        MimeMultipart report = new MimeMultipart("report; report-type=delivery-status");
        report.addBodyPart(text(letter.text(), "plain"));
        report.addBodyPart(raw(
                "Reporting-MTA: dns; mail.merrowquay.example\r\n\r\nFinal-Recipient: rfc822; stellan.voss@northpier.example\r\nAction: failed\r\nStatus: 5.2.2\r\n",
                "message/delivery-status"));
        return report;
    }

    private static MimeMultipart invitation(Letter letter) throws MessagingException, IOException {
        DateTimeFormatter stamp =
                DateTimeFormatter.ofPattern("yyyyMMdd'T'HHmmss'Z'").withZone(ZoneOffset.UTC);
        Instant start = letter.eventAt();
        String calendar = String.join(
                "\r\n",
                "BEGIN:VCALENDAR",
                "VERSION:2.0",
                "PRODID:-//Merrow Quay//Demo//EN",
                "METHOD:REQUEST",
                "BEGIN:VEVENT",
                "UID:" + letter.id(),
                "DTSTAMP:" + stamp.format(letter.sentAt()),
                "DTSTART:" + stamp.format(start),
                "DTEND:" + stamp.format(start.plusSeconds(3_600)),
                "SUMMARY:" + letter.subject(),
                "LOCATION:Harbour office",
                "ORGANIZER;CN=" + letter.from().name() + ":mailto:"
                        + letter.from().address(),
                "ATTENDEE;CN=" + letter.from().name() + ";PARTSTAT=ACCEPTED:mailto:"
                        + letter.from().address(),
                "ATTENDEE;PARTSTAT=NEEDS-ACTION;RSVP=TRUE:mailto:"
                        + letter.to().get(0).address(),
                "END:VEVENT",
                "END:VCALENDAR",
                "");
        MimeMultipart alternative = new MimeMultipart("alternative");
        alternative.addBodyPart(text(letter.text(), "plain"));
        alternative.addBodyPart(raw(calendar, "text/calendar; method=REQUEST; charset=UTF-8"));
        return alternative;
    }

    private static MimeMultipart html(Letter letter) throws MessagingException, IOException {
        MimeMultipart alternative = new MimeMultipart("alternative");
        alternative.addBodyPart(text(
                letter.text().replaceAll("<[^>]+>", " ").replaceAll(" +", " ").strip(), "plain"));
        alternative.addBodyPart(text(letter.text(), "html"));
        if (letter.file().isEmpty()) {
            return alternative;
        }
        MimeBodyPart body = new MimeBodyPart();
        body.setContent(alternative);
        return mixed(body, letter.file());
    }

    private static MimeMultipart mixed(MimeBodyPart body, String file) throws MessagingException {
        MimeMultipart mixed = new MimeMultipart("mixed");
        mixed.addBodyPart(body);
        MimeBodyPart attachment = new MimeBodyPart();
        boolean picture = file.endsWith(".png") || file.endsWith(".jpg");
        String type = picture ? "image/png" : file.endsWith(".csv") ? "text/csv" : "application/pdf";
        byte[] bytes = picture
                ? SMALL_PICTURE
                : ("Contents of " + file + ", invented for the demo.\n").getBytes(StandardCharsets.UTF_8);
        attachment.setDataHandler(new DataHandler(new ByteArrayDataSource(bytes, type)));
        attachment.setFileName(file);
        mixed.addBodyPart(attachment);
        return mixed;
    }

    private static InternetAddress address(Script.Person person) throws IOException {
        return new InternetAddress(person.address(), person.name(), "UTF-8");
    }
}
