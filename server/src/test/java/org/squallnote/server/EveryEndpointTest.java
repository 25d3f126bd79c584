package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpMethod;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.squallnote.server.account.SignedIn;

/** Walks every endpoint as somebody else and as nobody. */
class EveryEndpointTest extends ServerTest {

    private static final Map<String, String> BODIES = Map.ofEntries(
            Map.entry("/chase", "{\"party\":\"a@x.example\",\"text\":\"Any news?\"}"),
            Map.entry("/waiting/read", "{\"words\":\"tomorrow\"}"),
            Map.entry("/waiting", "{\"person\":null,\"threadId\":null,\"until\":\"2026-03-09\"}"),
            Map.entry("/hand-over/done", "{\"word\":\"Done\"}"),
            Map.entry("/answers/", "{\"verdict\":\"NO_ANSWER\",\"missing\":\"\",\"always\":false}"),
            Map.entry("/hand-over", "{\"name\":\"\",\"address\":\"a@x.example\",\"text\":\"Hello\"}"),
            Map.entry("/invitation/answer", "{\"participation\":\"ACCEPTED\",\"note\":\"\",\"calendarId\":null}"),
            Map.entry(
                    "/invitation/counter", "{\"day\":\"2026-03-09\",\"from\":\"10:00\",\"minutes\":60,\"note\":\"\"}"),
            Map.entry("/api/reminders/", "{\"words\":\"tomorrow\"}"),
            Map.entry("/reminders/", "{\"words\":\"tomorrow\"}"),
            Map.entry("/api/reminders/meetings/settle", "{\"uid\":\"u\",\"startsAt\":\"2026-03-04T11:00:00Z\"}"),
            Map.entry("/repetition", "{\"words\":\"every week\"}"),
            Map.entry("/asked", "{\"text\":\"Could you?\"}"),
            Map.entry(
                    "/api/people/",
                    "{\"into\":\"a@x.example\",\"note\":\"\",\"was\":\"\",\"text\":\"x\",\"done\":false}"),
            Map.entry(
                    "/api/arrangements/",
                    "{\"name\":\"Mine\",\"letter\":\"\",\"facet\":\"PLACE\",\"byHand\":false,\"only\":[]}"),
            Map.entry("/api/time/entries/", "{\"day\":\"2026-03-02\",\"from\":\"09:00\",\"minutes\":5}"),
            Map.entry("/api/searches/", "{\"name\":\"Mine\",\"words\":\"Mine\",\"filter\":{}}"),
            Map.entry("/api/phrases/", "{\"name\":\"Mine\",\"text\":\"Mine\"}"),
            Map.entry(
                    "/api/recipes/{id}",
                    "{\"name\":\"Mine\",\"letter\":null,\"place\":1,\"automatic\":false,\"conditions\":{\"sender\":\"\",\"domain\":\"\",\"list\":\"\",\"room\":\"\",\"words\":[]},\"steps\":[{\"kind\":\"NOTHING\",\"title\":\"\",\"place\":\"\",\"folder\":\"\",\"address\":\"\",\"note\":\"\"}]}"),
            Map.entry("/follow-ups", "{\"title\":\"Stolen\",\"firm\":false}"),
            Map.entry("/answer", "{\"text\":\"Hello\",\"toAll\":false}"),
            Map.entry("/draft", "{\"text\":\"Hello\",\"toAll\":false,\"cc\":\"\",\"bcc\":\"\"}"),
            Map.entry("/api/categories/", "{\"name\":\"Stolen\",\"hue\":\"MOSS\",\"letter\":null}"),
            Map.entry(
                    "/api/sources/chat/",
                    "{\"name\":\"x\",\"homeserver\":\"http://127.0.0.1:1\",\"user\":\"x\",\"password\":\"x\",\"accessToken\":\"\",\"daysBack\":9,\"archiveRule\":\"NEVER\"}"),
            Map.entry(
                    "/api/sources/calendar/",
                    "{\"name\":\"x\",\"address\":\"http://127.0.0.1:1\",\"user\":\"x\",\"password\":\"x\"}"),
            Map.entry(
                    "/api/sources/mail/",
                    "{\"name\":\"x\",\"address\":\"x@x.example\",\"fromName\":\"x\",\"imap\":{\"host\":\"127.0.0.1\",\"port\":1,\"encryption\":\"NONE\"},\"smtp\":{\"host\":\"127.0.0.1\",\"port\":1,\"encryption\":\"NONE\"},\"user\":\"x\",\"password\":\"x\",\"inbox\":\"INBOX\",\"daysBack\":9,\"archiveRule\":\"NEVER\"}"),
            Map.entry("/work", "{\"minutes\":5}"),
            Map.entry("/start", "{\"day\":\"2026-03-04\"}"),
            Map.entry("/api/calendars/", "{\"name\":\"Stolen\",\"counts\":\"HIDDEN\"}"),
            Map.entry("/api/record/", "{\"note\":\"x\"}"),
            Map.entry("/related/", "{\"otherId\":\"" + UUID.randomUUID() + "\",\"way\":\"TOGETHER\"}"),
            Map.entry("/links/", "{\"url\":\"https://x.example\",\"title\":\"\"}"),
            Map.entry("/from-message", "{\"messageId\":\"" + UUID.randomUUID() + "\",\"index\":0}"),
            Map.entry("/reactions", "{\"sign\":\"x\"}"),
            Map.entry("/send-again", "{\"address\":\"x@x.example\"}"),
            Map.entry("/remove", "{\"currentPassword\":\"x\"}"));

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping mappings;

    private record Endpoint(HttpMethod method, String path) {}

    @Test
    void nobodySeesOrChangesWhatBelongsToAnotherAccount() {
        SignedIn ines = newAccount();
        SignedIn stranger = newAccount();
        arrive(ines, mail(1, "secret@x.example", "A secret", "", "Could you keep this to yourself?"));
        String message = messageId(ines, "secret@x.example");
        String followUp = UUID.randomUUID().toString();
        String category = UUID.randomUUID().toString();
        change(
                ines,
                HttpMethod.POST,
                "/api/categories/" + category,
                "{\"name\":\"Private\",\"hue\":\"MOSS\",\"letter\":null}");
        String command = change(
                ines,
                HttpMethod.POST,
                "/api/messages/" + message + "/follow-ups/" + followUp,
                "{\"title\":\"Keep the secret\",\"firm\":true}");
        String thread = jdbc.queryForObject(
                        "select thread_id from message where id = ?", UUID.class, UUID.fromString(message))
                .toString();
        Map<String, String> ids = Map.of(
                "/api/messages/{id}", message,
                "/api/messages/{messageId}", message,
                "/api/follow-ups/{id}", followUp,
                "/api/threads/{id}", thread,
                "/api/categories/{id}", category,
                "/api/sources", sourceOf(ines).toString(),
                "/api/history/{subjectId}", message,
                "/api/commands/{commandId}", command);
        List<String> before = decidedState(ines);
        int walked = 0;
        for (Endpoint endpoint : endpoints()) {
            if (!endpoint.path().contains("{")) {
                continue;
            }
            String id = ids.entrySet().stream()
                    .filter(entry -> endpoint.path().startsWith(entry.getKey()))
                    .map(Map.Entry::getValue)
                    .findFirst()
                    .orElse(UUID.randomUUID().toString());
            boolean file = endpoint.path().endsWith("/files/{fileId}") && endpoint.method() == HttpMethod.PUT;
            MvcTestResult result = file
                    ? upload(stranger, filled(endpoint, id), "x")
                    : call(stranger, endpoint.method(), filled(endpoint, id), body(endpoint.path()));
            String text = new String(result.getResponse().getContentAsByteArray(), StandardCharsets.UTF_8);
            assertThat(text)
                    .as("%s", endpoint)
                    .doesNotContain(
                            "secret@x.example", "A secret", "keep this to yourself", "Keep the secret", "Private");
            boolean ownThing = endpoint.path().startsWith("/api/history")
                    || endpoint.path().startsWith("/api/accounts/"); // An administrator's, which others may not do.
            boolean makesOwn = endpoint.path().matches("/api/(categories|sources/(mail|chat|calendar))/\\{id}")
                            && endpoint.method() == HttpMethod.POST
                    // Whoever has an address may note something of it; that somebody else knows it is not told.
                    || endpoint.path().startsWith("/api/people/")
                    || endpoint.path().matches("/api/(phrases|recipes|searches|arrangements)/\\{id}");
            if (!ownThing && !makesOwn) {
                assertThat(result.getResponse().getStatus())
                        .as("%s: %s", endpoint, text)
                        .isEqualTo(404);
            }
            walked++;
        }
        assertThat(walked).isGreaterThan(25);
        assertThat(decidedState(ines)).isEqualTo(before);
        assertThat(get(stranger, "/api/intake").path("total").asInt()).isZero();
        assertThat(get(stranger, "/api/follow-ups").path("open").size()).isZero();
        assertThat(get(stranger, "/api/threads?turn=WITH_ME").path("lines").size())
                .isZero();
    }

    @Test
    void withoutAnAccountNothingIsAnswered() {
        for (Endpoint endpoint : endpoints()) {
            boolean open = endpoint.path().equals("/api/session")
                    || endpoint.path().startsWith("/api/session/passkey")
                    || endpoint.path().startsWith("/feed/") // Whoever has the address may read it.
                    || (endpoint.path().equals("/api/accounts") && endpoint.method() == HttpMethod.POST);
            if (!open) {
                MvcTestResult result = call(
                        null,
                        endpoint.method(),
                        filled(endpoint, UUID.randomUUID().toString()),
                        body(endpoint.path()));
                assertThat(result.getResponse().getStatus()).as("%s", endpoint).isEqualTo(401);
            }
        }
    }

    @Test
    void aChangeWithoutTheTokenOfThePageIsRefused() {
        assertThat(mvc.post()
                        .uri("/api/session")
                        .contentType("application/json")
                        .content("{}")
                        .exchange())
                .hasStatus(403);
    }

    private List<Endpoint> endpoints() {
        Map<Endpoint, Boolean> found = new LinkedHashMap<>();
        for (RequestMappingInfo info : mappings.getHandlerMethods().keySet()) {
            for (String path : info.getPatternValues()) {
                for (RequestMethod method : info.getMethodsCondition().getMethods()) {
                    if (path.startsWith("/api/")) {
                        found.put(new Endpoint(method.asHttpMethod(), path), true);
                    }
                }
            }
        }
        return List.copyOf(found.keySet());
    }

    private static String filled(Endpoint endpoint, String id) {
        String path = endpoint.path()
                .replace(
                        "/follow-ups/{id}",
                        endpoint.path().contains("{messageId}")
                                ? "/follow-ups/" + UUID.randomUUID()
                                : "/follow-ups/" + id)
                .replace("{index}", "0")
                .replaceAll("\\{\\w+}", id);
        return path
                + "?version=0&turn=WITH_ME&reason=ANSWERED&retired=true&state=DONE&days=1&asks=NEVER&always=true&until=2099-01-01&name=x&type=a/b&accept=true&priority=HIGH&sign=x&room=x&into="
                + UUID.randomUUID();
    }

    private static String body(String path) {
        if (path.endsWith("/decline")) {
            return "{\"word\":\"no\"}";
        }
        if (path.equals("/api/messages/{messageId}/follow-ups")) {
            return "{\"followUps\":[{\"id\":\"" + UUID.randomUUID()
                    + "\",\"sentence\":\"\",\"content\":{\"title\":\"Stolen\",\"firm\":false}}]}";
        }
        return BODIES.entrySet().stream()
                .filter(entry -> path.contains(entry.getKey()))
                .max(Comparator.<Map.Entry<String, String>>comparingInt(entry -> path.lastIndexOf(entry.getKey())
                                + entry.getKey().length())
                        .thenComparing(entry -> entry.getKey().length()))
                .map(Map.Entry::getValue)
                .orElse(path.equals("/api/categories") ? "[]" : "{}");
    }
}
