package org.squallnote.sources;

import org.jspecify.annotations.Nullable;

/**
 * Where the thread of an engine waits for somebody else. Only there it is interrupted when it is to end: a thread that is
 * interrupted while it writes closes the database.
 */
public final class Waits {

    private boolean stopped;
    private @Nullable Thread waiting;

    /**
     * What only waits.
     *
     * @param <T> what it waits for
     * @param <E> what can go wrong
     */
    @FunctionalInterface
    public interface Wait<T, E extends Exception> {

        /** Waits until it is there. */
        T end() throws E;
    }

    /** Ends what waits now, and what will wait from now on. */
    public synchronized void stop() {
        stopped = true;
        if (waiting != null) {
            waiting.interrupt();
        }
    }

    /** Whether the engine is to end. */
    public synchronized boolean isStopped() {
        return stopped;
    }

    /** Waits for something; it may be interrupted. */
    public <T, E extends Exception> T on(Wait<T, E> wait) throws E {
        synchronized (this) {
            waiting = Thread.currentThread();
            if (stopped) {
                waiting.interrupt();
            }
        }
        try {
            return wait.end();
        } finally {
            synchronized (this) {
                waiting = null;
                Thread.interrupted();
            }
        }
    }

    /** Waits for a while, or until it is to end. */
    public void pause(java.time.Duration duration) {
        on(() -> {
            try {
                Thread.sleep(duration.toMillis());
                return true;
            } catch (InterruptedException e) {
                return false;
            }
        });
    }
}
