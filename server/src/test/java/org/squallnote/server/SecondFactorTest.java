package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.security.InvalidKeyException;
import java.time.Clock;
import java.time.Duration;
import java.util.HexFormat;
import java.util.UUID;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.squallnote.core.account.Account;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

class SecondFactorTest extends ServerTest {

    private static final String RIGHT = "ferry lantern moss";
    private static final String PROOF = "{\"currentPassword\":\"" + RIGHT + "\"}";

    @Autowired
    private PasswordEncoder passwords;

    @Autowired
    private Clock clock;

    private SignedIn me;
    private String name;

    @BeforeEach
    void anAccount() {
        name = "user-" + UUID.randomUUID();
        UUID id = UUID.randomUUID();
        accounts.insert(new Account(id, name, "Ines", passwords.encode(RIGHT), "Europe/London", false, MONDAY));
        me = new SignedIn(id, "Ines", "Europe/London", false);
    }

    private MvcTestResult signIn(String code) {
        return mvc.post()
                .uri("/api/session")
                .with(csrf())
                .contentType("application/json")
                .content("{\"signIn\":\"" + name + "\",\"password\":\"" + RIGHT + "\",\"code\":\"" + code + "\"}")
                .exchange();
    }

    private JsonNode post(String path, String body) {
        return json.readTree(call(me, HttpMethod.POST, "/api/second-factor/" + path, body)
                .getResponse()
                .getContentAsByteArray());
    }

    /** The code that a device shows so many seconds from now. */
    private String code(String secret, int inSeconds) throws InvalidKeyException {
        TimeBasedOneTimePasswordGenerator device = new TimeBasedOneTimePasswordGenerator();
        return device.generateOneTimePasswordString(
                new SecretKeySpec(new Base32().decode(secret), device.getAlgorithm()),
                clock.instant().plus(Duration.ofSeconds(inSeconds)));
    }

    @Test
    void signingInAsksForACodeAndTakesEachOnce() throws InvalidKeyException {
        String secret = post("begin", PROOF).path("secret").asString("");
        assertThat(signIn("")).as("before a code was given").bodyText().contains("SIGNED_IN");
        JsonNode codes =
                post("confirm", "{\"code\":\"" + code(secret, -30) + "\"}").path("codes");
        assertThat(codes).hasSize(10);

        assertThat(signIn("")).hasStatus(200).bodyText().contains("CODE_NEEDED");
        assertThat(signIn(""))
                .satisfies(result -> assertThat(result.getResponse().getCookie("squallnote-session"))
                        .isNull());
        assertThat(signIn("000000")).hasStatus(422);
        String now = code(secret, 0);
        assertThat(signIn(now)).bodyText().contains("SIGNED_IN");
        assertThat(signIn(now)).as("the same code again").hasStatus(422);

        String recovery = codes.get(3).asString("").toUpperCase(java.util.Locale.ROOT);
        assertThat(signIn(recovery)).bodyText().contains("SIGNED_IN");
        assertThat(signIn(recovery)).as("the same recovery code again").hasStatus(422);
        assertThat(get(me, "/api/second-factor").path("recoveryCodesLeft").asInt())
                .isEqualTo(9);
    }

    @Test
    void itIsSwitchedOffWithThePasswordOnly() throws InvalidKeyException {
        String secret = post("begin", PROOF).path("secret").asString("");
        post("confirm", "{\"code\":\"" + code(secret, 0) + "\"}");
        assertThat(refusal(me, HttpMethod.POST, "/api/second-factor/off", "{\"currentPassword\":\"wrong\"}"))
                .contains("not right");
        assertThat(refusal(me, HttpMethod.POST, "/api/second-factor/begin", PROOF))
                .contains("already");
        assertThat(post("recovery-codes", PROOF).path("codes")).hasSize(10);
        assertThat(post("off", PROOF).path("on").asBoolean(true)).isFalse();
        assertThat(signIn("")).bodyText().contains("SIGNED_IN");
    }

    @Test
    void theSecretIsNotReadableInTheDatabase() {
        String secret = post("begin", PROOF).path("secret").asString("");
        byte[] stored =
                jdbc.queryForObject("select secret from second_factor where owner = ?", byte[].class, me.accountId());
        assertThat(HexFormat.of().formatHex(stored))
                .doesNotContain(HexFormat.of().formatHex(new Base32().decode(secret)));
    }

    @Test
    void aDeviceWhoseSecretCannotBeReadAnyMoreLeavesTheRecoveryCodes() throws InvalidKeyException {
        String secret = post("begin", PROOF).path("secret").asString("");
        JsonNode codes =
                post("confirm", "{\"code\":\"" + code(secret, -30) + "\"}").path("codes");
        jdbc.update("update second_factor set secret = ? where owner = ?", new byte[60], me.accountId());

        assertThat(signIn(code(secret, 0))).hasStatus(422).bodyText().contains("recovery code");
        assertThat(signIn(codes.get(0).asString(""))).bodyText().contains("SIGNED_IN");
    }
}
