package org.squallnote.core.capture;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.TypedDate;
import org.squallnote.core.message.Party;
import org.squallnote.core.time.ReplyBy;
import org.squallnote.core.time.WorkingTime;

/** A hundred lines as people type them. */
class TypedLinesTest {

    private static final LocalDateTime NOW = LocalDateTime.of(2026, 3, 10, 10, 20);
    private static final Map<String, UUID> CATEGORIES = new LinkedHashMap<>();

    static {
        for (String name : List.of("Berths", "Crane", "Invoices", "Regatta")) {
            CATEGORIES.put(name, UUID.randomUUID());
        }
    }

    private static CaptureContext context(boolean monthFirst) {
        return new CaptureContext(
                new DateContext(NOW, WorkingTime.officeHours(ZoneId.of("Europe/London")), monthFirst),
                CATEGORIES,
                List.of(
                        new Party("Tilda Brandt", "tilda@brandt.example"),
                        new Party("Bo Lindgren", "bo@yard.example"),
                        new Party("Gus Ferrant", "gus@yard.example")),
                List.of("slipway", "boathouse", "office", "phone"),
                "Ines Calloway");
    }

    static Stream<List<String>> lines() throws IOException {
        try (InputStream in = TypedLinesTest.class.getResourceAsStream("typed-lines.txt")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                            .lines()
                            .filter(line -> !line.startsWith("#") && !line.isBlank())
                            .map(line -> Stream.of((line + " |").split("\\|", -1))
                                    .map(String::strip)
                                    .toList())
                            .toList()
                            .stream();
        }
    }

    @Test
    void thereAreAHundred() throws IOException {
        assertThat(lines().count()).isGreaterThanOrEqualTo(100);
    }

    @ParameterizedTest
    @MethodSource("lines")
    void eachBecomesWhatIsMeant(List<String> cells) {
        Captured captured = CaptureLine.read(cells.get(0), context(false));
        List<String> found = new ArrayList<>(List.of(
                cells.get(0),
                captured.title(),
                captured.replyBy().map(TypedLinesTest::text).orElse(""),
                captured.effortMinutes().map(String::valueOf).orElse(""),
                CATEGORIES.entrySet().stream()
                        .filter(each -> captured.category()
                                .filter(each.getValue()::equals)
                                .isPresent())
                        .map(Map.Entry::getKey)
                        .findFirst()
                        .orElse(""),
                captured.people().stream().map(Party::name).collect(Collectors.joining(", ")),
                captured.place(),
                captured.repeats(),
                captured.offers().stream()
                        .map(offer -> offer.kind().name().toLowerCase(Locale.ROOT) + " " + offer.name())
                        .collect(Collectors.joining(", "))));
        assertThat(String.join(" | ", found)).isEqualTo(String.join(" | ", cells.subList(0, 9)));
        captured.parts()
                .forEach(part -> assertThat(part.span().in(cells.get(0))).isNotBlank());
        captured.offers().forEach(offer -> assertThat(captured.title()).containsIgnoringCase(offer.words()));
    }

    private static String text(ReplyBy by) {
        return by.day() + by.time().map(time -> " " + time).orElse("") + (by.firm() ? "!" : "");
    }

    /** The order of day and month is the account's, in a line as in a date field. */
    @ParameterizedTest
    @CsvSource({"4/3, 2026-04-03, 2027-03-04", "4/3/2027, 2027-04-03, 2027-03-04", "3.12., 2026-12-03, 2026-12-03"})
    void lineAndFieldReadDigitsTheSameWay(String digits, String monthFirst, String dayFirst) {
        for (boolean first : new boolean[] {true, false}) {
            String expected = first ? monthFirst : dayFirst;
            assertThat(CaptureLine.read("renew it by " + digits, context(first)).replyBy())
                    .map(by -> by.day().toString())
                    .contains(expected);
            assertThat(TypedDate.read(digits, context(first).dates()))
                    .map(phrase -> phrase.day().toString())
                    .contains(expected);
        }
    }
}
