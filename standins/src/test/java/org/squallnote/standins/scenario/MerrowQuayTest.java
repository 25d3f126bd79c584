package org.squallnote.standins.scenario;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.mail.Address;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.squallnote.standins.chat.Homeserver;
import org.squallnote.standins.mail.MailStandIn;

/** The days of the harbour office, put down on real servers. */
class MerrowQuayTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final List<String> FOLDERS = List.of("INBOX", "Sent");

    @ParameterizedTest
    @ValueSource(
            strings = {
                "2026-03-07T13:05:00Z", // a Saturday
                "2026-10-25T00:30:00Z", // the night in which the clocks go back
                "2026-12-25T12:00:00Z", // a holiday
            })
    void everythingIsThereAndNothingFromTheFuture(String moment) throws Exception {
        Instant start = Instant.parse(moment);
        try (MailStandIn mail = MailStandIn.start(0, 0);
                Homeserver chat = Homeserver.start(0, "merrowquay.example", Clock.fixed(start, LONDON))) {
            new MerrowQuay(mail, chat, start, new QuayCalendar(start, LONDON)).play();
            List<MimeMessage> all = new ArrayList<>();
            for (String mailbox : List.of(MerrowQuay.OWN, MerrowQuay.OFFICE)) {
                for (String folder : FOLDERS) {
                    all.addAll(mail.messages(mailbox, folder));
                }
            }
            assertThat(all).hasSizeGreaterThan(40);
            assertThat(mail.messages(MerrowQuay.OWN, "Sent")).isNotEmpty();
            Set<String> ids = new HashSet<>();
            for (MimeMessage message : all) {
                assertThat(message.getSentDate().toInstant())
                        .as(message.getSubject())
                        .isBefore(start);
                assertThat(ids.add(message.getMessageID()))
                        .as("%s twice", message.getMessageID())
                        .isTrue();
                assertInvented(message);
            }
            for (MimeMessage message : all) {
                String answered = message.getHeader("In-Reply-To", null);
                assertThat(answered == null || ids.contains(answered.strip()))
                        .as("%s answers %s", message.getSubject(), answered)
                        .isTrue();
            }
        }
    }

    private static void assertInvented(MimeMessage message) throws MessagingException {
        List<Address> addresses = new ArrayList<>(List.of(message.getFrom()));
        if (message.getAllRecipients() != null) {
            addresses.addAll(List.of(message.getAllRecipients()));
        }
        assertThat(addresses)
                .allSatisfy(address -> assertThat(address.toString()).matches("(?s).*\\.example>?"));
    }
}
