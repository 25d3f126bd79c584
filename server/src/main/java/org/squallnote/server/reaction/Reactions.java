package org.squallnote.server.reaction;

import java.time.Duration;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Reaction;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.outbox.OutboxKind;
import org.squallnote.core.source.Source;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.live.Topic;
import org.squallnote.server.outbox.Outbox;
import org.squallnote.server.outbox.Payloads;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.source.SourceStore;

/**
 * Reacts to chat messages and takes reactions back. They go out at once, since they can be taken back there too, and
 * show here when the homeserver tells of them. A reaction decides nothing: what a sign means for the turn is for the
 * rules to say.
 */
@Component
class Reactions {

    private final MessageStore messages;
    private final SourceStore sources;
    private final Commands commands;
    private final Outbox outbox;

    Reactions(MessageStore messages, SourceStore sources, Commands commands, Outbox outbox) {
        this.messages = messages;
        this.sources = sources;
        this.commands = commands;
        this.outbox = outbox;
    }

    Done react(SignedIn me, UUID commandId, UUID messageId, String sign) {
        return commands.run(me, commandId, "react", changes -> {
            StoredMessage message = chatMessage(me.accountId(), messageId);
            if (mine(message, sign).isPresent()) {
                throw Refusal.conflict("Your " + sign + " is on this message already. Nothing was changed.");
            }
            put(message, OutboxKind.REACT, sign, null, changes);
            changes.label(sign + " to " + message.from().displayName());
        });
    }

    Done takeBack(SignedIn me, UUID commandId, UUID messageId, String sign) {
        return commands.run(me, commandId, "take-reaction-back", changes -> {
            StoredMessage message = chatMessage(me.accountId(), messageId);
            Reaction mine = mine(message, sign).orElseThrow(() -> Refusal.notFound("reaction"));
            put(message, OutboxKind.UNREACT, sign, mine.eventId(), changes);
            changes.label(sign + " taken back");
        });
    }

    private Optional<Reaction> mine(StoredMessage message, String sign) {
        String address = source(message).address();
        return messages.reactionsTo(message.owner(), message.messageId()).stream()
                .filter(reaction ->
                        reaction.content().equals(sign) && reaction.sender().equalsIgnoreCase(address))
                .findFirst();
    }

    private StoredMessage chatMessage(UUID owner, UUID messageId) {
        StoredMessage message = messages.byId(owner, messageId).orElseThrow(() -> Refusal.notFound("message"));
        if (message.roomId() == null || message.removed()) {
            throw Refusal.invalid("Only chat messages that are still there can be reacted to. Nothing was changed.");
        }
        return message;
    }

    private Source source(StoredMessage message) {
        return sources.byId(message.owner(), message.sourceId())
                .filter(found -> found.removedAt() == null)
                .orElseThrow(() -> Refusal.invalid(
                        "The chat account this came from is no longer connected. Connect it in Settings › Sources."));
    }

    private void put(StoredMessage message, OutboxKind kind, String sign, @Nullable String event, Changes changes) {
        String room = Objects.requireNonNull(message.roomId());
        outbox.add(
                message.owner(),
                source(message).id(),
                changes.commandId(),
                kind,
                "sn-" + changes.commandId(),
                message.id(),
                new Payloads.React(room, message.messageId(), sign, event),
                Duration.ZERO);
        changes.touch(Topic.OUTBOX);
    }
}
