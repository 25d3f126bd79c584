package org.squallnote.server.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Headers;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Party;
import org.squallnote.core.reading.Me;
import org.squallnote.core.reading.MessageToRead;
import org.squallnote.core.reading.MessageToReadBuilder;
import org.squallnote.core.reading.Reader;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.time.WorkingTime;

class AccountReaderTest {

    private static final Reader READER = new Reader(
            new Me("Ines Halloran", Set.of("ines@merrowquay.example"), List.of()),
            false,
            WorkingTime.officeHours(ZoneId.of("Europe/London")));

    private static final MessageToRead MESSAGE = MessageToReadBuilder.builder()
            .channel(Channel.MAIL)
            .from(new Party("Nell", "nell@merrowquay.example"))
            .to(List.of(new Party("Ines Halloran", "ines@merrowquay.example")))
            .cc(List.of())
            .sentAt(Instant.parse("2026-03-10T10:20:00Z"))
            .subject("The plan")
            .headers(Headers.none())
            .text("Could you send me the plan by Friday?")
            .mentions(Set.of())
            .known(List.of())
            .build();

    @Test
    void aMessageOnWhichTheRulesStumbleIsReadByItsHeadAndSaysSo() {
        assertThat(AccountReader.unlessItFails(() -> {
                    throw new NoSuchElementException("no value");
                }))
                .isEmpty();
        Reading head = READER.readHead(MESSAGE);
        assertThat(head.cut()).isTrue();
        assertThat(head.nature()).isEqualTo(Nature.PERSON);
        assertThat(head.asks()).isEmpty();
    }

    @Test
    void anyOtherIsReadWhole() {
        Reading reading =
                AccountReader.unlessItFails(() -> READER.read(MESSAGE)).orElseThrow();
        assertThat(reading.cut()).isFalse();
        assertThat(reading.asksMe()).isTrue();
    }
}
