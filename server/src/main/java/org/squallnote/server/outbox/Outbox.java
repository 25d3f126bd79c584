package org.squallnote.server.outbox;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.squallnote.core.outbox.OutboxEntry;
import org.squallnote.core.outbox.OutboxKind;
import org.squallnote.core.outbox.OutboxState;
import org.squallnote.core.source.Source;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.TakeBack;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.outbox.OutboxStore;
import tools.jackson.databind.json.JsonMapper;

/** Notes what is to be done on servers, in the transaction of the change that wants it. */
@Component
public class Outbox implements TakeBack {

    /**
     * How the outbox behaves.
     *
     * @param hold how long something waits before it goes out, so that it can be taken back
     * @param draftsBehind by how much the server's copy of a draft is behind
     */
    @ConfigurationProperties("squallnote.outbox")
    public record Settings(Duration hold, Duration draftsBehind) {}

    /** Something was put in that is due at a moment. */
    public record Added(UUID sourceId) {}

    private final OutboxStore store;
    private final UuidV7 ids;
    private final Clock clock;
    private final JsonMapper json;
    private final Settings settings;
    private final ApplicationEventPublisher events;

    Outbox(
            OutboxStore store,
            UuidV7 ids,
            Clock clock,
            JsonMapper json,
            Settings settings,
            ApplicationEventPublisher events) {
        this.store = store;
        this.ids = ids;
        this.clock = clock;
        this.json = json;
        this.settings = settings;
        this.events = events;
    }

    /** How long an answer waits, so that it can be taken back. */
    public Duration hold() {
        return settings.hold();
    }

    /** How long a draft waits before it is put on the server, so that not every pause in typing is sent there. */
    public Duration draftsBehind() {
        return settings.draftsBehind();
    }

    /**
     * Puts something in.
     *
     * @param identity keeps it from being put in twice for the same source and kind
     * @param wait for how long it waits, {@link #hold()} where it is to be taken back
     */
    public UUID add(
            UUID owner,
            UUID sourceId,
            UUID commandId,
            OutboxKind kind,
            String identity,
            @Nullable UUID messageId,
            Object payload,
            Duration wait) {
        Instant now = clock.instant();
        UUID id = ids.next();
        store.insert(new OutboxEntry(
                id,
                owner,
                sourceId,
                commandId,
                kind,
                identity,
                messageId,
                json.writeValueAsString(payload),
                OutboxState.WAITING,
                now.plus(wait),
                0,
                "",
                now,
                null));
        events.publishEvent(new Added(sourceId));
        return id;
    }

    /**
     * Puts in that a mail goes out.
     *
     * @param identity its Message-ID
     * @param about the message because of which it goes out
     * @param raw the whole mail
     */
    public void addMail(
            Source source, UUID commandId, String identity, @Nullable UUID about, byte[] raw, Duration wait) {
        Payloads.Mail mail = new Payloads.Mail(Base64.getEncoder().encodeToString(raw));
        add(source.owner(), source.id(), commandId, OutboxKind.SEND_MAIL, identity, about, mail, wait);
    }

    /**
     * Puts in that an event is to be written. Of several about one thing the latest alone is done: it says all that holds.
     *
     * @param about the same for all that is written of one thing
     */
    public void addEvent(UUID owner, UUID sourceId, UUID commandId, String about, Payloads.Event event, Duration wait) {
        String thing = event.calendarId() + "\n" + about;
        add(owner, sourceId, commandId, OutboxKind.WRITE_EVENT, oneOf(thing, commandId), null, event, wait);
    }

    /** Puts in that a task is to be written; of several about one task the latest alone is done. */
    public void addTask(UUID owner, UUID sourceId, Payloads.Task task) {
        UUID commandId = ids.next();
        String thing = task.calendarId() + "\n" + task.uid();
        add(owner, sourceId, commandId, OutboxKind.WRITE_TASK, oneOf(thing, commandId), null, task, Duration.ZERO);
    }

    private static String oneOf(String thing, UUID commandId) {
        return UUID.nameUUIDFromBytes(thing.getBytes(StandardCharsets.UTF_8)) + "." + commandId;
    }

    /** Whether one about the same thing was put in after it. */
    static boolean isOvertaken(OutboxStore store, OutboxEntry entry) {
        String about = entry.identity().substring(0, entry.identity().indexOf('.') + 1) + "%";
        return store.isOvertaken(entry.owner(), entry.sourceId(), entry.kind(), about, entry.id());
    }

    /** Whether something was put in under that identity. */
    boolean holds(UUID owner, UUID sourceId, OutboxKind kind, String identity) {
        return store.byIdentity(owner, sourceId, kind, identity).isPresent();
    }

    /** Cancels what still waits, reverses a move, refuses where an answer has gone out. */
    @Override
    public void takeBack(UUID owner, UUID commandId, Changes changes) {
        Instant now = clock.instant();
        for (OutboxEntry entry : store.ofCommand(owner, commandId)) {
            boolean cancelled = entry.state() == OutboxState.WAITING
                    && store.move(
                                    owner,
                                    entry.id(),
                                    OutboxState.WAITING,
                                    OutboxState.CANCELLED,
                                    entry.attempts(),
                                    "",
                                    entry.notBefore(),
                                    now)
                            == 1;
            if (cancelled || entry.state() == OutboxState.CANCELLED || entry.state() == OutboxState.FAILED) {
                continue;
            }
            if (entry.kind().sends()) {
                throw Refusal.conflict(
                        "The answer has gone out already and cannot be taken back. Write another one to put it right.");
            }
            if (entry.kind() == OutboxKind.LEAVE_ROOM) {
                throw Refusal.conflict("The room has been left already. Somebody in it has to invite you again.");
            }
            reverse(entry.kind())
                    .ifPresent(reverse -> add(
                            owner,
                            entry.sourceId(),
                            changes.commandId(),
                            reverse,
                            entry.identity(),
                            entry.messageId(),
                            json.readTree(entry.payload()),
                            Duration.ZERO));
        }
        changes.touch(Topic.OUTBOX);
    }

    /** What puts right on a server what was done there. */
    private static Optional<OutboxKind> reverse(OutboxKind kind) {
        return switch (kind) {
            case ARCHIVE -> Optional.of(OutboxKind.UNARCHIVE);
            case MARK_READ -> Optional.of(OutboxKind.MARK_UNREAD);
            case REACT -> Optional.of(OutboxKind.UNREACT);
            case UNREACT -> Optional.of(OutboxKind.REACT);
            case JOIN_ROOM -> Optional.of(OutboxKind.LEAVE_ROOM);
            default -> Optional.empty();
        };
    }
}
