package org.squallnote.server.answer;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Headers;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.reading.Ask;
import org.squallnote.core.reading.Deadline;
import org.squallnote.core.reading.MessageToRead;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.intake.Decisions;
import org.squallnote.server.reading.AccountReader;
import org.squallnote.server.reading.AccountReaders;

/** Says what an answer of mine asks, so that its answer can be waited for. */
@Component
class AskedBack {

    /** In so many working days an answer is expected where my text names no date. */
    private static final int USUAL_DAYS = 3;

    private static final int LONGEST_SENTENCE = 200;

    private final Decisions decisions;
    private final AccountReaders readers;
    private final Clock clock;

    AskedBack(Decisions decisions, AccountReaders readers, Clock clock) {
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
                new MessageToRead(
                        message.channel(),
                        myself,
                        message.channel() == Channel.MAIL ? List.of(other) : List.of(),
                        List.of(),
                        clock.instant(),
                        message.subject(),
                        Headers.none(),
                        text,
                        Optional.empty(),
                        Optional.empty(),
                        false,
                        Set.of(),
                        false,
                        List.of(other)),
                Direction.OUTGOING);
        Optional<Ask> ask = reading.asks().stream().findFirst();
        if (ask.isEmpty()) {
            return AskedView.NOTHING;
        }
        WorkingTime workingTime = reader.workingTime();
        LocalDate today = LocalDate.ofInstant(clock.instant(), me.zoneId());
        Optional<Deadline> by = reading.replyBy();
        String sentence = ask.get().sentence().foldedIn(reading.words().text());
        String shown =
                sentence.length() > LONGEST_SENTENCE ? sentence.substring(0, LONGEST_SENTENCE - 1) + "…" : sentence;
        return new AskedView(
                shown,
                other.displayName(),
                "Hear from " + other.shortName() + ": " + shown,
                by.map(Deadline::day).orElseGet(() -> workingTime.addWorkingDays(today, USUAL_DAYS)),
                by.flatMap(Deadline::time).orElse(null),
                List.of(other));
    }
}
