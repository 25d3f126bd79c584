package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Collections;
import java.util.Deque;
import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.squallnote.core.account.Account;
import org.squallnote.core.event.WebhookSignature;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

/** Tokens, what happened, and webhooks. */
class ScriptsTest extends ServerTest {

    private static final String PASSWORD = "four words of mine";

    private record Received(String id, String timestamp, String signature, String body) {}

    private final List<Received> received = Collections.synchronizedList(new ArrayList<>());
    private final Deque<Integer> answers = new ArrayDeque<>();
    private SignedIn me;
    private HttpServer board;

    @Autowired
    private TestClock clock;

    @Autowired
    private PasswordEncoder passwords;

    @BeforeEach
    void somebodyWithAPassword() throws IOException {
        UUID id = UUID.randomUUID();
        // The owner of the installation may reach this machine.
        accounts.insert(
                new Account(id, "user-" + id, "Ines", passwords.encode(PASSWORD), "Europe/London", true, MONDAY));
        me = new SignedIn(id, "Ines", "Europe/London", true);
        board = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        board.createContext("/", exchange -> {
            String body = new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8);
            int status;
            synchronized (answers) {
                status = answers.isEmpty() ? 204 : answers.removeFirst();
            }
            if (status == 204) {
                received.add(new Received(
                        exchange.getRequestHeaders().getFirst("webhook-id"),
                        exchange.getRequestHeaders().getFirst("webhook-timestamp"),
                        exchange.getRequestHeaders().getFirst("webhook-signature"),
                        body));
            }
            exchange.sendResponseHeaders(status, -1);
            exchange.close();
        });
        board.start();
    }

    @AfterEach
    void close() {
        clock.stand();
        board.stop(0);
        jdbc.update("delete from webhook where owner = ?", me.accountId());
    }

    private JsonNode made(MvcTestResult result) {
        return json.readTree(result.getResponse().getContentAsByteArray());
    }

    private JsonNode token(String scopes, String password) {
        return made(call(
                me,
                HttpMethod.POST,
                "/api/tokens",
                "{\"name\":\"Board\",\"scopes\":[" + scopes + "],\"days\":30,\"currentPassword\":\"" + password
                        + "\"}"));
    }

    private MvcTestResult by(String token, HttpMethod method, String path, String body) {
        return mvc.method(method)
                .uri(path)
                .header("Authorization", "Bearer " + token)
                .header("Idempotency-Key", UUID.randomUUID().toString())
                .contentType(MediaType.APPLICATION_JSON)
                .content(body)
                .exchange();
    }

    private int status(String token, HttpMethod method, String path, String body) {
        return by(token, method, path, body).getResponse().getStatus();
    }

    private static String followUp(String title) {
        return "{\"followUps\":[" + captured(UUID.randomUUID(), title, "") + "]}";
    }

    @Test
    void aTokenDoesWhatItsScopesAllowUntilItEnds() {
        assertThat(token("\"READ\"", "wrong")
                        .path("fields")
                        .path("currentPassword")
                        .asString(""))
                .contains("not right");
        JsonNode made = token("\"ADD\"", PASSWORD);
        String adds = made.path("token").asString("");
        assertThat(adds).startsWith("squallnote_");
        assertThat(jdbc.queryForList("select token_hash from access_token", String.class))
                .as("kept nowhere")
                .noneMatch(hash -> hash.contains(adds.substring(11)));
        assertThat(status(adds, HttpMethod.POST, "/api/follow-ups", followUp("Ring Bo")))
                .isEqualTo(201);
        assertThat(status(adds, HttpMethod.GET, "/api/follow-ups", "")).isEqualTo(403);
        String reads = token("\"READ\"", PASSWORD).path("token").asString("");
        MvcTestResult list = by(reads, HttpMethod.GET, "/api/follow-ups", "");
        assertThat(made(list).path("open").get(0).path("title").asString("")).isEqualTo("Ring Bo");
        assertThat(status(reads, HttpMethod.POST, "/api/follow-ups", followUp("Ring Mara")))
                .isEqualTo(403);

        assertThat(get(me, "/api/tokens").get(0).path("lastUsedAt").isNull()).isFalse();
        call(
                me,
                HttpMethod.DELETE,
                "/api/tokens/" + made.path("kept").path("id").asString(""),
                "");
        MvcTestResult ended = by(adds, HttpMethod.POST, "/api/follow-ups", followUp("Too late"));
        assertThat(ended.getResponse().getStatus()).isEqualTo(401);
        assertThat(made(ended).path("detail").asString("")).contains("Settings, Scripts");

        clock.forward(Duration.ofDays(31));
        assertThat(status(reads, HttpMethod.GET, "/api/follow-ups", ""))
                .as("its end date")
                .isEqualTo(401);
    }

    @Test
    void noTokenGetsAtWhoSignsInAndASessionBesideItChangesNothing() {
        String all =
                token("\"READ\",\"ADD\",\"CHANGE\"", PASSWORD).path("token").asString("");
        assertThat(status(all, HttpMethod.GET, "/api/tokens", "")).isEqualTo(403);
        assertThat(mvc.get()
                        .uri(URI.create("/api/%74okens"))
                        .header("Authorization", "Bearer " + all)
                        .exchange()
                        .getResponse()
                        .getStatus())
                .as("written otherwise")
                .isGreaterThanOrEqualTo(400);
        assertThat(status(all, HttpMethod.GET, "/api/accounts", "")).isEqualTo(403);
        assertThat(status("squallnote_made-up", HttpMethod.GET, "/api/follow-ups", ""))
                .isEqualTo(401);
        MvcTestResult beside = mvc.get()
                .uri("/api/follow-ups")
                .with(csrf())
                .with(authentication(new UsernamePasswordAuthenticationToken(me, null, List.of())))
                .header("Authorization", "Bearer nothing")
                .exchange();
        assertThat(beside.getResponse().getStatus()).isEqualTo(401);
    }

    @Test
    void whatHappenedIsAskedForFromWhereOneStopped() {
        SignedIn me = newAccount();
        long start = get(me, "/api/events").path("last").asLong(-1);
        capture(me, captured(UUID.randomUUID(), "Ring Bo", ""));
        arrive(me, mail(1, "q@x.example", "Berth list", "", "Could you send me the berth list?"));
        JsonNode told = get(me, "/api/events?after=" + start);
        List<String> kinds = StreamSupport.stream(told.path("events").spliterator(), false)
                .map(event -> event.path("kind").asString(""))
                .toList();
        assertThat(kinds).startsWith("capture").contains("message-arrived");
        JsonNode first = told.path("events").get(0);
        assertThat(first.path("what").asString("")).isEqualTo("Follow-up: Ring Bo");
        assertThat(first.path("subjects").get(0).path("type").asString("")).isEqualTo("FOLLOW_UP");
        assertThat(get(me, "/api/events?after=" + told.path("last").asLong(0)).path("events"))
                .isEmpty();
        assertThat(get(newAccount(), "/api/events?after=0").path("events")).isEmpty();
    }

    private String hook(String only) {
        return made(call(
                        me,
                        HttpMethod.POST,
                        "/api/webhooks",
                        "{\"name\":\"Board\",\"url\":\"http://127.0.0.1:"
                                + board.getAddress().getPort() + "/hook\",\"only\":[" + only + "]}"))
                .path("secret")
                .asString("");
    }

    @Test
    void aWebhookIsToldInOrderSignedAndAgainUntilItTakesIt() throws InterruptedException {
        String secret = hook("\"FOLLOW_UPS\"");
        assertThat(secret).startsWith("whsec_");
        byte[] key = Base64.getDecoder().decode(secret.substring(6));
        answers.add(500);
        capture(me, captured(UUID.randomUUID(), "First", ""));
        change(
                me,
                HttpMethod.POST,
                "/api/categories/" + UUID.randomUUID(),
                "{\"name\":\"Of no interest\",\"hue\":\"MOSS\",\"letter\":null}");
        capture(me, captured(UUID.randomUUID(), "Second", ""));
        until(me, () -> get(me, "/api/webhooks").get(0).path("attempts").asInt(0) == 1);
        assertThat(get(me, "/api/webhooks").get(0).path("problem").asString("")).contains("status 500");
        assertThat(received).isEmpty();

        clock.forward(Duration.ofSeconds(10));
        until(me, () -> received.size() == 2);
        assertThat(received)
                .extracting(each -> json.readTree(each.body()).path("what").asString(""))
                .containsExactly("Follow-up: First", "Follow-up: Second");
        for (Received each : received) {
            assertThat(WebhookSignature.isRight(
                            each.signature(), key, each.id(), Long.parseLong(each.timestamp()), each.body()))
                    .isTrue();
        }
        until(me, () -> get(me, "/api/webhooks").get(0).path("attempts").asInt(-1) == 0);
    }

    @Test
    void whoeverWantsNoneAnyMoreIsSentNoneUntilSomebodySaysSo() throws InterruptedException {
        hook("");
        answers.add(410);
        capture(me, captured(UUID.randomUUID(), "First", ""));
        until(me, () -> get(me, "/api/webhooks").get(0).path("stopped").asBoolean(false));
        String id = get(me, "/api/webhooks").get(0).path("id").asString("");
        change(me, HttpMethod.POST, "/api/webhooks/" + id + "/go-on", "");
        until(me, () -> received.stream().anyMatch(each -> each.body().contains("Follow-up: First")));
        change(me, HttpMethod.DELETE, "/api/webhooks/" + id, "");
        assertThat(get(me, "/api/webhooks")).isEmpty();
    }

    @Test
    void anAddressIsCheckedAndTriedOut() {
        assertThat(made(call(
                                me,
                                HttpMethod.POST,
                                "/api/webhooks",
                                "{\"name\":\"x\",\"url\":\"http://board.example/\",\"only\":[]}"))
                        .path("fields")
                        .path("url")
                        .asString(""))
                .contains("https://");
        SignedIn other = newAccount();
        assertThat(call(
                                other,
                                HttpMethod.POST,
                                "/api/webhooks",
                                "{\"name\":\"x\",\"url\":\"https://127.0.0.1/\",\"only\":[]}")
                        .getResponse()
                        .getStatus())
                .as("inside the local network")
                .isEqualTo(422);
    }
}
