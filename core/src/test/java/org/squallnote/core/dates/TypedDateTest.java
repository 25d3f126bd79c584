package org.squallnote.core.dates;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.squallnote.core.text.WordList;
import org.squallnote.core.time.WorkingTime;

/** What people type into a date field on Tuesday 10 March 2026 at 10:20. */
class TypedDateTest {

    private static final DateContext NOW = new DateContext(
            LocalDateTime.parse("2026-03-10T10:20"), WorkingTime.officeHours(ZoneId.of("Europe/London")), false);

    static Stream<Arguments> typed() {
        return WordList.lines(TypedDateTest.class, "typed-dates.txt").stream()
                .map(line -> line.split(" = "))
                .map(parts -> Arguments.of(parts[0], parts[1]));
    }

    @ParameterizedTest
    @MethodSource("typed")
    void reads(String typed, String expected) {
        assertThat(TypedDate.read(typed, NOW)
                        .map(phrase -> phrase.day()
                                + phrase.time().map(time -> "T" + time).orElse(""))
                        .orElse("nothing"))
                .as(typed)
                .isEqualTo(expected);
    }
}
