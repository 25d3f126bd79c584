package org.squallnote.core.capture;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.squallnote.core.capture.CaptureText.Item;
import org.squallnote.core.capture.CaptureText.Sort;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.message.Party;
import org.squallnote.core.time.WorkingTime;

/** Captured on Tuesday 10 March 2026, at twenty past ten. */
class CaptureTest {

    private static final UUID CRANE = UUID.randomUUID();
    private static final UUID INVOICES = UUID.randomUUID();
    private static final CaptureContext CONTEXT = new CaptureContext(
            new DateContext(
                    LocalDateTime.of(2026, 3, 10, 10, 20), WorkingTime.officeHours(ZoneId.of("Europe/London")), false),
            Map.of("Crane", CRANE, "Invoices", INVOICES),
            List.of(new Party("Tilda Brandt", "tilda@brandt.example"), new Party("Bo Lindgren", "bo@yard.example")),
            List.of("slipway"),
            "Ines Calloway");

    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "-", textBlock = """
                    call the crane firm about the quote by Friday, 15 min, Crane | Call the crane firm about the quote | 2026-03-13 | -     | 15  | Crane    | -            | -
                    Send Tilda the berth plan tomorrow noon                      | Send Tilda the berth plan           | 2026-03-11 | 12:00 | -   | -        | Tilda Brandt | -
                    pay invoice 2231, end of month, inv                          | Pay invoice 2231                    | 2026-03-31 | -     | -   | Invoices | -            | -
                    check the hoist, about half an hour, at the slipway          | Check the hoist                     | -          | -     | 30  | -        | -            | slipway
                    ask @bo for the drawings by 12/3 at the latest               | Ask Bo for the drawings             | 2026-03-12 | -     | -   | -        | Bo Lindgren  | -
                    write minutes of the meeting on Thursday, 1,5 h              | Write minutes of the meeting        | 2026-03-12 | -     | 90  | -        | -            | -
                    order 60 m of rope, before Friday, 1h30                      | Order 60 m of rope                  | 2026-03-12 | -     | 90  | -        | -            | -
                    ring back in 2 hours                                         | Ring back                           | 2026-03-10 | 12:20 | -   | -        | -            | -
                    file the papers #Crane next week                             | File the papers                     | 2026-03-20 | -     | -   | Crane    | -            | -
                    book the loft, with Gus Ferrant, at the clubhouse            | Book the loft, with Gus Ferrant, at the clubhouse | - | -  | -   | -        | -            | -
                    fri                                                          | Fri                                 | 2026-03-13 | -     | -   | -        | -            | -
                    the invoice of 3 March                                       | The invoice of 3 March              | -          | -     | -   | -        | -            | -
                    tidy the shed                                                | Tidy the shed                       | -          | -     | -   | -        | -            | -
                    """)
    void aLineIsUnderstood(
            String line,
            String title,
            String day,
            String time,
            Integer effort,
            String category,
            String person,
            String place) {
        Captured captured = CaptureLine.read(line, CONTEXT);

        assertThat(captured.title()).isEqualTo(title);
        assertThat(captured.replyBy().map(by -> by.day().toString()).orElse(null))
                .isEqualTo(day);
        assertThat(captured.replyBy()
                        .flatMap(by -> by.time())
                        .map(Object::toString)
                        .orElse(null))
                .isEqualTo(time);
        assertThat(captured.effortMinutes().orElse(null)).isEqualTo(effort);
        assertThat(captured.category().orElse(null))
                .isEqualTo(category == null ? null : category.equals("Crane") ? CRANE : INVOICES);
        assertThat(captured.people().stream().map(Party::name).findFirst().orElse(null))
                .isEqualTo(person);
        assertThat(captured.place()).isEqualTo(place == null ? "" : place);
        captured.parts().forEach(part -> assertThat(part.span().in(line)).isNotBlank());
    }

    @Test
    void onlyWhatIsSaidToBeHardIsFirm() {
        assertThat(CaptureLine.read("send it by Friday", CONTEXT)
                        .replyBy()
                        .orElseThrow()
                        .firm())
                .isFalse();
        assertThat(CaptureLine.read("send it by Friday at the latest", CONTEXT)
                        .replyBy()
                        .orElseThrow()
                        .firm())
                .isTrue();
    }

    @Test
    void aListMakesOneALineAndWhatIsIndentedItsChecklist() {
        CaptureText.Result result = CaptureText.read("""
                - book the loft by Friday
                    - ask the caterer
                    - chairs
                - order rope, Crane
                3. call Bo
                """, CONTEXT);

        assertThat(result.sort()).isEqualTo(Sort.LIST);
        assertThat(result.items())
                .extracting(item -> item.captured().title())
                .containsExactly("Book the loft", "Order rope", "Call Bo");
        assertThat(result.items().get(0).captured().steps()).containsExactly("ask the caterer", "chairs");
        assertThat(result.items().get(1).captured().category()).contains(CRANE);
    }

    @Test
    void ofNotesOnlyTheLinesThatCarryAnActionAreTaken() {
        CaptureText.Result result = CaptureText.read("""
                Harbour meeting, 10 March
                We talked about the slipway, which is too slippery in the mornings.
                [ ] put up a sign by Friday
                [x] order the sand
                Action: Ines to ring the council about the road
                The council wants another round.
                @tilda send the revised quote by Thursday
                Bo: check the hoist
                Ask Bo for the drawings of the rail
                Lunch was good.
                """, CONTEXT);

        assertThat(result.sort()).isEqualTo(Sort.NOTES);
        assertThat(result.taken())
                .extracting(item -> item.captured().title())
                .containsExactly(
                        "Put up a sign",
                        "Ring the council about the road",
                        "Tilda: Send the revised quote",
                        "Bo: Check the hoist",
                        "Ask Bo for the drawings of the rail");
        assertThat(result.items()).extracting(Item::why).doesNotContain("");
        assertThat(result.items()).as("nothing that was pasted is dropped").hasSize(10);
        assertThat(result.items().get(3))
                .extracting(Item::why, item -> item.captured().title())
                .containsExactly("is done already", "Order the sand");
    }

    @Test
    void anythingThatIsTypedHasATitle() {
        for (String odd :
                List.of(",", "@", "15 min", "#", "by", "\t", "a".repeat(5000), "[ ]", "🛟", "in Crane, at at at")) {
            CaptureText.read(odd, CONTEXT)
                    .items()
                    .forEach(item -> assertThat(item.captured().title()).hasSizeLessThanOrEqualTo(300));
        }
        assertThat(CaptureText.read(" \n ", CONTEXT).items()).isEmpty();
    }
}
