package org.squallnote.server.command;

import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * One writer at a time for each account. Messages arrive over several connections at once and touch the same
 * threads; waiting a few milliseconds here is simpler and safer than resolving conflicts in the database.
 */
@Component
public class OwnerLocks {

    private final Map<UUID, ReentrantLock> locks = new ConcurrentHashMap<>();
    private final TransactionTemplate transaction;

    OwnerLocks(TransactionTemplate transaction) {
        this.transaction = transaction;
    }

    /** Does the work in a transaction of its own, while nothing else writes for the account. */
    public <T> T write(UUID owner, Supplier<T> work) {
        ReentrantLock lock = locks.computeIfAbsent(owner, key -> new ReentrantLock(true));
        lock.lock();
        try {
            T result = transaction.execute(status -> work.get());
            if (result == null) {
                throw new IllegalStateException("A write without a result");
            }
            return result;
        } finally {
            lock.unlock();
        }
    }

    /** As {@link #write(UUID, Supplier)}, for work without a result. */
    public void write(UUID owner, Runnable work) {
        write(owner, () -> {
            work.run();
            return Boolean.TRUE;
        });
    }
}
