package org.squallnote.server.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.env.Environment;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpLink;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.search.Kind;
import org.squallnote.core.thread.MadeFollowUp;
import org.squallnote.search.Entry;
import org.squallnote.search.OwnerIndex;
import org.squallnote.server.live.LiveEvents;
import org.squallnote.server.live.Topic;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.search.Pending;
import org.squallnote.store.search.SearchStore;
import org.squallnote.store.source.SourceStore;
import org.squallnote.store.thread.ThreadStore;

/**
 * Puts what has changed into the indexes. A mark goes when the index has what it stands for on its disk, so that a kill
 * loses nothing; what is put twice stands there once. Files are read apart, so that messages do not wait for them.
 */
@Component
public class Indexing {

    private static final Logger LOG = LoggerFactory.getLogger(Indexing.class);
    private static final int BATCH = 400;

    /** So long nothing is tried after the disk has refused. */
    private static final Duration PAUSE = Duration.ofSeconds(30);

    /** When somebody was heard of last is not told anew for less. */
    private static final Duration SAME_TIME = Duration.ofDays(1);

    private final SearchStore store;
    private final MessageStore messages;
    private final FollowUpStore followUps;
    private final ThreadStore threads;
    private final SourceStore sources;
    private final AccountStore accounts;
    private final FileReading fileReading;
    private final AttachedNames names;
    private final Indexes indexes;
    private final LiveEvents live;
    private final boolean byItself;
    private final Clock clock;
    private boolean begun;
    private volatile Optional<Instant> failed = Optional.empty();
    private final Map<UUID, Map<String, Person>> people = new HashMap<>();

    private record Person(Set<String> names, Instant lastHeard) {}

    Indexing(
            SearchStore store,
            MessageStore messages,
            FollowUpStore followUps,
            ThreadStore threads,
            SourceStore sources,
            AccountStore accounts,
            FileReading fileReading,
            AttachedNames names,
            Indexes indexes,
            LiveEvents live,
            Clock clock,
            Environment environment) {
        this.store = store;
        this.messages = messages;
        this.followUps = followUps;
        this.threads = threads;
        this.sources = sources;
        this.accounts = accounts;
        this.fileReading = fileReading;
        this.names = names;
        this.indexes = indexes;
        this.live = live;
        this.clock = clock;
        this.byItself = !environment.matchesProfiles("command");
    }

    /** Takes in what has changed, a batch after the other. */
    @Scheduled(initialDelay = 300, fixedDelayString = "${squallnote.search.every:400}")
    void goOn() {
        if (mayTry()) {
            try {
                if (!begun) {
                    // Those that are not there yet are begun; of later accounts each change says so.
                    accounts.all().forEach(account -> indexes.of(account.id()));
                    begun = true;
                }
                catchUp();
            } catch (UncheckedIOException e) {
                // What is marked stays marked; a full disk is not asked again and again.
                failed = Optional.of(clock.instant());
                if (!indexes.areClosed()) {
                    LOG.warn("Finding is behind: it is tried again in {} s", PAUSE.toSeconds(), e);
                }
            }
        }
    }

    private boolean mayTry() {
        return byItself && !indexes.areClosed() && !hasFailed();
    }

    private boolean hasFailed() {
        return failed.filter(at -> Duration.between(at, clock.instant()).compareTo(PAUSE) < 0)
                .isPresent();
    }

    /** Reads the files of messages that have come. */
    @Scheduled(initialDelay = 2_000, fixedDelayString = "${squallnote.search.every:1500}")
    void readFiles() {
        if (mayTry()) {
            catchUpFiles();
        }
    }

    /** Takes in everything that has changed until now. */
    public synchronized void catchUp() {
        Set<UUID> changed = new HashSet<>();
        for (List<Pending> next = store.pending(BATCH); !next.isEmpty(); next = store.pending(BATCH)) {
            next.stream()
                    .collect(Collectors.groupingBy(Pending::owner, LinkedHashMap::new, Collectors.toList()))
                    .forEach(this::takeOrLeave);
            next.forEach(each -> changed.add(each.owner()));
            if (Thread.currentThread().isInterrupted()) {
                return;
            }
        }
        // Once for all of it: an open page asks again each time.
        changed.forEach(owner -> live.changed(owner, List.of(Topic.SEARCHES)));
    }

    /** One that cannot be taken in keeps no other from being found. */
    private void takeOrLeave(UUID owner, List<Pending> marks) {
        try {
            take(owner, marks);
        } catch (UncheckedIOException | DataAccessException e) {
            throw e;
        } catch (RuntimeException e) {
            if (indexes.isBroken(owner) || indexes.areClosed()) {
                throw new UncheckedIOException("The index for finding things is broken", new IOException(e));
            }
            if (marks.size() > 1) {
                marks.forEach(one -> takeOrLeave(owner, List.of(one)));
            } else {
                LOG.warn("Something cannot be found: {}", marks, e);
                store.taken(marks.stream().map(Pending::seq).toList());
            }
        }
    }

    private void take(UUID owner, List<Pending> marks) {
        OwnerIndex index = indexes.of(owner);
        try {
            Set<UUID> messageIds = new LinkedHashSet<>();
            Set<UUID> followUpIds = new LinkedHashSet<>();
            for (Pending each : marks) {
                (each.what() == Pending.What.MESSAGE ? messageIds : followUpIds).add(each.subjectId());
            }
            List<Entry> put = new ArrayList<>();
            followUps(owner, index, followUpIds, messageIds, put);
            boolean takenBack = messages(owner, index, messageIds, put);
            index.put(put);
            index.commit();
            if (takenBack) {
                index.purge();
            }
        } catch (IOException e) {
            throw new UncheckedIOException("The index for finding things cannot be written", e);
        }
        store.taken(marks.stream().map(Pending::seq).toList());
    }

    /** @param messageIds gets the messages of the follow-ups, as they were and as they are: these change with them */
    private void followUps(UUID owner, OwnerIndex index, Set<UUID> ids, Set<UUID> messageIds, List<Entry> put)
            throws IOException {
        if (ids.isEmpty()) {
            return;
        }
        Map<UUID, List<FollowUpLink>> links =
                followUps.linksOf(owner, ids).stream().collect(Collectors.groupingBy(FollowUpLink::followUpId));
        Map<UUID, List<String>> attached = names.of(owner, ids);
        Set<UUID> gone = new HashSet<>(ids);
        for (FollowUp followUp : followUps.byIds(owner, ids)) {
            gone.remove(followUp.id());
            List<FollowUpLink> its = links.getOrDefault(followUp.id(), List.of());
            put.add(Entries.ofFollowUp(
                    followUp,
                    its,
                    attached.getOrDefault(followUp.id(), List.of()),
                    its.stream().findFirst().flatMap(link -> messages.byId(owner, link.messageId()))));
            its.forEach(link -> messageIds.add(link.messageId()));
        }
        for (UUID id : ids) {
            messageIds.addAll(index.links(id));
        }
        for (UUID id : gone) {
            index.remove(Kind.FOLLOW_UP, id.toString());
        }
    }

    /** @return whether one of them was taken back */
    private boolean messages(UUID owner, OwnerIndex index, Set<UUID> ids, List<Entry> put) throws IOException {
        if (ids.isEmpty()) {
            return false;
        }
        Set<String> mine = new HashSet<>(sources.addresses(owner));
        Map<UUID, List<MadeFollowUp>> made =
                threads.made(owner, ids).stream().collect(Collectors.groupingBy(MadeFollowUp::messageId));
        boolean takenBack = false;
        for (StoredMessage message : messages.byIds(owner, ids)) {
            Optional<Entry> entry = Entries.ofMessage(message, mine, made.getOrDefault(message.id(), List.of()));
            if (entry.isPresent()) {
                put.add(entry.get());
                people(index, message, mine, put);
                files(index, message, put);
            } else {
                index.remove(Kind.MESSAGE, message.id().toString());
                index.removeFilesOf(message.id());
                takenBack = true;
            }
        }
        return takenBack;
    }

    /** The files of a message are found by their names at once, and by their text when they were read. */
    private void files(OwnerIndex index, StoredMessage message, List<Entry> put) throws IOException {
        if (message.hasFiles() && !index.hasFilesOf(message.id())) {
            message.files().list().stream()
                    .limit(FileReading.MOST)
                    .forEach(file -> put.add(Entries.ofFile(message, file, "")));
            store.mark(message.owner(), Pending.What.FILES, message.id());
        }
    }

    /** Whoever wrote a message or got it is found by each name that they had. */
    private void people(OwnerIndex index, StoredMessage message, Set<String> mine, List<Entry> put) throws IOException {
        Map<String, Person> known = people.computeIfAbsent(message.owner(), owner -> new HashMap<>());
        for (Party party : Entries.people(message).toList()) {
            String address = party.address().toLowerCase(Locale.ROOT);
            if (address.isEmpty() || mine.contains(address)) {
                continue;
            }
            Person before = known.get(address);
            if (before == null) {
                Set<String> names = new LinkedHashSet<>(index.kept(Kind.PERSON, address)
                        .lines()
                        .filter(name -> !name.isBlank())
                        .toList());
                before = new Person(names, Instant.EPOCH);
            }
            boolean named =
                    !party.name().isBlank() && before.names().add(party.name().strip());
            boolean later = message.sentAt().isAfter(before.lastHeard().plus(SAME_TIME));
            Person now = new Person(before.names(), later ? message.sentAt() : before.lastHeard());
            known.put(address, now);
            if (named || later) {
                put.add(Entries.ofPerson(new Party("", party.address()), List.copyOf(now.names()), now.lastHeard()));
            }
        }
    }

    /** Reads the files of all messages that have come until now. */
    public void catchUpFiles() {
        for (List<Pending> next = store.pendingFiles(1); !next.isEmpty(); next = store.pendingFiles(1)) {
            Pending mark = next.get(0);
            try {
                OwnerIndex index = indexes.of(mark.owner());
                Optional<StoredMessage> message = messages.byId(mark.owner(), mark.subjectId());
                if (message.isPresent()) {
                    List<Entry> read = fileReading.of(message.get());
                    keep(index, message.get(), read);
                }
            } catch (IOException e) {
                throw new UncheckedIOException("The index for finding things cannot be written", e);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            }
            store.taken(List.of(mark.seq()));
        }
    }

    /** While its files were read, the message may have been taken back. */
    private synchronized void keep(OwnerIndex index, StoredMessage message, List<Entry> read) throws IOException {
        if (messages.byId(message.owner(), message.id())
                .filter(now -> !now.removed())
                .isPresent()) {
            index.put(read);
            index.commit();
        }
    }
}
