package org.squallnote.sources;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;

/** A stream from a server that is given up when the server says nothing for too long, rather than holding its reader. */
public final class PatientStream extends FilterInputStream {

    private static final ScheduledThreadPoolExecutor WATCH = watch();

    private final Duration patience;

    private static ScheduledThreadPoolExecutor watch() {
        ScheduledThreadPoolExecutor watch = new ScheduledThreadPoolExecutor(1, work -> {
            Thread thread = new Thread(work, "silent-servers");
            thread.setDaemon(true);
            return thread;
        });
        // A large file is read in thousands of pieces.
        watch.setRemoveOnCancelPolicy(true);
        return watch;
    }

    /** @param patience how long one read may take */
    public PatientStream(InputStream in, Duration patience) {
        super(in);
        this.patience = patience;
    }

    @Override
    public int read() throws IOException {
        byte[] one = new byte[1];
        return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
    }

    @Override
    public int read(byte[] bytes, int from, int length) throws IOException {
        ScheduledFuture<?> end = WATCH.schedule(this::giveUp, patience.toMillis(), TimeUnit.MILLISECONDS);
        IOException broken = null;
        int read = -1;
        try {
            read = in.read(bytes, from, length);
        } catch (IOException e) {
            broken = e;
        }
        if (!end.cancel(false)) {
            throw new IOException("The server said nothing for " + patience.toSeconds() + " seconds.", broken);
        }
        if (broken != null) {
            throw broken;
        }
        return read;
    }

    /** Closing it from elsewhere ends the read that waits. */
    private void giveUp() {
        try {
            in.close();
        } catch (IOException e) {
            // It is of no use any more, whatever its end is.
        }
    }
}
