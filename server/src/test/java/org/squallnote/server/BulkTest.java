package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import org.squallnote.sources.mail.ArrivedMail;
import tools.jackson.databind.JsonNode;

/** Several messages decided as one, put off, and taken back exactly. The clock stands at Wednesday 4 March 2026. */
class BulkTest extends ServerTest {

    private static final String DECIDE = "/api/intake/decisions";

    private SignedIn me;
    private final List<String> ids = new ArrayList<>();

    @BeforeEach
    void fiveMessages() {
        me = newAccount();
        arrive(
                me,
                mail(1, "a@x.example", "Crane", "", "Could you send me the crane plan by Thursday?"),
                mail(2, "b@x.example", "Hoist", "", "Could you ring me?"),
                mail(3, "c@x.example", "Tide", "", "The tide is high today."),
                mail(4, "d@x.example", "Quay", "", "Please check the quay by Friday noon."),
                mail(5, "e@x.example", "Rope", "", "Thanks for the rope."));
        for (String id : List.of("a", "b", "c", "d", "e")) {
            ids.add(messageId(me, id + "@x.example"));
        }
    }

    private static String body(List<String> ids, String decision, String more) {
        return "{\"messageIds\":[\"" + String.join("\",\"", ids) + "\"],\"decision\":\"" + decision + "\"" + more + "}";
    }

    private String undo(String command) {
        return change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
    }

    private int total() {
        return get(me, "/api/intake").path("total").asInt();
    }

    @Test
    void eachFollowUpHasItsOwnProposal() {
        change(me, HttpMethod.POST, DECIDE, body(ids.subList(0, 2), "FOLLOW_UP", ""));

        JsonNode open = get(me, "/api/follow-ups").path("open");
        assertThat(open.findValuesAsString("title"))
                .containsExactlyInAnyOrder("Send Tilda the crane plan", "Ring Tilda");
        assertThat(open.findValuesAsString("replyDay")).containsExactlyInAnyOrder("2026-03-05", "2026-03-04");
        assertThat(total()).isEqualTo(3);
    }

    @Test
    void whatIsShownBeforeIsWhatEachMessageProposes() {
        JsonNode lines = json.readTree(call(me, HttpMethod.POST, DECIDE + "/preview", body(ids, "FOLLOW_UP", ""))
                        .getResponse()
                        .getContentAsByteArray())
                .path("lines");
        assertThat(lines).hasSize(ids.size());
        for (JsonNode line : lines) {
            String id = line.path("messageId").asString("");
            JsonNode own = get(me, "/api/messages/" + id).path("proposal");
            assertThat(line.path("title")).isEqualTo(own.path("title"));
            assertThat(line.path("replyDay")).isEqualTo(own.path("replyBy"));
            assertThat(line.path("replyTime")).isEqualTo(own.path("replyTime"));
            assertThat(line.path("firm")).isEqualTo(own.path("firm"));
        }
    }

    @Test
    void aDayForAllIsTheirReplyByAndMyOwnAim() {
        JsonNode preview = json.readTree(
                call(me, HttpMethod.POST, DECIDE + "/preview", body(ids, "FOLLOW_UP", ",\"day\":\"2026-03-12\""))
                        .getResponse()
                        .getContentAsByteArray());
        assertThat(preview.path("lines").findValuesAsString("replyDay")).containsOnly("2026-03-12");
        assertThat(get(me, "/api/follow-ups").path("open")).isEmpty();

        change(me, HttpMethod.POST, DECIDE, body(ids, "FOLLOW_UP", ",\"day\":\"2026-03-12\""));
        JsonNode open = get(me, "/api/follow-ups").path("open");
        assertThat(open).hasSize(5);
        assertThat(open.findValuesAsString("replyDay")).containsOnly("2026-03-12");
        assertThat(open.findValuesAsString("firm")).containsOnly("false");
    }

    @Test
    void whatAnotherWindowDecidedIsLeftAsItIs() {
        change(me, HttpMethod.POST, "/api/messages/" + ids.get(0) + "/nothing", "");
        String command = change(me, HttpMethod.POST, DECIDE, body(ids.subList(0, 3), "NOTHING", ""));
        assertThat(get(me, "/api/history/" + ids.get(1)).path(0).path("label").asString(""))
                .isEqualTo("Nothing to do: 2 messages; 1 message decided already");
        assertThat(refusal(me, HttpMethod.POST, DECIDE, body(ids.subList(0, 3), "NOTHING", "")))
                .contains("All of them were decided in another window already");
        undo(command);
        assertThat(total()).isEqualTo(4);
    }

    @Test
    void whatIsPutOffComesBackOnItsDay() {
        change(me, HttpMethod.POST, "/api/messages/" + ids.get(0) + "/put-off?until=2026-03-06", "");
        JsonNode intake = get(me, "/api/intake");
        assertThat(intake.path("total").asInt()).isEqualTo(4);
        assertThat(intake.path("putOff").findValuesAsString("putOffUntil")).containsExactly("2026-03-06");

        jdbc.update("update message set put_off_until = date '2026-03-04' where owner = ?", me.accountId());
        assertThat(get(me, "/api/intake").path("putOff")).isEmpty();
        assertThat(total()).isEqualTo(5);
        assertThat(refusal(me, HttpMethod.POST, "/api/messages/" + ids.get(0) + "/put-off?until=2026-03-04", ""))
                .contains("until tomorrow or later");
        assertThat(refusal(me, HttpMethod.POST, DECIDE, body(ids, "PUT_OFF", "")))
                .contains("Say until which day");
    }

    @Test
    void aDecidedMessageIsNoLongerPutOff() {
        change(me, HttpMethod.POST, "/api/messages/" + ids.get(0) + "/put-off?until=2026-03-06", "");
        String command = change(me, HttpMethod.POST, "/api/messages/" + ids.get(0) + "/nothing", "");
        assertThat(get(me, "/api/intake").path("putOff")).isEmpty();
        undo(command);
        assertThat(get(me, "/api/intake").path("putOff")).hasSize(1);
    }

    @Test
    void aMessageIsAddedToWhatItsThreadHasAlready() {
        change(me, HttpMethod.POST, DECIDE, body(ids.subList(0, 1), "FOLLOW_UP", ""));
        String followUp =
                get(me, "/api/follow-ups").path("open").path(0).path("id").asString("");
        arrive(me, mail(9, "again@x.example", "Re: Crane", "<a@x.example>", "Could you also send me the lift plan?"));
        String later = messageId(me, "again@x.example");
        JsonNode known = get(me, "/api/messages/" + later).path("followUps").path(0);
        assertThat(known.path("title").asString("")).isEqualTo("Send Tilda the crane plan");
        assertThat(known.path("linked").asBoolean()).isFalse();

        List<String> before = decidedState(me);
        String path = "/api/follow-ups/" + followUp + "/messages/" + later;
        String command = change(me, HttpMethod.POST, path, "");
        assertThat(get(me, "/api/follow-ups/" + followUp).path("messages")).hasSize(2);
        assertThat(get(me, "/api/messages/" + later).path("decision").asString(""))
                .isEqualTo("FOLLOW_UP");
        assertThat(refusal(me, HttpMethod.POST, path, "")).contains("belongs to that follow-up already");
        undo(command);
        assertThat(decidedState(me)).isEqualTo(before);

        String version = get(me, "/api/follow-ups/" + followUp)
                .path("line")
                .path("version")
                .asString("");
        change(me, HttpMethod.POST, "/api/follow-ups/" + followUp + "/state?state=DONE&version=" + version, "");
        assertThat(refusal(me, HttpMethod.POST, path, "")).contains("has ended");
    }

    @Test
    void whatNeedsNothingEverGoesPastIntakeAndCanBeTakenBack() {
        List<String> before = decidedState(me);
        String command = change(me, HttpMethod.POST, "/api/messages/" + ids.get(2) + "/nothing?always=true", "");
        assertThat(total()).isZero();
        arrive(me, mail(9, "later@x.example", "Tide", "", "Could you look at the tide today?"));
        String later = messageId(me, "later@x.example");
        assertThat(total()).isZero();
        JsonNode said = get(me, "/api/history/" + later).path(0);
        assertThat(said.path("label").asString("")).startsWith("Past Intake, as you said of Tilda Brandt");
        assertThat(get(me, "/api/party-rules").path(0).path("pastIntake").asBoolean())
                .isTrue();

        undo(said.path("commandId").asString(""));
        assertThat(total()).isEqualTo(1);
        undo(command);
        assertThat(total()).isEqualTo(6);
        assertThat(decidedState(me)).containsAll(before);
        arrive(me, mail(10, "last@x.example", "Tide", "", "The tide is low."));
        assertThat(total()).isEqualTo(7);
    }

    @Test
    void nobodyDecidesWhatBelongsToSomebodyElse() {
        SignedIn stranger = newAccount();
        List<String> before = decidedState(me);
        for (String decision : List.of("NOTHING", "FOLLOW_UP")) {
            assertThat(refusal(stranger, HttpMethod.POST, DECIDE, body(ids, decision, "")))
                    .doesNotContain("Crane");
            assertThat(refusal(stranger, HttpMethod.POST, DECIDE + "/preview", body(ids, decision, "")))
                    .doesNotContain("Crane");
        }
        assertThat(decidedState(me)).isEqualTo(before);
    }

    /** Whatever was decided, taking it back in reverse leaves what was there before each decision. */
    @Test
    void everyDecisionIsTakenBackExactly() {
        Random random = new Random(20260304);
        for (int round = 0; round < 12; round++) {
            List<List<String>> states = new ArrayList<>();
            List<String> commands = new ArrayList<>();
            for (int i = 0; i < 4; i++) {
                List<String> picked = new ArrayList<>(ids);
                java.util.Collections.shuffle(picked, random);
                List<String> some = picked.subList(0, 1 + random.nextInt(3));
                states.add(decidedState(me));
                commands.add(decideSomehow(random.nextInt(4), some));
            }
            for (int i = commands.size() - 1; i >= 0; i--) {
                if (!commands.get(i).isEmpty()) {
                    undo(commands.get(i));
                }
                assertThat(decidedState(me)).as("round %d, step %d", round, i).isEqualTo(states.get(i));
            }
        }
    }

    private String decideSomehow(int way, List<String> some) {
        String body = switch (way) {
            case 0 -> body(some, "NOTHING", "");
            case 1 -> body(some, "PUT_OFF", ",\"day\":\"2026-03-09\"");
            case 2 -> body(some, "FOLLOW_UP", "");
            default -> body(some, "FOLLOW_UP", ",\"day\":\"2026-03-10\"");
        };
        return tryChange(me, HttpMethod.POST, DECIDE, body);
    }

    @Test
    void fiveHundredAreOneRequestAndOneUndo() {
        ArrivedMail[] many = new ArrivedMail[500];
        for (int i = 0; i < many.length; i++) {
            many[i] = mail(100 + i, "n" + i + "@x.example", "Note " + i, "", "Could you send me note " + i + "?");
        }
        arrive(me, many);
        List<String> picked = new ArrayList<>();
        for (int i = 0; i < many.length; i++) {
            picked.add(messageId(me, "n" + i + "@x.example"));
        }
        List<String> before = decidedState(me);
        String command = change(me, HttpMethod.POST, DECIDE, body(picked, "FOLLOW_UP", ""));
        assertThat(get(me, "/api/follow-ups").path("open")).hasSize(500);
        undo(command);
        assertThat(decidedState(me)).isEqualTo(before);
    }

    @Test
    void aTypedDateIsReadAndItsDayLookedAt() {
        JsonNode friday = get(me, "/api/day?text=fri 3pm");
        assertThat(friday.path("day").asString("")).isEqualTo("2026-03-06");
        assertThat(friday.path("time").asString("")).startsWith("15:00");
        assertThat(friday.path("full").asBoolean()).isFalse();
        assertThat(get(me, "/api/day?text=nonsense").path("day").isNull()).isTrue();
        assertThat(get(me, "/api/day?day=2026-03-07").path("off").asString("")).isNotEmpty();

        change(me, HttpMethod.POST, DECIDE, body(ids, "FOLLOW_UP", ",\"day\":\"2026-03-06\""));
        jdbc.update("update follow_up set effort_minutes = 80 where owner = ?", me.accountId());
        JsonNode full = get(me, "/api/day?day=2026-03-06");
        assertThat(full.path("due").asInt()).isEqualTo(5);
        assertThat(full.path("dueMinutes").asInt()).isEqualTo(400);
        assertThat(full.path("full").asBoolean()).isTrue();
        jdbc.update("update follow_up set reply_day = date '2026-03-02' where owner = ?", me.accountId());
        assertThat(get(me, "/api/day?day=2026-03-04").path("due").asInt()).isEqualTo(5);
        assertThat(get(me, "/api/day?day=2026-03-05").path("due").asInt()).isZero();
    }
}
