package org.squallnote.server.answer;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.draft.Draft;
import org.squallnote.core.draft.DraftFile;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.message.AnswerTo;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.outbox.OutboxKind;
import org.squallnote.core.source.Source;
import org.squallnote.formats.mail.OutgoingMail;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.Restorer;
import org.squallnote.server.intake.Decisions;
import org.squallnote.server.live.Topic;
import org.squallnote.server.office.OfficeMail;
import org.squallnote.server.outbox.Outbox;
import org.squallnote.server.outbox.Payloads;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.draft.DraftFileStore;
import org.squallnote.store.draft.DraftStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.source.SourceStore;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Answers messages: decided at once, sent by the outbox a little later, so that it can be taken back. */
@Component
public class Answers implements Restorer {

    private static final Duration KEPT_AFTER_SENDING = Duration.ofDays(1);
    private static final long MOST_BYTES = 10_000_000;

    private final MessageStore messages;
    private final SourceStore sources;
    private final DraftStore drafts;
    private final DraftFileStore files;
    private final Sending sending;
    private final Composer composer;
    private final ServerDrafts serverDrafts;
    private final OfficeMail office;
    private final Commands commands;
    private final Decisions decisions;
    private final Outbox outbox;
    private final Clock clock;
    private final JsonMapper json;

    Answers(
            MessageStore messages,
            SourceStore sources,
            DraftStore drafts,
            DraftFileStore files,
            Sending sending,
            Composer composer,
            ServerDrafts serverDrafts,
            OfficeMail office,
            Commands commands,
            Decisions decisions,
            Outbox outbox,
            Clock clock,
            JsonMapper json) {
        this.messages = messages;
        this.sources = sources;
        this.drafts = drafts;
        this.files = files;
        this.sending = sending;
        this.composer = composer;
        this.serverDrafts = serverDrafts;
        this.office = office;
        this.commands = commands;
        this.decisions = decisions;
        this.outbox = outbox;
        this.clock = clock;
        this.json = json;
    }

    /** The state of an answer in the history: what was written, so that taking it back gives the draft again. */
    record AnswerState(
            UUID messageId,
            String text,
            boolean toAll,
            @Nullable List<String> copies,
            @Nullable List<String> hidden) {

        static AnswerState of(UUID messageId, Written written) {
            return new AnswerState(
                    messageId,
                    written.text(),
                    written.toAll(),
                    addresses(written.copies()),
                    addresses(written.hidden()));
        }

        private static List<String> addresses(List<Party> parties) {
            return parties.stream().map(Party::address).toList();
        }

        Draft draft(UUID owner, Instant at) {
            return new Draft(owner, messageId, text, toAll, typed(copies), typed(hidden), at);
        }

        private static String typed(@Nullable List<String> addresses) {
            return addresses == null ? "" : String.join(", ", addresses);
        }
    }

    /**
     * What was written, and who gets it besides those it goes to anyway.
     *
     * @param toAll whether everybody gets it who got the message
     * @param copies those in Cc
     * @param hidden those in Bcc
     * @param anyway whether it is sent although somebody else of the office has answered
     */
    public record Written(String text, boolean toAll, List<Party> copies, List<Party> hidden, boolean anyway) {

        /** To the writer alone. */
        public static Written toWriter(String text) {
            return new Written(text, false, List.of(), List.of(), false);
        }
    }

    Done answer(SignedIn me, UUID commandId, UUID messageId, Written written) {
        if (written.text().isBlank() && !saysItByFile(me, messageId)) {
            throw Refusal.invalid("The answer is empty. Write something, or decide «Nothing to do».");
        }
        return commands.run(me, commandId, "answer", changes -> {
            StoredMessage message = answerWithin(me, messageId, written, false, changes);
            changes.label("Answer to " + message.from().displayName());
        });
    }

    /** In a chat a file alone is an answer. */
    private boolean saysItByFile(SignedIn me, UUID messageId) {
        return decisions.get(me.accountId(), messageId).channel() == Channel.CHAT
                && files.bytesWaiting(me.accountId(), messageId) > 0;
    }

    /**
     * Answers as part of a command.
     *
     * @param automatic whether no person wrote it
     */
    public StoredMessage answerWithin(
            SignedIn me, UUID messageId, Written written, boolean automatic, Changes changes) {
        String text = written.text();
        if (!written.anyway()) {
            office.refuseAnswered(me, decisions.get(me.accountId(), messageId));
        }
        StoredMessage message = decisions.decide(me, messageId, Decision.ANSWERED, false, changes);
        office.answered(me, message, changes);
        if (message.channel() == Channel.MAIL) {
            mail(me, message, written, automatic, changes);
        } else {
            chat(me, message, text, automatic ? List.of() : attached(me, message, changes), changes);
        }
        if (drafts.delete(me.accountId(), messageId) > 0) {
            serverDrafts.gone(message);
        }
        changes.record(SubjectType.ANSWER, messageId, null, AnswerState.of(messageId, written))
                .touch(Topic.OUTBOX);
        return message;
    }

    private void mail(SignedIn me, StoredMessage message, Written written, boolean automatic, Changes changes) {
        Source source = sending.source(me.accountId(), message);
        AnswerTo addressees = composer.addressees(me.accountId(), message, written);
        List<Party> to = addressees.to();
        if (to.isEmpty() || to.stream().anyMatch(party -> party.address().isEmpty())) {
            throw Refusal.invalid("This message does not say whom to answer. Nothing was sent; your text is kept.");
        }
        String messageId = changes.commandId() + "@" + Sending.domain(source);
        byte[] raw = composer.mail(
                source,
                message,
                addressees,
                written.text(),
                messageId,
                clock.instant(),
                me.zoneId(),
                automatic ? List.of() : attached(me, message, changes),
                automatic);
        outbox.addMail(source, changes.commandId(), messageId, message.id(), raw, outbox.hold());
    }

    private List<OutgoingMail.Attachment> attached(SignedIn me, StoredMessage message, Changes changes) {
        List<OutgoingMail.Attachment> attached = composer.files(me.accountId(), message.id());
        files.move(me.accountId(), message.id(), null, changes.commandId());
        files.forgetSent(me.accountId(), clock.instant().minus(KEPT_AFTER_SENDING));
        return attached;
    }

    /** Keeps a file with the draft; refused when the draft would become too large for a mail. */
    void addFile(SignedIn me, UUID messageId, UUID fileId, String name, String type, byte[] content) {
        StoredMessage message = decisions.get(me.accountId(), messageId);
        if (files.bytesWaiting(me.accountId(), messageId) + content.length > MOST_BYTES) {
            throw Refusal.invalid("An answer can carry 10 MB of files. This one was not added; your text is kept.");
        }
        files.insert(new DraftFile(
                fileId, me.accountId(), messageId, name, type, content.length, content, null, clock.instant()));
        serverDrafts.changed(message);
    }

    void removeFile(SignedIn me, UUID messageId, UUID fileId) {
        if (files.delete(me.accountId(), messageId, fileId) == 0) {
            throw Refusal.notFound("file");
        }
        serverDrafts.changed(decisions.get(me.accountId(), messageId));
    }

    private void chat(
            SignedIn me, StoredMessage message, String text, List<OutgoingMail.Attachment> attached, Changes changes) {
        boolean connected = sources.byId(me.accountId(), message.sourceId())
                .filter(source -> source.removedAt() == null)
                .isPresent();
        String roomId = message.roomId();
        if (!connected || roomId == null) {
            throw Refusal.invalid(
                    "The chat account this came from is no longer connected. Your text is kept; connect it in Settings › Sources.");
        }
        String thread =
                message.refs().list().isEmpty() ? null : message.refs().list().get(0);
        String identity = "sn-" + changes.commandId();
        if (!text.isBlank()) {
            List<Party> people = text.contains("@")
                    ? sources.room(me.accountId(), roomId)
                            .map(room -> room.members().list())
                            .orElse(List.of())
                    : List.of();
            put(
                    me,
                    message,
                    OutboxKind.SEND_CHAT,
                    identity,
                    new Payloads.Chat(roomId, text, message.messageId(), message.fromAddress(), thread, people),
                    changes);
        }
        for (int i = 0; i < attached.size(); i++) {
            OutgoingMail.Attachment file = attached.get(i);
            put(
                    me,
                    message,
                    OutboxKind.SEND_CHAT_FILE,
                    identity + "-" + i,
                    new Payloads.ChatFile(
                            roomId,
                            file.name(),
                            file.type(),
                            Base64.getEncoder().encodeToString(file.content()),
                            message.messageId(),
                            message.fromAddress(),
                            thread,
                            null),
                    changes);
        }
    }

    private void put(
            SignedIn me, StoredMessage message, OutboxKind kind, String identity, Object payload, Changes changes) {
        outbox.add(
                me.accountId(),
                message.sourceId(),
                changes.commandId(),
                kind,
                identity,
                message.id(),
                payload,
                outbox.hold());
    }

    /** Keeps what is typed so far; nothing at all is no draft. */
    void saveDraft(SignedIn me, UUID messageId, String text, boolean toAll, String copies, String hidden) {
        StoredMessage message = messages.byId(me.accountId(), messageId).orElseThrow(() -> Refusal.notFound("message"));
        if (!text.isEmpty()) {
            drafts.save(new Draft(me.accountId(), messageId, text, toAll, copies, hidden, clock.instant()));
            serverDrafts.changed(message);
            office.writing(me.accountId(), message);
        } else if (drafts.delete(me.accountId(), messageId) > 0) {
            serverDrafts.gone(message);
            office.writing(me.accountId(), message);
        }
    }

    @Override
    public SubjectType type() {
        return SubjectType.ANSWER;
    }

    /** The first form had the text only. */
    @Override
    public ObjectNode upcast(int version, ObjectNode state) {
        return version > 1 ? state : state.put("toAll", false);
    }

    /** An answer does not change; whether it can still be taken back is for the outbox to say. */
    @Override
    public @Nullable Object current(UUID owner, HistoryEntry entry) {
        return entry.after() == null ? null : json.readValue(entry.after(), AnswerState.class);
    }

    /** Gives the text back as a draft, unless another one has been begun. */
    @Override
    public void restore(UUID owner, HistoryEntry entry, Changes changes) {
        if (entry.after() == null) {
            throw Refusal.invalid(
                    "An answer that was taken back is sent again from its draft. Open the thread, and send it there.");
        }
        AnswerState answer = json.readValue(entry.after(), AnswerState.class);
        files.move(owner, answer.messageId(), entry.commandId(), null);
        if (drafts.of(owner, answer.messageId()).isEmpty()) {
            drafts.save(answer.draft(owner, clock.instant()));
            messages.byId(owner, answer.messageId()).ifPresent(serverDrafts::changed);
        }
        changes.touch(Topic.OUTBOX, Topic.INTAKE);
    }
}
