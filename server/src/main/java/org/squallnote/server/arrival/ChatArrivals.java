package org.squallnote.server.arrival;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.intake.Decision;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Party;
import org.squallnote.core.reading.Ask;
import org.squallnote.core.reading.AskFinder;
import org.squallnote.core.thread.ChatConversations;
import org.squallnote.server.live.LiveEvents;
import org.squallnote.server.live.Topic;
import org.squallnote.server.time.UuidV7;
import org.squallnote.sources.chat.ChatEvent;
import org.squallnote.store.message.ChatChange;
import org.squallnote.store.message.Files;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.Reaction;
import org.squallnote.store.message.Recipients;
import org.squallnote.store.message.StoredMessage;
import org.squallnote.store.message.Texts;
import org.squallnote.store.message.ThreadingRow;
import org.squallnote.store.source.ChatRoom;
import org.squallnote.store.source.Source;
import org.squallnote.store.source.SourceStore;

/** Takes in chat events. Must run inside {@link org.squallnote.server.command.OwnerLocks#write}. */
@Component
public class ChatArrivals {

    /** How far around new messages a room is cut into conversations again. */
    private static final Duration WINDOW = Duration.ofDays(2);

    private final MessageStore messages;
    private final SourceStore sources;
    private final ThreadAssignment assignment;
    private final IntakeGate gate;
    private final LiveEvents live;
    private final UuidV7 ids;

    ChatArrivals(
            MessageStore messages,
            SourceStore sources,
            ThreadAssignment assignment,
            IntakeGate gate,
            LiveEvents live,
            UuidV7 ids) {
        this.messages = messages;
        this.sources = sources;
        this.assignment = assignment;
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
        Map<String, List<StoredMessage>> freshByRoom = new LinkedHashMap<>();
        for (ChatEvent event : events) {
            if (event instanceof ChatEvent.Message message) {
                if (messages.idOf(owner, identity(message.eventId())).isPresent()) {
                    known = true;
                    continue;
                }
                StoredMessage stored = toStore(source, message);
                messages.insert(stored);
                messages.insertRaw(owner, stored.id(), message.raw().getBytes(StandardCharsets.UTF_8));
                messages.changesOf(owner, message.eventId()).forEach(change -> apply(owner, change));
                freshByRoom
                        .computeIfAbsent(message.roomId(), room -> new ArrayList<>())
                        .add(stored);
            } else {
                takeInChange(owner, event);
            }
        }
        freshByRoom.forEach((room, fresh) -> {
            Set<UUID> touched = rethread(owner, room, fresh);
            gate.decide(owner, source.id(), fresh, touched, false);
        });
        live.changed(owner, List.of(Topic.THREADS));
        return known;
    }

    private void takeInChange(UUID owner, ChatEvent event) {
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
            }
        } else if (event instanceof ChatEvent.Edit edit) {
            keep(
                    owner,
                    new ChatChange(edit.eventId(), edit.target(), edit.sender(), false, edit.text(), edit.sentAt()));
        } else if (event instanceof ChatEvent.Removal removal) {
            messages.deleteReaction(owner, removal.target());
            keep(
                    owner,
                    new ChatChange(removal.eventId(), removal.target(), removal.sender(), true, "", removal.sentAt()));
        }
    }

    private void keep(UUID owner, ChatChange change) {
        messages.saveChange(owner, change);
        // In the order in which they were made, since reading backwards meets the last edit first.
        messages.changesOf(owner, change.target()).forEach(each -> apply(owner, each));
        live.changed(owner, List.of(Topic.INTAKE));
    }

    private void apply(UUID owner, ChatChange change) {
        messages.byIdentity(owner, identity(change.target())).ifPresent(message -> {
            if (change.removal()) {
                messages.remove(owner, message.id());
            } else if (message.fromAddress().equals(change.sender().toLowerCase(Locale.ROOT))) {
                Optional<Ask> ask =
                        message.direction() == Direction.INCOMING ? AskFinder.firstIn(change.body()) : Optional.empty();
                messages.edit(
                        owner,
                        message.id(),
                        change.body(),
                        ask.isPresent(),
                        ask.map(Ask::sentence).map(MailArrivals::cutAsk).orElse(""));
            }
        });
    }

    private static String identity(String eventId) {
        return "c:" + eventId;
    }

    private StoredMessage toStore(Source source, ChatEvent.Message event) {
        UUID owner = source.owner();
        Optional<ChatRoom> room = sources.room(owner, event.roomId());
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
        boolean addressed = room.map(ChatRoom::direct).orElse(false)
                || event.mentions().contains("@room")
                || event.mentions().stream().anyMatch(source.address()::equalsIgnoreCase)
                || answersMine(owner, event);
        Optional<Ask> ask =
                !mine && addressed && !event.automatic() ? AskFinder.firstIn(event.text()) : Optional.empty();
        String beginning = event.text().replaceAll("\\s+", " ").strip();
        return new StoredMessage(
                ids.next(),
                owner,
                source.id(),
                Channel.CHAT,
                identity(event.eventId()),
                mine ? Direction.OUTGOING : Direction.INCOMING,
                event.automatic() ? Nature.BULK : Nature.PERSON,
                from.name().length() > 200 ? from.name().substring(0, 200) : from.name(),
                from.address(),
                new Recipients(others, List.of(), List.of()),
                beginning.length() > 120 ? beginning.substring(0, 119) + "…" : beginning,
                "",
                event.sentAt(),
                event.sentAt(),
                event.text(),
                ask.isPresent(),
                ask.map(Ask::sentence).map(MailArrivals::cutAsk).orElse(""),
                false,
                new Files(event.file()
                        .map(file -> List.of(new Files.StoredFile(0, file.name(), file.type(), file.size())))
                        .orElse(List.of())),
                new Texts(List.of()),
                event.eventId(),
                new Texts(event.threadRoot().map(List::of).orElse(List.of())),
                event.roomId(),
                event.threadRoot().or(event::answers).orElse(null),
                MailThreads.UNTHREADED,
                MailThreads.UNTHREADED,
                Decision.NOT_ASKED,
                null,
                false,
                false,
                0);
    }

    private boolean answersMine(UUID owner, ChatEvent.Message event) {
        return event.answers()
                .flatMap(id -> messages.byIdentity(owner, identity(id)))
                .filter(message -> message.direction() == Direction.OUTGOING)
                .isPresent();
    }

    /** Cuts the room into conversations again around the new messages. */
    private Set<UUID> rethread(UUID owner, String roomId, List<StoredMessage> fresh) {
        Instant first = fresh.stream()
                .map(StoredMessage::sentAt)
                .min(Instant::compareTo)
                .orElseThrow();
        Instant last = fresh.stream()
                .map(StoredMessage::sentAt)
                .max(Instant::compareTo)
                .orElseThrow();
        Map<String, ThreadingRow> rows = new TreeMap<>();
        messages.inRoom(owner, roomId, first.minus(WINDOW), last.plus(WINDOW))
                .forEach(row -> rows.put(row.messageId(), row));
        addAnswered(owner, rows);
        List<ChatConversations.ChatMessage> chat = rows.values().stream()
                .map(row -> new ChatConversations.ChatMessage(
                        row.messageId(), row.sentAt(), Optional.ofNullable(row.answers())))
                .toList();
        List<List<ThreadingRow>> conversations = ChatConversations.of(chat).stream()
                .map(conversation -> conversation.stream().map(rows::get).toList())
                .toList();
        return assignment.assign(owner, conversations);
    }

    /** Adds the messages outside of the window that are answered from within, with what they belong to. */
    private void addAnswered(UUID owner, Map<String, ThreadingRow> rows) {
        Set<UUID> threads = new HashSet<>();
        for (ThreadingRow row : List.copyOf(rows.values())) {
            String answers = row.answers();
            if (answers != null && !rows.containsKey(answers)) {
                messages.byIdentity(owner, identity(answers)).ifPresent(message -> threads.add(message.threadId()));
            }
        }
        threads.remove(MailThreads.UNTHREADED);
        if (!threads.isEmpty()) {
            messages.threadingInThreads(owner, threads).forEach(row -> rows.putIfAbsent(row.messageId(), row));
        }
    }
}
