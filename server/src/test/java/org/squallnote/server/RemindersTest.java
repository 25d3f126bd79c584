package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.files.FileImport;
import org.squallnote.server.reminder.ReminderClock;
import tools.jackson.databind.JsonNode;

/** Reminders come up once and in time. It is Wednesday 4 March 2026, ten o'clock. */
class RemindersTest extends ServerTest {

    @Autowired
    private TestClock clock;

    @Autowired
    private ReminderClock looking;

    @Autowired
    private FileImport files;

    private SignedIn me;
    private String followUp = "";

    @BeforeEach
    void something() {
        me = newAccount();
        followUp = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/follow-ups",
                "{\"followUps\":[{\"id\":\"" + followUp
                        + "\",\"sentence\":\"\",\"content\":{\"title\":\"Send the plan\",\"firm\":false,\"replyDay\":\"2026-03-05\"}}]}");
    }

    @AfterEach
    void asBefore() {
        clock.stand();
    }

    private String remind(String words) {
        String id = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/follow-ups/" + followUp + "/reminders/" + id,
                "{\"words\":\"" + words + "\"}");
        return id;
    }

    private List<String> due() {
        looking.look();
        return get(me, "/api/reminders").path("due").findValuesAsString("title");
    }

    private int notes() {
        return jdbc.queryForObject(
                "select count(*) from outbox where owner = ? and kind = 'SEND_MAIL'", Integer.class, me.accountId());
    }

    private void wish(String more) {
        String form = "{\"minutesBeforeMeetings\":0,\"byMail\":false,\"morningMailAt\":null,\"sittings\":[],"
                + "\"quietWhileWorking\":false,\"fromPeople\":[],\"words\":[]}";
        String name = more.substring(1, more.indexOf('"', 1));
        change(
                me,
                HttpMethod.PUT,
                "/api/settings/reminders",
                form.replaceAll("\"" + name + "\":(\\[\\]|[a-z0-9]+)", Matcher.quoteReplacement(more)));
    }

    @Test
    void oneComesUpWhenItIsDueAndOnce() {
        wish("\"byMail\":true");
        remind("in 20 min");
        assertThat(due()).isEmpty();
        clock.forward(Duration.ofMinutes(21));
        assertThat(due()).containsExactly("Send the plan");
        assertThat(due()).containsExactly("Send the plan");
        assertThat(notes()).isEqualTo(1);
        assertThat(jdbc.queryForObject("select payload from outbox where owner = ?", String.class, me.accountId()))
                .isNotEmpty();
    }

    @Test
    void itIsPutOffAndSeenToAndTakenBack() {
        String id = remind("in 20 min");
        clock.forward(Duration.ofMinutes(21));
        assertThat(due()).hasSize(1);
        String command = change(me, HttpMethod.POST, "/api/reminders/" + id + "/put-off", "{\"words\":\"in 10 min\"}");
        assertThat(due()).isEmpty();
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(due()).hasSize(1);
        change(me, HttpMethod.POST, "/api/reminders/" + id + "/put-off", "{\"words\":\"in 10 min\"}");
        clock.forward(Duration.ofMinutes(11));
        assertThat(due()).hasSize(1);
        change(me, HttpMethod.POST, "/api/reminders/" + id + "/settle", "");
        assertThat(due()).isEmpty();
        assertThat(get(me, "/api/follow-ups/" + followUp + "/reminders")).isEmpty();
    }

    @Test
    void whatIsDoneRemindsNobody() {
        remind("in 20 min");
        change(me, HttpMethod.POST, "/api/follow-ups/" + followUp + "/state?state=DONE&version=0", "");
        clock.forward(Duration.ofMinutes(30));
        assertThat(due()).isEmpty();
    }

    @Test
    void anAnswerBringsItUp() {
        arrive(me, mail(1, "plan@x.example", "Plan", "", "Could you send the plan?\n\nTilda"));
        change(me, HttpMethod.POST, "/api/follow-ups/" + followUp + "/messages/" + messageId(me, "plan@x.example"), "");
        remind("when somebody answers");
        assertThat(due()).isEmpty();
        clock.forward(Duration.ofMinutes(1));
        arrive(
                me,
                mail(
                        2,
                        "again@x.example",
                        "Tilda Brandt <tilda@brandt-cranes.example>",
                        "Re: Plan",
                        "<plan@x.example>",
                        "Never mind.",
                        clock.instant()));
        clock.forward(Duration.ofMinutes(1));
        assertThat(due()).containsExactly("Send the plan");
        assertThat(get(me, "/api/reminders")
                        .path("due")
                        .path(0)
                        .path("answered")
                        .asBoolean())
                .isTrue();
    }

    @Test
    void aMeetingIsToldOfBeforeItBeginsAndOnce() throws Exception {
        Instant at = clock.instant().plus(Duration.ofMinutes(30));
        String start = at.toString().replaceAll("[-:]", "").replaceAll("\\.\\d+", "");
        files.run(
                me.accountId(),
                new ByteArrayInputStream(("BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:surveyor\r\nSUMMARY:Surveyor\r\n"
                                + "DTSTART:" + start + "\r\nDURATION:PT1H\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n")
                        .getBytes(StandardCharsets.UTF_8)));
        wish("\"minutesBeforeMeetings\":15");
        due();
        assertThat(get(me, "/api/reminders").path("meetings")).isEmpty();
        clock.forward(Duration.ofMinutes(20));
        due();
        due();
        JsonNode meetings = get(me, "/api/reminders").path("meetings");
        assertThat(meetings.findValuesAsString("title")).containsExactly("Surveyor");
        change(
                me,
                HttpMethod.POST,
                "/api/reminders/meetings/settle",
                "{\"uid\":\"surveyor\",\"startsAt\":\""
                        + meetings.path(0).path("startsAt").asString("") + "\"}");
        due();
        assertThat(get(me, "/api/reminders").path("meetings")).isEmpty();
    }

    @Test
    void thePlanOfTheDayComesByMailOnceEachMorning() {
        wish("\"morningMailAt\":\"08:00\"");
        due();
        due();
        assertThat(notes()).isEqualTo(1);
        clock.forward(Duration.ofDays(1));
        due();
        assertThat(notes()).isEqualTo(2);
        clock.forward(Duration.ofDays(2));
        due();
        assertThat(notes()).as("not on Saturday").isEqualTo(2);
    }

    @Test
    void whatComesBetweenTwoSittingsIsHeldBackButForThoseWhoAreNamed() {
        arrive(me, mail(1, "a@x.example", "Berths", "", "Could you send the plan?"));
        wish("\"sittings\":[\"09:30\",\"14:00\"]");
        assertThat(get(me, "/api/intake").path("heldBack").path("count").asInt())
                .isZero();
        arrive(
                me,
                mail(2, "b@x.example", "Bo <bo@yard.example>", "Berths", "", "Could you call?", clock.instant()),
                mail(3, "c@x.example", "Gus <gus@yard.example>", "Crane", "", "Could you come?", clock.instant()));
        JsonNode held = get(me, "/api/intake").path("heldBack");
        assertThat(held.path("count").asInt()).isEqualTo(2);
        assertThat(held.path("next").asString("")).isEqualTo("2026-03-04T14:00:00");
        change(
                me,
                HttpMethod.PUT,
                "/api/settings/reminders",
                "{\"minutesBeforeMeetings\":0,\"byMail\":false,\"morningMailAt\":null,\"sittings\":[\"09:30\",\"14:00\"],"
                        + "\"quietWhileWorking\":false,\"fromPeople\":[\"Bo@Yard.example\"],\"words\":[\"crane\"]}");
        assertThat(get(me, "/api/intake").path("heldBack").path("count").asInt())
                .isZero();
    }

    @Test
    void whatSaysNoReminderIsRefusedWithAWord() {
        assertThat(refusal(
                        me,
                        HttpMethod.POST,
                        "/api/follow-ups/" + followUp + "/reminders/" + UUID.randomUUID(),
                        "{\"words\":\"soon\"}"))
                .contains("says no time ahead");
        String undated = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/follow-ups",
                "{\"followUps\":[{\"id\":\"" + undated
                        + "\",\"sentence\":\"\",\"content\":{\"title\":\"Some day\",\"firm\":false}}]}");
        assertThat(refusal(
                        me,
                        HttpMethod.POST,
                        "/api/follow-ups/" + undated + "/reminders/" + UUID.randomUUID(),
                        "{\"words\":\"1 hour before\"}"))
                .contains("no date that it could come before");
    }
}
