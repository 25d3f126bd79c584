package org.squallnote.server.answer;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.AskedBack;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Headers;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.reading.MessageToReadBuilder;
import org.squallnote.core.reading.Reading;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.intake.Decisions;
import org.squallnote.server.reading.AccountReader;
import org.squallnote.server.reading.AccountReaders;

/** Says what an answer of mine asks, so that its answer can be waited for. */
@Component
class AsksInAnswers {

    private final Decisions decisions;
    private final AccountReaders readers;
    private final Clock clock;

    AsksInAnswers(Decisions decisions, AccountReaders readers, Clock clock) {
        this.decisions = decisions;
        this.readers = readers;
        this.clock = clock;
    }

    /**
     * What is asked.
     *
     * @param sentence the first sentence that asks, empty when nothing does
     * @param who of whom
     * @param day by when an answer is expected
     */
    record AskedView(
            String sentence,
            String who,
            String title,
            @Nullable LocalDate day,
            @Nullable LocalTime time,
            List<Party> people) {

        static final AskedView NOTHING = new AskedView("", "", "", null, null, List.of());
    }

    AskedView of(SignedIn me, UUID messageId, String text) {
        StoredMessage message = decisions.get(me.accountId(), messageId);
        AccountReader reader = readers.of(me.accountId());
        Party other = message.direction() == Direction.INCOMING
                ? message.from()
                : message.recipients().to().stream().findFirst().orElse(message.from());
        Party myself = new Party(
                me.name(), reader.me().addresses().stream().findFirst().orElse(""));
        Reading reading = reader.read(
                MessageToReadBuilder.builder()
                        .channel(message.channel())
                        .from(myself)
                        .to(message.channel() == Channel.MAIL ? List.of(other) : List.of())
                        .cc(List.of())
                        .sentAt(clock.instant())
                        .subject(message.subject())
                        .headers(Headers.none())
                        .text(text)
                        .mentions(Set.of())
                        .known(List.of(other))
                        .build(),
                Direction.OUTGOING);
        return AskedBack.of(reading, other, reader.workingTime(), LocalDate.ofInstant(clock.instant(), me.zoneId()))
                .map(asked -> new AskedView(
                        asked.sentence(),
                        other.displayName(),
                        asked.title(),
                        asked.day(),
                        asked.time(),
                        List.of(other)))
                .orElse(AskedView.NOTHING);
    }
}
