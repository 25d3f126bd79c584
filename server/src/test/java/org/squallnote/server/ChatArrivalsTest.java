package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.squallnote.core.message.Parties;
import org.squallnote.core.message.Party;
import org.squallnote.core.source.ArchiveRule;
import org.squallnote.core.source.ChatRoom;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceBuilder;
import org.squallnote.core.source.SourceKind;
import org.squallnote.core.source.SourceStatus;
import org.squallnote.core.thread.ChatConversations;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.ChatArrivals;
import org.squallnote.sources.chat.ChatEvent;
import tools.jackson.databind.JsonNode;

/** What rooms bring: threads, edits, what is taken back. */
class ChatArrivalsTest extends ServerTest {

    private static final String ROOM = "!crew:quay.example";
    private static final String BO = "@bo:quay.example";
    private static final String TILDA = "@tilda:quay.example";
    private static final String ME = "@ines:quay.example";
    private static final Instant NINE = MONDAY;

    @Autowired
    private ChatArrivals chat;

    private SignedIn me;
    private Source source;

    @BeforeEach
    void aRoom() {
        me = newAccount();
        source = SourceBuilder.builder()
                .id(UUID.randomUUID())
                .owner(me.accountId())
                .kind(SourceKind.CHAT)
                .name("Chat")
                .address(ME)
                .settings("{}")
                .secret(new byte[0])
                .daysBack(90)
                .archiveRule(ArchiveRule.NEVER)
                .addedAt(Instant.parse("2026-03-01T09:00:00Z"))
                .status(SourceStatus.LIVE)
                .statusText("")
                .build();
        sources.insert(source);
        sources.saveRoom(
                me.accountId(),
                source.id(),
                new ChatRoom(
                        ROOM,
                        "Harbour crew",
                        false,
                        new Parties(List.of(
                                new Party("Bo Lindgren", BO),
                                new Party("Tilda Brandt", TILDA),
                                new Party("Ines Calloway", ME)))));
    }

    private static ChatEvent.Message says(String id, String sender, int minute, String text) {
        return says(id, sender, minute, text, null, null, false);
    }

    private static ChatEvent.Message says(
            String id, String sender, int minute, String text, String thread, String answers, boolean notice) {
        return new ChatEvent.Message(
                id,
                ROOM,
                sender,
                NINE.plus(Duration.ofMinutes(minute)),
                text,
                notice,
                Optional.ofNullable(answers),
                Optional.ofNullable(thread),
                List.of(),
                Optional.empty(),
                "{\"content\":{\"body\":\"" + text + "\"}}");
    }

    private void arrive(ChatEvent... events) {
        locks.write(me.accountId(), () -> chat.takeIn(source, List.of(events)));
    }

    private JsonNode line(String event) {
        String id = messageOf(event);
        for (JsonNode line : get(me, "/api/intake").path("lines")) {
            if (line.path("id").asString("").equals(id)) {
                return line;
            }
        }
        throw new AssertionError(event + " is not in Intake");
    }

    private String messageOf(String event) {
        return String.valueOf(jdbc.queryForObject(
                "select id from message where owner = ? and identity = ?", UUID.class, me.accountId(), "c:" + event));
    }

    private List<String> threadOf(String event) {
        List<String> words = new ArrayList<>();
        String thread =
                get(me, "/api/messages/" + messageOf(event)).path("threadId").asString("");
        for (JsonNode message : get(me, "/api/threads/" + thread).path("messages")) {
            words.add(message.path("ownWords").asString(""));
        }
        return words;
    }

    /** Everything that the database holds of an account, as text. */
    private String everything() {
        StringBuilder all = new StringBuilder();
        for (String table : jdbc.queryForList(
                "select distinct table_name from information_schema.columns where column_name = 'OWNER'",
                String.class)) {
            jdbc.queryForList("select * from " + table + " where owner = ?", me.accountId())
                    .forEach(row -> row.values()
                            .forEach(value -> all.append(
                                            value instanceof byte[] bytes
                                                    ? new String(bytes, StandardCharsets.UTF_8)
                                                    : String.valueOf(value))
                                    .append('\n')));
        }
        return all.toString();
    }

    @Test
    void ofWhatIsTakenBackNothingIsLeft() {
        arrive(
                says("$1", BO, 0, "Ines, could you hide the heron statue?"),
                new ChatEvent.Edit(
                        "$2", ROOM, BO, NINE.plusSeconds(60), "$1", "Ines, could you hide the heron bronze?"));
        assertThat(everything()).contains("heron statue", "heron bronze");
        arrive(new ChatEvent.Removal("$3", ROOM, BO, NINE.plusSeconds(120), "$1"));
        assertThat(everything()).doesNotContainIgnoringCase("heron");
        JsonNode message = get(me, "/api/messages/" + messageOf("$1"));
        assertThat(message.path("removed").asBoolean(false)).isTrue();
        assertThat(message.path("asksMe").asBoolean(true)).isFalse();
        assertThat(line("$1").path("heap").asString("")).isEqualTo("TO_READ");
    }

    private void followUpHeronsByItself() {
        change(me, HttpMethod.PUT, "/api/recipes/" + UUID.randomUUID() + "?version=0", """
                {"name":"Heron","letter":null,"place":1,"automatic":true,"conditions":{"sender":"","domain":"","list":"",
                "room":"","words":["heron"]},"steps":[{"kind":"FOLLOW_UP","title":"","place":"","folder":"","address":"",
                "note":""}]}""");
    }

    @Test
    void whatARecipeMadeByItselfStaysWithoutTheWords() {
        followUpHeronsByItself();
        arrive(says("$1", BO, 0, "Ines, could you hide the heron statue?"));
        String id = get(me, "/api/messages/" + messageOf("$1"))
                .path("followUps")
                .path(0)
                .path("id")
                .asString("");
        assertThat(String.valueOf(get(me, "/api/follow-ups/" + id))).contains("heron statue");
        arrive(new ChatEvent.Removal("$3", ROOM, BO, NINE.plusSeconds(120), "$1"));
        assertThat(String.valueOf(get(me, "/api/follow-ups/" + id)))
                .doesNotContain("heron statue")
                .contains("What Bo Lindgren has taken back");
        assertThat(everything()).doesNotContain("heron statue");
        assertThat(get(me, "/api/recipes/runs").path(0).path("about").asString("x"))
                .isEmpty();
    }

    @Test
    void ofWhatARecipeMadeAndIUndidNothingIsLeftEither() {
        followUpHeronsByItself();
        arrive(says("$1", BO, 0, "Ines, could you hide the heron statue?"));
        String run = get(me, "/api/recipes/runs").path(0).path("commandId").asString("");
        String undone = change(me, HttpMethod.POST, "/api/commands/" + run + "/undo", "");
        change(me, HttpMethod.POST, "/api/commands/" + undone + "/undo", "");
        assertThat(everything()).contains("heron statue");
        arrive(new ChatEvent.Removal("$3", ROOM, BO, NINE.plusSeconds(120), "$1"));
        assertThat(everything()).doesNotContain("heron statue");
    }

    @Test
    void whatIKeptByHandOfTheSameMessageStaysAsIKeptIt() {
        followUpHeronsByItself();
        arrive(says("$1", BO, 0, "Ines, could you hide the heron statue?"));
        String mine = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + messageOf("$1") + "/follow-ups",
                "{\"followUps\":[{\"id\":\"" + mine
                        + "\",\"sentence\":\"\",\"content\":{\"title\":\"Look for a tarpaulin\",\"firm\":false}}]}");
        arrive(new ChatEvent.Removal("$3", ROOM, BO, NINE.plusSeconds(120), "$1"));
        assertThat(String.valueOf(get(me, "/api/follow-ups/" + mine))).contains("Look for a tarpaulin", "heron statue");
        assertThat(get(me, "/api/follow-ups").path("open").findValuesAsString("title"))
                .containsExactlyInAnyOrder("Look for a tarpaulin", "What Bo Lindgren has taken back");
    }

    @Test
    void anEditThatComesAfterTheRemovalBringsNothingBack() {
        arrive(says("$1", BO, 0, "Hide the heron"), new ChatEvent.Removal("$3", ROOM, BO, NINE.plusSeconds(120), "$1"));
        arrive(new ChatEvent.Edit("$2", ROOM, BO, NINE.plusSeconds(60), "$1", "Hide the heron, please"));
        assertThat(everything()).doesNotContainIgnoringCase("heron");
    }

    @Test
    void anEditedMessageIsReadAgainAlsoWhenItAsksNothingAnyMore() {
        arrive(says("$1", BO, 0, "Ines, could you send the plan by Friday?"));
        assertThat(line("$1").path("heap").asString("")).isEqualTo("ASKS_YOU");
        arrive(new ChatEvent.Edit("$2", ROOM, BO, NINE.plusSeconds(60), "$1", "I have the plan."));
        assertThat(line("$1").path("heap").asString("")).isEqualTo("TO_READ");
        assertThat(line("$1").path("about").asString("")).isEqualTo("I have the plan.");
        arrive(new ChatEvent.Edit("$4", ROOM, BO, NINE.plusSeconds(90), "$1", "Ines, could you bring the plan?"));
        assertThat(line("$1").path("heap").asString("")).isEqualTo("ASKS_YOU");
        arrive(new ChatEvent.Edit("$5", ROOM, TILDA, NINE.plusSeconds(95), "$1", "Not mine to change"));
        assertThat(line("$1").path("about").asString("")).isEqualTo("could you bring the plan?");
    }

    @Test
    void aThreadOfTheRoomIsAThreadApartFromItsOtherTalk() {
        arrive(
                says("$a", BO, 0, "The tide is high."),
                says("$root", TILDA, 5, "About the quote"),
                says("$b", BO, 6, "So it is."));
        assertThat(threadOf("$b")).containsExactly("The tide is high.", "About the quote", "So it is.");
        arrive(says("$t1", TILDA, 700, "It is attached.", "$root", null, false));
        arrive(says("$c", BO, 701, "Low now."));
        assertThat(threadOf("$t1")).containsExactly("About the quote", "It is attached.");
        assertThat(threadOf("$b")).containsExactly("The tide is high.", "So it is.");
        assertThat(threadOf("$c")).containsExactly("Low now.");
    }

    @Test
    void aThreadIsTheSameWhateverComesFirst() {
        arrive(says("$t2", TILDA, 9_000, "Second", "$root", null, false));
        arrive(says("$t1", TILDA, 700, "First", "$root", null, false), says("$x", BO, 8_999, "Talk"));
        arrive(says("$root", TILDA, 5, "Root"));
        assertThat(threadOf("$t2")).containsExactly("Root", "First", "Second");
        assertThat(threadOf("$x")).containsExactly("Talk");
    }

    @Test
    void aFileThatCannotBeOpenedSaysWhy() {
        arrive(
                withFile("$1", "{\"content\":{\"body\":\"plan.pdf\",\"file\":{\"url\":\"mxc://x/1\"}}}"),
                withFile("$2", "{\"content\":{\"body\":\"plan.pdf\",\"url\":\"https://x.example/plan\"}}"));
        assertThat(refusal("$1")).contains("encrypted and cannot be opened here");
        assertThat(refusal("$2")).contains("names no file");
    }

    private String refusal(String event) {
        return get(me, "/api/messages/" + messageOf(event) + "/files/0")
                .path("detail")
                .asString("");
    }

    private static ChatEvent.Message withFile(String id, String raw) {
        return new ChatEvent.Message(
                id,
                ROOM,
                BO,
                NINE,
                "plan.pdf",
                false,
                Optional.empty(),
                Optional.empty(),
                List.of(),
                Optional.of(new ChatEvent.ChatFile("plan.pdf", "application/pdf", 9)),
                raw);
    }

    @Test
    void aReplySaysWhatItRepliesTo() {
        arrive(
                says("$a", BO, 0, "Which crane?"),
                says("$b", TILDA, 1, "Nice weather."),
                says("$c", TILDA, 2, "The small one.", null, "$a", false));
        String thread =
                get(me, "/api/messages/" + messageOf("$c")).path("threadId").asString("");
        JsonNode messages = get(me, "/api/threads/" + thread).path("messages");
        assertThat(messages.path(2).path("answersId").asString("")).isEqualTo(messageOf("$a"));
        assertThat(messages.path(1).path("answersId").isNull()).isTrue();
    }

    @Test
    void aNoticeIsAPersonsWhereThatPersonTalksToo() {
        arrive(says("$1", TILDA, 0, "Ines, could you send the plan by Friday?", null, null, true));
        assertThat(asks("$1")).isFalse();
        arrive(
                says("$2", BO, 1, "The tide is high."),
                says("$3", BO, 2, "Ines, could you send the plan by Friday?", null, null, true));
        assertThat(asks("$3")).isTrue();
    }

    private boolean asks(String event) {
        return get(me, "/api/messages/" + messageOf(event)).path("asksMe").asBoolean();
    }

    /** Talk that goes on for days, cut in another order than it was said in, is cut as if it had come in order. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4, 5, 6, 7})
    void conversationsAreCutTheSameWhateverComesFirst(int seed) {
        Random random = new Random(seed);
        List<ChatEvent.Message> talk = talk(random, "$" + seed + "-");
        List<ChatEvent.Message> shuffled = new ArrayList<>(talk);
        Collections.shuffle(shuffled, random);
        for (int from = 0; from < shuffled.size(); from += 17) {
            arrive(shuffled.subList(from, Math.min(from + 17, shuffled.size())).toArray(ChatEvent[]::new));
        }
        assertThat(conversations()).isEqualTo(wanted(talk));
    }

    private static List<ChatEvent.Message> talk(Random random, String prefix) {
        List<ChatEvent.Message> talk = new ArrayList<>();
        int minute = 0;
        for (int i = 0; i < 120; i++) {
            // Mostly so dense that no quiet hours part it, for days.
            minute += random.nextInt(10) == 0 ? 60 + random.nextInt(400) : 30 + random.nextInt(150);
            String answers = i > 0 && random.nextInt(12) == 0 ? prefix + random.nextInt(i) : null;
            String thread = i > 0 && random.nextInt(15) == 0 ? prefix + random.nextInt(i) : null;
            talk.add(says(prefix + i, i % 2 == 0 ? BO : TILDA, minute, "The tide is high.", thread, answers, false));
        }
        return talk;
    }

    private static Set<Set<String>> wanted(List<ChatEvent.Message> talk) {
        return ChatConversations.of(talk.stream()
                        .map(message -> new ChatConversations.ChatMessage(
                                message.eventId(),
                                message.sentAt(),
                                message.threadRoot(),
                                message.answers().or(message::threadRoot)))
                        .toList())
                .stream()
                .map(Set::copyOf)
                .collect(Collectors.toSet());
    }

    private Set<Set<String>> conversations() {
        Map<Object, Set<String>> byThread = new HashMap<>();
        for (Map<String, Object> row :
                jdbc.queryForList("select message_id, thread_id from message where owner = ?", me.accountId())) {
            byThread.computeIfAbsent(row.get("thread_id"), thread -> new HashSet<>())
                    .add(String.valueOf(row.get("message_id")));
        }
        return Set.copyOf(byThread.values());
    }
}
