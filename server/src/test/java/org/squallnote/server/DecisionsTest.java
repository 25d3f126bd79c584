package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.squallnote.server.account.SignedIn;
import org.squallnote.sources.mail.ArrivedMail;
import tools.jackson.databind.JsonNode;

class DecisionsTest extends ServerTest {

    @Test
    void anyDecisionsAreUndoneExactly() {
        for (long seed = 0; seed < 12; seed++) {
            Random random = new Random(seed);
            SignedIn me = newAccount();
            List<ArrivedMail> mail = new ArrayList<>();
            for (int i = 0; i < 8; i++) {
                mail.add(mail(
                        i + 1,
                        "m" + i + "@x.example",
                        "Subject " + i,
                        i % 3 == 2 ? "<m" + (i - 1) + "@x.example>" : "",
                        "Could you look at " + i + "?"));
            }
            arrive(me, mail.toArray(ArrivedMail[]::new));
            String category = UUID.randomUUID().toString();
            change(
                    me,
                    HttpMethod.POST,
                    "/api/categories/" + category,
                    "{\"name\":\"Crane\",\"hue\":\"CLAY\",\"letter\":\"1\"}");
            List<String> before = decidedState(me);
            Deque<String> commands = new ArrayDeque<>();
            for (int i = 0; i < 20; i++) {
                somethingRandom(me, random, category).ifPresent(commands::push);
            }
            assertThat(commands).as("seed %d", seed).isNotEmpty();
            while (!commands.isEmpty()) {
                change(me, HttpMethod.POST, "/api/commands/" + commands.pop() + "/undo", "");
            }
            assertThat(decidedState(me)).as("seed %d", seed).isEqualTo(before);
        }
    }

    private Optional<String> somethingRandom(SignedIn me, Random random, String category) {
        String message = messageId(me, "m" + random.nextInt(8) + "@x.example");
        JsonNode open = get(me, "/api/follow-ups").path("open");
        JsonNode threads = get(me, "/api/threads?turn=WITH_ME").path("lines");
        JsonNode categories = get(me, "/api/categories");
        var choice = random.nextInt(12);
        String path = switch (choice) {
            case 0 -> "/api/messages/" + message + "/follow-ups/" + UUID.randomUUID();
            case 1 -> "/api/messages/" + message + "/nothing";
            case 2 -> "/api/messages/" + message + "/back-to-intake";
            case 3 ->
                open.isEmpty()
                        ? ""
                        : "/api/follow-ups/" + open.path(0).path("id").asString("") + "/state?state=DONE&version="
                                + open.path(0).path("version").asInt(0);
            case 4 -> threads.isEmpty() ? "" : "/api/threads/decisions";
            case 5 ->
                "/api/categories/" + category + "/retired?retired=" + random.nextBoolean() + "&version="
                        + categories.path(0).path("version").asInt(0);
            case 6 ->
                "/api/messages/" + message + "/asks?always=" + random.nextBoolean() + "&asks="
                        + (random.nextBoolean() ? "YES" : "NEVER");
            case 7 -> "/api/messages/" + message + "/reply-days?days=" + random.nextInt(9);
            case 8 -> "/api/messages/" + message + "/follow-ups";
            case 9 -> "/api/messages/" + message + "/hand-over";
            case 10 -> "/api/follow-ups";
            default ->
                open.isEmpty()
                        ? ""
                        : "PUT /api/follow-ups/" + open.path(0).path("id").asString("") + "?version="
                                + open.path(0).path("version").asInt(0);
        };
        if (path.isEmpty()) {
            return Optional.empty();
        }
        String body = "{\"title\":\"Do it " + random.nextInt(9)
                + "\",\"firm\":true,\"replyDay\":\"2026-03-06\",\"replyTime\":\"15:00\",\"categoryId\":\"" + category
                + "\"}";
        if (path.endsWith("/follow-ups")) {
            body = "{\"followUps\":[" + one(body) + "," + one(body) + "]}";
        } else if (path.endsWith("/hand-over")) {
            body = "{\"name\":\"Gus\",\"address\":\"gus@merrowquay.example\",\"text\":\"Could you take this over?\"}";
        }
        if (path.equals("/api/threads/decisions")) {
            body = decision(
                    "CLOSE",
                    "\"reason\":\"NOT_NEEDED\"",
                    threads.path(0).path("id").asString(""));
        }
        boolean put = path.startsWith("PUT ");
        var result = call(me, put ? HttpMethod.PUT : HttpMethod.POST, put ? path.substring(4) : path, body);
        return result.getResponse().getStatus() / 100 == 2
                ? Optional.of(json.readTree(result.getResponse().getContentAsByteArray())
                        .path("commandId")
                        .asString(""))
                : Optional.empty();
    }

    private static String one(String content) {
        return "{\"id\":\"" + UUID.randomUUID() + "\",\"sentence\":\"\",\"content\":" + content + "}";
    }

    @Test
    void aRepeatedRequestChangesNothingTwice() {
        SignedIn me = newAccount();
        arrive(me, mail(1, "once@x.example", "Once", "", "Could you do this once?"));
        String path = "/api/messages/" + messageId(me, "once@x.example") + "/follow-ups/" + UUID.randomUUID();
        String key = UUID.randomUUID().toString();
        for (int i = 0; i < 2; i++) {
            var result = mvc.post()
                    .uri(path)
                    .with(csrf())
                    .with(authentication(new UsernamePasswordAuthenticationToken(me, null, List.of())))
                    .header("Idempotency-Key", key)
                    .contentType("application/json")
                    .content("{\"title\":\"Once\",\"firm\":false}")
                    .exchange();
            assertThat(result).hasStatus(201);
        }
        assertThat(get(me, "/api/follow-ups").path("open").size()).isEqualTo(1);
    }

    @Test
    void twoWindowsDecideOnceAndTheSecondIsTold() {
        SignedIn me = newAccount();
        arrive(me, mail(1, "both@x.example", "Both", "", "Could you choose?"));
        String path = "/api/messages/" + messageId(me, "both@x.example") + "/nothing";
        change(me, HttpMethod.POST, path, "");

        assertThat(call(me, HttpMethod.POST, path, ""))
                .hasStatus(409)
                .bodyText()
                .contains("another window");
    }

    @Test
    void aStaleChangeOfAFollowUpLosesNothing() {
        SignedIn me = newAccount();
        arrive(me, mail(1, "stale@x.example", "Stale", "", "Could you?"));
        String id = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + messageId(me, "stale@x.example") + "/follow-ups/" + id,
                "{\"title\":\"First\",\"firm\":false}");
        change(me, HttpMethod.PUT, "/api/follow-ups/" + id + "?version=0", "{\"title\":\"Second\",\"firm\":false}");

        assertThat(call(
                        me,
                        HttpMethod.PUT,
                        "/api/follow-ups/" + id + "?version=0",
                        "{\"title\":\"Third\",\"firm\":false}"))
                .hasStatus(409);
        assertThat(get(me, "/api/follow-ups/" + id).path("line").path("title").asString(""))
                .isEqualTo("Second");
        assertThat(get(me, "/api/history/" + id).size()).isEqualTo(2);
    }

    @Test
    void anAnswerCanBeTakenBackWhileItWaitsAndComesBackAsADraft() {
        SignedIn me = newAccount();
        arrive(me, mail(1, "asked@x.example", "Asked", "", "Could you answer?"));
        String message = messageId(me, "asked@x.example");
        String command = change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/answer",
                "{\"text\":\"Yes, gladly.\",\"toAll\":false}");
        assertThat(get(me, "/api/outbox").path(0).path("state").asString("")).isEqualTo("WAITING");

        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");

        assertThat(get(me, "/api/outbox").size()).isZero();
        assertThat(get(me, "/api/messages/" + message)
                        .path("draft")
                        .path("text")
                        .asString(""))
                .isEqualTo("Yes, gladly.");
        assertThat(get(me, "/api/intake").path("total").asInt()).isEqualTo(1);
    }

    @Test
    void ofALongHeapTheMostPressingIsShownHoweverOldItIs() {
        SignedIn me = newAccount();
        ArrivedMail[] many = new ArrivedMail[230];
        for (int i = 0; i < many.length; i++) {
            many[i] = mail(
                    i + 2, "later" + i + "@x.example", "Later " + i, "", "Could you send list " + i + " by 30 March?");
        }
        arrive(
                me,
                mail(
                        1,
                        "pressing@x.example",
                        "Tilda <tilda@brandt-cranes.example>",
                        "Pressing",
                        "",
                        "Could you send the pressing list by 5 March?",
                        MONDAY.minusSeconds(600)));
        arrive(me, many);
        JsonNode intake = get(me, "/api/intake");
        assertThat(intake.path("lines")).hasSize(200);
        assertThat(intake.path("lines").get(0).path("about").asString("")).contains("pressing list");
        assertThat(intake.path("total").asInt()).isEqualTo(231);
    }
}
