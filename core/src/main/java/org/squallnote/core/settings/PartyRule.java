package org.squallnote.core.settings;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Asks;

/**
 * What holds for everything from one address or list.
 *
 * @param party the address, lower case; or {@link #SUBJECT} and the pattern of a subject
 * @param asks whether it asks me, whatever is read in it
 * @param replyDays working days until a reply
 * @param pastIntake whether there is nothing to do about any of it, so that it goes past Intake
 */
public record PartyRule(
        String party, @Nullable Asks asks, @Nullable Integer replyDays, boolean pastIntake, Instant madeAt) {

    /** Before the pattern of a subject, where a rule is about subjects and not about an address. */
    public static final String SUBJECT = "subject:";
}
