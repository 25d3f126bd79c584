package org.squallnote.server.outbox;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Place;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.outbox.OutboxKind;
import org.squallnote.core.source.ArchiveRule;
import org.squallnote.core.source.Source;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.sources.mail.MailSettings;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.source.SourceStore;

/** Puts the archiving of decided mail into the outbox, as each source's rule says. */
@Component
public class Archiving {

    private final MessageStore messages;
    private final SourceStore sources;
    private final SourceSecrets settings;
    private final Outbox outbox;

    Archiving(MessageStore messages, SourceStore sources, SourceSecrets settings, Outbox outbox) {
        this.messages = messages;
        this.sources = sources;
        this.settings = settings;
        this.outbox = outbox;
    }

    /** A message was decided; a follow-up that came of it is still open or there is none. */
    public void decided(StoredMessage message, UUID commandId, boolean followUpOpen) {
        done(
                message,
                commandId,
                rule -> rule == ArchiveRule.AT_ONCE || (rule == ArchiveRule.WHEN_ENDED && !followUpOpen));
    }

    /** The last follow-up of a message has ended. */
    public void ended(UUID owner, UUID commandId, UUID messageId) {
        messages.byId(owner, messageId)
                .ifPresent(message -> done(message, commandId, rule -> rule == ArchiveRule.WHEN_ENDED));
    }

    private void done(StoredMessage message, UUID commandId, Predicate<ArchiveRule> applies) {
        String room = message.roomId();
        if (room == null) {
            archive(message.owner(), commandId, message.id(), applies);
        } else {
            moveReadMarker(message, room, commandId, applies);
        }
    }

    /**
     * In a room my marker of what is read moves on: as far as all is decided by then, so once for each change. It never
     * moves back, and others have seen it by then.
     */
    private void moveReadMarker(StoredMessage message, String room, UUID commandId, Predicate<ArchiveRule> applies) {
        String identity = room + " " + commandId;
        boolean wanted = sources.byId(message.owner(), message.sourceId())
                .filter(source -> source.removedAt() == null && applies.test(source.archiveRule()))
                .isPresent();
        if (wanted && !outbox.holds(message.owner(), message.sourceId(), OutboxKind.READ_UP_TO, identity)) {
            outbox.add(
                    message.owner(),
                    message.sourceId(),
                    commandId,
                    OutboxKind.READ_UP_TO,
                    identity,
                    message.id(),
                    new Payloads.Room(room),
                    outbox.hold());
        }
    }

    /** Moves a mail to a folder, whatever the rule says: the archive where none is named. Nothing is done in a chat. */
    public void moveTo(UUID owner, UUID commandId, UUID messageId, Optional<String> folder) {
        for (Place place : messages.places(owner, messageId)) {
            source(owner, place).ifPresent(source -> {
                Optional<String> to =
                        folder.or(() -> settings.mailSettings(source).archive());
                if (to.isPresent() && !to.get().equals(place.folder())) {
                    put(owner, commandId, messageId, place, OutboxKind.ARCHIVE, to.get());
                }
            });
        }
    }

    /** Marks a mail as read on its server. */
    public void markRead(UUID owner, UUID commandId, UUID messageId) {
        for (Place place : messages.places(owner, messageId)) {
            if (source(owner, place).isPresent()) {
                put(owner, commandId, messageId, place, OutboxKind.MARK_READ, "");
            }
        }
    }

    private Optional<Source> source(UUID owner, Place place) {
        return sources.byId(owner, place.sourceId()).filter(found -> found.removedAt() == null);
    }

    private void put(UUID owner, UUID commandId, UUID messageId, Place place, OutboxKind kind, String to) {
        String id = messages.byId(owner, messageId)
                .map(message -> message.messageId())
                .orElse("");
        outbox.add(
                owner,
                place.sourceId(),
                commandId,
                kind,
                messageId + " " + commandId,
                messageId,
                new Payloads.Move(place.folder(), to, place.uidValidity(), place.uid(), id, null, null),
                outbox.hold());
    }

    private void archive(UUID owner, UUID commandId, UUID messageId, Predicate<ArchiveRule> applies) {
        List<Place> places = messages.places(owner, messageId);
        for (Place place : places) {
            Optional<Source> source = source(owner, place).filter(found -> applies.test(found.archiveRule()));
            if (source.isEmpty()) {
                continue;
            }
            MailSettings mail = settings.mailSettings(source.get());
            if (mail.archive().isPresent() && place.folder().equals(mail.inbox())) {
                put(
                        owner,
                        commandId,
                        messageId,
                        place,
                        OutboxKind.ARCHIVE,
                        mail.archive().get());
            }
        }
    }
}
