package org.squallnote.core.settings;

import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Asks;

/**
 * What holds for everything from one address or list.
 *
 * @param party the address, lower case; or {@link #SUBJECT} and the pattern of a subject, or {@link #WAY} and the
 *     name of a way to ask
 * @param asks whether it asks me, whatever is read in it
 * @param replyDays working days until a reply
 * @param pastIntake whether there is nothing to do about any of it, so that it goes past Intake
 */
public record PartyRule(
        String party, @Nullable Asks asks, @Nullable Integer replyDays, boolean pastIntake, Instant madeAt) {

    /** Before the pattern of a subject, where a rule is about subjects and not about an address. */
    public static final String SUBJECT = "subject:";

    /** Before the name of a way to ask, where a rule is about whatever asks in that way and not about an address. */
    public static final String WAY = "way:";

    /** The name of the way to ask that says nothing to me; absent where the rule is about something else. */
    public Optional<String> unheardWay() {
        return party.startsWith(WAY) && asks == Asks.NEVER
                ? Optional.of(party.substring(WAY.length()))
                : Optional.empty();
    }
}
