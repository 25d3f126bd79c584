package org.squallnote.server.arrival;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.server.live.LiveEvents;
import org.squallnote.server.live.Topic;
import org.squallnote.store.account.AccountStore;

/**
 * Reads messages again in the background when the engine, the calendar or the names of an account have changed. What
 * it has done is stored with each message, so that it goes on where it was after a restart.
 */
@Component
public class BackgroundReading {

    private static final Logger LOG = LoggerFactory.getLogger(BackgroundReading.class);
    private static final int BATCHES_AT_ONCE = 5;

    private final AccountStore accounts;
    private final Rebuild rebuild;
    private final LiveEvents live;
    private final Map<UUID, Progress> running = new ConcurrentHashMap<>();
    private final Map<UUID, String> done = new ConcurrentHashMap<>();

    BackgroundReading(AccountStore accounts, Rebuild rebuild, LiveEvents live) {
        this.accounts = accounts;
        this.rebuild = rebuild;
        this.live = live;
    }

    /** How far it is; both zero when there is nothing to read again. */
    public record Progress(int done, int total) {

        static final Progress NONE = new Progress(0, 0);
    }

    /** How far it is for an account. */
    public Progress progress(UUID owner) {
        return running.getOrDefault(owner, Progress.NONE);
    }

    /** Takes up what is outdated, a little at a time, in turns between the accounts. */
    @Scheduled(fixedDelay = 2_000)
    void goOn() {
        boolean more = true;
        while (more) {
            more = false;
            for (Account account : accounts.all()) {
                more |= goOn(account.id());
            }
        }
    }

    private boolean goOn(UUID owner) {
        try {
            String version = rebuild.version(owner);
            if (version.equals(done.get(owner))) {
                return false;
            }
            int left = rebuild.outdated(owner);
            if (left == 0) {
                // What arrives from here on is read with this version; only another one makes work.
                done.put(owner, version);
                if (running.remove(owner) != null) {
                    live.changed(owner, List.of(Topic.values()));
                }
                return false;
            }
            Progress before = running.getOrDefault(owner, Progress.NONE);
            int total = Math.max(before.total(), left);
            running.put(owner, new Progress(total - left, total));
            live.changed(owner, List.of(Topic.READING));
            for (int i = 0; i < BATCHES_AT_ONCE; i++) {
                rebuild.readSome(owner);
            }
            return true;
        } catch (RuntimeException e) {
            // Tried again at the next turn; a message that cannot be read must not keep the others from being used.
            LOG.warn("Reading again was interrupted", e);
            return false;
        }
    }
}
