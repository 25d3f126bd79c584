package org.squallnote.core.rule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.squallnote.core.text.PhraseBook;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.SentenceSplitter;

/** Rules of another language, and files that are written wrongly. */
class RuleBookTest {

    private static final String FOLDER = "/org/squallnote/core/reading/german/";
    private static final RuleBook GERMAN = RuleBook.of(
            RuleBookTest.class,
            FOLDER + "date-purposes.rules",
            PhraseBook.of(RuleBookTest.class, FOLDER + "words.txt").classes());

    static Stream<Rule> rules() {
        return GERMAN.rules().stream();
    }

    @ParameterizedTest
    @MethodSource("rules")
    void aRuleDecidesAboutItsExampleAndNamesTheOneThatItGoesBefore(Rule rule) {
        String example = rule.yes().get(0);
        assertThat(decided(GERMAN, example)).isEqualTo(rule.id());
        assertThat(decided(GERMAN.without(rule.id()), example)).isEqualTo(rule.over());
    }

    @ParameterizedTest
    @CsvSource({
        "Bitte antworte kurz vor 2026-03-27, termin.sonst",
        "Bitte schick mir die Liste bis spätestens 2026-03-27, frist.bis",
        "Wir treffen uns und bringen am 2026-03-27, gegeben.am"
    })
    void gapsAndExceptionsHoldInAnyLanguage(String text, String rule) {
        assertThat(decided(GERMAN, text)).isEqualTo(rule);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "takes by {date}",
                "rule a|takes by|gives stated|yes By Friday.",
                "rule a|takes by {date}|gives stated",
                "rule a|takes <unknown> {date}|gives stated|yes By Friday.",
                "rule a|takes by {date}|says stated|yes By Friday.",
                "group other: by chance"
            })
    void aFileThatIsWrittenWronglyIsRefused(String lines) {
        assertThatThrownBy(() -> RuleBook.of(
                        Stream.concat(Stream.of("group all: in order"), Stream.of(lines.split("[|](?=[a-z])")))
                                .toList(),
                        Map.of()))
                .isInstanceOf(IllegalStateException.class);
    }

    @Test
    void twoRulesOfOneNameAreRefused() {
        List<String> rule = List.of("rule a", "takes by {date}", "gives stated", "yes By Friday.");
        assertThatThrownBy(() -> RuleBook.of(
                        Stream.of(List.of("group all: in order"), rule, rule)
                                .flatMap(List::stream)
                                .toList(),
                        Map.of()))
                .hasMessageContaining("Two rules are called a");
    }

    private static String decided(RuleBook book, String text) {
        Sentence sentence = SentenceSplitter.split(text).get(0);
        return book.decide(new AtADay(sentence)).map(found -> found.rule().id()).orElse("");
    }

    /** The first day of a sentence without parts or clauses. */
    private record AtADay(Sentence sentence) implements Setting {

        @Override
        public int from() {
            int i = 0;
            while (!sentence.at(i).isNumber()) {
                i++;
            }
            return i;
        }

        @Override
        public int to() {
            return from() + 1;
        }

        @Override
        public int unitStart() {
            return 0;
        }

        @Override
        public int unitEnd() {
            return sentence.size();
        }

        @Override
        public boolean opens(int place) {
            return place == 0;
        }

        @Override
        public int clauseOf(int place) {
            return 0;
        }

        @Override
        public boolean isKind(String kind, int place) {
            return false;
        }

        @Override
        public boolean isDate(String what, String word) {
            return what.equals("day");
        }

        @Override
        public boolean holds(String condition) {
            return false;
        }
    }
}
