package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.util.Locale;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.mock.web.MockHttpSession;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.squallnote.server.account.SignedIn;
import org.squallnote.store.account.Account;

class AccountsTest extends ServerTest {

    @Autowired
    private PasswordEncoder passwords;

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

    @Test
    void signingInStartsASessionAndSigningOutEndsIt() {
        MvcTestResult signedIn = signIn(newUser("the right one").toUpperCase(Locale.ROOT), "the right one");
        assertThat(signedIn).hasStatus(200).bodyText().contains("SIGNED_IN");
        MockHttpSession session = (MockHttpSession) signedIn.getRequest().getSession(false);
        assertThat(mvc.get().uri("/api/intake").session(session).exchange()).hasStatus(200);
        assertThat(mvc.delete()
                        .uri("/api/session")
                        .session(session)
                        .with(csrf())
                        .exchange())
                .hasStatus(204);
        assertThat(session.isInvalid()).isTrue();
    }

    @Test
    void guessingIsSlowedDownAndTellsNothing() {
        String name = newUser("the right one");
        MvcTestResult wrong = signIn(name, "wrong");
        MvcTestResult nobody = signIn("nobody-" + UUID.randomUUID(), "wrong");
        assertThat(wrong).hasStatus(401);
        assertThat(new String(nobody.getResponse().getContentAsByteArray()))
                .isEqualTo(new String(wrong.getResponse().getContentAsByteArray()));
        for (int i = 0; i < 9; i++) {
            signIn(name, "wrong");
        }
        assertThat(signIn(name, "the right one")).hasStatus(429).bodyText().contains("Wait a minute");
    }

    @Test
    void onlyTheAdministratorAddsAccounts() {
        newAccount();
        String body = "{\"signIn\":\"new-" + UUID.randomUUID()
                + "\",\"name\":\"New\",\"password\":\"ten letters\",\"zone\":\"Europe/London\"}";
        assertThat(call(null, HttpMethod.POST, "/api/accounts", body)).hasStatus(403);
        assertThat(call(newAccount(), HttpMethod.POST, "/api/accounts", body)).hasStatus(403);
        assertThat(call(newAccount(), HttpMethod.GET, "/api/accounts", "")).hasStatus(403);
        SignedIn administrator = new SignedIn(newAccount().accountId(), "Owner", "Europe/London", true);
        assertThat(call(administrator, HttpMethod.POST, "/api/accounts", body.replace("ten letters", "short")))
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
        String name = newUser("the old one");
        Account account = accounts.bySignIn(name).orElseThrow();
        SignedIn me = new SignedIn(account.id(), "Ines", "Europe/London", false);
        String body =
                "{\"name\":\"Ines C\",\"zone\":\"Europe/Paris\",\"currentPassword\":\"%s\",\"newPassword\":\"%s\"}";
        assertThat(call(me, HttpMethod.PUT, "/api/account", body.formatted("wrong", "a longer new one")))
                .hasStatus(422);
        assertThat(call(me, HttpMethod.PUT, "/api/account", body.formatted("the old one", "short")))
                .hasStatus(422);
        assertThat(call(me, HttpMethod.PUT, "/api/account", body.formatted("the old one", "a longer new one")))
                .hasStatus(200);
        assertThat(signIn(name, "a longer new one")).hasStatus(200);
        assertThat(accounts.byId(account.id()).orElseThrow().zone()).isEqualTo("Europe/Paris");
    }
}
