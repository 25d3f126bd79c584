package org.squallnote.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.squallnote.core.rule.Rule;
import org.squallnote.core.text.PhraseOrigin;
import org.squallnote.core.text.WordClass;

/** A language is a folder of rules and words: the same reader reads by them, and knows nothing of English then. */
class SecondLanguageTest {

    private static final ReadingLanguage GERMAN = ReadingLanguage.beside(SecondLanguageTest.class, "german/");
    private static final Reader READER = OtherVoicesTest.reader(Hearing.all(GERMAN));

    private static Reading read(String text) {
        return READER.read(OtherVoicesTest.message("m", text));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Könntest du mir die Liste schicken? | request.kannst-du",
                "Schick mir bitte die Liste. | request.bitte",
                "Ich brauche noch deine Antwort. | need.brauche",
                "Soll ich den Raum buchen? | offer.soll-ich",
                "Wo liegt die Liste? | question.question",
            })
    void asksByItsOwnRules(String text, String rule) {
        Reading reading = read(text);
        assertThat(reading.asksMe()).isTrue();
        assertThat(reading.asks().stream().map(ask -> ask.because().rule())).contains(rule);
    }

    @ParameterizedTest
    @CsvSource({"Bei Fragen kannst du mich anrufen.", "Die Liste liegt auf dem Tisch.", "Send me the list by 2026-03-27"
    })
    void whatIsNoneInItAsksNothing(String text) {
        assertThat(read(text).asksMe()).isFalse();
    }

    @Test
    void setsADayByItsOwnRules() {
        Deadline by = read("Hallo Ines,\n\nschick mir bitte die Liste bis 2026-03-27\n\nGruß\nTom")
                .replyBy()
                .orElseThrow();
        assertThat(by.day()).isEqualTo(LocalDate.of(2026, 3, 27));
        assertThat(by.because().rule()).isEqualTo("frist.bis");
        assertThat(read("Kannst du mir die Liste schicken? Bis 2026-03-27")
                        .replyBy()
                        .map(day -> day.because().rule()))
                .contains("sets.stueck");
        assertThat(read("Kannst du mir die Liste schicken? Am 2026-03-27 bin ich weg.")
                        .replyBy())
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "heute, 2026-03-10",
        "morgen, 2026-03-11",
        "Ende der Woche, 2026-03-13",
        "Freitag, 2026-03-13",
        "nächsten Freitag, 2026-03-20",
        "Freitag den 27 März, 2026-03-27",
        "27 März, 2026-03-27",
        "27.3., 2026-03-27",
        "2026-03-27, 2026-03-27",
        "Friday,",
        "tomorrow,",
        "the end of the week,"
    })
    void namesDaysByItsOwnWords(String day, LocalDate meant) {
        assertThat(read("Kannst du mir die Liste schicken? Bis " + day)
                        .replyBy()
                        .map(Deadline::day))
                .isEqualTo(Optional.ofNullable(meant));
    }

    @ParameterizedTest
    @CsvSource({
        "Das Treffen ist am Freitag. Kannst du mir die Liste schicken? Bis Tag davor, 2026-03-12",
        "Das Treffen ist am Freitag. Kannst du mir die Liste schicken? Bis zwei Tagen vorher, 2026-03-11",
        "Kannst du mir die Liste schicken? Bis zwei Tagen vor unserem Treffen am Freitag, 2026-03-11",
    })
    void tellsDaysByOthers(String text, LocalDate meant) {
        assertThat(read(text).replyBy().map(Deadline::day)).contains(meant);
    }

    @Test
    void namesTimesByItsOwnWords() {
        Deadline by = read("Kannst du mir die Liste schicken? Bis Freitag 15 Uhr")
                .replyBy()
                .orElseThrow();
        assertThat(by.day()).isEqualTo(LocalDate.of(2026, 3, 13));
        assertThat(by.time()).contains(LocalTime.of(15, 0));
    }

    @ParameterizedTest
    @CsvSource({"in drei Tagen, 2026-03-13", "in zwei Wochen, 2026-03-24"})
    void countsByItsOwnNumbers(String days, LocalDate meant) {
        assertThat(read("Ich schicke dir die Liste " + days).promises())
                .singleElement()
                .satisfies(one -> assertThat(one.by().map(Deadline::day)).contains(meant));
    }

    @Test
    void tellsWhatElseAWriterDoes() {
        Reading promise = read("Ich schicke dir die Liste am 2026-03-27");
        assertThat(promise.promises())
                .singleElement()
                .satisfies(one -> assertThat(one.by().map(Deadline::day)).contains(LocalDate.of(2026, 3, 27)));
        assertThat(read("Vielen Dank!").thanksOnly()).isTrue();
        assertThat(read("Ich melde mich morgen.").holding()).isTrue();
        assertThat(read("Die Frage hat sich erledigt.").withdrawal()).isPresent();
        assertThat(read("Gern!").takingUp().agrees()).isTrue();
        assertThat(read("Thank you!").thanksOnly()).isFalse();
    }

    /** A class that is not named is empty: that may be meant in a small language, and is a slip in the one that ships. */
    @Test
    void theLanguageThatShipsNamesAllClassesOfWordsThatCodeAsksAbout() {
        assertThat(ReadingLanguage.ENGLISH.phrases().classes().keySet())
                .containsAll(Stream.of(WordClass.values()).map(WordClass::label).toList());
    }

    static Stream<PhraseOrigin> forms() {
        return GERMAN.phrases().origins().stream();
    }

    /** As of the language that ships: what people see differs without the form. */
    @ParameterizedTest
    @MethodSource("forms")
    void everyFormIsFoundInItsExample(PhraseOrigin form) {
        assertThat(READER.sentences(OtherVoicesTest.message("m", form.example()))
                        .toString())
                .contains(form.name());
    }

    @Test
    void fewRulesAreALanguage() {
        long ofWords = forms().map(PhraseOrigin::name).distinct().count();
        Stream<Rule> ofDates = Stream.concat(GERMAN.purposes().rules().stream(), GERMAN.besides().rules().stream());
        assertThat(ofWords + ofDates.count() + GERMAN.days().rules().size()).isBetween(20L, 40L);
    }
}
