package org.squallnote.formats.mail;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.time.ZonedDateTime;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.Party;

class MailAgainTest {

    private static final ZonedDateTime NOW = ZonedDateTime.parse("2026-03-04T10:40:00+00:00[Europe/London]");
    private static final byte[] OLD = """
            Message-ID: <old@merrowquay.example>
            From: Ines Calloway <ines@merrowquay.example>
            To: Wilma <wilma@gone.example>
            Cc: bo@merrowquay.example
            In-Reply-To: <question@gone.example>
            Subject: =?UTF-8?Q?Mooring_fees_=E2=82=AC?=
            Date: Mon, 02 Mar 2026 09:00:00 +0000
            Content-Type: multipart/mixed; boundary=b

            --b
            Content-Type: text/plain; charset=UTF-8

            The fees are attached.
            --b
            Content-Type: application/pdf; name=fees.pdf
            Content-Disposition: attachment; filename=fees.pdf
            Content-Transfer-Encoding: base64

            SGVsbG8=
            --b--
            """.replace("\n", "\r\n").getBytes(StandardCharsets.UTF_8);

    @Test
    void saysTheSameToSomebodyElse() {
        ParsedMail again = MailParser.parse(MailAgain.to(
                OLD,
                "wilma@terrace.example",
                "new@merrowquay.example",
                List.of("question@gone.example", "old@merrowquay.example"),
                NOW));
        assertThat(again.to()).containsExactly(new Party("", "wilma@terrace.example"));
        assertThat(again.cc()).isEmpty();
        assertThat(again.messageId()).contains("new@merrowquay.example");
        assertThat(again.references()).containsExactly("question@gone.example", "old@merrowquay.example");
        assertThat(again.sentAt()).contains(NOW.toInstant());
        assertThat(again.subject()).isEqualTo("Mooring fees €");
        assertThat(again.text()).isEqualTo("The fees are attached.");
        assertThat(again.attachments())
                .singleElement()
                .satisfies(file -> assertThat(file.name()).isEqualTo("fees.pdf"));
    }

    @Test
    void refusesWhatIsNoAddress() {
        assertThatThrownBy(() -> MailAgain.to(OLD, "wilma at the terrace", "n@x.example", List.of(), NOW))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
