package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import jakarta.servlet.http.Cookie;
import java.util.Arrays;
import java.util.Locale;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.squallnote.core.account.Account;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

class AccountsTest extends ServerTest {

    @Autowired
    private PasswordEncoder passwords;

    private static final String RIGHT = "ferry lantern moss";
    private static final String CHANGE = "{\"currentPassword\":\"%s\",\"newPassword\":\"%s\"}";

    private String newUser(String password) {
        String name = "user-" + UUID.randomUUID();
        accounts.insert(new Account(
                UUID.randomUUID(), name, "Ines", passwords.encode(password), "Europe/London", false, MONDAY));
        return name;
    }

    private MvcTestResult signIn(String name, String password) {
        return mvc.post()
                .uri("/api/session")
                .with(csrf())
                .contentType("application/json")
                .content("{\"signIn\":\"" + name + "\",\"password\":\"" + password + "\"}")
                .exchange();
    }

    private static Cookie session(MvcTestResult result) {
        return cookie(result, "squallnote-session");
    }

    private static Cookie cookie(MvcTestResult result, String name) {
        return Arrays.stream(result.getResponse().getCookies())
                .filter(each -> each.getName().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private int statusWith(Cookie session) {
        return mvc.get()
                .uri("/api/intake")
                .cookie(session)
                .exchange()
                .getResponse()
                .getStatus();
    }

    @Test
    void signingInStartsASessionAndSigningOutEndsIt() {
        MvcTestResult signedIn = signIn(newUser(RIGHT).toUpperCase(Locale.ROOT), RIGHT);
        assertThat(signedIn).hasStatus(200).bodyText().contains("SIGNED_IN");
        Cookie session = session(signedIn);
        assertThat(session.isHttpOnly()).isTrue();
        assertThat(statusWith(session)).isEqualTo(200);
        assertThat(mvc.delete().uri("/api/session").cookie(session).with(csrf()).exchange())
                .hasStatus(204);
        assertThat(statusWith(session)).isEqualTo(401);
    }

    @Test
    void signingInMakesANewSessionAndANewToken() {
        String name = newUser(RIGHT);
        MvcTestResult first = signIn(name, RIGHT);
        MvcTestResult second = mvc.post()
                .uri("/api/session")
                .cookie(session(first), cookie(first, "XSRF-TOKEN"))
                .with(csrf())
                .contentType("application/json")
                .content("{\"signIn\":\"" + name + "\",\"password\":\"" + RIGHT + "\"}")
                .exchange();
        assertThat(session(second).getValue()).isNotEqualTo(session(first).getValue());
        assertThat(cookie(second, "XSRF-TOKEN").getValue())
                .isNotEqualTo(cookie(first, "XSRF-TOKEN").getValue());
        assertThat(statusWith(session(first))).isEqualTo(401);
    }

    @Test
    void overTlsTheCookiesAreSecure() {
        MvcTestResult signedIn = mvc.post()
                .uri("/api/session")
                .secure(true)
                .with(csrf())
                .contentType("application/json")
                .content("{\"signIn\":\"" + newUser(RIGHT) + "\",\"password\":\"" + RIGHT + "\"}")
                .exchange();
        assertThat(session(signedIn).getSecure()).isTrue();
        assertThat(cookie(signedIn, "squallnote-browser").getSecure()).isTrue();
        assertThat(cookie(signedIn, "XSRF-TOKEN").getSecure()).isTrue();
    }

    @Test
    void sessionsAreListedAndEnded() {
        String name = newUser(RIGHT);
        Cookie here = session(signIn(name, RIGHT));
        Cookie there = session(signIn(name, RIGHT));
        JsonNode listed = sessions(here);
        assertThat(listed).hasSize(2);
        assertThat(listed.get(0).path("device").asString("")).isNotEmpty();
        String other = listed.get(0).path("current").asBoolean(false)
                ? listed.get(1).path("id").asString("")
                : listed.get(0).path("id").asString("");
        assertThat(delete("/api/sessions/" + other, here)).isEqualTo(204);
        assertThat(statusWith(there)).isEqualTo(401);
        assertThat(statusWith(here)).isEqualTo(200);
        assertThat(delete("/api/sessions/" + other, here)).isEqualTo(404);
        Cookie strangers = session(signIn(newUser(RIGHT), RIGHT));
        assertThat(delete("/api/sessions/" + sessions(here).get(0).path("id").asString(""), strangers))
                .isEqualTo(404);
    }

    private JsonNode sessions(Cookie session) {
        return json.readTree(mvc.get()
                .uri("/api/sessions")
                .cookie(session)
                .exchange()
                .getResponse()
                .getContentAsByteArray());
    }

    private int delete(String path, Cookie session) {
        return mvc.delete()
                .uri(path)
                .cookie(session)
                .with(csrf())
                .exchange()
                .getResponse()
                .getStatus();
    }

    @Test
    void aNewPasswordEndsTheOtherSessions() {
        String name = newUser(RIGHT);
        Cookie here = session(signIn(name, RIGHT));
        Cookie there = session(signIn(name, RIGHT));
        MvcTestResult changed = mvc.put()
                .uri("/api/account/password")
                .cookie(here)
                .with(csrf())
                .contentType("application/json")
                .content(CHANGE.formatted(RIGHT, "plum gravel oboe nine"))
                .exchange();
        assertThat(changed).hasStatus(200);
        assertThat(statusWith(there)).isEqualTo(401);
        assertThat(statusWith(session(changed))).isEqualTo(200);
    }

    @Test
    void guessingIsSlowedDownAndTellsNothing() {
        String name = newUser(RIGHT);
        MvcTestResult wrong = signIn(name, "wrong");
        MvcTestResult nobody = signIn("nobody-" + UUID.randomUUID(), "wrong");
        assertThat(wrong).hasStatus(401);
        assertThat(new String(nobody.getResponse().getContentAsByteArray()))
                .isEqualTo(new String(wrong.getResponse().getContentAsByteArray()));
        for (int i = 0; i < 5; i++) {
            signIn(name, "wrong");
        }
        MvcTestResult slowed = signIn(name, RIGHT);
        assertThat(slowed).hasStatus(429).bodyText().contains("Nothing is locked");
        assertThat(slowed.getResponse().getHeader("Retry-After")).matches("[1-4]");
    }

    @Test
    void nobodyElseSlowsTheOwnerDown() {
        String name = newUser(RIGHT);
        Cookie browser = cookie(signIn(name, RIGHT), "squallnote-browser");
        for (int i = 0; i < 12; i++) {
            signIn(name, "wrong");
        }
        assertThat(signIn(name, RIGHT)).hasStatus(429);
        assertThat(signIn(name, RIGHT, "198.51.100.7"))
                .as("from another network")
                .hasStatus(200);
        MvcTestResult known = mvc.post()
                .uri("/api/session")
                .cookie(browser)
                .with(csrf())
                .contentType("application/json")
                .content("{\"signIn\":\"" + name + "\",\"password\":\"" + RIGHT + "\"}")
                .exchange();
        assertThat(known).as("from a browser that has signed in before").hasStatus(200);
    }

    private MvcTestResult signIn(String name, String password, String from) {
        return mvc.post()
                .uri("/api/session")
                .remoteAddress(from)
                .with(csrf())
                .contentType("application/json")
                .content("{\"signIn\":\"" + name + "\",\"password\":\"" + password + "\"}")
                .exchange();
    }

    @Test
    void aPasswordIsLongEnoughAndNotACommonOne() {
        String name = newUser(RIGHT);
        Account account = accounts.bySignIn(name).orElseThrow();
        SignedIn me = new SignedIn(account.id(), "Ines", "Europe/London", false);
        for (String[] each : new String[][] {
            {"🙂🙂🙂🙂🙂", "ten characters; this has 5"},
            {"password12345", "tried first"},
            {"qwertyuiop", "tried first"},
            {"ä".repeat(40), "72 characters"},
        }) {
            MvcTestResult refused = call(me, HttpMethod.PUT, "/api/account/password", CHANGE.formatted(RIGHT, each[0]));
            assertThat(refused).hasStatus(422);
            JsonNode problem = json.readTree(refused.getResponse().getContentAsByteArray());
            assertThat(problem.path("fields").path("newPassword").asString("")).contains(each[1]);
        }
    }

    @Test
    void onlyTheAdministratorAddsAccounts() {
        newAccount();
        String body = "{\"signIn\":\"new-" + UUID.randomUUID()
                + "\",\"name\":\"New\",\"password\":\"plum gravel oboe\",\"zone\":\"Europe/London\"}";
        assertThat(call(null, HttpMethod.POST, "/api/accounts", body)).hasStatus(403);
        assertThat(call(newAccount(), HttpMethod.POST, "/api/accounts", body)).hasStatus(403);
        assertThat(call(newAccount(), HttpMethod.GET, "/api/accounts", "")).hasStatus(403);
        SignedIn administrator = new SignedIn(newAccount().accountId(), "Owner", "Europe/London", true);
        assertThat(call(administrator, HttpMethod.POST, "/api/accounts", body.replace("plum gravel oboe", "short")))
                .hasStatus(422);
        assertThat(call(administrator, HttpMethod.POST, "/api/accounts", body.replace("Europe/London", "Atlantis")))
                .hasStatus(422);
        assertThat(call(administrator, HttpMethod.POST, "/api/accounts", body)).hasStatus(201);
        assertThat(call(administrator, HttpMethod.POST, "/api/accounts", body))
                .hasStatus(422)
                .bodyText()
                .contains("already signs in");
    }

    @Test
    void aPasswordIsChangedOnlyWithTheOldOne() {
        String name = newUser("ferry lantern moss");
        Account account = accounts.bySignIn(name).orElseThrow();
        SignedIn me = new SignedIn(account.id(), "Ines", "Europe/London", false);
        assertThat(call(me, HttpMethod.PUT, "/api/account/password", CHANGE.formatted("wrong", "plum gravel oboe")))
                .hasStatus(422);
        assertThat(call(me, HttpMethod.PUT, "/api/account/password", CHANGE.formatted("ferry lantern moss", "short")))
                .hasStatus(422);
        assertThat(call(
                        me,
                        HttpMethod.PUT,
                        "/api/account/password",
                        CHANGE.formatted("ferry lantern moss", "plum gravel oboe")))
                .hasStatus(200);
        assertThat(signIn(name, "plum gravel oboe")).hasStatus(200);
    }
}
