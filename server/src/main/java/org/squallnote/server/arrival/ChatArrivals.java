package org.squallnote.server.arrival;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.ChatChange;
import org.squallnote.core.message.ChatText;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Files;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Parties;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.message.Reaction;
import org.squallnote.core.message.ReadingSummary;
import org.squallnote.core.message.Recipients;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.StoredMessageBuilder;
import org.squallnote.core.message.Texts;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.source.ChatRoom;
import org.squallnote.core.source.Source;
import org.squallnote.core.thread.ChatConversations;
import org.squallnote.server.live.LiveEvents;
import org.squallnote.server.live.Topic;
import org.squallnote.server.reading.AccountReader;
import org.squallnote.server.reading.AccountReaders;
import org.squallnote.server.reading.ReadableMessage;
import org.squallnote.server.reading.Readings;
import org.squallnote.server.time.UuidV7;
import org.squallnote.sources.chat.ChatEvent;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.RawMails;
import org.squallnote.store.source.SourceStore;

/** Takes in chat events. Must run inside {@link org.squallnote.server.command.OwnerLocks#write}. */
@Component
public class ChatArrivals {

    private final MessageStore messages;
    private final SourceStore sources;
    private final ThreadAssignment assignment;
    private final ThreadTurns turns;
    private final AccountReaders readers;
    private final Readings readings;
    private final IntakeGate gate;
    private final LiveEvents live;
    private final UuidV7 ids;
    private final RawMails rawMails;
    private final TakenBack takenBack;

    ChatArrivals(
            MessageStore messages,
            SourceStore sources,
            ThreadAssignment assignment,
            ThreadTurns turns,
            AccountReaders readers,
            Readings readings,
            IntakeGate gate,
            LiveEvents live,
            UuidV7 ids,
            RawMails rawMails,
            TakenBack takenBack) {
        this.takenBack = takenBack;
        this.rawMails = rawMails;
        this.messages = messages;
        this.sources = sources;
        this.assignment = assignment;
        this.turns = turns;
        this.readers = readers;
        this.readings = readings;
        this.gate = gate;
        this.live = live;
        this.ids = ids;
    }

    /**
     * Takes in events of any rooms.
     *
     * @return whether one of the messages was known before
     */
    public boolean takeIn(Source source, List<ChatEvent> events) {
        UUID owner = source.owner();
        boolean known = false;
        AccountReader reader = readers.of(owner);
        Map<String, List<StoredMessage>> freshByRoom = new LinkedHashMap<>();
        for (ChatEvent event : events) {
            if (event instanceof ChatEvent.Invitation invitation) {
                if (messages.idOf(owner, identity(invitation.eventId())).isEmpty()
                        && messages.invitations(owner, invitation.roomId()).isEmpty()) {
                    freshByRoom
                            .computeIfAbsent(invitation.roomId(), room -> new ArrayList<>())
                            .add(store(source, invited(source, invitation), reader));
                }
            } else if (event instanceof ChatEvent.Departure departure) {
                messages.invitations(owner, departure.roomId())
                        .forEach(gone -> withdraw(owner, gone, departure.sentAt(), reader));
                leave(source, departure.roomId());
            } else if (event instanceof ChatEvent.Message message) {
                if (messages.idOf(owner, identity(message.eventId())).isPresent()) {
                    known = true;
                    continue;
                }
                StoredMessage stored = store(source, message, reader);
                messages.changesOf(owner, message.eventId()).forEach(change -> apply(owner, change, reader));
                freshByRoom
                        .computeIfAbsent(message.roomId(), room -> new ArrayList<>())
                        .add(stored);
            } else {
                takeInChange(owner, event, reader);
            }
        }
        freshByRoom.forEach((room, fresh) -> {
            Set<UUID> touched = rethread(owner, room, fresh);
            fresh.stream()
                    .filter(message -> message.direction() == Direction.OUTGOING)
                    .forEach(message -> turns.reminded(owner, message.messageId()));
            gate.decide(owner, source.id(), fresh, touched, false);
        });
        live.changed(owner, List.of(Topic.THREADS));
        return known;
    }

    private void takeInChange(UUID owner, ChatEvent event, AccountReader reader) {
        if (event instanceof ChatEvent.Reaction reaction) {
            boolean takenBack =
                    messages.changesOf(owner, reaction.eventId()).stream().anyMatch(ChatChange::removal);
            if (!takenBack) {
                messages.saveReaction(
                        owner,
                        new Reaction(
                                reaction.eventId(),
                                reaction.target(),
                                reaction.sender(),
                                reaction.content(),
                                reaction.sentAt()));
                refreshTurn(owner, reaction.target());
            }
        } else if (event instanceof ChatEvent.Edit edit) {
            keep(
                    owner,
                    new ChatChange(edit.eventId(), edit.target(), edit.sender(), false, edit.text(), edit.sentAt()),
                    reader);
        } else if (event instanceof ChatEvent.Removal removal) {
            Optional<Reaction> reaction = messages.reaction(owner, removal.target());
            messages.deleteReaction(owner, removal.target());
            reaction.ifPresent(gone -> refreshTurn(owner, gone.target()));
            keep(
                    owner,
                    new ChatChange(removal.eventId(), removal.target(), removal.sender(), true, "", removal.sentAt()),
                    reader);
        }
    }

    private void refreshTurn(UUID owner, String eventId) {
        messages.byIdentity(owner, identity(eventId))
                .filter(message -> !message.threadId().equals(MailThreads.UNTHREADED))
                .ifPresent(message -> turns.refresh(owner, message.threadId()));
    }

    private void keep(UUID owner, ChatChange change, AccountReader reader) {
        messages.saveChange(owner, change);
        // In the order in which they were made, since reading backwards meets the last edit first.
        messages.changesOf(owner, change.target()).forEach(each -> apply(owner, each, reader));
        refreshTurn(owner, change.target());
        live.changed(owner, List.of(Topic.INTAKE, Topic.FOLLOW_UPS));
    }

    private void apply(UUID owner, ChatChange change, AccountReader reader) {
        messages.byIdentity(owner, identity(change.target())).ifPresent(message -> {
            if (change.removal()) {
                takenBack.forget(owner, message);
                messages.forgetChanges(owner, change.target());
            } else if (message.fromAddress().equals(change.sender().toLowerCase(Locale.ROOT))) {
                messages.edit(
                        owner,
                        message.id(),
                        change.body(),
                        ChatText.beginning(change.body(), message.recipients().to()));
            }
            messages.byId(owner, message.id()).ifPresent(changed -> readings.refresh(reader, changed));
        });
    }

    /** An invitation that was taken back, or declined elsewhere, waits for nothing. */
    private void withdraw(UUID owner, StoredMessage invitation, Instant at, AccountReader reader) {
        messages.decide(owner, invitation.id(), Decision.NOTHING, at);
        takenBack.forget(owner, invitation);
        messages.byId(owner, invitation.id()).ifPresent(gone -> readings.refresh(reader, gone));
        turns.refresh(owner, invitation.threadId());
        live.changed(owner, List.of(Topic.INTAKE));
    }

    /** The room stays known by its name, with those who are still in it. */
    private void leave(Source source, String roomId) {
        sources.room(source.owner(), roomId)
                .ifPresent(room -> sources.saveRoom(
                        source.owner(),
                        source.id(),
                        new ChatRoom(
                                roomId,
                                room.name(),
                                room.direct(),
                                new Parties(room.members().list().stream()
                                        .filter(member -> !member.address().equalsIgnoreCase(source.address()))
                                        .toList()))));
        live.changed(source.owner(), List.of(Topic.SOURCES));
    }

    /** The invitation as the message that it is to me; the room is known from now on. */
    private ChatEvent.Message invited(Source source, ChatEvent.Invitation invitation) {
        String name = invitation.roomName().isBlank() ? invitation.senderName() : invitation.roomName();
        sources.saveRoom(
                source.owner(),
                source.id(),
                new ChatRoom(
                        invitation.roomId(),
                        name.isBlank() ? invitation.roomId() : name,
                        invitation.roomName().isBlank(),
                        new Parties(List.of(
                                new Party(
                                        invitation.senderName(),
                                        invitation.sender().toLowerCase(Locale.ROOT)),
                                new Party("", source.address())))));
        String words = invitation.roomName().isBlank()
                ? "Invites you to a direct conversation."
                : "Invites you to the room \u00ab" + invitation.roomName() + "\u00bb.";
        return new ChatEvent.Message(
                invitation.eventId(),
                invitation.roomId(),
                invitation.sender(),
                invitation.sentAt(),
                words,
                false,
                Optional.empty(),
                Optional.empty(),
                List.of(),
                Optional.empty(),
                invitation.raw());
    }

    static String identity(String eventId) {
        return "c:" + eventId;
    }

    private StoredMessage store(Source source, ChatEvent.Message event, AccountReader reader) {
        Optional<ChatRoom> room = sources.room(source.owner(), event.roomId());
        StoredMessage unread = toStore(source, event, room);
        boolean answersMine = readings.isMineInChat(source.owner(), event.answers());
        Reading reading = reader.read(ReadableMessage.chat(unread, room, answersMine), unread.direction());
        ReadingSummary found = Readings.found(
                reader, unread.party(), null, unread.nature(), unread.direction(), unread.sentAt(), reading);
        messages.insert(unread, found.wantedBy());
        rawMails.keep(source.owner(), unread.id(), RawMail.of(event.raw().getBytes(StandardCharsets.UTF_8)));
        messages.found(source.owner(), unread.id(), found);
        readings.keep(reader, unread, reading);
        if (unread.direction() == Direction.OUTGOING) {
            // Reading backwards meets answers before what they answer.
            messages.answering(source.owner(), event.roomId(), event.eventId())
                    .forEach(answer -> readings.refresh(reader, answer));
        }
        return unread;
    }

    private StoredMessage toStore(Source source, ChatEvent.Message event, Optional<ChatRoom> room) {
        UUID owner = source.owner();
        String sender = event.sender().toLowerCase(Locale.ROOT);
        List<Party> members = room.map(found -> found.members().list()).orElse(List.of());
        Party from = members.stream()
                .filter(member -> member.address().equals(sender))
                .findFirst()
                .orElse(new Party("", sender));
        List<Party> others = members.stream()
                .filter(member -> !member.address().equals(sender))
                .toList();
        boolean mine = sender.equals(source.address());
        return StoredMessageBuilder.builder()
                .id(ids.next())
                .owner(owner)
                .sourceId(source.id())
                .channel(Channel.CHAT)
                .identity(identity(event.eventId()))
                .direction(mine ? Direction.OUTGOING : Direction.INCOMING)
                .nature(nature(owner, event, mine))
                .fromName(from.name().length() > 200 ? from.name().substring(0, 200) : from.name())
                .fromAddress(from.address())
                .recipients(new Recipients(others, List.of(), List.of(), List.of()))
                .subject(ChatText.beginning(event.text(), members))
                .baseSubject("")
                .sentAt(event.sentAt())
                .receivedAt(event.sentAt())
                .body(event.text())
                .ask("")
                .files(new Files(event.file()
                        .map(file -> List.of(new Files.StoredFile(0, file.name(), file.type(), file.size())))
                        .orElse(List.of())))
                .notices(new Texts(List.of()))
                .messageId(event.eventId())
                .refs(new Texts(event.threadRoot().map(List::of).orElse(List.of())))
                .roomId(event.roomId())
                .answers(event.answers().or(event::threadRoot).orElse(null))
                .component(MailThreads.UNTHREADED)
                .threadId(MailThreads.UNTHREADED)
                .decision(Decision.NOT_ASKED)
                .mentions(new Texts(event.mentions().stream().limit(50).toList()))
                .build();
    }

    private Nature nature(UUID owner, ChatEvent.Message event, boolean mine) {
        if (ReadableMessage.isInvitation(event.eventId())) {
            return Nature.INVITATION;
        }
        return mine || isPersons(owner, event) ? Nature.PERSON : Nature.BULK;
    }

    /** Programs write notices, but some people do too: whoever has talked otherwise is one. */
    private boolean isPersons(UUID owner, ChatEvent.Message event) {
        return !event.notice() || messages.hasTalked(owner, event.sender().toLowerCase(Locale.ROOT));
    }

    /** Cuts the room into conversations again around the new messages. */
    Set<UUID> rethread(UUID owner, String roomId, List<StoredMessage> fresh) {
        Map<String, ThreadingRow> rows = new RoomRegion(messages, owner, roomId).around(fresh);
        List<ChatConversations.ChatMessage> chat = rows.values().stream()
                .map(row -> new ChatConversations.ChatMessage(
                        row.messageId(), row.sentAt(), RoomRegion.rootOf(row), Optional.ofNullable(row.answers())))
                .toList();
        List<List<ThreadingRow>> conversations = ChatConversations.of(chat).stream()
                .map(conversation -> conversation.stream().map(rows::get).toList())
                .toList();
        return assignment.assign(owner, conversations, row -> row.threadId().equals(MailThreads.UNTHREADED));
    }
}
