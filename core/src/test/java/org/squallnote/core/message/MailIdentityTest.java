package org.squallnote.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

class MailIdentityTest {

    private static String dateIn(String header) {
        return MailIdentity.rawDate(header.getBytes(StandardCharsets.ISO_8859_1));
    }

    @Test
    void theDateIsTakenAsItStands() {
        assertThat(dateIn("From: a\r\nDate: Mon, 99 Foo 1902\r\n\r\nText")).isEqualTo("Mon, 99 Foo 1902");
        assertThat(dateIn("DATE:\tMon,\r\n  2 Mar\n 2026 \n\nText")).isEqualTo("Mon, 2 Mar 2026");
        assertThat(dateIn("Date: one\r\nDate: two\r\n\r\n")).isEqualTo("one");
    }

    @Test
    void whatStandsInTheTextIsNoDate() {
        assertThat(dateIn("From: a\r\n\r\nDate: Mon")).isEmpty();
        assertThat(dateIn("From: a\n\nDate: Mon")).isEmpty();
        assertThat(dateIn("X-Date: Mon\r\n")).isEmpty();
        assertThat(dateIn("")).isEmpty();
        assertThat(dateIn("Date:")).isEmpty();
    }

    @Test
    void anIdentifierThatWasUsedTwiceIsToldApartBySenderOrDate() {
        String one = MailIdentity.of("1@x.example", "a@x.example", "Mon");
        assertThat(one).isEqualTo(MailIdentity.of("1@x.example", "a@x.example", "Mon"));
        assertThat(one).isNotEqualTo(MailIdentity.of("1@x.example", "b@x.example", "Mon"));
        assertThat(one).isNotEqualTo(MailIdentity.of("1@x.example", "a@x.example", "Tue"));
    }
}
