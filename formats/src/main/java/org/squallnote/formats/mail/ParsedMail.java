package org.squallnote.formats.mail;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.squallnote.core.message.Headers;
import org.squallnote.core.message.Party;

/**
 * A mail message in the parts that Squallnote works with.
 *
 * @param messageId the {@code Message-ID} without brackets
 * @param references what threading follows: {@code References}, else the first identifier of {@code In-Reply-To}
 * @param from the writer; an empty party when the message does not say
 * @param replyTo where answers should go, empty when to the writer
 * @param followupTo where answers to all should go, as discussion lists say it in {@code Mail-Followup-To}
 * @param sentAt the {@code Date} field, absent when it is missing or unreadable
 * @param headers the fields that the rules look at
 * @param text the body as plain text, made from HTML when there is no plain part
 * @param hasHtml whether there is an HTML body to show
 * @param attachments the files, in their order
 * @param calendarMethod the {@code METHOD} of a calendar part, upper case
 * @param calendar that part itself, bounded
 * @param deliveryAction the {@code Action} of a delivery report, lower case
 * @param notices what was wrong or cut, as short sentences for the user
 */
@RecordBuilder
public record ParsedMail(
        Optional<String> messageId,
        List<String> references,
        Party from,
        List<Party> replyTo,
        List<Party> followupTo,
        List<Party> to,
        List<Party> cc,
        String subject,
        Optional<Instant> sentAt,
        Headers headers,
        String text,
        boolean hasHtml,
        List<Attachment> attachments,
        Optional<String> calendarMethod,
        Optional<String> calendar,
        Optional<String> deliveryAction,
        List<String> notices) {

    /**
     * A file in a message.
     *
     * @param index its place among the leaf parts of the message, by which it is fetched
     * @param name the file name, made harmless; never empty
     * @param type the media type, lower case, without parameters
     * @param size the decoded size in bytes, or an estimate where decoding would be needed to know it
     * @param contentId the identifier by which an HTML body shows it, without brackets
     */
    public record Attachment(int index, String name, String type, long size, Optional<String> contentId) {}

    /** The same with one more thing to say about it, before the others. */
    public ParsedMail noting(String notice) {
        List<String> more = new ArrayList<>(List.of(notice));
        more.addAll(notices);
        return ParsedMailBuilder.builder(this).notices(more).build();
    }

    /** Copies the lists. */
    public ParsedMail {
        references = List.copyOf(references);
        replyTo = List.copyOf(replyTo);
        followupTo = List.copyOf(followupTo);
        to = List.copyOf(to);
        cc = List.copyOf(cc);
        attachments = List.copyOf(attachments);
        notices = List.copyOf(notices);
    }
}
