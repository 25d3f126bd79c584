package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.squallnote.core.account.Account;
import org.squallnote.core.account.Passkey;
import org.squallnote.server.account.SignedIn;
import org.squallnote.store.account.PasskeyStore;
import tools.jackson.databind.JsonNode;

/** What needs no device; the rest is tried in a browser with one. */
class PasskeysTest extends ServerTest {

    private static final String RIGHT = "ferry lantern moss";
    private static final String PROOF = "{\"currentPassword\":\"" + RIGHT + "\"}";

    @Autowired
    private PasswordEncoder passwords;

    @Autowired
    private PasskeyStore passkeys;

    private SignedIn me;
    private SignedIn other;

    @BeforeEach
    void twoAccounts() {
        me = account(true);
        other = account(false);
    }

    private SignedIn account(boolean administrator) {
        UUID id = UUID.randomUUID();
        accounts.insert(
                new Account(id, "user-" + id, "Ines", passwords.encode(RIGHT), "Europe/London", administrator, MONDAY));
        return new SignedIn(id, "Ines", "Europe/London", administrator);
    }

    private UUID passkeyOf(SignedIn owner) {
        UUID id = UUID.randomUUID();
        passkeys.insert(new Passkey(
                id,
                owner.accountId(),
                id.toString().getBytes(java.nio.charset.StandardCharsets.US_ASCII),
                "Phone",
                "localhost",
                new byte[] {1},
                0,
                true,
                "internal",
                false,
                false,
                new byte[] {1},
                new byte[] {1},
                MONDAY,
                MONDAY));
        return id;
    }

    private MvcTestResult post(String path, String body) {
        return mvc.post()
                .uri(path)
                .with(csrf())
                .contentType("application/json")
                .content(body)
                .exchange();
    }

    private MvcTestResult signIn(SignedIn who, String code) {
        return post(
                "/api/session",
                "{\"signIn\":\"user-" + who.accountId() + "\",\"password\":\"" + RIGHT + "\",\"code\":\"" + code
                        + "\"}");
    }

    private JsonNode body(MvcTestResult result) {
        return json.readTree(result.getResponse().getContentAsByteArray());
    }

    @Test
    void withAPasskeyThePasswordAloneSignsNobodyIn() {
        UUID phone = passkeyOf(me);
        assertThat(signIn(me, "")).bodyText().contains("RECOVERY_CODE_NEEDED");
        String code = body(call(me, HttpMethod.POST, "/api/second-factor/recovery-codes", PROOF))
                .path("codes")
                .path(0)
                .asString("");
        assertThat(signIn(me, "123456")).hasStatus(422);
        assertThat(signIn(me, code)).bodyText().contains("SIGNED_IN");

        String remove = "/api/passkeys/" + phone + "/remove";
        assertThat(call(other, HttpMethod.POST, remove, PROOF))
                .as("somebody else")
                .hasStatus(404);
        assertThat(call(me, HttpMethod.POST, remove, "{\"currentPassword\":\"wrong\"}"))
                .hasStatus(422);
        assertThat(body(call(me, HttpMethod.POST, remove, PROOF))).isEmpty();
        assertThat(signIn(me, "")).bodyText().contains("SIGNED_IN");
        assertThat(get(me, "/api/second-factor").path("recoveryCodesLeft").asInt(-1))
                .isZero();
    }

    @Test
    void aDeviceIsAskedToMakeSureWhoItIsAndByTheNameInTheBrowser() {
        JsonNode making =
                body(call(me, HttpMethod.POST, "/api/passkeys/begin", PROOF)).path("options");
        assertThat(making.path("rp").path("id").asString("")).isEqualTo("localhost");
        assertThat(making.path("user").path("name").asString("")).isEqualTo("user-" + me.accountId());
        assertThat(making.path("authenticatorSelection")
                        .path("userVerification")
                        .asString(""))
                .isEqualTo("required");
        assertThat(making.path("authenticatorSelection").path("residentKey").asString(""))
                .isEqualTo("required");
        JsonNode using = body(post("/api/session/passkey/begin", "")).path("options");
        assertThat(using.path("rpId").asString("")).isEqualTo("localhost");
        assertThat(using.path("userVerification").asString("")).isEqualTo("required");
        assertThat(using.path("allowCredentials"))
                .as("nobody is told whose keys there are")
                .isEmpty();
    }

    @Test
    void whatIsNoAnswerSignsNobodyInAndIsTakenOnce() {
        String handle =
                body(post("/api/session/passkey/begin", "")).path("handle").asString("");
        String answer = """
                {"handle":"%s","credential":{"id":"AQ","rawId":"AQ","type":"public-key","clientExtensionResults":{},
                 "response":{"clientDataJSON":"e30","authenticatorData":"AQ","signature":"AQ"}}}""".formatted(handle);
        assertThat(post("/api/session/passkey", answer)).hasStatus(401);
        assertThat(post("/api/session/passkey", answer)).hasStatus(409);
        for (String none : new String[] {"{}", "{\"id\":7}", "{\"response\":{}}"}) {
            String again =
                    body(post("/api/session/passkey/begin", "")).path("handle").asString("");
            assertThat(post("/api/session/passkey", "{\"handle\":\"" + again + "\",\"credential\":" + none + "}"))
                    .hasStatus(401);
        }
    }

    @Test
    void aKeyThatWasAskedForByOneIsNotAddedToAnother() {
        String handle = body(call(me, HttpMethod.POST, "/api/passkeys/begin", PROOF))
                .path("handle")
                .asString("");
        String answer = "{\"handle\":\"" + handle + "\",\"label\":\"x\",\"credential\":{}}";
        assertThat(call(other, HttpMethod.POST, "/api/passkeys", answer)).hasStatus(409);
        assertThat(refusal(me, HttpMethod.POST, "/api/passkeys", answer)).contains("begin once more");
        assertThat(passkeys.of(other.accountId())).isEmpty();
    }

    @Test
    void anAdministratorHelpsSomebodyWhoHasLostEverything() {
        passkeyOf(other);
        String path = "/api/accounts/" + other.accountId() + "/password-only";
        assertThat(call(other, HttpMethod.POST, path, PROOF)).hasStatus(403);
        assertThat(call(me, HttpMethod.POST, path, "{\"currentPassword\":\"wrong\"}"))
                .hasStatus(422);
        assertThat(signIn(other, "")).bodyText().contains("RECOVERY_CODE_NEEDED");
        assertThat(call(me, HttpMethod.POST, path, PROOF)).hasStatus(200);
        assertThat(signIn(other, "")).bodyText().contains("SIGNED_IN");
    }
}
