package org.squallnote.server.handover;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.handover.HandOver;
import org.squallnote.core.handover.HandOverBuilder;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.source.Source;
import org.squallnote.formats.mail.OutgoingMail;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.answer.Sending;
import org.squallnote.server.arrival.ThreadTurns;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.followup.FollowUps;
import org.squallnote.server.intake.Decisions;
import org.squallnote.server.live.Topic;
import org.squallnote.server.outbox.Outbox;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.server.thread.Threads;
import org.squallnote.store.handover.HandOverStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.RawMails;

/** Hands messages over by mail: forwarded with a word of mine; the thread then waits for whoever got it. */
@Component
public class HandOvers {

    private static final DateTimeFormatter WRITTEN = DateTimeFormatter.ofPattern("EEE d MMM yyyy, HH:mm", Locale.UK);
    private static final int LONGEST_ORIGINAL = 10_000_000;

    private final HandOverStore store;
    private final MessageStore messages;
    private final ThreadTurns turns;
    private final HandOverNews news;
    private final Decisions decisions;
    private final Threads threads;
    private final FollowUps followUps;
    private final Sending sending;
    private final SourceSecrets secrets;
    private final Outbox outbox;
    private final Commands commands;
    private final Clock clock;
    private final RawMails rawMails;

    HandOvers(
            HandOverStore store,
            MessageStore messages,
            ThreadTurns turns,
            HandOverNews news,
            Decisions decisions,
            Threads threads,
            FollowUps followUps,
            Sending sending,
            SourceSecrets secrets,
            Outbox outbox,
            Commands commands,
            Clock clock,
            RawMails rawMails) {
        this.rawMails = rawMails;
        this.store = store;
        this.messages = messages;
        this.turns = turns;
        this.news = news;
        this.decisions = decisions;
        this.threads = threads;
        this.followUps = followUps;
        this.sending = sending;
        this.secrets = secrets;
        this.outbox = outbox;
        this.commands = commands;
        this.clock = clock;
    }

    /** @param followUpId mine about it, which ends with this; null where there is none */
    Done handOver(
            SignedIn me,
            UUID commandId,
            UUID messageId,
            Party to,
            String text,
            @Nullable LocalDate wantedDay,
            @Nullable UUID followUpId) {
        return commands.run(me, commandId, "hand-over", changes -> {
            StoredMessage message = give(me, messageId, to, text, wantedDay, followUpId != null, changes);
            if (followUpId != null) {
                followUps.givenAway(me.accountId(), followUpId, messageId, changes);
            }
            changes.label("Handed over to " + to.displayName() + ": " + message.subject());
        });
    }

    /**
     * Hands over as part of a command.
     *
     * @param wantedDay by when it is wanted; null where that is not said
     */
    public StoredMessage handOverWithin(
            SignedIn me, UUID messageId, Party to, String text, @Nullable LocalDate wantedDay, Changes changes) {
        return give(me, messageId, to, text, wantedDay, false, changes);
    }

    /** @param decided whether the message may have been decided before */
    private StoredMessage give(
            SignedIn me,
            UUID messageId,
            Party to,
            String text,
            @Nullable LocalDate wantedDay,
            boolean decided,
            Changes changes) {
        if (text.isBlank()) {
            throw Refusal.invalid("Say in a few words what is wanted. Nothing was sent.");
        }
        StoredMessage message = decided
                ? decisions.decideAgain(me, messageId, Decision.HANDED_OVER, changes)
                : decisions.decide(me, messageId, Decision.HANDED_OVER, false, changes);
        threads.noReplyOwedWithin(me.accountId(), message.threadId(), changes);
        Source source = sending.source(me.accountId(), message);
        // One command may hand over several messages.
        String id = HandOver.identity("") + changes.commandId() + "." + messageId + "@" + Sending.domain(source);
        List<OutgoingMail.Attachment> attached = new ArrayList<>();
        original(me, message).ifPresent(attached::add);
        byte[] raw = new OutgoingMail(
                        id,
                        new Party(secrets.mailSettings(source).fromName(), source.address()),
                        List.of(to),
                        List.of(),
                        List.of(),
                        OutgoingMail.forwardSubject(message.subject()),
                        text.strip() + "\n\n" + forwarded(me, message),
                        clock.instant().atZone(me.zoneId()),
                        Optional.empty(),
                        message.channel() == Channel.MAIL ? Sending.references(message) : List.of(),
                        attached,
                        Optional.empty(),
                        false)
                .toBytes();
        outbox.addMail(source, changes.commandId(), id, message.id(), raw, outbox.hold());
        Optional<HandOver> parent = handedOn(me, message, to, changes);
        Instant now = clock.instant();
        store.insert(HandOverBuilder.builder()
                .identity(id)
                .giver(me.accountId())
                .giverMessage(messageId)
                .takerAddress(to.address().toLowerCase(Locale.ROOT))
                .takerName(to.name())
                .state(HandOver.State.OFFERED)
                .word("")
                .offeredAt(now)
                .changedAt(now)
                .wantedDay(wantedDay)
                .parent(parent.map(HandOver::identity).orElse(null))
                .untold(HandOver.Side.NOBODY)
                .build());
        changes.touch(Topic.OUTBOX, Topic.THREADS);
        return message;
    }

    /** What I have taken over myself and give to somebody else stays with whoever gave it to me as handed on. */
    private Optional<HandOver> handedOn(SignedIn me, StoredMessage message, Party to, Changes changes) {
        Optional<HandOver> parent = message.messageId().isEmpty()
                ? Optional.empty()
                : store.forTaker(me.accountId(), message.messageId())
                        .filter(open -> open.allows(HandOver.State.HANDED_ON, HandOver.Side.TAKER));
        parent.ifPresent(old -> {
            HandOver on = old.to(HandOver.State.HANDED_ON, HandOver.Side.TAKER, to.displayName(), clock.instant());
            store.settle(on);
            changes.record(
                    SubjectType.HAND_OVER, message.id(), ReceivedHandOvers.Said.of(old), ReceivedHandOvers.Said.of(on));
        });
        return parent;
    }

    /** Takes a message back that was handed over and is not done. */
    Done takeBack(SignedIn me, UUID commandId, UUID messageId) {
        UUID owner = me.accountId();
        decisions.get(owner, messageId);
        HandOver given = store.ofMessage(owner, messageId).stream()
                .filter(each -> each.state().isOpen())
                .findFirst()
                .orElseThrow(() -> Refusal.conflict("This is not with anybody else now. Nothing was changed."));
        Done done = commands.run(me, commandId, "hand-over-taken-back", changes -> {
            HandOver back = given.to(HandOver.State.TAKEN_BACK, HandOver.Side.GIVER, "", clock.instant());
            store.settle(back);
            StoredMessage message = decisions.backWithin(owner, messageId, changes);
            threads.openAgainWithin(owner, message.threadId(), changes);
            messages.withMessageId(owner, given.identity()).forEach(mail -> turns.refresh(owner, mail.threadId()));
            boolean outside = store.takers(owner, given.takerAddress()).isEmpty();
            changes.record(
                            SubjectType.HAND_OVER,
                            messageId,
                            ReceivedHandOvers.Said.of(given),
                            ReceivedHandOvers.Said.of(back))
                    .label("Taken back from " + given.taker() + ": " + message.subject()
                            + (outside ? ". They are not here, so tell them" : ""));
        });
        news.spread();
        return done;
    }

    private Optional<OutgoingMail.Attachment> original(SignedIn me, StoredMessage message) {
        return rawMails.of(me.accountId(), message.id())
                .filter(raw -> message.channel() == Channel.MAIL && raw.size() <= LONGEST_ORIGINAL)
                .filter(raw -> !message.files().list().isEmpty())
                .map(raw -> new OutgoingMail.Attachment(
                        "original.eml", "application/octet-stream", raw.head(LONGEST_ORIGINAL)));
    }

    private static String forwarded(SignedIn me, StoredMessage message) {
        ZoneId zone = me.zoneId();
        return "---------- Forwarded message ----------\n"
                + "From: " + message.from().displayName() + "\n"
                + "Date: " + WRITTEN.format(message.sentAt().atZone(zone)) + "\n"
                + (message.subject().isEmpty() ? "" : "Subject: " + message.subject() + "\n")
                + "\n" + message.body();
    }
}
