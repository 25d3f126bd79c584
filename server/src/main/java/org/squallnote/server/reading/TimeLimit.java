package org.squallnote.server.reading;

import java.time.Duration;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Gives up work that takes too long, so that one message cannot hold a thread and all that comes after it. */
final class TimeLimit {

    private static final Logger LOG = LoggerFactory.getLogger(TimeLimit.class);

    private final Duration longest;
    private final ExecutorService workers = Executors.newCachedThreadPool(work -> {
        Thread thread = new Thread(work, "reading");
        thread.setDaemon(true);
        return thread;
    });

    TimeLimit(Duration longest) {
        this.longest = longest;
    }

    /**
     * Does the work, or something shorter when it takes too long.
     *
     * @param work ends soon after its thread is interrupted
     */
    <T> T within(Supplier<T> work, Supplier<T> instead) {
        Future<T> future = workers.submit(work::get);
        try {
            return future.get(longest.toMillis(), TimeUnit.MILLISECONDS);
        } catch (TimeoutException e) {
            future.cancel(true);
            LOG.warn("Reading a message was given up after {}", longest, e);
            return instead.get();
        } catch (ExecutionException e) {
            throw e.getCause() instanceof RuntimeException own ? own : new IllegalStateException(e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("Interrupted while reading", e);
        }
    }
}
