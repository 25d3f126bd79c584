package org.squallnote.sources.chat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.squallnote.sources.Backoff;
import org.squallnote.sources.Ending;
import org.squallnote.sources.Reason;
import org.squallnote.sources.SyncStatus;
import org.squallnote.sources.Waits;
import tools.jackson.databind.JsonNode;

/**
 * Keeps a chat account in step by {@code /sync}. What an answer leaves out ("limited") is noted as a gap in the same
 * transaction as the answer itself, and gaps are read backwards, page by page, until the start day or a known event.
 */
public final class ChatSync implements AutoCloseable {

    private static final Logger LOG = LoggerFactory.getLogger(ChatSync.class);
    private static final Duration LONG_POLL = Duration.ofSeconds(25);
    private static final int PAGE = 100;
    private static final String FILTER =
            "{\"room\":{\"timeline\":{\"limit\":50},\"ephemeral\":{\"not_types\":[\"*\"]}},\"presence\":{\"not_types\":[\"*\"]}}";

    /** Gets a client that is signed in, signing in again where needed. */
    public interface SignIn {

        /** A signed-in client. */
        ChatClient client() throws ChatProblem;

        /** Forgets the token, so that the next client signs in anew. */
        void signedOut();
    }

    /** How long an end waits for what is being written. */
    private static final Duration PATIENCE = Duration.ofSeconds(3);

    private final SignIn signIn;
    private final Supplier<String> me;
    private final Instant since;
    private final ChatJournal journal;
    private final SyncStatus status;
    private final Waits waits = new Waits();
    private volatile @Nullable Thread thread;

    /**
     * Prepares the engine.
     *
     * @param me my user id, known once signed in
     * @param since how far back rooms are read
     */
    public ChatSync(SignIn signIn, Supplier<String> me, Instant since, ChatJournal journal, SyncStatus status) {
        this.signIn = signIn;
        this.me = me;
        this.since = since;
        this.journal = journal;
        this.status = status;
    }

    /** Starts in the background. */
    public void start() {
        Thread worker = new Thread(this::run, "chat-sync");
        worker.setDaemon(true);
        thread = worker;
        worker.start();
    }

    @Override
    public void close() {
        waits.stop();
        Thread worker = thread;
        if (worker != null) {
            Ending.await(List.of(worker), PATIENCE);
        }
    }

    /** Whether the thread is over. */
    boolean hasEnded() {
        Thread worker = thread;
        return worker == null || !worker.isAlive();
    }

    private void run() {
        Backoff backoff = new Backoff();
        while (!waits.isStopped()) {
            try {
                follow(signIn.client(), backoff);
            } catch (ChatProblem e) {
                if (waits.isStopped()) {
                    return;
                }
                if (e.kind() == ChatProblem.Kind.SIGNED_OUT) {
                    signIn.signedOut();
                }
                if (e.kind() != ChatProblem.Kind.TOO_FAST) {
                    status.trouble(Reason.of(e));
                }
                waits.pause(e.retryAfter().orElseGet(backoff::next));
            } catch (RuntimeException e) {
                if (waits.isStopped()) {
                    return;
                }
                LOG.warn("Reading a chat account failed", e);
                status.trouble("Something went wrong here: " + Reason.of(e));
                waits.pause(backoff.next());
            }
        }
    }

    private void follow(ChatClient client, Backoff backoff) throws ChatProblem {
        Rooms rooms = new Rooms(me.get().toLowerCase(Locale.ROOT), journal.rooms());
        boolean live = false;
        while (!waits.isStopped()) {
            Optional<String> token = journal.syncToken();
            boolean behind = token.isEmpty() || !journal.gaps().isEmpty();
            takeIn(waits.on(() -> client.sync(token, FILTER, behind ? Duration.ZERO : LONG_POLL)), token, rooms);
            backoff.reset();
            if (closeGaps(client) || !live) {
                status.live();
                live = true;
            }
        }
    }

    private void takeIn(JsonNode answer, Optional<String> token, Rooms rooms) {
        rooms.applyAccountData(answer.path("account_data"));
        List<ChatEvent> events = new ArrayList<>();
        events.addAll(Invitations.in(answer.path("rooms"), me.get().toLowerCase(Locale.ROOT), Instant.now()));
        List<Gap> gaps = new ArrayList<>();
        Set<String> changed = new LinkedHashSet<>();
        JsonNode joined = answer.path("rooms").path("join");
        for (String roomId : joined.propertyNames()) {
            JsonNode room = joined.path(roomId);
            changed.add(roomId);
            room.path("state").path("events").forEach(event -> rooms.applyState(roomId, event));
            for (JsonNode event : room.path("timeline").path("events")) {
                if (event.has("state_key")) {
                    rooms.applyState(roomId, event);
                }
                EventReader.read(roomId, event)
                        .filter(read -> !read.sentAt().isBefore(since))
                        .ifPresent(events::add);
            }
            String before = room.path("timeline").path("prev_batch").asString("");
            if (room.path("timeline").path("limited").asBoolean(token.isEmpty()) && !before.isEmpty()) {
                gaps.add(new Gap(roomId, before));
            }
        }
        String next = answer.path("next_batch").asString("");
        if (!next.isEmpty() && !(token.filter(next::equals).isPresent() && events.isEmpty() && changed.isEmpty())) {
            journal.saveSync(changed.stream().map(rooms::view).toList(), events, gaps, next);
        }
    }

    /** Reads all gaps; says whether there were any. */
    private boolean closeGaps(ChatClient client) throws ChatProblem {
        List<Gap> gaps = journal.gaps();
        int total = gaps.size();
        int done = 0;
        while (!gaps.isEmpty() && !waits.isStopped()) {
            status.reading(done, total);
            readPage(client, gaps.get(0));
            gaps = journal.gaps();
            done = Math.max(done, total - gaps.size());
        }
        return total > 0;
    }

    private void readPage(ChatClient client, Gap gap) throws ChatProblem {
        JsonNode page = waits.on(() -> client.messagesBefore(gap.roomId(), gap.token(), PAGE));
        List<ChatEvent> events = new ArrayList<>();
        boolean reachedStart = page.path("chunk").isEmpty();
        for (JsonNode event : page.path("chunk")) {
            Optional<ChatEvent> read = EventReader.read(gap.roomId(), event);
            if (EventReader.sentAt(event).isBefore(since)) {
                reachedStart = true;
            } else {
                read.ifPresent(events::add);
            }
        }
        String end = page.path("end").asString("");
        boolean more = !reachedStart && !end.isEmpty() && !end.equals(gap.token());
        journal.savePage(gap, events, more ? Optional.of(new Gap(gap.roomId(), end)) : Optional.empty());
    }
}
