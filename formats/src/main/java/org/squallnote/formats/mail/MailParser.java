package org.squallnote.formats.mail;

import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.util.SharedByteArrayInputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Date;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.squallnote.core.message.Headers;
import org.squallnote.core.message.MessageIds;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.RawMail;

/** Reads a mail message from its bytes. Never fails on content; see {@link ParsedMail#notices()}. */
public final class MailParser {

    private static final Session SESSION = MailSessions.forReading();

    /** The fields that the rules look at. */
    private static final List<String> KEPT_HEADERS = List.of(
            "Auto-Submitted",
            "Content-Type",
            "Importance",
            "List-Id",
            "List-Post",
            "List-Unsubscribe",
            "Precedence",
            "Return-Path",
            "X-Autoreply",
            "X-Autorespond",
            "X-Priority");

    private MailParser() {}

    /** The message in parts. */
    public static ParsedMail parse(byte[] raw) {
        return parse(RawMail.of(raw));
    }

    /** The message in parts. */
    public static ParsedMail parse(RawMail raw) {
        List<String> notices = new ArrayList<>();
        return within(raw, notices, message -> parts(message, notices));
    }

    private static ParsedMail parts(MimeMessage message, List<String> notices) {
        MailBody body = MailBody.read(message, notices);
        return ParsedMailBuilder.builder()
                .messageId(header(message, "Message-ID").flatMap(MessageIds::firstIn))
                .references(references(message))
                .from(addresses(message, "From").stream().findFirst().orElseGet(() -> sender(message)))
                .replyTo(addresses(message, "Reply-To"))
                .followupTo(addresses(message, "Mail-Followup-To"))
                .to(addresses(message, "To"))
                .cc(addresses(message, "Cc"))
                .subject(subject(message))
                .sentAt(sentAt(message))
                .headers(headers(message))
                .text(body.text())
                .hasHtml(body.html().isPresent())
                .attachments(body.attachments())
                .calendarMethod(body.calendarMethod())
                .calendar(body.calendar())
                .deliveryAction(body.deliveryAction())
                .notices(notices)
                .build();
    }

    /** The HTML body as it was sent, not yet safe to show. */
    public static Optional<String> html(RawMail raw) {
        return within(
                raw,
                new ArrayList<>(),
                message -> MailBody.read(message, new ArrayList<>()).html());
    }

    /**
     * The decoded bytes of an attachment, to be closed.
     *
     * @param index from {@link ParsedMail.Attachment#index()}
     * @return absent when the message has no such part or it cannot be decoded
     * @throws IOException when the message itself cannot be read
     */
    public static Optional<InputStream> attachment(RawMail raw, int index) throws IOException {
        RawMail.Opened opened = raw.open();
        Optional<InputStream> part = Optional.empty();
        try {
            part = MailBody.leaf(open(raw, opened, new ArrayList<>()), index)
                    .map(content -> new ClosingStream(content, opened));
        } finally {
            if (part.isEmpty()) {
                opened.close();
            }
        }
        return part;
    }

    /** The message as it came, to be closed. */
    public static InputStream whole(RawMail raw) throws IOException {
        RawMail.Opened opened = raw.open();
        return new ClosingStream(new SharedMail(opened, 0, raw.size()), opened);
    }

    /** Closes the message with its part. */
    private static final class ClosingStream extends FilterInputStream {

        private final RawMail.Opened opened;

        ClosingStream(InputStream part, RawMail.Opened opened) {
            super(part);
            this.opened = opened;
        }

        @Override
        public void close() throws IOException {
            super.close();
            opened.close();
        }
    }

    private static <T> T within(RawMail raw, List<String> notices, Function<MimeMessage, T> look) {
        try (RawMail.Opened opened = raw.open()) {
            return look.apply(open(raw, opened, notices));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static MimeMessage open(RawMail raw, RawMail.Opened opened, List<String> notices) throws IOException {
        long end = MimeBounds.end(raw, opened, notices);
        Optional<byte[]> bytes = raw.inMemory();
        try (InputStream in = bytes.isPresent()
                ? new SharedByteArrayInputStream(bytes.get(), 0, (int) end)
                : new SharedMail(opened, 0, end)) {
            return new MimeMessage(SESSION, in);
        } catch (MessagingException e) {
            notices.add("This message is damaged and could not be read as mail.");
            return new MimeMessage(SESSION);
        }
    }

    static Optional<String> header(MimeMessage message, String name) {
        try {
            return Optional.ofNullable(message.getHeader(name, null))
                    .map(value -> EncodedWords.plain(Text.cut(value, MailLimits.LONGEST_LIST_FIELD)));
        } catch (MessagingException e) {
            return Optional.empty();
        }
    }

    private static List<String> references(MimeMessage message) {
        List<String> references =
                header(message, "References").map(MessageIds::allIn).orElse(List.of());
        if (!references.isEmpty()) {
            return references;
        }
        return header(message, "In-Reply-To")
                .flatMap(MessageIds::firstIn)
                .map(List::of)
                .orElse(List.of());
    }

    private static Party sender(MimeMessage message) {
        return addresses(message, "Sender").stream().findFirst().orElse(new Party("", ""));
    }

    private static List<Party> addresses(MimeMessage message, String field) {
        Optional<String> value;
        try {
            value = Optional.ofNullable(message.getHeader(field, ",")).map(MailParser::boundedAddresses);
        } catch (MessagingException e) {
            return List.of();
        }
        if (value.isEmpty() || value.get().isBlank()) {
            return List.of();
        }
        List<Party> parties = new ArrayList<>();
        try {
            for (InternetAddress address : InternetAddress.parseHeader(value.get(), false)) {
                if (address.isGroup()) {
                    for (InternetAddress member :
                            Optional.ofNullable(address.getGroup(false)).orElse(new InternetAddress[0])) {
                        parties.add(party(member));
                    }
                } else {
                    parties.add(party(address));
                }
                if (parties.size() >= MailLimits.MOST_ADDRESSES) {
                    break;
                }
            }
        } catch (MessagingException e) {
            // Not an address list. What is there is still better than nothing, as a name.
            parties.add(new Party(Text.cut(value.get().replaceAll("\\s+", " "), 200), ""));
        }
        return parties.stream()
                .filter(party -> !party.address().isEmpty() || !party.name().isEmpty())
                .toList();
    }

    /** So much of a list of addresses as can be read without anybody waiting; it ends with a whole address. */
    private static String boundedAddresses(String list) {
        String bounded = list;
        if (bounded.length() > MailLimits.LONGEST_LIST_FIELD) {
            int end = bounded.lastIndexOf(',', MailLimits.LONGEST_LIST_FIELD);
            bounded = bounded.substring(0, end > 0 ? end : MailLimits.LONGEST_LIST_FIELD);
        }
        // A comment within a comment is read once for each level around it.
        bounded = EncodedWords.plain(bounded);
        long open = bounded.chars().filter(c -> c == '(').count();
        return open > MailLimits.MOST_ADDRESSES * 2 ? bounded.replace("(", "").replace(")", "") : bounded;
    }

    private static Party party(InternetAddress address) {
        String name = Optional.ofNullable(address.getPersonal()).orElse("");
        return new Party(
                Text.cut(name.contains("=?") ? Text.withoutControls(EncodedWords.decode(name)) : name, 200),
                Text.cut(Optional.ofNullable(address.getAddress()).orElse(""), 320));
    }

    private static String subject(MimeMessage message) {
        String written = header(message, "Subject").orElse("");
        String decoded = EncodedWords.decode(Text.cut(written, MailLimits.LONGEST_FIELD));
        return Text.cut(Text.withoutControls(decoded).replaceAll("\\s+", " ").strip(), MailLimits.LONGEST_SUBJECT);
    }

    private static Optional<Instant> sentAt(MimeMessage message) {
        try {
            return Optional.ofNullable(message.getSentDate()).map(Date::toInstant);
        } catch (MessagingException e) {
            return Optional.empty();
        }
    }

    private static Headers headers(MimeMessage message) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (String name : KEPT_HEADERS) {
            header(message, name).ifPresent(value -> fields.put(name, Text.cut(value, 1_000)));
        }
        return Headers.of(fields);
    }
}
