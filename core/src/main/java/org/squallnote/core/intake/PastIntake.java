package org.squallnote.core.intake;

import java.util.Collection;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.SubjectPattern;
import org.squallnote.core.settings.PartyRule;

/** What the user wants to see nothing of: everything from an address or list, or with a subject of a kind. */
public final class PastIntake {

    private final Set<String> parties;

    /** By the rules of an account. */
    public PastIntake(Collection<PartyRule> rules) {
        this.parties = rules.stream()
                .filter(PartyRule::pastIntake)
                .map(PartyRule::party)
                .collect(Collectors.toSet());
    }

    /** Whether a message goes past Intake. */
    public boolean takes(StoredMessage message) {
        return parties.contains(message.party())
                || patternOf(message)
                        .filter(pattern -> parties.contains(PartyRule.SUBJECT + pattern))
                        .isPresent();
    }

    /** What others can have in common with the subject of a message; a chat has no subjects. */
    public static Optional<String> patternOf(StoredMessage message) {
        return message.channel() == Channel.MAIL ? SubjectPattern.of(message.baseSubject()) : Optional.empty();
    }
}
