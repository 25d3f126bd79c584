package org.squallnote.core.capture;

import java.time.Duration;
import java.time.Instant;
import java.util.regex.Pattern;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.StoredMessage;

/** A mail that I send or forward to an address of my own for it becomes a follow-up. */
public final class MailedIn {

    private static final Pattern FORWARD_MARKS = Pattern.compile("(?i)^((fwd?|re|wg|aw)\\s*:\\s*)+");

    /** Older mail, met while a mailbox is read for the first time, was dealt with long ago. */
    private static final Duration RECENT = Duration.ofDays(14);

    private MailedIn() {}

    /** Whether it can be one at all; costs nothing, since a first sync brings thousands of sent messages. */
    public static boolean canBe(StoredMessage message, Instant now) {
        return message.channel() == Channel.MAIL && message.sentAt().isAfter(now.minus(RECENT));
    }

    /** Whether it went to that address. */
    public static boolean isFor(StoredMessage message, String address) {
        return !address.isEmpty() && message.recipients().reach(address);
    }

    /** What it says, to be read like a captured line. */
    public static String line(String subject) {
        String bare = FORWARD_MARKS.matcher(subject.strip()).replaceFirst("");
        return bare.isBlank() ? "Look at what I mailed in" : bare;
    }
}
