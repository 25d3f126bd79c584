package org.squallnote.server.outbox;

import java.util.Base64;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.squallnote.core.outbox.OutboxEntry;
import org.squallnote.core.outbox.OutboxKind;
import org.squallnote.sources.chat.ChatAnswer;
import org.squallnote.sources.chat.ChatClient;
import org.squallnote.sources.chat.ChatProblem;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.outbox.OutboxStore;
import tools.jackson.databind.json.JsonMapper;

/** What the outbox does on a homeserver. All of it can be repeated: messages carry a transaction id. */
final class ChatWork {

    private final OutboxStore store;
    private final MessageStore messages;
    private final ApplicationEventPublisher events;
    private final JsonMapper json;

    ChatWork(OutboxStore store, MessageStore messages, ApplicationEventPublisher events, JsonMapper json) {
        this.events = events;
        this.messages = messages;
        this.store = store;
        this.json = json;
    }

    /** Does it; whoever calls has claimed the entry and says how it ended. */
    void run(ChatClient client, OutboxEntry entry) throws ChatProblem {
        switch (entry.kind()) {
            case SEND_CHAT -> send(client, entry, read(entry, Payloads.Chat.class));
            case SEND_CHAT_FILE -> sendFile(client, entry, read(entry, Payloads.ChatFile.class));
            case REACT -> react(client, entry, read(entry, Payloads.React.class));
            case UNREACT -> takeReactionBack(client, entry);
            case READ_UP_TO ->
                moveReadMarker(client, entry, read(entry, Payloads.Room.class).roomId());
            case JOIN_ROOM -> client.join(read(entry, Payloads.Room.class).roomId());
            case LEAVE_ROOM -> client.leave(read(entry, Payloads.Room.class).roomId());
            default -> throw new IllegalArgumentException(entry.kind() + " is not done on a homeserver");
        }
    }

    private void moveReadMarker(ChatClient client, OutboxEntry entry, String room) throws ChatProblem {
        Optional<String> decided = messages.decidedUpTo(entry.owner(), room);
        if (decided.isPresent()) {
            client.readUpTo(room, decided.get());
        }
    }

    private void send(ChatClient client, OutboxEntry entry, Payloads.Chat chat) throws ChatProblem {
        String event = client.sendMessage(
                chat.roomId(), entry.identity(), ChatAnswer.text(chat.text(), chat.to(), chat.whoMayBeMentioned()));
        events.publishEvent(new ChatSent(entry.owner(), entry.identity(), event));
    }

    private void sendFile(ChatClient client, OutboxEntry entry, Payloads.ChatFile file) throws ChatProblem {
        byte[] bytes = Base64.getDecoder().decode(file.content());
        String address = file.address();
        if (address == null) {
            // Kept before the message goes out, so that a repetition sends the same one.
            address = client.upload(file.name(), file.type(), bytes);
            keep(entry, file.at(address));
        }
        client.sendMessage(
                file.roomId(),
                entry.identity(),
                ChatAnswer.file(file.name(), file.type(), bytes.length, address, file.to()));
    }

    private void react(ChatClient client, OutboxEntry entry, Payloads.React reaction) throws ChatProblem {
        String event = client.react(reaction.roomId(), entry.identity(), reaction.target(), reaction.sign());
        keep(entry, reaction.given(event));
    }

    /** Takes back the reaction that another entry gave, or the one that is named. */
    private void takeReactionBack(ChatClient client, OutboxEntry entry) throws ChatProblem {
        Payloads.React named = store.byIdentity(entry.owner(), entry.sourceId(), OutboxKind.REACT, entry.identity())
                .map(given -> read(given, Payloads.React.class))
                .orElseGet(() -> read(entry, Payloads.React.class));
        if (named.eventId() != null) {
            client.redact(named.roomId(), "sn-back-" + entry.id(), named.eventId());
        }
    }

    private void keep(OutboxEntry entry, Object payload) {
        store.setPayload(entry.owner(), entry.id(), json.writeValueAsString(payload));
    }

    private <T> T read(OutboxEntry entry, Class<T> type) {
        return json.readValue(entry.payload(), type);
    }
}
