package org.squallnote.formats.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.validate.ValidationResult;
import org.junit.jupiter.api.Test;
import org.squallnote.core.calendar.Meeting;

class CalendarWriterTest {

    private static final Instant NOON = Instant.parse("2026-03-04T12:00:00Z");
    private static final String TITLE =
            "Send Tilda the plan; A, B\\C – „ü“ " + "and so on ".repeat(20).strip();

    private static String written() {
        return CalendarWriter.write(
                "Reply by, Ines",
                List.of(
                        new CalendarWriter.Event(
                                "a@squallnote",
                                TITLE,
                                "firm\nfrom Tilda",
                                Optional.of(LocalDate.of(2026, 3, 5)),
                                Optional.empty(),
                                0,
                                false,
                                NOON),
                        new CalendarWriter.Event(
                                "b@squallnote", "Call", "", Optional.empty(), Optional.of(NOON), 45, true, NOON)));
    }

    @Test
    void anotherParserReadsItWithoutAWarning() throws Exception {
        Calendar calendar = new CalendarBuilder().build(new StringReader(written()));
        ValidationResult result = calendar.validate(true);
        assertThat(result.getEntries()).isEmpty();
        assertThat(calendar.getComponents("VEVENT")).hasSize(2);
    }

    @Test
    void linesAreFoldedAndEndAsTheyShould() {
        for (String line : written().split("\r\n")) {
            assertThat(line.length()).isLessThanOrEqualTo(75);
        }
        assertThat(written()).endsWith("END:VCALENDAR\r\n");
    }

    @Test
    void ourOwnReaderReadsTheSame() throws Exception {
        CalendarReader.Result read = CalendarReader.read(written());
        assertThat(read.name()).isEqualTo("Reply by, Ines");
        List<Meeting> meetings = read.objects().stream()
                .flatMap(object -> object
                        .times(
                                UUID.randomUUID(),
                                ZoneId.of("UTC"),
                                NOON.minusSeconds(1),
                                NOON.plusSeconds(900_000),
                                Set.of())
                        .stream())
                .toList();
        assertThat(meetings).extracting(Meeting::title).containsExactlyInAnyOrder(TITLE, "Call");
        assertThat(meetings).filteredOn(Meeting::opaque).singleElement().satisfies(call -> {
            assertThat(call.fromInclusive()).isEqualTo(NOON);
            assertThat(call.toExclusive()).isEqualTo(NOON.plusSeconds(45 * 60));
        });
    }
}
