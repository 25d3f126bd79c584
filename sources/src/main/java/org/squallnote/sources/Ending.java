package org.squallnote.sources;

import java.time.Duration;
import java.util.List;

/** The end of an engine's threads: what they are writing is written before what they write into is closed. */
public final class Ending {

    private Ending() {}

    /** Waits until the threads have ended, at most so long in all; the calling thread, if it is one of them, is left out. */
    public static void await(List<Thread> threads, Duration most) {
        long end = System.nanoTime() + most.toNanos();
        for (Thread thread : threads) {
            long left = (end - System.nanoTime()) / 1_000_000;
            if (thread != Thread.currentThread() && left > 0) {
                try {
                    thread.join(left);
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                    return;
                }
            }
        }
    }
}
