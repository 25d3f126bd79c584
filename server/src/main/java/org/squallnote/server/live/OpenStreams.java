package org.squallnote.server.live;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * The streams of server-sent events that are open, each of one account, until its reader goes, it is closed, or newer ones of
 * the same account are too many.
 *
 * @param <S> a stream
 */
public final class OpenStreams<S extends SseEmitter> {

    private final Map<UUID, List<S>> open = new ConcurrentHashMap<>();
    private final int most;

    /** @param most so many an account may have open; one more closes the oldest */
    public OpenStreams(int most) {
        this.most = most;
    }

    /** Takes one in that has just been opened. */
    public void add(UUID owner, S stream) {
        List<S> streams = open.computeIfAbsent(owner, key -> new CopyOnWriteArrayList<>());
        if (streams.size() >= most) {
            streams.remove(0).complete();
        }
        stream.onCompletion(() -> streams.remove(stream));
        stream.onTimeout(stream::complete);
        stream.onError(problem -> streams.remove(stream));
        streams.add(stream);
    }

    /** Those of an account. */
    public List<S> of(UUID owner) {
        return open.getOrDefault(owner, List.of());
    }

    /** Closes those of an account; readers who still may come back by themselves. */
    public void closeAll(UUID owner) {
        of(owner).forEach(SseEmitter::complete);
    }

    /** Keeps proxies from closing quiet ones, and finds readers that are gone. */
    public void beat() {
        open.values()
                .forEach(streams -> streams.forEach(stream ->
                        send(stream, () -> stream.send(SseEmitter.event().comment("still here")))));
    }

    /** Something that is sent. */
    @FunctionalInterface
    public interface Sending {
        void run() throws IOException;
    }

    /** Sends something; a reader that is gone ends its stream. */
    public static void send(SseEmitter stream, Sending sending) {
        try {
            sending.run();
        } catch (IOException | IllegalStateException e) {
            stream.completeWithError(e);
        }
    }
}
