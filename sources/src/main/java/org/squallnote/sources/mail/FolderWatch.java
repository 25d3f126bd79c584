package org.squallnote.sources.mail;

import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import jakarta.mail.event.MessageCountAdapter;
import jakarta.mail.event.MessageCountEvent;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Future;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BiConsumer;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.eclipse.angus.mail.imap.ResyncData;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.squallnote.core.message.RawMail;
import org.squallnote.formats.mail.MailLimits;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.formats.mail.ParsedMail;
import org.squallnote.formats.mail.RawMailWriter;
import org.squallnote.sources.Backoff;
import org.squallnote.sources.Reason;

/**
 * Keeps one folder in step: first everything since the start day, then what arrives, by IDLE or by polling.
 *
 * <p>What is missing is always computed as the difference between the UIDs that the server has and those that the
 * journal knows. So it does not matter at which instruction the last run ended.
 */
final class FolderWatch implements Runnable {

    private static final Logger LOG = LoggerFactory.getLogger(FolderWatch.class);
    private static final int MOST_MESSAGES_A_BATCH = 50;
    private static final long MOST_BYTES_A_BATCH = 16L * 1024 * 1024;
    /** Of a message that is larger than the limit, this much is kept. */
    private static final int BEGINNING_OF_LARGE = 1024 * 1024;

    /**
     * How a server is watched.
     *
     * @param idleRound how long an IDLE lasts before the server is asked whether it is there
     * @param silence how long it may take to answer that, before the connection is given up
     */
    record Rounds(Duration idleRound, Duration silence) {

        /**
         * Well under the half hour after which a server may end an IDLE (RFC 2177), and short enough that a server that
         * has fallen silent is not called live for a minute.
         */
        static final Rounds USUAL = new Rounds(Duration.ofSeconds(35), Duration.ofSeconds(20));
    }

    private static final Duration POLL = Duration.ofSeconds(10);

    /** So long after news the folder is looked at again, whatever was done meanwhile. */
    private static final Duration SECOND_LOOK = Duration.ofMillis(100);

    /** What a watch tells its account. */
    interface Listener {

        void reading(String folder, int done, int total);

        void live(String folder);

        void trouble(String folder, MessagingException problem);
    }

    private final MailConnection connection;
    private final String folderName;
    private final LocalDate since;
    private final MailJournal journal;
    private final Listener listener;
    private final ScheduledExecutorService timer;
    private final Rounds rounds;
    private final Set<Long> unreadable = new HashSet<>();
    /** So that a thousand messages that are copied at once are looked at once. */
    private final AtomicBoolean lookPending = new AtomicBoolean();

    private volatile boolean stopped;
    private volatile @Nullable IMAPStore open;

    FolderWatch(
            MailConnection connection,
            String folderName,
            LocalDate since,
            MailJournal journal,
            Listener listener,
            ScheduledExecutorService timer,
            Rounds rounds) {
        this.connection = connection;
        this.folderName = folderName;
        this.since = since;
        this.journal = journal;
        this.listener = listener;
        this.timer = timer;
        this.rounds = rounds;
    }

    void stop() {
        stopped = true;
        IMAPStore store = open;
        if (store != null) {
            try {
                store.close();
            } catch (MessagingException e) {
                LOG.debug("Closing {} failed", folderName, e);
            }
        }
    }

    @Override
    public void run() {
        Backoff backoff = new Backoff();
        while (!stopped) {
            try (IMAPStore store = connection.openImap()) {
                open = store;
                IMAPFolder folder = (IMAPFolder) store.getFolder(folderName);
                openFolder(store, folder);
                follow(store, folder, backoff);
            } catch (MessagingException e) {
                if (!stopped) {
                    LOG.debug("Reading {} failed", folderName, e);
                    listener.trouble(folderName, e);
                    pause(backoff.next());
                }
            } catch (RuntimeException e) {
                if (stopped) {
                    return;
                }
                LOG.warn("Reading {} failed", folderName, e);
                listener.trouble(folderName, new MessagingException(Reason.of(e), e));
                pause(backoff.next());
            }
        }
    }

    private static void openFolder(IMAPStore store, IMAPFolder folder) throws MessagingException {
        if (store.hasCapability("CONDSTORE")) {
            folder.open(Folder.READ_ONLY, ResyncData.CONDSTORE);
        } else {
            folder.open(Folder.READ_ONLY);
        }
    }

    private void follow(IMAPStore store, IMAPFolder folder, Backoff backoff) throws MessagingException {
        ImapCommands commands = new ImapCommands(folder);
        folder.addMessageCountListener(new MessageCountAdapter() {
            @Override
            public void messagesAdded(MessageCountEvent news) {
                lookAgain(commands);
            }
        });
        long validity = folder.getUIDValidity();
        Set<Long> known = new HashSet<>(journal.knownUids(folderName, validity));
        // Older mail may have a high UID when it was copied into the folder later; it stays out by its date.
        long next = folder.getUIDNext() > 0 ? folder.getUIDNext() : commands.highestUid() + 1;
        long modSeq = folder.getHighestModSeq();
        boolean unchanged = modSeq > 0
                && journal.completeAt(folderName, validity)
                        .filter(at -> at == modSeq)
                        .isPresent();
        if (!unchanged) {
            List<Long> missing = new ArrayList<>(commands.searchSince(since));
            missing.removeAll(known);
            missing.sort(Collections.reverseOrder());
            read(commands, validity, missing, known, (done, total) -> listener.reading(folderName, done, total));
            if (modSeq > 0) {
                journal.markComplete(folderName, validity, modSeq);
            }
        }
        listener.live(folderName);
        backoff.reset();
        boolean canIdle = store.hasCapability("IDLE");
        while (!stopped) {
            List<Long> arrived = new ArrayList<>(commands.searchFrom(next));
            arrived.removeAll(known);
            read(commands, validity, arrived, known, (done, total) -> {});
            next = Math.max(
                    next, arrived.stream().mapToLong(uid -> uid + 1).max().orElse(0));
            if (arrived.isEmpty()) {
                awaitNews(folder, commands, canIdle);
            }
        }
    }

    private void awaitNews(IMAPFolder folder, ImapCommands commands, boolean canIdle) throws MessagingException {
        if (!canIdle) {
            pause(POLL);
            commands.noop();
            return;
        }
        // Any other command ends the IDLE. It is sent when a round is over, so that both sides see a living peer.
        ScheduledFuture<?> roundOver =
                timer.schedule(() -> endIdle(commands), rounds.idleRound().toMillis(), TimeUnit.MILLISECONDS);
        try {
            folder.idle(true);
        } finally {
            roundOver.cancel(false);
        }
    }

    /**
     * Ends an IDLE that began in the meantime: what the server told between the last search and the IDLE does not end it
     * by itself, and is told only once.
     */
    private void lookAgain(ImapCommands commands) {
        if (!stopped && lookPending.compareAndSet(false, true)) {
            try {
                timer.schedule(
                        () -> {
                            lookPending.set(false);
                            endIdle(commands);
                        },
                        SECOND_LOOK.toMillis(),
                        TimeUnit.MILLISECONDS);
            } catch (RejectedExecutionException e) {
                LOG.debug("{} is no longer watched", folderName, e);
            }
        }
    }

    private void endIdle(ImapCommands commands) {
        Future<?> givenUp = timer.schedule(commands::giveUp, rounds.silence().toMillis(), TimeUnit.MILLISECONDS);
        try {
            commands.noop();
        } catch (MessagingException e) {
            LOG.debug("Ending the IDLE on {} failed", folderName, e);
        } finally {
            givenUp.cancel(false);
        }
    }

    private void read(
            ImapCommands commands,
            long validity,
            List<Long> missing,
            Set<Long> known,
            BiConsumer<Integer, Integer> progress)
            throws MessagingException {
        int done = 0;
        while (done < missing.size() && !stopped) {
            progress.accept(done, missing.size());
            List<Long> slice = missing.subList(done, Math.min(done + MOST_MESSAGES_A_BATCH, missing.size()));
            Map<Long, Long> sizes = commands.sizes(slice);
            List<Long> batch = new ArrayList<>();
            long bytes = 0;
            for (Long uid : slice) {
                long size = Math.min(sizes.getOrDefault(uid, 0L), MailLimits.LARGEST_MESSAGE);
                if (!batch.isEmpty() && bytes + size > MOST_BYTES_A_BATCH) {
                    break;
                }
                batch.add(uid);
                bytes += size;
            }
            List<Long> small = batch.stream()
                    .filter(uid -> sizes.getOrDefault(uid, 0L) <= RawMail.LARGEST_IN_MEMORY)
                    .toList();
            fetchAndSave(commands, validity, small);
            for (Long uid : batch) {
                if (!small.contains(uid)) {
                    fetchLarge(commands, validity, uid, sizes.getOrDefault(uid, 0L));
                }
            }
            known.addAll(batch);
            done += batch.size();
        }
        if (!missing.isEmpty()) {
            progress.accept(done, missing.size());
        }
    }

    private void fetchAndSave(ImapCommands commands, long validity, List<Long> uids) throws MessagingException {
        if (uids.isEmpty()) {
            return;
        }
        List<ArrivedMail> batch = new ArrayList<>();
        List<Long> largerThanSaid = new ArrayList<>();
        for (ImapCommands.Fetched fetched : commands.fetch(uids, RawMail.LARGEST_IN_MEMORY + 1)) {
            if (fetched.raw().size() > RawMail.LARGEST_IN_MEMORY) {
                largerThanSaid.add(fetched.uid());
            } else {
                batch.add(arrived(fetched.uid(), fetched.receivedAt(), fetched.raw(), false));
            }
        }
        saveEach(validity, batch);
        for (Long uid : largerThanSaid) {
            fetchLarge(commands, validity, uid, 0);
        }
    }

    /** A large message goes to a file while it comes; of one that is too large only the beginning is asked for. */
    private void fetchLarge(ImapCommands commands, long validity, long uid, long size) throws MessagingException {
        boolean tooLarge = size > MailLimits.LARGEST_MESSAGE;
        try (RawMailWriter writer = new RawMailWriter(journal.spool())) {
            long most = tooLarge ? BEGINNING_OF_LARGE : MailLimits.LARGEST_MESSAGE + 1L;
            Optional<Instant> receivedAt = commands.fetchPieces(uid, most, writer::add);
            if (receivedAt.isPresent()) {
                boolean cut = tooLarge || writer.cut();
                saveEach(validity, List.of(arrived(uid, receivedAt.get(), writer.take(), cut)));
            }
        } catch (IOException | UncheckedIOException e) {
            if (unreadable.add(uid)) {
                LOG.error("Message {} of {} could not be kept and is left on the server", uid, folderName, e);
            }
        }
    }

    private ArrivedMail arrived(long uid, Instant atServer, RawMail raw, boolean cut) {
        Instant receivedAt = Optional.of(atServer)
                .filter(at -> at.isAfter(Instant.EPOCH))
                .orElse(since.atStartOfDay(ZoneOffset.UTC).toInstant());
        ParsedMail parsed = MailParser.parse(raw);
        return new ArrivedMail(uid, receivedAt, raw, cut ? parsed.noting(MailLimits.CUT_NOTICE) : parsed);
    }

    /** Puts a batch down; where one message spoils it, the others still arrive. */
    private void saveEach(long validity, List<ArrivedMail> batch) {
        try {
            journal.save(folderName, validity, batch);
        } catch (RuntimeException e) {
            if (batch.size() == 1) {
                if (unreadable.add(batch.get(0).uid())) {
                    LOG.error(
                            "Message {} of {} could not be stored and is left on the server",
                            batch.get(0).uid(),
                            folderName,
                            e);
                }
                return;
            }
            batch.forEach(mail -> saveEach(validity, List.of(mail)));
        }
    }

    private void pause(Duration duration) {
        long until = System.nanoTime() + duration.toNanos();
        while (!stopped && System.nanoTime() < until) {
            try {
                Thread.sleep(Math.min(200, duration.toMillis()));
            } catch (InterruptedException e) {
                stopped = true;
                Thread.currentThread().interrupt();
            }
        }
    }
}
