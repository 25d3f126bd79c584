package org.squallnote.formats.mail;

import jakarta.mail.BodyPart;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import jakarta.mail.internet.ContentType;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimePart;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.ShownName;
import org.squallnote.formats.html.HtmlText;

/** Walks the parts of a message once and sorts them into text, HTML and files. */
final class MailBody {

    private static final Pattern METHOD = Pattern.compile("(?im)^METHOD:([A-Z]{3,20})\\s*$");
    private static final Pattern ACTION = Pattern.compile("(?im)^Action:\\s*([a-z]{3,20})");

    private static final int LONGEST_CALENDAR = 300_000;

    /** Of a file so much is decoded before anything is handed out, in bytes. */
    private static final int BEGINNING = 64 * 1024;

    private final List<String> notices;
    private final List<ParsedMail.Attachment> attachments = new ArrayList<>();
    private final StringBuilder plain = new StringBuilder();
    private @Nullable String html;
    private @Nullable String calendar;
    private @Nullable String calendarMethod;
    private @Nullable String deliveryAction;
    private final int wantedLeaf;
    private @Nullable Part foundLeaf;
    private int leaves;

    private MailBody(List<String> notices, int wantedLeaf) {
        this.notices = notices;
        this.wantedLeaf = wantedLeaf;
    }

    static MailBody read(MimeMessage message, List<String> notices) {
        MailBody body = new MailBody(notices, -1);
        body.walk(message, 0, false);
        return body;
    }

    /** The decoded bytes of a leaf part; absent when there is none or its beginning cannot be decoded. */
    static Optional<InputStream> leaf(MimeMessage message, int index) {
        MailBody body = new MailBody(new ArrayList<>(), index);
        body.walk(message, 0, false);
        Part part = body.foundLeaf;
        if (part == null) {
            return Optional.empty();
        }
        try {
            InputStream in = new BufferedInputStream(part.getInputStream(), BEGINNING);
            in.mark(BEGINNING);
            in.readNBytes(BEGINNING);
            in.reset();
            return Optional.of(in);
        } catch (IOException | MessagingException | RuntimeException e) {
            return Optional.empty();
        }
    }

    String text() {
        String text = plain.toString().strip();
        if (text.isEmpty() && html != null) {
            text = HtmlText.of(html);
        } else if (html != null) {
            text = RunTogether.mended(text, html);
        }
        if (text.isEmpty() && calendar != null && calendarMethod != null) {
            text = CalendarWords.of(calendar, calendarMethod);
        }
        if (text.length() > MailLimits.LONGEST_TEXT) {
            notices.add("This message is very long; only its beginning is read.");
        }
        return Text.cut(text, MailLimits.LONGEST_TEXT);
    }

    Optional<String> html() {
        return Optional.ofNullable(html);
    }

    List<ParsedMail.Attachment> attachments() {
        return attachments;
    }

    Optional<String> calendar() {
        return Optional.ofNullable(calendar);
    }

    Optional<String> calendarMethod() {
        return Optional.ofNullable(calendarMethod);
    }

    Optional<String> deliveryAction() {
        return Optional.ofNullable(deliveryAction);
    }

    private void walk(Part part, int depth, boolean inAlternative) {
        if (depth > MailLimits.DEEPEST_PART || leaves >= MailLimits.MOST_PARTS) {
            notices.add("This message is nested too deeply; a part of it was not read.");
            return;
        }
        String type = typeOf(part);
        if (type.startsWith("multipart/")) {
            List<Part> children = children(part);
            if (!children.isEmpty()) {
                for (Part child : children) {
                    walk(child, depth + 1, type.equals("multipart/alternative"));
                }
                return;
            }
            type = "text/plain"; // Declared as multipart but without any part: show what is there.
        }
        int index = leaves++;
        if (index == wantedLeaf) {
            foundLeaf = part;
        }
        leaf(part, type, index, inAlternative);
    }

    private List<Part> children(Part part) {
        List<Part> children = new ArrayList<>();
        try {
            if (part.getContent() instanceof Multipart multipart) {
                int count = Math.min(multipart.getCount(), MailLimits.MOST_PARTS);
                for (int i = 0; i < count; i++) {
                    BodyPart child = multipart.getBodyPart(i);
                    children.add(child);
                }
            }
        } catch (MessagingException | IOException | RuntimeException e) {
            notices.add("A part of this message is damaged.");
        }
        return children;
    }

    private void leaf(Part part, String type, int index, boolean inAlternative) {
        boolean file = isFile(part);
        if (type.equals("text/calendar") && calendarMethod == null) {
            calendarMethod = first(METHOD, part)
                    .or(() -> parameter(part, "method").filter(said -> said.matches("(?i)[A-Z]{3,20}")))
                    .map(m -> m.toUpperCase(Locale.ROOT))
                    .orElse(null);
            calendar = Text.cut(decoded(part), LONGEST_CALENDAR);
        } else if (type.equals("message/delivery-status") && deliveryAction == null) {
            deliveryAction =
                    first(ACTION, part).map(a -> a.toLowerCase(Locale.ROOT)).orElse(null);
        }
        if (!file && type.equals("text/html")) {
            if (html == null) {
                html = decoded(part);
            }
        } else if (!file && type.equals("text/plain")) {
            if (plain.length() > 0) {
                plain.append("\n\n");
            }
            plain.append(isFlowed(part) ? FlowedText.unwrapped(decoded(part), deletesSpace(part)) : decoded(part));
        } else if (!(inAlternative && type.equals("text/calendar"))) {
            attachments.add(
                    new ParsedMail.Attachment(index, fileName(part, type, index), type, size(part), contentId(part)));
        }
    }

    private static boolean isFlowed(Part part) {
        return "flowed".equalsIgnoreCase(parameter(part, "format").orElse(""));
    }

    private static boolean deletesSpace(Part part) {
        return "yes".equalsIgnoreCase(parameter(part, "delsp").orElse(""));
    }

    private static Optional<String> parameter(Part part, String name) {
        try {
            return Optional.ofNullable(new ContentType(part.getContentType()).getParameter(name));
        } catch (MessagingException e) {
            return Optional.empty(); // An unreadable content type says nothing.
        }
    }

    private static boolean isFile(Part part) {
        try {
            return Part.ATTACHMENT.equalsIgnoreCase(part.getDisposition()) || part.getFileName() != null;
        } catch (MessagingException e) {
            return false;
        }
    }

    private Optional<String> first(Pattern pattern, Part part) {
        Matcher matcher = pattern.matcher(Text.cut(decoded(part), 100_000));
        return matcher.find() ? Optional.of(matcher.group(1)) : Optional.empty();
    }

    private String decoded(Part part) {
        Optional<String> declared = parameter(part, "charset");
        return bytes(part, 4 * MailLimits.LONGEST_TEXT)
                .map(bytes -> Text.decode(bytes, declared))
                .orElse("");
    }

    private Optional<byte[]> bytes(Part part, int most) {
        try (InputStream in = part.getInputStream()) {
            return Optional.of(in.readNBytes(most));
        } catch (IOException | MessagingException | RuntimeException e) {
            notices.add("A part of this message could not be decoded.");
            return Optional.empty();
        }
    }

    private static String typeOf(Part part) {
        try {
            String declared = part.getContentType();
            int end = declared.indexOf(';');
            String type =
                    (end < 0 ? declared : declared.substring(0, end)).strip().toLowerCase(Locale.ROOT);
            return type.matches("[a-z0-9.+-]{1,60}/[a-z0-9.+-]{1,100}") ? type : "text/plain";
        } catch (MessagingException e) {
            return "text/plain";
        }
    }

    private static String fileName(Part part, String type, int index) {
        String name = null;
        try {
            name = part.getFileName();
        } catch (MessagingException e) {
            // An unreadable name is replaced like a missing one.
        }
        String safe = name == null
                ? ""
                : ShownName.visible(Text.withoutControls(EncodedWords.decode(name)))
                        .replaceAll("[/\\\\:*?\"<>|\\n\\t]", "_")
                        .strip();
        if (safe.isEmpty() || safe.matches("\\.+")) {
            safe = type.equals("message/rfc822") ? "message.eml" : "part-" + (index + 1);
        }
        return Text.cut(safe, 150);
    }

    private static long size(Part part) {
        try {
            long encoded = Math.max(part.getSize(), 0);
            boolean base64 = part instanceof MimePart mime && "base64".equalsIgnoreCase(mime.getEncoding());
            return base64 ? encoded * 3 / 4 : encoded;
        } catch (MessagingException e) {
            return 0;
        }
    }

    private static Optional<String> contentId(Part part) {
        try {
            String[] ids = part.getHeader("Content-ID");
            return ids == null || ids.length == 0 ? Optional.empty() : Optional.of(ids[0].replaceAll("[<>\\s]", ""));
        } catch (MessagingException e) {
            return Optional.empty();
        }
    }
}
