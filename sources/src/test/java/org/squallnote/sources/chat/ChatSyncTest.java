package org.squallnote.sources.chat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.squallnote.sources.SyncStatus;
import org.squallnote.standins.chat.Homeserver;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class ChatSyncTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Instant SINCE = Instant.now().minus(Duration.ofDays(90));

    private Homeserver server;
    private String ines;
    private String bo;
    private String room;
    private final Journal journal = new Journal();

    @BeforeEach
    void open() throws Exception {
        server = Homeserver.start(0, "merrowquay.example", Clock.systemUTC());
        ines = server.state().addUser("ines", "Ines", "secret");
        bo = server.state().addUser("bo", "Bo", "secret");
        room = server.state().addRoom(Optional.of("Crew"), List.of(ines, bo), SINCE.minusSeconds(99));
    }

    @AfterEach
    void close() {
        server.close();
    }

    @Test
    void readsARoomBackToTheStartDayAndThenFollowsIt() throws Exception {
        say("too old", SINCE.minusSeconds(60));
        for (int i = 0; i < 320; i++) {
            say("line " + i, SINCE.plusSeconds(60L * (i + 1)));
        }
        try (ChatSync sync = sync(client())) {
            sync.start();
            until(() -> journal.live && journal.messages.size() == 320);
            assertThat(journal.texts()).contains("line 0", "line 319").doesNotContain("too old");
            assertThat(journal.rooms.get(room).name()).isEqualTo("Crew");
            say("fresh", Instant.now());
            until(() -> journal.texts().contains("fresh"));
        }
        assertThat(journal.doubled).isZero();
    }

    @Test
    void aRestartGoesOnWhereTheLastRunEnded() throws Exception {
        for (int i = 0; i < 200; i++) {
            say("line " + i, SINCE.plusSeconds(60L * (i + 1)));
        }
        journal.stopAfterPages = 1;
        try (ChatSync sync = sync(client())) {
            sync.start();
            until(() -> journal.pages >= 1);
        }
        assertThat(journal.messages.size()).isLessThan(200);
        journal.stopAfterPages = Integer.MAX_VALUE;
        say("meanwhile", Instant.now());
        try (ChatSync sync = sync(client())) {
            sync.start();
            until(() -> journal.messages.size() == 201);
        }
    }

    @Test
    void whatIsBeingWrittenIsNotInterruptedByTheEnd() throws Exception {
        say("fresh", Instant.now());
        AtomicBoolean interrupted = new AtomicBoolean();
        ChatSync sync = sync(client());
        journal.beforeWrite = () -> {
            sync.close();
            interrupted.set(Thread.interrupted());
        };
        sync.start();
        until(() -> journal.texts().contains("fresh"));
        assertThat(interrupted).isFalse();
    }

    @Test
    void anEndDoesNotWaitForTheHomeserver() throws Exception {
        ChatSync sync = sync(client());
        sync.start();
        until(() -> journal.live);
        sync.close();
        assertThat(sync.hasEnded()).isTrue();
    }

    @Test
    void relationsAreUnderstood() throws Exception {
        String question = say("Who has the key?", Instant.now());
        ObjectNode reaction = JSON.createObjectNode();
        reaction.putObject("m.relates_to")
                .put("rel_type", "m.annotation")
                .put("event_id", question)
                .put("key", "👍");
        server.state().addEvent(room, bo, "m.reaction", reaction, Instant.now());
        ObjectNode edit = JSON.createObjectNode().put("msgtype", "m.text").put("body", "* Who has the keys?");
        edit.putObject("m.new_content").put("msgtype", "m.text").put("body", "Who has the keys?");
        edit.putObject("m.relates_to").put("rel_type", "m.replace").put("event_id", question);
        server.state().addEvent(room, bo, "m.room.message", edit, Instant.now());
        try (ChatSync sync = sync(client())) {
            sync.start();
            until(() -> journal.others.size() == 2);
        }
        assertThat(journal.others)
                .anySatisfy(event -> assertThat(event)
                        .isInstanceOfSatisfying(
                                ChatEvent.Edit.class, e -> assertThat(e.text()).isEqualTo("Who has the keys?")));
    }

    private JsonNode answer(String text, String question) {
        return ChatAnswer.text(text, new ChatAnswer.Answered(question, bo, Optional.empty()), List.of());
    }

    @Test
    void theSameTransactionIsSentOnce() throws Exception {
        String question = say("Who?", Instant.now());
        ChatClient client = client();
        String first = client.sendMessage(room, "t1", answer("Me.", question));
        String again = client.sendMessage(room, "t1", answer("Me.", question));

        assertThat(again).isEqualTo(first);
        try (ChatSync sync = sync(client)) {
            sync.start();
            until(() -> journal.messages.size() == 2);
        }
        assertThat(journal.messages.get(first).answers()).contains(question);
        assertThat(journal.messages.get(first).mentions()).contains(bo);
    }

    @Test
    void problemsAreExplained() throws Exception {
        assertThat(ChatProbe.run(server.address(), "ines", "wrong", "", "D")
                        .steps()
                        .get(1)
                        .detail())
                .contains("not right");
        assertThat(ChatProbe.run("http://127.0.0.1:1", "ines", "x", "", "D")
                        .steps()
                        .get(0)
                        .detail())
                .contains("does not answer");
        assertThat(ChatProbe.run("ftp://x.example", "ines", "x", "", "D")
                        .steps()
                        .get(0)
                        .detail())
                .contains("https://");
        assertThat(ChatProbe.run(server.address(), "ines", "secret", "", "D").passed())
                .isTrue();
        assertThatThrownBy(() -> new ChatClient("http://chat.merrowquay.example"))
                .hasMessageContaining("Use https");
        ChatClient stranger = new ChatClient(server.address());
        stranger.useToken("gone");
        assertThatThrownBy(stranger::whoami)
                .isInstanceOfSatisfying(
                        ChatProblem.class,
                        problem -> assertThat(problem.kind()).isEqualTo(ChatProblem.Kind.SIGNED_OUT));
    }

    private String say(String text, Instant at) {
        return server.state()
                .addEvent(
                        room,
                        bo,
                        "m.room.message",
                        JSON.createObjectNode().put("msgtype", "m.text").put("body", text),
                        at);
    }

    private ChatClient client() throws ChatProblem {
        ChatClient client = new ChatClient(server.address());
        client.login("ines", "secret", "DEVICE");
        return client;
    }

    private ChatSync sync(ChatClient client) {
        ChatSync.SignIn signIn = new ChatSync.SignIn() {
            @Override
            public ChatClient client() {
                return client;
            }

            @Override
            public void signedOut() {}
        };
        return new ChatSync(signIn, () -> ines, SINCE, journal, journal);
    }

    private static void until(BooleanSupplier condition) throws InterruptedException {
        long end = System.nanoTime() + Duration.ofSeconds(90).toNanos();
        while (!condition.getAsBoolean()) {
            assertThat(System.nanoTime()).as("waited too long").isLessThan(end);
            Thread.sleep(20);
        }
    }

    /** Keeps in memory what the real one keeps in the store. */
    private static final class Journal implements ChatJournal, SyncStatus {

        private final Map<String, ChatEvent.Message> messages = new ConcurrentHashMap<>();
        private final Map<String, RoomView> rooms = new LinkedHashMap<>();
        private final List<ChatEvent> others = Collections.synchronizedList(new ArrayList<>());
        private List<Gap> gaps = List.of();
        private Optional<String> token = Optional.empty();
        private volatile Runnable beforeWrite = () -> {};
        private volatile boolean live;
        private volatile int pages;
        private volatile int doubled;
        private volatile int stopAfterPages = Integer.MAX_VALUE;

        List<String> texts() {
            return messages.values().stream().map(ChatEvent.Message::text).toList();
        }

        @Override
        public synchronized Optional<String> syncToken() {
            return token;
        }

        @Override
        public List<RoomView> rooms() {
            return List.copyOf(rooms.values());
        }

        @Override
        public synchronized List<Gap> gaps() {
            return gaps;
        }

        @Override
        public synchronized void saveSync(List<RoomView> changed, List<ChatEvent> events, List<Gap> more, String next) {
            beforeWrite.run();
            changed.forEach(view -> rooms.put(view.roomId(), view));
            events.forEach(this::take);
            gaps = Stream.concat(gaps.stream(), more.stream()).toList();
            token = Optional.of(next);
        }

        @Override
        public synchronized boolean savePage(Gap gap, List<ChatEvent> events, Optional<Gap> rest) {
            if (pages >= stopAfterPages) {
                throw new IllegalStateException("Stopped by the test");
            }
            events.forEach(this::take);
            pages++;
            gaps = Stream.concat(gaps.stream().filter(each -> !each.equals(gap)), rest.stream())
                    .toList();
            return false;
        }

        private void take(ChatEvent event) {
            if (event instanceof ChatEvent.Message message) {
                doubled += messages.put(message.eventId(), message) == null ? 0 : 1;
            } else {
                others.add(event);
            }
        }

        @Override
        public void reading(int done, int total) {}

        @Override
        public void live() {
            live = true;
        }

        @Override
        public void trouble(String whatHappened) {}
    }
}
