package org.squallnote.server.search;

import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpLink;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.search.Kind;
import org.squallnote.core.text.Beginning;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.search.Found;
import org.squallnote.search.OwnerIndex;
import org.squallnote.search.Snippet;
import org.squallnote.search.Snippets;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.thread.ThreadStore;

/** What the index has found, as it stands in the database now. */
@Component
class FoundThings {

    private static final int LONGEST_BEGINNING = 160;

    private final MessageStore messages;
    private final FollowUpStore followUps;
    private final ThreadStore threads;
    private final AttachedNames names;
    private final Clock clock;

    FoundThings(MessageStore messages, FollowUpStore followUps, ThreadStore threads, AttachedNames names, Clock clock) {
        this.messages = messages;
        this.followUps = followUps;
        this.threads = threads;
        this.names = names;
        this.clock = clock;
    }

    /** What a result is. */
    enum Sort {
        MESSAGE,
        /** Several messages of one, of which the best is shown. */
        THREAD,
        FOLLOW_UP,
        PERSON,
        FILE
    }

    /** How it stands. */
    enum State {
        IN_INTAKE,
        WITH_ME,
        WITH_OTHERS,
        CLOSED,
        OPEN,
        DONE,
        DROPPED,
        NONE
    }

    /**
     * Something that was found.
     *
     * @param id of the message, follow-up or thread; the address of a person; of a file the message's id, a colon, a number
     * @param snippet the sentence in which the words stand, else the beginning
     * @param hits where they stand in it, as first and behind the last character
     * @param who wrote it, or whom it concerns
     * @param more how many other messages of the thread were found among the best
     */
    record FoundThing(
            Sort kind,
            String id,
            String title,
            String snippet,
            List<Snippet.Span> hits,
            String who,
            Instant at,
            State state,
            @Nullable UUID messageId,
            @Nullable UUID threadId,
            @Nullable UUID categoryId,
            int more) {}

    List<FoundThing> of(UUID owner, OwnerIndex index, String words, Found found, int most) throws IOException {
        Snippets snippets = new Snippets(words, found.similar());
        List<UUID> messageIds = found.hits().stream()
                .filter(hit -> hit.kind() == Kind.MESSAGE || hit.kind() == Kind.FILE)
                .map(hit -> messageId(hit.id()))
                .distinct()
                .toList();
        Map<UUID, StoredMessage> messageOf = messageIds.isEmpty()
                ? Map.of()
                : messages.byIds(owner, messageIds).stream()
                        .collect(Collectors.toMap(StoredMessage::id, Function.identity()));
        List<UUID> threadIds = messageOf.values().stream()
                .map(StoredMessage::threadId)
                .distinct()
                .toList();
        Map<UUID, StoredThread> threadOf = threadIds.isEmpty()
                ? Map.of()
                : threads.byIds(owner, threadIds).stream()
                        .collect(Collectors.toMap(StoredThread::id, Function.identity()));
        Map<UUID, FollowUp> followUpOf = followUps(owner, found);
        Map<UUID, List<FollowUpLink>> linksOf = followUpOf.isEmpty()
                ? Map.of()
                : followUps.linksOf(owner, followUpOf.keySet()).stream()
                        .collect(Collectors.groupingBy(FollowUpLink::followUpId));
        Map<UUID, List<String>> attachedTo = names.of(owner, followUpOf.keySet());
        Map<String, FoundThing> results = new LinkedHashMap<>();
        for (Found.Hit hit : found.hits()) {
            Optional<FoundThing> result = Optional.empty();
            switch (hit.kind()) {
                case MESSAGE -> {
                    StoredMessage message = messageOf.get(messageId(hit.id()));
                    if (message != null) {
                        FoundThing of = results.get("thread " + message.threadId());
                        result = of == null && results.size() >= most
                                ? Optional.empty()
                                : Optional.of(of == null ? message(message, threadOf, snippets) : another(of));
                    }
                }
                case FILE -> {
                    StoredMessage message = messageOf.get(messageId(hit.id()));
                    if (message != null && results.size() < most) {
                        result = file(index, hit.id(), message, snippets);
                    }
                }
                case FOLLOW_UP -> {
                    if (results.size() < most) {
                        result = Optional.ofNullable(followUpOf.get(UUID.fromString(hit.id())))
                                .map(each -> followUp(
                                        each,
                                        linksOf.getOrDefault(each.id(), List.of()),
                                        attachedTo.getOrDefault(each.id(), List.of()),
                                        snippets));
                    }
                }
                case PERSON -> {
                    if (results.size() < most) {
                        result = Optional.of(person(index, hit.id()));
                    }
                }
            }
            result.ifPresent(each -> results.put(
                    each.kind() == Sort.MESSAGE || each.kind() == Sort.THREAD
                            ? "thread " + each.threadId()
                            : each.kind() + each.id(),
                    each));
        }
        return new ArrayList<>(results.values());
    }

    private Map<UUID, FollowUp> followUps(UUID owner, Found found) {
        List<UUID> ids = found.hits().stream()
                .filter(hit -> hit.kind() == Kind.FOLLOW_UP)
                .map(hit -> UUID.fromString(hit.id()))
                .toList();
        return ids.isEmpty()
                ? Map.of()
                : followUps.byIds(owner, ids).stream().collect(Collectors.toMap(FollowUp::id, Function.identity()));
    }

    private static UUID messageId(String id) {
        int colon = id.indexOf(':');
        return UUID.fromString(colon < 0 ? id : id.substring(0, colon));
    }

    private static FoundThing another(FoundThing first) {
        return new FoundThing(
                Sort.THREAD,
                String.valueOf(first.threadId()),
                first.title(),
                first.snippet(),
                first.hits(),
                first.who(),
                first.at(),
                first.state(),
                first.messageId(),
                first.threadId(),
                first.categoryId(),
                first.more() + 1);
    }

    private static FoundThing message(StoredMessage message, Map<UUID, StoredThread> threadOf, Snippets snippets) {
        Snippet snippet =
                orBeginning(snippets.of(message.body()), message.ask().isBlank() ? message.body() : message.ask());
        StoredThread thread = threadOf.get(message.threadId());
        State state = message.decision() == Decision.UNDECIDED && message.direction() == Direction.INCOMING
                ? State.IN_INTAKE
                : thread == null
                        ? State.NONE
                        : switch (thread.turn()) {
                            case WITH_ME -> State.WITH_ME;
                            case WITH_OTHERS -> State.WITH_OTHERS;
                            case CLOSED -> State.CLOSED;
                            case NOBODY -> State.NONE;
                        };
        return new FoundThing(
                Sort.MESSAGE,
                message.id().toString(),
                message.subject(),
                snippet.text(),
                snippet.hits(),
                message.direction() == Direction.OUTGOING ? "" : message.from().displayName(),
                message.sentAt(),
                state,
                message.id(),
                message.threadId(),
                null,
                0);
    }

    private static Optional<FoundThing> file(OwnerIndex index, String id, StoredMessage message, Snippets snippets)
            throws IOException {
        Snippet snippet = snippets.of(index.kept(Kind.FILE, id));
        int number = Integer.parseInt(id.substring(id.indexOf(':') + 1));
        return message.files().list().stream()
                .filter(file -> file.index() == number)
                .findFirst()
                .map(file -> new FoundThing(
                        Sort.FILE,
                        id,
                        file.name(),
                        snippet.text().isEmpty() ? "with “" + message.subject() + "”" : snippet.text(),
                        snippet.hits(),
                        message.from().displayName(),
                        message.sentAt(),
                        State.NONE,
                        message.id(),
                        message.threadId(),
                        null,
                        0));
    }

    private static FoundThing followUp(
            FollowUp followUp, List<FollowUpLink> links, List<String> attached, Snippets snippets) {
        Snippet snippet = snippets.of(Entries.text(followUp, links, attached));
        return new FoundThing(
                Sort.FOLLOW_UP,
                followUp.id().toString(),
                followUp.title(),
                snippet.text(),
                snippet.hits(),
                followUp.people().list().stream()
                        .map(party -> party.displayName())
                        .collect(Collectors.joining(", ")),
                followUp.createdAt(),
                switch (followUp.state()) {
                    case OPEN -> State.OPEN;
                    case DONE -> State.DONE;
                    case DROPPED -> State.DROPPED;
                },
                null,
                null,
                followUp.categoryId(),
                0);
    }

    private FoundThing person(OwnerIndex index, String address) throws IOException {
        List<String> names = index.kept(Kind.PERSON, address).lines().toList();
        return new FoundThing(
                Sort.PERSON,
                address,
                names.isEmpty() ? address : names.get(0),
                names.isEmpty() ? "" : address,
                List.of(),
                "",
                clock.instant(),
                State.NONE,
                null,
                null,
                null,
                0);
    }

    private static Snippet orBeginning(Snippet snippet, String text) {
        return snippet.text().isEmpty()
                ? new Snippet(Beginning.onOneLine(text, LONGEST_BEGINNING), List.of())
                : snippet;
    }
}
