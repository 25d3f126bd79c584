package org.squallnote.core.dates;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.SentenceSplitter;
import org.squallnote.core.time.WorkingTime;

/** Every row of the table of dates, read on Tuesday 10 March 2026 at 10:20 unless said otherwise. */
class DatePhrasesTest {

    private static final WorkingTime OFFICE = WorkingTime.officeHours(ZoneId.of("Europe/London"));
    private static final LocalDateTime TUESDAY = LocalDateTime.parse("2026-03-10T10:20");

    private static String read(String words, LocalDateTime sentAt, boolean monthFirst) {
        Sentence sentence = SentenceSplitter.split("send it " + words).get(0);
        List<DatePhrase> found = DateScanner.in(sentence, new DateContext(sentAt, OFFICE, monthFirst));
        if (found.isEmpty()) {
            return "nothing";
        }
        DatePhrase phrase = found.get(0);
        DatePhrase meant =
                words.startsWith("before") ? phrase.before(new DateContext(sentAt, OFFICE, monthFirst)) : phrase;
        return meant.day() + meant.time().map(time -> "T" + time).orElse("");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    today                               | 2026-03-10
                    tonight                             | 2026-03-10
                    by end of day                       | 2026-03-10
                    by close of business                | 2026-03-10
                    COB Thursday                        | 2026-03-12
                    EOD tomorrow                        | 2026-03-11
                    tomorrow                            | 2026-03-11
                    tmrw                                | 2026-03-11
                    the day after tomorrow              | 2026-03-12
                    on Tuesday                          | 2026-03-17
                    by wendesday                        | 2026-03-11
                    by thurs                            | 2026-03-12
                    this coming Friday                  | 2026-03-13
                    by next Tuesday                     | 2026-03-17
                    next Friday                         | 2026-03-20
                    Friday week                         | 2026-03-20
                    a week on Monday                    | 2026-03-23
                    Monday next week                    | 2026-03-16
                    this week                           | 2026-03-13
                    by the end of the week              | 2026-03-13
                    by EOW                              | 2026-03-13
                    by the weekend                      | 2026-03-13
                    next week                           | 2026-03-20
                    by the end of next week             | 2026-03-20
                    at the beginning of next week       | 2026-03-16
                    early next week                     | 2026-03-17
                    in the middle of next week          | 2026-03-18
                    by the end of the month             | 2026-03-31
                    by month end                        | 2026-03-31
                    by the end of next month            | 2026-04-30
                    by the end of April                 | 2026-04-30
                    by mid-April                        | 2026-04-15
                    by the middle of April              | 2026-04-15
                    within 3 days                       | 2026-03-13
                    within two weeks                    | 2026-03-24
                    in a fortnight                      | 2026-03-24
                    in a couple of days                 | 2026-03-12
                    within 5 working days               | 2026-03-17
                    within ten business days            | 2026-03-24
                    within 2 hours                      | 2026-03-10T12:20
                    within half an hour                 | 2026-03-10T10:50
                    in two weeks' time                  | 2026-03-24
                    two days from now                   | 2026-03-12
                    by 30 August                        | 2026-08-30
                    by Aug 30th                         | 2026-08-30
                    by August 30, 2027                  | 2027-08-30
                    by the 30th                         | 2026-03-30
                    by the 5th                          | 2026-04-05
                    by the fifth of May                 | 2026-05-05
                    by 30/8                             | 2026-08-30
                    until 30.8.                         | 2026-08-30
                    by 2026-08-30                       | 2026-08-30
                    by Friday 13 March                  | 2026-03-13
                    by Friday the 13th                  | 2026-03-13
                    by 3/4                              | 2026-04-03
                    by 3 pm                             | 2026-03-10T15:00
                    by noon                             | 2026-03-10T12:00
                    by 14:30                            | 2026-03-10T14:30
                    by 9 am                             | 2026-03-11T09:00
                    by 3 o'clock on Friday              | 2026-03-13T15:00
                    by half past two                    | 2026-03-10T14:30
                    by quarter to five                  | 2026-03-10T16:45
                    by five                             | 2026-03-10T17:00
                    by 1700 hrs                         | 2026-03-10T17:00
                    by 5 tomorrow                       | 2026-03-11T17:00
                    by 5 people                         | nothing
                    on the 3rd floor                    | nothing
                    first thing tomorrow                | 2026-03-11T09:00
                    first thing on Monday               | 2026-03-16T09:00
                    first thing in the morning          | 2026-03-11T09:00
                    this morning                        | 2026-03-10T12:00
                    tomorrow morning                    | 2026-03-11T12:00
                    by lunchtime                        | 2026-03-10T12:00
                    this afternoon                      | 2026-03-10T17:00
                    Tuesday afternoon                   | 2026-03-17T17:00
                    on Thursday evening                 | 2026-03-12
                    before Thursday                     | 2026-03-11
                    before Monday                       | 2026-03-13
                    before 4 pm                         | 2026-03-10T16:00
                    before the weekend                  | 2026-03-13
                    before the end of the month         | 2026-03-31
                    between Monday and Wednesday        | 2026-03-18
                    from Monday to Friday               | 2026-03-20
                    from nine to five                   | 2026-03-10T17:00
                    by the last day of April            | 2026-04-30
                    by the last working day of May      | 2026-05-29
                    by Friday, 12 noon                  | 2026-03-13T12:00
                    til Thursday                        | 2026-03-12
                    by Christmas                        | 2026-12-25
                    by Easter                           | 2026-04-05
                    """)
    void resolves(String words, String expected) {
        assertThat(read(words, TUESDAY, false)).as(words).isEqualTo(expected);
    }

    @Test
    void theLocaleDecidesWhatComesFirst() {
        assertThat(read("by 3/4", TUESDAY, true)).isEqualTo("2027-03-04");
        assertThat(read("by 3/14", TUESDAY, true)).isEqualTo("2026-03-14");
        assertThat(read("until 3.4.", TUESDAY, true)).isEqualTo("2026-04-03");
    }

    @Test
    void onADayOffAtItsEndThisWeekIsTheNext() {
        LocalDateTime saturday = LocalDateTime.parse("2026-03-14T11:00");
        assertThat(read("by the end of the week", saturday, false)).isEqualTo("2026-03-20");
        assertThat(read("on Saturday", saturday, false)).isEqualTo("2026-03-21");
        assertThat(read("next week", saturday, false)).isEqualTo("2026-03-20");
    }

    @Test
    void beforeADayIsTheDayBeforeWhereNoWorkingDayIsLeft() {
        LocalDateTime saturday = LocalDateTime.parse("2026-03-14T11:00");
        assertThat(read("before Monday", saturday, false)).isEqualTo("2026-03-15");
        assertThat(read("before Tuesday", saturday, false)).isEqualTo("2026-03-16");
        assertThat(read("before tomorrow", TUESDAY, false)).isEqualTo("2026-03-10");
    }

    @Test
    void holidaysMoveTheEndOfTheWeek() {
        WorkingTime goodFridayOff = OFFICE.withHolidays(
                day -> day.toString().equals("2026-04-03") ? Optional.of("Good Friday") : Optional.empty());
        Sentence sentence = SentenceSplitter.split("by the end of the week").get(0);
        DateContext context = new DateContext(LocalDateTime.parse("2026-03-31T09:00"), goodFridayOff, false);
        assertThat(DateScanner.in(sentence, context).get(0).day()).hasToString("2026-04-02");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    the day before                 | 2026-03-18
                    the day before at the latest   | 2026-03-18
                    a day earlier                  | 2026-03-18
                    two days before that           | 2026-03-17
                    three days later               | 2026-03-22
                    the Friday before              | 2026-03-13
                    the Monday after               | 2026-03-23
                    the day before yesterday's sun | nothing
                    two days ahead of the meeting  | nothing
                    """)
    void countsFromTheDayNamedBefore(String words, String expected) {
        Sentence sentence = SentenceSplitter.split("send it " + words).get(0);
        DateContext context = new DateContext(TUESDAY, OFFICE, false);
        Optional<LocalDate> named = Optional.of(LocalDate.parse("2026-03-19"));

        assertThat(DateScanner.in(sentence, context, named).stream()
                        .findFirst()
                        .map(phrase -> phrase.day().toString())
                        .orElse("nothing"))
                .isEqualTo(expected);
        assertThat(DateScanner.in(
                        SentenceSplitter.split("send it the day before").get(0), context))
                .isEmpty();
    }

    /** A number of days or weeks back from a day that is named behind it. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    two days before 27 March                        | 2026-03-25
                    a week before Friday 27 March                   | 2026-03-20
                    at least ten days before your arrival on 12 April | 2026-04-02
                    10 days prior to the event (12 April)           | 2026-04-02
                    two working days before Monday                  | 2026-03-12
                    ninety-nine days before 27 March                | 2026-03-27
                    two days before we go, on Friday                | 2026-03-13
                    """)
    void daysAreCountedBack(String words, String expected) {
        assertThat(read(words, TUESDAY, false)).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    today, this evening            | 2026-03-10
                    on Saturday, this night        | 2026-03-14
                    this pm                        | 2026-03-10T17:00
                    two weeks from Friday          | 2026-03-27
                    a fortnight on Friday          | 2026-03-27
                    within half a day              | 2026-03-10
                    within working hours           | nothing
                    by nine in the evening         | 2026-03-10T21:00
                    at 12 noon                     | 2026-03-10T12:00
                    """)
    void whatWasReadWronglyOnce(String words, String expected) {
        assertThat(read(words, TUESDAY, false)).isEqualTo(expected);
    }

    /** Whatever stands there, phrases lie in the sentence one behind the other. */
    @Test
    void wordsOfDatesInAnyOrderAreReadWithoutFault() {
        DateLanguage english = DateLanguage.ENGLISH;
        List<String> words = Stream.of(
                        english.words().known().stream(),
                        english.words().words(DateClass.DATE_START).words().stream(),
                        english.words().words(DateClass.DATE_CORE).words().stream(),
                        english.words().words(DateClass.BEFORE_ITS_TIME).words().stream(),
                        Stream.of(
                                "3pm", "14:30", "1700", "30/8", "2026-08-30", "5th", "this", "evening", "-", ",", "("))
                .flatMap(Function.identity())
                .sorted()
                .toList();
        Random random = new Random(20260310);
        DateContext context = new DateContext(TUESDAY, OFFICE, false);
        for (int line = 0; line < 20_000; line++) {
            String text = random.ints(2 + random.nextInt(6), 0, words.size())
                    .mapToObj(words::get)
                    .collect(Collectors.joining(" "));
            for (Sentence sentence : SentenceSplitter.split(text)) {
                int end = 0;
                for (DatePhrase phrase : DateScanner.in(sentence, context)) {
                    assertThat(phrase.fromInclusive()).as(text).isGreaterThanOrEqualTo(end);
                    assertThat(phrase.toExclusive())
                            .as(text)
                            .isGreaterThan(phrase.fromInclusive())
                            .isLessThanOrEqualTo(sentence.size());
                    end = phrase.toExclusive();
                }
            }
        }
    }
}
