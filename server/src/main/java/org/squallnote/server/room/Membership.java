package org.squallnote.server.room;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.outbox.OutboxKind;
import org.squallnote.core.source.ChatRoom;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceKind;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.intake.Decisions;
import org.squallnote.server.live.Topic;
import org.squallnote.server.outbox.Outbox;
import org.squallnote.server.outbox.Payloads;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.reading.ReadableMessage;
import org.squallnote.store.source.SourceStore;

/** Enters and leaves rooms, by the outbox, so that there is a moment to take it back. What was said in a room stays. */
@Component
class Membership {

    private final SourceStore sources;
    private final Commands commands;
    private final Decisions decisions;
    private final Outbox outbox;

    Membership(SourceStore sources, Commands commands, Decisions decisions, Outbox outbox) {
        this.sources = sources;
        this.commands = commands;
        this.decisions = decisions;
        this.outbox = outbox;
    }

    Done answer(SignedIn me, UUID commandId, UUID messageId, boolean accept) {
        return commands.run(me, commandId, accept ? "accept-room" : "decline-room", changes -> {
            StoredMessage invitation = decisions.get(me.accountId(), messageId);
            String room = invitation.roomId();
            if (room == null || !ReadableMessage.isInvitation(invitation.messageId()) || invitation.removed()) {
                throw Refusal.invalid(
                        "This is not an invitation into a room any more. Nothing was changed; load the page again.");
            }
            Source source = chat(me.accountId(), invitation.sourceId());
            decisions.decide(me, messageId, Decision.NOTHING, false, changes);
            put(source, room, messageId, accept ? OutboxKind.JOIN_ROOM : OutboxKind.LEAVE_ROOM, changes);
            changes.label((accept ? "Accepted: " : "Declined: ") + nameOf(me.accountId(), room));
        });
    }

    /** The rooms of a chat account that I am in, by name. */
    List<ChatRoom> mine(UUID owner, UUID sourceId) {
        String address = chat(owner, sourceId).address();
        return sources.rooms(owner, sourceId).stream()
                .filter(room -> room.members().list().stream()
                        .anyMatch(member -> member.address().equalsIgnoreCase(address)))
                .sorted((a, b) -> a.name().compareToIgnoreCase(b.name()))
                .toList();
    }

    Done leave(SignedIn me, UUID commandId, UUID sourceId, String roomId) {
        return commands.run(me, commandId, "leave-room", changes -> {
            ChatRoom room = mine(me.accountId(), sourceId).stream()
                    .filter(each -> each.roomId().equals(roomId))
                    .findFirst()
                    .orElseThrow(() -> Refusal.notFound("room"));
            put(chat(me.accountId(), sourceId), roomId, null, OutboxKind.LEAVE_ROOM, changes);
            changes.label("Left: " + room.name()).touch(Topic.SOURCES);
        });
    }

    private Source chat(UUID owner, UUID sourceId) {
        return sources.byId(owner, sourceId)
                .filter(found -> found.kind() == SourceKind.CHAT && found.removedAt() == null)
                .orElseThrow(() -> Refusal.notFound("chat account"));
    }

    private String nameOf(UUID owner, String roomId) {
        return sources.room(owner, roomId).map(ChatRoom::name).orElse(roomId);
    }

    private void put(Source source, String room, @Nullable UUID messageId, OutboxKind kind, Changes changes) {
        outbox.add(
                source.owner(),
                source.id(),
                changes.commandId(),
                kind,
                "sn-" + changes.commandId(),
                messageId,
                new Payloads.Room(room),
                outbox.hold());
        changes.touch(Topic.OUTBOX);
    }
}
