package org.squallnote.core.dates;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.squallnote.core.rule.Rule;
import org.squallnote.core.text.SentenceSplitter;
import org.squallnote.core.time.WorkingTime;

/** Each rule of {@code dates.rules} is needed: without it, its example names other days. */
class DateRulesTest {

    static Stream<Rule> rules() {
        return DateLanguage.ENGLISH.rules().stream();
    }

    @ParameterizedTest
    @MethodSource("rules")
    void isNeededForItsExamples(Rule rule) {
        for (String example : rule.yes()) {
            assertThat(datesIn(example, DateLanguage.ENGLISH)).as(example).isNotEmpty();
            assertThat(datesIn(example, DateLanguage.ENGLISH.without(rule.id())))
                    .as(example + " without " + rule.id())
                    .isNotEqualTo(datesIn(example, DateLanguage.ENGLISH));
        }
    }

    /** The days that are found on a Tuesday and on a Friday; by which rule does not count. */
    private static List<DatePhrase> datesIn(String text, DateLanguage language) {
        return Stream.of(10, 13)
                .map(day -> new DateContext(
                        LocalDateTime.of(2026, 3, day, 10, 20),
                        WorkingTime.officeHours(ZoneId.of("Europe/London")),
                        false,
                        language))
                .flatMap(context -> SentenceSplitter.split(text).stream()
                        .flatMap(sentence -> DateScanner.in(sentence, context).stream()))
                .map(phrase -> phrase.by(Optional.empty()))
                .toList();
    }
}
