package org.squallnote.server.search;

import java.io.IOException;
import java.io.InputStream;
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
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Files;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.search.Kind;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.search.Entry;
import org.squallnote.search.FileText;
import org.squallnote.search.OwnerIndex;
import org.squallnote.server.live.LiveEvents;
import org.squallnote.server.live.Topic;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.RawMails;
import org.squallnote.store.search.Pending;
import org.squallnote.store.search.SearchStore;
import org.squallnote.store.source.SourceStore;

/**
 * Puts what has changed into the indexes. A mark goes when the index has what it stands for on its disk, so that a kill
 * loses nothing; what is put twice stands there once. Files are read apart, so that messages do not wait for them.
 */
@Component
public class Indexing {

    private static final Logger LOG = LoggerFactory.getLogger(Indexing.class);
    private static final int BATCH = 400;
    private static final int MOST_FILES = 20;

    /** So long nothing is tried after the disk has refused. */
    private static final Duration PAUSE = Duration.ofSeconds(30);

    /** When somebody was heard of last is not told anew for less. */
    private static final Duration SAME_TIME = Duration.ofDays(1);

    private final SearchStore store;
    private final MessageStore messages;
    private final FollowUpStore followUps;
    private final SourceStore sources;
    private final AccountStore accounts;
    private final RawMails rawMails;
    private final Indexes indexes;
    private final Entries entries;
    private final LiveEvents live;
    private final boolean byItself;
    private final Clock clock;
    private volatile Optional<Instant> failed = Optional.empty();
    private final FileText fileText = new FileText();
    private final Map<UUID, Map<String, Person>> people = new HashMap<>();

    private record Person(Set<String> names, Instant lastHeard) {}

    Indexing(
            SearchStore store,
            MessageStore messages,
            FollowUpStore followUps,
            SourceStore sources,
            AccountStore accounts,
            RawMails rawMails,
            Indexes indexes,
            Entries entries,
            LiveEvents live,
            Clock clock,
            Environment environment) {
        this.store = store;
        this.messages = messages;
        this.followUps = followUps;
        this.sources = sources;
        this.accounts = accounts;
        this.rawMails = rawMails;
        this.indexes = indexes;
        this.entries = entries;
        this.live = live;
        this.clock = clock;
        this.byItself = !environment.matchesProfiles("command");
    }

    /** Takes in what has changed, a batch after the other. */
    @Scheduled(initialDelay = 300, fixedDelayString = "${squallnote.search.every:400}")
    void goOn() {
        if (byItself && !hasFailed()) {
            try {
                accounts.all().forEach(account -> indexes.of(account.id()));
                catchUp();
            } catch (UncheckedIOException e) {
                // What is marked stays marked; a full disk is not asked again and again.
                failed = Optional.of(clock.instant());
                LOG.warn("Finding is behind: it is tried again in {} s", PAUSE.toSeconds(), e);
            }
        }
    }

    private boolean hasFailed() {
        return failed.filter(at -> Duration.between(at, clock.instant()).compareTo(PAUSE) < 0)
                .isPresent();
    }

    /** Reads the files of messages that have come. */
    @Scheduled(initialDelay = 2_000, fixedDelayString = "${squallnote.search.every:1500}")
    void readFiles() {
        if (byItself && !hasFailed()) {
            catchUpFiles();
        }
    }

    /** Takes in everything that has changed until now. */
    public synchronized void catchUp() {
        for (List<Pending> next = store.pending(BATCH); !next.isEmpty(); next = store.pending(BATCH)) {
            next.stream()
                    .collect(Collectors.groupingBy(Pending::owner, LinkedHashMap::new, Collectors.toList()))
                    .forEach(this::takeOrLeave);
            if (Thread.currentThread().isInterrupted()) {
                return;
            }
        }
    }

    /** One that cannot be taken in keeps no other from being found. */
    private void takeOrLeave(UUID owner, List<Pending> marks) {
        try {
            take(owner, marks);
        } catch (UncheckedIOException | DataAccessException e) {
            throw e;
        } catch (RuntimeException e) {
            if (indexes.isBroken(owner)) {
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
            for (UUID id : followUpIds) {
                messageIds.addAll(index.links(id));
                Optional<FollowUp> followUp = followUps.byId(owner, id);
                if (followUp.isPresent()) {
                    Entry entry = entries.ofFollowUp(followUp.get());
                    messageIds.addAll(entry.links());
                    put.add(entry);
                } else {
                    index.remove(Kind.FOLLOW_UP, id.toString());
                }
            }
            Set<String> mine = new HashSet<>(sources.addresses(owner));
            for (StoredMessage message :
                    messageIds.isEmpty() ? List.<StoredMessage>of() : messages.byIds(owner, messageIds)) {
                take(index, message, mine, put);
            }
            index.put(put);
            index.commit();
        } catch (IOException e) {
            throw new UncheckedIOException("The index for finding things cannot be written", e);
        }
        store.taken(marks.stream().map(Pending::seq).toList());
        live.changed(owner, List.of(Topic.SEARCHES));
    }

    private void take(OwnerIndex index, StoredMessage message, Set<String> mine, List<Entry> put) throws IOException {
        Optional<Entry> entry = entries.ofMessage(message, mine);
        if (entry.isEmpty()) {
            index.remove(Kind.MESSAGE, message.id().toString());
            index.removeFilesOf(message.id());
            return;
        }
        put.add(entry.get());
        people(index, message, mine, put);
        if (message.hasFiles() && !index.hasFilesOf(message.id())) {
            message.files().list().stream()
                    .limit(MOST_FILES)
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
                    List<Entry> read = files(message.get());
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

    private List<Entry> files(StoredMessage message) throws InterruptedException {
        List<Entry> put = new ArrayList<>();
        for (Files.StoredFile file :
                message.files().list().stream().limit(MOST_FILES).toList()) {
            // What lies at a homeserver is not fetched for this.
            if (message.channel() == Channel.MAIL && file.size() <= FileText.LARGEST) {
                String text = text(message, file);
                if (!text.isEmpty()) {
                    put.add(Entries.ofFile(message, file, text));
                }
            }
        }
        return put;
    }

    private String text(StoredMessage message, Files.StoredFile file) throws InterruptedException {
        try {
            Optional<RawMail> raw = rawMails.of(message.owner(), message.id());
            Optional<InputStream> content =
                    raw.isEmpty() ? Optional.empty() : MailParser.attachment(raw.get(), file.index());
            return content.isEmpty() ? "" : fileText.of(file.name(), content.get());
        } catch (IOException | RuntimeException e) {
            LOG.debug("The file of a message cannot be read", e);
            return "";
        }
    }
}
