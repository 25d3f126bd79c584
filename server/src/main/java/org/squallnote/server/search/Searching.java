package org.squallnote.server.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
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
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.search.Filter;
import org.squallnote.core.search.KeptSearch;
import org.squallnote.core.search.Kind;
import org.squallnote.core.text.Beginning;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.search.Found;
import org.squallnote.search.OwnerIndex;
import org.squallnote.search.Snippet;
import org.squallnote.search.Snippets;
import org.squallnote.search.Wanted;
import org.squallnote.server.account.SignedIn;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.search.SearchStore;
import org.squallnote.store.source.SourceStore;
import org.squallnote.store.thread.ThreadStore;

/** Looks for things, and says of each what it is and how it stands now. */
@Component
public class Searching {

    /** Of a thread one message is shown: so many more are looked for than are wanted. */
    private static final int MORE = 3;

    private static final int LONGEST_BEGINNING = 160;

    private final Indexes indexes;
    private final SearchStore store;
    private final MessageStore messages;
    private final FollowUpStore followUps;
    private final ThreadStore threads;
    private final SourceStore sources;
    private final Clock clock;

    Searching(
            Indexes indexes,
            SearchStore store,
            MessageStore messages,
            FollowUpStore followUps,
            ThreadStore threads,
            SourceStore sources,
            Clock clock) {
        this.indexes = indexes;
        this.store = store;
        this.messages = messages;
        this.followUps = followUps;
        this.threads = threads;
        this.sources = sources;
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

    /** A value that narrows, with the name by which it is offered. */
    record SearchChip(String value, String name, int count) {}

    /** Absent kinds of chips would narrow nothing. */
    record SearchChips(
            List<SearchChip> kinds,
            List<SearchChip> people,
            List<SearchChip> categories,
            List<SearchChip> sources,
            List<SearchChip> rooms,
            List<SearchChip> standings,
            List<SearchChip> files,
            List<SearchChip> linked) {}

    /**
     * What was found.
     *
     * @param total how many entries there are, before those of a thread are put together
     * @param asTyped whether each word was found as it was typed
     * @param behind how many changes the index has still to take in
     */
    record FoundView(List<FoundThing> results, long total, boolean asTyped, SearchChips chips, int behind) {}

    FoundView search(SignedIn me, String words, Filter filter, boolean newestFirst, int most) {
        OwnerIndex index = indexes.of(me.accountId());
        try {
            Found found = index.search(wanted(me, words, filter, newestFirst, most * MORE));
            return new FoundView(
                    results(me.accountId(), index, words, found, most),
                    found.total(),
                    found.asTyped(),
                    chips(me.accountId(), index, found.chips()),
                    store.count(me.accountId()));
        } catch (IOException e) {
            throw new UncheckedIOException("The index for finding things cannot be read", e);
        }
    }

    /** People by words, those heard of last first; each by an address and all names that they had. */
    public List<Known> people(SignedIn me, String words, int most) {
        OwnerIndex index = indexes.of(me.accountId());
        Filter onlyPeople = new Filter(Kind.PERSON, null, null, null, null, null, null, null, null, null);
        try {
            List<Known> people = new ArrayList<>();
            for (Found.Hit hit : index.search(wanted(me, words, onlyPeople, words.isBlank(), most))
                    .hits()) {
                people.add(new Known(hit.id(), names(index, hit.id())));
            }
            return people;
        } catch (IOException e) {
            throw new UncheckedIOException("The index for finding things cannot be read", e);
        }
    }

    /** The names that somebody had at an address, as far as the index knows it. */
    public List<String> names(SignedIn me, String address) {
        try {
            return names(indexes.of(me.accountId()), address);
        } catch (IOException e) {
            throw new UncheckedIOException("The index for finding things cannot be read", e);
        }
    }

    private static List<String> names(OwnerIndex index, String address) throws IOException {
        return index.kept(Kind.PERSON, address)
                .lines()
                .filter(name -> !name.isBlank())
                .toList();
    }

    /** Somebody who has written or was written to. */
    public record Known(String address, List<String> names) {}

    /** How many a kept search finds now. */
    int count(SignedIn me, KeptSearch kept) {
        try {
            return indexes.of(me.accountId()).count(wanted(me, kept.words(), kept.filter(), true, 1));
        } catch (IOException e) {
            throw new UncheckedIOException("The index for finding things cannot be read", e);
        }
    }

    private Wanted wanted(SignedIn me, String words, Filter filter, boolean newestFirst, int most) {
        return new Wanted(words, filter, me.zoneId(), clock.instant(), newestFirst, most);
    }

    private List<FoundThing> results(UUID owner, OwnerIndex index, String words, Found found, int most)
            throws IOException {
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
                        result =
                                followUps.byId(owner, UUID.fromString(hit.id())).map(each -> followUp(each, snippets));
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

    private FoundThing followUp(FollowUp followUp, Snippets snippets) {
        Snippet snippet = snippets.of(Entries.text(followUp, followUps.links(followUp.owner(), followUp.id())));
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

    private SearchChips chips(UUID owner, OwnerIndex index, Found.Chips chips) throws IOException {
        Map<String, String> names = new HashMap<>();
        for (Found.Chip each : chips.people()) {
            names.put(
                    each.value(),
                    index.kept(Kind.PERSON, each.value()).lines().findFirst().orElse(each.value()));
        }
        return new SearchChips(
                of(chips.kinds(), Map.of()),
                of(chips.people(), names),
                of(chips.categories(), Map.of()),
                of(chips.sources(), Map.of()),
                of(chips.rooms(), chips.rooms().isEmpty() ? Map.of() : rooms(owner)),
                of(chips.standings(), Map.of()),
                of(chips.files(), Map.of()),
                of(chips.linked(), Map.of()));
    }

    private Map<String, String> rooms(UUID owner) {
        Map<String, String> names = new HashMap<>();
        sources.of(owner)
                .forEach(source ->
                        sources.rooms(owner, source.id()).forEach(room -> names.put(room.roomId(), room.name())));
        return names;
    }

    private static List<SearchChip> of(List<Found.Chip> chips, Map<String, String> names) {
        return chips.stream()
                .map(each -> new SearchChip(each.value(), names.getOrDefault(each.value(), ""), each.count()))
                .toList();
    }
}
