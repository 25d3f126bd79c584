package org.squallnote.sources.mail;

import jakarta.mail.MessagingException;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import org.squallnote.sources.Ending;
import org.squallnote.sources.SyncStatus;

/** Keeps a mail account in step, one watch for each folder. */
public final class MailSync implements AutoCloseable {

    /** How long an end waits for what is being written. */
    private static final Duration PATIENCE = Duration.ofSeconds(3);

    private final List<FolderWatch> watches = new ArrayList<>();
    private final List<Thread> threads = new CopyOnWriteArrayList<>();
    private final ScheduledExecutorService timer;

    /**
     * Prepares the watches.
     *
     * @param since the first day that is read
     */
    public MailSync(MailAccount account, LocalDate since, MailJournal journal, SyncStatus status) {
        this(account, since, journal, status, FolderWatch.Rounds.USUAL);
    }

    MailSync(MailAccount account, LocalDate since, MailJournal journal, SyncStatus status, FolderWatch.Rounds rounds) {
        this.timer = Executors.newScheduledThreadPool(3, work -> daemon(work, "idle-rounds " + account.address()));
        MailConnection connection = new MailConnection(account);
        Progress progress = new Progress(connection, status);
        List<String> folders = new ArrayList<>(List.of(account.settings().inbox()));
        account.settings().sent().ifPresent(folders::add);
        for (String folder : folders) {
            progress.expect(folder);
            watches.add(new FolderWatch(connection, folder, since, journal, progress, timer, rounds));
        }
    }

    /** Starts reading in the background. */
    public void start() {
        for (FolderWatch watch : watches) {
            Thread thread = daemon(watch, "mail-watch");
            threads.add(thread);
            thread.start();
        }
    }

    @Override
    public void close() {
        watches.forEach(FolderWatch::stop);
        timer.shutdownNow();
        Ending.await(threads, PATIENCE);
    }

    private static Thread daemon(Runnable work, String name) {
        Thread thread = new Thread(work, name);
        thread.setDaemon(true);
        return thread;
    }

    /** Sums up the folders: reading while one is read, trouble while one has trouble, else live. */
    private static final class Progress implements FolderWatch.Listener {

        private record State(int done, int total, boolean live, boolean trouble) {}

        private final Map<String, State> byFolder = new ConcurrentHashMap<>();
        private final MailConnection connection;
        private final SyncStatus status;

        Progress(MailConnection connection, SyncStatus status) {
            this.connection = connection;
            this.status = status;
        }

        void expect(String folder) {
            byFolder.put(folder, new State(0, 0, false, false));
        }

        @Override
        public synchronized void reading(String folder, int done, int total) {
            byFolder.put(folder, new State(done, total, false, false));
            report();
        }

        @Override
        public synchronized void live(String folder) {
            State last = byFolder.getOrDefault(folder, new State(0, 0, false, false));
            byFolder.put(folder, new State(last.total(), last.total(), true, false));
            report();
        }

        @Override
        public synchronized void trouble(String folder, MessagingException problem) {
            byFolder.put(folder, new State(0, 0, false, true));
            status.trouble(MailProblems.explain(problem, connection.trust()));
        }

        private void report() {
            if (byFolder.values().stream().anyMatch(State::trouble)) {
                return;
            }
            if (byFolder.values().stream().allMatch(State::live)) {
                status.live();
            } else {
                status.reading(
                        byFolder.values().stream().mapToInt(State::done).sum(),
                        byFolder.values().stream().mapToInt(State::total).sum());
            }
        }
    }
}
