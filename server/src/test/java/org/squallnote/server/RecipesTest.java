package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

/** Recipes, phrases, answers with files and handing over. The clock stands at Wednesday 4 March 2026. */
class RecipesTest extends ServerTest {

    private static final String NO_CONDITIONS = conditions("", "");

    private SignedIn me;
    private String message = "";

    @BeforeEach
    void oneMessage() {
        me = newAccount();
        arrive(me, mail(1, "crane@x.example", "Crane", "", "Could you send me the crane plan by Thursday?"));
        message = messageId(me, "crane@x.example");
    }

    private static String conditions(String sender, String words) {
        return "{\"sender\":\"" + sender + "\",\"domain\":\"\",\"list\":\"\",\"room\":\"\",\"words\":["
                + (words.isEmpty() ? "" : "\"" + words + "\"") + "]}";
    }

    private static String step(String kind, String more) {
        return "{\"kind\":\"" + kind + "\",\"title\":\"\",\"place\":\"\",\"folder\":\"\",\"address\":\"\",\"note\":\"\""
                + more + "}";
    }

    private String recipe(String name, boolean automatic, String conditions, String... steps) {
        String id = UUID.randomUUID().toString();
        String body = "{\"name\":\"" + name + "\",\"letter\":null,\"place\":1,\"automatic\":" + automatic
                + ",\"conditions\":" + conditions + ",\"steps\":[" + String.join(",", steps) + "]}";
        var result = call(me, HttpMethod.PUT, "/api/recipes/" + id + "?version=0", body);
        assertThat(result.getResponse().getStatus()).isEqualTo(200);
        return id;
    }

    private String phrase(String text) {
        String id = UUID.randomUUID().toString();
        call(me, HttpMethod.PUT, "/api/phrases/" + id, "{\"name\":\"Phrase\",\"text\":\"" + text + "\"}");
        return id;
    }

    private String undo(String command) {
        return change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
    }

    @Test
    void aRecipeSaysWhatItWouldDoAndDoesItWithOneUndo() {
        String id = recipe(
                "File",
                false,
                NO_CONDITIONS,
                step("FOLLOW_UP", "")
                        .replace("\"title\":\"\"", "\"title\":\"File {subject} of {name}\"")
                        .replace("\"kind\"", "\"workingDays\":3,\"effortMinutes\":5,\"kind\""),
                step("ARCHIVE", ""));
        assertThat(get(me, "/api/messages/" + message + "/recipes")
                        .path(0)
                        .path("steps")
                        .path(0)
                        .asString(""))
                .isEqualTo("follow-up “File Crane of Tilda” by Mon 9 Mar");
        List<String> before = decidedState(me);

        String command = change(me, HttpMethod.POST, "/api/messages/" + message + "/recipes/" + id, "");

        JsonNode line = get(me, "/api/follow-ups").path("open").path(0);
        assertThat(line.path("title").asString("")).isEqualTo("File Crane of Tilda");
        assertThat(line.path("replyDay").asString("")).isEqualTo("2026-03-09");
        assertThat(get(me, "/api/recipes/runs").path(0).path("undone").asBoolean())
                .isFalse();
        undo(command);
        assertThat(decidedState(me)).isEqualTo(before);
        assertThat(get(me, "/api/recipes/runs").path(0).path("undone").asBoolean())
                .isTrue();
    }

    @Test
    void aRecipeRunsByItselfOnWhatArrivesAndIsLogged() {
        recipe("Tides", true, conditions("", "tide"), step("NOTHING", ""));
        arrive(
                me,
                mail(2, "tide@x.example", "Levels", "", "The tide is high on Friday."),
                mail(3, "tidy@x.example", "Shed", "", "Please tidy the shed."));

        assertThat(get(me, "/api/intake").path("total").asInt()).isEqualTo(2);
        JsonNode run = get(me, "/api/recipes/runs").path(0);
        assertThat(run.path("automatic").asBoolean()).isTrue();
        undo(run.path("commandId").asString(""));
        assertThat(get(me, "/api/intake").path("total").asInt()).isEqualTo(3);
    }

    @Test
    void anAnswerByItselfGoesOutOnceAThreadAndNeverToAMachine() {
        String phrase = phrase("Dear {name}, I have it. {me}");
        recipe("Thanks", true, conditions("brandt", ""), step("ANSWER", ",\"phraseId\":\"" + phrase + "\""));
        arrive(me, mail(4, "again@x.example", "Re: Crane", "<crane@x.example>", "Could you also send the lift plan?"));
        arrive(me, mail(5, "third@x.example", "Re: Crane", "<again@x.example>", "And could you ring me?"));

        assertThat(get(me, "/api/recipes/runs")).hasSize(1);
        String payload = jdbc.queryForObject(
                "select cast(payload as varchar) from outbox where owner = ? and kind = 'SEND_MAIL'",
                String.class,
                me.accountId());
        assertThat(decoded(payload)).contains("Auto-Submitted: auto-replied").contains("Dear Tilda, I have it.");
    }

    @Test
    void aRecipeThatCannotRunStopsNothingFromArriving() {
        String phrase = phrase("Thanks");
        recipe(
                "Broken",
                true,
                conditions("", "hoist"),
                step("FOLLOW_UP", ""),
                step("ANSWER", ",\"phraseId\":\"" + phrase + "\""));
        call(me, HttpMethod.DELETE, "/api/phrases/" + phrase, "");
        arrive(me, mail(6, "hoist@x.example", "Hoist", "", "Could you check the hoist?"));

        assertThat(get(me, "/api/intake").path("total").asInt()).isEqualTo(2);
        assertThat(get(me, "/api/follow-ups").path("open")).isEmpty();
    }

    @Test
    void aDryRunFindsWhatWouldHaveBeenTaken() {
        JsonNode found = json.readTree(call(me, HttpMethod.POST, "/api/recipes/dry-run", conditions("", "crane plan"))
                .getResponse()
                .getContentAsByteArray());
        assertThat(found.path("found").asInt()).isEqualTo(1);
        assertThat(found.path("newest").path(0).path("subject").asString("")).isEqualTo("Crane");
    }

    @Test
    void aRecipeThatCannotWorkIsRefused() {
        String path = "/api/recipes/" + UUID.randomUUID() + "?version=0";
        String form = "{\"name\":\"x\",\"letter\":null,\"place\":1,\"automatic\":%s,\"conditions\":" + NO_CONDITIONS
                + ",\"steps\":[%s]}";
        assertThat(refusal(me, HttpMethod.PUT, path, form.formatted(false, ""))).contains("at least one step");
        assertThat(refusal(me, HttpMethod.PUT, path, form.formatted(true, step("NOTHING", ""))))
                .contains("needs a condition");
        assertThat(refusal(
                        me,
                        HttpMethod.PUT,
                        path,
                        form.formatted(false, step("NOTHING", "") + "," + step("FOLLOW_UP", ""))))
                .contains("cannot be decided in two ways");
        assertThat(refusal(me, HttpMethod.PUT, path, form.formatted(false, step("MOVE", ""))))
                .contains("name of a folder");
    }

    @Test
    void anAnswerCarriesFilesAndTakingItBackGivesThemAgain() {
        String file = UUID.randomUUID().toString();
        String path = "/api/messages/" + message + "/draft/files/" + file + "?name=plan.pdf&type=application/pdf";
        assertThat(upload(me, path, "%PDF plan").getResponse().getStatus()).isEqualTo(204);
        assertThat(get(me, "/api/messages/" + message).path("draftFiles").findValuesAsString("name"))
                .containsExactly("plan.pdf");

        String command = change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/answer",
                "{\"text\":\"Here it is. Could you confirm by Friday?\",\"toAll\":false}");
        assertThat(get(me, "/api/messages/" + message).path("draftFiles")).isEmpty();
        String payload = jdbc.queryForObject(
                "select cast(payload as varchar) from outbox where owner = ?", String.class, me.accountId());
        assertThat(decoded(payload)).contains("plan.pdf").contains("multipart/mixed");

        undo(command);
        assertThat(get(me, "/api/messages/" + message).path("draftFiles")).hasSize(1);
        assertThat(upload(me, path.replace(file, UUID.randomUUID().toString()), "x".repeat(10_000_001))
                        .getResponse()
                        .getStatus())
                .isEqualTo(422);
        assertThat(upload(me, path.replace(file, UUID.randomUUID().toString()), "x".repeat(12_000_001))
                        .getResponse()
                        .getStatus())
                .isEqualTo(413);
    }

    @Test
    void whatAnAnswerAsksCanBeWaitedFor() {
        JsonNode asked = json.readTree(call(
                        me,
                        HttpMethod.POST,
                        "/api/messages/" + message + "/asked",
                        "{\"text\":\"Thank you. Could you confirm the lift by Friday?\"}")
                .getResponse()
                .getContentAsByteArray());
        assertThat(asked.path("day").asString("")).isEqualTo("2026-03-06");
        assertThat(asked.path("who").asString("")).isEqualTo("Tilda Brandt");
        JsonNode nothing = json.readTree(
                call(me, HttpMethod.POST, "/api/messages/" + message + "/asked", "{\"text\":\"Thank you.\"}")
                        .getResponse()
                        .getContentAsByteArray());
        assertThat(nothing.path("day").isNull()).isTrue();
    }

    @Test
    void whatIsHandedOverLeavesIntakeAndMyTurnUntilItIsTakenBack() {
        List<String> before = decidedState(me);
        String command = change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/hand-over",
                "{\"name\":\"Gus Ferrant\",\"address\":\"gus@merrowquay.example\",\"text\":\"Could you take this over?\"}");

        assertThat(get(me, "/api/intake").path("total").asInt()).isZero();
        assertThat(get(me, "/api/threads?turn=WITH_ME").path("lines")).isEmpty();
        String payload = jdbc.queryForObject(
                "select cast(payload as varchar) from outbox where owner = ?", String.class, me.accountId());
        assertThat(decoded(payload))
                .contains("Subject: Fwd: Crane")
                .contains("To: Gus Ferrant <gus@merrowquay.example>")
                .contains("References: <crane@x.example>")
                .contains("crane plan by Thursday");
        undo(command);
        assertThat(decidedState(me)).isEqualTo(before);
        assertThat(get(me, "/api/threads?turn=WITH_ME").path("lines")).hasSize(1);
    }

    @Test
    void aColleagueAcceptsOrDeclinesWhatIsHandedOver() {
        SignedIn gus = newAccount();
        jdbc.update("update source set address = 'gus@merrowquay.example' where owner = ?", gus.accountId());
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/hand-over",
                "{\"name\":\"Gus\",\"address\":\"gus@merrowquay.example\",\"text\":\"Could you take this over?\"}");
        String identity =
                jdbc.queryForObject("select identity from outbox where owner = ?", String.class, me.accountId());
        arrive(gus, mail(9, identity, "Ines <" + MINE + ">", "Fwd: Crane", "", "Could you take this over?", MONDAY));
        String theirs = messageId(gus, identity);
        JsonNode seen = get(gus, "/api/messages/" + theirs).path("handOver");
        assertThat(seen.path("mine").asBoolean()).isFalse();
        assertThat(seen.path("who").asString("")).isEqualTo("Ines Calloway");

        String accepted = change(gus, HttpMethod.POST, "/api/messages/" + theirs + "/accept", "");
        assertThat(stateOf(gus, theirs)).isEqualTo("ACCEPTED");
        assertThat(stateOf(me, message)).isEqualTo("ACCEPTED");
        change(gus, HttpMethod.POST, "/api/commands/" + accepted + "/undo", "");
        assertThat(stateOf(gus, theirs)).isEqualTo("OFFERED");
        assertThat(stateOf(me, message)).isEqualTo("OFFERED");

        String declined =
                change(gus, HttpMethod.POST, "/api/messages/" + theirs + "/decline", "{\"word\":\"on leave\"}");

        assertThat(get(me, "/api/intake").path("total").asInt()).isEqualTo(1);
        assertThat(get(me, "/api/threads?turn=WITH_ME").path("lines")).hasSize(1);
        assertThat(get(me, "/api/messages/" + message)
                        .path("handOver")
                        .path("word")
                        .asString(""))
                .isEqualTo("on leave");
        assertThat(refusal(gus, HttpMethod.POST, "/api/messages/" + theirs + "/accept", ""))
                .contains("accepted or declined already");
        assertThat(refusal(gus, HttpMethod.POST, "/api/commands/" + declined + "/undo", ""))
                .contains("Ask them to hand it over again");
    }

    private String stateOf(SignedIn who, String id) {
        return get(who, "/api/messages/" + id).path("handOver").path("state").asString("");
    }

    private String decoded(String payload) {
        byte[] raw = java.util.Base64.getDecoder()
                .decode(json.readTree(payload).path("raw").asString(""));
        return new String(raw, java.nio.charset.StandardCharsets.UTF_8);
    }
}
