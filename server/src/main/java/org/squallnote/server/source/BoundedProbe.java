package org.squallnote.server.source;

import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.SynchronousQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.squallnote.server.problem.Refusal;

/** Tries servers away from the threads that answer requests, a few at a time, and gives an answer in time. */
@Component
public class BoundedProbe {

    private static final Duration LONGEST = Duration.ofSeconds(15);
    private static final int AT_ONCE = 8;

    private final ThreadPoolExecutor workers =
            new ThreadPoolExecutor(0, AT_ONCE, 30, TimeUnit.SECONDS, new SynchronousQueue<>(), work -> {
                Thread thread = new Thread(work, "source-test");
                thread.setDaemon(true);
                return thread;
            });

    /** Runs a test; what takes longer than a quarter of a minute is given up. */
    public <T> CompletableFuture<T> run(Supplier<T> test) {
        try {
            return CompletableFuture.supplyAsync(test, workers)
                    .orTimeout(LONGEST.toSeconds(), TimeUnit.SECONDS)
                    .exceptionally(problem -> {
                        throw explained(problem);
                    });
        } catch (RejectedExecutionException e) {
            throw Refusal.tooMany("Other servers are being tried at the moment. Try again in some seconds.", 5);
        }
    }

    private static RuntimeException explained(Throwable problem) {
        Throwable cause =
                problem instanceof CompletionException && problem.getCause() != null ? problem.getCause() : problem;
        if (cause instanceof TimeoutException) {
            return Refusal.unavailable("The server did not answer within 15 seconds. Check host and port, and whether a"
                    + " firewall is between. Nothing was changed.");
        }
        return cause instanceof RuntimeException own ? own : new CompletionException(cause);
    }
}
