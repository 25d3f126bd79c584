package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpMethod;
import org.squallnote.core.message.Parties;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.source.ArchiveRule;
import org.squallnote.core.source.ChatRoom;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceBuilder;
import org.squallnote.core.source.SourceKind;
import org.squallnote.core.source.SourceStatus;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.ChatArrivals;
import org.squallnote.server.outbox.ChatSent;
import org.squallnote.sources.chat.ChatEvent;
import org.squallnote.sources.mail.ArrivedMail;
import tools.jackson.databind.JsonNode;

/** Reminding: who is due, with which words, and that nobody is reminded who has answered. */
class ChasesTest extends ServerTest {

    private static final String TILDA = "tilda@brandt-cranes.example";
    private static final Instant A_WEEK_AGO = Instant.parse("2026-02-25T10:00:00Z");

    @Autowired
    private ApplicationEventPublisher events;

    @Autowired
    private ChatArrivals chat;

    private SignedIn me;
    private int count;

    @BeforeEach
    void account() {
        me = newAccount();
    }

    /** A mail of mine; answers the id of its thread. */
    private String ask(String id, String to, String subject, String text, Instant sentAt) {
        String raw = "Message-ID: <" + id + "@x.example>\r\nFrom: <ines@merrowquay.example>\r\nTo: " + to
                + "\r\nSubject: " + subject + "\r\nDate: "
                + DateTimeFormatter.RFC_1123_DATE_TIME.format(sentAt.atZone(ZoneOffset.UTC)) + "\r\n\r\n" + text
                + "\r\n";
        byte[] bytes = raw.getBytes(StandardCharsets.UTF_8);
        arrive(me, new ArrivedMail(++count, sentAt, RawMail.of(bytes), MailParser.parse(bytes)));
        return jdbc.queryForObject(
                "select cast(thread_id as varchar) from message where owner = ? and message_id = ?",
                String.class,
                me.accountId(),
                id + "@x.example");
    }

    private String askTilda(String id, String text) {
        return ask(id, "Tilda Brandt <" + TILDA + ">", "Crane " + id, text, A_WEEK_AGO.plusSeconds(60L * count));
    }

    private void answered(String id, String answers, Instant at, String text) {
        arrive(
                me,
                mail(
                        ++count,
                        id + "@x.example",
                        "Tilda Brandt <" + TILDA + ">",
                        "Re: Crane",
                        "<" + answers + "@x.example>",
                        text,
                        at));
    }

    private JsonNode due() {
        return get(me, "/api/chases/due").path("due");
    }

    private String chase(String thread, String more) {
        return change(
                me,
                HttpMethod.POST,
                "/api/threads/" + thread + "/chase",
                "{\"party\":\"" + TILDA + "\",\"text\":\"Hello Tilda, any news?\"" + more + "}");
    }

    private JsonNode awaited(String thread) {
        return get(me, "/api/threads/" + thread).path("line").path("awaited").path(0);
    }

    private String outbox() {
        return jdbc.queryForList(
                        "select state from outbox where owner = ? and kind = 'SEND_MAIL' order by id",
                        String.class,
                        me.accountId())
                .toString();
    }

    @Test
    void whoIsSilentComesUpAfterThreeWorkingDaysWithADraft() {
        String thread = askTilda("q1", "Could you send me the load chart?");
        assertThat(awaited(thread).path("chaseOn").asString("")).isEqualTo("2026-03-02");
        assertThat(awaited(thread).path("why").asString("")).isEqualTo("SILENT");
        ask("q2", "bo@quay.example", "Rope", "Could you bring the rope?", Instant.parse("2026-03-03T10:00:00Z"));
        JsonNode one = due().path(0);
        assertThat(due()).hasSize(1);
        assertThat(one.path("name").asString("")).isEqualTo("Tilda Brandt");
        assertThat(one.path("draft").asString(""))
                .startsWith("Hello Tilda,")
                .contains("> on 25 February I asked: “Could you send me the load chart?”")
                .endsWith("Ines Calloway");
        assertThat(get(me, "/api/threads?turn=WITH_OTHERS").path("due").asInt()).isEqualTo(1);
        assertThat(get(me, "/api/threads?turn=WITH_OTHERS")
                        .path("lines")
                        .path(0)
                        .path("id")
                        .asString(""))
                .as("whoever is due first stands first")
                .isEqualTo(thread);
    }

    @Test
    void aReminderGoesToTheOneAwaitedInTheThreadAndCanBeTakenBack() {
        String thread = askTilda("q1", "Could you send me the load chart?");
        String command = chase(thread, "");
        assertThat(due()).as("it is on its way").isEmpty();
        String raw = new String(
                Base64.getDecoder()
                        .decode(json.readTree(jdbc.queryForObject(
                                        "select payload from outbox where owner = ?", String.class, me.accountId()))
                                .path("raw")
                                .asString("")),
                StandardCharsets.UTF_8);
        assertThat(raw)
                .contains("To: Tilda Brandt <" + TILDA + ">", "Subject: Re: Crane q1", "In-Reply-To: <q1@x.example>")
                .contains("Message-ID: <chase.");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(outbox()).isEqualTo("[CANCELLED]");
        assertThat(due()).hasSize(1);
    }

    @Test
    void anAnswerThatComesWhileItWaitsStopsIt() {
        String thread = askTilda("q1", "Could you send me the load chart?");
        chase(thread, "");
        assertThat(outbox()).isEqualTo("[WAITING]");
        answered("a1", "q1", Instant.parse("2026-03-04T09:58:00Z"), "Here is the load chart.");
        assertThat(outbox()).isEqualTo("[CANCELLED]");
        assertThat(jdbc.queryForList("select label from command where owner = ?", String.class, me.accountId()))
                .contains("Reminder not sent, an answer has come: " + TILDA);
        assertThat(due()).isEmpty();
        assertThat(refusal(
                        me,
                        HttpMethod.POST,
                        "/api/threads/" + thread + "/chase",
                        "{\"party\":\"" + TILDA + "\",\"text\":\"Any news?\"}"))
                .contains("owes you nothing there any more");
    }

    @Test
    void aReminderThatWentOutCountsAndAsksNothingAnew() {
        String thread = askTilda("q1", "Could you send me the load chart?");
        ask("chase.1", TILDA, "Re: Crane q1", "Could you send it?", Instant.parse("2026-03-02T09:00:00Z"));
        jdbc.update(
                "update message set refs = ? where owner = ? and message_id = 'chase.1@x.example'",
                "{\"list\":[\"q1@x.example\"]}",
                me.accountId());
        answered("a0", "q1", Instant.parse("2026-03-02T08:59:00Z"), "The load chart is attached.");
        assertThat(due()).isEmpty();
        assertThat(get(me, "/api/threads/" + thread).path("line").path("awaited"))
                .isEmpty();
    }

    @Test
    void whoOwesSeveralThingsGetsOneLetter() {
        String first = askTilda("q1", "Could you send me the load chart?");
        String second = askTilda("q2", "Which week can you lift the pontoon?");
        assertThat(due()).hasSize(1);
        assertThat(due().path(0).path("open")).hasSize(2);
        assertThat(due().path(0).path("draft").asString("")).contains("load chart", "lift the pontoon");
        assertThat(get(me, "/api/chases/draft?party=" + TILDA + "&threads=" + first)
                        .path("text")
                        .asString(""))
                .contains("load chart")
                .doesNotContain("lift the pontoon");
        chase(first, ",\"others\":[\"" + second + "\"]");
        assertThat(due()).isEmpty();
        assertThat(outbox()).isEqualTo("[WAITING]");
        answered("a1", "q2", Instant.parse("2026-03-04T09:58:00Z"), "In the week of the 16th.");
        assertThat(outbox())
                .as("one of both is answered: the letter is not true any more")
                .isEqualTo("[CANCELLED]");
        assertThat(due().path(0).path("open")).hasSize(1);
    }

    /** What waits in the outbox goes out. */
    private void sendAll() {
        for (String payload : jdbc.queryForList(
                "select payload from outbox where owner = ? and state = 'WAITING'", String.class, me.accountId())) {
            byte[] bytes = Base64.getDecoder()
                    .decode(json.readTree(payload).path("raw").asString(""));
            arrive(me, new ArrivedMail(++count, TestClock.START, RawMail.of(bytes), MailParser.parse(bytes)));
        }
        jdbc.update("update outbox set state = 'DONE' where owner = ?", me.accountId());
    }

    @Test
    void oneLetterForSeveralThingsIsAReminderOfEachOfThem() {
        String first = askTilda("q1", "Could you send me the load chart?");
        String second = askTilda("q2", "Which week can you lift the pontoon?");
        chase(first, ",\"others\":[\"" + second + "\"]");
        sendAll();
        assertThat(due()).as("nobody is reminded of the same twice").isEmpty();
        for (String thread : List.of(first, second)) {
            assertThat(awaited(thread).path("chases").asInt()).isEqualTo(1);
            assertThat(awaited(thread).path("why").asString("")).isEqualTo("REMINDED");
            assertThat(awaited(thread).path("chaseOn").asString("")).isEqualTo("2026-03-06");
        }
        decide(me, "OPEN_AGAIN", "", second);
        assertThat(awaited(second).path("chases").asInt())
                .as("whatever else happens there")
                .isEqualTo(1);
    }

    @Test
    void aReminderThatGoesToSomebodyElseThereCountsAndTheirAnswerTakesItsPlace() {
        String thread = askTilda("q1", "Could you send me the load chart?");
        chase(thread, ",\"to\":\"deputy@brandt-cranes.example\"");
        sendAll();
        assertThat(awaited(thread).path("name").asString("")).isEqualTo("Tilda Brandt");
        assertThat(awaited(thread).path("chaseOn").asString("")).isEqualTo("2026-03-06");
        assertThat(due()).isEmpty();
        String reminder = jdbc.queryForObject(
                "select message_id from message where owner = ? and message_id like 'chase.%'",
                String.class, me.accountId());
        arrive(
                me,
                mail(
                        ++count,
                        "d1@x.example",
                        "Dot Brandt <deputy@brandt-cranes.example>",
                        "Re: Crane q1",
                        "<" + reminder + ">",
                        "Tilda is ill; the load chart is attached.",
                        Instant.parse("2026-03-04T09:59:00Z").plusSeconds(3_600)));
        assertThat(awaited(thread).path("answeredBy").asString("")).isEqualTo("Dot Brandt");
    }

    @Test
    void aScriptNeedSayNoMoreThanTheThread() {
        String thread = askTilda("q1", "Could you send me the load chart?");
        change(me, HttpMethod.POST, "/api/threads/" + thread + "/chase", "{}");
        String raw = new String(
                Base64.getDecoder()
                        .decode(json.readTree(jdbc.queryForObject(
                                        "select payload from outbox where owner = ?", String.class, me.accountId()))
                                .path("raw")
                                .asString("")),
                StandardCharsets.UTF_8);
        assertThat(raw).contains("To: Tilda Brandt <" + TILDA + ">", "Could you send me the load chart?");
        String both = ask("q2", TILDA + ", bo@quay.example", "Ropes", "Could you both send me the hours?", A_WEEK_AGO);
        assertThat(refusal(me, HttpMethod.POST, "/api/threads/" + both + "/chase", "{}"))
                .contains(TILDA, "bo@quay.example", "Nothing was sent");
        assertThat(refusal(me, HttpMethod.POST, "/api/threads/" + thread + "/chase", "{\"text\":\"  \"}"))
                .contains("is empty");
        assertThat(get(me, "/api/threads").path("lines").path(0).path("turn").asString(""))
                .as("those with others, where nothing is said")
                .isEqualTo("WITH_OTHERS");
    }

    @Test
    void aDayChosenByHandHoldsUntilItHasServed() {
        String thread = askTilda("q1", "Could you send me the load chart?");
        String command = decide(me, "NOT_BEFORE", "\"day\":\"2026-03-20\"", thread);
        assertThat(awaited(thread).path("chaseOn").asString("")).isEqualTo("2026-03-20");
        assertThat(due()).isEmpty();
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(due()).hasSize(1);
        decide(me, "NOT_BEFORE", "\"day\":\"2026-03-04\"", thread);
        chase(thread, "");
        assertThat(awaited(thread).path("why").asString("")).isEqualTo("SILENT");
    }

    @Test
    void whoUsuallyTakesLongerIsLeftInPeace() {
        for (int i = 0; i < 5; i++) {
            Instant asked = Instant.parse("2026-01-05T09:00:00Z").plusSeconds(7L * 86_400 * i);
            ask("u" + i, TILDA, "Crane u" + i, "Could you send me the hours?", asked);
            answered("v" + i, "u" + i, asked.plusSeconds(4 * 86_400), "Here they are.");
        }
        String thread = askTilda("q1", "Could you send me the load chart?");
        assertThat(awaited(thread).path("why").asString("")).isEqualTo("USUAL");
        assertThat(awaited(thread).path("usualMinutes").asInt()).isEqualTo(4 * 480);
        assertThat(due()).isEmpty();
    }

    @Test
    void whenAndHowOthersAreRemindedIsMineToChoose() {
        String thread = askTilda("q1", "Could you send me the load chart?");
        change(
                me,
                HttpMethod.PUT,
                "/api/settings/chasing",
                "{\"first\":6,\"then\":2,\"afterPromise\":1,\"firstText\":\"Dear {name}: {asks}\",\"secondText\":\"\",\"lastText\":\"\",\"exceptions\":[],\"languages\":[]}");
        assertThat(awaited(thread).path("chaseOn").asString("")).isEqualTo("2026-03-05");
        assertThat(due()).isEmpty();
        assertThat(get(me, "/api/settings/chasing").path("secondText").asString(""))
                .as("what is left empty is as usual")
                .contains("{asks}");
        String command = change(
                me,
                HttpMethod.PUT,
                "/api/settings/chasing",
                "{\"first\":1,\"then\":2,\"afterPromise\":1,\"firstText\":\"Dear {name}: {asks}\",\"secondText\":\"\",\"lastText\":\"\",\"exceptions\":[],\"languages\":[]}");
        assertThat(due().path(0).path("draft").asString("")).startsWith("Dear Tilda: > on 25 February");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(due()).isEmpty();
        assertThat(
                        refusal(
                                me,
                                HttpMethod.PUT,
                                "/api/settings/chasing",
                                "{\"first\":0,\"then\":2,\"afterPromise\":1,\"firstText\":\"\",\"secondText\":\"\",\"lastText\":\"\",\"exceptions\":[],\"languages\":[]}"))
                .contains("first");
    }

    @Test
    void somebodyIsRemindedInTheirLanguageWhereThereAreWordsInIt() {
        askTilda("q1", "Could you send me the load chart?");
        arrive(
                me,
                mail(
                        ++count,
                        "de@x.example",
                        "Tilda Brandt <" + TILDA + ">",
                        "Re: Crane q1",
                        "<q1@x.example>",
                        "Ich melde mich am Montag bei Ihnen und schicke Ihnen die Tabelle, sie ist noch nicht fertig.",
                        A_WEEK_AGO.plusSeconds(600)));
        askTilda("q2", "Could you send me the plan of the yard?");
        change(
                me,
                HttpMethod.PUT,
                "/api/settings/chasing",
                "{\"first\":3,\"then\":2,\"afterPromise\":1,\"firstText\":\"\",\"secondText\":\"\",\"lastText\":\"\","
                        + "\"exceptions\":[],\"languages\":[{\"language\":\"de\",\"firstText\":\"\",\"secondText\":\"\","
                        + "\"lastText\":\"\"}]}");
        JsonNode settings = get(me, "/api/settings/chasing");
        assertThat(settings.path("languages").path(0).path("firstText").asString(""))
                .startsWith("Guten Tag {name}");
        assertThat(due().path(0).path("draft").asString(""))
                .startsWith("Guten Tag Tilda,")
                .contains("> 25. Februar 2026: “Could you send me the plan of the yard?”");
    }

    @Test
    void aReminderByChatGoesToThemAloneAndCountsInTheirMailThread() {
        Source homeserver = SourceBuilder.builder()
                .id(UUID.randomUUID())
                .owner(me.accountId())
                .kind(SourceKind.CHAT)
                .name("Chat")
                .address("@ines:quay.example")
                .settings("{}")
                .secret(new byte[0])
                .daysBack(90)
                .archiveRule(ArchiveRule.NEVER)
                .addedAt(A_WEEK_AGO)
                .status(SourceStatus.LIVE)
                .statusText("")
                .build();
        sources.insert(homeserver);
        sources.saveRoom(
                me.accountId(),
                homeserver.id(),
                new ChatRoom(
                        "!tilda",
                        "Tilda",
                        true,
                        new Parties(List.of(
                                new Party("Tilda Brandt", "@tilda:quay.example"),
                                new Party("Ines Calloway", "@ines:quay.example")))));
        String thread = askTilda("q1", "Could you send me the load chart?");
        assertThat(due().path(0).path("room").asString("")).isEqualTo("!tilda");
        chase(thread, ",\"room\":\"!tilda\"");
        String identity = jdbc.queryForObject(
                "select identity from outbox where owner = ? and kind = 'SEND_CHAT'", String.class, me.accountId());
        assertThat(due()).as("it is on its way").isEmpty();
        jdbc.update("update outbox set state = 'DONE' where owner = ?", me.accountId());

        events.publishEvent(new ChatSent(me.accountId(), identity, "$sent"));
        locks.write(
                me.accountId(),
                () -> chat.takeIn(
                        homeserver,
                        List.of(new ChatEvent.Message(
                                "$sent",
                                "!tilda",
                                "@ines:quay.example",
                                Instant.parse("2026-03-04T10:00:00Z"),
                                "Any news?",
                                false,
                                Optional.empty(),
                                Optional.empty(),
                                List.of(),
                                Optional.empty(),
                                "{}"))));
        assertThat(awaited(thread).path("chases").asInt(0)).isEqualTo(1);
        assertThat(awaited(thread).path("chaseOn").asString("")).isEqualTo("2026-03-06");
        assertThat(refusal(
                        me,
                        HttpMethod.POST,
                        "/api/threads/" + thread + "/chase",
                        "{\"party\":\"" + TILDA + "\",\"text\":\"Any news?\",\"room\":\"!other\"}"))
                .contains("no such room");
    }

    private void chasesOtherwise(String exceptions) {
        change(
                me,
                HttpMethod.PUT,
                "/api/settings/chasing",
                "{\"first\":3,\"then\":2,\"afterPromise\":1,\"firstText\":\"\",\"secondText\":\"\",\"lastText\":\"\","
                        + "\"exceptions\":[" + exceptions + "],\"languages\":[]}");
    }

    @Test
    void otherDaysHoldForSomebodyOrTheirHouse() {
        String thread = askTilda("q1", "Could you send me the load chart?");
        chasesOtherwise(
                "{\"kind\":\"PARTY\",\"whom\":\"@Brandt-Cranes.example\",\"first\":7,\"then\":2,\"afterPromise\":1}");
        assertThat(awaited(thread).path("chaseOn").asString("")).isEqualTo("2026-03-06");
        assertThat(awaited(thread).path("ruleBy").asString("")).isEqualTo("PARTY");
        assertThat(due()).isEmpty();
        chasesOtherwise(
                "{\"kind\":\"PARTY\",\"whom\":\"@brandt-cranes.example\",\"first\":7,\"then\":2,\"afterPromise\":1},"
                        + "{\"kind\":\"PARTY\",\"whom\":\"" + TILDA
                        + "\",\"first\":1,\"then\":2,\"afterPromise\":1}");
        assertThat(awaited(thread).path("chaseOn").asString(""))
                .as("what was chosen for her comes before her house")
                .isEqualTo("2026-02-26");
        assertThat(due().size()).isEqualTo(1);
    }

    @Test
    void otherDaysHoldForACategoryAsSoonAsAThreadIsOfIt() {
        String thread = askTilda("q1", "Could you send me the load chart?");
        String category = category("Rigging");
        chasesOtherwise(
                "{\"kind\":\"CATEGORY\",\"whom\":\"" + category + "\",\"first\":8,\"then\":2,\"afterPromise\":1}");
        assertThat(due().size()).isEqualTo(1);
        arrive(
                me,
                mail(
                        ++count,
                        "more@x.example",
                        "Bob Hale <bob@hale.example>",
                        "Re: Crane q1",
                        "<q1@x.example>",
                        "I have told the pier that the crane comes.",
                        A_WEEK_AGO.plusSeconds(7_200)));
        String theirs = jdbc.queryForObject(
                "select cast(id as varchar) from message where owner = ? and message_id = 'more@x.example'",
                String.class,
                me.accountId());
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + theirs + "/follow-ups/" + UUID.randomUUID(),
                "{\"title\":\"Look at it\",\"firm\":false,\"categoryId\":\"" + category + "\",\"forReply\":false}");
        assertThat(awaited(thread).path("ruleBy").asString("")).isEqualTo("CATEGORY");
        assertThat(jdbc.queryForObject(
                        "select cast(chase_on as varchar) from thread where id = cast(? as uuid)",
                        String.class,
                        thread))
                .isEqualTo(awaited(thread).path("chaseOn").asString(""));
    }

    @Test
    void aStrangerSeesAndRemindsNobody() {
        String thread = askTilda("q1", "Could you send me the load chart?");
        SignedIn stranger = newAccount();
        assertThat(get(stranger, "/api/chases/due").path("due")).isEmpty();
        assertThat(refusal(
                        stranger,
                        HttpMethod.POST,
                        "/api/threads/" + thread + "/chase",
                        "{\"party\":\"" + TILDA + "\",\"text\":\"Any news?\"}"))
                .contains("thread");
    }

    private String category(String name) {
        String id = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/categories/" + id,
                "{\"name\":\"" + name + "\",\"hue\":\"PLUM\",\"letter\":\"q\",\"replyDays\":null}");
        return id;
    }
}
