package org.squallnote.server.arrival;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.chase.ChaseLetter;
import org.squallnote.core.chase.SentChase;
import org.squallnote.core.handover.HandOver;
import org.squallnote.core.handover.HandOverEnd;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.Reaction;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.office.SettledByOffice;
import org.squallnote.core.source.ChatRoom;
import org.squallnote.core.thread.Attention;
import org.squallnote.core.thread.Awaiting;
import org.squallnote.core.thread.Debts;
import org.squallnote.core.thread.OpenBetween;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.thread.StoredThreadBuilder;
import org.squallnote.core.turn.Facts;
import org.squallnote.core.turn.StoredFacts;
import org.squallnote.core.turn.Turn;
import org.squallnote.core.turn.TurnEvent;
import org.squallnote.core.turn.TurnFold;
import org.squallnote.core.turn.TurnState;
import org.squallnote.server.chase.ChaseDates;
import org.squallnote.server.chase.CrossingAnswers;
import org.squallnote.server.command.Commands;
import org.squallnote.server.live.Topic;
import org.squallnote.store.chase.ChaseStore;
import org.squallnote.store.handover.HandOverStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.office.OfficeStore;
import org.squallnote.store.reading.ReadingStore;
import org.squallnote.store.source.SourceStore;
import org.squallnote.store.thread.ThreadStore;

/** Derives a thread's row from its messages, and notes in its history when it opens again. */
@Component
public class ThreadTurns {

    private final MessageStore messages;
    private final ThreadStore threads;
    private final SourceStore sources;
    private final ReadingStore readings;
    private final WordsOnAnswers words;
    private final ChaseStore chases;
    private final HandOverStore handOvers;
    private final OfficeStore office;
    private final ChaseDates chaseDates;
    private final CrossingAnswers crossing;
    private final Commands commands;

    ThreadTurns(
            MessageStore messages,
            ThreadStore threads,
            SourceStore sources,
            ReadingStore readings,
            WordsOnAnswers words,
            ChaseStore chases,
            HandOverStore handOvers,
            OfficeStore office,
            ChaseDates chaseDates,
            CrossingAnswers crossing,
            Commands commands) {
        this.messages = messages;
        this.threads = threads;
        this.sources = sources;
        this.readings = readings;
        this.words = words;
        this.chases = chases;
        this.handOvers = handOvers;
        this.office = office;
        this.chaseDates = chaseDates;
        this.crossing = crossing;
        this.commands = commands;
    }

    /** Writes the thread as it follows from its messages and the decision by hand. */
    public void refresh(UUID owner, UUID threadId) {
        List<ThreadingRow> rows = messages.threadingInThread(owner, threadId);
        if (rows.isEmpty()) {
            return;
        }
        Optional<StoredThread> before = threads.byId(owner, threadId);
        List<SettledByOffice> byOffice = office.inThread(owner, threadId);
        TurnFold fold = fold(owner, threadId, rows, byOffice);
        TurnState state = stateOf(fold, taken(byOffice), before);
        boolean sameAwaited = before.filter(thread -> thread.awaited().list().equals(state.awaited()))
                .isPresent();
        if (!state.answered().isEmpty() || (before.isPresent() && !sameAwaited)) {
            chaseDates.noteAnswers(owner, threadId, state.answered());
        }
        Optional<LocalDate> chaseOn = noteWhatIsOpen(owner, threadId, rows, state, before);
        StoredThread after = derived(owner, threadId, rows, state, chaseOn, closingWord(fold, state));
        if (before.isEmpty()) {
            threads.insert(after);
            return;
        }
        threads.updateDerived(after);
        if (!sameAwaited) {
            crossing.stop(owner, threadId, state.awaited());
        }
        boolean opens = before.get().turn() == Turn.CLOSED && state.reopenedBy().isPresent();
        if (opens) {
            noteOpening(owner, threadId, rows, state.reopenedBy().orElseThrow());
        }
    }

    /** Where nobody owes anything and nobody has decided about it, the last word may close it. */
    private static @Nullable UUID closingWord(TurnFold fold, TurnState state) {
        return state.turn() != Turn.NOBODY || state.decidedAt().isPresent()
                ? null
                : fold.closingWord().map(TurnEvent::messageId).orElse(null);
    }

    /** @return when the first of those awaited is to be chased */
    private Optional<LocalDate> noteWhatIsOpen(
            UUID owner, UUID threadId, List<ThreadingRow> rows, TurnState state, Optional<StoredThread> before) {
        boolean open = !state.closed() && (state.iOwe() || !state.awaited().isEmpty());
        boolean wasOpen = before.filter(thread -> !thread.debts().list().isEmpty()
                        || !thread.awaited().list().isEmpty())
                .isPresent();
        if (!open) {
            if (wasOpen) {
                chaseDates.keep(owner, threadId, List.of());
            }
            return Optional.empty();
        }
        // Where nobody is awaited, no day is asked for.
        Optional<ChaseDates.Days> days = state.awaited().isEmpty()
                ? Optional.empty()
                : Optional.of(chaseDates.days(
                        owner,
                        threadId,
                        state.awaited(),
                        before.flatMap(thread -> Optional.ofNullable(thread.chaseHand()))));
        Map<String, String> names = new HashMap<>();
        rows.stream()
                .filter(row -> !row.fromName().isEmpty())
                .forEach(row -> names.putIfAbsent(row.fromAddress(), row.fromName()));
        chaseDates.keep(
                owner,
                threadId,
                OpenBetween.in(
                        threadId,
                        state.debts(),
                        state.awaited(),
                        one -> days.orElseThrow().of(one).day(),
                        names));
        return days.flatMap(its -> its.first(state.awaited()));
    }

    /** All messages of a thread belong to another one now. */
    void gone(UUID owner, UUID threadId, UUID other) {
        chaseDates.gone(owner, threadId, other);
    }

    /** A reminder has gone out: everybody of whom it speaks has heard of me, in whatever thread it was written. */
    public void reminded(UUID owner, String messageId) {
        chases.threadsOf(owner, messageId).forEach(threadId -> refresh(owner, threadId));
    }

    /** Whose turn it is, as {@link #refresh} derives it. */
    public TurnState state(UUID owner, UUID threadId) {
        List<ThreadingRow> rows = messages.threadingInThread(owner, threadId);
        if (rows.isEmpty()) {
            return TurnState.START;
        }
        List<SettledByOffice> byOffice = office.inThread(owner, threadId);
        return stateOf(fold(owner, threadId, rows, byOffice), taken(byOffice), threads.byId(owner, threadId));
    }

    /** What was asked and answered in a thread, message by message, without any decision by hand. */
    public TurnFold course(UUID owner, UUID threadId) {
        List<ThreadingRow> rows = messages.threadingInThread(owner, threadId);
        return rows.isEmpty() ? new TurnFold() : fold(owner, threadId, rows, office.inThread(owner, threadId));
    }

    /**
     * In a thread that is not mine nothing is owed; it may be closed, and no question opens it again.
     *
     * @param taken the messages that others of the office see to
     */
    private static TurnState stateOf(TurnFold fold, Set<UUID> taken, Optional<StoredThread> thread) {
        TurnState state = fold.state(thread.flatMap(StoredThread::handDecision));
        boolean mine = thread.filter(each -> each.attention() != Attention.MINE).isEmpty();
        return mine ? state.without(taken) : state.closed() ? state : TurnState.START;
    }

    private static Set<UUID> taken(List<SettledByOffice> byOffice) {
        return byOffice.stream()
                .filter(each -> !each.answered())
                .map(SettledByOffice::messageId)
                .collect(Collectors.toSet());
    }

    private TurnFold fold(UUID owner, UUID threadId, List<ThreadingRow> rows, List<SettledByOffice> byOffice) {
        Map<UUID, Facts> facts = readings.inThread(owner, threadId).stream()
                .collect(Collectors.toMap(StoredFacts::messageId, StoredFacts::facts));
        Map<String, UUID> idOf = new HashMap<>();
        rows.forEach(row -> idOf.put(row.messageId(), row.id()));
        boolean direct = Optional.ofNullable(rows.get(0).roomId())
                .flatMap(room -> sources.room(owner, room))
                .map(ChatRoom::direct)
                .orElse(false);
        Map<UUID, List<SentChase>> reminders =
                chases.sent(owner, threadId).stream().collect(Collectors.groupingBy(SentChase::messageId));
        TurnFold fold = new TurnFold(words.in(owner, threadId, rows, facts));
        for (ThreadingRow row : rows) {
            Facts its = facts.getOrDefault(row.id(), Facts.SILENT);
            List<SentChase> reminds =
                    Optional.ofNullable(reminders.remove(row.id())).orElse(List.of());
            fold.add(event(
                    row,
                    row.direction() == Direction.INCOMING ? its.asking(row.asksMe()) : its,
                    idOf,
                    direct,
                    parties(reminds)));
        }
        // Those of which a letter in another thread speaks have heard of me about this one too.
        reminders.values().forEach(elsewhere -> fold.add(reminder(elsewhere)));
        // Until it is found among the sent of the mailbox, what another reader of it answered counts by their word.
        byOffice.stream().filter(SettledByOffice::answered).forEach(each -> fold.add(answered(each)));
        // Whoever took something over says here that it is done, and not by mail.
        if (rows.stream().anyMatch(row -> HandOver.isHandOver(row.messageId()))) {
            handOvers.endedInThread(owner, threadId).forEach(end -> fold.add(ended(end)));
        }
        if (rows.get(0).channel() == Channel.CHAT) {
            Set<String> mine = Set.copyOf(sources.addresses(owner));
            messages.reactionsInThread(owner, threadId).forEach(one -> fold.add(reaction(one, mine, idOf)));
        }
        return fold;
    }

    private static List<Party> parties(List<SentChase> reminds) {
        return reminds.stream().map(each -> new Party("", each.party())).toList();
    }

    private static TurnEvent answered(SettledByOffice settled) {
        return new TurnEvent(
                UUID.nameUUIDFromBytes(("office " + settled.messageId()).getBytes(StandardCharsets.UTF_8)),
                settled.at(),
                Channel.MAIL,
                Direction.OUTGOING,
                new Party("", ""),
                List.of(new Party("", settled.fromAddress())),
                List.of(),
                Optional.of(settled.messageId()),
                false,
                Optional.empty(),
                false,
                false,
                Facts.SILENT);
    }

    private static TurnEvent ended(HandOverEnd end) {
        return new TurnEvent(
                UUID.nameUUIDFromBytes(end.identity().getBytes(StandardCharsets.UTF_8)),
                end.at(),
                Channel.MAIL,
                Direction.INCOMING,
                new Party("", end.takerAddress()),
                List.of(),
                List.of(),
                Optional.empty(),
                false,
                Optional.empty(),
                false,
                false,
                Facts.SILENT);
    }

    private static TurnEvent reminder(List<SentChase> reminds) {
        SentChase first = reminds.get(0);
        return new TurnEvent(
                first.messageId(),
                first.sentAt(),
                Channel.MAIL,
                Direction.OUTGOING,
                new Party("", first.fromAddress()),
                parties(reminds),
                List.of(),
                Optional.empty(),
                false,
                Optional.empty(),
                false,
                true,
                Facts.SILENT);
    }

    /** @param reminds whom it reminds besides its recipients, where it went another way */
    private static TurnEvent event(
            ThreadingRow row, Facts facts, Map<String, UUID> idOf, boolean direct, List<Party> reminds) {
        boolean chat = row.channel() == Channel.CHAT;
        List<String> refs = row.refs().list();
        Optional<String> answers = chat
                ? Optional.ofNullable(row.answers())
                : refs.isEmpty() ? Optional.empty() : Optional.of(refs.get(refs.size() - 1));
        return new TurnEvent(
                row.id(),
                row.sentAt(),
                row.channel(),
                row.direction(),
                new Party(row.fromName(), row.fromAddress()),
                chat && (!direct || !reminds.isEmpty())
                        ? reminds
                        : Stream.concat(row.recipients().to().stream(), reminds.stream())
                                .toList(),
                row.recipients().cc(),
                answers.map(idOf::get),
                false,
                Optional.empty(),
                row.listAddress() != null,
                row.direction() == Direction.OUTGOING
                        && (ChaseLetter.isReminder(row.messageId()) || (chat && !reminds.isEmpty())),
                facts);
    }

    private static TurnEvent reaction(Reaction reaction, Set<String> mine, Map<String, UUID> idOf) {
        String sender = reaction.sender().toLowerCase(Locale.ROOT);
        return new TurnEvent(
                UUID.nameUUIDFromBytes(reaction.eventId().getBytes(StandardCharsets.UTF_8)),
                reaction.sentAt(),
                Channel.CHAT,
                mine.contains(sender) ? Direction.OUTGOING : Direction.INCOMING,
                new Party("", sender),
                List.of(),
                List.of(),
                Optional.ofNullable(idOf.get(reaction.target())),
                true,
                Optional.empty(),
                false,
                false,
                Facts.SILENT);
    }

    private void noteOpening(UUID owner, UUID threadId, List<ThreadingRow> rows, UUID messageId) {
        String who = rows.stream()
                .filter(row -> row.id().equals(messageId))
                .map(row -> new Party(row.fromName(), row.fromAddress()).displayName())
                .findFirst()
                .orElse("somebody");
        commands.runWithin(
                owner,
                "thread-opened-again",
                changes -> changes.label("Opened again: " + who + " asks something")
                        .announce()
                        .record(
                                SubjectType.THREAD,
                                threadId,
                                Map.of("turn", Turn.CLOSED),
                                Map.of("openedBy", messageId))
                        .touch(Topic.THREADS));
    }

    /** The first day for which I have promised something. */
    private static @Nullable LocalDate promiseOn(TurnState state) {
        return state.closed()
                ? null
                : state.promises().stream()
                        .map(debt -> debt.by().map(LocalDateTime::toLocalDate).orElse(StoredThread.UNDATED))
                        .min(Comparator.naturalOrder())
                        .orElse(null);
    }

    private static StoredThread derived(
            UUID owner,
            UUID threadId,
            List<ThreadingRow> rows,
            TurnState state,
            Optional<LocalDate> chaseOn,
            @Nullable UUID closingWord) {
        ThreadingRow first = rows.get(0);
        String subject = rows.stream()
                .map(ThreadingRow::subject)
                .filter(text -> !text.isBlank())
                .findFirst()
                .orElse("");
        Channel channel = first.channel();
        return StoredThreadBuilder.builder()
                .id(threadId)
                .owner(owner)
                .channel(channel)
                .subject(subject)
                .roomId(first.roomId())
                .turn(state.turn())
                .since(state.since().orElse(null))
                .byMessage(state.by().orElse(null))
                .debts(new Debts(state.debts()))
                .awaited(new Awaiting(state.awaited()))
                .reopenedBy(state.reopenedBy().orElse(null))
                .lastMessageAt(rows.get(rows.size() - 1).sentAt())
                .messageCount(rows.size())
                .oweBy(state.oweBy().orElse(null))
                .chaseOn(chaseOn.orElse(null))
                .closingWord(closingWord)
                .promiseOn(promiseOn(state))
                .attention(Attention.MINE)
                .build();
    }
}
