package org.squallnote.server.followup;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.dates.TypedDate;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpOrigin;
import org.squallnote.core.followup.TypedWaiting;
import org.squallnote.core.followup.Waiting;
import org.squallnote.core.message.Party;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.message.MessageStore;

/** Understands what a follow-up is to wait for, by whom it concerns and who has written lately. */
@Component
class WaitingReader {

    /** Who has written since then is known. */
    private static final Duration KNOWN = Duration.ofDays(90);

    private final FollowUpStore store;
    private final MessageStore messages;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    WaitingReader(FollowUpStore store, MessageStore messages, WorkingTimes workingTimes, Clock clock) {
        this.store = store;
        this.messages = messages;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /** Absent where the words say nothing, or nothing that can be waited for. */
    Optional<Waiting> read(SignedIn me, FollowUp followUp, String words) {
        Instant now = clock.instant();
        List<Party> known = new ArrayList<>(followUp.people().list());
        known.addAll(messages.writersSince(me.accountId(), now.minus(KNOWN)));
        Function<String, Optional<LocalDate>> day = text ->
                TypedDate.read(text, workingTimes.typing(me.accountId(), now)).map(DatePhrase::day);
        Optional<UUID> thread = store.originsOf(me.accountId(), followUp.id()).stream()
                .map(FollowUpOrigin::threadId)
                .findFirst();
        return TypedWaiting.read(words, known, day)
                .filter(typed -> !typed.thread() || thread.isPresent())
                .map(typed -> new Waiting(
                        typed.person().orElse(null),
                        typed.thread() ? thread.orElseThrow() : null,
                        typed.until().orElse(null),
                        now,
                        null,
                        null));
    }
}
