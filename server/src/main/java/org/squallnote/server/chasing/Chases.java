package org.squallnote.server.chasing;

import java.time.Clock;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.chase.ChaseLetter;
import org.squallnote.core.chase.ChaseOnItsWay;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.outbox.OutboxKind;
import org.squallnote.core.source.Source;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.formats.mail.OutgoingMail;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.answer.Sending;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.live.Topic;
import org.squallnote.server.outbox.Outbox;
import org.squallnote.server.outbox.Payloads;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.server.thread.Threads;
import org.squallnote.store.chase.ChaseStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.source.SourceStore;

/** Sends reminders: in the thread, to those who are still awaited and to nobody else. */
@Component
class Chases {

    private final MessageStore messages;
    private final SourceStore sources;
    private final ChaseStore store;
    private final Threads decisions;
    private final ChatWays ways;
    private final Sending sending;
    private final SourceSecrets secrets;
    private final Outbox outbox;
    private final Commands commands;
    private final Clock clock;

    Chases(
            MessageStore messages,
            SourceStore sources,
            ChaseStore store,
            Threads decisions,
            ChatWays ways,
            Sending sending,
            SourceSecrets secrets,
            Outbox outbox,
            Commands commands,
            Clock clock) {
        this.messages = messages;
        this.sources = sources;
        this.store = store;
        this.decisions = decisions;
        this.ways = ways;
        this.sending = sending;
        this.secrets = secrets;
        this.outbox = outbox;
        this.commands = commands;
        this.clock = clock;
    }

    /**
     * Reminds somebody in one letter of all that they owe in some threads.
     *
     * @param about the threads that it speaks of; it is written in the first
     * @param party whom, by address
     * @param to where it goes instead, null for where they are awaited
     * @param room a direct room in which it goes to them instead; null for none
     */
    Done chase(
            SignedIn me,
            UUID commandId,
            List<UUID> about,
            String party,
            Optional<Party> to,
            Optional<String> room,
            String text) {
        if (text.isBlank()) {
            throw Refusal.invalid("The reminder is empty. Write something. Nothing was sent.");
        }
        return commands.run(me, commandId, "chase", changes -> {
            UUID owner = me.accountId();
            UUID threadId = about.get(0);
            Set<UUID> all = new LinkedHashSet<>(about);
            all.forEach(id -> stillAwaited(owner, id, party));
            StoredThread thread = decisions.get(owner, threadId);
            Party whom = to.orElseGet(() -> stillAwaited(owner, threadId, party));
            StoredMessage last = lastOf(owner, thread);
            ChaseOnItsWay sent = room.isPresent()
                    ? inRoom(me, room.get(), named(owner, all, whom), last, text, changes)
                    : thread.channel() == Channel.MAIL
                            ? mail(me, last, whom, text, changes)
                            : chat(me, last, text, changes);
            for (UUID id : all) {
                store.insertChase(owner, new ChaseOnItsWay(id, party, sent.sourceId(), sent.identity()));
                // A day that was chosen by hand has served.
                decisions.chaseOnWithin(owner, id, null, changes);
            }
            changes.label("Chased: " + whom.displayName()).touch(Topic.OUTBOX, Topic.THREADS);
        });
    }

    /** The address of the one who is awaited in a thread; refused where that are several or nobody. */
    String onlyOneAwaited(SignedIn me, UUID threadId) {
        List<String> awaited = decisions.get(me.accountId(), threadId).awaited().list().stream()
                .map(one -> one.party().address())
                .distinct()
                .toList();
        return switch (awaited.size()) {
            case 0 -> throw Refusal.conflict("Nobody owes you anything in this thread. Nothing was sent.");
            case 1 -> awaited.get(0);
            default ->
                throw Refusal.invalid("Say whom to chase as “party”; several are awaited: " + String.join(", ", awaited)
                        + ". Nothing was sent.");
        };
    }

    private Party stillAwaited(UUID owner, UUID threadId, String party) {
        return decisions.get(owner, threadId).awaited().list().stream()
                .map(one -> one.party())
                .filter(each -> each.address().equals(party))
                .findFirst()
                .orElseThrow(() -> Refusal.conflict(
                        party + " owes you nothing there any more. Nothing was sent; your text is not lost."));
    }

    /** The newest message by which the thread goes on: mine before theirs, so that it quotes the line of the ask. */
    private StoredMessage lastOf(UUID owner, StoredThread thread) {
        List<StoredMessage> all = messages.inThread(owner, thread.id());
        Comparator<StoredMessage> bySending = Comparator.comparing(StoredMessage::sentAt);
        return all.stream()
                .filter(message -> message.direction() == Direction.OUTGOING)
                .max(bySending)
                .or(() -> all.stream().max(bySending))
                .orElseThrow(() -> Refusal.notFound("thread"));
    }

    private ChaseOnItsWay mail(SignedIn me, StoredMessage last, Party whom, String text, Changes changes) {
        Source source = sending.source(me.accountId(), last);
        String identity = ChaseLetter.identity(changes.commandId() + "@" + Sending.domain(source));
        byte[] raw = new OutgoingMail(
                        identity,
                        new Party(secrets.mailSettings(source).fromName(), source.address()),
                        List.of(whom),
                        List.of(),
                        List.of(),
                        OutgoingMail.answerSubject(last.subject()),
                        text.strip(),
                        clock.instant().atZone(me.zoneId()),
                        last.messageId().isEmpty() ? Optional.empty() : Optional.of(last.messageId()),
                        Sending.references(last),
                        List.of(),
                        Optional.empty(),
                        false)
                .toBytes();
        outbox.addMail(source, changes.commandId(), identity, last.id(), raw, outbox.hold());
        return new ChaseOnItsWay(last.threadId(), whom.address(), source.id(), identity);
    }

    private Party named(UUID owner, Set<UUID> threadIds, Party whom) {
        return ChaseDrafts.named(whom, messages.threadingInThreads(owner, threadIds));
    }

    /** Into a room with them alone, where it answers nothing. */
    private ChaseOnItsWay inRoom(
            SignedIn me, String roomId, Party whom, StoredMessage last, String text, Changes changes) {
        ChatWays.Way way = ways.of(me.accountId(), whom).stream()
                .filter(each -> each.roomId().equals(roomId))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("room"));
        String identity = "sn-" + changes.commandId();
        outbox.add(
                me.accountId(),
                way.sourceId(),
                changes.commandId(),
                OutboxKind.SEND_CHAT,
                identity,
                last.id(),
                new Payloads.Chat(roomId, text.strip(), "", "", null, List.of()),
                outbox.hold());
        return new ChaseOnItsWay(last.threadId(), whom.address(), way.sourceId(), identity);
    }

    private ChaseOnItsWay chat(SignedIn me, StoredMessage last, String text, Changes changes) {
        String roomId = last.roomId();
        boolean connected = sources.byId(me.accountId(), last.sourceId())
                .filter(source -> source.removedAt() == null)
                .isPresent();
        if (!connected || roomId == null) {
            throw Refusal.invalid("The chat account this came from is no longer connected. Nothing was sent; connect it"
                    + " in Settings › Sources.");
        }
        List<Party> people = sources.room(me.accountId(), roomId)
                .map(room -> room.members().list())
                .orElse(List.of());
        String identity = "sn-" + changes.commandId();
        String thread = last.refs().list().isEmpty() ? null : last.refs().list().get(0);
        outbox.add(
                me.accountId(),
                last.sourceId(),
                changes.commandId(),
                OutboxKind.SEND_CHAT,
                identity,
                last.id(),
                new Payloads.Chat(roomId, text.strip(), last.messageId(), last.fromAddress(), thread, people),
                outbox.hold());
        return new ChaseOnItsWay(last.threadId(), "", last.sourceId(), identity);
    }
}
