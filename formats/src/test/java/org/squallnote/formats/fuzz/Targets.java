package org.squallnote.formats.fuzz;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.squallnote.core.capture.CaptureContext;
import org.squallnote.core.capture.CaptureText;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Headers;
import org.squallnote.core.message.Party;
import org.squallnote.core.reading.Me;
import org.squallnote.core.reading.MessageToReadBuilder;
import org.squallnote.core.reading.Reader;
import org.squallnote.core.time.WorkingTime;

/** What several targets do with what they are given. */
final class Targets {

    private static final Party INES = new Party("Ines Calloway", "ines@merrowquay.example");
    private static final Reader READER = new Reader(
            new Me(INES.name(), Set.of(INES.address()), List.of()),
            false,
            WorkingTime.officeHours(ZoneId.of("Europe/London")));

    private Targets() {}

    static void read(Party from, String subject, String text) {
        READER.read(MessageToReadBuilder.builder()
                .channel(Channel.MAIL)
                .from(from)
                .to(List.of(INES))
                .cc(List.of())
                .sentAt(Instant.parse("2026-03-04T10:40:00Z"))
                .subject(subject)
                .headers(Headers.of(Map.of()))
                .text(text)
                .mentions(Set.of())
                .known(List.of())
                .build());
    }

    static void capture(String typed, DateContext now) {
        CaptureText.read(
                typed,
                new CaptureContext(
                        now,
                        Map.of("Crane", new UUID(1, 1), "Berths", new UUID(1, 2)),
                        List.of(INES),
                        List.of("slipway"),
                        "Ines"));
    }
}
