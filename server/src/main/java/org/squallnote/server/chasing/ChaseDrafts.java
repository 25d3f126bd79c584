package org.squallnote.server.chasing;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.chase.ChaseLetter;
import org.squallnote.core.chase.ChaseWishes;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.reading.OwnWords;
import org.squallnote.core.text.Language;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Awaited;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.chase.KeptChaseWishes;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.server.thread.Threads;
import org.squallnote.store.message.MessageStore;

/** Drafts reminders in the words of an account. */
@Component
class ChaseDrafts {

    /** By then an answer is wanted, in working days. */
    private static final int TIME_TO_ANSWER = 2;

    /** So many threads tell in which language somebody writes. */
    private static final int MOST_READ = 3;

    private final Threads threads;
    private final MessageStore messages;
    private final KeptChaseWishes wishes;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    ChaseDrafts(
            Threads threads, MessageStore messages, KeptChaseWishes wishes, WorkingTimes workingTimes, Clock clock) {
        this.threads = threads;
        this.messages = messages;
        this.wishes = wishes;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /** With the name by which they write, where the ask knew only an address. */
    static Party named(Party party, List<ThreadingRow> rows) {
        if (!party.name().isEmpty()) {
            return party;
        }
        return rows.stream()
                .filter(row -> row.fromAddress().equals(party.address())
                        && !row.fromName().isEmpty())
                .map(row -> new Party(row.fromName(), row.fromAddress()))
                .findFirst()
                .orElse(party);
    }

    /** The words of an account. */
    ChaseWishes wishes(SignedIn me) {
        return wishes.of(me.accountId());
    }

    /** In which language somebody writes, as far as some messages tell. */
    static Optional<Language> languageOf(Party party, List<StoredMessage> all) {
        return Language.of(all.stream()
                .filter(message -> message.from().isSameAs(party))
                .map(message ->
                        OwnWords.of(message.body(), message.from().name()).own())
                .toList());
    }

    private Language language(SignedIn me, ChaseWishes all, Party party, List<UUID> threadIds) {
        // Nothing is read for it where there is nothing to choose.
        if (all.languages().isEmpty()) {
            return Language.ENGLISH;
        }
        List<StoredMessage> theirs = threadIds.stream()
                .distinct()
                .limit(MOST_READ)
                .flatMap(id -> messages.inThread(me.accountId(), id).stream())
                .toList();
        return all.languageFor(languageOf(party, theirs).or(() -> languageOf(party, lastOf(me, party))));
    }

    /** What somebody wrote last, wherever that was. */
    private List<StoredMessage> lastOf(SignedIn me, Party party) {
        List<UUID> ids = messages.fromParty(me.accountId(), party.address(), MOST_READ);
        return ids.isEmpty() ? List.of() : messages.byIds(me.accountId(), ids);
    }

    /** A letter to somebody about some of what they owe. */
    String draft(SignedIn me, ChaseWishes all, Party party, Channel channel, List<UUID> threadIds, List<Awaited> open) {
        WorkingTime workingTime = workingTimes.of(me.accountId());
        LocalDate today = LocalDate.ofInstant(clock.instant(), workingTime.zone());
        LocalDate wantedBy = workingTime.addWorkingDays(today, TIME_TO_ANSWER);
        Language language = language(me, all, party, threadIds);
        return channel == Channel.CHAT
                ? ChaseLetter.inChat(party.displayName(), open, workingTime.zone())
                : ChaseLetter.draft(
                        all.wordsIn(language),
                        language,
                        ChaseLetter.givenName(party.displayName()),
                        open,
                        wantedBy,
                        workingTime.zone(),
                        me.name());
    }

    /** The same about what they owe in some threads; refused where that is nothing. */
    String draft(SignedIn me, String party, List<UUID> threadIds) {
        UUID owner = me.accountId();
        List<StoredThread> all =
                threadIds.stream().distinct().map(id -> threads.get(owner, id)).toList();
        List<Awaited> open = all.stream()
                .flatMap(thread -> thread.awaited().list().stream())
                .filter(one -> one.party().address().equals(party))
                .toList();
        if (open.isEmpty()) {
            throw Refusal.notFound("reminder");
        }
        Party named = named(open.get(0).party(), messages.threadingInThreads(owner, threadIds));
        return draft(me, wishes(me), named, all.get(0).channel(), threadIds, open);
    }
}
