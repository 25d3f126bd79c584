package org.squallnote.sources.mail;

import static org.assertj.core.api.Assertions.assertThat;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.squallnote.sources.ProbeStep;

/** A server whose certificate nobody vouches for, as small offices have them. */
class MailProbeTest {

    private static final String ADDRESS = "ines@merrowquay.example";

    private GreenMail server;
    private int imap;
    private int smtp;

    @BeforeEach
    void open() {
        server = new GreenMail(new ServerSetup[] {
            new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_IMAPS),
            new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_SMTPS)
        });
        server.start();
        server.setUser(ADDRESS, ADDRESS, "secret");
        imap = server.getImaps().getPort();
        smtp = server.getSmtps().getPort();
    }

    @AfterEach
    void close() {
        server.stop();
    }

    private MailProbe.Result probe(String password, Optional<String> pinned) {
        return MailProbe.run(new MailAccount(
                ADDRESS,
                new MailSettings(
                        new MailSettings.Server("127.0.0.1", imap, Encryption.TLS),
                        new MailSettings.Server("127.0.0.1", smtp, Encryption.TLS),
                        ADDRESS,
                        "Ines",
                        "INBOX",
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        pinned),
                password));
    }

    @Test
    void aCertificateThatNobodyVouchesForIsShownAndNothingIsSaidToItsServer() {
        MailProbe.Result result = probe("secret", Optional.empty());
        assertThat(result.passed()).isFalse();
        assertThat(result.folders()).isEmpty();
        assertThat(result.untrusted()).hasValueSatisfying(seen -> {
            assertThat(seen.sha256()).matches("([0-9A-F]{2}:){31}[0-9A-F]{2}");
            assertThat(seen.subject()).isNotBlank();
        });
        assertThat(result.steps())
                .filteredOn(step -> !step.passed())
                .extracting(ProbeStep::name)
                .containsExactly("Sign in to IMAP", "Sign in to SMTP");
    }

    @Test
    void acceptedItWorksAndNoOtherOneDoes() {
        String sha256 =
                probe("secret", Optional.empty()).untrusted().orElseThrow().sha256();
        MailProbe.Result accepted = probe("secret", Optional.of(sha256));
        assertThat(accepted.steps()).allMatch(ProbeStep::passed);
        assertThat(accepted.folders().orElseThrow().names()).contains("INBOX");

        String another = (sha256.startsWith("00") ? "11" : "00") + sha256.substring(2);
        assertThat(probe("secret", Optional.of(another)).passed()).isFalse();
    }

    @Test
    void aWrongPasswordIsNoQuestionOfTrust() {
        String sha256 =
                probe("secret", Optional.empty()).untrusted().orElseThrow().sha256();
        MailProbe.Result wrong = probe("wrong", Optional.of(sha256));
        assertThat(wrong.passed()).isFalse();
        assertThat(wrong.untrusted()).isEmpty();
        assertThat(wrong.steps())
                .filteredOn(step -> !step.passed())
                .first()
                .satisfies(step -> assertThat(step.name()).isEqualTo("Sign in to IMAP"));
    }

    @Test
    void aServerThatIsNotThereIsSaidToBeSo() {
        server.stop();
        MailProbe.Result result = probe("secret", Optional.empty());
        assertThat(result.steps())
                .extracting(ProbeStep::name)
                .contains("Reach the IMAP server", "Reach the SMTP server");
        assertThat(result.passed()).isFalse();
    }
}
